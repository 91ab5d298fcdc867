<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { System } from '@fair-gable/core/base/quantity';
import { stationEntry, stations, type StationKey } from '@fair-gable/core/unit/catalog';
import type { Objection } from '@fair-gable/core/unit/checks';
import {
  floorSize,
  isOnUnit,
  outlineOf,
  stationState,
  type Peg,
  type StationState,
} from '@fair-gable/core/unit/outline';
import type { UnitRecord } from '@fair-gable/core/unit/record';
import OutlineBody from './OutlineBody.vue';
import { nameOutside, nameWithin } from './names.ts';
import { pathBox } from './project.ts';
import StationPeg from './StationPeg.vue';

/** The unit with its stations round it: the map by which one goes through its record. */
const props = defineProps<{
  record: UnitRecord;
  objections: readonly Objection[];
  system: System;
  /** The station where one stands. */
  here: StationKey;
}>();
const emit = defineEmits<{ go: [station: StationKey] }>();

const outline = computed(() => outlineOf(props.record));
const path = computed(() => pathBox(outline.value, 'up'));
const viewBox = computed(() => {
  const { x, y, width, height } = path.value;
  return [x - 72, y - 20, width + 144, height + 40].join(' ');
});

const layers = [
  { key: 'outside', label: 'Outside' },
  { key: 'inside', label: 'Inside' },
  { key: 'roof', label: 'Roof' },
  { key: 'papers', label: 'Papers' },
] as const;
type LayerKey = (typeof layers)[number]['key'];

/** The layer looked at: that of the station where one stands, until another is chosen. */
const layer = ref<LayerKey>('outside');
watch(
  () => props.here,
  (station) => (layer.value = stationEntry(station).layer),
  { immediate: true },
);

const stateOf = (station: StationKey): StationState =>
  stationState(props.record, station, props.objections);

const stateWords: Readonly<Record<StationState, string>> = {
  open: 'not checked',
  partly: 'partly known',
  done: 'all known',
  wrong: 'numbers disagree',
};

/** The pegs that stand on the drawing in this layer. */
const pegs = computed<readonly Peg[]>(() => {
  if (layer.value === 'outside') return outline.value.pegs;
  return layer.value === 'papers' ? [] : outline.value.within[layer.value];
});

/** Each with the place of its name, and what stands there where the drawing has it. */
const named = computed(() =>
  pegs.value.map((peg) => {
    if (layer.value === 'outside') return { peg, at: nameOutside(peg, pegs.value) };
    const piece = outline.value.furniture.find(({ station }) => station === peg.station);
    const at = nameWithin(peg, outline.value);
    return layer.value === 'inside' ? { peg, at, piece } : { peg, at };
  }),
);

/** What the layer says of itself by shape and fill: its least known station. */
const standing = (key: LayerKey): StationState => {
  const states = stations
    .filter((s) => s.layer === key && isOnUnit(props.record, s.key))
    .map((s) => stateOf(s.key));
  if (states.includes('wrong')) return 'wrong';
  if (states.every((s) => s === 'done')) return 'done';
  return states.every((s) => s === 'open') ? 'open' : 'partly';
};
const marks: Readonly<Record<StationState, string>> = {
  open: '○',
  partly: '◐',
  done: '●',
  wrong: '◇',
};

const papers = computed(() => stations.filter((s) => s.layer === 'papers'));
/** Stations this unit does not have: there to be corrected, apart from the walk. */
const absent = computed(() =>
  stations.filter((s) => s.layer === layer.value && !isOnUnit(props.record, s.key)),
);
const lists = computed(() =>
  [
    { label: 'papers', stations: layer.value === 'papers' ? papers.value : [] },
    { label: 'not on this unit', stations: layer.value === 'outside' ? [] : absent.value },
  ].filter(({ stations: of }) => of.length > 0),
);
</script>

