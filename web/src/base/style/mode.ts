import { useLocalStorage, usePreferredDark } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, watchEffect } from 'vue';

/** How the screen is lit; a matter of the device and where it stands, so it is kept there. */
export const modes = [
  { key: 'auto', label: 'As the device' },
  { key: 'light', label: 'Light' },
  { key: 'dark', label: 'Dark' },
  { key: 'sunlight', label: 'Sunlight' },
] as const;
export type Mode = (typeof modes)[number]['key'];

export const useMode = defineStore('mode', () => {
  const chosen = useLocalStorage<Mode>('fair-gable-mode', 'auto');
  const prefersDark = usePreferredDark();
  const shown = computed(() => {
    if (chosen.value !== 'auto') return chosen.value;
    return prefersDark.value ? 'dark' : 'light';
  });
  watchEffect(() => {
    document.documentElement.dataset['mode'] = shown.value;
  });

  /** Into the sun and out of it, with one tap. */
  const toggleSunlight = (): void => {
    chosen.value = chosen.value === 'sunlight' ? 'auto' : 'sunlight';
  };
  return { chosen, shown, toggleSunlight };
});
