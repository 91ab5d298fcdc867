<script setup lang="ts">
import {
  Chart,
  Filler,
  LinearScale,
  LineElement,
  PointElement,
  type ChartData,
  type ChartOptions,
} from 'chart.js';
import { refThrottled } from '@vueuse/core';
import { computed, toRef } from 'vue';
import { Line } from 'vue-chartjs';
import { percent } from '@fair-gable/core/base/words';
import { shareWanted } from '@fair-gable/core/numbers/weight';
import { useColors } from '../../base/style/colors.ts';

/** The share of the hitch as a tank fills, over the band that is wanted; with its table. */
const props = defineProps<{
  label: string;
  points: readonly { readonly level: number; readonly share: number }[];
  /** Where the tank stands now, 0 to 1. */
  now: number;
}>();
Chart.register(LineElement, PointElement, LinearScale, Filler);

const colors = useColors();

/** Redrawn ten times a second and once at the end: a slider that is pulled does not wait for its curve. */
const between = 100;
const points = refThrottled(toRef(props, 'points'), between, true, false);
const now = refThrottled(toRef(props, 'now'), between, true, false);
const shareNow = computed(() => {
  const at = Math.round(now.value * (points.value.length - 1));
  return points.value[at]?.share ?? 0;
});
const flat = (y: number) => [
  { x: 0, y },
  { x: 100, y },
];
const data = computed<ChartData<'line', { x: number; y: number }[]>>(() => ({
  datasets: [
    { data: flat(shareWanted.from * 100), pointRadius: 0, borderWidth: 0 },
    {
      data: flat(shareWanted.to * 100),
      pointRadius: 0,
      borderWidth: 0,
      fill: '-1',
      backgroundColor: colors.value.band,
    },
    {
      data: points.value.map(({ level, share }) => ({ x: level * 100, y: share * 100 })),
      borderColor: colors.value.spruce,
      borderWidth: 2.5,
      pointRadius: 0,
    },
    {
      data: [{ x: now.value * 100, y: shareNow.value * 100 }],
      pointRadius: 6,
      backgroundColor: colors.value.ink,
      borderColor: colors.value.ink,
    },
  ],
}));
const options = computed<ChartOptions<'line'>>(() => ({
  animation: false,
  responsive: true,
  maintainAspectRatio: false,
  scales: {
    x: {
      type: 'linear',
      min: 0,
      max: 100,
      grid: { display: false },
      ticks: { stepSize: 50, color: colors.value.soft, callback: (v) => `${v}%` },
    },
    y: {
      type: 'linear',
      suggestedMin: 8,
      suggestedMax: 17,
      grid: { display: false },
      ticks: { stepSize: 5, color: colors.value.soft, callback: (v) => `${v}%` },
    },
  },
}));
const some = computed(() => points.value.filter((_, i) => i % 5 === 0));
</script>

<template>
  <figure>
    <figcaption class="small">{{ label }}</figcaption>
    <div class="drawing" aria-hidden="true"><Line :data="data" :options="options" /></div>
    <details class="small">
      <summary>As a table</summary>
      <table>
        <thead>
          <tr>
            <th scope="col">filled</th>
            <th scope="col">on the hitch</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="{ level, share } in some" :key="level">
            <td>{{ percent(level, 0) }}</td>
            <td>{{ percent(share) }}</td>
          </tr>
        </tbody>
      </table>
    </details>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}

.drawing {
  height: 150px;
}

summary {
  min-height: 28px;
  cursor: pointer;
}

th,
td {
  padding: 2px 16px 2px 0;
  text-align: left;
  font-weight: 400;
}
</style>
