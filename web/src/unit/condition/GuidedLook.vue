<script setup lang="ts">
import { computed } from 'vue';
import { lookEntry, type LookKey } from '@fair-gable/core/unit/catalog';
import { conclude, type Answers } from '@fair-gable/core/unit/condition';
import type { Answer } from '@fair-gable/core/unit/record';

/** A guided look: what is asked in order, the evidence for and against, and what it comes to. */
const props = defineProps<{
  look: LookKey;
  answers: Answers;
  /** What the record answers by itself. */
  known?: Answers;
  mayWrite: boolean;
}>();
const emit = defineEmits<{ answer: [key: string, answer: Answer] }>();

const look = computed(() => lookEntry(props.look));
const given = computed<Answers>(() => ({ ...props.known, ...props.answers }));
const outcome = computed(() => conclude(props.look, given.value));
const choices = [
  { key: 'yes', label: 'Yes' },
  { key: 'no', label: 'No' },
  { key: 'unsure', label: 'Can’t tell' },
] as const;
</script>

<template>
  <div class="look">
    <h4>{{ look.label }}</h4>
    <ol>
      <li v-for="ask in look.asks" :key="ask.key">
        <p :id="`ask-${ask.key}`">{{ ask.ask }}</p>
        <p class="small soft">
          {{ ask.how }}
          <template v-if="known?.[ask.key] && !answers[ask.key]">
            <strong>The record says: {{ known[ask.key] }}.</strong></template
          >
        </p>
        <div v-if="mayWrite" role="radiogroup" :aria-labelledby="`ask-${ask.key}`">
          <button
            v-for="answer in choices"
            :key="answer.key"
            type="button"
            role="radio"
            :aria-checked="given[ask.key] === answer.key"
            @click="emit('answer', ask.key, answer.key)"
          >
            {{ answer.label }}
          </button>
        </div>
      </li>
    </ol>
    <p class="outcome" role="status">{{ outcome.sentence }}</p>
    <table v-if="outcome.strength !== 'open' || outcome.weighed.some((w) => w.signs.length > 0)">
      <caption class="visually-hidden">
        What you saw, and what it points to
      </caption>
      <tbody>
        <tr v-for="one in outcome.weighed" :key="one.key">
          <th scope="row">{{ one.label }}</th>
          <td>
            {{ one.signs.length > 0 ? one.signs.join('; ') : 'nothing seen that points to it' }}
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.look {
  display: grid;
  gap: 10px;
  padding: 12px 0;
}

h4 {
  margin: 0;
  font: 700 17px var(--slab);
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 14px;
  align-items: center;
  padding: 8px 0;
  border-bottom: var(--line) solid var(--hairline);
}

li > .small {
  grid-column: 1;
}

li > [role='radiogroup'] {
  display: flex;
  grid-row: 1 / span 2;
  grid-column: 2;
  gap: 6px;
}

button {
  min-width: 52px;
  min-height: 44px;
  padding: 2px 10px;
  border: 1px solid var(--edge);
  border-radius: 5px;
  background: var(--leaf);
  cursor: pointer;
}

button[aria-checked='true'] {
  border: 2px solid var(--ink);
  font-weight: 700;
}

.outcome {
  padding: 10px 0 10px 14px;
  border-left: 3px solid var(--amber);
  font: 500 17px/1.4 var(--slab);
}

th,
td {
  padding: 5px 12px 5px 0;
  border-top: var(--line) solid var(--hairline);
  text-align: left;
  vertical-align: top;
  font-weight: 400;
}

th {
  width: 40%;
  font-weight: 600;
}

@media (width < 760px) {
  li {
    grid-template-columns: 1fr;
  }

  li > [role='radiogroup'] {
    grid-row: auto;
    grid-column: 1;
  }

  button {
    flex: 1;
    min-height: var(--thumb);
  }
}
</style>
