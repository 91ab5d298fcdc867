<script setup lang="ts">
import { Download } from '@lucide/vue';
import { computed, onMounted, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { inText } from '@fair-gable/core/base/words';
import { stations } from '@fair-gable/core/unit/catalog';
import { nameOf, particularsOf } from '@fair-gable/core/unit/record';
import { knownOf } from '@fair-gable/core/yard/to-do';
import LostView from '../../base/controls/LostView.vue';
import { reasonOf } from '../../base/api/client.ts';
import { callPage } from '../../base/title/index.ts';
import { useSheets } from '../model-sheet/sheets.ts';
import { useUnits } from '../units/units.ts';

/** One unit: its name, and its places. */
const route = useRoute();
const units = useUnits();
const sheets = useSheets();

onMounted(() => {
  if (!units.loaded) void units.load();
  if (!sheets.loaded) void sheets.load();
});

const id = computed(() => String(route.params['id']));
const unit = computed(() => units.units.get(id.value));
/** Whether there is no such unit; or why it could not be opened. */
const isLost = ref(false);
const problem = ref('');
const open = async (wanted: string): Promise<void> => {
  isLost.value = false;
  problem.value = '';
  try {
    const isThere = await units.open(wanted);
    if (wanted === id.value) isLost.value = !isThere;
  } catch (error) {
    if (wanted === id.value) problem.value = reasonOf(error);
  }
};
watch(id, open, { immediate: true });
const known = computed(() => unit.value && knownOf(unit.value.record));

/** The places of a unit in the order of the work, and what each is made of. */
const places = [
  {
    label: 'Record',
    parts: [
      { name: 'record', label: 'Stations' },
      { name: 'round', label: 'Round' },
      { name: 'labels', label: 'Labels' },
      { name: 'sheet', label: 'Sheet' },
      { name: 'confirm', label: 'To confirm' },
      { name: 'photos', label: 'Photos' },
      { name: 'history', label: 'History' },
    ],
  },
  {
    label: 'Condition',
    parts: [
      { name: 'condition', label: 'Findings' },
      { name: 'wheels', label: 'Wheels' },
      { name: 'inspection', label: 'Inspection' },
      { name: 'aboard', label: 'What’s in it' },
      { name: 'questions', label: 'Questions' },
      { name: 'disclosure', label: 'Disclosure' },
    ],
  },
  { label: 'Numbers', parts: [{ name: 'numbers', label: 'Questions' }] },
  {
    label: 'Walk',
    parts: [
      { name: 'walk', label: 'Plan' },
      { name: 'log', label: 'Log' },
    ],
  },
] as const;
const place = computed(() =>
  places.find(({ parts }) => parts.some(({ name }) => name === route.name)),
);

/** Which page of which unit it is: at a station its name, elsewhere that of the part. */
watch(
  () => {
    const part = place.value?.parts.find(({ name }) => name === route.name);
    const station = stations.find(({ key }) => key === route.params['station']);
    return [station?.label ?? part?.label, unit.value && nameOf(unit.value.record)] as const;
  },
  (called) => callPage(...called),
  { immediate: true },
);

/** On a phone the parts run beyond the edge: the one where one is comes into the middle. */
const parts = ref<HTMLElement>();
watch(
  [() => route.name, parts],
  () => {
    const here = parts.value?.querySelector<HTMLElement>('.here');
    if (!parts.value || !here) return;
    parts.value.scrollLeft = here.offsetLeft - (parts.value.clientWidth - here.offsetWidth) / 2;
  },
  { flush: 'post' },
);
</script>

<template>
  <LostView v-if="isLost && !unit" />
  <p v-else-if="problem && !unit" class="wait wrong" role="alert">
    {{ problem }} <button type="button" @click="open(id)">Try again</button>
  </p>
  <p v-else-if="!unit" class="wait soft">Opening the unit…</p>
  <template v-else>
    <header class="unit" :class="{ quiet: route.name === 'round' }">
      <h1>{{ nameOf(unit.record) }}</h1>
      <p class="particulars">{{ particularsOf(unit.record) }}</p>
      <p v-if="known" class="soft">
        {{ known.known }} of {{ known.of }} known<template v-if="known.taken"
          >, {{ known.taken }} from the sheet</template
        >
      </p>
      <a
        class="file"
        :href="`/api/units/${unit.id}/file${Object.keys(unit.record.photos).length ? '.zip' : ''}`"
        download
        ><Download aria-hidden="true" />Save as a unit file</a
      >
      <nav aria-label="Places of this unit">
        <RouterLink
          v-for="one in places"
          :key="one.label"
          :to="{ name: one.parts[0].name, params: { id: unit.id } }"
          :class="{ here: place === one }"
          :aria-current="place === one ? 'true' : undefined"
        >
          {{ one.label }}
        </RouterLink>
      </nav>
    </header>
    <nav
      v-if="place && place.parts.length > 1"
      ref="parts"
      class="parts"
      :class="{ quiet: route.name === 'round' }"
      :aria-label="`Parts of ${inText(place.label)}`"
    >
      <RouterLink
        v-for="part in place.parts"
        :key="part.name"
        :to="{ name: part.name, params: { id: unit.id } }"
        :class="{ here: route.name === part.name }"
        :aria-current="route.name === part.name ? 'page' : undefined"
      >
        {{ part.label }}
      </RouterLink>
    </nav>
    <RouterView v-slot="{ Component }">
      <component
        :is="Component"
        :unit="unit"
        :station="route.params['station']"
        :walk="route.params['walk']"
        :question="route.params['question']"
      />
    </RouterView>
  </template>
</template>

<style scoped>
.wait {
  padding: 30px 24px;
}

.unit {
  display: flex;
  align-items: baseline;
  flex-wrap: wrap;
  gap: 2px 16px;
  padding: 8px 24px 0;
  border-bottom: 1px solid var(--hairline);
}

h1 {
  font-size: 26px;
}

.particulars {
  font: 600 16px var(--slab);
  color: var(--soft);
}

.file {
  display: inline-flex;
  align-items: baseline;
  gap: 5px;
  color: var(--soft);
  font-size: 15px;
}

.file svg {
  align-self: center;
  width: 17px;
  height: 17px;
}

.unit nav {
  display: flex;
  gap: 6px;
  margin-left: auto;
}

.unit nav a {
  padding: 10px 16px;
  color: var(--soft);
  font: 600 17px var(--slab);
  text-decoration: none;
}

.unit nav a.here {
  color: var(--ink);
  font-weight: 700;
  box-shadow: inset 0 -3px 0 var(--ink);
}

.parts {
  position: relative;
  display: flex;
  gap: 2px;
  padding: 0 18px;
  overflow-x: auto;
  border-bottom: var(--line) solid var(--hairline);
  scrollbar-width: none;
}

.parts a {
  display: inline-flex;
  flex: none;
  align-items: center;
  min-height: 40px;
  padding: 0 10px;
  color: var(--soft);
  text-decoration: none;
}

.parts a.here {
  color: var(--ink);
  font-weight: 700;
  text-decoration: underline;
  text-decoration-thickness: 2px;
  text-underline-offset: 6px;
}

@media print {
  .unit nav,
  .parts,
  .file {
    display: none;
  }
}

@media (width < 760px) {
  /* On a round the phone shows the round alone. */
  .quiet {
    display: none;
  }

  .unit {
    padding: 4px 16px 0;
  }

  h1 {
    font-size: 22px;
  }

  .unit nav {
    flex-basis: 100%;
    margin: 0 -10px;
  }

  .unit nav a {
    flex: 1;
    min-height: 44px;
    padding-inline: 2px;
    font-size: 16px;
    text-align: center;
  }

  .parts {
    padding: 0 8px;
  }

  .parts a {
    min-height: 44px;
  }
}
</style>
