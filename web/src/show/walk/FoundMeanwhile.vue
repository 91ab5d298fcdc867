<script setup lang="ts">
import type { Point } from '@fair-gable/core/show/cards';

/** Faults that were found since the walk was planned: each stands here until it is told. */
defineProps<{ faults: readonly Point[] }>();
const emit = defineEmits<{ told: [fault: Point] }>();
</script>

<template>
  <section v-if="faults.length" aria-label="Found on the walk">
    <div v-for="fault in faults" :key="fault.id">
      <p><strong>Found on the walk.</strong> {{ fault.sentence }}</p>
      <button type="button" @click="emit('told', fault)">Told</button>
    </div>
  </section>
</template>

<style scoped>
div {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 14px;
  margin: 8px 18px 0;
  padding: 8px 12px;
  border: 2px solid var(--brick);
  border-radius: 6px;
  font-size: 17px;
}

button {
  flex: none;
  min-width: 72px;
  min-height: var(--thumb);
  border: 2px solid var(--ink);
  border-radius: 6px;
  background: var(--leaf);
  font-weight: 700;
  cursor: pointer;
}
</style>
