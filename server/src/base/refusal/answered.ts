import { Refusal, type RefusalCode } from './refusals.ts';

/** What comes back from another thread: a value, or a refusal as plain data, for a class does not cross over. */
export type Answered<T> =
  | { readonly value: T }
  | { readonly refused: { readonly code: RefusalCode; readonly detail: string } };

/** Does work in a thread; what it refuses is handed over as data. */
export const answering = async <T>(work: () => T | Promise<T>): Promise<Answered<T>> => {
  try {
    return { value: await work() };
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    return { refused: { code: error.code, detail: error.detail } };
  }
};

/** The value that came back. @throws Refusal as thrown there */
export const valueOf = <T>(answered: Answered<T>): T => {
  if ('value' in answered) return answered.value;
  throw new Refusal(answered.refused.code, answered.refused.detail);
};
