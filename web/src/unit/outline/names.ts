import type { Outline, Peg } from '@fair-gable/core/unit/outline';

/** Where the name of a station stands beside its peg, in the drawing's inches. */
export interface NamePlace {
  readonly x: number;
  readonly anchor: 'start' | 'end';
  /** A line from the peg to a name that stands apart from it. */
  readonly leader?: { readonly from: number; readonly to: number };
}

/** Round the unit: beside the peg, away from the trailer. */
export const nameOutside = (peg: Peg, pegs: readonly Peg[]): NamePlace => {
  // In front and behind pegs stand side by side: the left one's name goes to its left.
  const crowds = (other: Peg): boolean =>
    other.x > peg.x && other.x - peg.x < 80 && Math.abs(other.y - peg.y) < 14;
  const atEnd = peg.side !== 'door' && peg.side !== 'off-door';
  const left = peg.side === 'off-door' || (atEnd && pegs.some(crowds));
  return left ? { x: peg.x - 20, anchor: 'end' } : { x: peg.x + 20, anchor: 'start' };
};

/** Within the body: beyond its walls and any slide there, left of it where the peg stands left of the middle. */
export const nameWithin = ({ x }: Peg, { body, parts }: Outline): NamePlace => {
  const boxes = [body, ...parts.filter(({ shape }) => shape === 'slide').map(({ box }) => box)];
  const left = Math.min(...boxes.map((box) => box.x)) - 10;
  const right = Math.max(...boxes.map((box) => box.x + box.width)) + 10;
  return x < 0
    ? { x: left, anchor: 'end', leader: { from: x - 14, to: left + 4 } }
    : { x: right, anchor: 'start', leader: { from: x + 14, to: right - 4 } };
};
