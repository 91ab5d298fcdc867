<script setup lang="ts">
import { Flag, Pause, Signpost, TimerReset, Undo2 } from '@lucide/vue';
import { useEventListener, useWakeLock } from '@vueuse/core';
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { inText } from '@fair-gable/core/base/words';
import type { Point } from '@fair-gable/core/show/cards';
import { clock, type Mark } from '@fair-gable/core/show/walk';
import { stationEntry, type StationKey } from '@fair-gable/core/unit/catalog';
import { useDrafts } from '../../base/draft/index.ts';
import { givingKeys } from '../../base/keys/keys.ts';
import { useAttempt } from '../../base/attempt/index.ts';
import FoundMeanwhile from './FoundMeanwhile.vue';
import { useCardsNow } from '../cards/cards-now.ts';
import { useWalk } from './walk.ts';
import { markButtons, markPlace, type Sheet } from './sheet.ts';
import WalkCard from './WalkCard.vue';
import WalkHead from './WalkHead.vue';
import { useSession } from '../../base/session/session.ts';
import ScreenLink from '../screen/ScreenLink.vue';
import WalkSheet from './WalkSheet.vue';

/** A walk as it is given: one point a card, one thumb, no network needed. */
const props = defineProps<{ walk: string }>();
const router = useRouter();
const session = useSession();
const walks = useWalk();
const wakeLock = useWakeLock();
const drafts = useDrafts();

const found = ref<boolean>();
const { problem, attempt } = useAttempt();
const sheet = ref<Sheet>();
const mark = ref<Mark>('asked');

onMounted(async () => {
  const isOpen = await attempt(async () => {
    found.value = await walks.open(props.walk);
    void walks.join(props.walk);
  });
  if (!isOpen) found.value = false;
  await wakeLock.request('screen').catch(() => undefined);
});

const state = computed(() => walks.state);
const plan = computed(() => walks.walk?.plan);
const point = computed(() => state.value?.current);

const { now, faults, answers } = useCardsNow(
  () => plan.value,
  () => point.value,
);
const wasTold = ({ id }: Point): boolean => state.value?.marks.some((m) => m.point === id) ?? false;
const untold = computed(() => faults.value.filter((fault) => !wasTold(fault)));
/** It is in the log as well, and somebody sees to it. */
const tell = ({ id, sentence }: Point): void =>
  void walks.record({
    kind: 'mark',
    point: id,
    mark: 'not-working',
    note: sentence.slice(0, 500),
  });
const place = computed(() => {
  if (!point.value || !plan.value) return '';
  const back = state.value?.cards.get(point.value.id) === 'later' ? 'come back to · ' : '';
  const total = plan.value.points.length - (state.value?.leftOut.length ?? 0);
  return `${back}card ${Math.min(walks.given + 1, total)} of ${total} · about ${point.value.seconds} s`;
});

const next = computed(() => {
  const points = plan.value?.points ?? [];
  const at = points.findIndex((p) => p.id === point.value?.id);
  return points.slice(at + 1).find((p) => state.value?.cards.get(p.id) === 'open');
});

const act = (kind: 'said' | 'shown' | 'later'): void => {
  if (point.value) void walks.record({ kind, point: point.value.id });
};

const jump = (station: StationKey): void => {
  sheet.value = undefined;
  void walks.record({ kind: 'jump', station });
};

const turnTo = (p: Point): void => {
  sheet.value = undefined;
  void walks.record({ kind: 'turn-to', point: p.id });
};

/** The liking of this card, which a second press takes back. */
const likedHere = computed(() =>
  state.value?.marks.find((m) => m.point === point.value?.id && m.mark === 'liked'),
);

/** “Liked” needs no words; the others take a note that may be left empty. */
const putMark = (chosen: Mark): void => {
  if (!point.value) return;
  if (chosen === 'liked') {
    const before = likedHere.value;
    void walks.record(
      before
        ? { kind: 'undo', event: before.id }
        : { kind: 'mark', point: point.value.id, mark: chosen },
    );
    return;
  }
  mark.value = chosen;
  sheet.value = 'mark';
};

const keepMark = async (words: string, spoken: Blob | undefined): Promise<void> => {
  sheet.value = undefined;
  if (!point.value) return;
  const place = markPlace(plan.value?.id, point.value.id, mark.value);
  const what = {
    kind: 'mark' as const,
    point: point.value.id,
    mark: mark.value,
    ...(words ? { note: words } : {}),
    ...(spoken ? { memo: crypto.randomUUID() } : {}),
  };
  await walks.record(what, spoken);
  if (!walks.problem) drafts.drop(place);
};

