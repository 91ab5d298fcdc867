<script setup lang="ts">
import type { System } from '@fair-gable/core/base/quantity';
import { knownBy } from '@fair-gable/core/unit/catalog';
import { entryOf, fieldText, type UnitRecord } from '@fair-gable/core/unit/record';
import type { Step } from '@fair-gable/core/unit/round';
import { computed } from 'vue';
import { DraftMark } from '../../base/draft/index.ts';
import EvidenceMark from '../../base/evidence/EvidenceMark.vue';

/** A step of a round that one is not at: what is known of it. */
const props = defineProps<{
  unit: string;
  step: Step;
  record: UnitRecord;
  system: System;
  later: boolean;
}>();
const emit = defineEmits<{ choose: [] }>();

const known = computed(() => entryOf(props.record, props.step.part, props.step.entry.key));
const shown = computed(() => {
  const { part, entry } = props.step;
  const { value, how } = known.value ?? {};
  return value && how ? fieldText(part, entry.key, value, how, props.system) : '—';
});
const word = computed(
  () => knownBy.find(({ key }) => key === known.value?.how)?.word ?? 'not checked',
);
</script>

<template>
  <button type="button" class="step" @click="emit('choose')">
    <span>{{ step.entry.label }}<template v-if="step.part === 'places'">, position</template></span>
    <span class="number" :class="{ guess: known?.how === 'guessed', soft: !known }">{{
      shown
    }}</span>
    <EvidenceMark :how="known?.how" bare />
    <DraftMark :place="`${unit}.${step.part}.${step.entry.key}`" class="why" />
    <span v-if="step.state !== 'seen'" class="small soft why">{{
      later ? 'skipped for now' : word
    }}</span>
  </button>
</template>

<style scoped>
.step {
  display: grid;
  grid-template-columns: minmax(40%, 1fr) auto 20px;
  align-items: center;
  gap: 2px 10px;
  width: 100%;
  min-height: 52px;
  padding: 6px 16px;
  border: 0;
  background: none;
  text-align: left;
  font-size: 17px;
  cursor: pointer;
}

.number {
  max-width: 50vw;
  text-align: right;
}

.why {
  grid-column: 1 / -1;
  margin-top: -4px;
}
</style>
