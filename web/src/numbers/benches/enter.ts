import type { InjectionKey } from 'vue';

/** Goes to where a figure is entered, on a page without a unit. */
export const enterField: InjectionKey<(field: string) => void> = Symbol('enter a figure');
