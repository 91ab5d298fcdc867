<script setup lang="ts">
import { computed, ref } from 'vue';
import type { System } from '@fair-gable/core/base/quantity';
import { outlineOf } from '@fair-gable/core/unit/outline';
import type { Place, UnitRecord } from '@fair-gable/core/unit/record';
import OutlineBody from '../outline/OutlineBody.vue';

/** The outline to be tapped where something is: its side, and about how far back. */
const props = defineProps<{
  record: UnitRecord;
  system: System;
  label: string;
  side: Place['side'] | undefined;
  /** Inches back from the coupler. */
  back: number | undefined;
}>();
const emit = defineEmits<{ tap: [place: Pick<Place, 'side' | 'back'>] }>();

const svg = ref<SVGSVGElement>();
const outline = computed(() => outlineOf(props.record));
const around = 44;
const viewBox = computed(() => {
  const { body, length } = outline.value;
  return `${-around} ${body.x - around} ${length.inches + 2 * around} ${body.width + 2 * around}`;
});

/** A third of the width on each side belongs to that side. */
const sideAt = (across: number, along: number): Place['side'] => {
  const { body, length } = outline.value;
  if (along > length.inches) return 'rear';
  if (along < body.y * 0.5) return 'front';
  const third = body.width / 6;
  return across > third ? 'door' : across < -third ? 'off-door' : 'center';
};

const tap = (event: MouseEvent): void => {
  const matrix = svg.value?.getScreenCTM()?.inverse();
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
  const back = Math.min(Math.max(x, 0), outline.value.length.inches);
  emit('tap', { side: sideAt(y, x), back: Math.round(back) });
};

const acrossOf = (side: Place['side']): number => {
  const { body } = outline.value;
  return { door: body.width / 2, 'off-door': -body.width / 2, center: 0, front: 0, rear: 0 }[side];
};
</script>

<template>
  <svg
    ref="svg"
    :viewBox="viewBox"
    role="img"
    :aria-label="`The unit, hitch to the left, door side below. Tap where it is: ${label}`"
    @click="tap"
  >
    <OutlineBody :outline="outline" heading="left" :system="system" />
    <g v-if="side !== undefined && back !== undefined">
      <line :x1="back" :x2="back" :y1="acrossOf(side) - 26" :y2="acrossOf(side) + 26" />
      <circle :cx="back" :cy="acrossOf(side)" r="9" />
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-height: 130px;
  border: 1px solid var(--edge);
  border-radius: 5px;
  background: var(--paper);
  cursor: crosshair;
  touch-action: manipulation;
}

line {
  stroke: var(--amber);
  stroke-width: 4;
}

circle {
  fill: var(--amber);
}
</style>
