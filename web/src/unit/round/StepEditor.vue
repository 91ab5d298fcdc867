<script setup lang="ts">
import InputText from 'primevue/inputtext';
import { computed, onMounted, ref } from 'vue';
import { formatQuantity, type System } from '@fair-gable/core/base/quantity';
import {
  knownBy,
  statesOf,
  wordsFor,
  type FeatureKey,
  type FeatureState,
  type HowKnown,
  type Spec,
  type StateChoice,
} from '@fair-gable/core/unit/catalog';
import {
  adviceFor,
  doubtOfDistance,
  type Change,
  type Place,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { keypadFor, type Step } from '@fair-gable/core/unit/round';
import { vTakesFocus } from '../../base/controls/takes-focus.ts';
import { usePlaceDraft, useSpecDraft } from '../record/field-draft.ts';
import { hasFewStates } from '../record/tapped-feature.ts';
import PhotoStrip from '../photo/PhotoStrip.vue';
import TakePhoto from '../photo/TakePhoto.vue';
import KeyPad from './KeyPad.vue';
import PlaceTap from './PlaceTap.vue';
import {
  asTheSheetSays,
  hintAt,
  placeAt,
  readStep,
  sheetText,
  stateChange,
  stepChange,
} from './typed-step.ts';

/** One step of a round under the thumb: a state in one tap, a number on the keypad, a place on the outline. */
const props = defineProps<{
  unit: string;
  record: UnitRecord;
  system: System;
  step: Step;
  /** How the last number was known. */
  usualHow: HowKnown;
  /** Keeps it; false where that was refused. */
  keep: (changes: readonly Change[], how: HowKnown) => Promise<boolean>;
}>();
const emit = defineEmits<{ skip: [] }>();

const entry = computed(() => props.step.entry);
const isPlace = props.step.part === 'places';
const caution = computed(() =>
  isPlace ? undefined : adviceFor(props.record, wordsFor(entry.value.key).caution),
);
const spec = computed(() => (props.step.part === 'specs' ? (entry.value as Spec) : undefined));
const distance = {
  kind: 'quantity',
  display: 'feet',
  plausible: { from: 0, to: 60, unit: 'ft' },
} as const;
const pad = computed(() => {
  const kind = isPlace ? distance : spec.value?.value;
  return kind && keypadFor(kind, props.system);
});

const hows = knownBy.filter(({ key }) => ['read', 'measured', 'seen', 'guessed'].includes(key));
const place = isPlace ? usePlaceDraft(() => ({ ...props, entry: entry.value })) : undefined;
const figure =
  props.step.part === 'specs'
    ? useSpecDraft(() => ({ ...props, spec: entry.value as Spec }))
    : undefined;
const drafting = place ?? figure;
const draft = computed(() => (place ?? figure)?.draft.value);

const typed = computed({
  get: () => place?.draft.value.back ?? figure?.draft.value.text ?? '',
  set: (text) => {
    if (place) place.draft.value.back = text;
    if (figure) figure.draft.value.text = text;
    // What was tapped or guessed before and is typed now was measured, unless somebody says otherwise.
    if (place?.draft.value.how === 'guessed') place.draft.value.how = 'measured';
  },
});
const how = computed({
  get: () => draft.value?.how ?? props.usualHow,
  set: (to) => {
    if (draft.value) draft.value.how = to;
  },
});
const tapped = computed(() => place?.draft.value.tapped);
/** The first key in a field that opens with what is known begins anew. */
const isTyped = computed(() => drafting?.isTyped.value ?? false);
const showAll = ref(false);

const offered = computed(() => sheetText(props.record, props.step, props.system));
const reading = computed(() => readStep(props.step, typed.value, props.system));
const back = computed(() => reading.value.inches ?? tapped.value);
/** Said on the spot; it may be kept all the same. */
const doubt = computed(() =>
  isPlace && back.value !== undefined
    ? doubtOfDistance(props.record, back.value, props.system)
    : undefined,
);

const isReady = computed(() =>
  isPlace
    ? back.value !== undefined && reading.value.problem === ''
    : reading.value.value !== undefined,
);

const keep = (change: Change, known: HowKnown): void => {
  const work = () => props.keep([change], known);
  void (drafting ? drafting.keepWith(work) : work());
};
const keepTyped = (): void => {
  if (!isReady.value) return;
  const { record, step, system } = props;
  const change = place
    ? placeAt(record, step, place.draft.value, system)
    : stepChange(step, reading.value.value, {
        how: how.value,
        basedOn: draft.value?.basedOn ?? 0,
      });
  keep(change, how.value);
};
const choose = (state: FeatureState): void =>
  keep(stateChange(props.record, props.step, state), props.usualHow);
const chooseOne = (choice: string): void =>
  keep(
    stepChange(
      props.step,
      { kind: 'choice', choice },
      { how: 'seen', basedOn: draft.value?.basedOn ?? 0 },
    ),
    props.usualHow,
  );
const confirm = (): void => keep(asTheSheetSays(props.record, props.step), props.usualHow);

const kind = computed(() => ('noun' in entry.value ? entry.value.kind : undefined));
/** Of something fitted two choices come first; all of the few that other things have stand beside one another. */
const thereOrNot = [
  { key: 'standard', label: 'It’s there' },
  { key: 'none', label: 'Not there' },
] as const satisfies readonly StateChoice[];
const isShort = computed(() => !showAll.value && !hasFewStates(kind.value));
const states = computed(() => (isShort.value ? thereOrNot : statesOf(kind.value)));
const choices = computed(() =>
  spec.value?.value.kind === 'choice' ? spec.value.value.choices : [],
);

const tap = (at: Pick<Place, 'side' | 'back'>): void => {
  if (place) Object.assign(place.draft.value, { side: at.side, tapped: at.back, back: '' });
};

const root = ref<HTMLElement>();
onMounted(() => root.value?.scrollIntoView({ block: 'nearest' }));
</script>

<template>
  <div ref="root" class="editor">
    <h3 v-takes-focus>{{ entry.label }}<template v-if="isPlace">, from the coupler</template></h3>
    <p class="small soft">{{ hintAt(step) }}</p>
    <p v-if="caution" class="small caution">{{ caution }}</p>

    <div v-if="step.part === 'features'" class="states">
      <button
        v-for="state in states"
        :key="state.key"
        type="button"
        :class="{ offered: record.features[entry.key as FeatureKey]?.value.state === state.key }"
        @click="choose(state.key)"
      >
        {{ state.label }}
      </button>
      <button v-if="isShort" type="button" @click="showAll = true">other…</button>
    </div>

    <template v-else-if="choices.length">
      <div class="states wrap">
        <button
          v-for="choice in choices"
          :key="choice.key"
          type="button"
          @click="chooseOne(choice.key)"
        >
          {{ choice.label }}
        </button>
      </div>
    </template>

    <template v-else>
      <PlaceTap
        v-if="isPlace"
        :record="record"
        :system="system"
        :label="entry.label"
        :side="place?.draft.value.side"
        :back="back"
        @tap="tap"
      />
      <p class="figure">
        <!-- Where there is a keypad the phone’s own keyboard stays away; a real one still types. -->
        <InputText
          v-model="typed"
          :inputmode="pad ? 'none' : 'text'"
          :placeholder="isPlace ? 'how far back' : ''"
          :aria-label="isPlace ? `${entry.label}, position` : entry.label"
          autocomplete="off"
          :spellcheck="false"
          @keydown.enter.prevent="keepTyped"
        />
        <span v-if="reading.echo" class="small soft">{{ reading.echo }}</span>
        <span v-else-if="tapped !== undefined" class="small guess"
          >about {{ formatQuantity(tapped, 'feet', system) }}</span
        >
      </p>
      <p v-if="reading.problem && typed.length > 1" class="small wrong" role="alert">
        {{ reading.problem }}
      </p>
      <p v-else-if="doubt" class="small amber" role="status">{{ doubt }}</p>
      <div class="hows" role="radiogroup" aria-label="How do you know?">
        <button
          v-for="row in hows"
          :key="row.key"
          type="button"
          role="radio"
          :aria-checked="how === row.key"
          @click="how = row.key"
        >
          {{ row.label }}
        </button>
      </div>
    </template>

    <div class="more">
      <button v-if="step.state === 'offered'" type="button" class="confirm" @click="confirm">
        {{ offered ? `It’s ${offered}, like the sheet says` : 'Like the sheet says' }}
      </button>
      <button type="button" @click="emit('skip')">Later</button>
      <TakePhoto v-if="!pad" :unit="unit" :of="[step.id]" />
    </div>
    <PhotoStrip
      v-if="Object.values(record.photos).some((p) => p?.value.of.includes(step.id))"
      :unit="unit"
      :record="record"
      :target="step.id"
      :may-write="false"
    />

    <Teleport v-if="pad && choices.length === 0" defer to="#round-pad">
      <KeyPad
        v-model="typed"
        :pad="pad"
        :anew="!isTyped"
        next="Next"
        :ready="isReady"
        @next="keepTyped"
      >
        <TakePhoto :unit="unit" :of="[step.id]" label="Photo" small />
      </KeyPad>
    </Teleport>
    <button
      v-else-if="step.part === 'specs' && choices.length === 0"
      type="button"
      class="keep"
      :disabled="!isReady"
      @click="keepTyped"
    >
      Next
    </button>
  </div>
</template>

<style scoped>
.editor {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  scroll-margin: 190px 0 280px;
  padding: 12px 16px;
  background: var(--tint);
  border-left: 4px solid var(--ink);
}

h3 {
  font-size: 20px;
}

.caution {
  color: var(--brick);
}

.states,
.hows {
  display: grid;
  grid-template-columns: 1.2fr 1.2fr 1fr;
  gap: 8px;
}

.states.wrap {
  grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
}

.hows {
  grid-template-columns: repeat(4, 1fr);
}

button {
  min-height: var(--thumb);
  padding: 4px 8px;
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: var(--leaf);
  font-size: 16px;
  cursor: pointer;
  touch-action: manipulation;
}

button.offered {
  border-style: dashed;
  border-width: 2px;
}

button[aria-checked='true'] {
  border: 2px solid var(--ink);
  font-weight: 700;
}

.confirm {
  flex: 1 1 100%;
  border-color: var(--spruce);
  color: var(--spruce);
  font-weight: 600;
}

.keep {
  min-height: 52px;
  border-color: var(--ink);
  background: var(--ink);
  color: var(--paper);
  font: 700 19px var(--slab);
}

.keep:disabled {
  opacity: 0.45;
}

.figure {
  display: flex;
  align-items: baseline;
  gap: 12px;
  min-height: 44px;
  border-bottom: 2px solid var(--ink);
}

.figure :deep(.p-inputtext) {
  flex: 1;
  min-width: 0;
  padding: 2px 0;
  border: 0;
  background: none;
  font-size: 30px;
  font-weight: 700;
}

.more {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.more > button {
  flex: 1;
}
</style>