const replanned = (minutes: number, keep: readonly string[]): void => {
  sheet.value = undefined;
  void walks.record({ kind: 'replan', minutes, keep: [...keep] });
};

const isRehearsal = computed(() => walks.walk?.isRehearsal === true);
const toPlan = (): Promise<unknown> =>
  router.push({ name: 'walk', params: { id: plan.value?.unit ?? '' } });

const undo = (): void => {
  const last = state.value?.undoable;
  if (last) void walks.record({ kind: 'undo', event: last.id });
};

const finish = async (): Promise<void> => {
  await walks.record({ kind: 'finish' });
  // A rehearsal has no log; what was missed stands here.
  if (!isRehearsal.value) await toLog();
};

const toLog = (): Promise<unknown> =>
  router.push({ name: 'log', params: { id: plan.value?.unit ?? '', walk: props.walk } });

const notGiven = computed(() => plan.value?.points.filter((p) => walks.isOpen(p)) ?? []);

const marksHere = computed(
  () => state.value?.marks.filter((m) => m.point === point.value?.id).map((m) => m.mark) ?? [],
);

// Keys and a clicker double the buttons; they never do what no button does.
const deeds = {
  said: () => act('said'),
  shown: () => act('shown'),
  later: () => act('later'),
  undo,
} as const;
useEventListener('keydown', (event: KeyboardEvent) => {
  const target = event.target as HTMLElement;
  const isGiving = state.value?.begun && !state.value.paused;
  if (sheet.value || target.closest('input, button') || !isGiving) return;
  const pressed = givingKeys.find(({ keys }) => keys.some(({ press }) => press === event.key));
  if (!pressed) return;
  event.preventDefault();
  deeds[pressed.act]();
});
</script>

<template>
  <div class="give">
    <p v-if="found === undefined" class="wait soft">Opening the walk…</p>
    <div v-else-if="!plan || !state" class="wait">
      <h1>This walk isn’t on this device</h1>
      <p>
        {{
          problem ||
          'The server can’t be reached either. Open it where it was planned, or try again with a network.'
        }}
      </p>
      <RouterLink :to="{ name: 'yard' }">Back to the yard</RouterLink>
    </div>
    <template v-else>
      <WalkHead />

      <div v-if="!state.begun" class="begin">
        <h1>
          {{ isRehearsal ? 'Rehearsal: ' : '' }}{{ plan.points.length }} cards,
          {{ plan.minutes }} minutes
        </h1>
        <p>
          First: {{ inText(stationEntry(plan.points[0]?.station ?? 'hitch').label) }}. The clock
          starts when you do.
        </p>
        <button type="button" class="big dark" @click="walks.record({ kind: 'begin' })">
          Begin
        </button>
        <ScreenLink v-if="!isRehearsal && session.may('record')" :walk="plan.id" />
      </div>
      <div v-else-if="state.finished" class="begin">
        <h1>The walk is finished</h1>
        <p>
          {{ walks.given }} of {{ plan.points.length }} cards given in {{ clock(walks.worked) }}.
        </p>
        <template v-if="isRehearsal">
          <p v-if="notGiven.length">
            {{ notGiven.length }} missed: {{ notGiven.map((p) => inText(p.label)).join(', ') }}.
          </p>
          <p v-else>You didn’t miss any.</p>
          <button type="button" class="big dark" @click="toPlan">Back to the plan</button>
        </template>
        <template v-else>
          <button type="button" class="big dark" @click="toLog">Open the log</button>
          <button type="button" class="big" @click="walks.record({ kind: 'resume' })">
            Go on after all
          </button>
        </template>
      </div>
      <div v-else-if="state.paused" class="begin">
        <h1>Paused at {{ clock(walks.worked) }}</h1>
        <button type="button" class="big dark" @click="walks.record({ kind: 'resume' })">
          Go on
        </button>
        <ScreenLink v-if="!isRehearsal && session.may('record')" :walk="plan.id" />
      </div>
      <template v-else>
        <FoundMeanwhile :faults="untold" @told="tell" />
        <WalkCard
          v-if="now"
          :point="now.point"
          :place="place"
          :was="now.was"
          :gone="now.gone"
          class="body"
        />
        <div v-else class="begin">
          <h1>Every card is done</h1>
          <p>Finish once the last question is answered.</p>
          <button type="button" class="big dark" @click="finish">Finish the walk</button>
        </div>
        <p v-if="walks.problem" class="problem wrong" role="alert">{{ walks.problem }}</p>
        <div class="thumbs">
          <button v-if="state.missed.length" type="button" class="missed" @click="sheet = 'missed'">
            {{ state.missed.length }} missed so far:
            {{
              state.missed
                .map((p) => inText(p.label))
                .slice(0, 3)
                .join(', ')
            }}
            <span aria-hidden="true">›</span>
          </button>
          <div v-if="point" class="marks">
            <button
              v-for="m in markButtons"
              :key="m.key"
              type="button"
              :aria-pressed="marksHere.includes(m.key)"
              @click="putMark(m.key)"
            >
              {{ m.label }}
            </button>
          </div>
          <div v-if="point" class="three">
            <button type="button" class="big" @click="act('later')">Later</button>
            <button type="button" class="big" @click="act('shown')">Shown</button>
            <button type="button" class="big dark" @click="act('said')">
              Said
              <small v-if="next">next: {{ inText(next.label) }}</small>
            </button>
          </div>
        </div>
      </template>
      <nav v-if="state.begun && !state.finished" class="foot" aria-label="The walk">
        <button type="button" :disabled="!state.undoable || state.paused" @click="undo">
          <Undo2 aria-hidden="true" />Undo
        </button>
        <button type="button" :disabled="state.paused" @click="sheet = 'jump'">
          <Signpost aria-hidden="true" />Jump to…
        </button>
        <button type="button" :disabled="state.paused" @click="sheet = 'replan'">
          <TimerReset aria-hidden="true" />Re-plan
        </button>
        <button v-if="!state.paused" type="button" @click="walks.record({ kind: 'pause' })">
          <Pause aria-hidden="true" />Pause
        </button>
        <button type="button" @click="finish"><Flag aria-hidden="true" />Finish</button>
      </nav>
    </template>

    <WalkSheet
      v-model="sheet"
      :mark="mark"
      :answers="answers"
      @jump="jump"
      @turn-to="turnTo"
      @mark="keepMark"
      @replan="replanned"
    />
  </div>
