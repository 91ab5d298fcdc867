<script setup lang="ts">
import { refDebounced } from '@vueuse/core';
import { computed } from 'vue';
import { clock } from '@fair-gable/core/show/walk';
import { stationEntry } from '@fair-gable/core/unit/catalog';
import { emptyRecord, nameOf } from '@fair-gable/core/unit/record';
import OutlineStrip from '../../unit/outline/OutlineStrip.vue';
import { useOutbox } from '../../base/device/index.ts';
import { useSession } from '../../base/session/session.ts';
import { useRecordOf } from '../../unit/units/record.ts';
import { useWalk } from './walk.ts';

/** Where one stands on the walk: the station, the outline, time gone and walk done. */
const walks = useWalk();
const session = useSession();
const outbox = useOutbox();

const plan = computed(() => walks.walk?.plan);
const point = computed(() => walks.state?.current);
/** On whatever device it is given: the name it had when it was planned, else the one it has. */
const unitName = computed(() => walks.walk?.unitName || nameOf(record.value));
const opened = useRecordOf(() => plan.value?.unit);
const record = computed(() => opened.value ?? emptyRecord);

/** What goes out at once is no news: only what waits is told, and no tap makes the head jump. */
const patience = 1500;
const since = refDebounced(
  computed(() => outbox.unsent > 0),
  patience,
);
const waiting = computed(() => (since.value ? outbox.unsent : 0));

/** As the last plan has it. */
const minutes = computed(() => walks.state?.minutes ?? plan.value?.minutes ?? 0);

const aheadWords = computed(() => {
  const ahead = walks.pace?.ahead ?? 0;
  if (Math.abs(ahead) < 30) return 'on time';
  const minutes = Math.round(Math.abs(ahead) / 60) || 1;
  return `${minutes} min ${ahead > 0 ? 'ahead' : 'behind'}`;
});
</script>

<template>
  <div v-if="plan">
    <header class="head" :data-unsent="outbox.unsent">
      <strong>{{
        point
          ? `${stationEntry(point.station).number} ${stationEntry(point.station).label}`
          : 'Done'
      }}</strong>
      <span class="soft" role="status">
        {{ unitName }}<template v-if="waiting"> · {{ waiting }} not sent</template>
      </span>
    </header>
    <p v-if="outbox.halt" class="halt" role="status">
      {{ outbox.halt.text }}
      <RouterLink
        v-if="outbox.halt.why === 'sign-in'"
        :to="{ name: 'sign-in', query: { then: $route.fullPath } }"
        >Sign in</RouterLink
      >
    </p>
    <OutlineStrip
      class="strip"
      :record="record"
      :system="session.system"
      :here="point?.station ?? 'hitch'"
      label="Where you stand on the walk"
    />
    <div class="bars">
      <span>time</span>
      <span class="bar" role="img" :aria-label="`${clock(walks.worked)} of ${minutes} minutes gone`"
        ><i :style="{ width: `${(walks.pace?.timeGone ?? 0) * 100}%` }"
      /></span>
      <span class="number" data-clock>{{ clock(walks.worked) }} of {{ minutes }} min</span>
      <span>walk</span>
      <span
        class="bar"
        role="img"
        :aria-label="`${walks.given} of ${plan.points.length} cards given`"
        ><i class="done" :style="{ width: `${(walks.pace?.walkDone ?? 0) * 100}%` }"
      /></span>
      <span>{{ aheadWords }}</span>
    </div>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  padding: 10px 18px 0;
}

.head strong {
  font: 700 18px var(--slab);
}

.halt {
  padding: 4px 18px;
  color: var(--amber);
  font-weight: 600;
}

.strip {
  height: 104px;
  padding: 2px 18px;
}

.bars {
  display: grid;
  grid-template-columns: 46px 1fr auto;
  align-items: center;
  gap: 4px 14px;
  padding: 4px 18px 12px;
  border-bottom: 2px solid var(--ink);
  color: var(--soft);
}

.bar {
  height: 11px;
  background: var(--sand);
}

.bar i {
  display: block;
  height: 100%;
  background: var(--ink);
}

.bar .done {
  background: var(--spruce);
}

.bars .number {
  color: var(--ink);
}
</style>
