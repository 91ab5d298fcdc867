import { useEventListener } from '@vueuse/core';
import { computed, shallowReactive, watch } from 'vue';
import { z } from 'zod';
import {
  americanNames,
  renamed,
  withFittingStates,
  withNames,
} from '@fair-gable/core/unit/versions';
import { useSession } from '../session/session.ts';

/** What nobody came back to in so long is forgotten. */
const keptDays = 30;
const isForgotten = (at: string): boolean =>
  Date.now() - Date.parse(at) > keptDays * 24 * 60 * 60 * 1000;

export const itemFields = { value: z.unknown(), at: z.iso.datetime() };

/** The names of the device's storage that begin so, as they are now. */
const namesOf = (start: string): readonly string[] =>
  Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '').filter((name) =>
    name.startsWith(start),
  );

/** An item's text with the names and states of today; a single text is somebody's own words. */
const textNow = (text: string): string => {
  try {
    const item = JSON.parse(text) as { readonly value?: unknown };
    return typeof item.value === 'object'
      ? JSON.stringify(withFittingStates(withNames(item)))
      : text;
  } catch {
    return text;
  }
};

/** What was put there by a program that had other names for fields, choices and cards. */
const bringUpToDate = (start: string): void => {
  for (const name of namesOf(start)) {
    const now = start + renamed(name.slice(start.length), americanNames);
    const text = localStorage.getItem(name) ?? '';
    if (now === name && textNow(text) === text) continue;
    localStorage.removeItem(name);
    localStorage.setItem(now, textNow(text));
  }
};

/**
 * What one person has on this device, by place. Each is an item of its own in the device's storage, so that two pages never
 * write over one another's; nobody else's are ever read. Used in a store: there is one of each kind.
 * @param kind under which they stand in the storage
 * @param schema an item of another shape is dropped
 */
export const personalItems = <T extends { readonly at: string }>(
  kind: string,
  schema: z.ZodType<T>,
) => {
  const session = useSession();
  const all = shallowReactive(new Map<string, T>());
  const start = computed(() => `fair-gable-${kind}:${session.session?.person.id ?? ''}:`);

  const read = (text: string | null): T | undefined => {
    try {
      const item = schema.parse(JSON.parse(text ?? ''));
      return isForgotten(item.at) ? undefined : item;
    } catch {
      return undefined;
    }
  };
  const load = (): void => {
    all.clear();
    bringUpToDate(start.value);
    for (const name of namesOf(start.value)) {
      const item = read(localStorage.getItem(name));
      if (item) all.set(name.slice(start.value.length), item);
      else localStorage.removeItem(name);
    }
  };
  watch(start, load, { immediate: true, flush: 'sync' });

  // Another page of the same person on this device.
  useEventListener('storage', ({ key, newValue }: StorageEvent) => {
    if (!key?.startsWith(start.value)) return;
    const item = read(newValue);
    if (item) all.set(key.slice(start.value.length), item);
    else all.delete(key.slice(start.value.length));
  });

  const put = (place: string, item: T): void => {
    all.set(place, item);
    try {
      localStorage.setItem(start.value + place, JSON.stringify(item));
    } catch {
      // A full device: it is kept as long as this page is open.
    }
  };
  const drop = (place: string): void => {
    all.delete(place);
    localStorage.removeItem(start.value + place);
  };
  return { all, put, drop };
};
