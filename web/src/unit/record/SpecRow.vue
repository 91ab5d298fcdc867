<script setup lang="ts">
import { computed } from 'vue';
import { otherSystem, type System } from '@fair-gable/core/base/quantity';
import { knownBy, type HowKnown, type Spec } from '@fair-gable/core/unit/catalog';
import type { Objection } from '@fair-gable/core/unit/checks';
import { codeInWords } from '@fair-gable/core/unit/identity';
import { byWhom, formatSpec, whoBriefly, type UnitRecord } from '@fair-gable/core/unit/record';
import { useClock } from '../../base/clock/index.ts';
import FigureText from '../../base/controls/FigureText.vue';
import EvidenceMark from '../../base/evidence/EvidenceMark.vue';
import { useSession } from '../../base/session/session.ts';
import type { KeepField } from './field-row.ts';
import FieldRow from './FieldRow.vue';
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
  usualHow: HowKnown;
  /** What was said against the last try, of the spec and of its place. */
  refusal: string;
  placeRefusal: string;
  mayWrite: boolean;
  keep: KeepField;
}>();
const emit = defineEmits<{ toggle: []; next: [] }>();

const session = useSession();
const entry = computed(() => props.record.specs[props.spec.key]);
const textIn = (system: System): string | undefined =>
  entry.value && formatSpec(props.spec.key, entry.value.value, system, entry.value.how);
const shown = computed(() => textIn(props.system) ?? '—');

/** What a code says: the VIN’s year, the letters of a floor plan, a tire’s week. */
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
  () => knownBy.find((row) => row.key === entry.value?.how)?.word ?? 'not checked',
);
const isDisputed = computed(() =>
  props.objections.some((o) => !o.settled && o.severity !== 'look'),
);
</script>

<template>
  <FieldRow
    :unit="unit"
    part="specs"
    :entry="spec"
    :record="record"
    :system="system"
    :open="open"
    :refusal="refusal"
    :place-refusal="placeRefusal"
    :may-write="mayWrite"
    :keep="keep"
    @toggle="emit('toggle')"
  >
    <template #head>
      <span class="line">
        <span class="label">{{ spec.label }}</span>
        <span
          class="value number"
          :class="{
            guess: entry?.how === 'guessed',
            none: !entry,
            words: isWords,
            disputed: isDisputed,
          }"
          :title="textIn(otherSystem(system))"
          ><FigureText v-if="isMeasure" :text="shown" /><template v-else>{{
            shown
          }}</template></span
        >
        <EvidenceMark :how="entry?.how" bare />
        <span class="source small soft" :title="entry && byWhom(entry)"
          >{{ word }}<template v-if="entry">, {{ whoBriefly(entry) }}</template></span
        >
      </span>
    </template>
    <template #margin><slot /></template>
    <template #editor>
      <p v-if="spec.bySignature" class="small">
        It’s set when a technician signs the inspection.
        <RouterLink :to="{ name: 'inspection', params: { id: unit } }">Go to inspection</RouterLink>
      </p>
      <SpecEditor
        v-else-if="mayWrite"
        :unit="unit"
        :spec="spec"
        :record="record"
        :system="system"
        :usual-how="usualHow"
        :keep="keep"
        @next="emit('next')"
      />
      <p v-if="codeWords" class="code">{{ codeWords }}</p>
    </template>
  </FieldRow>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 20px minmax(7.5rem, 11rem);
  align-items: center;
  gap: 10px;
  padding-right: 12px;
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

.value.disputed {
  color: var(--brick);
}

.code {
  font-family: var(--slab);
}

@media (width < 760px) {
  .line {
    grid-template-columns: minmax(0, 1fr) auto 20px;
    min-height: 44px;
  }

  .source {
    grid-column: 1 / -1;
    margin-top: -8px;
  }
}
</style>
