<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { defineAsyncComponent, ref, watch } from 'vue';
import { isKeyAlone } from '../../base/keys/keys.ts';

/** F finds a unit, ? shows the keys: what is open over the page. */
const props = defineProps<{
  /** False where one must not be led away, as in the midst of a walk. */
  mayLeave: boolean;
}>();

// Neither is needed before somebody asks for it.
const KeysDialog = defineAsyncComponent(() => import('../../base/keys/KeysDialog.vue'));
const UnitFinder = defineAsyncComponent(() => import('./UnitFinder.vue'));

const open = defineModel<'keys' | 'finder' | undefined>('open');
/** Where the focus was, to be given back. */
let from: Element | null = null;
/** What is typed after F before the finder is there to take it. */
const ahead = ref('');
watch(
  open,
  (which) => {
    if (which) from = document.activeElement;
    ahead.value = '';
  },
  { flush: 'sync' },
);

const close = (isLed = false): void => {
  open.value = undefined;
  if (!isLed && from instanceof HTMLElement) from.focus();
};

useEventListener('keydown', (event: KeyboardEvent) => {
  if (!isKeyAlone(event)) return;
  if (open.value === 'finder') {
    if (event.key.length > 1 && event.key !== 'Enter') return;
    event.preventDefault();
    ahead.value += event.key === 'Enter' ? '\n' : event.key;
    return;
  }
  const which = event.key === '?' ? 'keys' : 'finder';
  if (which === 'finder' && (event.key.toLowerCase() !== 'f' || !props.mayLeave)) return;
  event.preventDefault();
  open.value = which;
});
</script>

<template>
  <KeysDialog v-if="open === 'keys'" @close="close()" />
  <UnitFinder v-if="open === 'finder'" :ahead="ahead" @close="close()" @went="close(true)" />
</template>
