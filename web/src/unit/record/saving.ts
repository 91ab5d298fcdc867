import { ref, type Ref } from 'vue';
import type { Change } from '@fair-gable/core/unit/record';
import { saying } from '../../base/api/client.ts';
import { useEdits } from './edits.ts';

/** Changes of one unit made by a page, and the sentence where one could not be kept. */
export interface Saving {
  readonly problem: Ref<string>;
  /** Whether it was kept. */
  readonly save: (changes: readonly Change[], what: string) => Promise<boolean>;
}

export const useSaving = (unit: () => string): Saving => {
  const edits = useEdits();
  const problem = ref('');
  const save: Saving['save'] = async (changes, what) => {
    problem.value = '';
    try {
      await edits.change(unit(), changes, what);
      return true;
    } catch (error) {
      problem.value = saying(error);
      return false;
    }
  };
  return { problem, save };
};

/** The same where a page has many fields: the sentence stands beside the one that could not be kept. */
export const useFieldSaving = (unit: () => string) => {
  const edits = useEdits();
  const refusal = ref<{ field: string; text: string }>();
  const refusalOf = (field: string): string =>
    refusal.value?.field === field ? refusal.value.text : '';
  const clear = (): void => void (refusal.value = undefined);
  /** @returns whether it was done */
  const guarded = async (field: string, work: () => Promise<void>): Promise<boolean> => {
    clear();
    try {
      await work();
      return true;
    } catch (error) {
      refusal.value = { field, text: saying(error) };
      return false;
    }
  };
  const save = (field: string, changes: readonly Change[], what: string): Promise<boolean> =>
    guarded(field, () => edits.change(unit(), changes, what));
  return { refusalOf, clear, guarded, save };
};
