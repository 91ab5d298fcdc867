<script setup lang="ts">
import { Download } from '@lucide/vue';
import Button from 'primevue/button';
import { computed } from 'vue';
import { counted } from '@fair-gable/core/base/words';
import { entryFor, knownBy } from '@fair-gable/core/unit/catalog';
import {
  changesToFollow,
  forbiddenPairs,
  isForSheets,
  packagesOn,
  unitDifferences,
  type UnitDifference,
} from '@fair-gable/core/unit/model-sheet';
import {
  fieldLabel,
  fieldText,
  nameOf,
  particularsOf,
  textOf,
  whoBriefly,
  type SpecValue,
  type YardUnit,
} from '@fair-gable/core/unit/record';
import { useAttempt } from '../../base/attempt/index.ts';
import EvidenceMark from '../../base/evidence/EvidenceMark.vue';
import { useSession } from '../../base/session/session.ts';
import { useEdits } from '../record/edits.ts';
import { sheetName, useSheets } from './sheets.ts';

/** A unit beside its model sheet: taken over at once, and what is not as ordered. */
const props = defineProps<{ unit: YardUnit }>();
const sheets = useSheets();
const session = useSession();
const edits = useEdits();

const { busy, done: news, problem, attempt } = useAttempt();

const record = computed(() => props.unit.record);
const inherited = computed(() => sheets.inherited(record.value));
const sheet = computed(() => inherited.value?.sheet);
const model = computed(() =>
  ['series', 'floorPlan', 'modelYear']
    .flatMap((key) => textOf(record.value, key as 'series') ?? [])
    .join(' '),
);

const toTake = computed(() =>
  inherited.value
    ? changesToFollow(record.value, inherited.value.values).filter(({ basedOn }) => basedOn === 0)
    : [],
);
const differences = computed(() =>
  inherited.value ? unitDifferences(record.value, inherited.value.values) : [],
);

const packages = computed(() => {
  const all = sheet.value?.packages ?? [];
  const { keys, strange } = packagesOn(record.value, all);
  return {
    on: all.filter((p) => p.standard || keys.includes(p.key)),
    strange,
    forbidden: forbiddenPairs(keys, all),
  };
});
const changesSince = computed(() => {
  const built = textOf(record.value, 'buildDate');
  return (sheet.value?.midYear ?? []).map((change) => ({
    ...change,
    onUnit:
      built === undefined
        ? 'unknown here until its build date is read'
        : built.slice(0, 7) >= change.from
          ? 'this unit was built after'
          : 'this unit was built before',
  }));
});

const take = (): Promise<boolean> =>
  attempt(
    () => edits.change(props.unit.id, toTake.value, 'the model sheet'),
    `${toTake.value.length} fields filled in. What only the sheet says, check with your own eyes.`,
  );

const offer = ({ part, key, unit }: UnitDifference): Promise<boolean> =>
  attempt(
    async () => {
      const found =
        'state' in unit.value ? { feature: unit.value.state } : { spec: unit.value as SpecValue };
      const unitName = `${nameOf(record.value)} · ${particularsOf(record.value)}`;
      await sheets.offer(sheet.value?.id ?? '', {
        unit: props.unit.id,
        unitName: unitName.slice(0, 120),
        part,
        key,
        ...found,
      });
    },
    `${fieldLabel(part, key)} is suggested for the sheet; a manager decides.`,
  );

const isOffered = ({ key }: UnitDifference): boolean =>
  sheets.all
    .find((kept) => kept.sheet.id === sheet.value?.id)
    ?.offers.some((o) => o.key === key && o.unit === props.unit.id) ?? false;

const bySheet = (d: UnitDifference): string =>
  fieldText(d.part, d.key, d.sheet, 'sheet', session.system);
const onUnit = (d: UnitDifference): string =>
  fieldText(d.part, d.key, d.unit.value, d.unit.how, session.system);
const word = (how: string): string => knownBy.find((row) => row.key === how)?.word ?? how;
const kinds = { missing: 'not there', extra: 'not ordered', other: '' } as const;
const print = (): void => window.print();
</script>

