<script setup lang="ts">
import Button from 'primevue/button';
import Select from 'primevue/select';
import SelectButton from 'primevue/selectbutton';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { counted } from '@fair-gable/core/base/words';
import type { System } from '@fair-gable/core/base/quantity';
import { knownBy, type HowKnown } from '@fair-gable/core/unit/catalog';
import type { Column, Decimal } from '@fair-gable/core/unit/stock-list';
import { featureChoices, searched, specChoices } from '../../base/controls/field-choices.ts';
import ChoiceList from '../../base/controls/ChoiceList.vue';
import { vOneTab } from '../../base/controls/one-tab.ts';
import { ask, Stopped } from '../../base/api/client.ts';
import { useAttempt } from '../../base/attempt/index.ts';
import { useLongWork } from '../../base/long-work/index.ts';
import WorkBar from '../../base/long-work/WorkBar.vue';
import { useSession } from '../../base/session/session.ts';
import { systemNames } from '../../base/controls/systems.ts';
import { textOfList } from './decode.ts';
import {
  countsOf,
  problemAt,
  understoodAt,
  unmatched,
  withColumn,
  type Preview,
} from './preview.ts';
import { useUnits } from '../units/units.ts';
import { useStillHere } from '../../base/controls/still-here.ts';

/** A list of units from elsewhere: columns matched, looked at, then taken in. */
const session = useSession();
const units = useUnits();
const router = useRouter();
const isStillHere = useStillHere();
const input = ref<HTMLInputElement>();
const name = ref('');
const text = ref('');
const system = ref<System>(session.system);
const how = ref<HowKnown>('told');
const columns = ref<Column[]>();
/** How its numbers are written, once somebody said so; else the list itself says. */
const decimal = ref<Decimal>();
const preview = ref<Preview>();
const { busy, problem, attempt } = useAttempt();
const { isAtWork, progress, run, stop } = useLongWork();

const choices = [{ key: null, label: '— skip —', words: '' }, ...specChoices, ...featureChoices];
const systems = (['us', 'metric'] as const).map((key) => ({ key, label: systemNames[key] }));
const hows = knownBy.map(({ key, word }) => ({ key, label: word }));

const given = () => ({
  text: text.value,
  system: system.value,
  how: how.value,
  ...(columns.value ? { columns: columns.value } : {}),
  ...(decimal.value ? { decimal: decimal.value } : {}),
});

/** Whoever changes something meanwhile has looked anew; the earlier look is stopped, and nothing is said of it. */
let looked = 0;
const look = async (): Promise<void> => {
  const mine = (looked += 1);
  await attempt(async () => {
    try {
      const seen = await run((as) => ask('POST /api/stock-list/preview', { body: given() }, as));
      preview.value = seen;
      columns.value = [...seen.columns];
    } catch (error) {
      if (mine === looked && !(error instanceof Stopped)) throw error;
    }
  });
};

const choose = async (): Promise<void> => {
  const file = input.value?.files?.[0];
  if (!file) return;
  name.value = file.name;
  columns.value = undefined;
  decimal.value = undefined;
  preview.value = undefined;
  await attempt(async () => {
    text.value = '';
    text.value = textOfList(new Uint8Array(await file.arrayBuffer()), file.name);
  });
  if (input.value) input.value.value = '';
  if (text.value) await look();
};

const setColumn = (i: number, key: Column): void => {
  columns.value = columns.value && [...withColumn(columns.value, i, key)];
  void look();
};

const decimals = [
  { key: 'point', label: '7,490.5' },
  { key: 'comma', label: '7.490,5' },
] as const;
const setDecimal = (to: Decimal): void => {
  decimal.value = to;
  void look();
};

const counts = computed(() => (preview.value ? countsOf(preview.value) : { good: 0, bad: 0 }));

const take = (onlyGood: boolean): Promise<boolean> =>
  attempt(async () => {
    const list = { ...given(), onlyGood };
    await run((as) => ask('POST /api/stock-list', { body: list }, as)).finally(() => units.load());
    if (isStillHere()) await router.push({ name: 'yard' });
  });

const figure = (n: number): string => n.toLocaleString('en-US');
</script>

