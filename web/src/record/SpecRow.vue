<script setup lang="ts">
import Button from 'primevue/button';
import { computed, nextTick, ref, useId, watch } from 'vue';
import { format } from 'date-fns';
import {
  codeInWords,
  entryAfter,
  formatSpec,
  howOf,
  isSameValue as sameValue,
  knownBy,
  knownOtherwise,
  otherSystem,
  type Change,
  type HowKnown as How,
  type Objection,
  type Spec,
  type System,
  type UnitRecord,
} from '@fair-gable/core';
import FigureText from '../base/FigureText.vue';
import EvidenceMark from '../evidence/EvidenceMark.vue';
import HowKnown from '../evidence/HowKnown.vue';
import { useSession } from '../people/session.ts';
import PhotoStrip from '../photo/PhotoStrip.vue';
import FieldHelp from './FieldHelp.vue';
import FieldHistory from './FieldHistory.vue';
import PlaceEditor from './PlaceEditor.vue';
import SpecInput from './SpecInput.vue';
import { asTyped, readTyped } from './typing.ts';

/** One spec of a station: its value and how it is known; opens to be corrected. */
const props = defineProps<{
  unit: string;
  spec: Spec;
  record: UnitRecord;
  objections: readonly Objection[];
  system: System;
  open: boolean;
  /** How the last value was known, offered for a new one. */
  usualHow: How;
  /** What the server said against the last try. */
  refusal: string;
  mayWrite: boolean;
}>();
const emit = defineEmits<{ toggle: []; save: [change: Change, what: string]; next: [] }>();

const session = useSession();
const id = useId();
const editor = ref<HTMLElement>();
const entry = computed(() => props.record.specs[props.spec.key]);
const how = ref<How>('read');
const typed = ref('');
/** The version that was on the screen when the typing began: what others do meanwhile is not overwritten. */
const basedOn = ref(0);
const reading = computed(() => readTyped(props.spec, typed.value, props.system));

const shown = computed(() =>
  entry.value ? formatSpec(props.spec.key, entry.value.value, props.system, entry.value.how) : '—',
);
const inOther = computed(() =>
  entry.value
    ? formatSpec(props.spec.key, entry.value.value, otherSystem(props.system), entry.value.how)
    : undefined,
);
/** What a code says: the VIN’s year, the letters of a floor plan, a tyre’s week. */
const codeWords = computed(() => {
  const value = entry.value?.value;
  if (value?.kind !== 'text') return undefined;
  const today = format(new Date(), 'yyyy-MM-dd');
  return codeInWords(props.spec.key, value.text, {
    system: props.system,
    today,
    glossary: session.glossary,
  });
});
/** Choices and texts are read, not measured against one another: they stand smaller. */
const isWords = computed(
  () => ['choice', 'text', 'date'].includes(props.spec.value.kind) && shown.value.length > 8,
);
const isMeasure = computed(() => ['quantity', 'counted', 'size'].includes(props.spec.value.kind));
const word = computed(
  () => knownBy.find((row) => row.key === entry.value?.how)?.word ?? 'not looked at',
);
const disputed = computed(() => props.objections.some((o) => !o.settled && o.severity !== 'look'));

const begin = async (): Promise<void> => {
  typed.value = asTyped(props.spec, entry.value, props.system);
  basedOn.value = entry.value?.version ?? 0;
  // What only the sheet says is looked at now: it will be read, measured or seen.
  const before = howOf(props.record, props.spec.key);
  how.value = before && before !== 'sheet' ? before : props.usualHow;
  await nextTick();
  const field = editor.value?.querySelector<HTMLInputElement>('input, button');
  field?.focus();
  if (field instanceof HTMLInputElement) field.select();
};

watch(
  () => props.open,
  (open) => void (open && begin()),
  { immediate: true },
);

const change = (value: Change['value']): Change =>
  ({
    part: 'specs',
    key: props.spec.key,
    value,
    how: how.value,
    basedOn: basedOn.value,
  }) as Change;

/** What would be said of the field with what is typed; undefined where nothing can be read yet. */
const after = computed(() => {
  const { value } = reading.value;
  return value && entryAfter(entry.value, change(value), { by: '', at: '', version: 1 });
});
/** Another source says otherwise and would stay: both are kept, the better one shown. */
const isDisputed = computed(() => Boolean(after.value?.others?.length));
const isSameValue = computed(
  () => entry.value && reading.value.value && sameValue(entry.value.value, reading.value.value),
);

const keep = (): void => {
  const { value } = reading.value;
  if (!value) return;
  const what = props.spec.label.toLowerCase();
  if (entry.value && isSameValue.value) {
    const { key } = props.spec;
    emit(
      'save',
      { ...knownOtherwise('specs', key, entry.value, how.value), basedOn: basedOn.value },
      what,
    );
  } else emit('save', change(value), what);
};

const replace = (): void => {
  const { value } = reading.value;
  if (value)
    emit('save', { ...change(value), others: [] } as Change, props.spec.label.toLowerCase());
};

