<script setup lang="ts">
import type { YardUnit } from '@fair-gable/core/unit/record';
import type { YardWalk } from '@fair-gable/core/show/walk';
import Button from 'primevue/button';
import { computed, onMounted, ref, watch } from 'vue';
import { clock, logOf, type LogMark } from '@fair-gable/core/show/walk';
import { onDay, useClock, wholeTimeOf as when } from '../../base/clock/index.ts';
import { ask, NoNetwork, reasonOf } from '../../base/api/client.ts';
import AfterWalk from '../follow-up/AfterWalk.vue';
import { keptWalks, useOutbox } from '../../base/device/index.ts';
import { useSession } from '../../base/session/session.ts';
import { useAsking } from '../../unit/questions/asking.ts';
import { markWords } from '../../show/walk/sheet.ts';

/** What walks of this unit came to: what was said, shown, missed and asked, with times. */
const props = defineProps<{ unit: YardUnit; walk?: string | undefined }>();
const outbox = useOutbox();
const session = useSession();
const walks = ref<readonly YardWalk[]>();
const problem = ref('');

const load = async (): Promise<void> => {
  problem.value = '';
  try {
    await outbox.flush();
    walks.value = (await ask('GET /api/units/:id/walks', { params: { id: props.unit.id } })).walks;
    isHere.value = false;
  } catch (error) {
    const here = error instanceof NoNetwork ? await walksHere() : [];
    if (here.length > 0) walks.value = here;
    else problem.value = reasonOf(error);
    isHere.value = here.length > 0;
  }
};
/** The log is read here while the server is out of reach: of this device’s own walks. */
const isHere = ref(false);
const walksHere = async (): Promise<readonly YardWalk[]> =>
  (await keptWalks(props.unit.id))
    .filter(({ events }) => events.length > 0)
    .map(({ plan, events, anchor }) => ({
      plan,
      events,
      by: session.session?.person.name ?? '',
      own: true,
      createdAt: new Date(anchor.at - anchor.elapsed).toISOString(),
    }))
    .toSorted((a, b) => b.createdAt.localeCompare(a.createdAt));
onMounted(load);
watch(() => props.unit.id, load);
watch(
  () => outbox.unsent,
  (now, before) => void (now === 0 && before > 0 && load()),
);

const chosen = computed(
  () => walks.value?.find((w) => w.plan.id === props.walk) ?? walks.value?.[0],
);
/** A guest hears what was spoken on their own walks alone. */
const mayHear = computed(
  () => session.may('join-walks') || (session.may('present') && chosen.value?.own === true),
);
const log = computed(() => chosen.value && logOf(chosen.value.plan, chosen.value.events));

/** A walk that was finished by mistake is gone on with for the rest of its day. */
const yardClock = useClock();
const isOfToday = computed(() => chosen.value && onDay(chosen.value.createdAt) === yardClock.today);

/** Minutes as they were planned at first, and again on the way. */
const plannedWords = computed(() => {
  const first = chosen.value?.plan.minutes ?? 0;
  const last = log.value?.minutes ?? first;
  if (last === first) return `${first} minutes planned`;
  return `${first} minutes planned, ${last < first ? 'cut to' : 'stretched to'} ${last} on the way`;
});

/** Cards that nobody heard: cut with the time, or passed over. */
const notGiven = computed(() =>
  [
    { part: 'left-out', title: 'Left out when the time was cut', points: log.value?.leftOut ?? [] },
    { part: 'missed', title: 'Missed', points: log.value?.missed ?? [] },
  ].filter(({ points }) => points.length > 0),
);

const { problem: notAsked, ask: askIt } = useAsking();
/** Whether a question of the walk is on this unit's list already, in the same words. */
const isOnList = (text: string): boolean =>
  Object.values(props.unit.record.questions).some((entry) => entry?.value.text === text);
const putOnList = ({ note, point }: LogMark): void => {
  if (!note) return;
  const isField = /^(specs|features)\./.test(point);
  void askIt(props.unit.id, { text: note, scope: 'unit', ...(isField ? { about: point } : {}) });
};

const longest = computed(() =>
  Math.max(1, ...(log.value?.stations.map((s) => Math.max(s.planned, s.taken)) ?? [])),
);
const share = (ms: number): string => `${(ms / longest.value) * 100}%`;
</script>

