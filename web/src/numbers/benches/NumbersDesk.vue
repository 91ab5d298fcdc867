<script setup lang="ts">
import Button from 'primevue/button';
import { useMediaQuery } from '@vueuse/core';
import { computed } from 'vue';
import { askingOf, questionsFor } from '@fair-gable/core/numbers/trial';
import {
  questionKeys,
  type QuestionKey,
  type Trial,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { useClock } from '../../base/clock/index.ts';
import { useSession } from '../../base/session/session.ts';
import type { BenchProps } from './bench.ts';
import { benches } from './benches.ts';

/** The buyer's questions with the answer under each; the bench of one of them beside it. */
const props = defineProps<{
  /** Without one, figures are entered on the page. */
  unit?: string | undefined;
  record: UnitRecord;
  trial: Trial;
  question?: string | undefined;
  /** The route of a question. */
  to: (question: string) => object;
}>();
const emit = defineEmits<{ set: [more: Partial<Trial>]; reset: [] }>();
const session = useSession();
const isNarrow = useMediaQuery('(width < 900px)');
const clock = useClock();

const asking = computed(() => askingOf(props.record, props.trial, session.system, clock.today));
const questions = computed(() => questionsFor(asking.value));

/** On a phone the list stands alone until one is chosen; at the desk the first is open. */
const here = computed<QuestionKey | undefined>(
  () =>
    questionKeys.find((key) => key === props.question) ??
    (isNarrow.value ? undefined : questions.value[0]?.key),
);
const current = computed(() => questions.value.find(({ key }) => key === here.value));
const set = (more: Partial<Trial>): void => emit('set', more);
const given = computed<BenchProps>(() => ({
  unit: props.unit,
  record: props.record,
  system: session.system,
  trial: props.trial,
  asking: asking.value,
}));
</script>

<template>
  <div class="numbers" :class="{ alone: isNarrow }">
    <nav v-if="!isNarrow || !here" aria-label="The buyer’s questions">
      <RouterLink
        v-for="one in questions"
        :key="one.key"
        :to="to(one.key)"
        :class="{ here: one.key === here }"
        :aria-current="one.key === here ? 'page' : undefined"
      >
        <span class="soft">{{ one.question }}</span>
        <strong v-if="one.answer" :class="{ about: one.about }">{{ one.answer }}</strong>
        <span v-else class="amber">needs {{ one.missing }} first</span>
      </RouterLink>
    </nav>
    <section v-if="current && here" :aria-labelledby="`question-${current.key}`">
      <header>
        <RouterLink v-if="isNarrow" :to="to('')">All questions</RouterLink>
        <h2 :id="`question-${current.key}`">{{ current.question }}</h2>
        <p class="soft">
          {{ unit ? 'Try anything here; the record won’t change' : 'Nothing here is saved' }}
        </p>
        <Button severity="secondary" text label="Reset" @click="emit('reset')" />
      </header>
      <p v-if="isNarrow && current.answer" class="answer" :class="{ about: current.about }">
        {{ current.answer }}
      </p>
      <slot name="above" :question="here" />
      <component :is="benches[here]" v-bind="given" @set="set" />
      <slot name="below" :question="here" />
    </section>
  </div>
</template>

<style scoped>
.numbers {
  display: grid;
  grid-template-columns: 360px minmax(0, 1fr);
}

.numbers.alone {
  grid-template-columns: minmax(0, 1fr);
}

nav {
  border-right: var(--line) solid var(--hairline);
}

nav a {
  display: grid;
  gap: 2px;
  min-height: 64px;
  padding: 12px 24px;
  border-bottom: var(--line) solid var(--hairline);
  text-decoration: none;
}

nav a.here {
  background: var(--leaf);
  box-shadow: inset 3px 0 0 var(--ink);
}

strong,
.answer {
  font: 700 20px var(--slab);
}

.about {
  font-style: italic;
  font-weight: 500;
}

section {
  min-width: 0;
  padding: 16px 24px 40px;
}

header {
  display: flex;
  align-items: baseline;
  flex-wrap: wrap;
  gap: 4px 14px;
  padding-bottom: 14px;
}

h2 {
  font-size: 22px;
}

@media (width < 900px) {
  nav a,
  section {
    padding-inline: 16px;
  }

  header > a {
    display: inline-flex;
    align-items: center;
    flex-basis: 100%;
    min-height: 44px;
  }

  /* What is pulled below shows its answer here. */
  .answer {
    position: sticky;
    top: 0;
    z-index: 2;
    margin-bottom: 12px;
    padding: 6px 0;
    border-bottom: var(--line) solid var(--ink);
    background: var(--paper);
  }

  nav {
    border-right: 0;
  }
}
</style>
