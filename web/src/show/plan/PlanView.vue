<script setup lang="ts">
import { Plus } from '@lucide/vue';
import Button from 'primevue/button';
import MultiSelect from 'primevue/multiselect';
import { computed, defineAsyncComponent, ref } from 'vue';
import { useRouter } from 'vue-router';
import { counted, inText } from '@fair-gable/core/base/words';
import { pointsOf, totalSeconds, type Point } from '@fair-gable/core/show/cards';
import {
  hasCards,
  readyNeeds,
  stationLabels,
  stationsIn,
  unknownTo,
  withCards,
  withoutCards,
  withReady,
  type Wishes,
} from '@fair-gable/core/show/plan';
import { audiences, stationEntry, type StationKey } from '@fair-gable/core/unit/catalog';
import { operableOf, operableWords } from '@fair-gable/core/unit/condition';
import { nameOf, type YardUnit } from '@fair-gable/core/unit/record';
import { stationsOn } from '@fair-gable/core/unit/route';
import { useAttempt } from '../../base/attempt/index.ts';
import { useClock } from '../../base/clock/index.ts';
import TickBox from '../../base/controls/TickBox.vue';
import NumberField from '../../base/controls/NumberField.vue';
import SelectField from '../../base/controls/SelectField.vue';
import OutlineStrip from '../../unit/outline/OutlineStrip.vue';
import { useSession } from '../../base/session/session.ts';
import { takeAlong } from '../../unit/photo/take-along.ts';
import { usePlanning } from './planning.ts';
import PlanRow from './PlanRow.vue';
import ReadyList from './ReadyList.vue';
import { useWalk } from '../walk/walk.ts';
import { usePresenting } from './presenting.ts';
import { useStillHere } from '../../base/controls/still-here.ts';

const WordingForm = defineAsyncComponent(() => import('../cards/WordingForm.vue'));

/** Plans a walk for this buyer and these minutes: what is given, what is left out and why, what must be ready. */
const props = defineProps<{ unit: YardUnit }>();
const session = useSession();
const walk = useWalk();
const router = useRouter();
const isStillHere = useStillHere();
const { busy, problem, attempt } = useAttempt();

const presenting = usePresenting();
/** The card that is being worded. */
const worded = ref<Point | 'new'>();
const points = computed(() => pointsOf(props.unit.record, presenting(props.unit.record)));
const clock = useClock();
const operable = computed(() => operableOf(props.unit.record));
const planning = usePlanning(
  () => props.unit.id,
  () => props.unit.record,
  () => points.value,
);
const { wishes, set, routes, route, plan, changes } = planning;
const change = (more: Partial<Wishes>): void => set({ ...wishes.value, ...more });

const given = computed(() => new Set(plan.value?.points.map(({ id }) => id)));
const why = computed(
  () => new Map(plan.value?.leftOut.map(({ point, reason }) => [point.id, reason])),
);
const chosen = computed(() => plan.value?.points ?? []);
const first = computed(() => points.value.filter((point) => point.first));
const stations = computed(() =>
  stationsOn(props.unit.record, route.value)
    .map((key) => ({
      station: stationEntry(key),
      points: points.value.filter((p) => p.station === key && !p.first),
    }))
    .filter(({ points: here }) => here.length > 0),
);
const way = computed(() => stationLabels(stationsIn(chosen.value)));

const spoken = (s: number): string =>
  s < 60 ? `${s} s` : `${Math.floor(s / 60)} min${s % 60 ? ` ${s % 60} s` : ''}`;
const givenHere = (here: readonly Point[]): readonly Point[] =>
  here.filter(({ id }) => given.value.has(id));

/** How long a station takes; nothing while nobody has planned. */
const sumOf = (here: readonly Point[]): string => {
  if (!plan.value) return '';
  const all = givenHere(here);
  return all.length > 0 ? spoken(totalSeconds(all)) : 'left out';
};

const wish = (of: readonly Point[], isIn: boolean): void =>
  set(
    withCards(
      wishes.value,
      of.map(({ id }) => id),
      isIn,
    ),
  );
const readyWords: Readonly<Record<(typeof readyNeeds)[number], string>> = {
  slide: 'slide out',
  awning: 'awning out',
  power: 'plugged in',
};
/** What the unit's status forbids is not offered as ready. */
const canBeReady = computed(() => (operable.value.may && session.may('operate') ? readyNeeds : []));

const few = 5;
const named = (all: readonly { readonly label: string }[]): string => {
  const names = all.slice(0, few).map(({ label }) => inText(label));
  return all.length > few ? `${names.join(', ')} and ${all.length - few} more` : names.join(', ');
};
const listeners = computed(() =>
  wishes.value.audiences.map((audience) => ({ audience, weight: 1 })),
);
/** What they will ask for, and nobody has recorded. */
const unknown = computed(() => unknownTo(props.unit.record, listeners.value));
/** Of the cards that are given: what nobody has looked at on this unit. */
const offSheet = computed(() => chosen.value.filter(({ how }) => how === 'sheet').length);

