<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { computed } from 'vue';
import type { System } from '@fair-gable/core/base/quantity';
import { paces, usualPace } from '@fair-gable/core/show/cards';
import NumberField from '../../base/controls/NumberField.vue';
import SelectField from '../../base/controls/SelectField.vue';
import { ask } from '../../base/api/client.ts';
import { useDraft } from '../../base/draft/index.ts';
import FormNews from '../../base/controls/FormNews.vue';
import { useAttempt } from '../../base/attempt/index.ts';
import SignOut from '../people/SignOut.vue';
import { useSession } from '../../base/session/session.ts';
import { systemNames } from '../../base/controls/systems.ts';

/** One's own name, units and pace. */
const session = useSession();
const { draft, keepWith } = useDraft({
  place: () => 'settings.me',
  what: () => 'Your settings',
  fresh: () => ({
    name: session.session?.person.name ?? '',
    system: (session.session?.person.system ?? 'yard') as System | 'yard',
    pace: session.session?.person.pace ?? null,
  }),
});
const paceNow = computed(() => {
  const learned = session.session?.person.learnedPace ?? null;
  return learned === null
    ? `If empty, your walks are planned at ${usualPace} words a minute until we’ve learned your pace.`
    : `If empty, we go by your last walks: ${learned} words a minute.`;
});
const { busy, done, problem, attempt } = useAttempt();

const choices = computed(() => [
  { key: 'yard', label: `Same as the yard (${systemNames[session.session?.yard.system ?? 'us']})` },
  { key: 'us', label: systemNames.us },
  { key: 'metric', label: systemNames.metric },
]);

const keep = (): Promise<boolean> =>
  keepWith(() =>
    attempt(async () => {
      const { name, system, pace } = draft.value;
      await ask('PUT /api/me', { body: { name, system: system === 'yard' ? null : system, pace } });
      await session.reload();
    }, 'Saved.'),
  );
</script>

<template>
  <section aria-labelledby="me-title">
    <h2 id="me-title">You</h2>
    <p class="soft who">{{ session.session?.person.email }} <SignOut /></p>
    <form @submit.prevent="keep">
      <div class="field">
        <label for="my-name">Name</label>
        <InputText id="my-name" v-model="draft.name" autocomplete="name" maxlength="80" required />
      </div>
      <SelectField v-model="draft.system" class="field" label="Units" :choices="choices" />
      <div class="field">
        <label for="my-pace">How fast you speak, words a minute</label>
        <NumberField
          v-model="draft.pace"
          name="How fast you speak"
          input-id="my-pace"
          :from="paces.from"
          :to="paces.to"
          clearable
          placeholder="from my walks"
        />
        <span class="small soft">{{ paceNow }}</span>
      </div>
      <div><Button type="submit" severity="secondary" label="Save" :loading="busy" /></div>
      <FormNews :done="done" :problem="problem" />
    </form>
  </section>
</template>

<style scoped>
.who {
  display: flex;
  align-items: center;
  gap: 18px;
}
</style>
