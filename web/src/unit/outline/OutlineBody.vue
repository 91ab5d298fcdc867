<script setup lang="ts">
import { computed } from 'vue';
import { formatQuantity, type System } from '@fair-gable/core/base/quantity';
import { specEntry } from '@fair-gable/core/unit/catalog';
import {
  floorSize,
  type Drawing,
  type Outline,
  type OutlinePart,
} from '@fair-gable/core/unit/outline';
import { frameLines, spot, turned, type Heading } from './project.ts';

/**
 * The trailer itself, to scale: body, hitch, wheels, and whatever its record places.
 * Dashed is not measured; colors say water, waste, gas and power, and only here.
 */
const props = withDefaults(
  defineProps<{
    /** Furniture is drawn from within alone. */
    outline: Drawing & Partial<Pick<Outline, 'furniture'>>;
    heading: Heading;
    system: System;
    /** Words in tanks and slides; left out in small drawings. */
    words?: boolean;
    /** From outside with what lies under the floor, from within with the furniture, or the roof alone. */
    layer?: 'outside' | 'inside' | 'roof';
  }>(),
  { layer: 'outside' },
);

const body = computed(() => turned(props.heading, props.outline.body));
const frame = computed(() => frameLines(props.outline, props.heading));
const ball = computed(() => spot(props.heading, 0, 3));

const wheelsOf = (part: OutlinePart) =>
  [part.box.x - 4, part.box.x + part.box.width - 5].map((x) =>
    turned(props.heading, { x, y: part.box.y, width: 9, height: part.box.height }),
  );

const short: Readonly<Record<string, string>> = {
  freshTank: 'fresh',
  grayTank: 'gray',
  galleyTank: 'galley',
  blackTank: 'black',
};

const nameIn = (part: OutlinePart): string => short[part.key] ?? '';

const amountIn = (part: OutlinePart): string =>
  part.amount === undefined
    ? '?'
    : (formatQuantity(part.amount, 'volume', props.system).split(' ')[0] ?? '');

const middle = (part: OutlinePart) =>
  spot(props.heading, part.box.x + part.box.width / 2, part.box.y + part.box.height / 2);

/** What one sees of the unit from within and from above. */
const shapesOf = {
  outside: ['slide', 'awning', 'tank', 'cylinder', 'battery', 'axle', 'door', 'inlet'],
  inside: ['slide', 'door'],
  roof: ['slide'],
} as const;

const ofShape = (...shapes: readonly OutlinePart['shape'][]) =>
  props.outline.parts.filter(
    ({ shape }) => shapes.includes(shape) && shapesOf[props.layer].some((s) => s === shape),
  );

const furniture = computed(() => (props.layer === 'inside' ? (props.outline.furniture ?? []) : []));
</script>

<template>
  <g class="outline">
    <path class="frame" :d="frame" />
    <circle class="ball" :cx="ball.x" :cy="ball.y" r="4" />
    <g
      v-for="part in ofShape('slide', 'awning')"
      :key="part.key"
      :class="[part.shape, { dashed: !part.known }]"
    >
      <rect v-bind="turned(heading, part.box)" />
      <title>{{ part.label }}{{ part.known ? '' : ', position not measured' }}</title>
    </g>
    <rect class="body" :class="{ dashed: !outline.body.known }" v-bind="body" rx="7" />
    <g v-for="piece in furniture" :key="piece.key">
      <rect class="furniture dashed" v-bind="turned(heading, piece.box)" rx="3" />
      <title>
        {{ specEntry(piece.key).label }}, {{ floorSize(piece, system) }}, position not measured
      </title>
    </g>
    <g v-for="part in ofShape('tank', 'cylinder', 'battery')" :key="part.key">
      <rect
        :class="[part.shape, part.medium, { dashed: !part.known }]"
        v-bind="turned(heading, part.box)"
        :rx="part.shape === 'cylinder' ? 6 : 1"
      />
      <text v-if="words && part.shape === 'tank'" :class="part.medium" :y="middle(part).y - 1.5">
        <tspan :x="middle(part).x">{{ nameIn(part) }}</tspan>
        <tspan :x="middle(part).x" dy="11">{{ amountIn(part) }}</tspan>
      </text>
      <title>{{ part.label }}{{ part.known ? '' : ', position not measured' }}</title>
    </g>
    <template v-for="(part, i) in ofShape('axle')" :key="`axle-${i}`">
      <line
        class="axle"
        :x1="spot(heading, part.box.x, part.box.y + part.box.height / 2).x"
        :y1="spot(heading, part.box.x, part.box.y + part.box.height / 2).y"
        :x2="spot(heading, part.box.x + part.box.width, part.box.y + part.box.height / 2).x"
        :y2="spot(heading, part.box.x + part.box.width, part.box.y + part.box.height / 2).y"
      />
      <rect
        v-for="(wheel, w) in wheelsOf(part)"
        :key="w"
        class="wheel"
        :class="{ unmeasured: !part.known }"
        v-bind="wheel"
        rx="3"
      />
    </template>
    <g v-for="(part, i) in ofShape('door', 'inlet')" :key="`${part.key}-${i}`">
      <rect
        :class="[part.shape, part.medium, { dashed: !part.known }]"
        v-bind="turned(heading, part.box)"
      />
      <title>{{ part.label }}{{ part.known ? '' : ', position not measured' }}</title>
    </g>
  </g>
</template>

<style scoped>
.outline {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
  stroke-linejoin: round;
}

.body {
  fill: var(--leaf);
  stroke-width: 2.4;
}

.frame {
  stroke-width: 2;
}

.ball {
  fill: var(--ink);
}

.dashed {
  stroke-dasharray: 5 4;
}

.slide rect {
  fill: var(--leaf);
}

.awning rect {
  stroke: var(--soft);
  stroke-width: 1.2;
}

.axle {
  stroke: var(--hairline);
}

.wheel {
  fill: var(--ink);
}

.wheel.unmeasured {
  fill: var(--leaf);
}

.furniture {
  fill: var(--paper);
  stroke: var(--soft);
  stroke-width: 1.2;
}

.door {
  fill: var(--paper);
}

.tank.water {
  fill: color-mix(in srgb, var(--water) 12%, var(--leaf));
  stroke: var(--water);
}

.tank.waste {
  fill: color-mix(in srgb, var(--soft) 10%, var(--leaf));
  stroke: var(--soft);
}

.cylinder,
.inlet.gas {
  fill: color-mix(in srgb, var(--gas) 15%, var(--leaf));
  stroke: var(--gas);
}

.inlet {
  fill: var(--leaf);
}

.inlet.water {
  stroke: var(--water);
}

.inlet.waste {
  stroke: var(--soft);
}

text {
  fill: var(--soft);
  stroke: none;
  font: 600 10px var(--plain);
  text-anchor: middle;
}

text.water {
  fill: var(--water);
}
</style>