const left = computed(() => wishes.value.minutes * 60 - (plan.value?.seconds ?? 0));
const start = async (isRehearsal: boolean): Promise<void> => {
  const unit = { id: props.unit.id, name: nameOf(props.unit.record) };
  const about = {
    listeners: listeners.value,
    route: route.value.label,
    system: session.system,
  };
  const { minutes } = wishes.value;
  await attempt(async () => {
    const id = await walk.plan(unit, { minutes, points: chosen.value, about, isRehearsal });
    void takeAlong(props.unit);
    if (isStillHere()) await router.push({ name: 'give', params: { walk: id } });
  });
};
const stationTitle = (key: StationKey): string =>
  `${stationEntry(key).number} ${stationEntry(key).label}`;
</script>

<template>
  <div class="plan">
    <section class="cards" aria-label="Cards in walking order">
      <p v-if="points.length === 0" class="empty">
        Nothing to say yet. Record what the labels say and what’s on the unit; each becomes a card.
      </p>
      <div v-if="first.length" class="stop">
        <h2>Disclose first</h2>
        <ul>
          <li v-for="point in first" :key="point.id" class="told">
            <span class="said">{{ point.sentence }}</span>
            <span class="small soft number">{{ spoken(point.seconds) }}</span>
          </li>
        </ul>
      </div>
      <div v-for="{ station, points: here } in stations" :key="station.key" class="stop">
        <h2>
          <label>
            <TickBox
              :ticked="givenHere(here).length > 0"
              :deciding="planning.busy.value"
              @tick="(to) => wish(here, to)"
            />
            {{ stationTitle(station.key) }}
          </label>
          <span class="small soft">{{ sumOf(here) }}</span>
        </h2>
        <ul>
          <PlanRow
            v-for="point in here"
            :key="point.id"
            :point="point"
            :given="given.has(point.id)"
            :says="given.has(point.id) ? spoken(point.seconds) : (why.get(point.id) ?? '')"
            :may-word="session.may('record')"
            :planning="planning.busy.value"
            @wish="(isIn) => wish([point], isIn)"
            @word="worded = point"
          />
        </ul>
      </div>
      <button v-if="session.may('record')" type="button" class="quiet own" @click="worded = 'new'">
        <Plus aria-hidden="true" />Add a card of our own
      </button>
      <WordingForm v-if="worded" v-model="worded" :unit="unit" />
    </section>
    <aside>
      <OutlineStrip
        :record="unit.record"
        :system="session.system"
        label="The unit, hitch to the left, door side below"
      />
      <p v-if="!operable.may" class="barred">
        <strong>Show and tell only.</strong> {{ operableWords(operable, clock.timeZone) }}
        <RouterLink :to="{ name: 'inspection', params: { id: unit.id } }"
          >Go to inspection</RouterLink
        >
      </p>
      <div class="fields">
        <div class="wide">
          <span id="plan-who" class="label">Who’s it for?</span>
          <MultiSelect
            :model-value="[...wishes.audiences]"
            :options="[...audiences]"
            option-label="label"
            option-value="key"
            :selection-limit="3"
            :show-toggle-all="false"
            placeholder="anybody"
            aria-labelledby="plan-who"
            @update:model-value="(to) => change({ audiences: to })"
          />
        </div>
        <div class="minutes">
          <label for="minutes">Minutes the buyer has</label>
          <NumberField
            :model-value="wishes.minutes"
            name="Minutes"
            input-id="minutes"
            :from="1"
            :to="240"
            show-buttons
            button-layout="horizontal"
            @update:model-value="(to) => change({ minutes: to ?? 15 })"
          />
        </div>
        <SelectField
          class="wide"
          label="Route"
          :model-value="route.key"
          :choices="routes"
          @update:model-value="(to) => change({ route: to })"
        />
        <div v-if="canBeReady.length" class="wide ready" role="group" aria-label="Ready on the lot">
          <span class="label">Ready on the lot</span>
          <label v-for="need in canBeReady" :key="need">
            <input
              type="checkbox"
              :checked="wishes.ready.includes(need)"
              @change="set(withReady(wishes, need))"
            />
            {{ readyWords[need] }}
          </label>
        </div>
      </div>
      <p v-if="plan" class="sum" :class="{ busy: planning.busy.value }" role="status">
        <strong>{{ counted(chosen.length, 'card') }}, about {{ spoken(plan.seconds) }}</strong>
        <span v-if="plan.over > 0" class="over"
          >What has to be said is {{ spoken(plan.over) }} too long by itself.
          <template v-if="plan.couldTell.length">
            Told, not shown:
            {{ plan.couldTell.map(({ point }) => inText(point.label)).join(', ') }} would save
            {{ spoken(plan.couldTell.reduce((sum, { saves }) => sum + saves, 0)) }}.
          </template></span
        >
        <span v-else class="soft"
          >{{ spoken(left) }} left for questions; {{ plan.leftOut.length }} left out.</span
        >
        <span v-if="offSheet" class="soft"
          >{{ offSheet }} of these {{ offSheet === 1 ? 'is' : 'are' }} from the spec sheet, not
          checked on this unit.</span
        >
        <span class="soft small">{{ way }}</span>
        <button
          v-if="hasCards(wishes)"
          type="button"
          class="quiet"
          @click="set(withoutCards(wishes))"
        >
          Reset to our picks
        </button>
      </p>
      <dl v-if="changes" class="changes">
        <div v-if="changes.chosen.length">
          <dt>Picked for them</dt>
          <dd>{{ named(changes.chosen) }}</dd>
        </div>
        <div v-if="changes.dropped.length">
          <dt>Left out for them</dt>
          <dd>{{ named(changes.dropped) }}</dd>
        </div>
        <div v-if="changes.chosen.length + changes.dropped.length === 0">
          <dt class="visually-hidden">Picked for them</dt>
          <dd>Nothing on this unit is special for them; they get the same cards as anybody.</dd>
        </div>
        <div v-if="unknown.length">
          <dt>They’ll ask, and it isn’t recorded:</dt>
          <dd>
            {{ named(unknown) }}.
            <RouterLink :to="{ name: 'round', params: { id: unit.id } }">Check them</RouterLink>
          </dd>
        </div>
      </dl>
      <p v-if="planning.problem.value" class="wrong" role="alert">{{ planning.problem.value }}</p>
      <template v-if="session.may('present')">
        <Button
          label="Start the walk"
          :disabled="chosen.length === 0"
          :loading="busy"
          @click="start(false)"
        />
        <Button
          severity="secondary"
          label="Rehearse alone"
          :disabled="chosen.length === 0 || busy"
          @click="start(true)"
        />
      </template>
      <p v-else class="soft">Your role can see the plan but not give the walk.</p>
      <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
      <p class="small soft">
        The walk and its cards stay on this device, so it works without a network. A rehearsal
        leaves no log.
      </p>
      <ReadyList
        v-if="plan"
        :unit="unit.id"
        :record="unit.record"
        :points="plan.points"
        :needs="plan.needs"
        :operates="session.may('operate')"
      />
    </aside>
  </div>
