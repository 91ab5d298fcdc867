<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import type { Progress } from './news.ts';

/** How far something long is, and a way to stop it. */
const props = defineProps<{ progress?: Progress | undefined }>();
const emit = defineEmits<{ stop: [] }>();

const words: Readonly<Record<string, string>> = {
  reading: 'Reading',
  pictures: 'Processing photos',
  comparing: 'Comparing with your yard',
  keeping: 'Saving',
};
const text = computed(() => {
  if (!props.progress) return 'Sending…';
  const { phase, done, of } = props.progress;
  return `${words[phase] ?? 'At work'}: ${Math.floor((100 * done) / Math.max(of, 1))}%`;
});
</script>

<template>
  <div class="work">
    <label>
      <span role="status">{{ text }}</span>
      <progress v-bind="progress ? { value: progress.done, max: progress.of } : {}" />
    </label>
    <Button severity="secondary" label="Stop" @click="emit('stop')" />
  </div>
</template>

<style scoped>
.work {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
}

label {
  display: grid;
  flex: 1 1 220px;
  gap: 4px;
  max-width: 420px;
}

progress {
  width: 100%;
  height: 10px;
  border: 1px solid var(--edge);
  border-radius: 5px;
  appearance: none;
  background: var(--leaf);
  overflow: hidden;
}

progress::-webkit-progress-bar {
  background: var(--leaf);
}

progress::-webkit-progress-value {
  background: var(--spruce);
}

progress::-moz-progress-bar {
  background: var(--spruce);
}
</style>
