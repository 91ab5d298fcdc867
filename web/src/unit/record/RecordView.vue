<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import Button from 'primevue/button';
import Drawer from 'primevue/drawer';
import { computed, nextTick, onMounted, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { counted, inText } from '@fair-gable/core/base/words';
import { routeOf } from '@fair-gable/core/unit/route';
import {
  wordsFor,
  features,
  isFeatureKey,
  isSpecKey,
  isStationKey,
  entryFor,
  specs,
  stationEntry,
  type Feature,
  type FeatureKey,
  type HowKnown,
  type Spec,
  type SpecKey,
  type StationKey,
} from '@fair-gable/core/unit/catalog';
import { changesToFollow } from '@fair-gable/core/unit/model-sheet';
import { knownAt } from '@fair-gable/core/unit/outline';
import { applies, type Change, type YardUnit } from '@fair-gable/core/unit/record';
import EvidenceLegend from '../../base/evidence/EvidenceLegend.vue';
import OutlineMap from '../outline/OutlineMap.vue';
import OutlineStrip from '../outline/OutlineStrip.vue';
import PhotoStrip from '../photo/PhotoStrip.vue';
import { useSheets } from '../model-sheet/sheets.ts';
import { useSession } from '../../base/session/session.ts';
import { objectionsTo } from '../units/units.ts';
import FieldFinder from './FieldFinder.vue';
import FeatureRow from './FeatureRow.vue';
import { useFieldSaving } from './saving.ts';
import OwnClashes from './OwnClashes.vue';
import SpecRow from './SpecRow.vue';
import StationMargin from './StationMargin.vue';

/** A unit's record, walked round station by station. */
const props = defineProps<{ unit: YardUnit; station?: string | undefined }>();
const router = useRouter();
const session = useSession();
const sheets = useSheets();
const mayWrite = computed(() => session.may('record'));

const record = computed(() => props.unit.record);
const objections = computed(() => objectionsTo(record.value, session.system));
const route = computed(() => routeOf(record.value));
const here = computed<StationKey>(() =>
  props.station && isStationKey(props.station) ? props.station : 'hitch',
);
const current = computed(() => stationEntry(here.value));
const known = computed(() => knownAt(record.value, here.value));

/** What the unit’s model sheet says at this station and nobody has said here. */
const fromSheet = computed<readonly Change[]>(() => {
  const inherited = sheets.inherited(record.value);
  if (!inherited) return [];
  return changesToFollow(record.value, inherited.values, { station: here.value }).filter(
    ({ basedOn }) => basedOn === 0,
  );
});

const isHere = (entry: Spec | Feature): boolean =>
  entry.station === here.value && applies(record.value, entry);
const specsHere = computed(() => specs.filter(isHere));
const featuresHere = computed(() => features.filter(isHere));
/** Every field that has a row here. */
const fieldsHere = computed(() =>
  [...specsHere.value, ...featuresHere.value].flatMap(({ key }) => [
    `${isSpecKey(key) ? 'specs' : 'features'}.${key}`,
    `places.${key}`,
  ]),
);
const lacking = computed(() =>
  featuresHere.value.filter(
    (f) => wordsFor(f.key).lack && record.value.features[f.key]?.value.state === 'none',
  ),
);

const open = ref<SpecKey | FeatureKey>();
/** The outline opened on a phone, to choose a station. */
const walking = ref(false);
const usualHow = ref<HowKnown>('read');
const { refusalOf, clear, save } = useFieldSaving(() => props.unit.id);

const go = (to: StationKey): void => {
  open.value = undefined;
  walking.value = false;
  void router.replace({ name: 'record', params: { id: props.unit.id, station: to } });
};

const neighbor = (step: 1 | -1): StationKey => {
  const at = route.value.indexOf(here.value);
  const { length } = route.value;
  return route.value[(at + step + length) % length] ?? here.value;
};

const nextField = (after: SpecKey): void => {
  const list = specsHere.value;
  open.value = list[list.findIndex((s) => s.key === after) + 1]?.key;
};

/** What could not be kept stands beside its own field; of a place, beside where the place is typed. */
const keepField = (change: Change, what: string): Promise<boolean> =>
  save(`${change.part}.${change.key}`, [change], what);
const keepSpec = async (key: SpecKey, change: Change, what: string): Promise<boolean> => {
  const saved = await keepField(change, what);
  if (saved && change.part === 'specs') {
    usualHow.value = change.how;
    // Whoever went on meanwhile stays where they are.
    if (open.value === key) nextField(key);
  }
  return saved;
};

const goToField = async ({ field }: { readonly field: SpecKey | FeatureKey }): Promise<void> => {
  const to = entryFor(field).station;
  walking.value = false;
  if (to !== here.value) {
    await router.replace({ name: 'record', params: { id: props.unit.id, station: to } });
  }
  open.value = undefined;
  await nextTick();
  open.value = field;
  await nextTick();
  document.querySelector(`[data-field="${field}"]`)?.scrollIntoView({ block: 'nearest' });
};

/** Whether one walks on by keys: then they go on at the first field. */
let byKey = false;
/** The next station begins at its head, wherever the last one was left. */
const section = ref<HTMLElement>();
watch(here, async () => {
  clear();
  await nextTick();
  if (byKey) section.value?.querySelector<HTMLElement>('.rows button')?.focus();
  byKey = false;
  const isAbove = (section.value?.getBoundingClientRect().top ?? 0) < 0;
  if (isAbove) section.value?.scrollIntoView({ block: 'start' });
});

/** A list leads to a field: it is opened where it stands. */
const asked = useRoute();
const openAsked = (field: unknown): void => {
  const key = String(field);
  if (isSpecKey(key) || isFeatureKey(key)) void goToField({ field: key });
};
onMounted(() => openAsked(asked.query['field']));

useEventListener('keydown', (event: KeyboardEvent) => {
  if (event.key !== 'PageDown' && event.key !== 'PageUp') return;
  // Over the page lies something that scrolls by itself; with another key it is no key of ours.
  const isElsewhere = (event.target as Element).closest('[role=dialog], [role=listbox], textarea');
  if (isElsewhere || event.ctrlKey || event.altKey || event.metaKey || event.shiftKey) return;
  event.preventDefault();
  byKey = true;
  go(neighbor(event.key === 'PageDown' ? 1 : -1));
});
</script>

<template>
  <div class="record">
    <aside class="side">
      <FieldFinder
        name="find-field"
        :record="record"
        @go="(entry) => goToField({ field: entry.key })"
      />
      <OutlineMap
        class="map"
        :record="record"
        :objections="objections"
        :system="session.system"
        :here="here"
        @go="go"
      />
    </aside>
    <button
      type="button"
      class="standing"
      aria-label="Choose a station on the outline"
      @click="walking = true"
    >
      <OutlineStrip
        :record="record"
        :system="session.system"
        :here="here"
        label="The unit, and where you are"
      />
      <span>Map</span>
    </button>
    <Drawer v-model:visible="walking" position="bottom" class="round" header="Map">
      <FieldFinder
        name="find-field-round"
        :record="record"
        @go="(entry) => goToField({ field: entry.key })"
      />
      <OutlineMap
        :record="record"
        :objections="objections"
        :system="session.system"
        :here="here"
        @go="go"
      />
    </Drawer>

    <section ref="section" class="station" :aria-labelledby="`station-${here}`">
      <header>
        <h2 :id="`station-${here}`">{{ current.number }} {{ current.label }}</h2>
        <p class="soft">
          {{ known.known }} of {{ known.of }} known<template v-if="known.taken"
            >, {{ known.taken }} of them only from the model sheet</template
          >
        </p>
        <button type="button" class="onward" @click="go(neighbor(1))">
          next: {{ stationEntry(neighbor(1)).label }} <kbd>Page Down</kbd>
        </button>
      </header>
      <p v-if="mayWrite && fromSheet.length" class="same">
        <Button
          severity="secondary"
          :label="`Same as the model sheet: ${counted(fromSheet.length, 'field')}`"
          @click="save('sheet', fromSheet, `the sheet at ${inText(current.label)}`)"
        />
        <span class="small soft">What only the sheet says, check with your own eyes.</span>
      </p>
      <p v-if="refusalOf('sheet')" class="wrong" role="alert">{{ refusalOf('sheet') }}</p>
      <ul class="rows">
        <SpecRow
          v-for="spec in specsHere"
          :key="`${unit.id}-${spec.key}`"
          :unit="unit.id"
          :spec="spec"
          :record="record"
          :objections="objections.filter((o) => o.field === spec.key)"
          :system="session.system"
          :open="open === spec.key"
          :usual-how="usualHow"
          :refusal="refusalOf(`specs.${spec.key}`)"
          :place-refusal="refusalOf(`places.${spec.key}`)"
          :may-write="mayWrite"
          :keep="(change, what) => keepSpec(spec.key, change, what)"
          @toggle="open = open === spec.key ? undefined : spec.key"
          @next="nextField(spec.key)"
        >
          <OwnClashes :unit="unit.id" :fields="[`specs.${spec.key}`, `places.${spec.key}`]" />
        </SpecRow>
        <FeatureRow
          v-for="feature in featuresHere"
          :key="`${unit.id}-${feature.key}`"
          :unit="unit.id"
          :feature="feature"
          :record="record"
          :system="session.system"
          :open="open === feature.key"
          :refusal="refusalOf(`features.${feature.key}`)"
          :place-refusal="refusalOf(`places.${feature.key}`)"
          :may-write="mayWrite"
          :keep="keepField"
          @toggle="open = open === feature.key ? undefined : feature.key"
        >
          <OwnClashes
            :unit="unit.id"
            :fields="[`features.${feature.key}`, `places.${feature.key}`]"
          />
        </FeatureRow>
      </ul>
      <p v-if="lacking.length" class="lacking">
        <strong>Not on this unit</strong>
        <span class="soft">
          {{ lacking.map((f) => inText(f.label)).join(', ') }} · said when a buyer would ask</span
        >
      </p>
      <EvidenceLegend />
      <PhotoStrip
        class="pictures"
        :unit="unit.id"
        :record="record"
        :target="`stations.${here}`"
        :may-write="mayWrite"
      />
    </section>

    <StationMargin
      :unit="unit"
      :here="here"
      :objections="objections"
      :may-write="mayWrite"
      :fields="fieldsHere"
      @go="go"
      @field="goToField"
    />

    <nav class="thumbs" aria-label="Around the unit">
      <button type="button" @click="go(neighbor(-1))">
        ← {{ stationEntry(neighbor(-1)).short }}
      </button>
      <button type="button" class="forward" @click="go(neighbor(1))">
        {{ stationEntry(neighbor(1)).short }} →
      </button>
    </nav>
  </div>
</template>

<style scoped>
.record {
  display: grid;
  grid-template-columns: minmax(300px, 356px) minmax(0, 1fr) minmax(260px, 316px);
  min-height: calc(100vh - 96px);
}

.side {
  padding: 12px 12px 20px;
  border-right: 1px solid var(--hairline);
}

.map {
  position: sticky;
  top: 12px;
}

.standing,
.thumbs {
  display: none;
}

.station {
  padding: 14px 26px 40px;
  min-width: 0;
}

header {
  display: flex;
  align-items: baseline;
  flex-wrap: wrap;
  gap: 4px 14px;
  padding-bottom: 8px;
  border-bottom: 1px solid var(--hairline);
}

.onward {
  margin-left: auto;
  min-height: 32px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--soft);
  cursor: pointer;
}

