<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { computed, ref } from 'vue';
import {
  floorPlanGlossary,
  planInWords,
  readFloorPlan,
  type GlossaryRow,
} from '@fair-gable/core/unit/identity';
import { ask } from '../../base/api/client.ts';
import { useDraft } from '../../base/draft/index.ts';
import FormNews from '../../base/controls/FormNews.vue';
import { useAttempt } from '../../base/attempt/index.ts';
import { useSession } from '../../base/session/session.ts';

/** What letters in floor-plan codes stand for here; the common readings stay beside the yard's own. */
const emit = defineEmits<{ changed: [] }>();
const session = useSession();
const { busy, done, problem, attempt } = useAttempt();

const own = computed<readonly GlossaryRow[]>(() => session.session?.yard.glossary ?? []);
const { draft, keepWith } = useDraft({
  place: () => 'settings.glossary',
  what: () => 'Letters in floor plans',
  fresh: () => ({ code: '', readings: '' }),
});
const tried = ref('24 RKD');
const reading = computed(() => {
  const read = readFloorPlan(tried.value, session.glossary);
  return read ? planInWords(read) : 'no number in it';
});

const put = (glossary: readonly GlossaryRow[], words: string): Promise<boolean> =>
  attempt(async () => {
    const yard = session.session?.yard;
    if (!yard) return;
    await ask('PUT /api/yard', { body: { name: yard.name, system: yard.system, glossary } });
    await session.reload();
    emit('changed');
  }, words);

const add = async (): Promise<void> => {
  const row = {
    code: draft.value.code.trim().toUpperCase(),
    readings: draft.value.readings
      .split(',')
      .map((text) => text.trim())
      .filter(Boolean),
  };
  const others = own.value.filter((known) => known.code !== row.code);
  const news = `${row.code} is read as ${row.readings.join(' or ')}.`;
  await keepWith(() => put([...others, row], news));
};
const takeOut = (row: GlossaryRow): Promise<boolean> =>
  put(
    own.value.filter((known) => known.code !== row.code),
    `${row.code} is read the usual way again.`,
  );
</script>

<template>
  <section aria-labelledby="glossary-title">
    <h2 id="glossary-title">Letters in floor plans</h2>
    <p class="small soft">
      {{ floorPlanGlossary.length }} common readings are built in. Yours come first.
    </p>
    <ul v-if="own.length">
      <li v-for="row in own" :key="row.code" :data-glossary="row.code">
        <strong>{{ row.code }}</strong> {{ row.readings.join(' or ') }}
        <button type="button" @click="takeOut(row)">Remove</button>
      </li>
    </ul>
    <form @submit.prevent="add">
      <div class="field">
        <label for="glossary-code">Letters</label>
        <InputText
          id="glossary-code"
          v-model="draft.code"
          maxlength="4"
          autocomplete="off"
          required
        />
      </div>
      <div class="field">
        <label for="glossary-readings">Stand for <small>separate with commas</small></label>
        <InputText
          id="glossary-readings"
          v-model="draft.readings"
          maxlength="160"
          autocomplete="off"
          required
        />
      </div>
      <div><Button type="submit" severity="secondary" label="Add them" :loading="busy" /></div>
      <FormNews :done="done" :problem="problem" />
    </form>
    <div class="field">
      <label for="glossary-try">Try a floor plan</label>
      <InputText
        id="glossary-try"
        v-model="tried"
        autocomplete="off"
        aria-describedby="glossary-read"
      />
      <p id="glossary-read" class="small">{{ reading }}</p>
    </div>
  </section>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  min-height: 44px;
  border-bottom: 1px solid var(--hairline);
}

li button {
  min-height: 44px;
  margin-left: auto;
  border: 0;
  background: none;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}

form {
  display: grid;
  gap: 12px;
}

.field {
  display: grid;
  gap: 3px;
  max-width: 440px;
}

label {
  font-weight: 600;
}
</style>
