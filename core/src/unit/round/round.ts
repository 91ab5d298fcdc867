import { routeOf } from '../route/index.ts';
import {
  features,
  isFeatureKey,
  isLocatedKey,
  isSpecKey,
  specs,
  type Feature,
  type Spec,
  type StationKey,
} from '../catalog/index.ts';
import {
  applies,
  hasFeature,
  type Entry,
  type FieldValue,
  type UnitRecord,
} from '../record/index.ts';

/** What there is to do at a step: a number or word, a state, or where it is. */
export type StepPart = 'specs' | 'features' | 'places';

/**
 * How a step stands: `open`, nobody has looked; `offered`, the sheet says it and it needs confirming; `seen`, somebody
 * stood there. What only the sheet says was never seen here, and is counted apart.
 */
export type StepState = 'open' | 'offered' | 'seen';

/** One thing to look at on a round. */
export interface Step {
  readonly id: string;
  readonly part: StepPart;
  readonly entry: Spec | Feature;
  readonly state: StepState;
  /** Wanted before the unit is shown: the round asks for these first. */
  readonly must: boolean;
}

/** The steps of one station. */
export interface Stop {
  readonly station: StationKey;
  readonly steps: readonly Step[];
}

/** A round's count, of what it asks for. */
export interface RoundCount {
  readonly seen: number;
  /** Only from the sheet: to be confirmed. */
  readonly offered: number;
  readonly open: number;
}

const stateOf = (entry: Entry<FieldValue> | undefined): StepState => {
  if (!entry) return 'open';
  return entry.how === 'sheet' ? 'offered' : 'seen';
};

const isThere = (record: UnitRecord, { key }: Spec | Feature): boolean =>
  isSpecKey(key) ? record.specs[key] !== undefined : isFeatureKey(key) && hasFeature(record, key);

const isMust = (entry: Spec | Feature): boolean => entry.basic === true;

const placeStep = (record: UnitRecord, entry: Spec | Feature): readonly Step[] => {
  if (!isLocatedKey(entry.key) || !isThere(record, entry)) return [];
  const state = stateOf(record.places[entry.key as keyof typeof record.places]);
  return [{ id: `places.${entry.key}`, part: 'places', entry, state, must: isMust(entry) }];
};

const stepsFor = (record: UnitRecord, entry: Spec | Feature): readonly Step[] => {
  const part = isSpecKey(entry.key) ? 'specs' : 'features';
  const known = isSpecKey(entry.key)
    ? record.specs[entry.key]
    : record.features[entry.key as Feature['key']];
  const own: Step = {
    id: `${part}.${entry.key}`,
    part,
    entry,
    state: stateOf(known),
    must: isMust(entry),
  };
  return [own, ...placeStep(record, entry)];
};

/** What the yard keeps for itself and the papers say is not looked for on the lot. */
const isOnLot = (entry: Spec | Feature): boolean =>
  entry.station !== 'papers' && !('ours' in entry && entry.ours);

/**
 * The round of a unit: its stations in walking order, what is wanted first at each before what may be looked at.
 * A station with nothing to look at is left out.
 */
export const roundOf = (record: UnitRecord): readonly Stop[] => {
  const all = [...features, ...specs].filter((e) => isOnLot(e) && applies(record, e));
  return routeOf(record)
    .map((station) => {
      const steps = all
        .filter((entry) => entry.station === station)
        .flatMap((entry) => stepsFor(record, entry));
      return { station, steps: steps.toSorted((a, b) => Number(b.must) - Number(a.must)) };
    })
    .filter(({ steps }) => steps.length > 0);
};

/** How far a stop, or a whole round, has come; of what is wanted, or of everything. */
export const countOf = (steps: readonly Step[]): RoundCount => ({
  seen: steps.filter(({ state }) => state === 'seen').length,
  offered: steps.filter(({ state }) => state === 'offered').length,
  open: steps.filter(({ state }) => state === 'open').length,
});

/** What is still wanted of a stop: open, or only the sheet's. */
export const wantedAt = ({ steps }: Stop): readonly Step[] =>
  steps.filter(({ must, state }) => must && state !== 'seen');

/** The stops where something is still wanted, in walking order. */
export const stopsLeft = (round: readonly Stop[]): readonly Stop[] =>
  round.filter((stop) => wantedAt(stop).length > 0);

/**
 * The stop to go on at: the first from here on where something is wanted, going round once.
 * @param here where one stands; its own stop comes last
 */
export const nextStop = (round: readonly Stop[], here: StationKey): Stop | undefined => {
  const at = round.findIndex(({ station }) => station === here);
  const onward = [...round.slice(at + 1), ...round.slice(0, at + 1)];
  return stopsLeft(onward)[0];
};
