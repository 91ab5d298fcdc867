import { defineStore } from 'pinia';
import { computed, type ComputedRef } from 'vue';
import { z } from 'zod';
import { itemFields, personalItems } from './items.ts';

const useTriedItems = defineStore('tried', () =>
  personalItems('tried', z.strictObject(itemFields)),
);

/** What somebody set up for themselves, as it stands on this device. */
export interface Tried<T> {
  readonly value: ComputedRef<T>;
  readonly set: (value: T) => void;
  /** It is as it was at first. */
  readonly clear: () => void;
}

/**
 * What somebody tries, wishes or ticks for themselves: it is in nobody's record and asks for no _Keep_, and is there again
 * after a closed tab. Forgotten like a draft.
 * @param place its name, with its shape's version where that changes: `plan.<unit>`
 */
export const useTried = <T>(place: () => string, fresh: () => T): Tried<T> => {
  const items = useTriedItems();
  return {
    value: computed(() => (items.all.get(place())?.value as T | undefined) ?? fresh()),
    set: (value) => items.put(place(), { value, at: new Date().toISOString() }),
    clear: () => items.drop(place()),
  };
};
