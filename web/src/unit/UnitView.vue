<script setup lang="ts">
import { Download } from '@lucide/vue';
import { computed, onMounted } from 'vue';
import { useRoute } from 'vue-router';
import { knownOf, nameOf, particularsOf } from '@fair-gable/core';
import LostView from '../base/LostView.vue';
import { useSheets } from '../model-sheet/sheets.ts';
import { useUnits } from '../yard/units.ts';

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
const known = computed(() => unit.value && knownOf(unit.value.record));

const places = [
  { name: 'record', label: 'Record' },
  { name: 'sheet', label: 'Sheet' },
  { name: 'confirm', label: 'To confirm' },
  { name: 'walk', label: 'Walk' },
  { name: 'log', label: 'Log' },
  { name: 'history', label: 'History' },
] as const;
</script>

<template>
  <LostView v-if="units.loaded && !unit && !units.problem" />
  <p v-else-if="units.problem" class="wait wrong" role="alert">{{ units.problem }}</p>
  <p v-else-if="!unit" class="wait soft">Opening the unit…</p>
  <template v-else>
    <header class="unit">
      <h1>{{ nameOf(unit.record) }}</h1>
      <p class="particulars">{{ particularsOf(unit.record) }}</p>
      <p v-if="known" class="soft">
        {{ known.known }} of {{ known.of }} known<template v-if="known.taken"
          >, {{ known.taken }} from the sheet</template
        >
      </p>
      <a class="file" :href="`/api/units/${unit.id}/file`" download
        ><Download aria-hidden="true" />Save as a unit file</a
      >
      <nav aria-label="Places of this unit">
        <RouterLink
          v-for="place in places"
          :key="place.name"
          :to="{ name: place.name, params: { id: unit.id } }"
          :class="{ here: route.name === place.name }"
          :aria-current="route.name === place.name ? 'page' : undefined"
        >
          {{ place.label }}
        </RouterLink>
      </nav>
    </header>
    <RouterView v-slot="{ Component }">
      <component
        :is="Component"
        :unit="unit"
        :station="route.params['station']"
        :walk="route.params['walk']"
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

nav {
  display: flex;
  gap: 6px;
  margin-left: auto;
}

nav a {
  padding: 10px 14px;
  color: var(--soft);
  text-decoration: none;
}

nav a.here {
  color: var(--ink);
  font-weight: 700;
  box-shadow: inset 0 -3px 0 var(--ink);
}

@media (width < 760px) {
  .unit {
    padding: 4px 16px 0;
  }

  h1 {
    font-size: 22px;
  }

  /* Six places are more than a thumb's width: they are pushed along. */
  nav {
    flex-basis: 100%;
    min-width: 0;
    margin: 0 -16px;
    padding: 0 10px;
    overflow-x: auto;
    scrollbar-width: none;
  }

  nav a {
    flex: none;
    min-height: 44px;
    padding-inline: 11px;
    text-align: center;
  }
}
</style>
