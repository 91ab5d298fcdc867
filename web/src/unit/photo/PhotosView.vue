<script setup lang="ts">
import { computed, ref } from 'vue';
import { counted } from '@fair-gable/core/base/words';
import { targetLabel, type YardUnit } from '@fair-gable/core/unit/record';
import { useSession } from '../../base/session/session.ts';
import PhotoImage from './PhotoImage.vue';
import { photosOf } from './photos.ts';
import PhotoViewer from './PhotoViewer.vue';
import TakePhoto from './TakePhoto.vue';

/** All photos of a unit. */
const props = defineProps<{ unit: YardUnit }>();
const session = useSession();
const mayWrite = computed(() => session.may('record'));
const photos = computed(() => photosOf(props.unit.record));
const open = ref<string>();
const shows = (of: readonly string[]): string => of.map(targetLabel).join(', ');
</script>

<template>
  <section aria-labelledby="photos-title">
    <header class="page-head">
      <h2 id="photos-title">Photos</h2>
      <p class="soft">
        {{ counted(photos.length, 'photo') }}; camera data, location included, is removed.
      </p>
      <a v-if="photos.length" class="onward" :href="`/api/units/${unit.id}/file.zip`" download
        >Save the unit with its photos</a
      >
    </header>
    <p v-if="photos.length === 0" class="page-part">
      No photos yet. Take one here of the whole unit, or at a field, a label or a finding it proves.
    </p>
    <ul v-else class="page-part photos">
      <li v-for="{ id, photo } in photos" :key="id">
        <button type="button" :aria-label="`Look at: ${shows(photo.of)}`" @click="open = id">
          <PhotoImage
            :unit="unit.id"
            :photo="id"
            size="thumb"
            :alt="photo.caption ?? shows(photo.of)"
            :width="photo.width"
            :height="photo.height"
          />
        </button>
        <p class="small">
          {{ photo.caption ?? shows(photo.of) }}
          <span v-if="photo.arrows" class="soft"
            >· {{ counted(photo.arrows.length, 'arrow') }}</span
          >
        </p>
      </li>
    </ul>
    <p v-if="mayWrite" class="page-part">
      <TakePhoto :unit="unit.id" :of="['stations.door-side']" label="Photo of the unit" />
    </p>
    <PhotoViewer
      v-if="open"
      :unit="unit.id"
      :record="unit.record"
      :photo="open"
      :may-write="mayWrite"
      @close="open = undefined"
    />
  </section>
</template>

<style scoped>
.photos {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
  gap: 16px;
}

.photos button {
  display: block;
  width: 100%;
  aspect-ratio: 4 / 3;
  padding: 0;
  border: 1px solid var(--edge);
  border-radius: 4px;
  overflow: hidden;
  background: var(--tint);
  cursor: pointer;
}
</style>
