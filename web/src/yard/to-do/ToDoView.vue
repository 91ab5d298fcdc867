<script setup lang="ts">
import Button from 'primevue/button';
import SelectButton from 'primevue/selectbutton';
import { computed, onMounted, ref } from 'vue';
import type { RouteLocationRaw } from 'vue-router';
import { counted } from '@fair-gable/core/base/words';
import { formatDate } from '@fair-gable/core/base/dates';
import { stationEntry } from '@fair-gable/core/unit/catalog';
import { textOf } from '@fair-gable/core/unit/record';
import { chores, leftInOrder, type Chore, type LeftRow } from '@fair-gable/core/yard/to-do';
import { vOneTab } from '../../base/controls/one-tab.ts';
import { useUnits } from '../../unit/units/units.ts';
import { useLeftRows } from './to-do.ts';

/** What is left to do across the yard: to measure, to confirm, to ask, to repair; on the phone or printed. */
const units = useUnits();
onMounted(() => {
  if (!units.loaded) void units.load();
});

/** So many at a time: the first are those that matter. */
const step = 60;
const shown = ref(step);
const chore = ref<Chore>();
const order = ref<'weight' | 'walk'>('weight');
const orders = [
  { key: 'weight', label: 'most important first' },
  { key: 'walk', label: 'in walking order' },
];

const { rows: found, lacking } = useLeftRows();
const all = computed(() => found.value ?? []);
const counts = computed(() =>
  chores.map((key) => ({ key, count: all.value.filter((row) => row.chore === key).length })),
);
const rows = computed(() =>
  leftInOrder(
    all.value.filter((row) => !chore.value || row.chore === chore.value),
    order.value,
  ),
);
const labels: Readonly<Record<Chore, string>> = {
  measure: 'to measure',
  confirm: 'to confirm',
  ask: 'to ask',
  repair: 'to repair',
};
const verbs: Readonly<Record<Chore, string>> = {
  measure: 'Measure',
  confirm: 'Confirm',
  ask: 'Ask',
  repair: 'Repair',
};

const stockOf = ({ unit }: LeftRow): string => {
  const record = units.summaries.get(unit)?.record;
  return (record && textOf(record, 'stockNumber')) ?? 'no stock number';
};

/** Where the row is done. */
const placeOf = ({ target, unit, station }: LeftRow): RouteLocationRaw => {
  const [part, key = ''] = target.split('.');
  const params = { id: unit };
  switch (part) {
    case 'findings':
      return { name: 'condition', params, query: { finding: key } };
    case 'inspection':
      return { name: 'inspection', params };
    case 'questions':
      return { name: 'questions', params, query: { question: key } };
    default:
      return { name: 'record', params: { id: unit, station }, query: { field: key } };
  }
};

const printing = async (): Promise<void> => {
  shown.value = rows.value.length;
  await new Promise((resolve) => setTimeout(resolve));
  window.print();
};
</script>

<template>
  <section aria-labelledby="left-title">
    <header class="page-head">
      <h1 id="left-title">To do</h1>
      <p class="soft">
        {{ counted(all.length, 'thing') }} on {{ new Set(all.map((row) => row.unit)).size }} units
      </p>
      <RouterLink :to="{ name: 'yard' }" class="onward">Back to the yard</RouterLink>
    </header>
    <p v-if="units.problem" class="page-part wrong" role="alert">{{ units.problem }}</p>
    <p v-else-if="!found" class="page-part soft">Opening the yard…</p>
    <p v-if="lacking" class="page-part soft" role="status">
      The records of {{ counted(lacking, 'unit') }} aren’t on this device, so they’re missing from
      this list. Come back with a network.
    </p>
    <p v-if="found && all.length === 0 && !lacking" class="page-part">
      Nothing to do: no estimates, no questions, no repairs.
    </p>
    <template v-else-if="all.length > 0">
      <div class="page-part choosing">
        <div role="group" aria-label="What to do" class="chores">
          <button type="button" :aria-pressed="!chore" @click="chore = undefined">all</button>
          <button
            v-for="one in counts"
            :key="one.key"
            type="button"
            :aria-pressed="chore === one.key"
            @click="chore = one.key"
          >
            {{ labels[one.key] }} {{ one.count }}
          </button>
        </div>
        <SelectButton
          v-model="order"
          v-one-tab
          :options="orders"
          option-label="label"
          option-value="key"
          :allow-empty="false"
          aria-label="Order"
        />
        <Button severity="secondary" class="print" label="Print the list" @click="printing" />
      </div>
      <ol>
        <li
          v-for="(row, i) in rows.slice(0, shown)"
          :key="`${row.unit} ${row.target}`"
          :data-left="row.target"
        >
          <h2 v-if="order === 'walk' && row.unit !== rows[i - 1]?.unit" class="unit">
            {{ row.unitName }} <span class="soft">{{ stockOf(row) }}</span>
          </h2>
          <RouterLink :to="placeOf(row)">
            <span class="box" aria-hidden="true"></span>
            <span class="verb">{{ verbs[row.chore] }}</span>
            <strong>{{ row.label }}</strong>
            <span class="small why" :class="row.chore">
              {{ row.why }}<template v-if="row.due">, by {{ formatDate(row.due) }}</template>
            </span>
            <span class="small soft">
              <template v-if="order === 'weight'"
                >{{ row.unitName }} · {{ stockOf(row) }} · </template
              >{{ stationEntry(row.station).number }} {{ stationEntry(row.station).label }}
            </span>
          </RouterLink>
        </li>
      </ol>
      <p v-if="rows.length > shown" class="page-part print">
        <Button
          severity="secondary"
          :label="`Show ${Math.min(step, rows.length - shown)} more of ${rows.length - shown}`"
          @click="shown += step"
        />
      </p>
    </template>
  </section>
</template>

<style scoped>
.choosing {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 18px;
  border-bottom: var(--line) solid var(--hairline);
}

.chores {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

.chores button {
  min-height: 44px;
  padding: 2px 12px;
  border: 1px solid var(--edge);
  border-radius: 5px;
  background: var(--leaf);
  cursor: pointer;
}

.chores button[aria-pressed='true'] {
  border: 2px solid var(--ink);
  font-weight: 700;
}

.unit {
  padding: 16px 24px 4px;
  font-size: 19px;
}

li > a {
  display: grid;
  grid-template-columns: 24px 74px minmax(0, 1.4fr) minmax(0, 1fr) minmax(0, 1.2fr);
  align-items: baseline;
  gap: 2px 12px;
  min-height: 44px;
  padding: 9px 24px;
  border-bottom: var(--line) solid var(--hairline);
  text-decoration: none;
}

li > a:hover {
  background: var(--leaf);
}

.box {
  width: 15px;
  height: 15px;
  border: 1.5px solid var(--ink);
}

.verb {
  color: var(--soft);
}

.why.repair,
.why.confirm {
  color: var(--brick);
}

.why.measure,
.why.ask {
  color: var(--amber);
}

@media (width < 760px) {
  .unit {
    padding-inline: 16px;
  }

  li > a {
    grid-template-columns: 24px auto minmax(0, 1fr);
    padding: 10px 16px;
  }

  .why,
  .why + .small {
    grid-column: 2 / -1;
  }
}

@media print {
  .choosing,
  .print,
  .onward {
    display: none;
  }

  li {
    break-inside: avoid;
  }
}
</style>
