import { ref, type Ref } from 'vue';
import type { Change } from '@fair-gable/core/unit/record';
import { useAttempt } from '../../base/attempt/index.ts';
import { useEdits } from './edits.ts';

/** Changes of one unit made by a page, and the sentence where one could not be kept. */
export interface Saving {
  readonly problem: Ref<string>;
  /** Whether it was kept. */
  readonly save: (changes: readonly Change[], what: string) => Promise<boolean>;
}

export const useSaving = (unit: () => string): Saving => {
  const edits = useEdits();
  const { problem, attempt } = useAttempt();
  const save: Saving['save'] = (changes, what) =>
    attempt(() => edits.change(unit(), changes, what));
  return { problem, save };
};

/** The same where a page has many fields: the sentence stands beside the one that could not be kept. */
export const useFieldSaving = (unit: () => string) => {
  const edits = useEdits();
  const refusals = ref<Readonly<Record<string, string>>>({});
  const refusalOf = (field: string): string => refusals.value[field] ?? '';
  const clear = (): void => void (refusals.value = {});
  /** @returns whether it was done */
  const guarded = async (field: string, work: () => Promise<void>): Promise<boolean> => {
    const { problem, attempt } = useAttempt();
    refusals.value = { ...refusals.value, [field]: '' };
    const isDone = await attempt(work);
    // It stands beside its own field, also where another was kept meanwhile.
    refusals.value = { ...refusals.value, [field]: problem.value };
    return isDone;
  };
  const save = (field: string, changes: readonly Change[], what: string): Promise<boolean> =>
    guarded(field, () => edits.change(unit(), changes, what));
  return { refusalOf, clear, guarded, save };
};
