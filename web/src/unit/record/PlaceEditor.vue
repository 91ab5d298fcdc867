<script setup lang="ts">
import InputText from 'primevue/inputtext';
import { computed, ref, useId } from 'vue';
import { inText } from '@fair-gable/core/base/words';
import { formatQuantity, type System } from '@fair-gable/core/base/quantity';
import type { Feature, Spec } from '@fair-gable/core/unit/catalog';
import { doubtOfDistance, sides, type Place, type UnitRecord } from '@fair-gable/core/unit/record';
import SelectField from '../../base/controls/SelectField.vue';
import { usePlaceDraft } from './field-draft.ts';
import type { KeepField } from './field-row.ts';
import FieldForm from './FieldForm.vue';
import { placeChange, readDistance } from './typed-place.ts';

/** Where something is on this unit, and how that is known: how far back from the coupler, and on which side. */
const props = defineProps<{
  unit: string;
  entry: Spec | Feature;
  record: UnitRecord;
  system: System;
  /** What was said against the last try. */
  refusal: string;
  keep: KeepField;
}>();

const id = useId();
const isSlide = computed(() => props.entry.located?.shape === 'slide');
const what = computed(() => `position of ${inText(props.entry.label)}`);

/** In the reader's units, as one may type it. */
const like = (inches: number): string => formatQuantity(inches, 'feet', props.system);

const { draft, isTyped, clear, keepWith } = usePlaceDraft(() => props);
const problem = ref('');
const kept = ref('');

/** Said beside what is typed: it may be kept, and is objected to. */
const doubt = computed(() => {
  const { inches } = readDistance('', draft.value.back, props.system);
  return inches === undefined ? undefined : doubtOfDistance(props.record, inches, props.system);
});

const keepPlace = async (): Promise<void> => {
  kept.value = '';
  const change = placeChange(draft.value, props.entry, props.system);
  problem.value = typeof change === 'string' ? change : '';
  if (typeof change === 'string') return;
  const { back, side } = change.value as Place;
  if (!(await keepWith(() => props.keep(change, what.value)))) return;
  kept.value = `Saved: ${like(back)} back, ${sides.find(({ key }) => key === side)?.label ?? side}.`;
};
</script>

<template>
  <FieldForm
    v-model:how="draft.how"
    label="Save position"
    ready
    :is-typed="isTyped"
    lesser
    @keep="keepPlace"
    @clear="clear"
  >
    <div class="fields">
      <div>
        <label :for="`${id}-back`">Back from the coupler</label>
        <InputText
          :id="`${id}-back`"
          v-model="draft.back"
          :placeholder="like(158)"
          autocomplete="off"
        />
      </div>
      <SelectField v-model="draft.side" label="Side" :choices="sides" />
      <template v-if="isSlide">
        <div>
          <label :for="`${id}-length`">Slide length</label>
          <InputText
            :id="`${id}-length`"
            v-model="draft.length"
            :placeholder="like(104)"
            autocomplete="off"
          />
        </div>
        <div>
          <label :for="`${id}-depth`">Slide depth</label>
          <InputText
            :id="`${id}-depth`"
            v-model="draft.depth"
            :placeholder="like(29)"
            autocomplete="off"
          />
        </div>
      </template>
    </div>
    <template #notes>
      <p v-if="problem || refusal" class="small wrong" role="alert">{{ problem || refusal }}</p>
      <p v-else-if="doubt" class="small amber">{{ doubt }}</p>
      <p class="small soft" role="status">{{ kept }}</p>
    </template>
  </FieldForm>
</template>

<style scoped>
.fields {
  gap: 8px 12px;
}

.fields :deep(.p-inputtext) {
  width: 8.5rem;
}
</style>
