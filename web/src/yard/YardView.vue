<script setup lang="ts">
import { Download } from '@lucide/vue';
import Button from 'primevue/button';
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import {
  amountOf,
  formatQuantity,
  guessesIn,
  isFitted,
  basicsMissing,
  nameOf,
  nextNeed,
  openObjections,
  particularsOf,
} from '@fair-gable/core';
import OutlineStrip from '../outline/OutlineStrip.vue';
import { useSession } from '../people/session.ts';
import TakeFile from '../unit-file/TakeFile.vue';
import { objectionsTo, useUnits, type YardUnit } from './units.ts';

/** Every unit of the yard, drawn to one scale, with what it needs next. */
const units = useUnits();
const session = useSession();
const router = useRouter();
const notice = ref<{ text: string; wrong: boolean }>();

onMounted(() => units.load());

const lengthOf = (unit: YardUnit): number | undefined => amountOf(unit.record, 'overallLength');

const shown = (amount: number | undefined, display: 'feet' | 'weight'): string =>
  amount === undefined ? '—' : formatQuantity(amount, display, session.system);

const weights = (unit: YardUnit): string =>
  [amountOf(unit.record, 'uvw'), amountOf(unit.record, 'gvwr')]
    .map((w) => shown(w, 'weight').split(' ')[0])
    .join(' / ');

const rows = computed(() =>
  units.list
    .toSorted((a, b) => (lengthOf(a) ?? 0) - (lengthOf(b) ?? 0))
    .map((unit) => ({
      unit,
      name: nameOf(unit.record),
      particulars: particularsOf(unit.record),
      length: lengthOf(unit),
      need: nextNeed(unit.record, objectionsTo(unit.record, session.system)),
    })),
);

const longest = computed(() => Math.max(240, ...rows.value.map((row) => row.length ?? 0)));

const left = computed(() => {
  const records = units.list.map((u) => u.record);
  const sum = (n: (r: (typeof records)[number]) => number) => records.reduce((t, r) => t + n(r), 0);
  return {
    disagree: sum(
      (r) =>
        openObjections(objectionsTo(r, session.system)).filter((o) => o.severity !== 'look').length,
    ),
    measure: sum((r) => guessesIn(r).length),
    look: sum((r) => basicsMissing(r).length),
    prep: sum(
      (r) =>
        Object.values(r.features).filter(
          (f) => f && !isFitted(f.value.state) && f.value.state !== 'none',
        ).length,
    ),
  };
});

const taken = async (unit: { id: string; name: string }): Promise<void> => {
  notice.value = { text: `${unit.name} is in the yard.`, wrong: false };
  await router.push({ name: 'record', params: { id: unit.id } });
};
</script>

<template>
  <div class="yard">
    <header>
      <h1>{{ session.session?.yard.name }}</h1>
      <p class="soft">
        {{ units.list.length }} {{ units.list.length === 1 ? 'unit' : 'units' }} in stock, by length
      </p>
      <a v-if="rows.length" class="list" href="/api/stock-list.csv" download
        ><Download aria-hidden="true" />Save the list as CSV</a
      >
      <div v-if="session.may('record')" class="actions">
        <TakeFile @taken="taken" @refused="(text) => (notice = { text, wrong: true })" />
        <Button label="Take in a unit" @click="router.push({ name: 'take-in' })" />
      </div>
    </header>
    <p v-if="notice" :class="['notice', { wrong: notice.wrong }]" role="alert">{{ notice.text }}</p>
    <p v-if="units.problem" class="notice wrong" role="alert">
      {{ units.problem }} <button type="button" @click="units.load()">Try again</button>
    </p>
    <p v-else-if="!units.loaded" class="notice soft">Opening the yard…</p>
    <div v-else-if="rows.length === 0" class="empty">
      <h2>No unit stands here yet</h2>
      <p>Take one in by typing what its labels say, or bring in a unit file from another yard.</p>
    </div>
    <div v-else class="columns">
      <ol class="rows">
        <li v-for="row in rows" :key="row.unit.id">
          <RouterLink
            :to="{
              name: 'record',
              params: { id: row.unit.id, station: row.need.station ?? 'hitch' },
            }"
          >
            <span class="drawing">
              <OutlineStrip
                :record="row.unit.record"
                :system="session.system"
                :scale-to="longest"
                :label="`Outline of ${row.name}`"
              />
            </span>
            <span class="length number">{{ shown(row.length, 'feet') }}</span>
            <span class="name">
              <strong>{{ row.name }}</strong>
              <span class="small soft">{{ row.particulars }}</span>
            </span>
            <span class="weight">
              <span class="number">{{ weights(row.unit) }}</span>
              <span class="small soft"
                >{{ session.system === 'us' ? 'lb' : 'kg' }} as built / gross</span
              >
            </span>
            <span class="need" :class="row.need.urgency">{{ row.need.text }}</span>
          </RouterLink>
        </li>
      </ol>
      <aside aria-label="Left to do on the lot">
        <h2>Left to do on the lot</h2>
        <dl>
          <div>
            <dt>Numbers that disagree</dt>
            <dd class="number" :class="{ wrong: left.disagree > 0 }">{{ left.disagree }}</dd>
          </div>
          <div>
            <dt>Guesses to measure</dt>
            <dd class="number">{{ left.measure }}</dd>
          </div>
          <div>
            <dt>Not looked at yet</dt>
            <dd class="number">{{ left.look }}</dd>
          </div>
        </dl>
        <p class="small soft">
          {{ left.prep }} things in this yard are prepared or have room only: not to be sold as
          fitted.
        </p>
      </aside>
    </div>
  </div>
