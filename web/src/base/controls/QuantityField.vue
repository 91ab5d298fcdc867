<script setup lang="ts">
import InputText from 'primevue/inputtext';
import { computed, onMounted, ref, useId, watch } from 'vue';
import { sentence } from '@fair-gable/core/base/problems';
import {
  formatQuantity,
  otherSystem,
  parseQuantity,
  type Display,
  type System,
} from '@fair-gable/core/base/quantity';

/** A quantity typed in any usual way, shown back as understood; internal units in and out. */
const props = withDefaults(
  defineProps<{
    label: string;
    display: Display;
    system: System;
    placeholder?: string;
    /** What it may be, in internal units. */
    least?: number;
    most?: number;
    hideLabel?: boolean;
    /** Something else that is wrong with it. */
    objection?: string | undefined;
  }>(),
  { placeholder: 'not known', least: 0, most: 1_000_000, objection: undefined },
);
const amount = defineModel<number | undefined>({ required: true });
const id = useId();

const shown = (value: number | undefined): string =>
  value === undefined ? '' : formatQuantity(value, props.display, props.system);
const typed = ref(shown(amount.value));
/** Set from elsewhere, it shows what was set; while somebody types, their text stands. */
watch([amount, () => props.system], ([value]) => {
  const read = parseQuantity(typed.value, props.display, props.system);
  if (!read.ok || read.value !== value) typed.value = shown(value);
});

const reading = computed(() => {
  if (typed.value.trim() === '') return { value: undefined, problem: '' };
  // What stands there rounded, in the reader's units, is still the amount itself: 9,000 lb stay 9,000 lb.
  if (amount.value !== undefined && typed.value === shown(amount.value))
    return { value: amount.value, problem: '' };
  const read = parseQuantity(typed.value, props.display, props.system);
  if (!read.ok) return { value: undefined, problem: sentence(props.label, read.problem) };
  const { least, most, display, system } = props;
  if (read.value < least || read.value > most) {
    const [from, to] = [least, most].map((n) => formatQuantity(n, display, system));
    return { value: undefined, problem: `${props.label} is between ${from} and ${to}.` };
  }
  return { value: read.value, problem: '' };
});
const problem = computed(() => reading.value.problem || props.objection || '');
const echo = computed(() =>
  reading.value.value === undefined
    ? ''
    : formatQuantity(reading.value.value, props.display, otherSystem(props.system)),
);
const take = (): void => {
  if (!reading.value.problem) amount.value = reading.value.value;
};
/** Taken with every key, so that a closed tab loses nothing; what is emptied to be typed anew is not taken away yet. */
const takeTyped = (): void => {
  if (reading.value.value !== undefined) take();
};
/** A form is not kept without a figure that can’t be read. */
const field = ref<{ readonly $el: HTMLInputElement }>();
const tellForm = (): void => field.value?.$el.setCustomValidity(reading.value.problem);
onMounted(tellForm);
watch(() => reading.value.problem, tellForm);
</script>

<template>
  <div class="quantity">
    <label :for="id" :class="{ 'visually-hidden': hideLabel }">{{ label }}</label>
    <InputText
      :id="id"
      ref="field"
      v-model="typed"
      autocomplete="off"
      :spellcheck="false"
      :placeholder="placeholder"
      :invalid="problem !== ''"
      :aria-describedby="`${id}-says`"
      @update:model-value="takeTyped"
      @change="take"
    />
    <p :id="`${id}-says`" class="small" :class="problem ? 'wrong' : 'soft'">
      {{ problem || echo }}
    </p>
  </div>
</template>

<style scoped>
.quantity {
  display: grid;
  align-content: start;
  gap: 3px;
}

.quantity :deep(.p-inputtext) {
  width: 100%;
  min-height: 44px;
  font-weight: 600;
}

.quantity p {
  min-height: 20px;
}
</style>
