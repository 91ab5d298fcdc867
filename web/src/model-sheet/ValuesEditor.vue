<script setup lang="ts">
import Select from 'primevue/select';
import { reactive } from 'vue';
import {
  entryFor,
  emptyRecord,
  featureStates,
  isFeatureKey,
  isSpecKey,
  specEntry,
  type Feature,
  type FeatureKey,
  type FeatureState,
  type SheetValues,
  type Spec,
  type SpecKey,
} from '@fair-gable/core';
import { useSession } from '../people/session.ts';
import FieldFinder from '../record/FieldFinder.vue';
import SpecInput from '../record/SpecInput.vue';
import { asTyped, readTyped } from '../record/typing.ts';
import { rowsByStation, withField } from './draft.ts';

/** What a sheet, a package or a change says: its fields, to be changed, added and taken out. */
const props = defineProps<{ name: string }>();
const values = defineModel<SheetValues>({ required: true });
const session = useSession();

/** What is being typed, also while it cannot be read. */
const typing = reactive<Partial<Record<string, string>>>({});
const states = featureStates.filter(({ key }) => key !== 'ours');

const typedOf = (key: SpecKey): string => {
  const value = values.value.specs[key];
  const entry = value && { value, how: 'sheet' as const, by: '', at: '', version: 1 };
  return typing[key] ?? asTyped(specEntry(key), entry, session.system);
};

const type = (key: SpecKey, text: string): void => {
  typing[key] = text;
  const { value } = readTyped(specEntry(key), text, session.system);
  if (value) values.value = withField(values.value, key, value);
};

const drop = (key: SpecKey | FeatureKey): void => {
  Reflect.deleteProperty(typing, key);
  values.value = withField(values.value, key, undefined);
};

const added = reactive<SpecKey[]>([]);
const add = ({ key }: Spec | Feature): void => {
  if (entryFor(key).unitOnly) return;
  if (isFeatureKey(key)) values.value = withField(values.value, key, 'standard');
  else if (!added.includes(key)) added.push(key);
};

const fresh = () => added.filter((key) => !values.value.specs[key]);
</script>

<template>
  <div class="values">
    <FieldFinder :name="`${props.name}-add`" :record="emptyRecord" @go="add" />
    <div v-for="key in fresh()" :key="key" class="field">
      <SpecInput
        :model-value="typedOf(key)"
        :spec="specEntry(key)"
        :system="session.system"
        @update:model-value="(text) => type(key, text)"
      />
    </div>
    <details v-for="{ station, rows } in rowsByStation(values, session.system)" :key="station.key">
      <summary>
        {{ station.number }} {{ station.label }} <span class="soft">· {{ rows.length }}</span>
      </summary>
      <div v-for="row in rows" :key="row.key" class="field" :data-sheet-field="row.key">
        <SpecInput
          v-if="isSpecKey(row.key)"
          :model-value="typedOf(row.key)"
          :spec="specEntry(row.key)"
          :system="session.system"
          @update:model-value="(text) => type(row.key as SpecKey, text)"
        />
        <template v-else>
          <span :id="`${props.name}-${row.key}`" class="label">{{ row.label }}</span>
          <Select
            :model-value="values.features[row.key]"
            :options="states"
            option-label="label"
            option-value="key"
            :aria-labelledby="`${props.name}-${row.key}`"
            @update:model-value="(s: FeatureState) => (values = withField(values, row.key, s))"
          />
        </template>
        <button type="button" class="out" @click="drop(row.key)">
          Not said<span class="visually-hidden"> of {{ row.label }}</span>
        </button>
      </div>
    </details>
  </div>
</template>

<style scoped>
summary {
  min-height: 44px;
  padding-top: 10px;
  border-top: 1px solid var(--hairline);
  font-weight: 600;
  cursor: pointer;
}

.field {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: 6px 14px;
  padding: 6px 0;
}

.label {
  font-weight: 600;
  font-size: 15px;
}

.field > :deep(.p-select) {
  grid-row: 2;
}

.out {
  min-height: 36px;
  border: 0;
  background: none;
  color: var(--soft);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
</style>
