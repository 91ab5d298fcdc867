<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { counted } from '@fair-gable/core/base/words';
import type { ModelSheet, SheetChange } from '@fair-gable/core/unit/model-sheet';
import { ask } from '../../base/api/client.ts';
import { useAttempt } from '../../base/attempt/index.ts';
import { when } from '../../base/clock/index.ts';
import { useSession } from '../../base/session/session.ts';
import { changesOfSheet } from './changes.ts';

/** Who changed a sheet, when, in what, and how many units that touched; each can be put back as before. */
const props = defineProps<{ sheet: string; version: number; mayWrite: boolean }>();
const emit = defineEmits<{ back: [sheet: ModelSheet] }>();

const session = useSession();
const changes = ref<readonly SheetChange[]>();
const { problem, attempt } = useAttempt();
const read = (): Promise<boolean> =>
  attempt(async () => {
    const sheet = { params: { id: props.sheet } };
    changes.value = (await ask('GET /api/model-sheets/:id/history', sheet)).changes;
  });
watch(() => [props.sheet, props.version], read, { immediate: true });

const lines = computed(() =>
  (changes.value ?? []).map((change) => ({
    ...change,
    words: change.from ? changesOfSheet(change.from, change.to, session.system) : ['Created here.'],
  })),
);
</script>

<template>
  <section class="history" aria-labelledby="sheet-history">
    <h2 id="sheet-history">History</h2>
    <p v-if="problem" class="soft">{{ problem }}</p>
    <ol>
      <li v-for="change in lines" :key="change.id" data-sheet-change>
        <p class="small soft">
          {{ when(change.at) }}, {{ change.by
          }}<template v-if="change.units > 0"
            >, {{ counted(change.units, 'unit') }} updated</template
          >
        </p>
        <p v-for="line in change.words" :key="line">{{ line }}</p>
        <p v-if="change.words.length === 0" class="soft">Saved again with no change.</p>
        <button
          v-if="mayWrite && change.from"
          type="button"
          @click="emit('back', { ...change.from, id: sheet })"
        >
          Restore this version
        </button>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.history {
  max-width: 860px;
  padding: 12px 24px 40px;
}

h2 {
  font-size: 18px;
}

li {
  padding: 8px 0;
  border-top: 1px solid var(--hairline);
}

button {
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
</style>
