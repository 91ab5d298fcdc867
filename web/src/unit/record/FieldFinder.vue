<script setup lang="ts">
import AutoComplete from 'primevue/autocomplete';
import { ref } from 'vue';
import { findEntries, stationEntry, type Feature, type Spec } from '@fair-gable/core/unit/catalog';
import { applies, type UnitRecord } from '@fair-gable/core/unit/record';

/** Finds a field of the unit by its name or what it means, and goes there. */
const props = defineProps<{ record: UnitRecord; name: string }>();
const emit = defineEmits<{ go: [entry: Spec | Feature] }>();

const typed = ref<string | Spec | Feature>('');
const found = ref<(Spec | Feature)[]>([]);

const search = (query: string): void => {
  found.value = findEntries(query, 30)
    .filter((entry) => applies(props.record, entry))
    .slice(0, 10);
};

/** The list takes the focus back when it closes: one goes after that. */
let chosen: Spec | Feature | undefined;
const leave = (): void => {
  if (!chosen) return;
  typed.value = '';
  emit('go', chosen);
  chosen = undefined;
};
</script>

<template>
  <div class="finder">
    <label :for="name" class="visually-hidden">Find a field</label>
    <AutoComplete
      v-model="typed"
      :input-id="name"
      :suggestions="found"
      option-label="label"
      placeholder="Find a field"
      auto-option-focus
      :delay="120"
      empty-search-message="Nothing of this unit is called so."
      @complete="(event) => search(event.query)"
      @option-select="(event) => (chosen = event.value)"
      @hide="leave"
    >
      <template #option="{ option }">
        <span class="found">
          <span>{{ option.label }}</span>
          <span class="small soft"
            >{{ stationEntry(option.station).number }}
            {{ stationEntry(option.station).label }}</span
          >
        </span>
      </template>
    </AutoComplete>
  </div>
</template>

<style scoped>
.finder {
  padding-bottom: 8px;
}

.finder :deep(.p-autocomplete),
.finder :deep(.p-inputtext) {
  width: 100%;
}

.found {
  display: grid;
}
</style>
