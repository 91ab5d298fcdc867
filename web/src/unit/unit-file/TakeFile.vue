<script setup lang="ts">
import Button from 'primevue/button';
import { ref } from 'vue';
import { reasonOf } from '../../base/api/client.ts';
import { useLongWork } from '../../base/long-work/index.ts';
import WorkBar from '../../base/long-work/WorkBar.vue';
import { useUnits, type TakenFile } from '../units/units.ts';

/** Brings in a unit from a file. */
const emit = defineEmits<{
  taken: [unit: TakenFile];
  refused: [sentence: string];
}>();
const units = useUnits();
const input = ref<HTMLInputElement>();
const busy = ref(false);
const { isAtWork, progress, run, stop } = useLongWork();

const contentOf = async (file: File): Promise<unknown> => {
  try {
    return JSON.parse(await file.text());
  } catch {
    return undefined;
  }
};

/** By how it begins: a name says nothing. */
const isZip = async (file: File): Promise<boolean> => (await file.slice(0, 2).text()) === 'PK';

const take = async (): Promise<void> => {
  const file = input.value?.files?.[0];
  if (!file) return;
  busy.value = true;
  try {
    if (await isZip(file)) {
      emit('taken', await run((as) => units.takeZip(file, as)));
      return;
    }
    const content = await contentOf(file);
    if (content === undefined) {
      emit(
        'refused',
        `“${file.name}” is not a unit file: it cannot be read as JSON. Choose a file that was exported as a unit.`,
      );
    } else emit('taken', await units.takeFile(content));
  } catch (error) {
    emit('refused', reasonOf(error));
  } finally {
    busy.value = false;
    if (input.value) input.value.value = '';
  }
};
</script>

<template>
  <span>
    <input
      ref="input"
      type="file"
      accept="application/json,.json,application/zip,.zip"
      class="visually-hidden"
      aria-label="Unit file"
      tabindex="-1"
      @change="take"
    />
    <Button
      severity="secondary"
      label="Bring in a unit file…"
      :loading="busy"
      @click="input?.click()"
    />
    <WorkBar v-if="isAtWork" :progress="progress" @stop="stop" />
  </span>
</template>
