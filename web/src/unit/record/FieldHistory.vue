<script setup lang="ts">
import { ref, watch } from 'vue';
import type { System } from '@fair-gable/core/base/quantity';
import { knownBy, type HowKnown } from '@fair-gable/core/unit/catalog';
import { fieldText, type HistoryRow, type Part } from '@fair-gable/core/unit/record';
import { useAttempt } from '../../base/attempt/index.ts';
import { when } from '../../base/clock/index.ts';
import EvidenceMark from '../../base/evidence/EvidenceMark.vue';
import { useOutbox } from '../../base/device/index.ts';
import { readHistory } from './history.ts';

/** What a field held before, who changed it, and how it was known: beside the value. */
const props = defineProps<{
  unit: string;
  part: Part;
  field: string;
  system: System;
  /** The version shown; when it goes up there is more to tell. */
  version: number;
}>();

const outbox = useOutbox();
const rows = ref<readonly HistoryRow[]>();
const { problem, attempt } = useAttempt();

const read = (): Promise<boolean> =>
  attempt(async () => {
    rows.value = await readHistory(props.unit, { part: props.part, key: props.field, limit: 6 });
  });
// A change counts up at once, and is in the history when the server has it.
watch(() => [props.unit, props.field, props.version, outbox.unsent], read, { immediate: true });

const word = (how: HowKnown): string => knownBy.find((row) => row.key === how)?.word ?? '';
</script>

<template>
  <section class="history" aria-label="History of this value">
    <h4 class="small soft">History of this value</h4>
    <p v-if="problem" class="small soft">{{ problem }}</p>
    <p v-else-if="rows?.length === 0" class="small soft">Not recorded yet.</p>
    <ol v-else-if="rows">
      <li v-for="row in rows" :key="row.id">
        <EvidenceMark :how="row.to === null ? undefined : row.how" bare />
        <span :class="{ guess: row.to !== null && row.how === 'guessed' }">{{
          fieldText(part, field, row.to, row.how, system)
        }}</span>
        <span class="small soft"
          >{{ row.to === null ? 'undone' : word(row.how)
          }}{{ row.beside ? ', kept alongside' : '' }}, {{ row.by }}, {{ when(row.at) }}</span
        >
      </li>
    </ol>
  </section>
</template>

<style scoped>
h4 {
  margin: 0 0 2px;
  font-family: var(--plain);
  font-weight: 600;
}

li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 8px;
  padding: 3px 0;
  border-top: 1px solid var(--hairline);
}

li :deep(svg) {
  width: 15px;
  height: 15px;
}
</style>
