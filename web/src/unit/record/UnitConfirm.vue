<script setup lang="ts">
import type { YardUnit } from '@fair-gable/core/unit/record';
import { computed } from 'vue';
import { toConfirm } from '@fair-gable/core/yard/to-do';
import ConfirmList from './ConfirmList.vue';

/** What is to be measured or confirmed on one unit. */
const props = defineProps<{ unit: YardUnit }>();

const rows = computed(() =>
  toConfirm(props.unit.record).map((row) => ({
    id: `${row.part}.${row.key}`,
    unit: props.unit.id,
    record: props.unit.record,
    row,
  })),
);
</script>

<template>
  <section aria-labelledby="confirm-title">
    <header>
      <h2 id="confirm-title">To measure or confirm</h2>
      <p class="soft">What matters most comes first.</p>
    </header>
    <p v-if="rows.length === 0" class="empty">
      Nothing: no estimates, nothing we’ve only been told, no sources that disagree.
    </p>
    <ConfirmList v-else :rows="rows" />
  </section>
</template>

<style scoped>
header,
.empty {
  display: flex;
  align-items: baseline;
  flex-wrap: wrap;
  gap: 4px 14px;
  padding: 14px 24px 10px;
}

h2 {
  font-size: 20px;
}

@media (width < 760px) {
  header,
  .empty {
    padding-inline: 16px;
  }
}
</style>
