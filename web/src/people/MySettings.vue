<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { computed, ref } from 'vue';
import type { System } from '@fair-gable/core';
import SelectField from '../base/SelectField.vue';
import { ask } from '../api/client.ts';
import FormNews from './FormNews.vue';
import { useSaving } from './saved.ts';
import SignOut from './SignOut.vue';
import { useSession } from './session.ts';
import { systemNames } from './systems.ts';

/** One's own name and units. */
const session = useSession();
const name = ref(session.session?.person.name ?? '');
const system = ref<System | 'yard'>(session.session?.person.system ?? 'yard');
const { busy, done, problem, save } = useSaving();

const choices = computed(() => [
  { key: 'yard', label: `As the yard (${systemNames[session.session?.yard.system ?? 'us']})` },
  { key: 'us', label: systemNames.us },
  { key: 'metric', label: systemNames.metric },
]);

const keep = (): Promise<boolean> =>
  save(async () => {
    const own = system.value === 'yard' ? null : system.value;
    await ask('PUT', '/api/me', { name: name.value, system: own });
    await session.reload();
  }, 'Kept.');
</script>

<template>
  <section aria-labelledby="me-title">
    <h2 id="me-title">You</h2>
    <p class="soft who">{{ session.session?.person.email }} <SignOut /></p>
    <form @submit.prevent="keep">
      <div class="field">
        <label for="my-name">Name</label>
        <InputText id="my-name" v-model="name" autocomplete="name" maxlength="80" required />
      </div>
      <SelectField v-model="system" class="field" label="Units" :choices="choices" />
      <div><Button type="submit" severity="secondary" label="Keep" :loading="busy" /></div>
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
