<script setup lang="ts">
import { Delete } from '@lucide/vue';
import type { Keypad } from '@fair-gable/core/unit/round';
import { digitKeyed, keyTakenBack, padKeyed } from './keyed.ts';

/** Digits and a field's own units under the thumb; what is typed stays in the field above. */
defineProps<{
  pad: Keypad;
  next: string;
  ready: boolean;
  /** What stands in the field is what is known: the first digit begins anew. */
  anew?: boolean;
}>();
const typed = defineModel<string>({ required: true });
const emit = defineEmits<{ next: [] }>();

const rows = [
  ['1', '2', '3'],
  ['4', '5', '6'],
  ['7', '8', '9'],
] as const;
/** The column beside the digits is as high as they are; what is more stands below it. */
const besides = 3;
</script>

<template>
  <div class="pad" role="group" aria-label="Keypad">
    <template v-for="(row, i) in rows" :key="i">
      <button
        v-for="digit in row"
        :key="digit"
        type="button"
        @click="typed = digitKeyed(typed, digit, anew)"
      >
        {{ digit }}
      </button>
      <button
        v-if="pad.keys[i]"
        type="button"
        class="unit"
        @click="typed = padKeyed(typed, pad.keys[i])"
      >
        {{ pad.keys[i].label }}
      </button>
      <span v-else></span>
    </template>
    <button
      v-for="key in pad.keys.slice(besides)"
      :key="key.label"
      type="button"
      class="unit"
      @click="typed = padKeyed(typed, key)"
    >
      {{ key.label }}
    </button>
    <slot v-if="pad.keys.length <= besides" />
    <button type="button" @click="typed = digitKeyed(typed, '0', anew)">0</button>
    <button
      type="button"
      class="unit"
      aria-label="Remove the last one"
      @click="typed = keyTakenBack(typed)"
    >
      <Delete aria-hidden="true" />
    </button>
    <button type="button" class="next" :disabled="!ready" @click="emit('next')">{{ next }}</button>
  </div>
</template>

<style scoped>
.pad {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  grid-auto-rows: 50px;
  gap: 6px;
  padding: 8px 10px calc(8px + env(safe-area-inset-bottom));
  background: var(--sand);
}

.pad :deep(.take) {
  display: grid;
}

button {
  border: 0;
  border-radius: 5px;
  background: var(--leaf);
  font-size: 20px;
  font-weight: 600;
  cursor: pointer;
  touch-action: manipulation;
}

button:active {
  background: var(--tint);
}

.unit {
  background: var(--tint);
  font-size: 17px;
}

.next {
  background: var(--ink);
  color: var(--paper);
  font: 700 20px var(--slab);
}

.next:disabled {
  opacity: 0.45;
}

svg {
  vertical-align: middle;
}
</style>
