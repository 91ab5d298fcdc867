<script setup lang="ts">
import InputNumber from 'primevue/inputnumber';
import Select from 'primevue/select';
import SelectButton from 'primevue/selectbutton';
import {
  formatQuantity,
  fromInternal,
  toInternal,
  vehicleClasses,
  type Outcome,
  type System,
  type TowValue,
} from '@fair-gable/core';
import { computed } from 'vue';
import AnswerFoot from './AnswerFoot.vue';
import LimitBars from './LimitBars.vue';
import type { Trial } from './trial.ts';

/** What should tow it: a class of vehicle or the buyer's own figures, people, a reserve or none. */
const props = defineProps<{
  unit: string;
  system: System;
  trial: Trial;
  outcome: Outcome<TowValue>;
}>();
const emit = defineEmits<{ set: [more: Partial<Trial>] }>();

const pounds = computed(() => (props.system === 'us' ? 'lb' : 'kg'));
const shownIn = (amount: number | undefined): number | null =>
  amount === undefined ? null : Math.round(fromInternal(amount, pounds.value));
const internal = (shown: number | null): number | undefined =>
  shown === null ? undefined : toInternal(shown, pounds.value);

const classes = vehicleClasses.map(({ key, label }) => ({ key, label }));
const reserves = [
  { key: 0, label: 'ratings in full' },
  { key: 0.2, label: 'a fifth kept in hand' },
];
const hitches = [
  { key: true, label: 'weight-distributing' },
  { key: false, label: 'plain ball' },
];
const own = [
  { key: 'payload', label: 'Payload', where: 'off the driver’s door' },
  { key: 'towRating', label: 'Tow rating', where: 'by the maker’s guide' },
  { key: 'receiver', label: 'Receiver', where: 'off its plate' },
] as const;
const setOwn = (key: (typeof own)[number]['key'], shown: number | null): void => {
  const rest = Object.fromEntries(Object.entries(props.trial.own).filter(([k]) => k !== key));
  const amount = internal(shown);
  emit('set', { own: amount === undefined ? rest : { ...rest, [key]: amount } });
};
const show = (amount: number): string => formatQuantity(amount, 'weight', props.system);
</script>

<template>
  <div class="bench">
    <div class="fields">
      <div>
        <span id="tow-class" class="label">Vehicle</span>
        <Select
          :model-value="trial.vehicle"
          :options="classes"
          option-label="label"
          option-value="key"
          aria-labelledby="tow-class"
          @update:model-value="(to) => emit('set', { vehicle: to })"
        />
      </div>
      <div v-for="row in own" :key="row.key">
        <label :for="`tow-${row.key}`">{{ row.label }}, {{ row.where }}</label>
        <InputNumber
          :model-value="shownIn(trial.own[row.key])"
          :input-id="`tow-${row.key}`"
          :suffix="` ${pounds}`"
          :min="0"
          :max="40000"
          placeholder="not read"
          @update:model-value="(to) => setOwn(row.key, to)"
        />
      </div>
      <div>
        <label for="tow-aboard">People and gear in it</label>
        <InputNumber
          :model-value="shownIn(trial.aboard)"
          input-id="tow-aboard"
          :suffix="` ${pounds}`"
          :min="0"
          :max="4000"
          @update:model-value="(to) => emit('set', { aboard: internal(to) ?? 0 })"
        />
      </div>
      <div>
        <span id="tow-hitch" class="label">Hitch</span>
        <SelectButton
          :model-value="trial.distributing"
          :options="hitches"
          option-label="label"
          option-value="key"
          :allow-empty="false"
          aria-labelledby="tow-hitch"
          @update:model-value="(to) => emit('set', { distributing: to })"
        />
      </div>
      <div>
        <span id="tow-reserve" class="label">School</span>
        <SelectButton
          :model-value="trial.reserve"
          :options="reserves"
          option-label="label"
          option-value="key"
          :allow-empty="false"
          aria-labelledby="tow-reserve"
          @update:model-value="(to) => emit('set', { reserve: to })"
        />
      </div>
    </div>
    <p class="small soft">
      The class has middling figures of no maker, set as about; the vehicle’s own labels go before
      them.
    </p>
    <LimitBars
      v-if="outcome.value"
      :limits="outcome.value.limits"
      :first="outcome.value.binding"
      :system="system"
    />
    <p v-if="outcome.value?.largest !== undefined" class="large">
      Largest trailer of this balance that it takes:
      <strong class="number">{{ show(outcome.value.largest) }}</strong> loaded
    </p>
    <AnswerFoot :outcome="outcome" :unit="unit" />
    <p class="small caution">
      The vehicle’s door label, the maker’s tow guide and the receiver’s plate decide, and the
      lowest of them counts.
    </p>
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  gap: 16px;
}

.large {
  font: 500 18px var(--slab);
}

.caution {
  color: var(--brick);
}
</style>