</template>

<style scoped>
.give {
  display: flex;
  flex-direction: column;
  max-width: 620px;
  height: 100dvh;
  margin: 0 auto;
  background: var(--leaf);
}

.wait {
  display: grid;
  gap: 10px;
  padding: 40px 18px;
}

.body,
.begin {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
}

.thumbs,
.foot {
  flex: none;
}

.begin {
  display: grid;
  align-content: safe center;
  gap: 14px;
  padding: 18px;
}

.begin h1 {
  font-size: 30px;
}

.problem {
  padding: 8px 18px;
}

.thumbs {
  display: grid;
  gap: 8px;
  padding: 6px 18px 10px;
}

.missed {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--amber);
  font-weight: 700;
  text-align: left;
  cursor: pointer;
}

.marks {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr 1.3fr;
  gap: 8px;
}

.marks button {
  min-height: var(--thumb);
  padding: 0 4px;
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: var(--paper);
  cursor: pointer;
}

.marks button[aria-pressed='true'] {
  border: 2px solid var(--ink);
  font-weight: 700;
}

.three {
  display: grid;
  grid-template-columns: 1fr 1fr 1.55fr;
  gap: 9px;
}

.big {
  display: grid;
  align-content: center;
  min-width: 0;
  min-height: 72px;
  text-align: center;
  padding: 4px 8px;
  border: 2px solid var(--ink);
  border-radius: 8px;
  background: var(--leaf);
  font: 700 20px var(--slab);
  cursor: pointer;
}

.big small {
  width: 100%;
  font: 400 15px/1.15 var(--plain);
}

.dark {
  background: var(--ink);
  color: var(--leaf);
}

.foot {
  display: grid;
  grid-auto-columns: 1fr;
  grid-auto-flow: column;
  border-top: 1px solid var(--hairline);
}

.foot button {
  display: grid;
  justify-items: center;
  align-content: center;
  gap: 2px;
  min-height: 56px;
  padding: 0;
  border: 0;
  background: none;
  font-size: 15px;
  white-space: nowrap;
  cursor: pointer;
}

.foot svg {
  width: 20px;
  height: 20px;
}

.foot button:disabled {
  color: var(--edge);
  cursor: default;
}
</style>
