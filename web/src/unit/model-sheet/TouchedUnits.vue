<script setup lang="ts">
import Button from 'primevue/button';
import Checkbox from 'primevue/checkbox';
import { computed, onMounted, ref } from 'vue';
import { counted } from '@fair-gable/core/base/words';
import type { HowKnown } from '@fair-gable/core/unit/catalog';
import {
  composed,
  doubtsOfSheet,
  seriesSheetOf,
  type ModelSheet,
  type Touched,
} from '@fair-gable/core/unit/model-sheet';
import {
  emptyRecord,
  entryOf,
  fieldLabel,
  fieldText,
  type Change,
} from '@fair-gable/core/unit/record';
import { useClock } from '../../base/clock/index.ts';
import { vTakesFocus } from '../../base/controls/takes-focus.ts';
import { useSession } from '../../base/session/session.ts';
import { useUnits } from '../units/units.ts';
import { useSheets } from './sheets.ts';

/** The units that a sheet would touch, before it is kept: which of them are to follow it. */
const props = defineProps<{
  units: readonly Touched[];
  busy: boolean;
  sheet: ModelSheet;
  /** As kept so far. */
  before: ModelSheet | undefined;
}>();
const emit = defineEmits<{ keep: [units: readonly string[]]; back: [] }>();
const session = useSession();
const yard = useUnits();
const sheets = useSheets();

/** Units that follow the sheet already go on following; others are asked for. */
const isFollowing = ({ id }: Touched): boolean =>
  yard.summaries.get(id)?.verdict.followsSheet === true;
const chosen = ref<string[]>([]);
/** Opened by its address, the page has to fetch the yard's units before it knows which of them follow. */
onMounted(async () => {
  if (!yard.loaded) await yard.load();
  chosen.value = props.units.filter(isFollowing).map(({ id }) => id);
  for (const { id } of props.units) await yard.open(id).catch(() => undefined);
});

const shown = 6;
/** What it says now, and what it will say; where another source stays shown, what the sheet will say beside it. */
const textOf = (unit: string, change: Change): string => {
  const { part, key, value, how } = change;
  const words = (of: Change['value'], known: HowKnown): string =>
    fieldText(part, key, of, known, session.system);
  const had = entryOf(yard.units.get(unit)?.record ?? emptyRecord, part, key);
  const sheetSaid =
    had?.how === 'sheet' ? had : had?.others?.find((other) => other.how === 'sheet');
  const before = sheetSaid ? words(sheetSaid.value, 'sheet') : 'not listed';
  const beside = had && had.how !== 'sheet' ? `; shown stays ${words(had.value, had.how)}` : '';
  return `${fieldLabel(part, key)}: ${before} → ${words(value, how)}${beside}`;
};

/** What the checks would object to on every unit of it, were it kept so. */
const doubts = computed(() => {
  const valuesOf = (sheet: ModelSheet) => composed(sheet, seriesSheetOf(sheet, sheets.plain));
  return doubtsOfSheet(valuesOf(props.sheet), props.before && valuesOf(props.before), {
    system: session.system,
    today: useClock().today,
  });
});
</script>

<template>
  <section class="touched" aria-labelledby="touched-title">
    <h2 id="touched-title" v-takes-focus>
      {{
        units.length === 0
          ? 'No unit on this yard changes'
          : `What this changes: ${counted(units.length, 'unit')}`
      }}
    </h2>
    <ul v-if="doubts.length" class="doubts" aria-label="Doubts">
      <li v-for="doubt in doubts" :key="doubt.id">
        <strong>{{ doubt.title }}.</strong> {{ doubt.sentence }}
      </li>
    </ul>
    <p class="soft">
      What was read, measured or seen on a unit stays; the sheet’s value is kept next to it.
    </p>
    <ul>
      <li v-for="unit in units" :key="unit.id">
        <Checkbox v-model="chosen" :input-id="`touch-${unit.id}`" :value="unit.id" />
        <label :for="`touch-${unit.id}`">
          <strong>{{ unit.name }}</strong> {{ unit.stockNumber ?? '' }}
          <span class="small soft"
            >{{ counted(unit.changes.length, 'field')
            }}{{ isFollowing(unit) ? '' : ', wasn’t on the sheet so far' }}</span
          >
          <span
            v-for="change in unit.changes.slice(0, shown)"
            :key="`${change.part}${change.key}`"
            class="change small"
            >{{ textOf(unit.id, change) }}</span
          >
          <span v-if="unit.changes.length > shown" class="small soft"
            >and {{ unit.changes.length - shown }} more</span
          >
        </label>
      </li>
    </ul>
    <div class="actions">
      <Button
        :label="
          chosen.length === 0
            ? 'Save the sheet, change no units'
            : `Save the sheet and change ${counted(chosen.length, 'unit')}`
        "
        :loading="busy"
        @click="emit('keep', chosen)"
      />
      <Button severity="secondary" label="Back to the sheet" @click="emit('back')" />
    </div>
  </section>
</template>

<style scoped>
.touched {
  display: grid;
  gap: 10px;
  max-width: 860px;
  padding: 16px 24px 40px;
}

li {
  display: grid;
  grid-template-columns: 28px 1fr;
  align-items: start;
  padding: 10px 0;
  border-top: 1px solid var(--hairline);
}

/* A check’s doubt reads as a note, not as a unit to be ticked. */
.doubts li {
  display: block;
  padding: 4px 0 4px 12px;
  border: 0;
  border-left: 3px solid var(--brick);
}

label {
  display: grid;
  gap: 2px;
  min-height: 32px;
  cursor: pointer;
}

.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}

@media (width < 760px) {
  .touched {
    padding-inline: 16px;
  }
}
</style>
