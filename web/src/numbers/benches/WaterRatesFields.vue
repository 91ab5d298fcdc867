<script setup lang="ts">
import { computed } from 'vue';
import { percent } from '@fair-gable/core/base/words';
import type { System } from '@fair-gable/core/base/quantity';
import type { WaterRates } from '@fair-gable/core/unit/record';
import QuantityField from '../../base/controls/QuantityField.vue';
import TrySlider from './TrySlider.vue';

/** What one person uses in a day without a hookup; the usual figures are set as a guess is, until somebody changes them. */
const props = defineProps<{
  rates: WaterRates;
  /** Whether they are somebody's own and not the usual ones. */
  own: boolean;
  system: System;
}>();
const emit = defineEmits<{ set: [rates: WaterRates]; usual: [] }>();

const fields = [
  { key: 'gray', label: 'Into the gray tank', least: 0.1 },
  { key: 'black', label: 'Into the black tank', least: 0 },
  { key: 'drunk', label: 'Drinking and cooking', least: 0 },
] as const;
const put = (key: (typeof fields)[number]['key'], gallons: number | undefined): void => {
  if (gallons !== undefined) emit('set', { ...props.rates, [key]: gallons });
};
const share = computed(() => `${percent(props.rates.galleyShare, 0)} of the gray water`);
</script>

<template>
  <details class="rates">
    <summary>What each person uses per day</summary>
    <div class="fields">
      <QuantityField
        v-for="field in fields"
        :key="field.key"
        :label="field.label"
        display="volume"
        :system="system"
        :least="field.least"
        :most="60"
        :model-value="rates[field.key]"
        @update:model-value="(to) => put(field.key, to)"
      />
    </div>
    <TrySlider
      label="At the kitchen sink"
      :shown="share"
      :max="1"
      :step="0.05"
      :model-value="rates.galleyShare"
      @update:model-value="(to) => emit('set', { ...rates, galleyShare: to })"
    />
    <p class="small soft">
      <template v-if="own"
        >These are your own figures.
        <button type="button" class="link" @click="emit('usual')">Reset to typical</button>
      </template>
      <template v-else>Typical figures; a first trip shows what they really use.</template>
    </p>
  </details>
</template>

<style scoped>
summary {
  min-height: 44px;
  padding-top: 10px;
  cursor: pointer;
}

.rates .fields {
  padding-bottom: 8px;
}

.link {
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
</style>
