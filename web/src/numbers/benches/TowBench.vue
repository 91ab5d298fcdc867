<script setup lang="ts">
import { tow } from '@fair-gable/core/numbers/trial';
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { percent } from '@fair-gable/core/base/words';
import { formatQuantity } from '@fair-gable/core/base/quantity';
import { usualReserve, vehicleClasses } from '@fair-gable/core/numbers/tow';
import { schoolEntry } from '@fair-gable/core/unit/catalog';
import type { Vehicle } from '@fair-gable/core/unit/record';
import { computed, onMounted } from 'vue';
import SelectField from '../../base/controls/SelectField.vue';
import { useAttempt } from '../../base/attempt/index.ts';
import ChoiceField from '../../base/controls/ChoiceField.vue';
import QuantityField from '../../base/controls/QuantityField.vue';
import { useDraft } from '../../base/draft/index.ts';
import { useSession } from '../../base/session/session.ts';
import FigureFields from '../vehicles/FigureFields.vue';
import { useVehicles } from '../vehicles/vehicles.ts';
import WideTable from '../../base/controls/WideTable.vue';
import type { BenchEmits, BenchProps } from './bench.ts';
import AirBench from './AirBench.vue';
import AnswerFoot from './AnswerFoot.vue';
import LimitBars from './LimitBars.vue';

/** What should tow it: a class of vehicle or a buyer's own figures, people, both schools. */
const props = defineProps<BenchProps>();
const emit = defineEmits<BenchEmits>();
const outcome = computed(() => props.asking.of(tow.work));
const session = useSession();
const vehicles = useVehicles();
onMounted(() => {
  if (!vehicles.loaded) void vehicles.load();
});

/** The vehicle that is tried stands in the list also where it was taken off it since. */
const listed = computed(() => {
  const { key, label } = props.trial.vehicle;
  const all = vehicles.all.map((row) => ({ key: row.key, label: row.label }));
  return all.some((row) => row.key === key) ? all : [...all, { key, label }];
});
const choose = (key: string): void => {
  const vehicle = vehicles.all.find((row) => row.key === key);
  if (vehicle) emit('set', { vehicle });
};
const main = ['payload', 'towRating', 'gcwr', 'curb', 'receiver', 'receiverDistributing'] as const;
const rear = ['rearRating', 'rearUnladen', 'wheelbase', 'overhang'] as const;
const hasRear = computed(() => rear.some((key) => props.trial.vehicle.figures[key] !== undefined));

const hitches = [
  { key: true, label: 'weight-distributing' },
  { key: false, label: 'plain ball' },
];
const reserves = [0, 0.1, usualReserve, 0.25].map((key) => ({
  key,
  label: key === 0 ? 'in full' : `${percent(key, 0)} to spare`,
}));
const house = computed(() => {
  const side = session.houseView('tow-margin');
  return schoolEntry('tow-margin').sides.find(({ key }) => key === side);
});

const { draft: name, keepWith } = useDraft({
  place: () => `vehicle.name.${props.unit ?? 'walk-in'}`,
  what: () => 'The name of a buyer’s vehicle',
  fresh: () => '',
});
const { done: news, problem: wrong, attempt } = useAttempt();
/** Whether the figures are not those of a class any more. */
const isOwn = computed(() => {
  const { vehicle } = props.trial;
  const usual = vehicleClasses.find(({ key }) => key === vehicle.key);
  return usual !== undefined && JSON.stringify(usual.figures) !== JSON.stringify(vehicle.figures);
});
const putVehicle = (): Promise<boolean> => {
  const vehicle: Vehicle = {
    ...props.trial.vehicle,
    key: crypto.randomUUID(),
    label: name.value.trim(),
    kind: 'buyer',
  };
  return attempt(async () => {
    await vehicles.put(vehicle);
    emit('set', { vehicle });
  }, `${vehicle.label} is saved for every unit.`);
};
const keepVehicle = (): Promise<boolean> => keepWith(putVehicle);

const show = (amount: number): string => formatQuantity(amount, 'weight', props.system);
const schools = computed(() => outcome.value.value?.schools ?? []);
const schoolName = (reserve: number): string =>
  reserve === 0 ? 'Full ratings' : `${percent(reserve, 0)} to spare`;
const verdict = (fits: boolean | undefined): string =>
  fits === undefined ? 'not all of it checked' : fits ? 'can tow this one' : 'can’t tow this one';
const leasts = computed(() => {
  const { least, leastAtGross, taken, as } = outcome.value.value ?? {};
  return [
    ...(taken === 'loaded' ? [{ label: as ?? '', least }] : []),
    { label: 'at its GVWR', least: leastAtGross },
  ].flatMap(({ label, least: one }) => (one ? [{ label, least: one }] : []));
});
</script>