<template>
  <p v-if="problem" class="pad wrong" role="alert">
    {{ problem }}
    <Button severity="secondary" label="Try again" class="again" @click="load" />
  </p>
  <p v-else-if="!walks" class="pad soft">Opening the log…</p>
  <div v-else-if="!chosen || !log" class="pad">
    <h2>No walks here yet</h2>
    <p>
      Plan one under <RouterLink :to="{ name: 'walk', params: { id: unit.id } }">Walk</RouterLink>;
      what’s said and asked is logged here automatically.
    </p>
  </div>
  <div v-else class="log">
    <nav aria-label="Walks of this unit">
      <h2>Walks</h2>
      <ul>
        <li v-for="w in walks" :key="w.plan.id">
          <RouterLink
            :to="{ name: 'log', params: { id: unit.id, walk: w.plan.id } }"
            :class="{ here: w.plan.id === chosen.plan.id }"
            replace
          >
            {{ when(w.createdAt)
            }}<span class="small soft">{{ w.by }}, {{ w.plan.minutes }} min</span>
          </RouterLink>
        </li>
      </ul>
    </nav>
    <section>
      <header>
        <h2>
          {{ log.done.length }} of {{ chosen.plan.points.length - log.leftOut.length }} cards in
          {{ clock(log.worked) }}
        </h2>
        <p class="soft">
          {{ log.finished ? 'finished' : 'not finished' }} · {{ plannedWords
          }}<template v-if="chosen.account"> · {{ chosen.by }} ({{ chosen.account }})</template>
        </p>
        <RouterLink
          v-if="log.finished && isOfToday"
          :to="{ name: 'give', params: { walk: chosen.plan.id } }"
          >Go on after all</RouterLink
        >
        <RouterLink v-if="!log.finished" :to="{ name: 'give', params: { walk: chosen.plan.id } }"
          >Continue</RouterLink
        >
      </header>
      <template v-if="log.marks.length">
        <h3>Asked, promised, found</h3>
        <p v-if="notAsked" class="wrong" role="alert">{{ notAsked }}</p>
        <ul class="rows" data-part="marks">
          <li v-for="m in log.marks" :key="m.id">
            <span class="number">{{ clock(m.at) }}</span>
            <span class="mark">{{ markWords[m.mark] }}</span>
            <span
              >{{ m.label }}<template v-if="m.note">: “{{ m.note }}”</template>
              <audio
                v-if="m.memo && mayHear"
                controls
                preload="none"
                :src="`/api/walks/${chosen.plan.id}/memos/${m.memo}`"
                :aria-label="`What was said: ${m.label}`"
              />
              <template v-if="m.mark === 'asked' && m.note && session.may('record')"
                >{{ ' ' }}
                <RouterLink
                  v-if="isOnList(m.note)"
                  class="onward"
                  :to="{ name: 'questions', params: { id: unit.id } }"
                  >in open questions</RouterLink
                >
                <button v-else type="button" class="onward" @click="putOnList(m)">
                  Add to open questions
                </button>
              </template></span
            >
          </li>
        </ul>
      </template>
      <AfterWalk v-if="!isHere" :key="chosen.plan.id" :unit="unit" :plan="chosen.plan" :log="log" />
      <p v-else class="here" role="status">
        This is what’s on this device. Follow-ups and the message to the buyer need a network;
        everything you marked is saved until then.
      </p>
      <h3>Said and shown</h3>
      <p v-if="log.done.length === 0" class="soft">Nothing yet.</p>
      <ul class="rows" data-part="done">
        <li v-for="line in log.done" :key="line.point.id">
          <span class="number">{{ clock(line.at) }}</span>
          <span class="mark">{{ line.how }}</span>
          <span>{{ line.point.sentence }}</span>
        </li>
      </ul>
      <template v-for="{ part, title, points } in notGiven" :key="part">
        <h3>{{ title }}</h3>
        <ul class="rows" :data-part="part">
          <li v-for="point in points" :key="point.id">
            <span class="number">—</span>
            <span class="mark">{{ point.label }}</span>
            <span class="soft">{{ point.sentence }}</span>
          </li>
        </ul>
      </template>
    </section>
    <aside aria-label="Time by station">
      <h2>Time by station</h2>
      <ul>
        <li v-for="s in log.stations" :key="s.station">
          <span>{{ s.label }}</span>
          <span class="number"
            >{{ clock(s.taken) }}<span class="soft small"> of {{ clock(s.planned) }}</span></span
          >
          <span class="bar" aria-hidden="true"
            ><i class="planned" :style="{ width: share(s.planned) }" /><i
              :style="{ width: share(s.taken) }"
          /></span>
        </li>
      </ul>
    </aside>
  </div>
</template>

<style scoped>
.onward {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}

.again {
  justify-self: start;
}

.here {
  margin-top: 16px;
  padding-left: 12px;
  border-left: 3px solid var(--amber);
}

.pad {
  display: grid;
  gap: 8px;
  padding: 30px 24px;
}

.log {
  display: grid;
  grid-template-columns: 230px minmax(0, 1fr) 300px;
  min-height: calc(100vh - 96px);
}

.log > * {
  padding: 18px 24px 40px;
}

nav {
  border-right: 1px solid var(--hairline);
}

aside {
  border-left: 1px solid var(--hairline);
}

h2 {
  font-size: 19px;
}

h3 {
  padding: 22px 0 4px;
  border-bottom: 1px solid var(--ink);
  font-size: 16px;
}

nav a {
  display: grid;
  padding: 9px 10px;
  border-bottom: 1px solid var(--hairline);
  text-decoration: none;
}

nav a.here {
  background: var(--leaf);
  box-shadow: inset 3px 0 0 var(--ink);
  font-weight: 700;
}

header {
  display: flex;
  align-items: baseline;
  flex-wrap: wrap;
  gap: 4px 16px;
}

.rows li {
  display: grid;
  grid-template-columns: 48px 130px minmax(0, 1fr);
  gap: 10px;
  padding: 7px 0;
  border-bottom: 1px solid var(--hairline);
}

.mark {
  font-weight: 600;
}

audio {
  display: block;
  width: 100%;
  max-width: 340px;
  height: 44px;
}

aside li {
  display: grid;
  grid-template-columns: 1fr auto;
  padding: 7px 0;
  border-bottom: 1px solid var(--hairline);
}

.bar {
  position: relative;
  grid-column: 1 / -1;
  height: 8px;
}

.bar i {
  position: absolute;
  inset: 1px auto 1px 0;
  background: var(--spruce);
}

.bar .planned {
  inset: 0 auto 0 0;
  background: var(--sand);
}

@media (width < 1000px) {
  .log {
    display: flex;
    flex-direction: column;
  }

  .log > * {
    padding: 14px 16px;
    border: 0;
  }

  nav {
    order: 3;
  }

  .rows li {
    grid-template-columns: 46px minmax(0, 1fr);
  }

  .rows li > :last-child {
    grid-column: 2;
  }
}
</style>
