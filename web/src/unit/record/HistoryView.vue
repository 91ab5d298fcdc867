<script setup lang="ts">
import Button from 'primevue/button';
import { computed, onMounted, ref, shallowRef } from 'vue';
import { inText } from '@fair-gable/core/base/words';
import {
  entryOf,
  fieldLabel,
  fieldText,
  type Change,
  type HistoryRow,
  type YardUnit,
} from '@fair-gable/core/unit/record';
import { useAttempt } from '../../base/attempt/index.ts';
import { dayOf, timeOf } from '../../base/clock/index.ts';
import EvidenceMark from '../../base/evidence/EvidenceMark.vue';
import { useSession } from '../../base/session/session.ts';
import { useEdits } from './edits.ts';
import { readHistory } from './history.ts';

/** A unit's history: every change with who, when, from and to; what was there before can be put back. */
const props = defineProps<{ unit: YardUnit }>();
const session = useSession();
const edits = useEdits();

const page = 50;
const rows = shallowRef<readonly HistoryRow[]>([]);
const isWhole = ref(false);
const { busy: isReading, problem: unread, attempt: tryToRead } = useAttempt();
const { done, problem: notPutBack, attempt } = useAttempt();
const problem = computed(() => notPutBack.value || unread.value);

const read = (before?: string): Promise<boolean> =>
  tryToRead(async () => {
    const more = await readHistory(props.unit.id, { before, limit: page });
    rows.value = before ? [...rows.value, ...more] : more;
    isWhole.value = more.length < page;
  });
onMounted(() => read());

const days = computed(() => {
  const byDay = new Map<string, HistoryRow[]>();
  for (const row of rows.value) {
    const day = dayOf(row.at);
    byDay.set(day, [...(byDay.get(day) ?? []), row]);
  }
  return [...byDay];
});

const shown = (row: HistoryRow, side: 'from' | 'to'): string => {
  const how = side === 'to' ? row.how : (row.fromHow ?? row.how);
  return fieldText(row.part, row.key, row[side], how, session.system);
};

const isNow = (row: HistoryRow): boolean => {
  const entry = entryOf(props.unit.record, row.part, row.key);
  return JSON.stringify(entry?.value ?? null) === JSON.stringify(row.from);
};

/** Puts back what was there before a change, as a change of its own. */
const putBack = (row: HistoryRow): Promise<boolean> => {
  const basedOn = entryOf(props.unit.record, row.part, row.key)?.version ?? 0;
  const { part, key } = row;
  const back = { part, key, value: row.from, how: row.fromHow ?? row.how, basedOn };
  const isDisputable = part === 'specs' || part === 'features';
  // What was there before is put in the place of all that is said now.
  const change = (isDisputable ? { ...back, others: [] } : back) as Change;
  const label = inText(fieldLabel(part, key));
  return attempt(
    async () => {
      await edits.change(props.unit.id, [change], label);
      await read();
    },
    `${fieldLabel(part, key)} is ${shown(row, 'from')} again.`,
  );
};
</script>

<template>
  <section class="history" aria-label="History of this unit">
    <p v-if="done" class="soft" role="status">{{ done }}</p>
    <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
    <p v-if="!isReading && rows.length === 0 && !problem" class="empty">
      Nothing’s been recorded on this unit yet. What you record at its stations shows up here, with
      who and when.
    </p>
    <div v-for="[day, changes] in days" :key="day">
      <h2>{{ day }}</h2>
      <ul>
        <li v-for="row in changes" :key="row.id" :data-history="`${row.part}.${row.key}`">
          <span class="small soft number">{{ timeOf(row.at) }}</span>
          <strong>{{ fieldLabel(row.part, row.key) }}</strong>
          <span class="change">
            <template v-if="row.from !== null">
              <EvidenceMark :how="row.fromHow ?? undefined" bare />
              <del>{{ shown(row, 'from') }}</del>
              <span aria-hidden="true">→</span><span class="visually-hidden">became</span>
            </template>
            <span v-if="row.beside" class="small soft">next to it</span>
            <EvidenceMark :how="row.to === null ? undefined : row.how" bare />
            <span :class="{ guess: row.to !== null && row.how === 'guessed' }">{{
              shown(row, 'to')
            }}</span>
          </span>
          <span class="small soft who"
            >{{ row.by }}<template v-if="row.account"> ({{ row.account }})</template></span
          >
          <button
            v-if="session.may('record') && row.from !== null && !isNow(row)"
            type="button"
            class="back"
            @click="putBack(row)"
          >
            Restore
            <span class="visually-hidden"
              >{{ fieldLabel(row.part, row.key) }} to {{ shown(row, 'from') }}</span
            >
          </button>
        </li>
      </ul>
    </div>
    <Button
      v-if="!isWhole && rows.length > 0"
      severity="secondary"
      label="Older changes"
      :loading="isReading"
      @click="read(rows.at(-1)?.id)"
    />
  </section>
</template>

<style scoped>
.history {
  display: grid;
  gap: 18px;
  justify-items: start;
  max-width: 1060px;
  padding: 16px 24px 40px;
}

.history > div {
  width: 100%;
}

h2 {
  padding-bottom: 4px;
  border-bottom: 1px solid var(--ink);
  font-size: 18px;
}

li {
  display: grid;
  grid-template-columns: 76px minmax(150px, 1fr) minmax(180px, 1.4fr) minmax(120px, 1.3fr) 76px;
  align-items: center;
  gap: 4px 14px;
  min-height: 44px;
  padding: 4px 0;
  border-bottom: 1px solid var(--hairline);
}

.change {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 7px;
}

.change :deep(svg) {
  width: 16px;
  height: 16px;
}

del {
  color: var(--soft);
}

.who {
  overflow-wrap: anywhere;
}

.back {
  min-height: 36px;
  padding: 0;
  border: 0;
  background: none;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}

.empty {
  padding: 30px 0;
}

@media (width < 760px) {
  .history {
    padding: 12px 16px 40px;
  }

  li {
    grid-template-columns: 76px minmax(0, 1fr) auto;
    padding: 8px 0;
  }

  .change {
    grid-column: 2 / -1;
  }

  li > .soft:not(.number) {
    grid-column: 2;
  }

  .back {
    min-height: 44px;
  }
}
</style>
