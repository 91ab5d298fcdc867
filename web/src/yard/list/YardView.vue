<script setup lang="ts">
import { useWindowVirtualizer } from '@tanstack/vue-virtual';
import { useElementBounding, useMediaQuery } from '@vueuse/core';
import { Download } from '@lucide/vue';
import Button from 'primevue/button';
import { computed, defineAsyncComponent, onMounted, ref, type ComponentPublicInstance } from 'vue';
import { useRouter } from 'vue-router';
import { counted } from '@fair-gable/core/base/words';
import { amountOf } from '@fair-gable/core/unit/record';
import type { UnitSummary } from '@fair-gable/core/yard/summary';
import { useSession } from '../../base/session/session.ts';
import { useLeft } from '../to-do/to-do.ts';
import UnitRow from './UnitRow.vue';
import { useUnits, type TakenFile } from '../../unit/units/units.ts';
import { useYardView } from './view.ts';
import YardFilter from './YardFilter.vue';
import { useStillHere } from '../../base/controls/still-here.ts';

/** Every unit of the yard, drawn to one scale, with what it needs next. */
const units = useUnits();
const session = useSession();
const router = useRouter();
const isStillHere = useStillHere();
const notice = ref<{ text: string; wrong: boolean }>();
const { view, rows, shown: looked, unsure, set, whole, saved, keep, drop } = useYardView();
const left = useLeft();

onMounted(() => units.load());

const lengthOf = (unit: UnitSummary): number | undefined => amountOf(unit.record, 'overallLength');

const longest = computed(() =>
  looked.value.reduce((most, row) => Math.max(most, lengthOf(row.unit) ?? 0), 240),
);

/** Who looks at the yard need not wait for it. */
const TakeFile = defineAsyncComponent(() => import('../../unit/unit-file/TakeFile.vue'));

const wholeUpTo = 60;

/** Rows that are near the window are on the page, and no others: a long yard stays light. */
const list = ref<HTMLElement>();
const { top } = useElementBounding(list);
const isNarrow = useMediaQuery('(width < 760px)');
/** On the lot one walks to a unit; lists and files are asked for. */
const wantsFiles = ref(false);
const showsFiles = computed(() => !isNarrow.value || wantsFiles.value);
const keyed =
  (keys: readonly string[]) =>
  (i: number): string | number =>
    keys[i] ?? i;
const ids = computed(() => looked.value.map(({ unit }) => unit.id));
const virtual = useWindowVirtualizer(
  computed(() => ({
    count: looked.value.length,
    estimateSize: () => (isNarrow.value ? 178 : 82),
    // A short yard stands on the page whole; of a long one only a few rows wait beyond the window.
    overscan: looked.value.length <= wholeUpTo ? wholeUpTo : 5,
    scrollMargin: Math.round(top.value + window.scrollY),
    // Asked for ten thousand rows at a time: a plain array answers it.
    getItemKey: keyed(ids.value),
  })),
);
const measure = (element: Element | ComponentPublicInstance | null): void => {
  if (element instanceof Element) virtual.value.measureElement(element);
};
const visible = computed(() =>
  virtual.value.getVirtualItems().flatMap((item) => {
    const row = looked.value[item.index];
    return row ? [{ ...item, row }] : [];
  }),
);

const taken = async (unit: TakenFile): Promise<void> => {
  const text = unit.unsigned
    ? `${unit.name} is on the yard. Signatures don’t come with a file, so a technician has to inspect it here and sign.`
    : `${unit.name} is on the yard.`;
  notice.value = { text, wrong: false };
  // What was left out is read before one goes on.
  if (unit.unsigned || !isStillHere()) return;
  await router.push({ name: 'record', params: { id: unit.id } });
};
</script>

