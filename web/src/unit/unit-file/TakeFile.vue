<script setup lang="ts">
import Button from 'primevue/button';
import { ref } from 'vue';
import { useAttempt } from '../../base/attempt/index.ts';
import { jsonIn } from '../../base/files/json.ts';
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
const { busy, problem, attempt } = useAttempt();
const { isAtWork, progress, run, stop } = useLongWork();

/** By how it begins: a name says nothing. */
const isZip = async (file: File): Promise<boolean> => (await file.slice(0, 2).text()) === 'PK';

const taking = async (file: File): Promise<TakenFile> =>
  (await isZip(file))
    ? run((as) => units.takeZip(file, as))
    : units.takeFile(await jsonIn(file, 'a unit file'));

const take = async (): Promise<void> => {
  const file = input.value?.files?.[0];
  if (!file) return;
  if (!(await attempt(async () => emit('taken', await taking(file)))))
    emit('refused', problem.value);
  if (input.value) input.value.value = '';
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
      label="Import a unit file…"
      :loading="busy"
      @click="input?.click()"
    />
    <WorkBar v-if="isAtWork" :progress="progress" @stop="stop" />
  </span>
</template>
