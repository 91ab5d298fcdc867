import { useSessionStorage } from '@vueuse/core';
import { computed } from 'vue';
import { nameOf, type Basics, type Brief } from '@fair-gable/core/unit/record';
import {
  comparing,
  fitOf,
  searchText,
  wholeYard,
  type SavedView,
  type YardView,
} from '@fair-gable/core/yard/list';
import { briefIn, type UnitSummary } from '@fair-gable/core/yard/summary';
import type { Need } from '@fair-gable/core/yard/to-do';
import { ask } from '../../base/api/client.ts';
import { useSession } from '../../base/session/session.ts';
import { useUnits } from '../../unit/units/units.ts';

/** A unit as a row of the yard: what takes time is worked out when it is looked at. */
export interface YardRow {
  readonly unit: UnitSummary;
  readonly record: Basics;
  /** All that draws it. */
  readonly brief: () => Brief;
  readonly name: string;
  readonly need: () => Need;
  /** All its text, to be searched. */
  readonly words: () => string;
}

const once = <T>(work: () => T): (() => T) => {
  let had: { value: T } | undefined;
  return () => (had ??= { value: work() }).value;
};

/** The yard as one looks at it: which units, in which order; and the views kept under a name. */
export const useYardView = () => {
  const units = useUnits();
  const session = useSession();
  const view = useSessionStorage<YardView>('yard-view', { ...wholeYard }, { mergeDefaults: true });

  const rows = computed<readonly YardRow[]>(() =>
    units.list.map((unit) => ({
      unit,
      record: unit.record,
      name: nameOf(unit.record),
      need: () => unit.verdict.need,
      brief: () => briefIn(unit),
      words: once(() => searchText(briefIn(unit))),
    })),
  );

  const fits = computed(() => rows.value.map((row) => ({ row, fit: fitOf(row, view.value) })));
  const shown = computed<readonly YardRow[]>(() => {
    const now = view.value;
    return fits.value
      .filter(({ fit }) => fit === 'yes')
      .map(({ row }) => row)
      .filter((row) => now.need === null || row.need().urgency === now.need)
      .toSorted(comparing(now.sort));
  });
  /** Left out because nobody knows whether they fit. */
  const unsure = computed(() => fits.value.filter(({ fit }) => fit === 'unknown').length);

  const set = (more: Partial<YardView>): void => {
    view.value = { ...view.value, ...more };
  };
  const whole = (): void => {
    view.value = { ...wholeYard };
  };

  const saved = computed<readonly SavedView[]>(
    () => (session.session?.person.views ?? []) as readonly SavedView[],
  );
  const putAll = async (views: readonly SavedView[]): Promise<void> => {
    await ask('PUT /api/me/views', { body: { views } });
    await session.reload();
  };
  /** Keeps the view under a name; one of that name is replaced. @throws Refused, NoNetwork */
  const keep = (name: string): Promise<void> =>
    putAll([...saved.value.filter((s) => s.name !== name), { name, view: view.value }]);
  /** @throws Refused, NoNetwork */
  const drop = (name: string): Promise<void> => putAll(saved.value.filter((s) => s.name !== name));

  return { view, rows, shown, unsure, set, whole, saved, keep, drop };
};
