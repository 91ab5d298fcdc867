import {
  features,
  specs,
  type Audience,
  type Feature,
  type Spec,
} from '../../unit/catalog/index.ts';
import { applies, type UnitRecord } from '../../unit/record/index.ts';
import type { PlannedWalk } from './plan.ts';
import type { Point } from '../cards/index.ts';
import type { Listener } from './value.ts';

/** What these listeners changed in a walk. */
export interface ChosenFor {
  /** Given to them, and not to anybody. */
  readonly chosen: readonly Point[];
  /** Given to anybody, and not to them. */
  readonly dropped: readonly Point[];
}

/** How a walk for somebody differs from the one for nobody in particular, in the same minutes. */
export const chosenFor = (plan: PlannedWalk, forAnybody: PlannedWalk): ChosenFor => {
  const ids = (points: readonly Point[]) => new Set(points.map(({ id }) => id));
  const [mine, theirs] = [ids(plan.points), ids(forAnybody.points)];
  return {
    chosen: plan.points.filter(({ id }) => !theirs.has(id)),
    dropped: forAnybody.points.filter(({ id }) => !mine.has(id)),
  };
};

const isNamed = ({ audiences }: Spec | Feature, listeners: readonly Listener[]): boolean =>
  listeners.some(({ audience }) => (audiences as readonly Audience[]).includes(audience));

/** What these listeners will ask for, and the record does not know; what is only guessed is not known. */
export const unknownTo = (
  record: UnitRecord,
  listeners: readonly Listener[],
): readonly (Spec | Feature)[] => {
  const isOpen = (how: string | undefined): boolean => how === undefined || how === 'guessed';
  return [
    ...specs.filter(({ key, silent }) => silent === undefined && isOpen(record.specs[key]?.how)),
    ...features.filter(({ key }) => isOpen(record.features[key]?.how)),
  ].filter((entry) => isNamed(entry, listeners) && applies(record, entry));
};
