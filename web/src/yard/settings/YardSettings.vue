<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import type { System } from '@fair-gable/core/base/quantity';
import SelectField from '../../base/controls/SelectField.vue';
import { ask } from '../../base/api/client.ts';
import { useDraft } from '../../base/draft/index.ts';
import FormNews from '../../base/controls/FormNews.vue';
import { useSaving } from '../../base/controls/saved.ts';
import { useSession } from '../../base/session/session.ts';
import { systemNames } from '../../base/controls/systems.ts';

/** The yard's name, and the units it usually measures in. */
const emit = defineEmits<{ changed: [] }>();
const session = useSession();
const { draft, keepWith } = useDraft({
  place: () => 'settings.yard',
  what: () => 'The yard’s name and units',
  fresh: () => ({
    name: session.session?.yard.name ?? '',
    system: (session.session?.yard.system ?? 'us') as System,
  }),
});
const choices = Object.entries(systemNames).map(([key, label]) => ({ key, label }));
const { busy, done, problem, save } = useSaving();

const keep = (): Promise<boolean> =>
  keepWith(() =>
    save(async () => {
      await ask('PUT', '/api/yard', draft.value);
      await session.reload();
      emit('changed');
    }, 'Kept, for everybody of this yard.'),
  );
</script>

<template>
  <section aria-labelledby="yard-title">
    <h2 id="yard-title">The yard</h2>
    <form @submit.prevent="keep">
      <div class="field">
        <label for="yard-name">Name of the yard</label>
        <InputText id="yard-name" v-model="draft.name" autocomplete="off" maxlength="80" required />
      </div>
      <SelectField v-model="draft.system" class="field" label="Usual units" :choices="choices">
        <span class="small soft">Each person may have their own.</span>
      </SelectField>
      <div><Button type="submit" severity="secondary" label="Keep" :loading="busy" /></div>
      <FormNews :done="done" :problem="problem" />
    </form>
  </section>
</template>
