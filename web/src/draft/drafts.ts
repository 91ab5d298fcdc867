import { defineStore } from 'pinia';
import { computed, shallowReactive, watch } from 'vue';
import { z } from 'zod';
import { useSession } from '../people/session.ts';

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
  value: z.unknown(),
  what: z.string(),
  where: z.string(),
  at: z.iso.datetime(),
});

/** What nobody came back to in so long is forgotten. */
const keptDays = 30;
const isForgotten = ({ at }: Draft): boolean =>
  Date.now() - Date.parse(at) > keptDays * 24 * 60 * 60 * 1000;

const readDraft = (text: string | null): Draft | undefined => {
  try {
    const read = draftSchema.safeParse(JSON.parse(text ?? ''));
    return read.success ? read.data : undefined;
  } catch {
    return undefined;
  }
};

/** The items of the device's storage that begin so, as they are now. */
const itemsOf = (start: string): readonly string[] =>
  Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '').filter((key) =>
    key.startsWith(start),
  );

/**
 * What this person typed on this device and has not kept, by the place where it was typed. Each is an item of its own in
 * the device's storage, so that two pages never write over one another's; nobody else's are ever read.
 */
export const useDrafts = defineStore('drafts', () => {
  const session = useSession();
  const all = shallowReactive(new Map<string, Draft>());
  const start = computed(() => `fair-gable-draft:${session.session?.person.id ?? ''}:`);

  const load = (): void => {
    all.clear();
    for (const item of itemsOf(start.value)) {
      const draft = readDraft(localStorage.getItem(item));
      if (draft && !isForgotten(draft)) all.set(item.slice(start.value.length), draft);
      else localStorage.removeItem(item);
    }
  };
  watch(start, load, { immediate: true, flush: 'sync' });

  const put = (place: string, draft: Draft): void => {
    all.set(place, draft);
    try {
      localStorage.setItem(start.value + place, JSON.stringify(draft));
    } catch {
      // A full device: it is kept as long as this page is open.
    }
  };

  const drop = (place: string): void => {
    all.delete(place);
    localStorage.removeItem(start.value + place);
  };

  /** Latest first. */
  const list = computed(() =>
    [...all]
      .map(([place, draft]) => ({ place, ...draft }))
      .toSorted((a, b) => (a.at < b.at ? 1 : -1)),
  );
  return { all, list, put, drop };
});
