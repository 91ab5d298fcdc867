<script setup lang="ts">
import { counted } from '@fair-gable/core/base/words';
import { entryFor, wordsFor } from '@fair-gable/core/unit/catalog';
import { fieldText, entryOf, type UnitRecord } from '@fair-gable/core/unit/record';
import type { ToConfirm } from '@fair-gable/core/yard/to-do';
import { useSession } from '../../base/session/session.ts';

/** Things to measure or confirm, by how much hangs on each. */
defineProps<{
  rows: readonly {
    readonly id: string;
    readonly unit: string;
    /** Left out where all are of one unit. */
    readonly name?: string;
    readonly record: UnitRecord;
    readonly row: ToConfirm;
  }[];
}>();
const session = useSession();

const whys = {
  conflict: 'two sources disagree',
  guess: 'only an estimate',
  missing: 'not read yet',
  told: 'only what we were told',
} as const;

const shown = (record: UnitRecord, { part, key }: ToConfirm): string => {
  const entry = entryOf(record, part, key);
  return entry ? fieldText(part, key, entry.value, entry.how, session.system) : '—';
};

const hanging = ({ hangs }: ToConfirm): string => {
  const words = [
    ...(hangs.checks.length > 0 ? [counted(hangs.checks.length, 'check')] : []),
    ...(hangs.cards.length > 0 ? [counted(hangs.cards.length, 'card')] : []),
  ];
  return words.length > 0 ? `${words.join(' and ')} rely on it` : 'nothing else relies on it';
};
</script>

<template>
  <ol class="confirm">
    <li v-for="{ id, unit, name, record, row } in rows" :key="id" :data-confirm="row.key">
      <RouterLink
        :to="{
          name: 'record',
          params: { id: unit, station: entryFor(row.key).station },
          query: { field: row.key },
        }"
      >
        <span v-if="name" class="unit">{{ name }}</span>
        <strong>{{ entryFor(row.key).label }}</strong>
        <span class="value number" :class="{ guess: row.why === 'guess' }">{{
          shown(record, row)
        }}</span>
        <span :class="['why', row.why]">{{ whys[row.why] }}</span>
      </RouterLink>
      <details v-if="row.hangs.checks.length + row.hangs.cards.length" class="small">
        <summary>{{ hanging(row) }}</summary>
        <ul>
          <li v-for="about in row.hangs.checks" :key="about">{{ about }}</li>
          <li v-for="card in row.hangs.cards" :key="card">the card “{{ card }}”</li>
        </ul>
      </details>
      <span v-else class="small soft">{{ hanging(row) }}</span>
      <span class="small how">{{ wordsFor(row.key).check }}</span>
    </li>
  </ol>
</template>

<style scoped>
.confirm > li {
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(180px, 0.6fr) minmax(0, 1fr);
  gap: 2px 18px;
  align-items: baseline;
  padding: 9px 24px;
  border-bottom: 1px solid var(--hairline);
}

a {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 12px;
  text-decoration: none;
}

a:hover strong {
  text-decoration: underline;
}

.unit {
  grid-column: 1 / -1;
  color: var(--soft);
  font: 600 14px var(--slab);
}

.value {
  text-align: right;
}

.why {
  grid-column: 1 / -1;
  color: var(--soft);
  font-size: 15px;
}

.why.conflict {
  color: var(--brick);
}

.why.guess,
.why.missing {
  color: var(--amber);
}

summary {
  min-height: 32px;
  cursor: pointer;
}

details li {
  padding: 3px 0 3px 14px;
}

.how {
  color: var(--soft);
}

@media (width < 760px) {
  .confirm > li {
    grid-template-columns: 1fr;
    padding-inline: 16px;
  }

  a {
    min-height: 48px;
  }

  summary {
    min-height: 44px;
    padding-top: 10px;
  }
}

@media print {
  details {
    display: none;
  }
}
</style>
