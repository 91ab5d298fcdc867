<script setup lang="ts">
import { PencilLine } from '@lucide/vue';
import { computed } from 'vue';
import { useDrafts } from './drafts.ts';

/** Beside a closed editor in which something was typed and not kept. */
const props = defineProps<{ place: string }>();
const drafts = useDrafts();
const waits = computed(() => drafts.all.has(props.place));
</script>

<template>
  <span v-if="waits" class="small mark"><PencilLine aria-hidden="true" />typed, not saved yet</span>
</template>

<style scoped>
.mark {
  display: inline-flex;
  align-items: center;
  gap: 5px;
  color: var(--amber);
}

svg {
  width: 15px;
  height: 15px;
}
</style>
