<script setup lang="ts">
import { Delete } from '@lucide/vue';
import type { Keypad, PadKey } from '@fair-gable/core/unit/round';

/** Digits and a field's own units under the thumb; what is typed stays in the field above. */
const props = defineProps<{
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

const tidy = (text: string): string => text.replaceAll(/\s+/g, ' ').trimStart();
const write = (text: string): void => {
  typed.value = tidy(`${props.anew ? '' : typed.value}${text}`);
};
/** A fraction belongs before the unit, whichever was pressed first: 9 in, then a half, is 9 1/2 in. */
const unitBehind = (key: PadKey): string =>
  key.writes[0]?.includes('/') ? (/\s*[a-z]+\s*$/i.exec(typed.value)?.[0] ?? '') : '';

/** A key with several texts goes round them when it is pressed again. */
const press = (key: PadKey): void => {
  const { writes } = key;
  const unit = unitBehind(key);
  const body = typed.value.slice(0, typed.value.length - unit.length);
  const at = writes.findIndex((text) => body.endsWith(text));
  const isAgain = at >= 0 && writes.length > 1;
  const had = isAgain ? body.slice(0, -(writes[at] ?? '').length) : body;
  typed.value = tidy(`${had}${writes[(at + 1) % writes.length] ?? ''}${unit}`);
};
/** What the last key wrote is taken back whole: a unit is one key. */
const back = (): void => {
  typed.value = typed.value.replace(/(\s*[a-z/³·°×]+\s*|\s*\d\/\d\s*|.)$/i, '');
};
</script>

<template>
  <div class="pad" role="group" aria-label="Keypad">
    <template v-for="(row, i) in rows" :key="i">
      <button v-for="digit in row" :key="digit" type="button" @click="write(digit)">
        {{ digit }}
      </button>
      <button v-if="pad.keys[i]" type="button" class="unit" @click="press(pad.keys[i])">
        {{ pad.keys[i].label }}
      </button>
      <span v-else></span>
    </template>
    <button
      v-for="key in pad.keys.slice(besides)"
      :key="key.label"
      type="button"
      class="unit"
      @click="press(key)"
    >
      {{ key.label }}
    </button>
    <slot v-if="pad.keys.length <= besides" />
    <button type="button" @click="write('0')">0</button>
    <button type="button" class="unit" aria-label="Take the last one off" @click="back">
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
