<script setup lang="ts">
import { computed } from 'vue';
import { outlineOf, type StationKey, type System, type UnitRecord } from '@fair-gable/core';
import OutlineBody from './OutlineBody.vue';
import { spot } from './project.ts';

/** The outline as a strip, hitch to the left, door side below; it still says where one stands. */
const props = defineProps<{
  record: UnitRecord;
  system: System;
  label: string;
  here?: StationKey;
  /** Inches to draw across, so that several units stand at one scale. */
  scaleTo?: number;
}>();

const outline = computed(() => outlineOf(props.record));
const peg = computed(() => {
  const found = outline.value.pegs.find((p) => p.station === props.here);
  return found && spot('left', found.x * 0.82, found.y);
});
const viewBox = computed(() => {
  const { body, parts } = outline.value;
  const slides = parts.filter((p) => p.shape === 'slide');
  const top = Math.min(body.x, ...slides.map((p) => p.box.x)) - (props.here ? 26 : 6);
  const bottom =
    Math.max(body.x + body.width, ...parts.map((p) => p.box.x + p.box.width)) +
    (props.here ? 22 : 6);
  return `-14 ${top} ${(props.scaleTo ?? outline.value.length.inches) + 40} ${bottom - top}`;
});
</script>

<template>
  <svg
    class="strip"
    :viewBox="viewBox"
    preserveAspectRatio="xMinYMid meet"
    role="img"
    :aria-label="label"
  >
    <OutlineBody :outline="outline" heading="left" :system="system" />
    <circle v-if="peg" class="here" :cx="peg.x" :cy="peg.y" r="11" />
  </svg>
</template>

<style scoped>
.strip {
  display: block;
  width: 100%;
}

.here {
  fill: var(--spruce);
  stroke: var(--leaf);
  stroke-width: 3;
}
</style>
