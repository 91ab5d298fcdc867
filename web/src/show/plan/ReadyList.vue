<script setup lang="ts">
import { computed } from 'vue';
import type { NeedKey, Point } from '@fair-gable/core/show/cards';
import { preparationsFor } from '@fair-gable/core/show/plan';
import type { UnitRecord } from '@fair-gable/core/unit/record';
import { useTried } from '../../base/draft/index.ts';

/**
 * What must be on, out, cold or staged before this walk, by when; ticked off as it is done. A tick holds for a day: what was
 * cold yesterday is not cold now.
 */
const props = defineProps<{
  unit: string;
  record: UnitRecord;
  points: readonly Point[];
  needs: readonly NeedKey[];
  /** Whether whoever presents may operate anything. */
  operates: boolean;
}>();
const rows = computed(() =>
  preparationsFor(props.record, props.points, props.needs, props.operates),
);
/** When each was ticked. */
const { value: ticked, set } = useTried<Readonly<Record<string, string>>>(
  () => `ready.${props.unit}`,
  () => ({}),
);
const holds = 24 * 60 * 60 * 1000;
const isDone = (key: string): boolean => Date.now() - Date.parse(ticked.value[key] ?? '') < holds;
const toggle = (key: string): void =>
  set({ ...ticked.value, [key]: isDone(key) ? '' : new Date().toISOString() });
const left = computed(() => rows.value.filter(({ key }) => !isDone(key)).length);
const before = (minutes: number): string =>
  minutes >= 120 ? `${Math.round(minutes / 60)} h before` : `${minutes} min before`;
</script>

<template>
  <section v-if="rows.length" aria-labelledby="ready-title">
    <h3 id="ready-title">
      Get ready <span class="soft small">{{ left ? `${left} left` : 'all done' }}</span>
    </h3>
    <ul>
      <li v-for="row in rows" :key="row.key">
        <label>
          <input type="checkbox" :checked="isDone(row.key)" @change="toggle(row.key)" />
          <span>
            {{ row.what }} <span class="soft small">{{ before(row.lead) }}</span>
            <span v-if="row.caution" class="small caution">{{ row.caution }}</span>
          </span>
        </label>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h3 {
  padding-bottom: 4px;
  font-size: 17px;
}

label {
  display: flex;
  gap: 10px;
  align-items: baseline;
  min-height: 40px;
  padding: 6px 0;
  border-bottom: var(--line) solid var(--hairline);
  cursor: pointer;
}

input {
  flex: none;
  width: 20px;
  height: 20px;
  translate: 0 4px;
  accent-color: var(--spruce);
}

.caution {
  display: block;
  color: var(--brick);
}
</style>
