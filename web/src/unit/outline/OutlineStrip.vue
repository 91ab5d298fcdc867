<script setup lang="ts">
import { computed } from 'vue';
import type { System } from '@fair-gable/core/base/quantity';
import type { StationKey } from '@fair-gable/core/unit/catalog';
import { drawingOf, type Drawing } from '@fair-gable/core/unit/outline';
import { emptyRecord, type Brief } from '@fair-gable/core/unit/record';
import OutlineBody from './OutlineBody.vue';
import { spot } from './project.ts';

/** The outline as a strip, hitch to the left, door side below; it still says where one stands. */
const props = defineProps<{
  record?: Brief;
  /** Where there is no record, only what is drawn. */
  drawing?: Drawing;
  system: System;
  label: string;
  here?: StationKey;
  /** Inches to draw across, so that several units stand at one scale. */
  scaleTo?: number;
}>();

const outline = computed(() => props.drawing ?? drawingOf(props.record ?? emptyRecord));
/** How far things stand out on each side of the center line. */
const reach = computed(() => {
  const { body, parts } = outline.value;
  const boxes = [body, ...parts.map((part) => part.box)];
  return {
    off: Math.min(...boxes.map((box) => box.x)),
    door: Math.max(...boxes.map((box) => box.x + box.width)),
  };
});

const peg = computed(() => {
  const found = outline.value.pegs.find((p) => p.station === props.here);
  if (!found) return undefined;
  const beside = { door: reach.value.door + 15, 'off-door': reach.value.off - 15 } as const;
  const x = found.side === 'door' || found.side === 'off-door' ? beside[found.side] : 0;
  const y = Math.min(Math.max(found.y, -12), outline.value.length.inches + 14);
  return spot('left', x, y);
});

const viewBox = computed(() => {
  const around = props.here ? 30 : 6;
  const height = reach.value.door - reach.value.off + 2 * around;
  const width = props.scaleTo ?? outline.value.length.inches;
  return `-26 ${reach.value.off - around} ${width + 56} ${height}`;
});

/** The walking path round the unit, and the ground it covers on the drawing. */
const path = computed(() => ({
  x: -12,
  y: reach.value.off - 15,
  width: outline.value.length.inches + 26,
  height: reach.value.door - reach.value.off + 30,
}));
</script>

<template>
  <svg
    class="strip"
    :viewBox="viewBox"
    :preserveAspectRatio="here ? 'xMidYMid meet' : 'xMinYMid meet'"
    role="img"
    :aria-label="label"
  >
    <rect v-if="here" class="path" v-bind="path" rx="34" />
    <OutlineBody :outline="outline" heading="left" :system="system" />
    <circle v-if="peg" class="here" :cx="peg.x" :cy="peg.y" r="14" />
  </svg>
</template>

<style scoped>
.strip {
  display: block;
  width: 100%;
}

.path {
  fill: none;
  stroke: var(--edge);
  stroke-width: 3;
  stroke-dasharray: 0.1 9;
  stroke-linecap: round;
}

.here {
  fill: var(--spruce);
  stroke: var(--leaf);
  stroke-width: 3;
}
</style>
