<script setup lang="ts">
import Button from 'primevue/button';
import Checkbox from 'primevue/checkbox';
import { computed, onMounted, ref } from 'vue';
import { useRoute } from 'vue-router';
import {
  findingsOf,
  operableOf,
  operableWords,
  disclosedFirst,
} from '@fair-gable/core/unit/condition';
import { stationAtSpot } from '@fair-gable/core/unit/outline';
import {
  whoBriefly,
  type Change,
  type Finding,
  type Spot,
  type YardUnit,
} from '@fair-gable/core/unit/record';
import { useClock } from '../../base/clock/index.ts';
import NumberField from '../../base/controls/NumberField.vue';
import { vTakesFocus } from '../../base/controls/takes-focus.ts';
import { useDraft, useTried } from '../../base/draft/index.ts';
import { useSession } from '../../base/session/session.ts';
import { useSaving } from '../record/saving.ts';
import FindingForm from './FindingForm.vue';
import FindingRow from './FindingRow.vue';
import { marksOf } from './marks.ts';
import SpotMap from './SpotMap.vue';

/** What was found on a unit, on its outline and in the order in which it is told. */
const props = defineProps<{ unit: YardUnit }>();
const session = useSession();
const route = useRoute();
const mayWrite = computed(() => session.may('record'));

const record = computed(() => props.unit.record);
const findings = computed(() => findingsOf(record.value));
const first = computed(() => disclosedFirst(record.value));
const marks = computed(() => marksOf(record.value));
const clock = useClock();
const operable = computed(() => operableOf(record.value));

const layer = ref<Spot['layer']>('outside');
const open = ref<string>();
const { problem, save } = useSaving(() => props.unit.id);

/** What is being added, and where it was tapped: it is open again whoever leads away from it meanwhile. */
interface Adding {
  readonly what?: 'finding' | 'moisture';
  readonly spot?: Spot;
}
const {
  value: adding,
  set: setAdding,
  clear: stopAdding,
} = useTried<Adding>(
  () => `${props.unit.id}.condition.new`,
  () => ({}),
);
const {
  draft: reading,
  clear: clearReading,
  keepWith,
} = useDraft({
  place: () => `${props.unit.id}.moisture.new`,
  what: () => 'A moisture reading',
  fresh: (): { percent: number | null; isDry: boolean } => ({ percent: null, isDry: false }),
});
const spot = computed(() => adding.value.spot);
const near = computed(() => spot.value && stationAtSpot(record.value, spot.value));

const addFinding = async (value: Finding): Promise<boolean> => {
  const id = crypto.randomUUID();
  const change: Change = { part: 'findings', key: id, value, how: 'seen', basedOn: 0 };
  if (!(await save([change], 'finding'))) return false;
  stopAdding();
  open.value = id;
  return true;
};

const addReading = async (): Promise<void> => {
  const { percent, isDry } = reading.value;
  if (!spot.value || percent === null) return;
  const value = { at: { ...spot.value }, percent, dry: isDry };
  const key = crypto.randomUUID();
  const change: Change = { part: 'moisture', key, value, how: 'measured', basedOn: 0 };
  // The next one is taken elsewhere.
  if (await keepWith(() => save([change], 'moisture reading'))) setAdding({ what: 'moisture' });
};
const doneReading = (): void => {
  clearReading();
  stopAdding();
};

const readings = computed(() =>
  Object.entries(record.value.moisture).flatMap(([id, entry]) => (entry ? [{ id, entry }] : [])),
);
const dropReading = (id: string, basedOn: number): Promise<boolean> =>
  save([{ part: 'moisture', key: id, value: null, how: 'measured', basedOn }], 'reading taken off');

onMounted(() => (open.value = route.query['finding'] ? String(route.query['finding']) : undefined));
</script>

