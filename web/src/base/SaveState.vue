<script setup lang="ts">
import { computed, ref } from 'vue';
import { saying } from '../api/client.ts';
import { useOutbox } from '../outbox/index.ts';
import { useUnits } from '../yard/units.ts';

/** Whether everything is saved, always true; and the last change, to be taken back. */
const units = useUnits();
const outbox = useOutbox();
const problem = ref('');

const words = computed(() => {
  if (units.saving > 0) return '◌ saving';
  if (outbox.unsent > 0) return `◐ ${outbox.unsent} not sent yet`;
  return '● everything saved';
});

const undo = async (): Promise<void> => {
  problem.value = '';
  try {
    await units.undo();
  } catch (error) {
    problem.value = saying(error);
  }
};
</script>

<template>
  <p class="state" role="status">
    <button
      v-if="units.lastUndo"
      type="button"
      :title="`Undo: ${units.lastUndo.what}`"
      @click="undo"
    >
      Undo <span class="what">{{ units.lastUndo.what }}</span>
    </button>
    <span v-if="problem || outbox.refusal" class="wrong">{{ problem || outbox.refusal }}</span>
    <span v-else>{{ words }}</span>
  </p>
</template>

<style scoped>
.state {
  display: flex;
  align-items: center;
  gap: 14px;
  font-size: 15px;
  color: var(--soft);
}

button {
  min-height: 32px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}

@media (width < 760px) {
  .what {
    display: none;
  }

  button {
    min-height: 44px;
    padding: 0 4px;
  }
}
</style>
