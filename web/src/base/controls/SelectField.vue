<script setup lang="ts" generic="K extends string | number | null | undefined">
import Select from 'primevue/select';
import { useId } from 'vue';
import ChoiceList from './ChoiceList.vue';
import { searched } from './field-choices.ts';

/** One of many choices, in a list that opens, under its label. */
defineProps<{
  label: string;
  choices: readonly { readonly key: K; readonly label: string; readonly words?: string }[];
  placeholder?: string;
  /** A long list is searched: what one types goes into its search from the first letter. */
  filter?: boolean;
  /** None is a choice too. */
  clearable?: boolean;
}>();
const chosen = defineModel<K>({ required: true });
const id = useId();
</script>

<template>
  <div>
    <span :id="id" class="label">{{ label }}</span>
    <Select
      v-if="filter"
      v-model="chosen"
      :options="[...choices]"
      option-label="label"
      option-value="key"
      :placeholder="placeholder ?? ''"
      filter
      :filter-fields="searched"
      auto-filter-focus
      reset-filter-on-hide
      :show-clear="clearable"
      :aria-labelledby="id"
    />
    <ChoiceList
      v-else
      v-model="chosen"
      :choices="choices"
      :placeholder="placeholder"
      :clearable="clearable"
      :aria-labelledby="id"
    />
    <slot />
  </div>
</template>
