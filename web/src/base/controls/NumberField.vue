<script setup lang="ts">
import InputNumber from 'primevue/inputnumber';
import { computed, ref, useId } from 'vue';

defineOptions({ inheritAttrs: false });

/**
 * A plain number between two others. One that cannot be is refused in a sentence, and what held before holds; it is never
 * changed into another without a word.
 */
const props = defineProps<{
  /** As it is called in the sentence. */
  name: string;
  from: number;
  to: number;
  inputId: string;
  /** Nothing is a value too. */
  clearable?: boolean;
}>();
const value = defineModel<number | null>({ required: true });

const id = useId();
const problem = ref('');
/** What was refused is taken out of the field by drawing it anew. */
const tries = ref(0);
const holds = computed(() =>
  value.value === null ? 'It stays the same.' : `It stays at ${value.value}.`,
);

const take = (typed: number | null): void => {
  problem.value = '';
  if (typed === null ? props.clearable : typed >= props.from && typed <= props.to) {
    value.value = typed;
    return;
  }
  const why =
    typed === null
      ? `${props.name}: type a number from ${props.from} to ${props.to}.`
      : `${props.name}: ${typed} is ${typed < props.from ? `less than ${props.from}` : `more than ${props.to}`}.`;
  problem.value = `${why} ${holds.value}`;
  tries.value += 1;
};

/** Enter keeps a form; not one whose number was just refused. */
const onEnter = (event: KeyboardEvent): void => {
  if (problem.value) event.preventDefault();
};
</script>

<template>
  <InputNumber
    v-bind="$attrs"
    :key="tries"
    :model-value="value"
    :input-id="inputId"
    :aria-describedby="problem ? id : undefined"
    @update:model-value="take"
    @keydown.enter="onEnter"
  />
  <span v-if="problem" :id="id" class="small wrong" role="alert">{{ problem }}</span>
</template>
