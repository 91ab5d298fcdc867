<script setup lang="ts">
import Button from 'primevue/button';
import { computed, nextTick, onMounted, ref, useId } from 'vue';
import { inText } from '@fair-gable/core/base/words';
import type { System } from '@fair-gable/core/base/quantity';
import { knownBy, type HowKnown as How, type Spec } from '@fair-gable/core/unit/catalog';
import {
  entryAfter,
  isSameValue as sameValue,
  knownOtherwise,
  type Change,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import HowKnown from '../../base/evidence/HowKnown.vue';
import { useSpecDraft } from './field-draft.ts';
import SpecInput from './SpecInput.vue';
import { readTyped } from './typing.ts';

/** A spec while it is typed, and how it is known. What is typed stays until it is kept, or left as it was. */
const props = defineProps<{
  unit: string;
  spec: Spec;
  record: UnitRecord;
  system: System;
  /** How the last value was known, offered for a new one. */
  usualHow: How;
  /** What was said against the last try. */
  refusal: string;
  /** Keeps it; false where that was refused. */
  keep: (change: Change, what: string) => Promise<boolean>;
}>();
const emit = defineEmits<{ next: []; leave: [] }>();

const id = useId();
const form = ref<HTMLFormElement>();
const entry = computed(() => props.record.specs[props.spec.key]);
const what = computed(() => inText(props.spec.label));

const { draft, isTyped, clear, keepWith } = useSpecDraft(() => props);
const reading = computed(() => readTyped(props.spec, draft.value.text, props.system));

onMounted(async () => {
  await nextTick();
  const field = form.value?.querySelector<HTMLElement>('select, [role=combobox], input, button');
  field?.focus();
  if (field instanceof HTMLInputElement) field.select();
});

const change = (value: Change['value']): Change =>
  ({
    part: 'specs',
    key: props.spec.key,
    value,
    how: draft.value.how,
    basedOn: draft.value.basedOn,
  }) as Change;

/** What would be said of the field with what is typed; undefined where nothing can be read yet. */
const after = computed(() => {
  const { value } = reading.value;
  return value && entryAfter(entry.value, change(value), { by: '', at: '', version: 1 });
});
const isSameValue = computed(
  () => entry.value && reading.value.value && sameValue(entry.value.value, reading.value.value),
);
/** Another source says otherwise and would stay: both are kept, the better one shown. */
const isDisputed = computed(() => Boolean(after.value?.others?.length) && !isSameValue.value);

const keepChange = (made: Change): Promise<boolean> => keepWith(() => props.keep(made, what.value));

const keepTyped = (): void => {
  const { value } = reading.value;
  if (!value) return;
  if (!entry.value || !isSameValue.value) return void keepChange(change(value));
  const known = knownOtherwise('specs', props.spec.key, entry.value, draft.value.how);
  void keepChange({ ...known, basedOn: draft.value.basedOn } as Change);
};

const replace = (): void => {
  const { value } = reading.value;
  if (value) void keepChange({ ...change(value), others: [] } as Change);
};

/** A letter says how the value is known: by itself among the marks, with Alt while typing. */
const onLetter = (event: KeyboardEvent): void => {
  const isAmongMarks = (event.target as HTMLInputElement).type === 'radio';
  const chosen = knownBy.find((row) => row.letter === event.key.toLowerCase());
  if (!chosen || event.ctrlKey || event.metaKey || (!event.altKey && !isAmongMarks)) return;
  event.preventDefault();
  draft.value.how = chosen.key;
};
</script>

<template>
  <form ref="form" @submit.prevent="keepTyped" @keydown="onLetter" @keydown.esc="emit('leave')">
    <SpecInput v-model="draft.text" :spec="spec" :system="system" hide-label />
    <HowKnown v-model="draft.how" :name="`${id}-how`" />
    <p v-if="refusal" class="wrong" role="alert">{{ refusal }}</p>
    <p v-if="isDisputed" class="small soft">
      Another source says otherwise. Both are kept and the better one is shown, until somebody
      decides.
    </p>
    <div class="actions">
      <Button
        type="submit"
        :label="isDisputed ? 'Keep both' : 'Keep it'"
        :disabled="!reading.value"
      />
      <Button
        v-if="isDisputed"
        type="button"
        severity="secondary"
        label="Put it in place of the others"
        @click="replace"
      />
      <Button
        v-if="isTyped"
        type="button"
        severity="secondary"
        label="Leave it as it was"
        @click="clear"
      />
      <Button
        v-if="entry && !isTyped"
        type="button"
        severity="secondary"
        label="Not known after all"
        @click="keepChange(change(null))"
      />
      <Button type="button" severity="secondary" label="Next field" @click="emit('next')" />
    </div>
  </form>
</template>

<style scoped>
form {
  display: grid;
  gap: 10px;
}

.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
