<script setup lang="ts">
import { isAbout } from '@fair-gable/core/show/about';
import type { YardUnit } from '@fair-gable/core/unit/record';
import Button from 'primevue/button';
import Drawer from 'primevue/drawer';
import InputText from 'primevue/inputtext';
import Textarea from 'primevue/textarea';
import { useMediaQuery } from '@vueuse/core';
import { computed, watch } from 'vue';
import { noTalk, pointsOf, type Point } from '@fair-gable/core/show/cards';
import {
  aboutCard,
  claimsIn,
  withClaimMended,
  type Claim,
  type Grade,
} from '@fair-gable/core/show/claims';
import { stationEntry, type StationKey } from '@fair-gable/core/unit/catalog';
import { sheetFor } from '@fair-gable/core/unit/model-sheet';
import { stationsOn, usualRoute } from '@fair-gable/core/unit/route';
import { briefIn } from '@fair-gable/core/yard/summary';
import ChoiceList from '../../base/controls/ChoiceList.vue';
import ChoiceField from '../../base/controls/ChoiceField.vue';
import { useDraft } from '../../base/draft/index.ts';
import { useSession } from '../../base/session/session.ts';
import { sheetName, useSheets } from '../../unit/model-sheet/sheets.ts';
import { useUnits } from '../../unit/units/units.ts';
import { usePresenting } from '../plan/presenting.ts';
import { useAttempt } from '../../base/attempt/index.ts';
import { useWording, type Draft, type Place } from './wording.ts';

/** A card in one’s own words: what the record says, what the words claim, and for which units they hold. */
const props = defineProps<{ unit: YardUnit }>();
/** The card that is worded; `new` for one of one’s own. */
const of = defineModel<Point | 'new'>();
const session = useSession();
const sheets = useSheets();
const units = useUnits();
const wording = useWording();
const presenting = usePresenting();
const isPhone = useMediaQuery('(width < 900px)');

const point = computed(() => (of.value === 'new' ? undefined : of.value));
const isOwn = computed(
  () => of.value === 'new' || (point.value !== undefined && isAbout('own', point.value)),
);
/** The card as the record alone would word it. */
const plain = computed(() => {
  const bare = { ...props.unit.record, wordings: {} };
  const shown = presenting(props.unit.record);
  const talk = { ...(shown.talk ?? noTalk), wordings: {} };
  const all = pointsOf(bare, { ...shown, talk });
  return all.find(({ id }) => id === point.value?.id)?.sentence;
});

const sheet = computed(() => sheetFor(props.unit.record, sheets.plain));
const canSheet = computed(() => sheet.value !== undefined && session.may('manage') && !isOwn.value);
const { draft, clear, keepWith } = useDraft({
  place: () => `${props.unit.id}.wording.${point.value?.id ?? 'new'}`,
  what: () => `A card in your own words: ${point.value?.label ?? 'a new one'}`,
  fresh: () => {
    const { sentence = '', label = '', station = 'hitch', wanted } = point.value ?? {};
    const isOfSheet = point.value?.wordedBy === 'sheet' && canSheet.value;
    return {
      words: sentence,
      label,
      station: station as StationKey,
      wanted: (wanted ?? 'as-worth') as Draft['wanted'],
      place: (isOfSheet ? 'sheet' : 'unit') as Place,
    };
  },
});
const { busy, problem, clear: clearProblem, attempt } = useAttempt();
watch(of, clearProblem);

const places = computed(() => [
  { key: 'unit' as const, label: 'this unit' },
  { key: 'sheet' as const, label: sheet.value ? `every ${sheetName(sheet.value)}` : '' },
]);
const wishes = [
  { key: 'as-worth' as const, label: 'as it is worth' },
  { key: 'always' as const, label: 'always' },
  { key: 'never' as const, label: 'never' },
];
const stationChoices = computed(() =>
  stationsOn(props.unit.record, usualRoute).map((key) => ({
    key,
    label: `${stationEntry(key).number} ${stationEntry(key).label}`,
  })),
);

const claims = computed(() =>
  claimsIn(draft.value.words, {
    record: props.unit.record,
    stock: units.list.filter(({ id }) => id !== props.unit.id).map(briefIn),
    system: session.system,
    about: aboutCard(point.value?.id ?? ''),
  }),
);
const gradeWords: Readonly<Record<Grade, string>> = {
  holds: 'holds',
  not: 'doesn’t hold',
  open: 'not known',
};
const instead = (claim: Claim): void => {
  draft.value.words = withClaimMended(draft.value.words, claim);
};

