<script setup lang="ts">
import { formatQuantity, type System } from '@fair-gable/core/base/quantity';

/** Limits as bars: how much of each is used, and what is left. */
defineProps<{
  limits: readonly {
    readonly key: string;
    readonly label: string;
    readonly used: number;
    readonly rating: number;
    readonly left: number;
  }[];
  first?: string | undefined;
  system: System;
}>();
const share = (used: number, rating: number): number => Math.min(Math.max(used / rating, 0), 1.15);
</script>

<template>
  <ul class="limits">
    <li v-for="limit in limits" :key="limit.key" :class="{ over: limit.left < 0 }">
      <span :class="{ first: limit.key === first }"
        >{{ limit.label }}, {{ formatQuantity(limit.rating, 'weight', system)
        }}<span v-if="limit.key === first" class="visually-hidden">, the limit</span></span
      >
      <span class="bar" aria-hidden="true"
        ><span :style="{ width: `${(share(limit.used, limit.rating) / 1.15) * 100}%` }"></span
      ></span>
      <span class="number">{{
        limit.left < 0
          ? `${formatQuantity(-limit.left, 'weight', system)} over`
          : `${formatQuantity(limit.left, 'weight', system)} left`
      }}</span>
    </li>
  </ul>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(150px, 0.9fr) minmax(80px, 1.4fr) 110px;
  align-items: center;
  gap: 12px;
  min-height: 32px;
}

.first {
  font-weight: 700;
}

.bar {
  position: relative;
  height: 14px;
  background: linear-gradient(to right, var(--sand) 86.96%, transparent 86.96%);
}

.bar > span {
  position: absolute;
  inset: 0 auto 0 0;
  background: var(--spruce);
}

.over .bar > span {
  background: repeating-linear-gradient(-45deg, var(--brick) 0 5px, transparent 5px 8px);
}

.over .number {
  color: var(--brick);
}

.number {
  text-align: right;
}

@media (width < 760px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
    padding: 5px 0;
  }

  .bar {
    grid-row: 2;
    grid-column: 1 / -1;
  }
}
</style>
