<script setup lang="ts">
import {
  amountOf,
  formatQuantity,
  type Outcome,
  type System,
  type TyresValue,
  type UnitRecord,
} from '@fair-gable/core';
import { computed } from 'vue';
import AnswerFoot from './AnswerFoot.vue';
import type { Trial } from './trial.ts';
import TrySlider from './TrySlider.vue';

/** Whether the tyres are enough at the pressure they have. */
const props = defineProps<{
  unit: string;
  record: UnitRecord;
  system: System;
  trial: Trial;
  outcome: Outcome<TyresValue>;
}>();
const emit = defineEmits<{ set: [more: Partial<Trial>] }>();
const pressure = computed(
  () => props.trial.pressure ?? amountOf(props.record, 'coldPressure') ?? 50,
);
</script>

<template>
  <div class="bench">
    <TrySlider
      label="Cold pressure they have"
      :shown="formatQuantity(pressure, 'pressure', system)"
      :max="110"
      :step="1"
      :model-value="pressure"
      @update:model-value="(to) => emit('set', { pressure: Math.max(to, 10) })"
    />
    <AnswerFoot :outcome="outcome" :unit="unit" />
    <p class="small caution">
      Never above what the sidewall says. Lug nuts at the maker’s torque, and again after the first
      10, 25 and 50 miles: common practice; the maker’s figures go before it.
    </p>
    <RouterLink :to="{ name: 'wheels', params: { id: unit } }">Wheel by wheel</RouterLink>
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  gap: 16px;
  max-width: 720px;
}

.caution {
  color: var(--brick);
}
</style>