<template>
  <p v-if="!sheets.loaded" class="empty soft">Opening the sheet…</p>
  <section v-else-if="!sheet" class="empty">
    <h2>No model sheet for {{ model || 'this unit' }}</h2>
    <p>
      With a sheet for its series, floor plan and year, one tap fills the unit and you only check
      what differs.
    </p>
    <RouterLink :to="{ name: 'model-sheets' }">Go to model sheets</RouterLink>
  </section>
  <section v-else class="sheet">
    <header>
      <h2>
        <RouterLink :to="{ name: 'model-sheet', params: { sheet: sheet.id } }">{{
          sheetName(sheet)
        }}</RouterLink>
      </h2>
      <p class="soft">{{ sheet.source }}</p>
      <Button
        v-if="session.may('record') && toTake.length"
        :label="`Fill in ${counted(toTake.length, 'field')} from the sheet`"
        :loading="busy"
        @click="take"
      />
    </header>
    <p v-if="news" role="status" class="news">{{ news }}</p>
    <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
    <div class="columns">
      <section aria-labelledby="differences">
        <h3 id="differences">As ordered vs. as it came</h3>
        <p v-if="differences.length === 0" class="soft">So far, everything matches the sheet.</p>
        <table v-else>
          <thead>
            <tr>
              <th scope="col">Field</th>
              <th scope="col">On the sheet</th>
              <th scope="col">On this unit</th>
              <td></td>
            </tr>
          </thead>
          <tbody>
            <tr v-for="d in differences" :key="d.key" :data-difference="d.key">
              <th scope="row">
                <RouterLink
                  :to="{
                    name: 'record',
                    params: { id: unit.id, station: entryFor(d.key).station },
                    query: { field: d.key },
                  }"
                  >{{ fieldLabel(d.part, d.key) }}</RouterLink
                >
                <span v-if="kinds[d.kind]" class="small kind">{{ kinds[d.kind] }}</span>
              </th>
              <td>{{ bySheet(d) }}</td>
              <td>
                <span class="found"><EvidenceMark :how="d.unit.how" bare /> {{ onUnit(d) }}</span>
                <span class="small soft">{{ word(d.unit.how) }}, {{ whoBriefly(d.unit) }}</span>
              </td>
              <td class="way">
                <span v-if="isOffered(d)" class="small soft">suggested</span>
                <Button
                  v-else-if="session.may('record') && isForSheets(d.unit.value)"
                  severity="secondary"
                  size="small"
                  label="Suggest for the sheet"
                  :aria-label="`Suggest ${fieldLabel(d.part, d.key)} for the sheet`"
                  :disabled="busy"
                  @click="offer(d)"
                />
              </td>
            </tr>
          </tbody>
        </table>
        <p v-if="differences.length" class="send">
          <a :href="`/api/units/${unit.id}/as-ordered.csv`" download
            ><Download aria-hidden="true" />Save the list to send back</a
          >
          <button type="button" @click="print">Print it</button>
        </p>
      </section>
      <aside>
        <h3>Packages on it</h3>
        <ul>
          <li v-for="p in packages.on" :key="p.key">{{ p.name }}</li>
          <li v-if="packages.on.length === 0" class="soft">None on record.</li>
        </ul>
        <p v-for="name in packages.strange" :key="name" class="note">
          “{{ name }}” isn’t on the sheet. A different name, or year?
        </p>
        <p v-for="[a, b] in packages.forbidden" :key="a.key" class="note wrongly">
          {{ a.name }} and {{ b.name }} can’t be ordered together.
        </p>
        <template v-if="changesSince.length">
          <h3>Mid-year changes</h3>
          <p v-for="change in changesSince" :key="change.from">
            {{ change.says }}
            <span class="small soft">From {{ change.from }}: {{ change.onUnit }}</span>
          </p>
        </template>
        <template v-if="sheet.objections.length">
          <h3>What buyers object to</h3>
          <p v-for="o in sheet.objections" :key="o.says">
            <strong>“{{ o.says }}”</strong> {{ o.answer }}
          </p>
        </template>
        <template v-if="sheet.wouldChange.length">
          <h3>We’d change</h3>
          <p v-for="text in sheet.wouldChange" :key="text">{{ text }}</p>
        </template>
      </aside>
    </div>
  </section>
</template>

<style scoped>
.empty {
  display: grid;
  gap: 10px;
  padding: 50px 24px;
  justify-items: center;
  text-align: center;
}

.sheet > header {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 6px 16px;
  padding: 12px 24px;
}

h2 {
  font-size: 20px;
}

.news,
.sheet > .wrong {
  padding: 0 24px 10px;
}

.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  border-top: 1px solid var(--hairline);
}

.columns > * {
  padding: 14px 24px 40px;
}

aside {
  display: grid;
  gap: 8px;
  align-content: start;
  border-left: 1px solid var(--hairline);
}

h3 {
  padding-top: 6px;
  font-size: 17px;
}

table {
  width: 100%;
  border-collapse: collapse;
}

th,
td {
  padding: 9px 12px 9px 0;
  border-bottom: 1px solid var(--hairline);
  text-align: left;
  vertical-align: top;
}

thead th {
  color: var(--soft);
  font-size: 14px;
  font-weight: 600;
}

.kind {
  display: block;
  color: var(--brick);
  font-weight: 500;
}

.found {
  display: flex;
  gap: 6px;
  font-weight: 600;
}

.way {
  text-align: right;
}

.send {
  display: flex;
  gap: 18px;
  padding-top: 12px;
}

.send a,
.send button {
  display: inline-flex;
  align-items: center;
  gap: 5px;
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}

.send svg {
  width: 17px;
  height: 17px;
}

.note {
  padding-left: 10px;
  border-left: 3px solid var(--amber);
}

.note.wrongly {
  border-left-color: var(--brick);
}

@media (width < 900px) {
  .columns {
    grid-template-columns: 1fr;
  }

  aside {
    border-left: 0;
    border-top: 1px solid var(--hairline);
  }

  .columns > *,
  .sheet > header {
    padding-inline: 16px;
  }

  table,
  tbody,
  tr,
  th,
  td {
    display: block;
  }

  thead {
    display: none;
  }

  tr {
    padding: 8px 0;
    border-bottom: 1px solid var(--hairline);
  }

  th,
  td {
    padding: 2px 0;
    border: 0;
  }

  td:nth-of-type(1)::before {
    color: var(--soft);
    content: 'On the sheet: ';
  }

  .way {
    text-align: left;
  }
}

@media print {
  aside,
  .way,
  .send,
  .sheet > header .p-button {
    display: none;
  }

  .columns {
    grid-template-columns: 1fr;
  }
}
</style>
