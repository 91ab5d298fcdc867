import { ref } from 'vue';
import { Refused, saying } from '../api/client.ts';

/** A form that is sent: busy meanwhile, then either its good news or what was wrong with which field. */
export const useSaving = () => {
  const busy = ref(false);
  const done = ref('');
  const problem = ref('');
  const field = ref('');

  /** @param news said when it worked */
  const save = async (work: () => Promise<unknown>, news: string): Promise<boolean> => {
    busy.value = true;
    done.value = problem.value = field.value = '';
    try {
      await work();
      done.value = news;
      return true;
    } catch (error) {
      problem.value = saying(error);
      field.value = error instanceof Refused ? String(error.more['field'] ?? '') : '';
      return false;
    } finally {
      busy.value = false;
    }
  };
  return { busy, done, problem, field, save };
};
