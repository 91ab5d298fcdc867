<script setup lang="ts">
import { computed, ref, useId } from 'vue';
import { otherSystem, type System } from '@fair-gable/core/base/quantity';
import { knownBy, type HowKnown as How, type Spec } from '@fair-gable/core/unit/catalog';
import type { Objection } from '@fair-gable/core/unit/checks';
import { codeInWords } from '@fair-gable/core/unit/identity';
import {
  formatSpec,
  whoBriefly,
  byWhom,
  type Change,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { useClock } from '../../base/clock/index.ts';
import FigureText from '../../base/controls/FigureText.vue';
import { DraftMark } from '../../base/draft/index.ts';
import EvidenceMark from '../../base/evidence/EvidenceMark.vue';
import { useSession } from '../../base/session/session.ts';
import PhotoStrip from '../photo/PhotoStrip.vue';
import FieldHelp from './FieldHelp.vue';
import FieldHistory from './FieldHistory.vue';
import PlaceEditor from './PlaceEditor.vue';
import SpecEditor from './SpecEditor.vue';

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
  /** Keeps a change of it; false where that was refused. */
  keep: (change: Change, what: string) => Promise<boolean>;
}>();
const emit = defineEmits<{ toggle: []; next: [] }>();

const session = useSession();
const id = useId();
const head = ref<HTMLButtonElement>();
const place = computed(() => `${props.unit}.specs.${props.spec.key}`);
const entry = computed(() => props.record.specs[props.spec.key]);

/** Back to the row itself, from where the keys go on. */
const leave = (): void => {
  emit('toggle');
  head.value?.focus();
};

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
  const { today } = useClock();
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

const besides = computed(() =>
  (entry.value?.others ?? []).map(({ value, how: known, by }) => {
    const source = knownBy.find((row) => row.key === known)?.word ?? known;
    return `${formatSpec(props.spec.key, value, props.system, known)}, ${source}, ${by.split(' ')[0]}`;
  }),
);
</script>

<template>
  <li class="row" :class="{ open, disputed }" :data-field="spec.key">
    <button
      ref="head"
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
      <span class="source small soft" :title="entry && byWhom(entry)"
        >{{ word }}<template v-if="entry">, {{ whoBriefly(entry) }}</template></span
      >
    </button>
    <p v-for="text in besides" :key="text" class="beside small soft">also: {{ text }}</p>
    <div class="beside"><slot /></div>
    <DraftMark v-if="!open" :place="place" class="beside" />
    <div v-if="open" :id="`${id}-body`" class="body">
      <p v-if="spec.bySignature" class="small">
        It is set when a technician signs the inspection.
        <RouterLink :to="{ name: 'inspection', params: { id: unit } }"
          >To the inspection</RouterLink
        >
      </p>
      <SpecEditor
        v-else-if="mayWrite"
        :unit="unit"
        :spec="spec"
        :record="record"
        :system="system"
        :usual-how="usualHow"
        :refusal="refusal"
        :keep="keep"
        @next="emit('next')"
        @leave="leave"
      />
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
        :unit="unit"
        :keep="keep"
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

.beside:empty {
  display: none;
}

.code {
  font-family: var(--slab);
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