<template>
  <div class="yard">
    <header class="page-head">
      <h1>{{ session.session?.yard.name }}</h1>
      <p class="soft">{{ counted(units.list.length, 'unit') }} in stock</p>
      <p v-if="rows.length && showsFiles" class="files">
        <a class="list" href="/api/stock-list.csv" download
          ><Download aria-hidden="true" />Save the list as CSV</a
        >
      </p>
      <div class="actions">
        <template v-if="session.may('record')">
          <Button
            v-if="showsFiles"
            severity="secondary"
            label="Import a list"
            @click="router.push({ name: 'take-list' })"
          />
          <TakeFile
            v-if="showsFiles"
            @taken="taken"
            @refused="(text) => (notice = { text, wrong: true })"
          />
          <Button label="Add a unit" @click="router.push({ name: 'take-in' })" />
        </template>
        <button
          v-if="isNarrow && !showsFiles"
          type="button"
          class="plain"
          @click="wantsFiles = true"
        >
          Lists and files
        </button>
      </div>
    </header>
    <p v-if="notice" :class="['notice', { wrong: notice.wrong }]" role="alert">{{ notice.text }}</p>
    <p v-if="units.problem" class="notice wrong" role="alert">
      {{ units.problem }} <button type="button" @click="units.load()">Try again</button>
    </p>
    <p v-else-if="!units.loaded" class="notice soft" role="status">
      Opening the yard…
      <template v-if="units.coming"
        >{{ units.coming.read }} of {{ units.coming.of }} units</template
      >
    </p>
    <div v-else-if="rows.length === 0" class="empty">
      <h2>No units here yet</h2>
      <p>Add one by typing what its labels say, or import a unit file from another yard.</p>
    </div>
    <template v-else>
      <YardFilter
        :view="view"
        :count="looked.length"
        :unsure="unsure"
        :saved="saved"
        :keep="keep"
        :drop="drop"
        @set="set"
        @whole="whole"
      />
      <div class="columns">
        <div>
          <p v-if="looked.length === 0" class="notice">
            No units match.
            <button type="button" class="plain" @click="whole">Show all units</button>
          </p>
          <ol
            ref="list"
            class="rows"
            aria-label="Units"
            :style="{ height: `${virtual.getTotalSize()}px` }"
          >
            <li
              v-for="{ row, index, start } in visible"
              :key="row.unit.id"
              :ref="measure"
              :data-index="index"
              :aria-setsize="looked.length"
              :aria-posinset="index + 1"
              :style="{ transform: `translateY(${start - virtual.options.scrollMargin}px)` }"
            >
              <UnitRow :row="row" :view="view" :system="session.system" :longest="longest" />
            </li>
          </ol>
        </div>
        <aside aria-label="To do on the lot">
          <h2>To do on the lot</h2>
          <dl>
            <div>
              <dt>Numbers that disagree</dt>
              <dd class="number" :class="{ wrong: left.disagree > 0 }">{{ left.disagree }}</dd>
            </div>
            <div>
              <dt>
                <RouterLink :to="{ name: 'yard-left' }">To measure or confirm</RouterLink>
              </dt>
              <dd class="number">{{ left.confirm }}</dd>
            </div>
            <div>
              <dt>Not checked yet</dt>
              <dd class="number">{{ left.look }}</dd>
            </div>
          </dl>
          <p class="small soft">
            {{ left.prep }} things on this yard are prep only or room only. Don’t sell them as
            fitted.
          </p>
          <p v-if="!units.isKeptWhole" class="small soft">
            With this many units, only the ones you’ve opened stay on this device. The others need a
            network.
          </p>
        </aside>
      </div>
    </template>
  </div>
</template>

<style scoped>
.files {
  display: flex;
  gap: 16px;
}

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

.rows {
  position: relative;
}

.rows li {
  position: absolute;
  inset: 0 0 auto;
}

.plain {
  border: 0;
  background: none;
  text-decoration: underline;
  cursor: pointer;
}

dt a {
  display: inline-flex;
  min-height: 24px;
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
  .actions {
    flex-basis: 100%;
  }

  .actions .plain {
    min-height: var(--thumb);
  }

  .actions :deep(.p-button) {
    min-height: var(--thumb);
  }
}
</style>
