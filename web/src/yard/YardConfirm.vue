<script setup lang="ts">
import Button from 'primevue/button';
import { computed, onMounted, ref } from 'vue';
import { nameOf, textOf, toConfirm } from '@fair-gable/core';
import ConfirmList from '../record/ConfirmList.vue';
import { useUnits } from './units.ts';

/** What is to be measured or confirmed across the yard, by how much hangs on it. */
const units = useUnits();
onMounted(() => {
  if (!units.loaded) void units.load();
});

/** So many at a time: the first are those that matter. */
const step = 60;
const shown = ref(step);

const all = computed(() =>
  units.list
    .flatMap(({ id, record }) =>
      toConfirm(record).map((row) => ({
        id: `${id} ${row.part}.${row.key}`,
        unit: id,
        name: `${nameOf(record)} · ${textOf(record, 'stockNumber') ?? 'no stock number'}`,
        record,
        row,
        weight: row.hangs.checks.length + row.hangs.cards.length,
      })),
    )
    .toSorted((a, b) => b.weight - a.weight),
);
</script>

<template>
  <section aria-labelledby="confirm-title">
    <header>
      <h1 id="confirm-title">To measure or confirm</h1>
      <p class="soft">
        {{ all.length }} {{ all.length === 1 ? 'thing' : 'things' }} on
        {{ new Set(all.map((r) => r.unit)).size }} units; first that on which most leans.
      </p>
      <RouterLink :to="{ name: 'yard' }">Back to the yard</RouterLink>
    </header>
    <p v-if="units.problem" class="notice wrong" role="alert">{{ units.problem }}</p>
    <p v-else-if="!units.loaded" class="notice soft">Opening the yard…</p>
    <p v-else-if="all.length === 0" class="notice">
      Nothing: no guess, no hearsay that anything leans on, no two sources that disagree.
    </p>
    <ConfirmList v-else :rows="all.slice(0, shown)" />
    <p v-if="all.length > shown" class="notice">
      <Button
        severity="secondary"
        :label="`Show ${Math.min(step, all.length - shown)} more of ${all.length - shown}`"
        @click="shown += step"
      />
    </p>
  </section>
</template>

<style scoped>
header {
  display: flex;
  align-items: baseline;
  flex-wrap: wrap;
  gap: 4px 16px;
  padding: 14px 24px 10px;
  border-bottom: 1px solid var(--hairline);
}

h1 {
  font-size: 26px;
}

header a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  margin-left: auto;
}

.notice {
  padding: 20px 24px;
}

@media (width < 760px) {
  header,
  .notice {
    padding-inline: 16px;
  }
}
</style>