<template>
  <nav class="map" aria-label="Stations around the unit">
    <div class="layers" role="group" aria-label="Layer of the outline">
      <button
        v-for="one in layers"
        :key="one.key"
        type="button"
        :aria-pressed="layer === one.key"
        :aria-label="`${one.label}, ${stateWords[standing(one.key)]}`"
        @click="layer = one.key"
      >
        <span aria-hidden="true">{{ marks[standing(one.key)] }}</span> {{ one.label }}
      </button>
    </div>
    <svg :viewBox="viewBox" preserveAspectRatio="xMidYMid meet">
      <rect v-if="layer === 'outside'" class="path" v-bind="path" rx="60" />
      <polyline
        v-else-if="pegs.length"
        class="path"
        :points="pegs.map((p) => `${p.x},${p.y}`).join(' ')"
      />
      <OutlineBody
        :outline="outline"
        heading="up"
        :system="system"
        :layer="layer === 'papers' ? 'roof' : layer"
        :class="{ faint: layer === 'papers' }"
        words
      />
      <g
        v-for="{ peg, at, piece } in named"
        :key="peg.station"
        class="stop"
        role="button"
        tabindex="0"
        :aria-current="peg.station === here ? 'step' : undefined"
        :aria-label="`${peg.number} ${stationEntry(peg.station).label}, ${stateWords[stateOf(peg.station)]}`"
        @click="emit('go', peg.station)"
        @keydown.enter.prevent="emit('go', peg.station)"
        @keydown.space.prevent="emit('go', peg.station)"
      >
        <line
          v-if="at.leader"
          class="leader"
          :x1="at.leader.from"
          :y1="peg.y"
          :x2="at.leader.to"
          :y2="peg.y"
        />
        <circle class="target" :cx="peg.x" :cy="peg.y" r="20" />
        <StationPeg
          :number="peg.number"
          :state="stateOf(peg.station)"
          :here="peg.station === here"
          :x="peg.x"
          :y="peg.y"
        />
        <text
          :x="at.x"
          :y="peg.y + 4"
          :text-anchor="at.anchor"
          :class="{ here: peg.station === here }"
        >
          <tspan>{{ peg.short }}</tspan>
          <tspan v-if="piece" class="size" :class="{ guess: piece.guessed }" :x="at.x" dy="13">
            {{ floorSize(piece, system) }}
          </tspan>
        </text>
      </g>
    </svg>
    <section
      v-for="list in lists"
      :key="list.label"
      class="layer"
      :aria-label="`Stations: ${list.label}`"
    >
      <h3>{{ list.label }}</h3>
      <ul>
        <li v-for="station in list.stations" :key="station.key">
          <button
            type="button"
            :aria-current="station.key === here ? 'step' : undefined"
            :aria-label="`${station.number} ${station.label}, ${stateWords[stateOf(station.key)]}`"
            @click="emit('go', station.key)"
          >
            <svg viewBox="-17 -17 34 34" width="30" height="30" aria-hidden="true">
              <StationPeg
                :number="station.number"
                :state="stateOf(station.key)"
                :here="station.key === here"
                :x="0"
                :y="0"
              />
            </svg>
            {{ station.short }}
          </button>
        </li>
      </ul>
    </section>
    <p class="legend small soft">
      ○ not checked · ◐ partly · ● all known · ◇ numbers disagree · dashed: not measured
    </p>
  </nav>
</template>

<style scoped>
.map {
  display: flex;
  flex-direction: column;
  gap: 8px;
}

svg {
  width: 100%;
  max-height: min(62vh, 560px);
}

.layers {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  border-bottom: 1px solid var(--hairline);
}

.layers button {
  min-height: 44px;
  padding: 0 2px;
  border: 0;
  background: none;
  color: var(--soft);
  font-size: 15px;
  cursor: pointer;
}

.layers button[aria-pressed='true'] {
  color: var(--ink);
  font-weight: 700;
  box-shadow: inset 0 -3px 0 var(--ink);
}

.faint {
  opacity: 0.45;
}

.path {
  fill: none;
  stroke: var(--hairline);
  stroke-width: 2.4;
  stroke-dasharray: 0.1 7;
  stroke-linecap: round;
}

.leader {
  stroke: var(--hairline);
  stroke-width: 1.2;
}

.stop {
  outline: none;
  cursor: pointer;
}

.stop:focus-visible .target {
  stroke: var(--water);
  stroke-width: 3;
}

.target {
  fill: transparent;
}

text {
  fill: var(--soft);
  font: 500 13px var(--plain);
}

.size {
  font-weight: 400;
  font-size: 11px;
}

text.here {
  fill: var(--ink);
  font-weight: 700;
}

.layer {
  display: grid;
  grid-template-columns: 58px minmax(0, 1fr);
  align-items: center;
  gap: 6px;
  border-top: 1px solid var(--hairline);
}

.layer h3 {
  color: var(--soft);
  font: 600 14px/1.15 var(--slab);
}

.layer ul {
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
}

.layer button {
  display: flex;
  align-items: center;
  gap: 4px;
  min-height: 40px;
  padding: 0 4px;
  border: 0;
  background: none;
  color: var(--soft);
  font-size: 14px;
  cursor: pointer;
}

.layer button[aria-current] {
  color: var(--ink);
  font-weight: 700;
}

.legend {
  text-align: center;
}
</style>
