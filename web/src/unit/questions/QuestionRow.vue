<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { computed, useId } from 'vue';
import { inText } from '@fair-gable/core/base/words';
import { formatDate } from '@fair-gable/core/base/dates';
import {
  entryFor,
  isFeatureKey,
  isSpecKey,
  specEntry,
  statesOf,
  type FeatureState,
} from '@fair-gable/core/unit/catalog';
import {
  fieldAsked,
  isAnswered,
  isOverdue,
  ofSameModel,
  type AnswerValue,
  type Asked,
} from '@fair-gable/core/unit/questions';
import { nameOf, byWhom } from '@fair-gable/core/unit/record';
import { onDay, useClock } from '../../base/clock/index.ts';
import ChoiceList from '../../base/controls/ChoiceList.vue';
import { DraftMark, useDraft } from '../../base/draft/index.ts';
import { useSession } from '../../base/session/session.ts';
import SpecInput from '../record/SpecInput.vue';
import { readTyped } from '../record/typing.ts';
import { useUnits } from '../units/units.ts';

/** One question: what is asked of whom by when; and its answer, which goes to every unit that it is about. */
const props = defineProps<{
  asked: Asked;
  mayWrite: boolean;
  open: boolean;
  /** Keeps the answer; false where that was refused. */
  answer: (text: string, value: AnswerValue | undefined) => Promise<boolean>;
}>();
const emit = defineEmits<{ toggle: []; drop: [] }>();

const id = useId();
const session = useSession();
const units = useUnits();
const question = computed(() => props.asked.question);
const field = computed(() => fieldAsked(question.value));
const entry = computed(() => {
  const key = field.value?.key ?? '';
  return isSpecKey(key) || isFeatureKey(key) ? entryFor(key) : undefined;
});
const spec = computed(() => {
  const key = field.value?.key ?? '';
  return isSpecKey(key) ? specEntry(key) : undefined;
});

const at = computed(() => units.summaries.get(props.asked.unit));
const about = computed(() => {
  if (!at.value) return '';
  if (question.value.scope === 'unit') return nameOf(at.value.record);
  const n = ofSameModel(at.value, units.list).length;
  return `every ${nameOf(at.value.record)} (${n} here)`;
});
const clock = useClock();
const overdue = computed(() => isOverdue(props.asked, clock.today));

const place = computed(() => `questions.${props.asked.id}.answer`);
const { draft, keepWith } = useDraft({
  place: () => place.value,
  what: () => `Answer: ${question.value.text}`,
  fresh: () => ({ text: '', typed: '', state: undefined as FeatureState | undefined }),
});
const states = computed(() => [
  ...statesOf(entry.value && 'noun' in entry.value ? entry.value.kind : undefined),
]);
const reading = computed(
  () => spec.value && readTyped(spec.value, draft.value.typed, session.system),
);
const value = computed<AnswerValue | undefined>(() => {
  const key = field.value?.key ?? '';
  if (isSpecKey(key) && reading.value?.value)
    return { part: 'specs', key, value: reading.value.value };
  if (isFeatureKey(key) && draft.value.state)
    return { part: 'features', key, value: { state: draft.value.state } };
  return undefined;
});
const keep = (): void => {
  const text = draft.value.text.trim();
  if (text) void keepWith(() => props.answer(text, value.value));
};
</script>

<template>
  <li :class="{ open }" :data-question="asked.id">
    <button type="button" class="head" :aria-expanded="open" @click="emit('toggle')">
      <strong>{{ question.text }}</strong>
      <span class="small soft">
        {{ about }}<template v-if="entry"> · {{ inText(entry.label) }}</template>
        <template v-if="question.asked"> · asked of {{ question.asked }}</template>
        <template v-if="question.due">
          · by <span :class="{ wrong: overdue }">{{ formatDate(question.due) }}</span></template
        >
      </span>
      <span v-if="question.answer" class="answer">{{ question.answer }}</span>
      <span v-else class="small amber">{{ overdue ? 'overdue' : 'open' }}</span>
    </button>
    <DraftMark v-if="!open" :place="place" class="waits" />
    <form v-if="open && mayWrite && !isAnswered(asked)" class="fields body" @submit.prevent="keep">
      <div class="wide">
        <label :for="`${id}-answer`">The answer, in words</label>
        <InputText :id="`${id}-answer`" v-model="draft.text" maxlength="400" />
      </div>
      <div v-if="spec" class="wide">
        <span class="label">Also the field: {{ spec.label }}</span>
        <SpecInput v-model="draft.typed" :spec="spec" :system="session.system" hide-label />
      </div>
      <div v-else-if="entry">
        <span :id="`${id}-state`" class="label">Also the field: {{ entry.label }}</span>
        <ChoiceList v-model="draft.state" :choices="states" :aria-labelledby="`${id}-state`" />
      </div>
      <Button
        type="submit"
        label="Save answer"
        :disabled="!draft.text.trim() || !!reading?.problem"
      />
      <Button
        type="button"
        severity="secondary"
        label="Remove the question"
        @click="emit('drop')"
      />
      <p class="wide small soft">
        It goes to {{ about }} as “told”. What was read, measured or seen there stays.
      </p>
    </form>
    <div v-else-if="open" class="body small soft">
      <p>Asked by {{ byWhom(asked.entry) }}, {{ formatDate(onDay(asked.entry.at)) }}.</p>
    </div>
  </li>
</template>

<style scoped>
.waits {
  padding: 0 16px 8px;
}

li {
  border-bottom: var(--line) solid var(--hairline);
}

li.open {
  background: var(--leaf);
  box-shadow: inset 3px 0 0 var(--ink);
}

.head {
  display: grid;
  gap: 2px;
  width: 100%;
  min-height: 56px;
  padding: 8px 24px;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
}

.answer {
  font-family: var(--slab);
}

.body {
  padding: 4px 24px 16px;
}

.wide :deep(input) {
  width: 100%;
}

@media (width < 760px) {
  .head,
  .body {
    padding-inline: 16px;
  }
}
</style>
