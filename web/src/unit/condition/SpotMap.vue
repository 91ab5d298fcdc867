<script setup lang="ts">
import { computed, ref } from 'vue';
import type { System } from '@fair-gable/core/base/quantity';
import { outlineOf } from '@fair-gable/core/unit/outline';
import { spotLayers, type Spot, type UnitRecord } from '@fair-gable/core/unit/record';
import OutlineBody from '../outline/OutlineBody.vue';
import type { Marked } from './marks.ts';

/**
 * The outline with spots on it, findings and readings, by layer; tapped to say where something is. Hitch up at the
 * desk, to the left on a phone.
 */
const props = defineProps<{
  record: UnitRecord;
  system: System;
  marks: readonly Marked[];
  /** The mark that is looked at. */
  here?: string | undefined;
  /** Whether a tap says where something is. */
  tapping?: boolean;
}>();
const layer = defineModel<Spot['layer']>('layer', { required: true });
const emit = defineEmits<{ tap: [spot: Spot]; open: [id: string] }>();

const svg = ref<SVGSVGElement>();
const outline = computed(() => outlineOf(props.record));
const around = 34;
const viewBox = computed(() => {
  const { body, length } = outline.value;
  return `${body.x - around} ${-14} ${body.width + 2 * around} ${length.inches + 40}`;
});
const shown = computed(() => props.marks.filter(({ at }) => at.layer === layer.value));
const labels = { outside: 'Outside', inside: 'Inside', roof: 'Roof' } as const;
const countOn = (one: Spot['layer']): number =>
  props.marks.filter(({ at }) => at.layer === one).length;

const tap = (event: MouseEvent): void => {
  if (!props.tapping) return;
  const matrix = svg.value?.getScreenCTM()?.inverse();
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
  emit('tap', { layer: layer.value, x: Math.round(x), y: Math.round(y) });
};
</script>

<template>
  <div class="spots">
    <div class="layers" role="group" aria-label="Layer of the outline">
      <button
        v-for="one in spotLayers"
        :key="one"
        type="button"
        :aria-pressed="layer === one"
        @click="layer = one"
      >
        {{ labels[one] }} <span class="soft">{{ countOn(one) || '' }}</span>
      </button>
    </div>
    <svg
      ref="svg"
      :viewBox="viewBox"
      :class="{ tapping }"
      role="group"
      :aria-label="
        tapping
          ? 'The unit, hitch up, door side to the right. Tap where it is.'
          : 'The unit, hitch up, door side to the right, with findings'
      "
      @click="tap"
    >
      <OutlineBody :outline="outline" heading="up" :system="system" :layer="layer" class="body" />
      <g
        v-for="mark in shown"
        :key="mark.id"
        class="mark"
        :class="[mark.shape, { here: mark.id === here }]"
        role="button"
        tabindex="0"
        :aria-label="mark.text"
        :transform="`translate(${mark.at.x} ${mark.at.y})`"
        @click.stop="emit('open', mark.id)"
        @keydown.enter.prevent="emit('open', mark.id)"
        @keydown.space.prevent="emit('open', mark.id)"
      >
        <circle class="target" r="16" />
        <path v-if="mark.shape === 'cross'" d="M-7-7 7 7M7-7-7 7" />
        <path v-else-if="mark.shape === 'drop'" d="M0-9C6-1 6 2 6 4A6 6 0 0 1-6 4C-6 2-6-1 0-9Z" />
        <circle v-else-if="mark.shape === 'ring'" r="7" />
        <path v-else d="M-7 0-2 6 8-6" />
        <title>{{ mark.text }}</title>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.spots {
  display: grid;
  gap: 8px;
  align-content: start;
}

.layers {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  border-bottom: 1px solid var(--hairline);
}

.layers button {
  min-height: 44px;
  border: 0;
  background: none;
  cursor: pointer;
}

.layers button[aria-pressed='true'] {
  font-weight: 700;
  box-shadow: inset 0 -3px 0 var(--ink);
}

svg {
  width: 100%;
  max-height: min(64vh, 560px);
}

svg.tapping {
  outline: 2px dashed var(--amber);
  cursor: crosshair;
  touch-action: manipulation;
}

.body {
  opacity: 0.75;
}

.mark {
  outline: none;
  cursor: pointer;
}

.mark > * {
  fill: none;
  stroke: var(--brick);
  stroke-width: 3.4;
  stroke-linecap: round;
}

.mark.drop > * {
  stroke: var(--water);
}

.mark.done > * {
  stroke: var(--spruce);
}

.mark > .target {
  fill: transparent;
  stroke: none;
}

.mark:focus-visible > .target,
.mark.here > .target {
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
