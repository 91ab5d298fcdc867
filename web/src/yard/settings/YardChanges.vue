<script setup lang="ts">
import { onMounted, ref } from 'vue';
import type { YardChange } from '@fair-gable/core/yard/settings';
import { ask } from '../../base/api/client.ts';
import { useAttempt } from '../../base/attempt/index.ts';
import { when } from '../../base/clock/index.ts';

/** What was changed about the yard and its people. */
const changes = ref<readonly YardChange[]>();
const { problem, attempt } = useAttempt();

onMounted(() =>
  attempt(async () => {
    changes.value = (await ask('GET /api/yard/history')).changes;
  }),
);

const words: Readonly<Record<string, (change: YardChange) => string>> = {
  'person-invited': ({ subject, to }) => `${subject} invited as ${to}`,
  'person-added': ({ subject, to }) => `${subject} is here as ${to}`,
  'person-removed': ({ subject, from }) => `${subject} removed, was ${from}`,
  name: ({ from, to }) => `${from} is now ${to}`,
  role: ({ subject, from, to }) => `${subject}: ${from} → ${to}`,
  'password-link': ({ subject }) => `password link made for ${subject}`,
  'yard-name': ({ from, to }) => `yard renamed: ${from} → ${to}`,
  vehicle: ({ subject, to }) => `vehicle ${subject}: ${to ?? 'removed'}`,
  'house-view': ({ subject, from, to }) => `${subject}: ${from ?? 'no view'} → ${to ?? 'no view'}`,
  route: ({ subject, from, to }) => `route ${subject}: ${from ?? 'as usual'} → ${to ?? 'as usual'}`,
  glossary: ({ subject, from, to }) => `${subject}: ${from ?? 'not ours'} → ${to ?? 'not ours'}`,
  'keep-buyers': ({ from, to }) => `buyers’ names kept for ${to}, was ${from}`,
  water: ({ subject, from, to }) =>
    `water, ${subject}: ${from ?? 'as usual'} → ${to ?? 'as usual'}`,
  'buyer-forgotten': () => 'a buyer was deleted, with messages to them',
  'buyer-kept': () => 'a buyer’s name and contact were added',
  'buyer-changed': () => 'a buyer’s name or contact was changed',
  'buyer-named': ({ subject }) => `a buyer was named on a walk ${subject} gave`,
  'buyer-unnamed': ({ subject }) => `the buyer was removed from a walk ${subject} gave`,
  'letter-written': () => 'a message was written to a buyer',
  'follow-up-dropped': ({ subject }) => `a follow-up was dropped: ${subject}`,
  'screen-opened': ({ subject }) => `a buyer’s screen was opened on a walk ${subject} gives`,
  'screens-closed': ({ subject }) => `the buyer’s screens were closed on a walk ${subject} gave`,
  'sheet-dropped': ({ subject }) => `model sheet deleted: ${subject}`,
  'offer-dropped': ({ subject }) => `a model sheet’s suggestion from ${subject} was closed`,
  'time-zone': ({ from, to }) => `time zone: ${from} → ${to}`,
  'yard-units': ({ from, to }) => `usual units: ${from} → ${to}`,
};
const wordsFor = (change: YardChange): string => words[change.what]?.(change) ?? change.what;
</script>

<template>
  <section aria-labelledby="changes-title">
    <h2 id="changes-title">Changes on this yard</h2>
    <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
    <p v-else-if="changes?.length === 0" class="soft">
      Nothing yet. People added, roles changed and passwords reset show up here.
    </p>
    <ul v-else>
      <li v-for="change in changes" :key="change.id">
        <span>{{ wordsFor(change) }}</span>
        <span class="small soft"
          >{{ change.by }}<template v-if="change.account"> ({{ change.account }})</template>,
          {{ when(change.at) }}</span
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
li {
  display: grid;
  padding: 6px 0;
  border-top: 1px solid var(--hairline);
}
</style>
