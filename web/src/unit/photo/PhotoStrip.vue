<script setup lang="ts">
import { computed, ref } from 'vue';
import { inText } from '@fair-gable/core/base/words';
import { targetLabel, type UnitRecord } from '@fair-gable/core/unit/record';
import PhotoImage from './PhotoImage.vue';
import { photosOf } from './photos.ts';
import PhotoViewer from './PhotoViewer.vue';
import TakePhoto from './TakePhoto.vue';

/** The photos of one thing, small, and a way to take another. */
const props = defineProps<{
  unit: string;
  record: UnitRecord;
  target: string;
  mayWrite: boolean;
}>();
const photos = computed(() => photosOf(props.record, props.target));
const open = ref<string>();
</script>

<template>
  <div class="strip">
    <button
      v-for="{ id, photo } in photos"
      :key="id"
      type="button"
      :aria-label="`Look at the photo of ${inText(targetLabel(target))}`"
      @click="open = id"
    >
      <PhotoImage
        :unit="unit"
        :photo="id"
        size="thumb"
        :alt="photo.caption ?? targetLabel(target)"
        :width="photo.width"
        :height="photo.height"
      />
    </button>
    <TakePhoto v-if="mayWrite" :unit="unit" :of="[target]" />
    <PhotoViewer
      v-if="open"
      :unit="unit"
      :record="record"
      :photo="open"
      :may-write="mayWrite"
      @close="open = undefined"
    />
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}

.strip > button {
  width: 72px;
  height: 56px;
  padding: 0;
  border: 1px solid var(--edge);
  border-radius: 4px;
  overflow: hidden;
  background: var(--tint);
  cursor: pointer;
}
</style>
