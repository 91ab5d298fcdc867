<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import MultiSelect from 'primevue/multiselect';
import Select from 'primevue/select';
import { computed, ref } from 'vue';
import {
  features,
  formatQuantity,
  mostColumns,
  parseQuantity,
  sentence,
  sentenceOf,
  sorts,
  specs,
  wholeYard,
  type SavedView,
  type Sort,
  type YardView,
} from '@fair-gable/core';
import { saying } from '../api/client.ts';
import { useSession } from '../people/session.ts';

/** What is looked at of the yard, as a sentence; opened, its words can be changed. */
const props = defineProps<{
  view: YardView;
  count: number;
  saved: readonly SavedView[];
  keep: (name: string) => Promise<void>;
  drop: (name: string) => Promise<void>;
}>();
const emit = defineEmits<{ set: [more: Partial<YardView>]; whole: [] }>();
const session = useSession();

const isOpen = ref(false);
const name = ref('');
const problem = ref('');
const limitProblem = ref('');

const isWhole = computed(() => JSON.stringify(props.view) === JSON.stringify(wholeYard));
const conditions = [
  { key: null, label: 'new and used' },
  { key: 'new', label: 'new' },
  { key: 'used', label: 'used' },
];
const needs = [
  { key: null, label: 'whatever they need' },
  { key: 'now', label: 'that need something now' },
  { key: 'soon', label: 'that need something soon' },
  { key: 'none', label: 'ready to show' },
];
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

const shown = (amount: number | null, display: 'feet' | 'weight'): string =>
  amount === null ? '' : formatQuantity(amount, display, session.system);

const setLimit = (which: 'longest' | 'heaviest', typed: string | undefined): void => {
  limitProblem.value = '';
  const text = (typed ?? '').trim();
  if (text === '') return emit('set', { [which]: null });
  const read = parseQuantity(text, which === 'longest' ? 'feet' : 'weight', session.system);
  if (read.ok && read.value > 0) emit('set', { [which]: read.value });
  else {
    const problemOf = read.ok
      ? { code: 'negative' as const, params: { typed: text } }
      : read.problem;
    limitProblem.value = sentence(which === 'longest' ? 'Length' : 'Gross rating', problemOf);
  }
};

const guarded = async (work: () => Promise<void>): Promise<void> => {
  problem.value = '';
  try {
    await work();
    name.value = '';
  } catch (error) {
    problem.value = saying(error);
  }
};
</script>

<template>
  <div class="filter" role="search" aria-label="Which units">
    <div class="line">
      <InputText
        :model-value="view.text"
        placeholder="Find in all text"
        aria-label="Find units by any text of their record"
        type="search"
        maxlength="80"
        @update:model-value="(text) => emit('set', { text: text ?? '' })"
      />
      <button type="button" class="sentence" :aria-expanded="isOpen" @click="isOpen = !isOpen">
        {{ sentenceOf(view, session.system) }}
      </button>
      <span class="soft number" role="status"
        >{{ count }} {{ count === 1 ? 'unit' : 'units' }}</span
      >
      <button v-if="!isWhole" type="button" class="plain" @click="emit('whole')">
        All of the yard
      </button>
      <span v-for="s in saved" :key="s.name" class="saved">
        <button type="button" @click="emit('set', s.view)">{{ s.name }}</button>
        <button
          v-if="isOpen"
          type="button"
          :aria-label="`Drop the view ${s.name}`"
          @click="guarded(() => drop(s.name))"
        >
          ×
        </button>
      </span>
    </div>
    <form v-if="isOpen" @submit.prevent="guarded(() => keep(name.trim()))">
      <div>
        <label id="f-condition">Units that are</label>
        <Select
          :model-value="view.condition"
          :options="conditions"
          option-label="label"
          option-value="key"
          aria-labelledby="f-condition"
          placeholder="new and used"
          @update:model-value="(condition) => emit('set', { condition })"
        />
      </div>
      <div>
        <label for="f-longest">up to this long</label>
        <InputText
          id="f-longest"
          :model-value="shown(view.longest, 'feet')"
          :placeholder="session.system === 'us' ? '26 ft' : '8 m'"
          @change="(e: Event) => setLimit('longest', (e.target as HTMLInputElement).value)"
        />
      </div>
      <div>
        <label for="f-heaviest">gross up to</label>
        <InputText
          id="f-heaviest"
          :model-value="shown(view.heaviest, 'weight')"
          :placeholder="session.system === 'us' ? '7,000 lb' : '3,200 kg'"
          @change="(e: Event) => setLimit('heaviest', (e.target as HTMLInputElement).value)"
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
          :selection-limit="8"
          :max-selected-labels="2"
          aria-labelledby="f-has"
          placeholder="anything"
          :virtual-scroller-options="{ itemSize: 40 }"
          @update:model-value="(has) => emit('set', { has })"
        />
      </div>
      <div>
        <label id="f-need">and</label>
        <Select
          :model-value="view.need"
          :options="needs"
          option-label="label"
          option-value="key"
          aria-labelledby="f-need"
          placeholder="whatever they need"
          @update:model-value="(need) => emit('set', { need })"
        />
      </div>
      <div>
        <label id="f-sort">by</label>
        <Select
          :model-value="view.sort"
          :options="sortChoices"
          option-label="label"
          option-value="key"
          aria-labelledby="f-sort"
          @update:model-value="(sort) => emit('set', { sort })"
        />
      </div>
      <div>
        <label id="f-columns">and show</label>
        <MultiSelect
          :model-value="[...view.columns]"
          :options="columnChoices"
          option-label="label"
          option-value="key"
          filter
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
  </div>
</template>

<style scoped>
.filter {
  padding: 10px 24px;
  border-bottom: 1px solid var(--hairline);
}

.line {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 6px 16px;
}

.line :deep(.p-inputtext) {
  width: 210px;
}

.sentence {
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  font: 600 18px var(--slab);
  text-align: left;
  text-decoration: underline;
  text-decoration-style: dotted;
  text-underline-offset: 5px;
  cursor: pointer;
}

.plain,
.saved button {
  min-height: 36px;
  padding: 0 2px;
  border: 0;
  background: none;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}

form {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: 10px 16px;
  padding-top: 10px;
}

form > div {
  display: grid;
  gap: 3px;
  align-content: start;
  min-width: 0;
}

label {
  color: var(--soft);
  font-size: 15px;
}

form :deep(.p-inputtext:not(.p-select-label)),
form :deep(.p-select),
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
  .filter {
    padding-inline: 16px;
  }

  .line :deep(.p-inputtext) {
    width: 100%;
  }

  form {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
