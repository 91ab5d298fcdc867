<script setup lang="ts">
import type { System } from '@fair-gable/core/base/quantity';
import {
  figureSources,
  vehicleFigures,
  type Figure,
  type FigureSource,
  type Vehicle,
  type VehicleFigureKey,
} from '@fair-gable/core/unit/record';
import ChoiceList from '../../base/controls/ChoiceList.vue';
import QuantityField from '../../base/controls/QuantityField.vue';
import { without } from '../../base/controls/without.ts';

/** A vehicle's figures, each with where it was found; those usual of its class are set as a guess is. */
const props = defineProps<{
  vehicle: Vehicle;
  system: System;
  /** Those that are offered. */
  keys: readonly VehicleFigureKey[];
}>();
const emit = defineEmits<{ set: [vehicle: Vehicle] }>();

const sources = figureSources.map(({ key, label }) => ({ key, label }));
const rows = vehicleFigures.filter(({ key }) => props.keys.includes(key));
const foundAt = (key: FigureSource): string =>
  figureSources.find((row) => row.key === key)?.found ?? key;

const put = (key: VehicleFigureKey, figure: Figure | undefined): void => {
  const rest = without(props.vehicle.figures, key);
  emit('set', { ...props.vehicle, figures: figure ? { ...rest, [key]: figure } : rest });
};
/** What is typed here was found where such a figure stands, until somebody says otherwise. */
const setAmount = ({ key, from }: (typeof rows)[number], amount: number | undefined): void => {
  const had = props.vehicle.figures[key]?.from;
  put(
    key,
    amount === undefined
      ? undefined
      : { amount, from: had === undefined || had === 'class' ? from : had },
  );
};
const setSource = (key: VehicleFigureKey, from: FigureSource): void => {
  const figure = props.vehicle.figures[key];
  if (figure) put(key, { ...figure, from });
};
const longest = 400;
</script>

<template>
  <ul class="figures">
    <li
      v-for="row in rows"
      :key="row.key"
      :class="{ about: vehicle.figures[row.key]?.from === 'class' }"
    >
      <QuantityField
        :label="row.label"
        :display="row.kind === 'weight' ? 'weight' : 'inches'"
        :system="system"
        :least="1"
        :most="row.kind === 'weight' ? 100_000 : longest"
        :placeholder="foundAt(row.from)"
        :model-value="vehicle.figures[row.key]?.amount"
        @update:model-value="(to) => setAmount(row, to)"
      />
      <ChoiceList
        v-if="vehicle.figures[row.key] && vehicle.figures[row.key]?.from !== 'class'"
        :model-value="vehicle.figures[row.key]?.from"
        :choices="sources"
        :aria-label="`${row.label}, where it is from`"
        @update:model-value="(to: FigureSource | undefined) => to && setSource(row.key, to)"
      />
    </li>
  </ul>
</template>

<style scoped>
.figures {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 210px), 1fr));
  gap: 12px 18px;
}

li {
  display: grid;
  align-content: start;
}

li :deep(select) {
  min-height: 40px;
}

.about :deep(.p-inputtext) {
  font-style: italic;
  font-weight: 500;
}

@media (width < 760px) {
  .figures {
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 12px;
  }
}
</style>