<template>
  <div class="bench">
    <AnswerFoot :outcome="outcome" :unit="unit" short />
    <div class="fields level">
      <SelectField
        label="Vehicle"
        :model-value="trial.vehicle.key"
        :choices="listed"
        @update:model-value="choose"
      />
      <QuantityField
        label="People and gear in it"
        display="weight"
        :system="system"
        :most="4000"
        placeholder="nobody"
        :model-value="trial.aboard"
        @update:model-value="(to) => emit('set', { aboard: to ?? 0 })"
      />
      <ChoiceField
        label="Hitch"
        :choices="hitches"
        :model-value="trial.distributing"
        @update:model-value="(to) => emit('set', { distributing: to })"
      />
      <ChoiceField
        label="Margin"
        :choices="reserves"
        :model-value="trial.reserve"
        @update:model-value="(to) => emit('set', { reserve: to })"
      />
    </div>
    <FigureFields
      :vehicle="trial.vehicle"
      :system="system"
      :keys="main"
      @set="(vehicle) => emit('set', { vehicle })"
    />
    <details :open="hasRear">
      <summary>Its rear axle too</summary>
      <FigureFields
        :vehicle="trial.vehicle"
        :system="system"
        :keys="rear"
        @set="(vehicle) => emit('set', { vehicle })"
      />
    </details>
    <form v-if="isOwn && session.may('record')" class="fields" @submit.prevent="keepVehicle">
      <div>
        <label for="tow-keep">Save these figures as a buyer’s vehicle</label>
        <InputText id="tow-keep" v-model="name" maxlength="60" placeholder="Gray truck, Saturday" />
      </div>
      <Button type="submit" severity="secondary" label="Save vehicle" :disabled="!name.trim()" />
    </form>
    <p v-if="news" role="status" class="small">{{ news }}</p>
    <p v-if="wrong" role="alert" class="wrong">{{ wrong }}</p>
    <RouterLink class="onward" :to="{ name: 'vehicles' }">All vehicles on this yard</RouterLink>
    <LimitBars
      v-if="outcome.value?.limits.length"
      :limits="outcome.value.limits"
      :first="outcome.value.binding"
      :system="system"
    />
    <WideTable label="Both views">
      <table>
        <caption class="small soft">
          Both views; the largest trailer is at this hitch percentage, loaded
        </caption>
        <tbody>
          <tr v-for="school in schools" :key="school.reserve">
            <th scope="row">
              {{ schoolName(school.reserve)
              }}<span
                v-if="house && (house.key === 'margin') === school.reserve > 0"
                class="small soft"
              >
                · our view</span
              >
            </th>
            <td>
              <span v-if="school.largest !== undefined"
                >up to <strong class="number">{{ show(school.largest) }}</strong></span
              >
            </td>
            <td :class="{ wrong: school.fits === false }">{{ verdict(school.fits) }}</td>
          </tr>
        </tbody>
      </table>
    </WideTable>
    <WideTable v-if="leasts.length" label="What the vehicle needs for this trailer">
      <table>
        <caption class="small soft">
          What the vehicle needs for this trailer
        </caption>
        <thead>
          <tr>
            <th scope="col"></th>
            <th scope="col">payload</th>
            <th scope="col">tow rating</th>
            <th scope="col">receiver</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in leasts" :key="row.label">
            <th scope="row">{{ row.label }}</th>
            <td class="number">{{ show(row.least.payload) }}</td>
            <td class="number">{{ show(row.least.towRating) }}</td>
            <td class="number">{{ show(row.least.receiver) }}</td>
          </tr>
        </tbody>
      </table>
    </WideTable>
    <AnswerFoot :outcome="outcome" :unit="unit" long />
    <AirBench :unit="unit" :record="record" :system="system" />
    <p class="small caution">
      Go by the vehicle’s door label, the maker’s tow guide and the receiver’s plate; the lowest one
      counts. A class is only typical figures.
    </p>
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
}

summary {
  min-height: 44px;
  padding-top: 10px;
  cursor: pointer;
}

.onward {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  justify-self: start;
}

table {
  border-collapse: collapse;
}

caption {
  padding-bottom: 4px;
  text-align: left;
}

th,
td {
  padding: 7px 22px 7px 0;
  border-bottom: var(--line) solid var(--hairline);
  text-align: left;
  font-weight: 400;
}

td.number {
  font-weight: var(--strong);
}

.caution {
  color: var(--brick);
}
</style>
