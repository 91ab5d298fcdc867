<script setup lang="ts">
import Button from 'primevue/button';
import { computed, nextTick, onMounted, ref } from 'vue';
import { inText } from '@fair-gable/core/base/words';
import type { System } from '@fair-gable/core/base/quantity';
import type { HowKnown, Spec } from '@fair-gable/core/unit/catalog';
import type { Change, UnitRecord } from '@fair-gable/core/unit/record';
import { useSpecDraft } from './field-draft.ts';
import type { KeepField } from './field-row.ts';
import FieldForm from './FieldForm.vue';
import SpecInput from './SpecInput.vue';
import { inPlaceOfOthers, isDisputedBy, keptSpec, specChange } from './typed-spec.ts';
import { readTyped } from './typing.ts';

/** A spec while it is typed, and how it is known. What is typed stays until it is kept, or left unchanged. */
const props = defineProps<{
  unit: string;
  spec: Spec;
  record: UnitRecord;
  system: System;
  /** How the last value was known, offered for a new one. */
  usualHow: HowKnown;
  keep: KeepField;
}>();
const emit = defineEmits<{ next: [] }>();

const root = ref<HTMLElement>();
const entry = computed(() => props.record.specs[props.spec.key]);
const { draft, isTyped, clear, keepWith } = useSpecDraft(() => props);
const value = computed(() => readTyped(props.spec, draft.value.text, props.system).value);
const isDisputed = computed(
  () => value.value && isDisputedBy(props.spec, entry.value, value.value, draft.value),
);

onMounted(async () => {
  await nextTick();
  const field = root.value?.querySelector<HTMLElement>('select, [role=combobox], input, button');
  field?.focus();
  if (field instanceof HTMLInputElement) field.select();
});

const keepChange = (made: Change): void =>
  void keepWith(() => props.keep(made, inText(props.spec.label)));
const keepTyped = (): void => {
  if (value.value) keepChange(keptSpec(props.spec, entry.value, value.value, draft.value));
};
const replace = (): void => {
  if (value.value) keepChange(inPlaceOfOthers(props.spec, value.value, draft.value));
};
const takeBack = (): void => keepChange(specChange(props.spec, null, draft.value));
</script>

<template>
  <div ref="root">
    <FieldForm
      v-model:how="draft.how"
      :label="isDisputed ? 'Save both' : 'Save'"
      :ready="value !== undefined"
      :is-typed="isTyped"
      @keep="keepTyped"
      @clear="clear"
    >
      <SpecInput v-model="draft.text" :spec="spec" :system="system" hide-label />
      <template #notes>
        <p v-if="isDisputed" class="small soft">
          Another source disagrees. We keep both and show the surer one until somebody decides.
        </p>
      </template>
      <template #actions>
        <Button
          v-if="isDisputed"
          type="button"
          severity="secondary"
          label="Replace the others"
          @click="replace"
        />
        <Button
          v-if="entry && !isTyped"
          type="button"
          severity="secondary"
          label="Clear it: not known"
          @click="takeBack"
        />
        <Button type="button" severity="secondary" label="Next field" @click="emit('next')" />
      </template>
    </FieldForm>
  </div>
</template>
