<script setup lang="ts">
import { nights } from '@fair-gable/core/numbers/trial';
import { counted } from '@fair-gable/core/base/words';
import { formatQuantity } from '@fair-gable/core/base/quantity';
import {
  heaterRates,
  levelsAfter,
  panelsOf,
  ratesOf,
  waterStyle,
  waterStyles,
  waterTimes,
  type YardWater,
} from '@fair-gable/core/numbers/water';
import { weigh, weightInputOf } from '@fair-gable/core/numbers/weight';
import { specEntry } from '@fair-gable/core/unit/catalog';
import { computed } from 'vue';
import ChoiceField from '../../base/controls/ChoiceField.vue';
import { useSession } from '../../base/session/session.ts';
import WideTable from '../../base/controls/WideTable.vue';
import type { BenchEmits, BenchProps } from './bench.ts';
import AnswerFoot from './AnswerFoot.vue';
import LoadOutline from './LoadOutline.vue';
import TrySlider from './TrySlider.vue';
import WaterRatesFields from './WaterRatesFields.vue';

/** How many nights off the hookups: by people and style, tank by tank; and how the weight shifts meanwhile. */
const props = defineProps<BenchProps>();
const emit = defineEmits<BenchEmits>();
const outcome = computed(() => props.asking.of(nights.work));
const people = [1, 2, 3, 4, 5, 6].map((n) => ({ key: n, label: String(n) }));
const styles = waterStyles.map(({ key, label }) => ({ key, label }));
const session = useSession();
/** Another way of using water has other figures: the yard's own, or the usual ones. */
const setStyle = (style: string): void => {
  const yardWater = session.session?.yard.water ?? {};
  emit('set', { style, rates: yardWater[style as keyof YardWater] });
};
/** What a person uses in a day as it is reckoned now. */
const rates = computed(() => {
  const { style, rates: own } = props.trial;
  const usual = waterStyle(style);
  return usual && { now: own ?? ratesOf(usual), own: own !== undefined };
});
const most = 7;

/** The water where it lies after so many days, and what that does to the hitch. */
const dayStep = 0.25;
const lasts = computed(() => Math.floor((outcome.value.value?.days ?? 0) / dayStep) * dayStep);
const day = computed(() => Math.min(props.trial.days, lasts.value));
const shifted = computed(() => {
  const { value } = outcome.value;
  if (!value) return undefined;
  const levels = levelsAfter(value, day.value);
  const input = weightInputOf(props.record, { ...props.trial, levels, gear: {} });
  return { input, weighed: weigh(input, props.system) };
});
const dayText = computed(() =>
  day.value === 0 ? 'at the start' : `after ${counted(day.value, 'day')}`,
);

const times = computed(() => waterTimes(props.record));
const heating = computed(() => heaterRates(props.record));
const rateBy = { gas: 'by gas', element: 'by its element', both: 'by both' } as const;
const lamps = ['none', '⅓', '⅔', 'full'];
const panels = computed(() => panelsOf(props.record));
const gallons = (amount: number): string => formatQuantity(amount, 'volume', props.system);
const between = ({ from, to }: { from: number; to: number }): string =>
  from === to ? gallons(from) : `${gallons(from)} to ${gallons(to)}`;
const lasting = (minutes: number): string =>
  minutes < 90 ? `${Math.max(Math.round(minutes), 1)} min` : `${(minutes / 60).toFixed(1)} h`;
</script>

