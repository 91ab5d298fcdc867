<script setup lang="ts">
import Slider from 'primevue/slider';
import { useId } from 'vue';

/** A quantity to be tried: pulled, or by arrow keys. */
defineProps<{ label: string; shown: string; max: number; step: number }>();
const value = defineModel<number>({ required: true });
const id = useId();
</script>

<template>
  <div class="slide">
    <p>
      <span :id="id">{{ label }}</span>
      <span class="number">{{ shown }}</span>
    </p>
    <Slider v-model="value" :min="0" :max="max" :step="step" :aria-labelledby="id" />
  </div>
</template>

<style scoped>
.slide {
  padding: 8px 0 16px;
  border-top: var(--line) solid var(--hairline);
}

p {
  display: flex;
  justify-content: space-between;
  padding-bottom: 10px;
}

.slide :deep(.p-slider-handle) {
  width: 24px;
  height: 24px;
}
</style>