</template>

<style scoped>
.list {
  display: inline-flex;
  align-items: center;
  gap: 5px;
  min-height: 32px;
  color: var(--soft);
  font-size: 15px;
}

.list svg {
  width: 17px;
  height: 17px;
}

header {
  display: flex;
  align-items: baseline;
  flex-wrap: wrap;
  gap: 6px 16px;
  padding: 14px 24px 10px;
  border-bottom: 1px solid var(--hairline);
}

h1 {
  font-size: 26px;
}

.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-left: auto;
}

.notice,
.empty {
  padding: 14px 24px;
}

.empty {
  display: grid;
  gap: 8px;
  padding-top: 60px;
  justify-items: center;
  text-align: center;
}

.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
}

.rows a {
  display: grid;
  grid-template-columns: minmax(200px, 300px) 84px minmax(120px, 1.1fr) minmax(120px, 0.8fr) minmax(
      150px,
      1.4fr
    );
  align-items: center;
  gap: 14px;
  padding: 8px 20px 8px 24px;
  border-bottom: 1px solid var(--hairline);
  text-decoration: none;
}

.rows a:hover {
  background: var(--leaf);
  box-shadow: inset 3px 0 0 var(--ink);
}

.drawing :deep(svg) {
  height: auto;
}

.length {
  color: var(--soft);
  font-weight: 500;
}

.name,
.weight {
  display: grid;
}

strong {
  font: 700 18px var(--slab);
}

.weight .number {
  font-size: 17px;
}

.need {
  padding-left: 10px;
  border-left: 3px solid var(--spruce);
}

.need.now {
  border-left-color: var(--brick);
  border-left-style: double;
  border-left-width: 6px;
}

.need.soon {
  border-left-color: var(--amber);
}

aside {
  padding: 20px 24px;
  border-left: 1px solid var(--hairline);
}

aside h2 {
  padding-bottom: 6px;
  font-size: 18px;
}

dl > div {
  display: flex;
  justify-content: space-between;
  padding: 8px 0;
  border-top: 1px solid var(--hairline);
}

aside p {
  padding-top: 8px;
  border-top: 1px solid var(--hairline);
}

@media (width < 1100px) {
  .columns {
    grid-template-columns: 1fr;
  }

  aside {
    border-left: 0;
  }
}

@media (width < 760px) {
  header {
    padding: 12px 16px;
  }

  .actions {
    margin-left: 0;
  }

  .actions :deep(.p-button) {
    min-height: var(--thumb);
  }

  .rows a {
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 2px 12px;
    padding: 10px 16px;
  }

  .drawing,
  .need {
    grid-column: 1 / -1;
  }

  .length {
    grid-row: 2;
    grid-column: 2;
    text-align: right;
  }

  .weight {
    justify-items: end;
  }

  .name {
    grid-row: 2 / span 2;
  }

  .need {
    margin-top: 4px;
  }
}
</style>
