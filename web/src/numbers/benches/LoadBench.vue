<script setup lang="ts">
import { load, scale } from '@fair-gable/core/numbers/trial';
import Checkbox from 'primevue/checkbox';
import { defineAsyncComponent, computed, ref } from 'vue';
import { inText, percent } from '@fair-gable/core/base/words';
import { formatQuantity, poundsPerGallon } from '@fair-gable/core/base/quantity';
import {
  gearPlacesOf,
  hitchCurve,
  shareWanted,
  weightInputOf,
} from '@fair-gable/core/numbers/weight';
import { specEntry } from '@fair-gable/core/unit/catalog';
import { hedged } from '@fair-gable/core/unit/outcome';
import { amountOf, tankKeys, type TankKey } from '@fair-gable/core/unit/record';
import ChoiceField from '../../base/controls/ChoiceField.vue';
import type { BenchEmits, BenchProps } from './bench.ts';
import AnswerFoot from './AnswerFoot.vue';
import LimitBars from './LimitBars.vue';
import LoadOutline from './LoadOutline.vue';
import TrySlider from './TrySlider.vue';

/** What may still be loaded: tanks, gear and propane tried; limits, the hitch, and the sentence. */
const props = defineProps<BenchProps>();
const emit = defineEmits<BenchEmits>();
const outcome = computed(() => props.asking.of(load.work));
/** Where it was weighed, by how much it is heavier than what is worked out here. Pounds. */
const unknown = computed(() => props.asking.of(scale.work).value?.unknown);
// The chart comes when it is looked at: the answer does not wait for it.
const HitchChart = defineAsyncComponent(() => import('./HitchChart.vue'));

const input = computed(() => weightInputOf(props.record, props.trial));
const tanks = computed(() =>
  tankKeys.flatMap((key) => {
    const gallons = amountOf(props.record, key);
    return gallons === undefined ? [] : [{ key, gallons, level: props.trial.levels[key] ?? 0 }];
  }),
);
const places = computed(() =>
  gearPlacesOf(props.record).map((place) => ({
    ...place,
    pounds: props.trial.gear[place.key] ?? 0,
  })),
);

const fill = (key: TankKey, level: number): void => {
  emit('set', { levels: { ...props.trial.levels, [key]: level } });
};
const put = (key: string, pounds: number): void => {
  emit('set', { gear: { ...props.trial.gear, [key]: pounds } });
};

const show = (pounds: number): string => formatQuantity(pounds, 'weight', props.system);
const carried = ({ pounds, limit }: (typeof places.value)[number]): string =>
  limit ? `${show(pounds)} of ${show(limit.amount)}` : show(pounds);
const gallonsOf = ({ gallons, level }: { gallons: number; level: number }): string =>
  `${formatQuantity(gallons * level, 'volume', props.system)}${level === 1 ? ', full' : level === 0 ? ', empty' : ''}`;

/** The tank whose filling the curve follows. */
const chosen = ref<TankKey>('freshTank');
const swept = computed<TankKey>(() =>
  tanks.value.some(({ key }) => key === chosen.value)
    ? chosen.value
    : (tanks.value[0]?.key ?? 'freshTank'),
);
const sweepable = computed(() =>
  tanks.value.map(({ key }) => ({ key, label: specEntry(key).label.replace(' tank', '') })),
);
const curve = computed(() => hitchCurve(input.value, swept.value));
const level = computed(() => props.trial.levels[swept.value] ?? 0);
const waterWords = computed(() =>
  props.system === 'us'
    ? `Water weighs ${poundsPerGallon} lb a gallon; labels round it to 8.3 lb.`
    : 'A liter of water weighs 1 kg.',
);
const hasPropane = computed(() => props.record.specs.lpCylinders !== undefined);
/** The lightest and heaviest hitch of all fillings; about, where a tank's place is only assumed. */
const extremes = computed(() => {
  const { lightest, heaviest, fillings = 'about' } = outcome.value.value ?? {};
  if (!lightest || !heaviest) return undefined;
  const full = lightest.full.map((one) => inText(one)).join(' and ') || 'nothing';
  return {
    light: hedged(percent(lightest.share), fillings),
    heavy: hedged(percent(heaviest.share), fillings),
    full,
    isLow: lightest.share < shareWanted.from,
  };
});
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
      <p v-if="unknown !== undefined" class="amber">
        On the scale it was {{ show(Math.abs(unknown)) }}
        {{ unknown < 0 ? 'lighter' : 'heavier' }} than we figure here;
        {{ unknown < 0 ? 'add that to' : 'take that off' }} every margin.
      </p>
      <p v-if="extremes" :class="{ wrong: extremes.isLow }">
        Lightest hitch with any tanks filled: {{ extremes.light }}, with {{ extremes.full }} full.
        Heaviest: {{ extremes.heavy }}.
      </p>
      <AnswerFoot :outcome="outcome" :unit="unit" short />
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
        v-for="place in places"
        :key="place.key"
        :label="place.label"
        :shown="carried(place)"
        :max="place.most"
        :step="10"
        :model-value="place.pounds"
        @update:model-value="(to) => put(place.key, to)"
      />
      <label v-if="hasPropane" class="tick"
        ><Checkbox
          :model-value="trial.propane"
          binary
          @update:model-value="(to: boolean) => emit('set', { propane: to })"
        />
        Propane, cylinders full</label
      >
      <ChoiceField
        v-if="sweepable.length > 1"
        v-model="chosen"
        class="sweep"
        label="Hitch percentage as this tank fills"
        :choices="sweepable"
      />
      <HitchChart
        v-if="curve"
        :label="`Hitch percentage, ${inText(specEntry(swept).label)} from empty to full`"
        :points="curve"
        :now="level"
      />
      <p class="small soft">
        {{ waterWords }}
      </p>
    </div>
    <AnswerFoot class="answer" :outcome="outcome" :unit="unit" long />
    <p class="small caution">
      Weigh it loaded before anybody tows it. Go by the labels, the maker’s ratings and the law; a
      light hitch can sway.
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

.tick {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 44px;
  border-top: var(--line) solid var(--hairline);
}

.answer,
.caution {
  grid-column: 1 / -1;
}

.sweep {
  padding: 10px 0;
  border-top: var(--line) solid var(--hairline);
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
