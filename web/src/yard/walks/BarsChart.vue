<script setup lang="ts">
import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  LinearScale,
  type ChartData,
  type ChartOptions,
} from 'chart.js';
import { computed } from 'vue';
import { Bar } from 'vue-chartjs';
import { useColors } from '../../base/style/colors.ts';

/** A few things as bars beside one another, with their numbers as a table. */
const props = defineProps<{
  label: string;
  /** Heads of the table: of the rows, and of each series. */
  heads: readonly string[];
  rows: readonly { readonly label: string; readonly values: readonly number[] }[];
  /** How a number is written. */
  format?: (value: number) => string;
}>();
Chart.register(BarController, BarElement, CategoryScale, LinearScale);

const colors = useColors();
const written = (value: number): string => props.format?.(value) ?? String(value);
const series = computed(() => props.heads.slice(1));
const data = computed<ChartData<'bar'>>(() => ({
  labels: props.rows.map(({ label }) => label),
  datasets: series.value.map((name, i) => ({
    label: name,
    data: props.rows.map(({ values }) => values[i] ?? 0),
    backgroundColor: i === 0 && series.value.length > 1 ? colors.value.sand : colors.value.spruce,
    borderWidth: 0,
    barPercentage: 0.8,
    categoryPercentage: 0.75,
  })),
}));
const font = computed(() => ({ family: colors.value.font, size: 14 }));
const options = computed<ChartOptions<'bar'>>(() => ({
  animation: false,
  indexAxis: 'y',
  responsive: true,
  maintainAspectRatio: false,
  scales: {
    x: {
      beginAtZero: true,
      grid: { display: false },
      ticks: {
        color: colors.value.soft,
        font: font.value,
        maxTicksLimit: 5,
        callback: (v) => written(Number(v)),
      },
    },
    y: {
      grid: { display: false },
      ticks: { color: colors.value.ink, font: font.value, autoSkip: false },
    },
  },
}));
/** A row of bars, px. */
const height = computed(() => `${props.rows.length * (series.value.length > 1 ? 34 : 26) + 40}px`);
</script>

<template>
  <figure>
    <figcaption>
      <h3>{{ label }}</h3>
      <p v-if="series.length > 1" class="small soft legend">
        <span class="first" aria-hidden="true" />{{ series[0] }}
        <span class="second" aria-hidden="true" />{{ series[1] }}
      </p>
    </figcaption>
    <div :style="{ height }" aria-hidden="true"><Bar :data="data" :options="options" /></div>
    <details class="small">
      <summary>As a table</summary>
      <table>
        <thead>
          <tr>
            <th v-for="head in heads" :key="head" scope="col">{{ head }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.label">
            <th scope="row">{{ row.label }}</th>
            <td v-for="(value, i) in row.values" :key="i">{{ written(value) }}</td>
          </tr>
        </tbody>
      </table>
    </details>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  min-width: 0;
}

h3 {
  font-size: 17px;
}

.legend {
  display: flex;
  gap: 8px;
  align-items: center;
}

.legend span {
  width: 16px;
  height: 10px;
}

.first {
  background: var(--sand);
}

.second {
  margin-left: 10px;
  background: var(--spruce);
}

summary {
  min-height: 32px;
  padding-top: 6px;
  cursor: pointer;
}

th,
td {
  padding: 3px 18px 3px 0;
  text-align: left;
  font-weight: 400;
}

thead th {
  color: var(--soft);
}
</style>
