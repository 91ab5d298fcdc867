<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { computed, ref } from 'vue';
import { inText } from '@fair-gable/core/base/words';
import { formatQuantity } from '@fair-gable/core/base/quantity';
import { stationEntry } from '@fair-gable/core/unit/catalog';
import {
  inspectionState,
  inspectionOf,
  operableOf,
  operableWords,
  signInspection,
  type ItemOn,
} from '@fair-gable/core/unit/condition';
import { byWhom, type InspectionResult, type YardUnit } from '@fair-gable/core/unit/record';
import { useClock } from '../../base/clock/index.ts';
import { DraftMark, useDraft } from '../../base/draft/index.ts';
import { useSession } from '../../base/session/session.ts';
import PhotoStrip from '../photo/PhotoStrip.vue';
import { useSaving } from '../record/saving.ts';
import { itemAsTyped, itemChange, openAfter } from './typed-inspection.ts';

/** The pre-delivery inspection: what is tried, what was measured, and the technician's signature. */
const props = defineProps<{ unit: YardUnit }>();
const session = useSession();
const maySign = computed(() => session.may('inspect'));

const record = computed(() => props.unit.record);
const items = computed(() => inspectionOf(record.value));
const state = computed(() => inspectionState(record.value));
const clock = useClock();
const operable = computed(() => operableOf(record.value));

const open = ref<string>();
const here = computed(() => items.value.find(({ item }) => item.key === open.value));
/** What is typed at an item waits there while one looks at another. */
const { draft, keepWith } = useDraft({
  place: () => `${props.unit.id}.inspection.${open.value ?? ''}`,
  what: () => `Inspection: ${here.value?.item.label ?? ''}`,
  fresh: () => itemAsTyped(here.value, session.system),
  typed: ({ measured, note }) => [measured, note],
});
const { problem, save } = useSaving(() => props.unit.id);

const results = [
  { key: 'pass', label: 'Passed', mark: '●' },
  { key: 'fail', label: 'Failed', mark: '◇' },
  { key: 'not-tried', label: 'Not tried', mark: '◐' },
] as const satisfies readonly { key: InspectionResult; label: string; mark: string }[];
const rowOf = (entry: ItemOn['entry']) => results.find(({ key }) => key === entry?.value.result);

const begin = ({ item }: ItemOn): void => {
  problem.value = '';
  open.value = open.value === item.key ? undefined : item.key;
};

/** On to the next item that is open, at once: nobody waits for a network. */
const goOn = (on: ItemOn): void => {
  open.value = openAfter(items.value, on.item.key)?.item.key;
};

const keep = async (on: ItemOn, result: InspectionResult): Promise<void> => {
  const change = itemChange(on, result, draft.value, session.system);
  problem.value = typeof change === 'string' ? change : '';
  if (typeof change === 'string') return;
  const keeping = keepWith(() => save([change], inText(on.item.label)));
  goOn(on);
  // Nobody is taken from the item in hand; what was typed at this one waits there.
  if (!(await keeping)) problem.value = `${on.item.label}: ${problem.value}`;
};

/** Enter keeps the words under the result there is; it passes nothing. */
const enter = (on: ItemOn): void => {
  const had = on.entry?.value.result;
  if (had) void keep(on, had);
  else problem.value = `${on.item.label}: say whether it passed, failed or wasn’t tried.`;
};

const sign = (): Promise<boolean> =>
  save(
    signInspection(record.value, {
      by: session.session?.person.name ?? '',
      today: clock.today,
    }),
    'inspection signed',
  );
</script>

