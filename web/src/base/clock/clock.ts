import { useTimestamp } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { dayIn } from '@fair-gable/core/base/dates';
import { zone } from './zone.ts';

/** A device's clock is taken for right if it is no further off than this, ms: an answer takes a while to come. */
const near = 300_000;

/** How far off the device was when it last heard, also after it was closed and without a network. */
const place = 'fair-gable-clock';
const readOff = (): number => Number(globalThis.localStorage?.getItem(place) ?? 0) || 0;

/** The yard's clock: what day it is there, whatever the device believes and wherever it is. */
export const useClock = defineStore('clock', () => {
  const here = useTimestamp({ interval: 30_000 });
  /** What the device's clock lacks, ms. */
  const off = ref(readOff());

  /** Hears what time it is at the server. @param device the device's own time of that moment, ms */
  const hear = (server: string, device = Date.now()): void => {
    const lacks = Date.parse(server) - device;
    off.value = Math.abs(lacks) > near ? lacks : 0;
    globalThis.localStorage?.setItem(place, String(off.value));
  };

  const now = computed(() => here.value + off.value);
  /** `2026-11-28`. */
  const today = computed(() => dayIn(now.value, zone.value));
  return { now, today, timeZone: computed(() => zone.value), hear };
});
