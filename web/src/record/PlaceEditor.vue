<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { computed, ref, useId } from 'vue';
import HowKnown from '../evidence/HowKnown.vue';
import {
  formatQuantity,
  parseQuantity,
  sentence,
  type Change,
  type Feature,
  type HowKnown as How,
  type Place,
  type Spec,
  type System,
  type UnitRecord,
} from '@fair-gable/core';
import SelectField from '../base/SelectField.vue';

/** Where something is on this unit, and how that is known: how far back from the coupler, and on which side. */
const props = defineProps<{ entry: Spec | Feature; record: UnitRecord; system: System }>();
const emit = defineEmits<{ save: [change: Change, what: string] }>();

const id = useId();
const known = computed(() => props.record.places[props.entry.key]);
const isSlide = computed(() => props.entry.located?.shape === 'slide');

const shown = (inches: number | undefined): string =>
  inches === undefined ? '' : formatQuantity(inches, 'feet', props.system);

/** What one may type, in the reader's units. */
const like = (inches: number): string => formatQuantity(inches, 'feet', props.system);

const side = ref<Place['side']>(known.value?.value.side ?? props.entry.located?.side ?? 'door');
const fields = ref({
  back: shown(known.value?.value.back),
  length: shown(known.value?.value.length),
  depth: shown(known.value?.value.depth),
});
const how = ref<How>(known.value?.how ?? 'measured');
const problem = ref('');

const sides = [
  { key: 'door', label: 'door side' },
  { key: 'off-door', label: 'off-door side' },
  { key: 'centre', label: 'middle' },
  { key: 'front', label: 'front' },
  { key: 'rear', label: 'rear' },
];

const inches = (label: string, text: string): number | undefined => {
  const read = parseQuantity(text, 'feet', props.system);
  if (read.ok && read.value <= 720) return read.value;
  problem.value = read.ok
    ? `${label} cannot be more than ${like(720)}. Measure it again.`
    : sentence(label, read.problem);
  return undefined;
};

const keep = (): void => {
  problem.value = '';
  const back = inches('Distance from the coupler', fields.value.back);
  const size = { length: fields.value.length, depth: fields.value.depth };
  const given = Object.entries(isSlide.value ? size : {}).filter(([, text]) => text.trim() !== '');
  const sizes = given.map(([key, text]) => [key, inches(`Slide ${key}`, text)] as const);
  if (back === undefined || problem.value) return;
  const value: Place = { back, side: side.value, ...Object.fromEntries(sizes) };
  const basedOn = known.value?.version ?? 0;
  emit(
    'save',
    { part: 'places', key: props.entry.key, value, how: how.value, basedOn },
    `place of ${props.entry.label.toLowerCase()}`,
  );
};
</script>

<template>
  <form class="place fields" @submit.prevent="keep">
    <div>
      <label :for="`${id}-back`">Back from the coupler</label>
      <InputText
        :id="`${id}-back`"
        v-model="fields.back"
        :placeholder="like(158)"
        autocomplete="off"
      />
    </div>
    <SelectField v-model="side" label="Side" :choices="sides" />
    <template v-if="isSlide">
      <div>
        <label :for="`${id}-length`">Slide length</label>
        <InputText
          :id="`${id}-length`"
          v-model="fields.length"
          :placeholder="like(104)"
          autocomplete="off"
        />
      </div>
      <div>
        <label :for="`${id}-depth`">Slide depth</label>
        <InputText
          :id="`${id}-depth`"
          v-model="fields.depth"
          :placeholder="like(29)"
          autocomplete="off"
        />
      </div>
    </template>
    <HowKnown v-model="how" :name="`${id}-how`" class="how" />
    <Button type="submit" severity="secondary" label="Keep the place" />
    <p v-if="problem" class="small wrong" role="alert">{{ problem }}</p>
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

p,
.how {
  flex-basis: 100%;
}
</style>
