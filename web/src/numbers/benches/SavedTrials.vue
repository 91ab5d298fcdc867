<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import type { System } from '@fair-gable/core/base/quantity';
import { compareTrials, keptTrials, questionOf } from '@fair-gable/core/numbers/trial';
import type { Change, KeptTrial, QuestionKey, Trial, YardUnit } from '@fair-gable/core/unit/record';
import { computed } from 'vue';
import { useClock } from '../../base/clock/index.ts';
import { useDraft } from '../../base/draft/index.ts';
import { useSession } from '../../base/session/session.ts';
import WideTable from '../../base/controls/WideTable.vue';
import { useSaving } from '../../unit/record/saving.ts';

/** Trials of a unit kept under a name: opened again, held side by side, sent to the walk as a card. */
const props = defineProps<{
  unit: YardUnit;
  question: QuestionKey;
  trial: Trial;
  system: System;
}>();
const emit = defineEmits<{ open: [trial: Trial] }>();
const session = useSession();
const { problem, save } = useSaving(() => props.unit.id);
const mayWrite = computed(() => session.may('record'));

const all = computed(() => keptTrials(props.unit.record, props.system));
const { draft, keepWith } = useDraft({
  place: () => `${props.unit.id}.trials.name`,
  what: () => 'The name of a what-if',
  fresh: () => ({ name: '' }),
});
const changeOf = (id: string, value: KeptTrial | null): Change => ({
  part: 'trials',
  key: id,
  value,
  how: 'seen',
  basedOn: props.unit.record.trials[id]?.version ?? 0,
});
const clock = useClock();
const keepIt = async (): Promise<void> => {
  const kept = {
    name: draft.value.name.trim(),
    question: props.question,
    card: false,
    on: clock.today,
    trial: props.trial,
  };
  await keepWith(() => save([changeOf(crypto.randomUUID(), kept)], `a what-if, ${kept.name}`));
};
const toCard = (id: string, kept: KeptTrial): Promise<boolean> =>
  save([changeOf(id, { ...kept, card: !kept.card })], `the card of ${kept.name}`);
const drop = (id: string, kept: KeptTrial): Promise<boolean> =>
  save([changeOf(id, null)], `the what-if ${kept.name}`);

const mostBeside = 3;
const beside = computed(() => all.value.slice(0, mostBeside).map(({ kept }) => kept));
const rows = computed(() => {
  const now = {
    name: 'now',
    question: props.question,
    card: false,
    on: clock.today,
    trial: props.trial,
  };
  return compareTrials(props.unit.record, [now, ...beside.value], props.system);
});
</script>

<template>
  <section class="saved-trials" aria-labelledby="saved-trials-title">
    <h3 id="saved-trials-title">Saved what-ifs</h3>
    <form v-if="mayWrite" class="fields" @submit.prevent="keepIt">
      <div class="grow">
        <label for="trial-name">Save what you tried under a name</label>
        <InputText
          id="trial-name"
          v-model="draft.name"
          maxlength="60"
          placeholder="Family, water full"
        />
      </div>
      <Button type="submit" severity="secondary" label="Save it" :disabled="!draft.name.trim()" />
    </form>
    <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
    <p v-if="all.length === 0" class="soft">
      None yet. You can reopen a saved what-if on any device, compare it with another, and add it to
      the walk as a card.
    </p>
    <ul v-else>
      <li v-for="{ id, kept, answer, sentence } in all" :key="id">
        <p>
          <strong>{{ kept.name }}</strong>
          <span class="soft"> · {{ questionOf(kept.question).words }}</span>
          {{ answer ?? sentence }}
        </p>
        <p class="doing">
          <Button severity="secondary" text label="Open" @click="emit('open', kept.trial)" />
          <template v-if="mayWrite">
            <Button
              severity="secondary"
              text
              :label="kept.card ? 'Remove its card from the walk' : 'Add it to the walk as a card'"
              @click="toCard(id, kept)"
            />
            <Button severity="secondary" text label="Remove" @click="drop(id, kept)" />
          </template>
        </p>
      </li>
    </ul>
    <WideTable v-if="beside.length" label="What-ifs side by side">
      <table>
        <caption class="visually-hidden">
          What-ifs side by side
        </caption>
        <thead>
          <tr>
            <th scope="col"></th>
            <th scope="col">As it is now</th>
            <th v-for="kept in beside" :key="kept.name" scope="col">{{ kept.name }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.key" :class="{ differs: row.differs }">
            <th scope="row">{{ row.question }}</th>
            <td v-for="(answer, i) in row.answers" :key="i">{{ answer ?? 'not known' }}</td>
          </tr>
        </tbody>
      </table>
    </WideTable>
  </section>
</template>

<style scoped>
.waiting {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  margin-top: 26px;
  padding-top: 16px;
  border-top: 2px solid var(--ink);
}

h3 {
  font-size: 18px;
}

.grow {
  flex: 1 1 260px;
}

li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 2px 18px;
  padding: 4px 0;
  border-bottom: var(--line) solid var(--hairline);
}

.doing {
  display: flex;
  flex-wrap: wrap;
}

table {
  border-collapse: collapse;
}

th,
td {
  min-width: 150px;
  padding: 7px 20px 7px 0;
  border-bottom: var(--line) solid var(--hairline);
  text-align: left;
  vertical-align: top;
  font-weight: 400;
}

.differs td {
  font-weight: 600;
}
</style>
