<script setup lang="ts">
import { onMounted, ref } from 'vue';
import type { SignedIn } from '@fair-gable/core/yard/people';
import { ask } from '../../base/api/client.ts';
import { when } from '../../base/clock/index.ts';
import FormNews from '../../base/controls/FormNews.vue';
import { useAttempt } from '../../base/attempt/index.ts';

/** The browsers one is signed in with; each can be signed out. */
const sessions = ref<readonly SignedIn[]>([]);
const { done, problem, attempt } = useAttempt();

const read = async (): Promise<void> => {
  sessions.value = (await ask('GET /api/me/sessions')).sessions;
};
onMounted(() => attempt(read, ''));

const end = (one: SignedIn): Promise<boolean> =>
  attempt(async () => {
    await ask('DELETE /api/me/sessions/:id', { params: { id: one.id } });
    await read();
  }, `${one.device} is signed out.`);

const endOthers = (): Promise<boolean> =>
  attempt(async () => {
    await ask('DELETE /api/me/sessions');
    await read();
  }, 'Signed out everywhere else.');
</script>

<template>
  <section aria-labelledby="sessions-title">
    <h2 id="sessions-title">Where you are signed in</h2>
    <ul>
      <li v-for="one in sessions" :key="one.id">
        <strong>{{ one.device || 'A browser' }}</strong>
        <span class="small soft"
          >{{ one.here ? 'this one' : `last seen ${when(one.seen)}` }}, since
          {{ when(one.since) }}</span
        >
        <button v-if="!one.here" type="button" class="plain" @click="end(one)">
          Sign out <span class="visually-hidden">{{ one.device }}</span>
        </button>
      </li>
    </ul>
    <button v-if="sessions.length > 2" type="button" class="plain" @click="endOthers">
      Sign out everywhere else
    </button>
    <FormNews :done="done" :problem="problem" />
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 12px;
  padding: 6px 0;
  border-top: 1px solid var(--hairline);
}

li .small {
  grid-row: 2;
}

li .plain {
  grid-row: 1 / span 2;
  grid-column: 2;
}
</style>
