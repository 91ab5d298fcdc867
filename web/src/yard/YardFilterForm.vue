<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import MultiSelect from 'primevue/multiselect';
import { ref } from 'vue';
import {
  features,
  formatQuantity,
  mostColumns,
  parseQuantity,
  sentence,
  sorts,
  specs,
  type Sort,
  type System,
  type YardView,
} from '@fair-gable/core';
import SelectField from '../base/SelectField.vue';

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
  { key: null, label: 'whatever they need' },
  { key: 'now', label: 'that need something now' },
  { key: 'soon', label: 'that need something soon' },
  { key: 'none', label: 'ready to show' },
] as const;
const sortNames: Readonly<Record<Sort, string>> = {
  length: 'length',
  gvwr: 'gross rating',
  name: 'name',
  'stock-number': 'stock number',
  year: 'model year',
  need: 'what they need',
};
const sortChoices = sorts.map((key) => ({ key, label: sortNames[key] }));
const featureChoices = features.map(({ key, label }) => ({ key, label }));
const columnChoices = specs.map(({ key, label }) => ({ key, label }));

const shown = (amount: number | null, display: 'feet' | 'weight', system: System): string =>
  amount === null ? '' : formatQuantity(amount, display, system);

const setLimit = (
  which: 'longest' | 'heaviest',
  typed: string | undefined,
  system: System,
): void => {
  limitProblem.value = '';
  const text = (typed ?? '').trim();
  if (text === '') return emit('set', { [which]: null });
  const read = parseQuantity(text, which === 'longest' ? 'feet' : 'weight', system);
  if (read.ok && read.value > 0) emit('set', { [which]: read.value });
  else {
    const problemOf = read.ok
      ? { code: 'negative' as const, params: { typed: text } }
      : read.problem;
    limitProblem.value = sentence(which === 'longest' ? 'Length' : 'Gross rating', problemOf);
  }
};
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
    <div>
      <label for="f-longest">up to this long</label>
      <InputText
        id="f-longest"
        :model-value="shown(view.longest, 'feet', system)"
        :placeholder="system === 'us' ? '26 ft' : '8 m'"
        @change="(e: Event) => setLimit('longest', (e.target as HTMLInputElement).value, system)"
      />
    </div>
    <div>
      <label for="f-heaviest">gross up to</label>
      <InputText
        id="f-heaviest"
        :model-value="shown(view.heaviest, 'weight', system)"
        :placeholder="system === 'us' ? '7,000 lb' : '3,200 kg'"
        @change="(e: Event) => setLimit('heaviest', (e.target as HTMLInputElement).value, system)"
      />
    </div>
    <div>
      <label id="f-has">with</label>
      <MultiSelect
        :model-value="[...view.has]"
        :options="featureChoices"
        option-label="label"
        option-value="key"
        filter
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
      placeholder="whatever they need"
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
        :options="columnChoices"
        option-label="label"
        option-value="key"
        filter
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
      <label for="f-name">Keep this view as</label>
      <span>
        <InputText id="f-name" v-model="name" maxlength="40" placeholder="For the ferry" />
        <Button
          type="submit"
          severity="secondary"
          label="Keep the view"
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