<template>
  <section class="take">
    <header>
      <h1>Import a list</h1>
      <p class="soft">
        CSV with a heading row and one row per unit. You see what it does before anything is
        imported; the same list twice changes nothing.
      </p>
    </header>
    <div class="how">
      <input
        ref="input"
        type="file"
        accept=".csv,.txt,.tsv,text/csv"
        hidden
        aria-label="List file"
        @change="choose"
      />
      <Button
        :label="name ? `Choose a different file than ${name}` : 'Choose a CSV file'"
        :severity="name ? 'secondary' : undefined"
        :loading="busy && !preview"
        @click="input?.click()"
      />
      <div>
        <span id="list-system" class="small soft">Numbers without a unit are in</span>
        <SelectButton
          v-model="system"
          v-one-tab
          :options="systems"
          option-label="label"
          option-value="key"
          :allow-empty="false"
          aria-labelledby="list-system"
          @update:model-value="preview && look()"
        />
      </div>
      <div>
        <span id="list-how" class="small soft">Its values are</span>
        <ChoiceList
          v-model="how"
          :choices="hows"
          aria-labelledby="list-how"
          @update:model-value="preview && look()"
        />
      </div>
    </div>
    <p v-if="problem" class="notice wrong" role="alert">{{ problem }}</p>
    <template v-if="preview">
      <p class="notice" role="status">
        <strong>{{ counted(preview.rows, 'line') }}:</strong>
        {{ counted(preview.fresh, 'new unit') }}, {{ counted(preview.changed, 'unit') }} here
        {{ preview.changed === 1 ? 'says' : 'say' }} otherwise, {{ figure(preview.same) }} as
        {{ preview.same === 1 ? 'it is' : 'they are'
        }}<template v-if="preview.badLines"
          >, <span class="wrong">{{ counted(preview.badLines, 'line') }} skipped</span></template
        ><template v-if="preview.badCells"
          >, <span class="wrong">{{ counted(preview.badCells, 'cell') }} skipped</span></template
        >.
      </p>
      <p v-if="unmatched(preview, columns ?? []).length" class="notice soft">
        Skipped, because we don’t know what they are:
        {{ unmatched(preview, columns ?? []).join(', ') }}. Choose a field over a column to take it
        in.
      </p>
      <div class="notice numbers">
        <span id="list-decimal">Its numbers are written</span>
        <SelectButton
          v-one-tab
          :model-value="preview.decimal"
          :options="[...decimals]"
          option-label="label"
          option-value="key"
          :allow-empty="false"
          aria-labelledby="list-decimal"
          @update:model-value="setDecimal"
        />
      </div>
      <div
        class="columns"
        tabindex="0"
        role="region"
        aria-label="The list’s columns and first lines"
      >
        <table>
          <thead>
            <tr>
              <th scope="col" class="soft">line</th>
              <th v-for="(heading, i) in preview.headings" :key="i" scope="col">
                <span :id="`heading-${i}`">{{ heading || 'no heading' }}</span>
                <Select
                  :model-value="columns?.[i] ?? null"
                  :options="choices"
                  option-label="label"
                  option-value="key"
                  filter
                  :filter-fields="searched"
                  auto-filter-focus
                  reset-filter-on-hide
                  placeholder="— skip —"
                  :class="{ out: columns?.[i] === null }"
                  :aria-labelledby="`heading-${i}`"
                  :virtual-scroller-options="{ itemSize: 40 }"
                  @update:model-value="(key: Column) => setColumn(i, key)"
                />
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(cells, line) in preview.sample" :key="line">
              <td class="soft">{{ line + 1 }}</td>
              <td
                v-for="(cell, i) in cells"
                :key="i"
                :class="{ out: columns?.[i] === null, bad: problemAt(preview, line + 1, i) }"
                :title="problemAt(preview, line + 1, i)"
              >
                {{ cell }}
                <small v-for="says in understoodAt(preview, line, i)" :key="says" class="soft">{{
                  says
                }}</small>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <section v-if="preview.problems.length" class="problems" aria-labelledby="problems">
        <h2 id="problems">What can’t be read</h2>
        <ul>
          <li v-for="(p, i) in preview.problems" :key="i">
            <span class="number">Line {{ p.line }}</span> {{ p.sentence }}
          </li>
        </ul>
        <p v-if="preview.problemCount > preview.problems.length" class="soft">
          and {{ figure(preview.problemCount - preview.problems.length) }} more.
        </p>
      </section>
      <footer>
        <Button
          v-if="counts.bad === 0"
          :label="
            counts.good === 0 ? 'Nothing to import' : `Import ${counted(counts.good, 'unit')}`
          "
          :disabled="counts.good === 0"
          :loading="busy"
          @click="take(false)"
        />
        <Button
          v-else
          :label="`Import what can be read: ${counted(counts.good, 'unit')}`"
          :disabled="counts.good === 0"
          :loading="busy"
          @click="take(true)"
        />
        <Button severity="secondary" label="Leave it" @click="router.push({ name: 'yard' })" />
      </footer>
    </template>
    <WorkBar v-if="isAtWork" class="notice work" :progress="progress" @stop="stop" />
  </section>
</template>

<style scoped>
/* However long the list is, how far it is stays in sight. */
.work {
  position: sticky;
  bottom: 0;
  padding-block: 12px;
  background: var(--paper);
}

td small {
  display: block;
}

.numbers {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
}

header,
.how,
.notice,
.problems,
footer {
  padding: 14px 24px;
}

header {
  border-bottom: 1px solid var(--hairline);
}

h1 {
  font-size: 26px;
}

.how {
  display: flex;
  align-items: end;
  flex-wrap: wrap;
  gap: 12px 24px;
}

.how > div {
  display: grid;
  gap: 3px;
}

.columns {
  overflow-x: auto;
  margin: 0 24px;
  border-block: 1px solid var(--hairline);
}

table {
  border-collapse: collapse;
}

th,
td {
  min-width: 60px;
  max-width: 220px;
  padding: 6px 14px 6px 0;
  overflow: hidden;
  text-align: left;
  text-overflow: ellipsis;
  white-space: nowrap;
}

th:first-child {
  vertical-align: bottom;
}

th span {
  display: block;
  padding-bottom: 4px;
}

th :deep(.p-select) {
  width: 200px;
}

tbody tr {
  border-top: 1px solid var(--hairline);
}

.out {
  color: var(--soft);
}

td.out {
  text-decoration: line-through;
}

td.bad {
  color: var(--brick);
  font-weight: 700;
}

.problems h2 {
  font-size: 18px;
}

.problems li {
  padding: 5px 0;
  border-bottom: 1px solid var(--hairline);
}

footer {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}

@media (width < 760px) {
  header,
  .how,
  .notice,
  .problems,
  footer {
    padding-inline: 16px;
  }

  .columns {
    margin: 0 16px;
  }
}
</style>
