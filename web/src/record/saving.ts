import { ref, type Ref } from 'vue';
import type { Change } from '@fair-gable/core';
import { saying } from '../api/client.ts';
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
