<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { computed, onMounted } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { formatQuantity } from '@fair-gable/core/base/quantity';
import { vehicleFigures, type Vehicle, type VehicleFigureKey } from '@fair-gable/core/unit/record';
import { DraftMark, useDraft } from '../../base/draft/index.ts';
import FormNews from '../../base/controls/FormNews.vue';
import { useAttempt } from '../../base/attempt/index.ts';
import { useSession } from '../../base/session/session.ts';
import WideTable from '../../base/controls/WideTable.vue';
import FigureFields from './FigureFields.vue';
import { useVehicles } from './vehicles.ts';

/** What tows: the usual classes as this yard has them, and its buyers' own vehicles. */
const session = useSession();
const vehicles = useVehicles();
const { busy, done, problem, attempt } = useAttempt();
const mayWrite = computed(() => session.may('record'));
onMounted(() => vehicles.load());

const route = useRoute();
const router = useRouter();
/** One that nobody has kept yet. */
const blank: Vehicle = { key: 'new', label: '', kind: 'buyer', figures: {} };
/** The vehicle whose figures are open is in the address: a draft's way back leads to it. */
const opened = computed(() => route.query['vehicle']?.toString());
const open = (vehicle?: string): Promise<unknown> => router.replace({ query: { vehicle } });
const {
  draft: editing,
  clear,
  keepWith,
} = useDraft<{ vehicle?: Vehicle | undefined }>({
  place: () => `vehicles.${opened.value ?? ''}`,
  what: () => vehicles.all.find(({ key }) => key === opened.value)?.label ?? 'A buyer’s vehicle',
  fresh: () => {
    const known = vehicles.all.find(({ key }) => key === opened.value);
    return { vehicle: opened.value === blank.key ? blank : known };
  },
});
const draft = computed({
  get: () => editing.value.vehicle,
  set: (vehicle) => {
    editing.value = { vehicle };
  },
});
const groups = computed(() => [
  { key: 'class', title: 'By class', rows: vehicles.all.filter(({ kind }) => kind === 'class') },
  {
    key: 'buyer',
    title: 'Buyers’ own',
    rows: vehicles.all.filter(({ kind }) => kind === 'buyer'),
  },
]);
const columns = ['payload', 'towRating', 'gcwr', 'receiverDistributing'] as const;
const every = vehicleFigures.map(({ key }) => key);
const columnLabel = (key: VehicleFigureKey): string =>
  vehicleFigures.find((row) => row.key === key)?.label ?? key;
const text = ({ figures }: Vehicle, key: VehicleFigureKey): string => {
  const figure = figures[key];
  return figure ? formatQuantity(figure.amount, 'weight', session.system) : '';
};

const keepIt = async (): Promise<void> => {
  const vehicle = draft.value;
  if (!vehicle) return;
  const label = vehicle.label.trim();
  const key = vehicle.key === blank.key ? crypto.randomUUID() : vehicle.key;
  const put = () => vehicles.put({ ...vehicle, key, label });
  if (await keepWith(() => attempt(put, `${label} is saved.`))) await open();
};
const leave = (): Promise<unknown> => {
  clear();
  return open();
};
const drop = async ({ key, label, kind }: Vehicle): Promise<void> => {
  const news =
    kind === 'class' ? `${label} has its typical figures again.` : `${label} is removed.`;
  if (await attempt(() => vehicles.drop(key), news)) await leave();
};
</script>

<template>
  <section aria-labelledby="vehicles-title">
    <header class="page-head">
      <h1 id="vehicles-title">Vehicles that tow</h1>
      <p class="soft">typical figures, no maker’s; a vehicle’s own labels come first</p>
      <Button v-if="mayWrite" class="onward" label="A buyer’s vehicle" @click="open(blank.key)" />
    </header>
    <p v-if="vehicles.problem" class="page-part wrong" role="alert">{{ vehicles.problem }}</p>
    <FormNews class="page-part" :done="done" :problem="problem" />
    <form v-if="draft" class="page-part draft" @submit.prevent="keepIt">
      <div class="fields">
        <div class="name">
          <label for="vehicle-name">{{
            draft.kind === 'buyer' ? 'What to call it; no buyer’s name needed' : 'Class'
          }}</label>
          <InputText id="vehicle-name" v-model="draft.label" maxlength="60" required />
        </div>
      </div>
      <FigureFields
        :vehicle="draft"
        :system="session.system"
        :keys="every"
        @set="(to) => (draft = to)"
      />
      <p class="small soft">
        Enter each figure and where you found it. Rear axle, wheelbase and overhang are only needed
        for the rear axle.
      </p>
      <p class="fields">
        <Button type="submit" label="Save" :disabled="busy || !draft.label.trim()" />
        <Button
          v-if="vehicles.isOwn(draft.key)"
          severity="secondary"
          :label="draft.kind === 'class' ? 'Reset to typical figures' : 'Remove'"
          :disabled="busy"
          @click="drop(draft)"
        />
        <Button severity="secondary" text label="Leave it" @click="leave" />
      </p>
    </form>
    <div v-for="group in groups" :key="group.key" class="page-part">
      <h3>{{ group.title }}</h3>
      <p v-if="group.rows.length === 0" class="soft">
        None yet. Read a buyer’s door label and save it here; it’s there for every unit they look
        at.
      </p>
      <WideTable v-else :label="group.title">
        <table>
          <thead>
            <tr>
              <th scope="col">Vehicle</th>
              <th v-for="key in columns" :key="key" scope="col">{{ columnLabel(key) }}</th>
              <th scope="col"><span class="visually-hidden">Change it</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="vehicle in group.rows" :key="vehicle.key">
              <th scope="row">
                {{ vehicle.label
                }}<span
                  v-if="group.key === 'class' && vehicles.isOwn(vehicle.key)"
                  class="small soft"
                >
                  · ours</span
                >
              </th>
              <td
                v-for="key in columns"
                :key="key"
                :class="{ guess: vehicle.figures[key]?.from === 'class' }"
              >
                {{ text(vehicle, key) }}
              </td>
              <td>
                <Button
                  v-if="mayWrite"
                  severity="secondary"
                  text
                  :label="opened === vehicle.key ? 'Close' : 'Change'"
                  :aria-label="`${opened === vehicle.key ? 'Close' : 'Change'} ${vehicle.label}`"
                  @click="open(opened === vehicle.key ? undefined : vehicle.key)"
                />
                <DraftMark v-if="opened !== vehicle.key" :place="`vehicles.${vehicle.key}`" />
              </td>
            </tr>
          </tbody>
        </table>
      </WideTable>
    </div>
    <p class="page-part small caution">
      Go by the vehicle’s door label, the maker’s tow guide and the receiver’s plate; the lowest one
      counts.
    </p>
  </section>
</template>

<style scoped>
.draft {
  display: grid;
  gap: 14px;
  border-bottom: var(--line) solid var(--hairline);
  background: var(--leaf);
}

.name {
  flex: 1 1 300px;
}

table {
  border-collapse: collapse;
  min-width: 640px;
  width: 100%;
}

th,
td {
  padding: 8px 14px 8px 0;
  border-bottom: var(--line) solid var(--hairline);
  text-align: left;
  font-weight: 400;
}

thead th {
  color: var(--soft);
  font-size: 14px;
}

tbody th {
  font-weight: 600;
}

/* A figure and its unit are read as one. */
td {
  white-space: nowrap;
}

.caution {
  color: var(--brick);
}
</style>
