<script setup lang="ts">
import { nameOf, textOf } from '@fair-gable/core/unit/record';
import { useUnits } from '../../unit/units/units.ts';
import { useDrafts } from '../../base/draft/index.ts';

/** What was typed on this device and not kept, each with the way back to it. */
const drafts = useDrafts();
const units = useUnits();
/** The unit at whose page it was typed. */
const unitAt = (where: string): string => {
  const record = units.summaries.get(/^\/units\/([^/]+)/.exec(where)?.[1] ?? '')?.record;
  return record ? [nameOf(record), textOf(record, 'stockNumber')].filter(Boolean).join(' ') : '';
};
const leave = (place: string, what: string): void => {
  if (window.confirm(`Discard what was typed under “${what}”? It isn’t saved anywhere else.`))
    drafts.drop(place);
};
</script>

<template>
  <section v-if="drafts.list.length" aria-labelledby="typed">
    <h2 id="typed">Typed, not saved yet</h2>
    <ul>
      <li v-for="{ place, what, where } in drafts.list" :key="place">
        <RouterLink :to="where">{{ what }}</RouterLink>
        <span class="small soft">{{ unitAt(where) }}</span>
        <button type="button" class="small" @click="leave(place, what)">
          Discard<span class="visually-hidden">: {{ what }}</span>
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 10px;
}

h2 {
  padding-bottom: 4px;
  border-bottom: 1px solid var(--ink);
  font-size: 18px;
}

li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 14px;
  min-height: var(--thumb);
  border-bottom: 1px solid var(--hairline);
}

button {
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--soft);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
</style>