<template>
  <section aria-labelledby="condition-title">
    <header class="page-head">
      <h2 id="condition-title">Findings</h2>
      <p class="soft">
        {{ findings.length === 0 ? 'Nothing found yet' : `${findings.length} found` }};
        {{ first.length }} to disclose first. {{ operableWords(operable, clock.timeZone) }}
      </p>
    </header>
    <div class="columns">
      <SpotMap
        v-model:layer="layer"
        :record="record"
        :system="session.system"
        :marks="
          spot
            ? [...marks, { id: 'new', at: spot, text: 'The new one', shape: 'ring' as const }]
            : marks
        "
        :here="open"
        :tapping="adding.what !== undefined"
        @tap="(at) => setAdding({ ...adding, spot: at })"
        @open="(id) => (open = id)"
      />
      <div class="list">
        <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
        <div v-if="mayWrite && !adding.what" class="actions">
          <Button label="Add a finding" @click="setAdding({ what: 'finding' })" />
          <Button
            severity="secondary"
            label="Add a moisture reading"
            @click="setAdding({ what: 'moisture' })"
          />
        </div>
        <div v-if="adding.what === 'finding'" class="adding">
          <h3>A finding</h3>
          <FindingForm
            :spot="spot"
            :near="near"
            :place="`${unit.id}.findings.new`"
            :keep="addFinding"
            @cancel="stopAdding"
          />
        </div>
        <form
          v-else-if="adding.what === 'moisture'"
          v-takes-focus
          class="adding fields"
          @submit.prevent="addReading"
        >
          <h3 class="wide">A moisture reading</h3>
          <p class="wide small soft">
            Tap where you took it. The scale is the meter’s own, so take one at a dry spot too and
            compare.
          </p>
          <div>
            <label for="moisture-percent">The meter shows</label>
            <NumberField
              v-model="reading.percent"
              name="The meter"
              input-id="moisture-percent"
              suffix=" %"
              :from="0"
              :to="100"
              clearable
              :max-fraction-digits="1"
            />
          </div>
          <div class="check">
            <Checkbox v-model="reading.isDry" binary input-id="moisture-dry" />
            <label for="moisture-dry">A dry spot, to compare</label>
          </div>
          <Button
            type="submit"
            label="Save reading"
            :disabled="!spot || reading.percent === null"
          />
          <Button
            type="button"
            severity="secondary"
            label="Done with readings"
            @click="doneReading"
          />
          <p v-if="!spot" class="wide small amber">Tap on the outline where you took it.</p>
        </form>
        <p v-if="findings.length === 0 && !adding.what" class="empty">
          Walk around once just for damage: seals, corners, decals with light along the wall, wheel
          wells, floors under your foot. What you find gets disclosed first, in your own words.
        </p>
        <ol v-else aria-label="Findings, in the order you tell them">
          <FindingRow
            v-for="found in findings"
            :key="found.id"
            :unit="unit.id"
            :record="record"
            :found="found"
            :open="open === found.id"
            :may-write="mayWrite"
            :may-sign="session.may('inspect')"
            :keep="save"
            @toggle="open = open === found.id ? undefined : found.id"
          />
        </ol>
        <section v-if="readings.length" class="readings" aria-label="Moisture readings">
          <h3>Moisture readings</h3>
          <ul>
            <li v-for="{ id, entry } in readings" :key="id">
              <span class="number">{{ entry.value.percent }}%</span>
              <span>{{ entry.value.dry ? 'at a dry spot' : entry.value.at.layer }}</span>
              <span class="small soft">{{ whoBriefly(entry) }}</span>
              <button
                v-if="mayWrite"
                type="button"
                class="plain small"
                @click="dropReading(id, entry.version)"
              >
                remove
              </button>
            </li>
          </ul>
        </section>
      </div>
    </div>
  </section>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: 340px minmax(0, 1fr);
  gap: 20px;
  padding: 14px 24px;
}

.list {
  display: grid;
  align-content: start;
  gap: 12px;
}

.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.adding {
  padding: 12px 14px;
  background: var(--tint);
  border-left: 3px solid var(--ink);
}

.adding h3 {
  padding-bottom: 8px;
}

.check {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 44px;
}

.empty {
  padding: 20px 0;
  max-width: 56ch;
}

.readings h3 {
  font-size: 17px;
}

.readings li {
  display: flex;
  align-items: center;
  gap: 14px;
  min-height: 40px;
  border-bottom: var(--line) solid var(--hairline);
}

.plain {
  min-height: 32px;
  margin-left: auto;
  border: 0;
  background: none;
  text-decoration: underline;
  cursor: pointer;
}

@media (width < 760px) {
  .columns {
    grid-template-columns: 1fr;
    padding-inline: 16px;
  }
}
</style>
