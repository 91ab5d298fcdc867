<script setup lang="ts">
import Button from 'primevue/button';
import Drawer from 'primevue/drawer';
import { computed, nextTick, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import { counted, inText } from '@fair-gable/core/base/words';
import { routeOf } from '@fair-gable/core/unit/route';
import {
  isStationKey,
  stationEntry,
  type HowKnown,
  type StationKey,
} from '@fair-gable/core/unit/catalog';
import type { Change, YardUnit } from '@fair-gable/core/unit/record';
import {
  countOf,
  listedAt,
  nextStop,
  roundOf,
  stopsLeft,
  type AtStop,
  type Step,
} from '@fair-gable/core/unit/round';
import { useAttempt } from '../../base/attempt/index.ts';
import { useTried } from '../../base/draft/index.ts';
import OutlineMap from '../outline/OutlineMap.vue';
import OutlineStrip from '../outline/OutlineStrip.vue';
import { useOutbox } from '../../base/device/index.ts';
import { useSession } from '../../base/session/session.ts';
import { useEdits } from '../record/edits.ts';
import { objectionsTo } from '../units/units.ts';
import StepEditor from './StepEditor.vue';
import StepRow from './StepRow.vue';

/** A round of the unit, station by station: what is to be seen, tapped, typed and photographed. */
const props = defineProps<{ unit: YardUnit; station?: string | undefined }>();
const router = useRouter();
const session = useSession();
const edits = useEdits();
const outbox = useOutbox();

const record = computed(() => props.unit.record);
const round = computed(() => roundOf(record.value));
/** Where one left off: the first station at which something is wanted. */
const here = computed<StationKey>(() => {
  const asked = props.station;
  if (asked && isStationKey(asked)) return asked;
  return stopsLeft(round.value)[0]?.station ?? routeOf(record.value)[0] ?? 'hitch';
});
const stop = computed(() => round.value.find(({ station }) => station === here.value));
const steps = computed(() => stop.value?.steps ?? []);

/** What one has done with a stop's list is there again whoever leads away from it meanwhile. */
const untouched: AtStop = { later: [], all: false };
const { value: atStop, set } = useTried<AtStop>(
  () => `round.${props.unit.id}.${here.value}`,
  () => untouched,
);
const setAtStop = (more: Partial<AtStop>): void => set({ ...atStop.value, ...more });
const choose = (id?: string): void => setAtStop({ chosen: id });
const putOff = (id: string): void =>
  setAtStop({ later: [...atStop.value.later, id], chosen: undefined });
const usualHow = ref<HowKnown>('measured');
/** What was refused, and of which step: one goes back to it oneself. */
const refused = ref<{ readonly step: Step; readonly text: string }>();
const { problem, attempt } = useAttempt();
const said = ref('');
const walking = ref(false);

const list = computed(() => listedAt(steps.value, atStop.value));

const musts = computed(() => round.value.flatMap((r) => r.steps).filter(({ must }) => must));
const total = computed(() => countOf(musts.value));
const count = computed(() => countOf(steps.value.filter(({ must }) => must)));
const left = computed(() => stopsLeft(round.value));
const onward = computed(() => nextStop(round.value, here.value));

const go = (to: StationKey): void => {
  walking.value = false;
  void router.replace({ name: 'round', params: { id: props.unit.id, station: to } });
};
watch(here, () => {
  refused.value = undefined;
  said.value = '';
  window.scrollTo(0, 0);
});
// Where one stands is in the address from the first moment: finishing leads nowhere by itself.
watch(
  () => props.station,
  (station) => {
    if (!station || !isStationKey(station)) go(here.value);
  },
  { immediate: true },
);

/** How long a tap may still have been meant for what stood there before, milliseconds. */
const slide = 400;
let steppedAt = -Infinity;
watch(
  () => list.value.current?.id,
  () => (steppedAt = performance.now()),
);
/** What slid under the thumb is not hit; the keypad stands still, and keys are not taps. */
const guard = (event: MouseEvent): void => {
  const isPad = (event.target as Element).closest('#round-pad');
  if (event.detail === 0 || isPad || performance.now() - steppedAt > slide) return;
  event.preventDefault();
  event.stopPropagation();
};

const keep = async (step: Step, changes: readonly Change[], how: HowKnown): Promise<boolean> => {
  refused.value = undefined;
  said.value = '';
  usualHow.value = how;
  // What is only taken from the sheet still wants looking at; it does not come up again at this stop.
  if (changes.every((change) => change.how === 'sheet')) putOff(step.id);
  else choose();
  const isKept = await attempt(() =>
    edits.change(props.unit.id, changes, inText(step.entry.label)),
  );
  if (isKept) await nextTick();
  else refused.value = { step, text: problem.value };
  return isKept;
};
const backTo = (step: Step): void => {
  refused.value = undefined;
  choose(step.id);
};
const skip = (step: Step): void => {
  const isAlone = list.value.wanted.every(({ id }) => id === step.id);
  putOff(step.id);
  said.value = isAlone
    ? `${step.entry.label} is the only thing left here. Check it, or go on.`
    : '';
};
</script>

<template>
  <section class="round" :aria-labelledby="`round-${here}`" @click.capture="guard">
    <header>
      <h2 :id="`round-${here}`">{{ stationEntry(here).number }} {{ stationEntry(here).label }}</h2>
      <p class="soft">
        {{ count.seen }} of {{ count.seen + count.offered + count.open
        }}<template v-if="outbox.unsent"> · {{ outbox.unsent }} not sent</template>
      </p>
      <button
        type="button"
        class="where"
        aria-label="Choose a station on the outline"
        @click="walking = true"
      >
        <OutlineStrip
          :record="record"
          :system="session.system"
          :here="here"
          label="The unit, and where you are"
        />
      </button>
      <p class="small soft whole">
        Round: {{ total.seen }} seen, {{ total.offered }} from the sheet, {{ total.open }} open at
        {{ counted(left.length, 'station') }}
      </p>
    </header>
    <p v-if="!session.may('record')" class="page-part">
      You can look at the record; a specialist or technician does the round.
    </p>
    <div v-if="refused" class="page-part refused" role="alert">
      <p class="wrong">{{ refused.text }}</p>
      <Button
        severity="secondary"
        :label="`Back to ${inText(refused.step.entry.label)}`"
        @click="backTo(refused.step)"
      />
    </div>
    <p class="page-part" role="status">{{ said }}</p>
    <ol aria-label="To check here">
      <li v-for="step in list.ahead" :key="step.id" :data-step="step.id">
        <StepEditor
          v-if="step.id === list.current?.id && session.may('record')"
          :key="step.id"
          :unit="unit.id"
          :record="record"
          :system="session.system"
          :step="step"
          :usual-how="usualHow"
          :keep="(changes: readonly Change[], how: HowKnown) => keep(step, changes, how)"
          @skip="skip(step)"
        />
        <StepRow
          v-else
          :unit="unit.id"
          :step="step"
          :record="record"
          :system="session.system"
          :later="atStop.later.includes(step.id)"
          @choose="choose(step.id)"
        />
      </li>
    </ol>
    <button v-if="list.more > 0" type="button" class="more" @click="setAtStop({ all: true })">
      {{ list.more }} more you could check here
    </button>
    <div v-if="list.wanted.length === 0" class="page-part finished">
      <p>
        <strong>Everything needed here is checked.</strong>
      </p>
    </div>
    <button
      v-if="onward && onward.station !== here"
      type="button"
      class="onward"
      :class="{ main: list.wanted.length === 0 }"
      @click="go(onward.station)"
    >
      Next: {{ stationEntry(onward.station).number }} {{ stationEntry(onward.station).label }}
    </button>
    <p v-else-if="left.length === 0" class="page-part">
      The round is done: everything needed is checked.
      <RouterLink :to="{ name: 'record', params: { id: unit.id } }">Go to the record</RouterLink>
    </p>
    <details v-if="list.behind.length" class="behind">
      <summary>{{ list.behind.length }} seen here</summary>
      <ol>
        <li v-for="step in list.behind" :key="step.id" :data-step="step.id">
          <StepRow
            :unit="unit.id"
            :step="step"
            :record="record"
            :system="session.system"
            :later="false"
            @choose="choose(step.id)"
          />
        </li>
      </ol>
    </details>
    <p class="page-part small">
      <RouterLink :to="{ name: 'record', params: { id: unit.id, station: here } }"
        >Leave the round; you can pick up where you left off</RouterLink
      >
    </p>
    <div id="round-pad"></div>

    <Drawer v-model:visible="walking" position="bottom" class="round-map" header="Map">
      <OutlineMap
        :record="record"
        :objections="objectionsTo(record, session.system)"
        :system="session.system"
        :here="here"
        @go="go"
      />
      <ul class="stops">
        <li v-for="one in left" :key="one.station">
          <button type="button" @click="go(one.station)">
            {{ stationEntry(one.station).number }} {{ stationEntry(one.station).label }}
            <span class="soft small"
              >{{ countOf(one.steps.filter(({ must }) => must)).open }} open,
              {{ countOf(one.steps.filter(({ must }) => must)).offered }} to confirm</span
            >
          </button>
        </li>
      </ul>
    </Drawer>
  </section>
</template>

<style scoped>
.round {
  max-width: 560px;
  margin: 0 auto;
  padding-bottom: 380px;
}

header {
  position: sticky;
  z-index: 4;
  top: 0;
  display: grid;
  background: var(--paper);
  grid-template-columns: 1fr auto;
  align-items: baseline;
  gap: 0 12px;
  padding: 8px 16px;
  border-bottom: 2px solid var(--ink);
}

h2 {
  font-size: 20px;
}

.where {
  grid-column: 1 / -1;
  height: 70px;
  padding: 0;
  border: 0;
  background: none;
  cursor: pointer;
}

.where :deep(svg) {
  height: 70px;
}

.whole {
  grid-column: 1 / -1;
}

li {
  border-bottom: 1px solid var(--hairline);
}

.refused {
  display: grid;
  justify-items: start;
  gap: 8px;
}

.page-part:empty {
  display: none;
}

.behind summary {
  display: flex;
  align-items: center;
  min-height: 52px;
  padding: 0 16px;
  color: var(--soft);
  cursor: pointer;
}

.more,
.onward {
  display: block;
  width: 100%;
  min-height: 52px;
  padding: 8px 16px;
  border: 0;
  border-bottom: 1px solid var(--hairline);
  background: none;
  color: var(--amber);
  font-weight: 700;
  text-align: left;
  cursor: pointer;
}

.onward {
  color: var(--spruce);
}

.onward.main {
  margin: 12px 16px;
  width: calc(100% - 32px);
  border-radius: 6px;
  background: var(--ink);
  color: var(--paper);
  font: 700 19px var(--slab);
  text-align: center;
}

.finished {
  padding-bottom: 0;
}

#round-pad {
  position: fixed;
  z-index: 5;
  right: 0;
  bottom: 0;
  left: 0;
}

#round-pad > :deep(*) {
  max-width: 560px;
  margin: 0 auto;
}

.stops button {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  width: 100%;
  min-height: var(--thumb);
  padding: 6px 4px;
  border: 0;
  border-bottom: 1px solid var(--hairline);
  background: none;
  text-align: left;
  cursor: pointer;
}
</style>