<template>
  <div class="bench">
    <div class="fields">
      <ChoiceField
        label="People"
        :choices="people"
        :model-value="trial.people"
        @update:model-value="(to) => emit('set', { people: to })"
      />
      <ChoiceField
        label="How you use water"
        :choices="styles"
        :model-value="trial.style"
        @update:model-value="setStyle"
      />
    </div>
    <WaterRatesFields
      v-if="rates"
      :rates="rates.now"
      :own="rates.own"
      :system="system"
      @set="(to) => emit('set', { rates: to })"
      @usual="setStyle(trial.style)"
    />
    <ul v-if="outcome.value" class="tanks">
      <li v-for="tank in outcome.value.tanks" :key="tank.key">
        <span>{{ tank.label }}, {{ formatQuantity(tank.gallons, 'volume', system) }}</span>
        <span class="bar" aria-hidden="true"
          ><span
            :class="tank.key"
            :style="{ width: `${(Math.min(tank.days, most) / most) * 100}%` }"
          ></span
        ></span>
        <span class="number">{{ tank.days.toFixed(1) }} days</span>
        <strong v-if="tank.key === outcome.value.first" class="small">runs out first</strong>
      </li>
    </ul>
    <AnswerFoot :outcome="outcome" :unit="unit" />
    <section v-if="shifted && lasts > 0" aria-label="Where the water goes">
      <h3>Where the water goes</h3>
      <LoadOutline
        :record="record"
        :system="system"
        :items="shifted.input.items"
        :axle="shifted.input.axle?.amount"
        :value="shifted.weighed.value"
      />
      <TrySlider
        label="Days away"
        :shown="dayText"
        :max="lasts"
        :step="dayStep"
        :model-value="day"
        @update:model-value="(to) => emit('set', { days: to })"
      />
    </section>
    <section v-if="times.length || panels.length" aria-label="How long it takes">
      <h3>How long it takes</h3>
      <dl>
        <div v-for="time in times" :key="time.what">
          <dt>{{ time.what }}</dt>
          <dd>
            <span class="number guess">about {{ lasting(time.minutes) }}</span>
            <span class="small soft">{{ time.by }}</span>
          </dd>
        </div>
        <div v-for="rate in heating" :key="rate.by">
          <dt>Hot water per hour, {{ rateBy[rate.by] }}</dt>
          <dd>
            <span class="number guess">about {{ gallons(rate.gallons) }}</span>
            <span class="small soft"
              >heated by 100 °F (56 °C): a rate, not what the tank holds</span
            >
          </dd>
        </div>
      </dl>
      <h3>What the panel really means</h3>
      <WideTable label="What the panel really means">
        <table>
          <thead>
            <tr>
              <th scope="col">Panel shows</th>
              <th v-for="lamp in lamps" :key="lamp" scope="col">{{ lamp }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="{ tank, readings } in panels" :key="tank">
              <th scope="row">{{ specEntry(tank).label }}</th>
              <td v-for="(reading, i) in readings" :key="i">{{ between(reading) }}</td>
            </tr>
          </tbody>
        </table>
      </WideTable>
      <p class="small soft">
        There’s a sensor at each third, so each light is a range. If an empty black tank shows a
        third, there’s paper or worse across its probes: flush it, then look again. Dump black
        first, then gray.
      </p>
      <p class="small caution">
        Fill the water heater before its burner or element goes on; never lift its relief valve on
        hot water.
      </p>
    </section>
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
}

li {
  display: grid;
  grid-template-columns: minmax(130px, 0.6fr) minmax(80px, 1.4fr) 80px 110px;
  align-items: center;
  gap: 12px;
  min-height: 32px;
}

.bar {
  height: 14px;
  background: var(--sand);
}

.bar > span {
  display: block;
  height: 100%;
  background: var(--soft);
}

.bar > .fresh {
  background: var(--water);
}

table {
  border-collapse: collapse;
}

th,
td {
  padding: 5px 18px 5px 0;
  border-bottom: var(--line) solid var(--hairline);
  text-align: left;
  font-weight: 400;
  white-space: nowrap;
}

h3 {
  padding: 10px 0 4px;
  font-size: 18px;
}

dl > div {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.3fr);
  gap: 12px;
  padding: 5px 0;
  border-bottom: var(--line) solid var(--hairline);
}

dd {
  display: grid;
}

.caution {
  padding-top: 8px;
  color: var(--brick);
}

@media (width < 760px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto auto;
    padding: 5px 0;
  }

  .bar {
    grid-row: 2;
    grid-column: 1 / -1;
  }
}
</style>
