<script setup lang="ts">
import Dialog from 'primevue/dialog';
import KeyList from './KeyList.vue';

/** The page of keys, over whatever is looked at; higher than a low screen it is scrolled by key, too. */
const emit = defineEmits<{ close: [] }>();
</script>

<template>
  <Dialog
    :visible="true"
    modal
    dismissable-mask
    header="Keys"
    class="keys-dialog"
    :pt="{ content: { tabindex: 0 } }"
    @update:visible="emit('close')"
  >
    <KeyList />
  </Dialog>
</template>

<style>
.keys-dialog {
  width: min(840px, calc(100vw - 24px));
}
</style>