const besides = computed(() =>
  (entry.value?.others ?? []).map(({ value, how: known, by }) => {
    const source = knownBy.find((row) => row.key === known)?.word ?? known;
    return `${formatSpec(props.spec.key, value, props.system, known)}, ${source}, ${by.split(' ')[0]}`;
  }),
);

/** A letter says how the value is known: by itself among the marks, with Alt while typing. */
const onLetter = (event: KeyboardEvent): void => {
  const isAmongMarks = (event.target as HTMLInputElement).type === 'radio';
  const chosen = knownBy.find((row) => row.letter === event.key.toLowerCase());
  if (!chosen || (!event.altKey && !isAmongMarks)) return;
  event.preventDefault();
  how.value = chosen.key;
};

const forget = (): void => emit('save', change(null), props.spec.label.toLowerCase());
</script>

<template>
  <li class="row" :class="{ open, disputed }" :data-field="spec.key">
    <button
      type="button"
      class="head"
      :aria-expanded="open"
      :aria-controls="`${id}-body`"
      @click="emit('toggle')"
    >
      <span class="label">{{ spec.label }}</span>
      <span
        class="value number"
        :class="{ guess: entry?.how === 'guessed', none: !entry, words: isWords }"
        :title="inOther"
        ><FigureText v-if="isMeasure" :text="shown" /><template v-else>{{ shown }}</template></span
      >
      <EvidenceMark :how="entry?.how" bare />
      <span class="source small soft"
        >{{ word }}<template v-if="entry">, {{ entry.by.split(' ')[0] }}</template></span
      >
    </button>
    <p v-for="text in besides" :key="text" class="beside small soft">also: {{ text }}</p>
    <div v-if="open" :id="`${id}-body`" ref="editor" class="body">
      <p v-if="spec.bySignature" class="small">
        It is set when a technician signs the inspection.
        <RouterLink :to="{ name: 'inspection', params: { id: unit } }"
          >To the inspection</RouterLink
        >
      </p>
      <form
        v-else-if="mayWrite"
        @submit.prevent="keep"
        @keydown="onLetter"
        @keydown.esc="emit('toggle')"
      >
        <SpecInput v-model="typed" :spec="spec" :system="system" hide-label />
        <HowKnown v-model="how" :name="`${id}-how`" />
        <p v-if="refusal" class="wrong" role="alert">{{ refusal }}</p>
        <p v-if="isDisputed && !isSameValue" class="small soft">
          Another source says otherwise. Both are kept and the better one is shown, until somebody
          decides.
        </p>
        <div class="actions">
          <Button
            type="submit"
            :label="isDisputed && !isSameValue ? 'Keep both' : 'Keep it'"
            :disabled="!reading.value"
          />
          <Button
            v-if="isDisputed && !isSameValue"
            type="button"
            severity="secondary"
            label="Put it in place of the others"
            @click="replace"
          />
          <Button
            v-if="entry"
            type="button"
            severity="secondary"
            label="Not known after all"
            @click="forget"
          />
          <Button type="button" severity="secondary" label="Next field" @click="emit('next')" />
        </div>
      </form>
      <p v-if="codeWords" class="code">{{ codeWords }}</p>
      <div class="proof">
        <PhotoStrip
          :unit="unit"
          :record="record"
          :target="`specs.${spec.key}`"
          :may-write="mayWrite"
        />
        <RouterLink
          v-if="mayWrite"
          class="small"
          :to="{ name: 'questions', params: { id: unit }, query: { about: `specs.${spec.key}` } }"
          >Ask about it</RouterLink
        >
      </div>
      <FieldHelp :entry="spec" :record="record" />
      <FieldHistory
        :unit="unit"
        part="specs"
        :field="spec.key"
        :system="system"
        :version="entry?.version ?? 0"
      />
      <PlaceEditor
        v-if="spec.located && entry && mayWrite"
        :entry="spec"
        :record="record"
        :system="system"
        @save="(c, what) => emit('save', c, what)"
      />
    </div>
  </li>
</template>

<style scoped>
.row {
  border-bottom: 1px solid var(--hairline);
}

.row.open {
  background: var(--leaf);
  box-shadow: inset 3px 0 0 var(--ink);
}

.head {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 20px minmax(7.5rem, 11rem);
  align-items: center;
  gap: 10px;
  width: 100%;
  min-height: 44px;
  padding: 4px 12px 4px 10px;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
}

.value {
  font-size: 19px;
  text-align: right;
}

.value.words {
  font-size: 16px;
}

.value.none {
  color: var(--soft);
}

.disputed .value {
  color: var(--brick);
}

.body {
  display: grid;
  gap: 14px;
  padding: 4px 16px 16px;
}

.proof {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}

.beside {
  padding: 0 12px 6px 24px;
}

.code {
  font-family: var(--slab);
}

form {
  display: grid;
  gap: 10px;
}

.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

@media (width < 760px) {
  .head {
    grid-template-columns: minmax(0, 1fr) auto 20px;
    min-height: 52px;
  }

  .source {
    grid-column: 1 / -1;
    margin-top: -8px;
  }
}
</style>
