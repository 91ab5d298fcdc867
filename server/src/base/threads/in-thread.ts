import { answering, type Answered } from '../refusal/index.ts';
import type { Given, Progress, Reported } from './threads.ts';

/** What work in a thread says while it goes on. */
export interface Reporting<P> {
  readonly progress: (progress: Progress) => void;
  readonly piece: (piece: P) => void;
}

/**
 * The work of a thread's file, as its default export: told when it begins and ends, refusals handed over as data.
 * @example export default inThread((task: Task) => parse(task))
 */
export const inThread =
  <T, V, P = never>(work: (task: T, report: Reporting<P>) => V | Promise<V>) =>
  async ({ task, port }: Given<T>): Promise<Answered<V>> => {
    const post = (reported: Reported<P>): void => port.postMessage(reported);
    post({ at: 'began' });
    const answered = await answering(() =>
      work(task, {
        progress: (progress) => post({ progress }),
        piece: (piece) => post({ piece }),
      }),
    );
    post({ at: 'ended' });
    return answered;
  };
