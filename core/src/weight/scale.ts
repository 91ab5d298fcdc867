import type { Standing } from './balance.ts';

/** Three weighings on a public scale, weight-distribution bars slack. Pounds. */
export interface Tickets {
  /** The tow vehicle alone, both axles. */
  readonly vehicle: number;
  /** Vehicle and trailer, all axles. */
  readonly together: number;
  /** The trailer's axles alone on the scale, hitched. */
  readonly trailerAxles: number;
}

/**
 * What a trailer weighs by its tickets: all of it, on the hitch, on its axles. By sums of forces.
 * @returns undefined where the tickets cannot belong together
 */
export const byTickets = ({ vehicle, together, trailerAxles }: Tickets): Standing | undefined => {
  const total = together - vehicle;
  const hitch = total - trailerAxles;
  return total > 0 && hitch >= 0 && trailerAxles > 0
    ? { total, hitch, axles: trailerAxles }
    : undefined;
};
