<script setup lang="ts">
import { defineAsyncComponent, computed } from 'vue';
import {
  amountOf,
  formatQuantity,
  hitchCurve,
  poundsPerGallon,
  shareWanted,
  specEntry,
  tankKeys,
  weightInputOf,
  type Outcome,
  type System,
  type TankKey,
  type UnitRecord,
  type WeightValue,
} from '@fair-gable/core';
import AnswerFoot from './AnswerFoot.vue';
import LimitBars from './LimitBars.vue';
import LoadOutline from './LoadOutline.vue';
import type { Trial } from './trial.ts';
import TrySlider from './TrySlider.vue';

/** What may still be loaded: tanks, gear and propane tried; limits, the hitch, and the sentence. */
const props = defineProps<{
  unit: string;
  record: UnitRecord;
  system: System;
  trial: Trial;
  outcome: Outcome<WeightValue>;
}>();
const emit = defineEmits<{ set: [more: Partial<Trial>] }>();
// The chart comes when it is looked at: the answer does not wait for it.
const HitchChart = defineAsyncComponent(() => import('./HitchChart.vue'));

const input = computed(() => weightInputOf(props.record, props.trial.weight));
const tanks = computed(() =>
  tankKeys.flatMap((key) => {
    const gallons = amountOf(props.record, key);
    return gallons === undefined
      ? []
      : [{ key, gallons, level: props.trial.weight.levels[key] ?? 0 }];
  }),
);
const mostGear = 600;

const fill = (key: TankKey, level: number): void => {
  const { weight } = props.trial;
  emit('set', { weight: { ...weight, levels: { ...weight.levels, [key]: level } } });
};
const load = (key: string, pounds: number): void => {
  const { weight } = props.trial;
  const gear = weight.gear.map((row) => (row.key === key ? { ...row, pounds } : row));
  emit('set', { weight: { ...weight, gear } });
};

const show = (pounds: number): string => formatQuantity(pounds, 'weight', props.system);
const gallonsOf = ({ gallons, level }: { gallons: number; level: number }): string =>
  `${formatQuantity(gallons * level, 'volume', props.system)}${level === 1 ? ', full' : level === 0 ? ', empty' : ''}`;

const curve = computed(() => hitchCurve(input.value, 'freshTank'));
const level = computed(() => props.trial.weight.levels.freshTank ?? 0);
const percent = (share: number): string => `${(share * 100).toFixed(1)} %`;
const isLight = computed(() => (props.outcome.value?.lightest.share ?? 1) < shareWanted.from);
</script>

<template>
  <div class="bench">
    <div class="seen">
      <LoadOutline
        :record="record"
        :system="system"
        :items="input.items"
        :axle="input.axle?.amount"
        :value="outcome.value"
      />
      <LimitBars
        v-if="outcome.value"
        :limits="outcome.value.limits"
        :first="outcome.value.first"
        :system="system"
      />
      <p v-if="outcome.value" :class="{ wrong: isLight }">
        Lightest hitch of all fillings: {{ percent(outcome.value.lightest.share) }} with
        {{ outcome.value.lightest.full.map((one) => one.toLowerCase()).join(' and ') || 'nothing' }}
        full. Heaviest: {{ percent(outcome.value.heaviest.share) }}.
      </p>
    </div>
    <div class="tried">
      <TrySlider
        v-for="tank in tanks"
        :key="tank.key"
        :label="specEntry(tank.key).label"
        :shown="gallonsOf(tank)"
        :max="1"
        :step="0.05"
        :model-value="tank.level"
        @update:model-value="(to) => fill(tank.key, to)"
      />
      <TrySlider
        v-for="place in trial.weight.gear"
        :key="place.key"
        :label="place.label"
        :shown="show(place.pounds)"
        :max="mostGear"
        :step="10"
        :model-value="place.pounds"
        @update:model-value="(to) => load(place.key, to)"
      />
      <HitchChart v-if="curve" label="Hitch share as fresh fills" :points="curve" :now="level" />
      <p class="small soft">
        Water weighs {{ poundsPerGallon }} lb a gallon, 1 kg a litre; labels round it to 8.3 lb.
      </p>
    </div>
    <AnswerFoot class="answer" :outcome="outcome" :unit="unit" />
    <p class="small caution">
      Weigh it loaded before anybody tows it. Labels, the maker’s ratings and the law decide; light
      hitches sway.
    </p>
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-columns: minmax(0, 1.7fr) minmax(240px, 1fr);
  gap: 18px 30px;
}

.seen {
  display: grid;
  align-content: start;
  gap: 14px;
}

.answer,
.caution {
  grid-column: 1 / -1;
}

.caution {
  color: var(--brick);
}

@media (width < 900px) {
  .bench {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
