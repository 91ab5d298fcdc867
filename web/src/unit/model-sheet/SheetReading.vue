<script setup lang="ts">
import { computed } from 'vue';
import { inText } from '@fair-gable/core/base/words';
import { entryFor, type FeatureKey } from '@fair-gable/core/unit/catalog';
import {
  composed,
  differenceText,
  packageEffect,
  seriesSheetOf,
  sheetDifferences,
  type ModelSheet,
  type SheetDifference,
  type SheetPackage,
} from '@fair-gable/core/unit/model-sheet';
import { fieldLabel, fieldText } from '@fair-gable/core/unit/record';
import { useSession } from '../../base/session/session.ts';
import { rowsByStation } from './draft.ts';
import { sheetName, useSheets } from './sheets.ts';

/** A model sheet as it is read: packages and what they do, the year before, sisters, objections, and the whole. */
const props = defineProps<{ sheet: ModelSheet }>();
const sheets = useSheets();
const session = useSession();

const valuesOf = (sheet: ModelSheet, built?: string) =>
  composed(sheet, seriesSheetOf(sheet, sheets.plain), { built });
const values = computed(() => valuesOf(props.sheet));
/** Without any package, not even those that every unit has. */
const bare = computed(() =>
  composed(props.sheet, seriesSheetOf(props.sheet, sheets.plain), { packages: 'none' }),
);
const stations = computed(() => rowsByStation(bare.value, session.system));

const names = (keys: readonly FeatureKey[]): string =>
  keys.map((key) => inText(entryFor(key).label)).join(', ');

/** What a package makes of a field; where nothing was said before, only what it is. */
const effectWords = (d: SheetDifference): string =>
  d.from === undefined && d.to
    ? `${fieldLabel(d.part, d.key)} ${fieldText(d.part, d.key, d.to, 'sheet', session.system)}`
    : differenceText(d, session.system);

const effectText = (pack: SheetPackage): readonly string[] => {
  const { adds, replaces, shrinks, changes } = packageEffect(pack, values.value);
  const words = (of: typeof shrinks) => of.map((d) => effectWords(d)).join('; ');
  const forbidden = props.sheet.packages.filter(
    (p) => pack.forbids.includes(p.key) || p.forbids.includes(pack.key),
  );
  return [
    adds.length > 0 ? `Adds ${names(adds)}.` : '',
    replaces.length > 0 ? `Replaces ${names(replaces)}.` : '',
    shrinks.length > 0 ? `Makes smaller: ${words(shrinks)}.` : '',
    changes.length > 0 ? `Then: ${words(changes)}.` : '',
    forbidden.length > 0 ? `Not with ${forbidden.map((p) => p.name).join(', ')}.` : '',
    pack.note ?? '',
  ].filter(Boolean);
};

/** The sheets this one is held against: the year before, and the sisters. */
const others = computed(() => {
  const before = sheets.plain.find(
    (s) =>
      s.year === props.sheet.year - 1 &&
      s.series === props.sheet.series &&
      s.floorPlan === props.sheet.floorPlan,
  );
  // A sister is one both ways, whichever sheet says so.
  const sisters = sheets.plain.filter(
    (s) => props.sheet.sisters.includes(s.id) || s.sisters.includes(props.sheet.id),
  );
  return [
    ...(before ? [{ sheet: before, title: `Since ${sheetName(before)}` }] : []),
    ...sisters.map((sheet) => ({ sheet, title: `Same as ${sheetName(sheet)} except` })),
  ].map(({ sheet, title }) => ({
    id: sheet.id,
    title,
    differences: sheetDifferences(valuesOf(sheet, `${sheet.year}-12`), values.value),
  }));
});
</script>

<template>
  <div class="reading">
    <section v-if="sheet.packages.length" aria-labelledby="packages">
      <h2 id="packages">Packages and options</h2>
      <dl>
        <div v-for="pack in sheet.packages" :key="pack.key">
          <dt>
            {{ pack.name }}<span v-if="pack.standard" class="small soft"> on every unit</span>
          </dt>
          <dd v-for="line in effectText(pack)" :key="line">{{ line }}</dd>
        </div>
      </dl>
    </section>
    <section v-if="sheet.midYear.length" aria-labelledby="mid-year">
      <h2 id="mid-year">Mid-year changes</h2>
      <dl>
        <div v-for="change in sheet.midYear" :key="change.from">
          <dt>Built from {{ change.from }}</dt>
          <dd>{{ change.says }}</dd>
          <dd
            v-for="d in sheetDifferences(values, valuesOf(sheet, change.from))"
            :key="d.key"
            class="small soft"
          >
            {{ differenceText(d, session.system) }}
          </dd>
        </div>
      </dl>
    </section>
    <section v-for="other in others" :key="other.id" :aria-label="other.title">
      <h2>{{ other.title }}</h2>
      <ul>
        <li v-for="d in other.differences" :key="d.key">{{ differenceText(d, session.system) }}</li>
        <li v-if="other.differences.length === 0" class="soft">Nothing.</li>
      </ul>
    </section>
    <section v-if="sheet.objections.length" aria-labelledby="objections">
      <h2 id="objections">What buyers object to, and the honest answer</h2>
      <dl>
        <div v-for="{ says, answer } in sheet.objections" :key="says">
          <dt>“{{ says }}”</dt>
          <dd>{{ answer }}</dd>
        </div>
      </dl>
    </section>
    <section v-if="sheet.wouldChange.length" aria-labelledby="would-change">
      <h2 id="would-change">We’d change</h2>
      <ul>
        <li v-for="text in sheet.wouldChange" :key="text">{{ text }}</li>
      </ul>
    </section>
    <section class="whole" aria-labelledby="whole">
      <h2 id="whole">Everything it says, without packages</h2>
      <details v-for="{ station, rows } in stations" :key="station.key">
        <summary>
          {{ station.number }} {{ station.label }} <span class="soft">· {{ rows.length }}</span>
        </summary>
        <dl class="rows">
          <div v-for="row in rows" :key="row.key">
            <dt>{{ row.label }}</dt>
            <dd>{{ row.text }}</dd>
          </div>
        </dl>
      </details>
    </section>
  </div>
</template>

<style scoped>
.reading {
  columns: 2 420px;
  column-gap: 36px;
  padding: 6px 24px 40px;
}

section {
  break-inside: avoid;
  padding: 12px 0;
}

.whole {
  break-inside: auto;
}

h2 {
  padding-bottom: 6px;
  border-bottom: 1px solid var(--hairline);
  font-size: 18px;
}

dl > div,
li {
  padding: 7px 0;
  border-bottom: 1px solid var(--hairline);
}

dt {
  font: 700 16px var(--slab);
}

summary {
  min-height: 40px;
  padding-top: 8px;
  font-weight: 600;
  cursor: pointer;
}

.rows > div {
  display: flex;
  justify-content: space-between;
  gap: 14px;
  padding: 4px 0 4px 14px;
}

.rows dt {
  font: 400 15px var(--plain);
}

.rows dd {
  font-weight: 600;
  text-align: right;
}

@media (width < 760px) {
  .reading {
    padding-inline: 16px;
  }
}
</style>
