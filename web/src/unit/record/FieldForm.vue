<script setup lang="ts">
import Button from 'primevue/button';
import { useId } from 'vue';
import { knownBy, type HowKnown as How } from '@fair-gable/core/unit/catalog';
import HowKnown from '../../base/evidence/HowKnown.vue';

/** What is typed of a row and how it is known: kept by Enter, left unchanged, said by a letter. */
defineProps<{
  /** On the button that keeps it. */
  label: string;
  /** What is typed can be kept. */
  ready: boolean;
  isTyped: boolean;
  /** Of two forms in one row the lesser. */
  lesser?: boolean;
}>();
const emit = defineEmits<{ keep: []; clear: [] }>();
const how = defineModel<How>('how', { required: true });
const id = useId();

/** A letter says how it is known: by itself among the marks, with Alt while typing. */
const onLetter = (event: KeyboardEvent): void => {
  const isAmongMarks = (event.target as HTMLInputElement).type === 'radio';
  const chosen = knownBy.find((row) => row.letter === event.key.toLowerCase());
  if (!chosen || event.ctrlKey || event.metaKey || (!event.altKey && !isAmongMarks)) return;
  event.preventDefault();
  how.value = chosen.key;
};
</script>

<template>
  <form @submit.prevent="ready && emit('keep')" @keydown="onLetter">
    <slot />
    <HowKnown v-model="how" :name="`${id}-how`" />
    <slot name="notes" />
    <div class="actions">
      <Button
        type="submit"
        :severity="lesser ? 'secondary' : undefined"
        :label="label"
        :disabled="!ready"
      />
      <slot name="actions" />
      <Button
        v-if="isTyped"
        type="button"
        severity="secondary"
        label="Cancel"
        @click="emit('clear')"
      />
    </div>
  </form>
</template>

<style scoped>
form {
  display: grid;
  gap: 10px;
}

.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