const keep = async (): Promise<void> => {
  const { words, label, station, wanted, place } = draft.value;
  const given = {
    id: point.value?.id,
    words: words.trim(),
    plain: plain.value,
    wanted,
    place,
    ...(isOwn.value ? { station, label: label.trim() || 'Our own' } : {}),
  };
  if (await keepWith(() => attempt(() => wording.keep(props.unit, given)))) of.value = undefined;
};
const restore = async (): Promise<void> => {
  const isDone = await attempt(async () => {
    if (point.value) await wording.drop(props.unit, point.value);
  });
  if (!isDone) return;
  clear();
  of.value = undefined;
};
const isWorded = computed(
  () => point.value !== undefined && (point.value.wordedBy ?? point.value.wanted) !== undefined,
);
const mayDrop = computed(() => point.value?.wordedBy !== 'sheet' || session.may('manage'));
const title = computed(() =>
  of.value === 'new' ? 'A card of your own' : (point.value?.label ?? ''),
);
</script>

<template>
  <Drawer
    :visible="of !== undefined"
    :position="isPhone ? 'bottom' : 'right'"
    class="wording"
    :header="title"
    :pt="{ root: { 'aria-label': title } }"
    @update:visible="of = undefined"
  >
    <form @submit.prevent="keep">
      <template v-if="plain">
        <p class="small soft">The record says</p>
        <p class="record">{{ plain }}</p>
      </template>
      <p v-if="point?.changed" class="stale" role="status">
        It’s changed since you wrote this. Compare your words with what it says now.
      </p>
      <template v-if="isOwn">
        <label for="own-label">What it is called</label>
        <InputText id="own-label" v-model="draft.label" maxlength="80" autocomplete="off" />
        <span id="own-station" class="label">Where you say it</span>
        <ChoiceList
          v-model="draft.station"
          :choices="stationChoices"
          aria-labelledby="own-station"
        />
      </template>
      <label for="words">What you say</label>
      <Textarea id="words" v-model="draft.words" rows="5" maxlength="500" auto-resize />
      <ul v-if="claims.length" class="claims" aria-label="Claims in these words">
        <li v-for="claim in claims" :key="claim.at" :class="claim.grade">
          <p>
            <strong>“{{ claim.words }}”</strong> {{ gradeWords[claim.grade] }}:
            {{ claim.because }}
          </p>
          <template v-if="claim.grade !== 'holds'">
            <p class="small soft">To say it you’d need {{ claim.needs }}.</p>
            <p class="small">{{ claim.instead }}</p>
            <button type="button" class="link" @click="instead(claim)">Say this instead</button>
          </template>
        </li>
      </ul>
      <ChoiceField v-model="draft.wanted" label="In the plan" :choices="wishes" />
      <ChoiceField v-if="canSheet" v-model="draft.place" label="For" :choices="places" />
      <p v-else-if="sheet && !isOwn" class="small soft">
        For this unit. A manager can word it for every {{ sheetName(sheet) }}.
      </p>
      <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
      <div class="buttons">
        <Button
          type="submit"
          label="Save"
          :disabled="draft.words.trim().length === 0"
          :loading="busy"
        />
        <Button
          v-if="isWorded && mayDrop"
          type="button"
          severity="secondary"
          :label="isOwn ? 'Remove the card' : 'Reset to the usual words'"
          @click="restore"
        />
      </div>
    </form>
  </Drawer>
</template>

<style>
/* The drawer is moved to the end of the body, out of the reach of scoped styles. */
.p-drawer-right .p-drawer.wording {
  width: min(460px, 94vw);
}

.p-drawer-bottom .p-drawer.wording {
  height: auto;
  max-height: 92dvh;
  border-radius: 10px 10px 0 0;
}

.wording form {
  display: grid;
  gap: 8px;
}

.wording .record {
  padding-left: 12px;
  border-left: 3px solid var(--hairline);
}

.wording .stale {
  padding-left: 12px;
  border-left: 3px solid var(--amber);
  font-weight: 600;
}

.wording label,
.wording .label {
  padding-top: 6px;
  font-weight: 600;
}

.wording .choice {
  display: grid;
  gap: 4px;
}

.wording .claims li {
  display: grid;
  gap: 2px;
  padding: 8px 0 8px 12px;
  border-left: 3px solid var(--amber);
}

.wording .claims li + li {
  margin-top: 6px;
}

.wording .claims .not {
  border-color: var(--brick);
}

.wording .claims .holds {
  border-color: var(--spruce);
}

.wording .link {
  justify-self: start;
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}

.wording .buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  padding-top: 8px;
}

.wording .buttons .p-button {
  min-height: 48px;
}
</style>
