import { defineStore } from 'pinia';
import { computed } from 'vue';
import { z } from 'zod';
import { itemFields, personalItems } from './items.ts';

/** What somebody typed and has not kept yet. */
export interface Draft {
  /** As its editor holds it. */
  readonly value: unknown;
  /** In words, for a list of what was not kept. */
  readonly what: string;
  /** The address at which it was typed. */
  readonly where: string;
  /** When it was typed last. */
  readonly at: string;
}

const draftSchema: z.ZodType<Draft> = z.strictObject({
  ...itemFields,
  what: z.string(),
  where: z.string(),
});

/** What this person typed on this device and has not kept, by the place where it was typed. */
export const useDrafts = defineStore('drafts', () => {
  const items = personalItems('draft', draftSchema);
  /** Latest first. */
  const list = computed(() =>
    [...items.all]
      .map(([place, draft]) => ({ place, ...draft }))
      .toSorted((a, b) => (a.at < b.at ? 1 : -1)),
  );
  return { ...items, list };
});
