<script setup lang="ts">
import SelectButton from 'primevue/selectbutton';
import {
  formatQuantity,
  waterStyles,
  type Outcome,
  type System,
  type WaterValue,
} from '@fair-gable/core';
import AnswerFoot from './AnswerFoot.vue';
import type { Trial } from './trial.ts';

/** How many nights off the hookups: by people and style, tank by tank. */
defineProps<{ unit: string; system: System; trial: Trial; outcome: Outcome<WaterValue> }>();
const emit = defineEmits<{ set: [more: Partial<Trial>] }>();
const people = [1, 2, 3, 4, 5, 6].map((n) => ({ key: n, label: String(n) }));
const styles = waterStyles.map(({ key, label }) => ({ key, label }));
const most = 7;
</script>

<template>
  <div class="bench">
    <div class="fields">
      <div>
        <span id="nights-people" class="label">People</span>
        <SelectButton
          :model-value="trial.people"
          :options="people"
          option-label="label"
          option-value="key"
          :allow-empty="false"
          aria-labelledby="nights-people"
          @update:model-value="(to) => emit('set', { people: to })"
        />
      </div>
      <div>
        <span id="nights-style" class="label">Water is used</span>
        <SelectButton
          :model-value="trial.style"
          :options="styles"
          option-label="label"
          option-value="key"
          :allow-empty="false"
          aria-labelledby="nights-style"
          @update:model-value="(to) => emit('set', { style: to })"
        />
      </div>
    </div>
    <ul v-if="outcome.value" class="tanks">
      <li v-for="tank in outcome.value.tanks" :key="tank.key">
        <span>{{ tank.label }}, {{ formatQuantity(tank.gallons, 'volume', system) }}</span>
        <span class="bar" aria-hidden="true"
          ><span
            :class="tank.key"
            :style="{ width: `${(Math.min(tank.days, most) / most) * 100}%` }"
          ></span
        ></span>
        <span class="number">{{ tank.days.toFixed(1) }} days</span>
        <strong v-if="tank.key === outcome.value.first" class="small">stops it first</strong>
      </li>
    </ul>
    <AnswerFoot :outcome="outcome" :unit="unit" />
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  gap: 16px;
}

li {
  display: grid;
  grid-template-columns: minmax(130px, 0.6fr) minmax(80px, 1.4fr) 80px 110px;
  align-items: center;
  gap: 12px;
  min-height: 32px;
}

.bar {
  height: 14px;
  background: var(--sand);
}

.bar > span {
  display: block;
  height: 100%;
  background: var(--soft);
}

.bar > .fresh {
  background: var(--water);
}

.bench :deep(.p-togglebutton) {
  min-height: 44px;
}

@media (width < 760px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto auto;
    padding: 5px 0;
  }

  .bar {
    grid-row: 2;
    grid-column: 1 / -1;
  }

  .bench :deep(.p-selectbutton) {
    flex-wrap: wrap;
  }
}
</style>
