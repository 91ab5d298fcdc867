<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { computed, ref, useId } from 'vue';
import { inText } from '@fair-gable/core/base/words';
import { formatQuantity, type System } from '@fair-gable/core/base/quantity';
import type { Feature, Spec } from '@fair-gable/core/unit/catalog';
import {
  doubtOfDistance,
  sides,
  type Change,
  type Place,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import SelectField from '../../base/controls/SelectField.vue';
import HowKnown from '../../base/evidence/HowKnown.vue';
import { usePlaceDraft } from './field-draft.ts';
import { placeChange, readDistance } from './typed-place.ts';

/** Where something is on this unit, and how that is known: how far back from the coupler, and on which side. */
const props = defineProps<{
  unit: string;
  entry: Spec | Feature;
  record: UnitRecord;
  system: System;
  /** Keeps it; false where that was refused. */
  keep: (change: Change, what: string) => Promise<boolean>;
}>();

const id = useId();
const isSlide = computed(() => props.entry.located?.shape === 'slide');
const what = computed(() => `place of ${inText(props.entry.label)}`);

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
  kept.value = `Kept: ${like(back)} back, ${sides.find(({ key }) => key === side)?.label ?? side}.`;
};
</script>

<template>
  <form class="place fields" @submit.prevent="keepPlace">
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
    <HowKnown v-model="draft.how" :name="`${id}-how`" class="how" />
    <Button type="submit" severity="secondary" label="Keep the place" />
    <Button
      v-if="isTyped"
      type="button"
      severity="secondary"
      label="Leave it as it was"
      @click="clear"
    />
    <p v-if="problem" class="small wrong" role="alert">{{ problem }}</p>
    <p v-else-if="doubt" class="small amber">{{ doubt }}</p>
    <p class="small soft" role="status">{{ kept }}</p>
  </form>
</template>

<style scoped>
/* A row of a spec lays its own forms out in a column; this one stays a line. */
.place {
  display: flex;
  gap: 8px 12px;
}

.place :deep(.p-inputtext) {
  width: 8.5rem;
}

p:not(:empty),
.how {
  flex-basis: 100%;
}
</style>
