<script setup lang="ts">
import { computed } from 'vue';
import { percent } from '@fair-gable/core/base/words';
import { formatQuantity, type System } from '@fair-gable/core/base/quantity';
import type { WeightInput, WeightValue } from '@fair-gable/core/numbers/weight';
import { outlineOf } from '@fair-gable/core/unit/outline';
import type { UnitRecord } from '@fair-gable/core/unit/record';
import OutlineBody from '../../unit/outline/OutlineBody.vue';

/** The unit with what weighs on it where it lies, and the two places that carry it. */
const props = defineProps<{
  record: UnitRecord;
  system: System;
  items: WeightInput['items'];
  axle: number | undefined;
  value: WeightValue | undefined;
}>();

const outline = computed(() => outlineOf(props.record));
/** How far things stand out on each side; below the lower one there is room for what is carried. */
const reach = computed(() => {
  const { body, parts } = outline.value;
  const boxes = [body, ...parts.map(({ box }) => box)];
  return {
    top: Math.min(...boxes.map(({ x }) => x)) - 8,
    bottom: Math.max(...boxes.map(({ x, width }) => x + width)),
  };
});
const viewBox = computed(() => {
  const { top, bottom: low } = reach.value;
  return `-34 ${top} ${outline.value.length.inches + 76} ${low - top + 64}`;
});
const bottom = computed(() => reach.value.bottom);
const show = (pounds: number): string => formatQuantity(pounds, 'weight', props.system);
const loads = computed(() => props.items.filter(({ weight }) => weight.amount >= 1));
/** A square whose area grows with the weight. */
const side = (pounds: number): number => Math.min(Math.max(Math.sqrt(pounds) * 2.2, 12), 58);
/** What lies on hitch and axles, once both are known. */
const carried = computed(() => {
  const { hitch, axles, share } = props.value ?? {};
  if (hitch === undefined || axles === undefined || share === undefined) return undefined;
  return { hitch, axles, share };
});
const words = computed(() => {
  const { value } = carried;
  if (!value) return 'The unit; the weight on hitch and axles isn’t known yet';
  return `${show(value.hitch)} on the hitch, ${show(value.axles)} on the axles`;
});
</script>

<template>
  <svg :viewBox="viewBox" role="img" :aria-label="words">
    <OutlineBody :outline="outline" heading="left" :system="system" class="body" />
    <g v-for="item in loads" :key="item.key" :class="item.full === undefined ? 'gear' : 'water'">
      <rect
        :x="item.back.amount - side(item.weight.amount) / 2"
        :y="-side(item.weight.amount) / 2"
        :width="side(item.weight.amount)"
        :height="side(item.weight.amount)"
      />
      <text :x="item.back.amount" y="4">{{ Math.round(item.weight.amount) }}</text>
      <title>{{ item.label }}, {{ show(item.weight.amount) }}</title>
    </g>
    <template v-if="carried && axle">
      <path :d="`M0 12V${bottom + 12}`" class="arrow" />
      <path :d="`M-5 ${bottom + 5}L0 ${bottom + 14}L5 ${bottom + 5}`" class="arrow" />
      <text class="force start" x="-8" :y="bottom + 32">
        {{ show(carried.hitch) }} on the hitch, {{ percent(carried.share) }}
      </text>
      <path :d="`M${axle} ${bottom + 4}V${bottom + 16}`" class="arrow" />
      <text class="force" :x="axle + 8" :y="bottom + 54">
        {{ show(carried.axles) }} on the axles
      </text>
    </template>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-height: 260px;
}

.body {
  opacity: 0.7;
}

rect {
  fill: color-mix(in srgb, var(--amber) 18%, var(--leaf));
  stroke: var(--amber);
  stroke-width: 1.6;
}

.water rect {
  fill: color-mix(in srgb, var(--water) 20%, var(--leaf));
  stroke: var(--water);
}

text {
  fill: var(--ink);
  font: 700 12px var(--plain);
  text-anchor: middle;
}

.force {
  font-size: 14px;
}

.start {
  text-anchor: start;
}

.arrow {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.4;
}
</style>
