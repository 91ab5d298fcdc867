<script setup lang="ts">
import { onBeforeUnmount, ref, watch } from 'vue';
import { keptPicture } from '../../base/device/index.ts';

/** A photo: from this device while it is not sent, else from the server. */
const props = defineProps<{
  unit: string;
  photo: string;
  size: 'thumb' | 'whole';
  alt: string;
  width: number;
  height: number;
}>();
const emit = defineEmits<{ shown: [image: HTMLImageElement] }>();

const source = ref('');
const missing = ref(false);
const image = ref<HTMLImageElement>();

const free = (): void => {
  if (source.value.startsWith('blob:')) URL.revokeObjectURL(source.value);
};

watch(
  () => [props.unit, props.photo, props.size],
  async () => {
    free();
    missing.value = false;
    const kept = await keptPicture(props.photo).catch(() => undefined);
    source.value = kept
      ? URL.createObjectURL(kept)
      : `/api/units/${props.unit}/photos/${props.photo}?size=${props.size}`;
  },
  { immediate: true },
);
onBeforeUnmount(free);
</script>

<template>
  <span v-if="missing" class="missing small soft">not here yet</span>
  <img
    v-else-if="source"
    ref="image"
    :src="source"
    :alt="alt"
    :width="width"
    :height="height"
    loading="lazy"
    decoding="async"
    @error="missing = true"
    @load="image && emit('shown', image)"
  />
</template>

<style scoped>
img {
  display: block;
  width: 100%;
  height: 100%;
  object-fit: cover;
}

.missing {
  display: grid;
  place-items: center;
  width: 100%;
  height: 100%;
  padding: 4px;
  border: var(--line) dashed var(--edge);
  text-align: center;
}
</style>
