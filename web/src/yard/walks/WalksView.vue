<script setup lang="ts">
import type { YardWalk } from '@fair-gable/core/show/walk';
import Button from 'primevue/button';
import { computed, onMounted, shallowRef, watch } from 'vue';
import { foldWalk, type WalksSummary } from '@fair-gable/core/show/walk';
import { nameOf, textOf } from '@fair-gable/core/unit/record';
import { ask } from '../../base/api/client.ts';
import { useAttempt } from '../../base/attempt/index.ts';
import { when } from '../../base/clock/index.ts';
import FollowUpRow from '../follow-up/FollowUpRow.vue';
import { useFollowUps } from '../follow-up/follow-ups.ts';
import { useSession } from '../../base/session/session.ts';
import { useUnits } from '../../unit/units/units.ts';
import ManyWalks from './ManyWalks.vue';
import { walkWorker } from '../../show/plan/worker.ts';

/** The yard’s walks: under way, to be followed up, and what many of them have in common. */
const units = useUnits();
const session = useSession();
const followUps = useFollowUps();
const walks = shallowRef<readonly YardWalk[]>();
const summary = shallowRef<WalksSummary>();
const { problem, attempt } = useAttempt();

const load = (): Promise<boolean> =>
  attempt(async () => {
    walks.value = (await ask('GET /api/walks')).walks;
  });
onMounted(() => {
  if (!units.loaded) void units.load();
  void followUps.load();
  void load();
});

const nameOfUnit = (id: string): string => {
  const unit = units.summaries.get(id);
  return unit ? nameOf(unit.record) : 'a unit that is gone';
};
const stockOf = (id: string): string => {
  const record = units.summaries.get(id)?.record;
  return (record && textOf(record, 'stockNumber')) ?? '';
};
watch(
  [walks, () => units.loaded],
  async ([all]) => {
    if (!all || !units.loaded) return;
    const seen = all.map(({ plan, events }) => ({ plan, events, model: nameOfUnit(plan.unit) }));
    summary.value = await walkWorker().summaryOf(JSON.parse(JSON.stringify(seen)) as typeof seen);
  },
  { immediate: true },
);

const underWay = computed(() =>
  (walks.value ?? [])
    .map((walk) => ({ ...walk, state: foldWalk(walk.plan, walk.events) }))
    .filter(({ state }) => state.begun && !state.finished),
);
const given = ({ state, plan }: (typeof underWay.value)[number]): string => {
  const done = plan.points.filter(({ id }) =>
    ['said', 'shown'].includes(state.cards.get(id) ?? ''),
  ).length;
  return `${done} of ${plan.points.length} cards`;
};
const open = computed(() => followUps.list.value.filter(({ done }) => done === undefined));
const mayWrite = computed(() => session.may('record'));
</script>

<template>
  <div>
    <header class="page-head">
      <h1>Walks</h1>
      <p class="soft">You plan a walk on the unit’s page, under Walk.</p>
    </header>
    <p v-if="problem" class="page-part wrong" role="alert">
      {{ problem }} <Button severity="secondary" label="Try again" @click="load" />
    </p>
    <p v-else-if="!walks" class="page-part soft" role="status">Opening the walks…</p>
    <p v-else-if="walks.length === 0" class="page-part">
      No walks yet. Open a unit, plan one under Walk, and give it; questions and promises come
      together here.
    </p>
    <template v-else>
      <div class="two">
        <section class="page-part" aria-labelledby="under-way">
          <h2 id="under-way">Under way</h2>
          <p v-if="underWay.length === 0" class="soft">Nobody’s giving one right now.</p>
          <ul>
            <li v-for="walk in underWay" :key="walk.plan.id" class="way">
              <span
                ><strong>{{ nameOfUnit(walk.plan.unit) }}</strong
                >, {{ stockOf(walk.plan.unit) }}</span
              >
              <span class="soft"
                >{{ walk.by }}, {{ when(walk.createdAt) }}, {{ given(walk)
                }}{{ walk.state.paused ? ', paused' : '' }}</span
              >
              <span class="doors">
                <RouterLink :to="{ name: 'look-in', params: { walk: walk.plan.id } }"
                  >Watch</RouterLink
                >
                <RouterLink v-if="mayWrite" :to="{ name: 'give', params: { walk: walk.plan.id } }"
                  >Continue</RouterLink
                >
              </span>
            </li>
          </ul>
        </section>
        <section class="page-part" aria-labelledby="to-do">
          <h2 id="to-do">To follow up</h2>
          <p v-if="followUps.problem.value" class="wrong" role="alert">
            {{ followUps.problem.value }}
          </p>
          <p v-if="followUps.loaded.value && open.length === 0" class="soft">
            Nothing left to do. A walk’s follow-ups are in its log.
          </p>
          <ul>
            <FollowUpRow
              v-for="one in open"
              :key="one.id"
              :follow-up="one"
              :may-write="mayWrite"
              :busy="followUps.busy.value"
              @keep="followUps.keep"
              @drop="followUps.drop(one)"
            >
              <RouterLink :to="{ name: 'log', params: { id: one.unit, walk: one.walk } }">{{
                nameOfUnit(one.unit)
              }}</RouterLink>
            </FollowUpRow>
          </ul>
        </section>
      </div>
      <ManyWalks v-if="summary" :summary="summary" />
    </template>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
  border-bottom: 1px solid var(--hairline);
}

.two > section + section {
  border-left: 1px solid var(--hairline);
}

h2 {
  padding-bottom: 6px;
  font-size: 21px;
}

.way {
  display: grid;
  gap: 2px;
  padding: 10px 0;
  border-bottom: 1px solid var(--hairline);
}

.doors {
  display: flex;
  gap: 18px;
}

.doors a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}

@media (width < 900px) {
  .two {
    display: block;
  }

  .two > section + section {
    border: 0;
  }
}
</style>
