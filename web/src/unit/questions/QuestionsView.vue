<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import SelectButton from 'primevue/selectbutton';
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import { isAnswered, modelKeyOf, questionsAbout } from '@fair-gable/core/unit/questions';
import type { Question, YardUnit } from '@fair-gable/core/unit/record';
import { featureChoices, specChoices } from '../../base/controls/field-choices.ts';
import { vOneTab } from '../../base/controls/one-tab.ts';
import SelectField from '../../base/controls/SelectField.vue';
import { useDraft } from '../../base/draft/index.ts';
import { useSession } from '../../base/session/session.ts';
import { useUnits } from '../units/units.ts';
import { useAsking } from './asking.ts';
import QuestionRow from './QuestionRow.vue';

/** What nobody here can answer yet of a unit or its model; who was asked, and what they said. */
const props = defineProps<{ unit: YardUnit }>();
const session = useSession();
const units = useUnits();
const route = useRoute();
const { problem, ask, answer, drop } = useAsking();
const mayWrite = computed(() => session.may('record'));

const questions = computed(() => questionsAbout(props.unit, units.list));
const open = ref<string | undefined>(route.query['question'] as string | undefined);
const hasModel = computed(() => modelKeyOf(props.unit.record) !== undefined);

const about = computed(() => (route.query['about'] as string | undefined) ?? null);
const { draft, keepWith } = useDraft({
  place: () => `${props.unit.id}.questions.new.${about.value ?? ''}`,
  what: () => 'A question',
  fresh: () => ({
    text: '',
    asked: '',
    due: '',
    about: about.value,
    scope: (hasModel.value ? 'model' : 'unit') as Question['scope'],
  }),
});
const scopes = computed(() => [
  { key: 'unit', label: 'this unit' },
  ...(hasModel.value ? [{ key: 'model', label: 'every unit of its model' }] : []),
]);
const fields = [
  ...specChoices.map((choice) => ({ ...choice, key: `specs.${choice.key}` })),
  ...featureChoices.map((choice) => ({ ...choice, key: `features.${choice.key}` })),
];

const keep = async (): Promise<void> => {
  const { text, asked, due, about: of, scope } = draft.value;
  await keepWith(() =>
    ask(props.unit.id, {
      text: text.trim(),
      scope,
      ...(of ? { about: of } : {}),
      ...(asked.trim() ? { asked: asked.trim() } : {}),
      ...(due ? { due } : {}),
    }),
  );
};
</script>

<template>
  <section aria-labelledby="questions-title">
    <header class="page-head">
      <h2 id="questions-title">Questions</h2>
      <p class="soft">
        {{ questions.filter((q) => !isAnswered(q)).length }} open; an answer goes to every unit it
        is about.
      </p>
    </header>
    <p v-if="problem" class="page-part wrong" role="alert">{{ problem }}</p>
    <form v-if="mayWrite" class="page-part fields" @submit.prevent="keep">
      <div class="grow">
        <label for="question-text">What nobody here can answer</label>
        <InputText
          id="question-text"
          v-model="draft.text"
          maxlength="300"
          placeholder="What does the second switch by the door do?"
        />
      </div>
      <div>
        <span id="question-scope" class="label">It’s about</span>
        <SelectButton
          v-model="draft.scope"
          v-one-tab
          :options="scopes"
          option-label="label"
          option-value="key"
          :allow-empty="false"
          aria-labelledby="question-scope"
        />
      </div>
      <SelectField
        v-model="draft.about"
        label="Field"
        :choices="fields"
        filter
        clearable
        placeholder="none"
      />
      <div>
        <label for="question-asked">Who to ask</label>
        <InputText id="question-asked" v-model="draft.asked" maxlength="80" />
      </div>
      <div>
        <label for="question-due">Needed by</label>
        <InputText id="question-due" v-model="draft.due" type="date" max="9999-12-31" />
      </div>
      <Button type="submit" label="Add question" :disabled="!draft.text.trim()" />
    </form>
    <p v-if="questions.length === 0" class="page-part">
      No questions yet. Put a switch or a mode nobody can explain here; one answer goes to every
      unit of the model.
    </p>
    <ol v-else>
      <QuestionRow
        v-for="one in questions"
        :key="one.id"
        :asked="one"
        :may-write="mayWrite"
        :open="open === one.id"
        :answer="(text, value) => answer(one, text, value)"
        @toggle="open = open === one.id ? undefined : one.id"
        @drop="drop(one)"
      />
    </ol>
  </section>
</template>

<style scoped>
.grow {
  flex: 1 1 340px;
}

.grow :deep(input) {
  width: 100%;
}

form {
  border-bottom: var(--line) solid var(--hairline);
}
</style>