.same {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 6px 12px;
  padding: 10px 0;
}

.lacking,
.pictures {
  margin-top: 18px;
}

.lacking strong {
  margin-right: 10px;
  font-family: var(--slab);
}

@media (width < 1100px) {
  .record {
    display: block;
    padding-bottom: 80px;
  }

  .side {
    display: none;
  }

  /* Below the strip that stays. */
  .station {
    scroll-margin-top: 108px;
  }

  .standing {
    position: sticky;
    top: 0;
    z-index: 2;
    display: flex;
    align-items: center;
    justify-content: space-between;
    width: 100%;
    padding: 4px 16px;
    border: 0;
    border-bottom: 2px solid var(--ink);
    background: var(--leaf);
    cursor: pointer;
  }

  .standing span {
    font-weight: 600;
    text-decoration: underline;
    text-underline-offset: 3px;
  }

  .standing :deep(svg) {
    width: 62%;
    height: 92px;
  }

  .station {
    padding: 12px 16px;
  }

  .onward,
  .legend {
    display: none;
  }

  .thumbs {
    position: fixed;
    inset: auto 0 0;
    z-index: 3;
    display: grid;
    grid-template-columns: 1fr 1.4fr;
    gap: 10px;
    padding: 10px 16px;
    border-top: 1px solid var(--hairline);
    background: var(--leaf);
  }

  .thumbs button {
    min-height: 52px;
    border: 1px solid var(--ink);
    border-radius: 6px;
    background: var(--leaf);
    font: 700 17px var(--slab);
    cursor: pointer;
  }

  .thumbs .forward {
    background: var(--ink);
    color: var(--leaf);
  }
}
</style>

<style>
.p-drawer-bottom .p-drawer.round {
  height: 94dvh;
}
</style>
