<script setup lang="ts" generic="K extends string | number | null | undefined">
import { ChevronDown } from '@lucide/vue';
import { computed } from 'vue';

defineOptions({ inheritAttrs: false });

/**
 * One of a few choices, as the browser itself offers them: one Tab, one field; letters choose, and on a phone the phone's
 * own list opens.
 */
const props = defineProps<{
  choices: readonly { readonly key: K; readonly label: string }[];
  /** What stands there while nothing is chosen. */
  placeholder?: string | undefined;
  /** None is a choice too. */
  clearable?: boolean | undefined;
}>();
const chosen = defineModel<K>({ required: true });

const none = -1;
const at = computed(() => {
  const empty = chosen.value === '' || chosen.value === undefined;
  const found = props.choices.findIndex(({ key }) => key === chosen.value);
  return found < 0 && empty ? none : found;
});
const choose = (event: Event): void => {
  const index = Number((event.target as HTMLSelectElement).value);
  chosen.value = (props.choices[index]?.key ?? undefined) as K;
};
</script>

<template>
  <span class="list" :class="$attrs['class']">
    <select v-bind="{ ...$attrs, class: undefined }" :value="at" @change="choose">
      <option v-if="at < 0 || clearable" :value="none" :disabled="!clearable && at >= 0">
        {{ placeholder ?? '' }}
      </option>
      <option v-for="(choice, i) in choices" :key="String(choice.key)" :value="i">
        {{ choice.label }}
      </option>
    </select>
    <ChevronDown aria-hidden="true" />
  </span>
</template>

<style scoped>
.list {
  position: relative;
  display: inline-grid;
  max-width: 100%;
  min-width: 0;
}

select {
  min-width: 0;
  min-height: 44px;
  padding: 8px 38px 8px 12px;
  overflow: hidden;
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: var(--leaf);
  color: var(--ink);
  font: inherit;
  text-overflow: ellipsis;
  appearance: none;
  cursor: pointer;
}

select:focus-visible {
  outline: 3px solid var(--water);
  outline-offset: 2px;
}

select:disabled {
  color: var(--soft);
  cursor: default;
}

svg {
  position: absolute;
  inset: 0 12px 0 auto;
  width: 20px;
  height: 100%;
  color: var(--soft);
  pointer-events: none;
}
</style>
