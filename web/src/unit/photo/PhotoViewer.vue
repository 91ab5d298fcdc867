<script setup lang="ts">
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import InputText from 'primevue/inputtext';
import { computed, ref } from 'vue';
import { inText } from '@fair-gable/core/base/words';
import {
  targetLabel,
  byWhom,
  type Change,
  type Photo,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { changesByLabelPhotos } from '@fair-gable/core/unit/round';
import { wholeTimeOf } from '../../base/clock/index.ts';
import { useAttempt } from '../../base/attempt/index.ts';
import { useDraft } from '../../base/draft/index.ts';
import { useEdits } from '../record/edits.ts';
import PhotoArrows from './PhotoArrows.vue';
import ZoomTurn from './ZoomTurn.vue';

/** One photo, large: arrows drawn on it, a few words, and what it shows. */
const props = defineProps<{
  unit: string;
  record: UnitRecord;
  photo: string;
  mayWrite: boolean;
}>();
const emit = defineEmits<{ close: [] }>();

const edits = useEdits();
const entry = computed(() => props.record.photos[props.photo]);
const { draft, keepWith } = useDraft({
  place: () => `${props.unit}.photos.${props.photo}`,
  what: () => 'Words on a photo',
  fresh: () => ({ caption: entry.value?.value.caption ?? '' }),
});
const drawing = ref(false);
const { problem, attempt } = useAttempt();

const shows = computed(() => (entry.value?.value.of ?? []).map(targetLabel).join(', '));
const alt = computed(() => entry.value?.value.caption ?? `Photo of ${inText(shows.value)}`);

/** A label that is no longer pictured is not ticked as photographed. */
const unticked = (): readonly Change[] => {
  const rest = Object.entries(props.record.photos).filter(([id]) => id !== props.photo);
  return changesByLabelPhotos({ ...props.record, photos: Object.fromEntries(rest) }).filter(
    ({ value }) => value === null,
  );
};

const save = (value: Photo | null, what: string): Promise<boolean> => {
  const basedOn = entry.value?.version ?? 0;
  const change: Change = { part: 'photos', key: props.photo, value, how: 'seen', basedOn };
  return attempt(async () => {
    await edits.change(props.unit, [change, ...(value === null ? unticked() : [])], what);
    if (value === null) emit('close');
  });
};

/** The photo as it is, with other words or arrows; what is empty is left out. */
const changed = (more: Pick<Photo, 'caption' | 'arrows'>): Photo => {
  const {
    of,
    width,
    height,
    caption: words,
    arrows,
  } = { ...(entry.value?.value as Photo), ...more };
  return {
    of: [...of],
    width,
    height,
    ...(words ? { caption: words } : {}),
    ...(arrows && arrows.length > 0 ? { arrows } : {}),
  };
};
const keepCaption = (): Promise<boolean> =>
  keepWith(() => save(changed({ caption: draft.value.caption.trim() }), 'words on a photo'));
const setArrows = (arrows: NonNullable<Photo['arrows']>): Promise<boolean> =>
  save(changed({ arrows }), 'arrows on a photo');
</script>

<template>
  <Dialog
    visible
    modal
    dismissable-mask
    class="photo"
    :header="shows"
    @update:visible="emit('close')"
  >
    <template v-if="entry">
      <ZoomTurn
        :unit="unit"
        :photo="photo"
        :alt="alt"
        :width="entry.value.width"
        :height="entry.value.height"
      >
        <PhotoArrows
          :arrows="entry.value.arrows ?? []"
          :drawing="drawing"
          :width="entry.value.width"
          :height="entry.value.height"
          @set="setArrows"
        />
        <template v-if="mayWrite" #tools>
          <Button
            type="button"
            :severity="drawing ? undefined : 'secondary'"
            :label="drawing ? 'Done with arrows' : 'Draw an arrow'"
            :aria-pressed="drawing"
            @click="drawing = !drawing"
          />
          <Button
            v-if="entry.value.arrows?.length"
            type="button"
            severity="secondary"
            label="Remove the last arrow"
            @click="setArrows((entry.value.arrows ?? []).slice(0, -1))"
          />
        </template>
      </ZoomTurn>
      <p v-if="drawing" class="small soft">
        Drag from where the arrow starts to what it points at. With keys: arrow keys move the mark;
        Enter sets start and end.
      </p>
      <form v-if="mayWrite" @submit.prevent="keepCaption">
        <label :for="`${photo}-words`">In a few words</label>
        <InputText :id="`${photo}-words`" v-model="draft.caption" maxlength="200" />
        <Button type="submit" severity="secondary" label="Save note" />
        <Button
          type="button"
          severity="secondary"
          label="Remove the photo"
          @click="save(null, 'photo removed')"
        />
      </form>
      <p v-else-if="entry.value.caption">{{ entry.value.caption }}</p>
      <p class="small soft">{{ byWhom(entry) }}, {{ wholeTimeOf(entry.at) }}</p>
      <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
    </template>
  </Dialog>
</template>

<style scoped>
form {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding: 10px 0 4px;
}

label {
  color: var(--soft);
  font-size: 14px;
}
</style>

<style>
.photo.p-dialog {
  width: min(860px, 96vw);
}
</style>
