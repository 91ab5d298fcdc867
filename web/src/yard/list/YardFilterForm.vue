<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import MultiSelect from 'primevue/multiselect';
import { ref } from 'vue';
import { sentence } from '@fair-gable/core/base/problems';
import { formatQuantity, parseQuantity, type System } from '@fair-gable/core/base/quantity';
import { specEntry, type SpecKey } from '@fair-gable/core/unit/catalog';
import { mostColumns, sorts, type Sort, type YardView } from '@fair-gable/core/yard/list';
import { featureChoices, searched, specChoices } from '../../base/controls/field-choices.ts';
import NumberField from '../../base/controls/NumberField.vue';
import SelectField from '../../base/controls/SelectField.vue';

/** The words of the yard's sentence, each to be chosen. */
defineProps<{ view: YardView; system: System; problem: string }>();
const emit = defineEmits<{ set: [more: Partial<YardView>]; keep: [name: string] }>();
/** Under what this view is to be kept. */
const name = defineModel<string>('name', { required: true });

const limitProblem = ref('');
const conditions = [
  { key: null, label: 'new and used' },
  { key: 'new', label: 'new' },
  { key: 'used', label: 'used' },
] as const;
const needs = [
  { key: null, label: 'any need' },
  { key: 'now', label: 'that need something now' },
  { key: 'soon', label: 'that need something soon' },
  { key: 'none', label: 'ready to show' },
] as const;
const sortNames: Readonly<Record<Sort, string>> = {
  length: 'length',
  gvwr: 'GVWR',
  name: 'name',
  'stock-number': 'stock number',
  year: 'model year',
  need: 'what they need',
};
const sortChoices = sorts.map((key) => ({ key, label: sortNames[key] }));

const shown = (amount: number | null, display: 'feet' | 'weight', system: System): string =>
  amount === null ? '' : formatQuantity(amount, display, system);

/** Limits that are typed, with what they are called and how they are measured. */
const limits = [
  { key: 'longest', label: 'up to this long', name: 'Length', display: 'feet', like: [312, 315] },
  {
    key: 'heaviest',
    label: 'GVWR up to',
    name: 'GVWR',
    display: 'weight',
    like: [7000, 7055],
  },
  { key: 'driest', label: 'UVW up to', name: 'UVW', display: 'weight', like: [5000, 4960] },
] as const;
type Limit = (typeof limits)[number];

const setLimit = ({ key, name: called, display }: Limit, typed: string, system: System): void => {
  limitProblem.value = '';
  const text = typed.trim();
  if (text === '') return emit('set', { [key]: null });
  const read = parseQuantity(text, display, system);
  if (read.ok && read.value > 0) emit('set', { [key]: read.value });
  else {
    const problemOf = read.ok
      ? { code: 'negative' as const, params: { typed: text } }
      : read.problem;
    limitProblem.value = sentence(called, problemOf);
  }
};
/** The figures a yard is most often asked for. */
const figureChoices = [
  { key: null, label: 'known or not' },
  ...(
    [
      'gvwr',
      'uvw',
      'hitchWeight',
      'ccc',
      'overallLength',
      'heightWithAc',
      'freshTank',
      'sleeps',
      'askingPrice',
    ] as const
  ).map((key) => ({ key: key as SpecKey | null, label: `${specEntry(key).label} not known` })),
];
</script>

<template>
  <form @submit.prevent="emit('keep', name.trim())">
    <SelectField
      label="Units that are"
      :model-value="view.condition"
      :choices="conditions"
      placeholder="new and used"
      @update:model-value="(condition) => emit('set', { condition })"
    />
    <div v-for="limit in limits" :key="limit.key">
      <label :for="`f-${limit.key}`">{{ limit.label }}</label>
      <InputText
        :id="`f-${limit.key}`"
        :model-value="shown(view[limit.key], limit.display, system)"
        :placeholder="shown(limit.like[system === 'us' ? 0 : 1], limit.display, system)"
        @change="(e: Event) => setLimit(limit, (e.target as HTMLInputElement).value, system)"
      />
    </div>
    <div>
      <label for="f-year">this year or newer</label>
      <NumberField
        :model-value="view.fromYear"
        name="Model year"
        input-id="f-year"
        :from="1950"
        :to="2100"
        clearable
        :use-grouping="false"
        placeholder="2024"
        @update:model-value="(fromYear) => emit('set', { fromYear })"
      />
    </div>
    <div>
      <label for="f-sleeps">that sleep at least</label>
      <NumberField
        :model-value="view.sleeps"
        name="Sleeping capacity"
        input-id="f-sleeps"
        :from="1"
        :to="20"
        clearable
        placeholder="4"
        @update:model-value="(sleeps) => emit('set', { sleeps })"
      />
    </div>
    <SelectField
      label="with figures"
      :model-value="view.unknown"
      :choices="figureChoices"
      @update:model-value="(unknown) => emit('set', { unknown: unknown ?? null })"
    />
    <div>
      <label id="f-has">with</label>
      <MultiSelect
        :model-value="[...view.has]"
        :options="featureChoices"
        option-label="label"
        option-value="key"
        filter
        :filter-fields="searched"
        auto-filter-focus
        reset-filter-on-hide
        :selection-limit="8"
        :max-selected-labels="2"
        aria-labelledby="f-has"
        placeholder="anything"
        :virtual-scroller-options="{ itemSize: 40 }"
        @update:model-value="(has) => emit('set', { has })"
      />
    </div>
    <SelectField
      label="and"
      :model-value="view.need"
      :choices="needs"
      placeholder="any need"
      @update:model-value="(need) => emit('set', { need })"
    />
    <SelectField
      label="by"
      :model-value="view.sort"
      :choices="sortChoices"
      @update:model-value="(sort) => emit('set', { sort })"
    />
    <div>
      <label id="f-columns">and show</label>
      <MultiSelect
        :model-value="[...view.columns]"
        :options="specChoices"
        option-label="label"
        option-value="key"
        filter
        :filter-fields="searched"
        auto-filter-focus
        reset-filter-on-hide
        :selection-limit="mostColumns"
        :max-selected-labels="1"
        aria-labelledby="f-columns"
        placeholder="weights"
        :virtual-scroller-options="{ itemSize: 40 }"
        @update:model-value="(columns) => emit('set', { columns })"
      />
    </div>
    <div class="keep">
      <label for="f-name">Save this view as</label>
      <span>
        <InputText id="f-name" v-model="name" maxlength="40" placeholder="For the ferry" />
        <Button
          type="submit"
          severity="secondary"
          label="Save view"
          :disabled="name.trim() === ''"
        />
      </span>
    </div>
    <p v-if="limitProblem || problem" class="wrong" role="alert">{{ limitProblem || problem }}</p>
  </form>
</template>

<style scoped>
form {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: 10px 16px;
  padding-top: 10px;
}

form > div {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 3px;
  align-content: start;
  min-width: 0;
}

label,
form :deep(.label) {
  color: var(--soft);
  font-size: 15px;
}

form :deep(.p-inputtext:not(.p-select-label)),
form :deep(.p-select),
form :deep(select),
form :deep(.p-multiselect) {
  width: 100%;
}

.keep {
  grid-column: span 2;
}

.keep span {
  display: flex;
  gap: 8px;
}

.keep :deep(.p-button) {
  flex: none;
}

@media (width < 760px) {
  form {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
