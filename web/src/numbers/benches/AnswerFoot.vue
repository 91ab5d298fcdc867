<script setup lang="ts">
import { computed, inject, ref } from 'vue';
import { inText } from '@fair-gable/core/base/words';
import { isFeatureKey, isSpecKey, entryFor } from '@fair-gable/core/unit/catalog';
import type { Outcome } from '@fair-gable/core/unit/outcome';
import { enterField } from './enter.ts';

/** What to say, the arithmetic that opens, what was assumed, where the rule is from, and what is still missing. */
const props = defineProps<{
  outcome: Outcome<unknown>;
  unit: string | undefined;
  /** Only the sentence and what is missing; or only the rest, where the sentence stands elsewhere. */
  short?: boolean;
  long?: boolean;
}>();
/** On a phone the arithmetic opens when somebody asks. */
const isOpen = ref(window.matchMedia('(width >= 900px)').matches);
/** Without a unit a figure is entered on the page itself. */
const enter = inject(enterField, undefined);

const linkTo = (unit: string, field: string) => {
  const key = field.split('.')[1] ?? '';
  const station = isSpecKey(key) || isFeatureKey(key) ? entryFor(key).station : 'labels';
  return { name: 'record', params: { id: unit, station }, query: { field: key } };
};
/** What is said aloud stands in quotes; what contradicts itself is told to whoever typed it. */
const says = computed(() => {
  const { value, refused, sentence } = props.outcome;
  if (refused) return sentence;
  return value === undefined ? 'We can’t say yet.' : `“${sentence}”`;
});
const isLinked = (field: string | undefined): field is string =>
  field !== undefined && props.unit !== undefined;
</script>

<template>
  <section class="foot" :aria-label="long ? 'How we figured it' : 'The answer'">
    <p
      v-if="!long"
      class="sentence"
      :class="{ guess: outcome.confidence === 'about' }"
      role="status"
    >
      {{ says }}
    </p>
    <p v-if="!long && outcome.missing.length" class="missing">
      {{ outcome.refused ? 'Check:' : 'Still needed:' }}
      <template v-for="({ label, field }, i) in outcome.missing" :key="label"
        >{{ i > 0 ? ', ' : ''
        }}<RouterLink v-if="unit && isLinked(field)" :to="linkTo(unit, field)">{{
          inText(label)
        }}</RouterLink
        ><button v-else-if="enter && field" type="button" @click="enter(field)">
          {{ inText(label) }}</button
        ><template v-else>{{ inText(label) }}</template></template
      >.
    </p>
    <details
      v-if="!short && outcome.steps.length"
      :open="isOpen"
      @toggle="isOpen = ($event.target as HTMLDetailsElement).open"
    >
      <summary>Show the math</summary>
      <dl v-if="isOpen">
        <div v-for="{ what, arithmetic } in outcome.steps" :key="what">
          <dt>{{ what }}</dt>
          <dd class="number">{{ arithmetic }}</dd>
        </div>
      </dl>
    </details>
    <ul v-if="!short && outcome.assumptions.length" class="small soft">
      <li v-for="one in outcome.assumptions" :key="one">{{ one }}</li>
    </ul>
    <p v-if="!short" class="small soft">By: {{ outcome.source }}.</p>
  </section>
</template>

<style scoped>
.foot {
  display: grid;
  gap: 10px;
}

.sentence {
  padding: 4px 0 4px 16px;
  border-left: 3px solid var(--spruce);
  font: 500 19px/1.4 var(--slab);
}

.sentence.guess {
  text-decoration: none;
}

.missing {
  color: var(--amber);
}

.missing a,
.missing button {
  display: inline-block;
  padding: 10px 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}

summary {
  min-height: 32px;
  cursor: pointer;
}

dl > div {
  display: grid;
  grid-template-columns: minmax(120px, 0.5fr) minmax(0, 1fr);
  gap: 12px;
  padding: 4px 0;
  border-bottom: var(--line) solid var(--hairline);
}

dd {
  font-weight: 500;
}

li::before {
  content: '· ';
}

@media (width < 760px) {
  dl > div {
    grid-template-columns: 1fr;
    gap: 0;
  }
}
</style>
