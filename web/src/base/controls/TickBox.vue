<script setup lang="ts">
import { useShown } from './shown.ts';

/** A box to tick, of which something else decides: two quick taps are two, and what could not be done is not shown as done. */
const props = defineProps<{ ticked: boolean; deciding: boolean; disabled?: boolean }>();
const emit = defineEmits<{ tick: [to: boolean] }>();
const shown = useShown(
  () => props.ticked,
  () => props.deciding,
);
</script>

<template>
  <input v-model="shown" type="checkbox" :disabled="disabled" @change="emit('tick', shown)" />
</template>
