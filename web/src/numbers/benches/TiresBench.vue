<script setup lang="ts">
import { tires } from '@fair-gable/core/numbers/trial';
import Button from 'primevue/button';
import { formatQuantity } from '@fair-gable/core/base/quantity';
import {
  labelPressure,
  recheckMiles,
  torqueFor,
  torqueRounds,
  wheelDiameter,
  wheelPressures,
} from '@fair-gable/core/numbers/tires';
import type { WheelKey } from '@fair-gable/core/unit/catalog';
import { amountOf } from '@fair-gable/core/unit/record';
import { computed } from 'vue';
import QuantityField from '../../base/controls/QuantityField.vue';
import { without } from '../../base/controls/without.ts';
import { useClock } from '../../base/clock/index.ts';
import { useSession } from '../../base/session/session.ts';
import type { BenchEmits, BenchProps } from './bench.ts';
import AnswerFoot from './AnswerFoot.vue';
import { standInGauge } from './devices.ts';

/** Whether the tires are enough at the pressure they have, wheel by wheel; and how tight their nuts are. */
const props = defineProps<BenchProps>();
const emit = defineEmits<BenchEmits>();
const session = useSession();
const clock = useClock();
/** Whether the stand-in of a gauge is offered. */
const demo = computed(() => session.session?.yard.demo ?? false);
const outcome = computed(() => props.asking.of(tires.work));

const wheels = computed(() => wheelPressures(props.record, clock.today, props.trial.pressures));
const asked = computed(() => labelPressure(props.record));
const put = (key: WheelKey, psi: number | undefined): void => {
  const rest = without(props.trial.pressures, key);
  emit('set', { pressures: psi === undefined ? rest : { ...rest, [key]: psi } });
};
const gauge = computed(() =>
  demo.value && asked.value !== undefined ? standInGauge(props.unit ?? '', asked.value) : undefined,
);
const readAll = (): void => {
  const read = gauge.value?.read;
  if (!read) return;
  const all = wheels.value.map(({ wheel }) => [wheel.key, read(wheel.key)]);
  emit('set', { pressures: Object.fromEntries(all) });
};
const psi = (amount: number): string => formatQuantity(amount, 'pressure', props.system);
const lowBy = (pressure: number | undefined): string => {
  if (pressure === undefined || asked.value === undefined) return '';
  const less = asked.value - pressure;
  return less >= 1 ? `${psi(less)} below the label` : '';
};

const torque = (amount: number): string => formatQuantity(amount, 'torque', props.system);
const own = computed(() => amountOf(props.record, 'lugTorque'));
const windows = computed(() => {
  const diameter = wheelDiameter(props.record);
  return diameter === undefined ? [] : torqueFor(diameter);
});
const rounds = computed(() => (own.value === undefined ? [] : torqueRounds(own.value)));
const kilometersPerMile = 1.609_344;
const far = (miles: number): string =>
  props.system === 'us' ? `${miles} miles` : `${Math.round(miles * kilometersPerMile)} km`;
</script>

<template>
  <div class="bench">
    <section aria-label="Pressures">
      <p class="fields">
        <strong>Cold pressures</strong>
        <span v-if="asked !== undefined" class="soft">the label calls for {{ psi(asked) }}</span>
        <Button
          v-if="gauge"
          severity="secondary"
          label="Read the gauge"
          title="A stand-in for a gauge, in the demo only"
          @click="readAll"
        />
      </p>
      <ul class="wheels">
        <li v-for="{ wheel, pressure } in wheels" :key="wheel.key">
          <QuantityField
            :label="wheel.label"
            display="pressure"
            :system="system"
            placeholder="not measured"
            :least="1"
            :most="200"
            :model-value="pressure"
            @update:model-value="(to) => put(wheel.key, to)"
          />
          <p v-if="lowBy(pressure)" class="small wrong">{{ lowBy(pressure) }}</p>
          <p class="small soft">{{ wheel.ageText }}</p>
        </li>
      </ul>
    </section>
    <AnswerFoot :outcome="outcome" :unit="unit" />
    <RouterLink v-if="unit" class="onward" :to="{ name: 'wheels', params: { id: unit } }"
      >Wheel by wheel: dates, tread, wheel wells</RouterLink
    >
    <section aria-labelledby="torque-title">
      <h3 id="torque-title">Lug nuts</h3>
      <dl>
        <div v-if="own !== undefined">
          <dt>Maker’s torque</dt>
          <dd>
            <span class="number">{{ torque(own) }}</span>
            in stages, star pattern: {{ rounds.map(torque).join(', then ') }}
          </dd>
        </div>
        <template v-else>
          <div v-for="row in windows" :key="row.stud">
            <dt>Typical for {{ row.stud }} studs</dt>
            <dd class="guess">{{ torque(row.least) }} to {{ torque(row.most) }}</dd>
          </div>
          <div v-if="windows.length === 0">
            <dt>Torque</dt>
            <dd>In the axle maker’s manual. Neither it nor the wheel size is recorded here.</dd>
          </div>
        </template>
        <div>
          <dt>Check again</dt>
          <dd>
            after
            {{ recheckMiles.map(far).join(', ') }}, any time a wheel’s been off
          </dd>
        </div>
      </dl>
    </section>
    <p class="small caution">
      Never above what the sidewall says. Go by the axle maker’s torque first; cold nuts, dry studs,
      a torque wrench.
    </p>
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 18px;
  max-width: 860px;
}

.wheels {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 180px), 1fr));
  gap: 8px 18px;
  padding-top: 8px;
}

.onward {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}

h3 {
  padding-bottom: 4px;
  font-size: 18px;
}

dl > div {
  display: grid;
  grid-template-columns: minmax(120px, 0.4fr) minmax(0, 1fr);
  gap: 12px;
  padding: 5px 0;
  border-bottom: var(--line) solid var(--hairline);
}

.caution {
  color: var(--brick);
}

@media (width < 760px) {
  .wheels {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
