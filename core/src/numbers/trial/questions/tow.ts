import { formatQuantity } from '../../../base/quantity/index.ts';
import { givenOf, howOfAnswer, hedged, type Confidence, type Given, type Outcome } from '../../../unit/outcome/index.ts'; // prettier-ignore
import type { Trial, UnitRecord } from '../../../unit/record/index.ts';
import { figureGiven, tow as towEngine, type TowInput, type TowValue } from '../../tow/index.ts';
import type { ScaleValue, WeightValue } from '../../weight/index.ts';
import { workOf, type Asking, type Question } from '../asking.ts';
import { known } from '../known.ts';
import { loading, weighing } from '../weighed.ts';

interface Worked {
  readonly load: Outcome<WeightValue>;
  readonly scale: Outcome<ScaleValue>;
}

/** The loaded weight and the share on the hitch: off the scale where it was weighed, else as worked out. */
const loadedOf = ({ load, scale }: Worked): { readonly loaded?: Given; readonly share?: Given } => {
  const { value } = scale;
  if (value) {
    const how = 'measured' as const;
    return { loaded: { amount: value.total, how }, share: { amount: value.share, how } };
  }
  if (!load.value) return {};
  const how = howOfAnswer(load.confidence);
  const { total, share } = load.value;
  return {
    loaded: { amount: total, how },
    ...(share === undefined ? {} : { share: { amount: share, how } }),
  };
};

/** Shares that no trailer is towed with are no input; the load bench says so. */
const isTowable = (share: Given | undefined): boolean =>
  share !== undefined && share.amount >= 0.02 && share.amount <= 0.4;

type Tried = Pick<
  Trial,
  'vehicle' | 'distributing' | 'aboard' | 'hardware' | 'reserve' | 'levels' | 'gear' | 'propane'
>;

/** How the trailer stands that is asked about: off the scale, with what somebody put in it, or as a trial begins. */
const loadedAs = ({ levels, gear, propane }: Tried, scale: Outcome<ScaleValue>): string => {
  if (scale.value) return 'as it stood on the scale';
  const isLoaded = Object.values(gear).some((pounds) => pounds > 0);
  const full = Object.entries(levels).filter(([, level]) => level > 0);
  const isUsual = full.length === 1 && levels.freshTank === 1;
  if (isLoaded || (full.length > 0 && !isUsual)) return 'as loaded here';
  const carried = [...(isUsual ? ['fresh water'] : []), ...(propane ? ['propane'] : [])];
  return carried.length > 0 ? `loaded with ${carried.join(' and ')}` : 'empty';
};

const inputOf = (record: UnitRecord, trial: Tried, worked: Worked): TowInput => {
  const { vehicle, distributing, aboard, hardware, reserve } = trial;
  const { loaded, share } = loadedOf(worked);
  const figure = (key: Parameters<typeof figureGiven>[1]) => figureGiven(vehicle, key);
  return known<TowInput>({
    loaded,
    share: isTowable(share) ? share : undefined,
    gross: givenOf(record, 'gvwr'),
    payload: figure('payload'),
    towRating: figure('towRating'),
    gcwr: figure('gcwr'),
    curb: figure('curb'),
    receiver: figure('receiver'),
    receiverDistributing: figure('receiverDistributing'),
    distributing,
    as: loadedAs(trial, worked.scale),
    rearRating: figure('rearRating'),
    rearUnladen: figure('rearUnladen'),
    wheelbase: figure('wheelbase'),
    overhang: figure('overhang'),
    aboard: { amount: aboard, how: 'tried' },
    hardware: distributing ? { amount: hardware, how: 'tried' } : undefined,
    reserve,
  });
};

const work = workOf({
  tries: ['vehicle', 'distributing', 'aboard', 'hardware', 'reserve', 'levels', 'gear', 'propane'],
  needs: { load: loading, scale: weighing },
  engine: ({ record, trial, worked, system }): Outcome<TowValue> =>
    towEngine(inputOf(record, trial, worked), system),
});

/** What the trailer asks of a vehicle is as sure as the trailer, whatever is known of the vehicle. */
const sureness = (asking: Asking): Confidence => {
  const { value, confidence } = asking.of(work);
  if (value?.hitch === undefined) return confidence;
  const scale = asking.of(weighing);
  if (scale.value !== undefined) return scale.confidence;
  const load = asking.of(loading);
  return load.value?.share === undefined ? confidence : load.confidence;
};

/** What should tow it. */
export const tow: Question<TowValue> = {
  key: 'tow',
  words: 'What can tow it?',
  station: 'hitch',
  asks: ['uvw', 'hitchWeight', 'gvwr', 'axleRating', 'freshTank', 'heightWithAc', 'width'],
  asksAxle: true,
  work,
  sureness,
  // What the trailer asks for is as sure as the trailer; whether the vehicle does, as sure as all of it.
  short: ({ least, hitch, largest = 0, as = '' }, asking) => {
    const weight = (pounds: number, about: Confidence): string =>
      hedged(formatQuantity(pounds, 'weight', asking.system), about);
    if (!least || hitch === undefined) {
      return `${weight(largest, asking.of(work).confidence)} loaded, for this vehicle`;
    }
    const trailer = sureness(asking);
    return `needs a tow rating of ${weight(least.towRating, trailer)}; ${weight(hitch, trailer)} on the ball, ${as}`;
  },
};
