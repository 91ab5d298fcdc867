<script setup lang="ts">
import { isFeatureKey, isSpecKey, entryFor, type Outcome } from '@fair-gable/core';

/** What to say, the arithmetic that opens, what was assumed, where the rule is from, and what is still missing. */
const props = defineProps<{ outcome: Outcome<unknown>; unit: string }>();

const linkTo = (field: string) => {
  const key = field.split('.')[1] ?? '';
  const station = isSpecKey(key) || isFeatureKey(key) ? entryFor(key).station : 'labels';
  return { name: 'record', params: { id: props.unit, station }, query: { field: key } };
};
</script>

<template>
  <section class="foot" aria-label="The answer">
    <p class="sentence" :class="{ guess: outcome.confidence === 'about' }" role="status">
      “{{ outcome.sentence }}”
    </p>
    <p v-if="outcome.missing.length" class="missing">
      Not known yet:
      <template v-for="({ label, field }, i) in outcome.missing" :key="label"
        >{{ i > 0 ? ', ' : ''
        }}<RouterLink v-if="field" :to="linkTo(field)">{{ label.toLowerCase() }}</RouterLink
        ><template v-else>{{ label.toLowerCase() }}</template></template
      >.
    </p>
    <details v-if="outcome.steps.length" open>
      <summary>The arithmetic</summary>
      <dl>
        <div v-for="{ what, arithmetic } in outcome.steps" :key="what">
          <dt>{{ what }}</dt>
          <dd class="number">{{ arithmetic }}</dd>
        </div>
      </dl>
    </details>
    <ul v-if="outcome.assumptions.length" class="small soft">
      <li v-for="one in outcome.assumptions" :key="one">{{ one }}</li>
    </ul>
    <p class="small soft">By: {{ outcome.source }}.</p>
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
