<script setup lang="ts" generic="K extends string | number | boolean">
import SelectButton from 'primevue/selectbutton';
import { useId } from 'vue';
import { vOneTab } from './one-tab.ts';

/** A few choices that lie open under their label. */
defineProps<{
  label: string;
  choices: readonly { readonly key: K; readonly label: string }[];
}>();
const chosen = defineModel<K>({ required: true });
const id = useId();
</script>

<template>
  <div class="choice">
    <span :id="id" class="label">{{ label }}</span>
    <SelectButton
      v-model="chosen"
      v-one-tab
      :options="[...choices]"
      option-label="label"
      option-value="key"
      :allow-empty="false"
      :aria-labelledby="id"
    />
  </div>
</template>

<style scoped>
.choice :deep(.p-togglebutton) {
  min-height: 44px;
}

@media (width < 760px) {
  .choice :deep(.p-selectbutton) {
    flex-wrap: wrap;
  }
}
</style>
