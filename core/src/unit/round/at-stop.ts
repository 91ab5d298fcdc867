import type { Step } from './round.ts';

/** What somebody has done with a stop's list. */
export interface AtStop {
  /** Put off on this round, by id; offered again when the rest of the station is done. */
  readonly later: readonly string[];
  /** Whether what may be looked at stands beside what is wanted. */
  readonly all: boolean;
  /** The step that was gone to. */
  readonly chosen?: string | undefined;
}

/** A stop's list as it stands. */
export interface StopList {
  /** What is in hand. */
  readonly current: Step | undefined;
  /** What is still wanted, in order. */
  readonly wanted: readonly Step[];
  /** The one in hand, then what is still wanted. */
  readonly ahead: readonly Step[];
  readonly behind: readonly Step[];
  /** How many more may be looked at. */
  readonly more: number;
}

/** The steps of a stop by what was done with them: the one in hand first, what was seen at the end. */
export const listedAt = (steps: readonly Step[], { later, all, chosen }: AtStop): StopList => {
  const wanted = steps.filter((step) => (all || step.must) && step.state !== 'seen');
  const current =
    steps.find(({ id }) => id === chosen) ??
    wanted.find(({ id }) => !later.includes(id)) ??
    wanted[0];
  const listed = steps.filter(
    (step) => all || step.must || step.state !== 'open' || step === current,
  );
  const rest = listed.filter((step) => step !== current);
  return {
    current,
    wanted,
    ahead: [...(current ? [current] : []), ...rest.filter(({ state }) => state !== 'seen')],
    behind: rest.filter(({ state }) => state === 'seen'),
    more: steps.length - listed.length,
  };
};
