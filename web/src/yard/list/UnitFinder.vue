<script setup lang="ts">
import AutoComplete from 'primevue/autocomplete';
import Dialog from 'primevue/dialog';
import { computed, nextTick, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { nameOf, particularsOf } from '@fair-gable/core/unit/record';
import { calledText, isFoundIn } from '@fair-gable/core/yard/list';
import type { UnitSummary } from '@fair-gable/core/yard/summary';
import { useUnits } from '../../unit/units/units.ts';

/** Finds a unit by what it is called, and goes to the same place of it where one stands at a unit. */
const props = defineProps<{
  /** What was typed before this was here to take it; a new line is Enter. */
  ahead: string;
}>();
const emit = defineEmits<{ close: []; went: [] }>();
const units = useUnits();
const route = useRoute();
const router = useRouter();

const most = 8;
const typed = ref<string | UnitSummary>('');
const asked = ref('');
const calledSo = (text: string): readonly UnitSummary[] =>
  [...units.summaries.values()]
    .filter(({ record }) => isFoundIn(calledText(record), text))
    .slice(0, most);
const found = computed(() => [...calledSo(asked.value)]);

/** A walk's log is of one unit; every other place is there for each. */
const placeOf = (unit: string) => {
  const isAtUnit = route.path.startsWith('/units/') && route.name && route.name !== 'log';
  const { station } = route.params;
  return isAtUnit
    ? { name: route.name, params: { id: unit, ...(station ? { station } : {}) } }
    : { name: 'record', params: { id: unit } };
};

/** Once the yard is here; whoever is quick waits for it, and is not forgotten. */
const loading = units.loaded ? Promise.resolve() : units.load();
const goToFirst = async (text: string): Promise<void> => {
  await loading;
  const [first] = calledSo(text);
  if (first) await go(first);
};
/** Enter means what is typed, also where the list beneath has not come to it yet. */
const onEnter = (event: KeyboardEvent): void => {
  if (typeof typed.value !== 'string' || !typed.value.trim() || typed.value === asked.value) return;
  event.stopPropagation();
  event.preventDefault();
  void goToFirst(typed.value);
};
/** The list opens for what was typed before there was one. */
const search = async (): Promise<void> => {
  await nextTick();
  document.querySelector('#find-unit')?.dispatchEvent(new Event('input'));
};
watch(
  () => props.ahead,
  (now, before = '') => {
    const [text = '', ...entered] = now.slice(before.length).split('\n');
    typed.value = `${typeof typed.value === 'string' ? typed.value : ''}${text}`;
    asked.value = typed.value;
    if (entered.length > 0) void goToFirst(typed.value);
    else if (text) void search();
  },
  { immediate: true },
);

const go = async (unit: UnitSummary): Promise<void> => {
  await router.push(placeOf(unit.id));
  emit('went');
  await nextTick();
  document.querySelector<HTMLElement>('#content')?.focus();
};
</script>

<template>
  <Dialog
    :visible="true"
    modal
    dismissable-mask
    position="top"
    header="Find a unit"
    class="unit-finder"
    @update:visible="emit('close')"
  >
    <label for="find-unit" class="visually-hidden">Find a unit</label>
    <AutoComplete
      v-model="typed"
      input-id="find-unit"
      :pt="{ pcInputText: { root: { autofocus: true } } }"
      :suggestions="found"
      :option-label="(unit: UnitSummary) => nameOf(unit.record)"
      placeholder="Stock number, name, year or VIN"
      auto-option-focus
      :delay="80"
      :empty-search-message="
        units.loaded ? 'No unit on this yard matches.' : 'Still opening the yard…'
      "
      @keydown.enter.capture="onEnter"
      @complete="(event) => (asked = event.query)"
      @option-select="(event) => go(event.value)"
    >
      <template #option="{ option }">
        <span class="found">
          <strong>{{ nameOf(option.record) }}</strong>
          <span class="soft">{{ particularsOf(option.record) }}</span>
        </span>
      </template>
    </AutoComplete>
  </Dialog>
</template>

<style scoped>
.found {
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
  align-items: baseline;
}
</style>

<style>
.unit-finder {
  width: min(520px, calc(100vw - 24px));
}

.unit-finder .p-autocomplete,
.unit-finder .p-inputtext {
  width: 100%;
}
</style>
