<script setup lang="ts">
import { computed } from 'vue';
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { formatDate } from '@fair-gable/core/base/dates';
import type { System } from '@fair-gable/core/base/quantity';
import { useClock } from '../../base/clock/index.ts';
import SelectField from '../../base/controls/SelectField.vue';
import { ask } from '../../base/api/client.ts';
import { useDraft } from '../../base/draft/index.ts';
import FormNews from '../../base/controls/FormNews.vue';
import { useAttempt } from '../../base/attempt/index.ts';
import { zoneChoices } from './time-zones.ts';
import { useSession } from '../../base/session/session.ts';
import { systemNames } from '../../base/controls/systems.ts';

/** The yard's name, the units it usually measures in, and where it stands on the clock. */
const emit = defineEmits<{ changed: [] }>();
const session = useSession();
const clock = useClock();
const { draft, keepWith } = useDraft({
  place: () => 'settings.yard',
  what: () => 'The yard’s name, units and time zone',
  fresh: () => ({
    name: session.session?.yard.name ?? '',
    system: (session.session?.yard.system ?? 'us') as System,
    timeZone: session.session?.yard.timeZone ?? clock.timeZone,
  }),
});
const choices = Object.entries(systemNames).map(([key, label]) => ({ key, label }));
const timeZones = computed(() => zoneChoices(draft.value.timeZone));
const { busy, done, problem, attempt } = useAttempt();

const keep = (): Promise<boolean> =>
  keepWith(() =>
    attempt(async () => {
      await ask('PUT /api/yard', { body: draft.value });
      await session.reload();
      emit('changed');
    }, 'Saved for everybody on this yard.'),
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
        <span class="small soft">Each person can set their own.</span>
      </SelectField>
      <SelectField
        v-model="draft.timeZone"
        class="field"
        label="Time zone"
        :choices="timeZones"
        filter
      >
        <span class="small soft">
          Dates and times follow this yard, wherever you are. Today is
          {{ formatDate(clock.today) }} here.
        </span>
      </SelectField>
      <div><Button type="submit" severity="secondary" label="Save" :loading="busy" /></div>
      <FormNews :done="done" :problem="problem" />
    </form>
  </section>
</template>
