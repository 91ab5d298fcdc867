<script setup lang="ts">
import { Camera } from '@lucide/vue';
import Button from 'primevue/button';
import { ref } from 'vue';
import { useAttempt } from '../../base/attempt/index.ts';
import { useEdits } from '../record/edits.ts';
import { prepared } from './prepare.ts';

/** Takes a photo of something on a unit, with the camera or from a file. */
const props = defineProps<{
  unit: string;
  /** What it shows: `specs.gvwr`, `findings.<id>`, `stations.hitch`. */
  of: readonly string[];
  label?: string;
  /** As one key of a keypad. */
  small?: boolean;
}>();
const emit = defineEmits<{ taken: [id: string] }>();

const edits = useEdits();
const input = ref<HTMLInputElement>();
const { busy, problem, attempt } = useAttempt();

const take = async (): Promise<void> => {
  const files = [...(input.value?.files ?? [])];
  await attempt(async () => {
    for (const file of files) {
      const { blob, width, height } = await prepared(file);
      const id = crypto.randomUUID();
      await edits.addPhoto(props.unit, { id, blob }, { of: [...props.of], width, height });
      emit('taken', id);
    }
  });
  if (input.value) input.value.value = '';
};
</script>

<template>
  <span class="take">
    <input
      ref="input"
      type="file"
      accept="image/jpeg,image/png,image/webp,image/*"
      capture="environment"
      multiple
      class="visually-hidden"
      :aria-label="label ?? 'Photo'"
      tabindex="-1"
      @change="take"
    />
    <Button
      type="button"
      severity="secondary"
      :class="{ key: small }"
      :loading="busy"
      @click="input?.click()"
    >
      <Camera aria-hidden="true" /><span>{{ label ?? 'Photo' }}</span>
    </Button>
    <span v-if="problem" class="small wrong" role="alert">{{ problem }}</span>
  </span>
</template>

<style scoped>
.take {
  display: inline-flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 10px;
}

.take :deep(svg) {
  width: 18px;
  height: 18px;
}

.take :deep(.key) {
  width: 100%;
  height: 100%;
  padding: 0;
}
</style>
