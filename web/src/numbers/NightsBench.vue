<script setup lang="ts">
import SelectButton from 'primevue/selectbutton';
import {
  formatQuantity,
  panelOf,
  waterStyles,
  waterTimes,
  type Outcome,
  type System,
  type UnitRecord,
  type WaterValue,
} from '@fair-gable/core';
import { computed } from 'vue';
import AnswerFoot from './AnswerFoot.vue';
import type { Trial } from './trial.ts';

/** How many nights off the hookups: by people and style, tank by tank. */
const props = defineProps<{
  unit: string;
  record: UnitRecord;
  system: System;
  trial: Trial;
  outcome: Outcome<WaterValue>;
}>();
const emit = defineEmits<{ set: [more: Partial<Trial>] }>();
const people = [1, 2, 3, 4, 5, 6].map((n) => ({ key: n, label: String(n) }));
const styles = waterStyles.map(({ key, label }) => ({ key, label }));
const most = 7;

const times = computed(() => waterTimes(props.record));
const lamps = ['none', 'one', 'two', 'all three'];
const panel = computed(() => panelOf(props.record));
const gallons = (amount: number): string => formatQuantity(amount, 'volume', props.system);
const lasting = (minutes: number): string =>
  minutes < 90 ? `${Math.max(Math.round(minutes), 1)} min` : `${(minutes / 60).toFixed(1)} h`;
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
    <section v-if="times.length" aria-label="How long it takes">
      <h3>How long it takes</h3>
      <dl>
        <div v-for="time in times" :key="time.what">
          <dt>{{ time.what }}</dt>
          <dd>
            <span class="number guess">about {{ lasting(time.minutes) }}</span>
            <span class="small soft">{{ time.by }}</span>
          </dd>
        </div>
        <div v-for="({ from, to }, lit) in panel" :key="lit">
          <dt>Panel shows {{ lamps[lit] }} lit, fresh</dt>
          <dd>
            <span class="number">{{
              from === to ? gallons(from) : `${gallons(from)} to ${gallons(to)}`
            }}</span>
          </dd>
        </div>
      </dl>
      <p class="small caution">
        The heater is full of water before its burner or element is on; never its relief lever on
        hot water.
      </p>
    </section>
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

h3 {
  padding-bottom: 4px;
  font-size: 18px;
}

dl > div {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.3fr);
  gap: 12px;
  padding: 5px 0;
  border-bottom: var(--line) solid var(--hairline);
}

dd {
  display: grid;
}

.caution {
  padding-top: 8px;
  color: var(--brick);
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
