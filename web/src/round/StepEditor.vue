<script setup lang="ts">
import InputText from 'primevue/inputtext';
import { computed, onMounted, ref } from 'vue';
import {
  adviceFor,
  featureStates,
  formatQuantity,
  formatSpec,
  isSpecKey,
  keypadFor,
  knownBy,
  parseQuantity,
  sentence,
  type Change,
  type FeatureKey,
  type FeatureState,
  type HowKnown,
  type Place,
  type Spec,
  type Step,
  type System,
  type UnitRecord,
} from '@fair-gable/core';
import { readTyped } from '../record/typing.ts';
import PhotoStrip from '../photo/PhotoStrip.vue';
import TakePhoto from '../photo/TakePhoto.vue';
import KeyPad from './KeyPad.vue';
import PlaceTap from './PlaceTap.vue';

/** One step of a round under the thumb: a state in one tap, a number on the keypad, a place on the outline. */
const props = defineProps<{
  unit: string;
  record: UnitRecord;
  system: System;
  step: Step;
  /** How the last number was known. */
  usualHow: HowKnown;
}>();
const emit = defineEmits<{ keep: [changes: readonly Change[], how: HowKnown]; skip: [] }>();

const entry = computed(() => props.step.entry);
const caution = computed(() =>
  props.step.part === 'places' ? undefined : adviceFor(props.record, entry.value.caution),
);
const spec = computed(() => (props.step.part === 'specs' ? (entry.value as Spec) : undefined));
const pad = computed(() => {
  if (props.step.part === 'places') {
    return keypadFor(
      { kind: 'quantity', display: 'feet', plausible: { from: 0, to: 60, unit: 'ft' } },
      props.system,
    );
  }
  return spec.value && keypadFor(spec.value.value, props.system);
});

const hows = knownBy.filter(({ key }) => ['read', 'measured', 'seen', 'guessed'].includes(key));
/** What a number is most often on the lot: places are measured, counts are seen. */
const firstHow = (): HowKnown => {
  if (props.step.part === 'places') return 'measured';
  return props.usualHow;
};
const how = ref<HowKnown>(firstHow());
const typed = ref('');
const side = ref<Place['side'] | undefined>(entry.value.located?.side);
const tapped = ref<number>();
const showAll = ref(false);

const offered = computed(() => {
  const { key } = entry.value;
  if (!isSpecKey(key) || props.step.part !== 'specs') return undefined;
  const known = props.record.specs[key];
  return known && formatSpec(key, known.value, props.system, known.how);
});

const reading = computed(() => {
  if (spec.value) return readTyped(spec.value, typed.value, props.system);
  if (typed.value.trim() === '') return undefined;
  const read = parseQuantity(typed.value, 'feet', props.system);
  const label = `${entry.value.label}, its place`;
  if (!read.ok) return { value: undefined, echo: '', problem: sentence(label, read.problem) };
  const echo = (['us', 'metric'] as const).map((s) => formatQuantity(read.value, 'feet', s));
  return { value: read.value, echo: echo.join(' = '), problem: '' };
});

const version = computed(() => {
  const { key } = entry.value;
  const entries = props.record[props.step.part] as Partial<Record<string, { version: number }>>;
  return entries[key]?.version ?? 0;
});

const change = (value: unknown, known: HowKnown): readonly Change[] => [
  {
    part: props.step.part,
    key: entry.value.key,
    value,
    how: known,
    basedOn: version.value,
  } as Change,
];

const isReady = computed(() =>
  props.step.part === 'places'
    ? side.value !== undefined &&
      (typed.value ? reading.value?.value !== undefined : tapped.value !== undefined)
    : reading.value?.value !== undefined,
);

const keep = (): void => {
  if (!isReady.value) return;
  if (props.step.part !== 'places') {
    emit('keep', change(reading.value?.value, how.value), how.value);
    return;
  }
  const isTyped = typeof reading.value?.value === 'number';
  const back = isTyped ? reading.value?.value : tapped.value;
  const had = props.record.places[entry.value.key as FeatureKey]?.value ?? {};
  // What was only tapped is no measurement.
  const known = isTyped ? how.value : 'guessed';
  emit('keep', change({ ...had, back, side: side.value }, known), how.value);
};

