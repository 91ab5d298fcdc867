<script setup lang="ts">
import type { StationState } from '@fair-gable/core/unit/outline';

/**
 * A station on the path. Its state shows by shape and fill: open ring, half filled, filled,
 * diamond where numbers disagree; a heavy ring where one stands.
 */
defineProps<{ number: number; state: StationState; here: boolean; x: number; y: number }>();
const r = 11;
</script>

<template>
  <g class="peg" :class="[state, { here }]" :transform="`translate(${x} ${y})`">
    <circle v-if="here" class="ring" r="16" />
    <path v-if="state === 'wrong'" class="shape" d="M0-14 14 0 0 14-14 0z" />
    <circle v-else class="shape" :r="r" />
    <path v-if="state === 'partly'" class="half" :d="`M0 ${-r}a${r} ${r} 0 0 0 0 ${2 * r}z`" />
    <text y="4">{{ number }}</text>
  </g>
</template>

<style scoped>
.shape {
  fill: var(--leaf);
  stroke: var(--spruce);
  stroke-width: 2;
}

.done .shape {
  fill: var(--spruce);
}

.wrong .shape {
  stroke: var(--brick);
  stroke-width: 2.4;
}

.half {
  fill: color-mix(in srgb, var(--spruce) 38%, var(--leaf));
}

.ring {
  fill: var(--leaf);
  stroke: var(--ink);
  stroke-width: 3;
}

text {
  fill: var(--ink);
  font: 700 11px var(--plain);
  text-anchor: middle;
}

.done text {
  fill: var(--leaf);
}
</style>
