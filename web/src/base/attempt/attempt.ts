import { ref } from 'vue';
import { Refused, reasonOf } from '../api/client.ts';

/** What a page tries on somebody’s word: busy meanwhile, then either its good news or the sentence that says why not. */
export const useAttempt = () => {
  const busy = ref(false);
  const done = ref('');
  const problem = ref('');
  /** The field that the server found fault with. */
  const field = ref('');
  let underWay = 0;

  const clear = (): void => {
    done.value = problem.value = field.value = '';
  };

  /**
   * @param news said when it is done
   * @returns whether it was done
   */
  const attempt = async (work: () => Promise<unknown>, news = ''): Promise<boolean> => {
    clear();
    underWay += 1;
    busy.value = true;
    try {
      await work();
      done.value = news;
      return true;
    } catch (error) {
      problem.value = reasonOf(error);
      field.value = error instanceof Refused ? String(error.more['field'] ?? '') : '';
      return false;
    } finally {
      underWay -= 1;
      busy.value = underWay > 0;
    }
  };
  return { busy, done, problem, field, clear, attempt };
};