</template>

<style scoped>
.changes {
  display: grid;
  gap: 8px;
}

.changes dt {
  font-weight: 600;
}

.changes dd {
  color: var(--soft);
}

.barred {
  padding: 8px 0 8px 12px;
  border-left: 3px solid var(--brick);
}

.plan {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 340px;
}

.cards {
  border-right: 1px solid var(--hairline);
  padding: 6px 24px 40px;
}

.quiet {
  justify-self: start;
  min-height: 40px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}

.empty {
  padding: 40px 0;
}

.stop h2 {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  padding: 16px 0 6px;
  border-bottom: 1px solid var(--ink);
  font-size: 18px;
}

label {
  display: flex;
  gap: 10px;
  align-items: center;
  cursor: pointer;
}

.told {
  display: flex;
  justify-content: space-between;
  gap: 14px;
  min-height: 40px;
  align-items: center;
  border-bottom: 1px solid var(--hairline);
}

.told .number {
  flex: none;
  font-weight: 500;
}

.own svg {
  width: 18px;
  height: 18px;
}

.own {
  display: flex;
  gap: 8px;
  align-items: center;
  margin-top: 14px;
}

.said {
  padding: 8px 0 8px 12px;
  border-left: 3px solid var(--brick);
}

.busy {
  opacity: 0.6;
}

.ready {
  display: flex;
  flex-wrap: wrap;
  gap: 0 16px;
}

.ready .label {
  flex-basis: 100%;
}

.ready label {
  min-height: 44px;
  color: var(--ink);
  font-size: 16px;
}

input[type='checkbox'] {
  width: 20px;
  height: 20px;
  flex: none;
  accent-color: var(--spruce);
}

aside {
  position: sticky;
  top: 0;
  display: flex;
  flex-direction: column;
  align-self: start;
  gap: 14px;
  min-height: 70vh;
  padding: 20px 24px;
}

.minutes {
  display: grid;
  gap: 4px;
}

.minutes label {
  font-weight: 600;
}

.minutes :deep(.p-inputnumber-input) {
  width: 5rem;
  text-align: center;
  font-size: 20px;
  font-weight: 700;
}

.sum {
  display: grid;
  gap: 2px;
}

.sum strong {
  font: 700 20px var(--slab);
}

.over {
  color: var(--amber);
  font-weight: 600;
}

@media (width < 900px) {
  .plan {
    display: flex;
    flex-direction: column-reverse;
  }

  .cards {
    padding-inline: 16px;
    border: 0;
  }

  aside {
    position: static;
    align-self: stretch;
    min-height: 0;
    padding: 14px 16px;
  }

  aside :deep(.p-button) {
    min-height: 52px;
  }
}
</style>
