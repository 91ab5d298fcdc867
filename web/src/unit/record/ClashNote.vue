<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import type { System } from '@fair-gable/core/base/quantity';
import { knownBy, type HowKnown } from '@fair-gable/core/unit/catalog';
import {
  entryOf,
  fieldLabel,
  fieldText,
  statedBy,
  byWhom,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { when } from '../../base/clock/index.ts';
import EvidenceMark from '../../base/evidence/EvidenceMark.vue';
import type { OwnClash } from '../../base/device/index.ts';

/** Two values for one field: somebody else was faster. Both stand here, one tap settles. */
const props = defineProps<{
  clash: OwnClash;
  record: UnitRecord;
  system: System;
  problem: string;
}>();
const emit = defineEmits<{ settle: [mine: boolean] }>();

const mine = computed(() => props.clash.change);
const said = computed(() => statedBy(mine.value));
const theirs = computed(() => entryOf(props.record, mine.value.part, mine.value.key));
const text = (value: Parameters<typeof fieldText>[2], how: HowKnown): string =>
  fieldText(mine.value.part, mine.value.key, value, how, props.system);
const word = (how: HowKnown): string => knownBy.find((row) => row.key === how)?.word ?? '';

const sides = computed(() => [
  {
    key: 'theirs',
    mine: false,
    text: theirs.value ? text(theirs.value.value, theirs.value.how) : 'not known',
    how: theirs.value?.how,
    who: theirs.value
      ? `${word(theirs.value.how)}, ${byWhom(theirs.value)}, ${when(theirs.value.at)}`
      : 'undone in the meantime',
  },
  {
    key: 'mine',
    mine: true,
    text: text(said.value.value, said.value.how),
    how: said.value.how,
    who: `${word(said.value.how)}, you, ${when(props.clash.at)}`,
  },
]);
</script>

<template>
  <article class="clash" :data-clash="`${mine.part}.${mine.key}`">
    <h3>{{ fieldLabel(mine.part, mine.key) }}: two values</h3>
    <p class="small">Somebody else changed it while yours was being sent. Which one is right?</p>
    <div v-for="side in sides" :key="side.key" class="side">
      <Button
        :label="`Use ${side.text}`"
        severity="secondary"
        size="small"
        @click="emit('settle', side.mine)"
      />
      <span class="small soft"><EvidenceMark :how="side.how" bare />{{ side.who }}</span>
    </div>
    <p v-if="problem" class="small wrong" role="alert">{{ problem }}</p>
  </article>
</template>

<style scoped>
.clash {
  display: grid;
  gap: 8px;
  padding: 2px 0 2px 16px;
  border-left: 6px double var(--brick);
}

h3 {
  font: var(--strong) 16px/1.3 var(--plain);
}

.side {
  display: grid;
  justify-items: start;
  gap: 2px;
}

.side span {
  display: flex;
  align-items: center;
  gap: 5px;
}

.side :deep(.p-button) {
  min-height: 40px;
  text-align: left;
}

.side :deep(svg) {
  width: 15px;
  height: 15px;
}

@media (width < 1100px) {
  .side :deep(.p-button) {
    min-height: var(--thumb);
  }
}
</style>
