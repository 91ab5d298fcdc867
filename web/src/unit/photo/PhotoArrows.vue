<script setup lang="ts">
import { ref, watch } from 'vue';
import { counted } from '@fair-gable/core/base/words';
import type { Photo } from '@fair-gable/core/unit/record';

/** Arrows on a photo: drawn by pulling, or by keys; shares of its width and height. */
type Arrow = NonNullable<Photo['arrows']>[number];
type Point = Arrow['from'];

const props = defineProps<{
  arrows: readonly Arrow[];
  drawing: boolean;
  /** Pixels of the photo. */
  width: number;
  height: number;
}>();
const emit = defineEmits<{ set: [arrows: Arrow[]] }>();

const from = ref<Point>();
const to = ref<Point>([0.5, 0.5]);
const svg = ref<SVGSVGElement>();
const most = 12;
const step = 0.02;
/** Shorter than this it was a touch, not a pull. */
const shortest = 0.02;

watch(
  () => props.drawing,
  (drawing) => {
    from.value = undefined;
    if (drawing) svg.value?.focus();
  },
);

const within = (share: number): number => Math.min(Math.max(share, 0), 1);

/** Where a finger is on the photo, however it is turned and made larger. */
const pointOf = (event: PointerEvent): Point => {
  const matrix = svg.value?.getScreenCTM()?.inverse();
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
  return [within(x / props.width), within(y / props.height)];
};

const begin = (event: PointerEvent): void => {
  if (!props.drawing) return;
  event.preventDefault();
  svg.value?.setPointerCapture(event.pointerId);
  from.value = pointOf(event);
  to.value = from.value;
};
const pull = (event: PointerEvent): void => {
  if (from.value && props.drawing) to.value = pointOf(event);
};
const keep = (): void => {
  const start = from.value;
  from.value = undefined;
  if (!start) return;
  const length = Math.hypot(to.value[0] - start[0], to.value[1] - start[1]);
  if (length < shortest) return;
  emit('set', [...props.arrows, { from: start, to: to.value }].slice(-most));
};

const moves: Readonly<Record<string, Point>> = {
  ArrowLeft: [-step, 0],
  ArrowRight: [step, 0],
  ArrowUp: [0, -step],
  ArrowDown: [0, step],
};
const onKey = (event: KeyboardEvent): void => {
  if (!props.drawing) return;
  const move = moves[event.key];
  if (!move && event.key !== 'Enter') return;
  event.preventDefault();
  event.stopPropagation();
  if (move) to.value = [within(to.value[0] + move[0]), within(to.value[1] + move[1])];
  else if (from.value) keep();
  else from.value = to.value;
};

const head = ({ from: a, to: b }: Arrow): string => {
  const [x, y] = [b[0] * props.width, b[1] * props.height];
  const angle = Math.atan2(y - a[1] * props.height, x - a[0] * props.width);
  const size = Math.max(props.width, props.height) * 0.03;
  const side = (turn: number): string =>
    `${x - size * Math.cos(angle + turn)},${y - size * Math.sin(angle + turn)}`;
  return `${side(0.5)} ${x},${y} ${side(-0.5)}`;
};
</script>

<template>
  <svg
    ref="svg"
    :viewBox="`0 0 ${width} ${height}`"
    :class="{ drawing }"
    :tabindex="drawing ? 0 : -1"
    role="img"
    :aria-label="`${counted(arrows.length, 'arrow')} on the photo`"
    @pointerdown="begin"
    @pointermove="pull"
    @pointerup="keep"
    @keydown="onKey"
  >
    <template v-for="(arrow, i) in [...arrows, ...(from ? [{ from, to }] : [])]" :key="i">
      <g
        v-for="back in [true, false]"
        :key="String(back)"
        :class="{ back }"
        :stroke-width="((back ? 1.9 : 1) * Math.max(width, height)) / 160"
      >
        <line
          :x1="arrow.from[0] * width"
          :y1="arrow.from[1] * height"
          :x2="arrow.to[0] * width"
          :y2="arrow.to[1] * height"
        />
        <polyline :points="head(arrow)" />
      </g>
    </template>
    <circle
      v-if="drawing"
      class="mark"
      :cx="to[0] * width"
      :cy="to[1] * height"
      :r="Math.max(width, height) / 90"
      :stroke-width="Math.max(width, height) / 300"
    />
  </svg>
</template>

<style scoped>
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}

svg.drawing {
  cursor: crosshair;
  touch-action: none;
}

line,
polyline,
.mark {
  fill: none;
  stroke: #a63a2b;
  stroke-linecap: round;
  stroke-linejoin: round;
}

/* On whatever ground: a pale edge below the red. */
.back > * {
  stroke: #fffdf7;
}

.mark {
  stroke-dasharray: 2% 1%;
}
</style>
