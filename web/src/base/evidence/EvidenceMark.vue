<script setup lang="ts">
import { computed } from 'vue';
import { knownBy, type HowKnown } from '@fair-gable/core/unit/catalog';

/** The six shapes of how a value is known, and an open ring for what is not. */
const props = defineProps<{ how: HowKnown | undefined; bare?: boolean }>();

const word = computed(() => knownBy.find((row) => row.key === props.how)?.word ?? 'not known');
</script>

<template>
  <svg
    class="mark"
    viewBox="0 0 20 20"
    :class="how ?? 'unknown'"
    :role="bare ? undefined : 'img'"
    :aria-hidden="bare ? true : undefined"
    :aria-label="bare ? undefined : word"
  >
    <title v-if="!bare">{{ word }}</title>
    <g v-if="how === 'read'">
      <rect x="2" y="4" width="16" height="12" />
      <path d="M5.5 8.5h9M5.5 11.5h6" />
    </g>
    <g v-else-if="how === 'measured'">
      <rect x="2" y="6" width="16" height="8" />
      <path d="M6 6v4M10 6v5M14 6v4" />
    </g>
    <g v-else-if="how === 'seen'">
      <path d="M2 10c4-6.5 12-6.5 16 0-4 6.5-12 6.5-16 0z" />
      <circle cx="10" cy="10" r="2" class="full" />
    </g>
    <path v-else-if="how === 'sheet'" d="M4.5 2.5h7.5L15.5 6v11.5h-11zM11.5 2.5V6.5h4" />
    <path v-else-if="how === 'told'" d="M3 4h14v9H9.5L6 17v-4H3z" />
    <path v-else-if="how === 'guessed'" d="M2 11c2-6 4-6 5.5 0s3.5 6 5 0 3-5 5.5-2" />
    <circle v-else cx="10" cy="10" r="6.5" class="dashed" />
  </svg>
</template>

<style scoped>
.mark {
  width: 20px;
  height: 20px;
  flex: none;
  fill: none;
  stroke: var(--spruce);
  stroke-width: 1.8;
  stroke-linejoin: round;
  stroke-linecap: round;
}

.full {
  fill: var(--spruce);
}

.guessed {
  stroke: var(--amber);
  stroke-width: 2.2;
}

.told {
  stroke: var(--soft);
}

.unknown {
  stroke: var(--edge);
}

.dashed {
  stroke-dasharray: 2.5 2.8;
}
</style>