const choose = (state: FeatureState): void =>
  emit('keep', change({ state }, 'seen'), props.usualHow);
const confirm = (): void => {
  const { key } = entry.value;
  const part = props.record[props.step.part] as Partial<Record<string, { value: unknown }>>;
  // Who takes the sheet's word has neither read nor measured it.
  emit('keep', change(part[key]?.value, 'sheet'), props.usualHow);
};

const states = computed(() =>
  showAll.value
    ? featureStates
    : featureStates.filter(({ key }) => key === 'standard' || key === 'none'),
);
const words: Partial<Record<FeatureState, string>> = { standard: 'It is there', none: 'Not there' };
/** Long things are measured to their forward edge, small ones to their middle. */
const edged = new Set(['slide', 'awning', 'door']);
const placeHint = computed(
  () =>
    `Tape along the skirt to its ${edged.has(entry.value.located?.shape ?? '') ? 'forward edge' : 'middle'}; tap for the side.`,
);
const hint = computed(() => {
  if (props.step.part === 'places') return placeHint.value;
  return props.step.state === 'offered'
    ? `The sheet says so. ${entry.value.check}`
    : entry.value.check;
});
const choices = computed(() =>
  spec.value?.value.kind === 'choice' ? spec.value.value.choices : [],
);

const tap = (place: Pick<Place, 'side' | 'back'>): void => {
  side.value = place.side;
  tapped.value = place.back;
};

const root = ref<HTMLElement>();
onMounted(() => root.value?.scrollIntoView({ block: 'nearest' }));
</script>

<template>
  <div ref="root" class="editor">
    <h3>{{ entry.label }}<template v-if="step.part === 'places'">, from the coupler</template></h3>
    <p class="small soft">{{ hint }}</p>
    <p v-if="caution" class="small caution">{{ caution }}</p>

    <div v-if="step.part === 'features'" class="states">
      <button
        v-for="state in states"
        :key="state.key"
        type="button"
        :class="{ offered: record.features[entry.key as FeatureKey]?.value.state === state.key }"
        @click="choose(state.key)"
      >
        {{ showAll ? state.label : words[state.key] }}
      </button>
      <button v-if="!showAll" type="button" @click="showAll = true">other…</button>
    </div>

    <template v-else-if="choices.length">
      <div class="states wrap">
        <button
          v-for="choice in choices"
          :key="choice.key"
          type="button"
          @click="emit('keep', change({ kind: 'choice', choice: choice.key }, 'seen'), usualHow)"
        >
          {{ choice.label }}
        </button>
      </div>
    </template>

    <template v-else>
      <PlaceTap
        v-if="step.part === 'places'"
        :record="record"
        :system="system"
        :label="entry.label"
        :side="side"
        :back="typeof reading?.value === 'number' ? reading.value : tapped"
        @tap="tap"
      />
      <p class="figure">
        <!-- Where there is a keypad the phone’s own keyboard stays away; a real one still types. -->
        <InputText
          v-model="typed"
          :inputmode="pad ? 'none' : 'text'"
          :placeholder="step.part === 'places' ? 'how far back' : ''"
          :aria-label="step.part === 'places' ? `${entry.label}, its place` : entry.label"
          autocomplete="off"
          :spellcheck="false"
          @keydown.enter.prevent="keep"
        />
        <span v-if="reading?.echo" class="small soft">{{ reading.echo }}</span>
        <span v-else-if="step.part === 'places' && tapped !== undefined" class="small guess"
          >about {{ formatQuantity(tapped, 'feet', system) }}</span
        >
      </p>
      <p v-if="reading?.problem && typed.length > 2" class="small wrong" role="alert">
        {{ reading.problem }}
      </p>
      <div class="hows" role="radiogroup" aria-label="How is it known?">
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
        {{ offered ? `It is ${offered}, as the sheet says` : 'As the sheet says' }}
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
      <KeyPad v-model="typed" :pad="pad" next="Next" :ready="isReady" @next="keep">
        <TakePhoto :unit="unit" :of="[step.id]" label="Photo" small />
      </KeyPad>
    </Teleport>
    <button
      v-else-if="step.part === 'specs' && choices.length === 0"
      type="button"
      class="keep"
      :disabled="!isReady"
      @click="keep"
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
