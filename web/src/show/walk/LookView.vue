<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { inText } from '@fair-gable/core/base/words';
import { clock, logOf } from '@fair-gable/core/show/walk';
import { useAttempt } from '../../base/attempt/index.ts';
import { useCardsNow } from '../cards/cards-now.ts';
import { markWords } from './sheet.ts';
import { useWalk } from './walk.ts';
import WalkCard from './WalkCard.vue';
import WalkHead from './WalkHead.vue';

/** Looks in on a walk that somebody else gives: the card they have, and what has happened; touches nothing. */
const props = defineProps<{ walk: string }>();
const walks = useWalk();
const found = ref<boolean>();
const { problem, attempt } = useAttempt();
onMounted(async () => {
  const isOpen = await attempt(async () => {
    found.value = await walks.open(props.walk);
    await walks.join(props.walk);
  });
  if (!isOpen) found.value = false;
});

const plan = computed(() => walks.walk?.plan);
const state = computed(() => walks.state);
const { now } = useCardsNow(
  () => plan.value,
  () => state.value?.current,
);
const log = computed(() => walks.walk && logOf(walks.walk.plan, walks.walk.events));
const stateWords = computed(() => {
  if (!state.value?.begun) return 'Not begun yet.';
  if (state.value.finished) return 'Finished.';
  return state.value.paused ? 'Paused.' : '';
});
</script>

<template>
  <div class="look">
    <p v-if="found === undefined" class="soft page-part">Opening the walk…</p>
    <div v-else-if="!plan || !state" class="page-part">
      <h1>You can’t see this walk right now</h1>
      <p>{{ problem || 'The server can’t be reached. Try again with a network.' }}</p>
    </div>
    <template v-else>
      <p class="tip small">
        <strong>You’re watching.</strong> It follows by itself, as far as the presenter’s network
        does.
        <RouterLink :to="{ name: 'walks' }">All walks</RouterLink>
      </p>
      <WalkHead />
      <h1 v-if="stateWords" class="page-part">{{ stateWords }}</h1>
      <WalkCard
        v-if="now"
        :point="now.point"
        :was="now.was"
        :gone="now.gone"
        :place="`${walks.given} of ${plan.points.length} cards given`"
      />
      <section v-if="log?.marks.length" class="page-part">
        <h3>Asked, promised, found</h3>
        <ul>
          <li v-for="m in log.marks" :key="m.id">
            <span class="number">{{ clock(m.at) }}</span>
            <span
              >{{ markWords[m.mark] }}: {{ m.label
              }}<template v-if="m.note">, “{{ m.note }}”</template></span
            >
          </li>
        </ul>
      </section>
      <section v-if="state.missed.length" class="page-part">
        <h3>Missed so far</h3>
        <p>{{ state.missed.map((p) => inText(p.label)).join(', ') }}</p>
      </section>
    </template>
  </div>
</template>

<style scoped>
.look {
  max-width: 620px;
  margin: 0 auto;
  background: var(--leaf);
}

.tip {
  padding: 10px 18px;
  border-bottom: 1px solid var(--hairline);
}

.look > .page-part {
  padding-inline: 18px;
}

li {
  display: grid;
  grid-template-columns: 52px 1fr;
  gap: 10px;
  padding: 7px 0;
  border-bottom: 1px solid var(--hairline);
}
</style>
