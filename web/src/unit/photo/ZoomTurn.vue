<script setup lang="ts">
import { RotateCw, ZoomIn, ZoomOut } from '@lucide/vue';
import { computed, ref, watch } from 'vue';
import PhotoImage from './PhotoImage.vue';

/**
 * A photo to be read: made larger, turned, moved about under the thumb. What is drawn on it comes by the slot and
 * turns with it.
 */
const props = defineProps<{
  unit: string;
  photo: string;
  alt: string;
  width: number;
  height: number;
}>();

const zoom = ref(1);
const quarter = ref(0);
const largest = 6;
watch(
  () => props.photo,
  () => {
    zoom.value = 1;
    quarter.value = 0;
  },
);

const isLying = computed(() => quarter.value % 2 === 1);
const shape = computed(() =>
  isLying.value ? `${props.height} / ${props.width}` : `${props.width} / ${props.height}`,
);
/** Turned by a quarter the picture is as wide as the frame is high. */
const share = computed(() => (isLying.value ? props.width / props.height : 1));
const change = (by: number): void => {
  zoom.value = Math.min(Math.max(zoom.value * by, 1), largest);
};
</script>

<template>
  <div class="zoom-turn">
    <div class="window" tabindex="0" role="group" :aria-label="`${alt}; scroll to move about`">
      <div class="frame" :style="{ width: `${zoom * 100}%`, aspectRatio: shape }">
        <div
          class="turned"
          :style="{
            width: `${share * 100}%`,
            aspectRatio: `${width} / ${height}`,
            transform: `translate(-50%, -50%) rotate(${quarter * 90}deg)`,
          }"
        >
          <PhotoImage
            :unit="unit"
            :photo="photo"
            size="whole"
            :alt="alt"
            :width="width"
            :height="height"
          />
          <slot />
        </div>
      </div>
    </div>
    <div class="tools" role="group" aria-label="How the photo is shown">
      <button type="button" aria-label="Larger" :disabled="zoom >= largest" @click="change(1.5)">
        <ZoomIn aria-hidden="true" />
      </button>
      <button type="button" aria-label="Smaller" :disabled="zoom <= 1" @click="change(1 / 1.5)">
        <ZoomOut aria-hidden="true" />
      </button>
      <button type="button" aria-label="Turn by a quarter" @click="quarter = (quarter + 1) % 4">
        <RotateCw aria-hidden="true" />
      </button>
      <slot name="tools" />
    </div>
  </div>
</template>

<style scoped>
.zoom-turn {
  display: grid;
  gap: 8px;
  min-width: 0;
}

.window {
  max-height: min(60vh, 560px);
  overflow: auto;
  border: 1px solid var(--edge);
  background: var(--tint);
}

.frame {
  position: relative;
  margin: 0 auto;
}

.turned {
  position: absolute;
  top: 50%;
  left: 50%;
}

.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.tools > button {
  display: grid;
  place-items: center;
  min-width: var(--thumb);
  min-height: var(--thumb);
  border: 1px solid var(--edge);
  border-radius: 5px;
  background: var(--leaf);
  cursor: pointer;
}

.tools > button:disabled {
  opacity: 0.4;
}
</style>