<template>
  <section aria-labelledby="inspection-title">
    <header class="page-head">
      <h2 id="inspection-title">Pre-delivery inspection</h2>
      <p class="soft">
        {{ state.passed }} of {{ state.of }} passed, {{ state.failed.length }} failed,
        {{ state.notTried.length }} not tried, {{ state.left.length }} left
      </p>
    </header>
    <p class="page-part standing" :class="{ wrong: !operable.may }">
      <strong>{{ operable.may ? 'OK to operate.' : 'Show and tell only.' }}</strong>
      {{ operableWords(operable, clock.timeZone) }}
    </p>
    <p class="page-part small soft caution">
      Propane, wiring, brakes and lifting are for licensed people; the maker’s list and local code
      come before this one.
      <template v-if="!maySign">A technician fills it in and signs it.</template>
    </p>
    <p v-if="problem" class="page-part wrong" role="alert">{{ problem }}</p>
    <ol>
      <li
        v-for="on in items"
        :key="on.item.key"
        :class="{ open: open === on.item.key }"
        :data-item="on.item.key"
      >
        <button type="button" class="head" :aria-expanded="open === on.item.key" @click="begin(on)">
          <span aria-hidden="true" class="mark">{{ rowOf(on.entry)?.mark ?? '○' }}</span>
          <strong>{{ on.item.label }}</strong>
          <span class="small soft">{{ stationEntry(on.item.station).label }}</span>
          <span class="number" :class="{ amber: on.unusual }">{{
            on.entry?.value.measured !== undefined && on.item.measure
              ? formatQuantity(on.entry.value.measured, on.item.measure.display, session.system)
              : ''
          }}</span>
          <span class="result" :class="{ wrong: on.entry?.value.result === 'fail' }">{{
            rowOf(on.entry)?.label ?? 'open'
          }}</span>
          <span v-if="on.entry?.value.note" class="small note">{{ on.entry.value.note }}</span>
          <span v-if="on.unusual && on.item.measure" class="small note amber"
            >usual is
            {{ formatQuantity(on.item.measure.from, on.item.measure.display, session.system) }} to
            {{ formatQuantity(on.item.measure.to, on.item.measure.display, session.system) }}</span
          >
        </button>
        <DraftMark
          v-if="open !== on.item.key"
          :place="`${unit.id}.inspection.${on.item.key}`"
          class="waits"
        />
        <div v-if="open === on.item.key" class="body">
          <p>{{ on.item.how }}</p>
          <p v-if="on.item.caution" class="wrong">{{ on.item.caution }}</p>
          <form v-if="maySign" class="fields" @submit.prevent="enter(on)">
            <div v-if="on.item.measure">
              <label :for="`${on.item.key}-measured`">Measured</label>
              <InputText
                :id="`${on.item.key}-measured`"
                v-model="draft.measured"
                inputmode="decimal"
                class="short"
              />
            </div>
            <div class="grow">
              <label :for="`${on.item.key}-note`">In a few words</label>
              <InputText :id="`${on.item.key}-note`" v-model="draft.note" maxlength="300" />
            </div>
            <div class="wide results">
              <Button
                v-for="result in results"
                :key="result.key"
                type="button"
                :severity="result.key === 'pass' ? undefined : 'secondary'"
                :label="result.label"
                @click="keep(on, result.key)"
              />
            </div>
          </form>
          <p v-if="on.entry" class="small soft">{{ byWhom(on.entry) }}</p>
          <PhotoStrip
            :unit="unit.id"
            :record="record"
            :target="`inspection.${on.item.key}`"
            :may-write="session.may('record')"
          />
        </div>
      </li>
    </ol>
    <div class="page-part">
      <p v-if="state.signed">Signed as it is here: {{ record.signatures['inspection']?.by }}.</p>
      <template v-else-if="maySign">
        <p v-if="state.left.length > 0" class="soft">
          {{ state.left.length }} items are left. What can’t be tried today, enter as not tried,
          with the reason.
        </p>
        <Button
          v-else
          label="Sign the inspection"
          :disabled="state.left.length > 0"
          @click="sign"
        />
      </template>
      <p v-else class="soft">Not signed as it is now.</p>
    </div>
  </section>
</template>

<style scoped>
.waits {
  padding: 0 24px 8px;
}

.standing {
  padding-bottom: 4px;
}

.caution {
  padding-top: 0;
}

li {
  border-bottom: var(--line) solid var(--hairline);
}

li.open {
  background: var(--leaf);
  box-shadow: inset 3px 0 0 var(--ink);
}

.head {
  display: grid;
  grid-template-columns: 22px minmax(0, 1.4fr) minmax(0, 0.8fr) 90px 90px;
  align-items: baseline;
  gap: 2px 12px;
  width: 100%;
  min-height: 48px;
  padding: 8px 24px;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
}

.head strong {
  font-weight: 600;
}

.note {
  grid-column: 2 / -1;
}

.body {
  display: grid;
  gap: 10px;
  padding: 0 24px 16px 58px;
}

.grow {
  flex: 1;
  min-width: 200px;
}

.grow :deep(input) {
  width: 100%;
}

.short {
  width: 8rem;
}

.results {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

@media (width < 760px) {
  .head {
    grid-template-columns: 22px minmax(0, 1fr) auto;
    min-height: 56px;
    padding-inline: 16px;
  }

  .head > .small.soft {
    display: none;
  }

  .head > .number {
    grid-row: 2;
    grid-column: 2;
  }

  .head > .number:empty {
    display: none;
  }

  .head > .result {
    grid-row: 1;
    grid-column: 3;
  }

  .body {
    padding-inline: 16px;
  }

  .results :deep(button) {
    flex: 1;
    min-height: var(--thumb);
  }
}
</style>
