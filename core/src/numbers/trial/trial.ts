import {
  usualTrial,
  weigh,
  weightInputOf,
  type WeightValue,
  scale,
  type ScaleInput,
  type ScaleValue,
} from '../weight/index.ts';
import {
  cargoLabel,
  cargoLabelInputOf,
  type CargoLabelValue,
} from '../../unit/cargo-label/index.ts';
import type { SchoolKey } from '../../unit/catalog/index.ts';
import { givenOf, howOfAnswer, sumOf, type Given, type Outcome } from '../../unit/outcome/index.ts';
import type { System } from '../../base/quantity/index.ts';
import type { Trial, UnitRecord, Vehicle } from '../../unit/record/index.ts';
import {
  figureGiven,
  tow,
  usualReserve,
  vehicleClasses,
  type TowInput,
  type TowValue,
} from '../tow/index.ts';
import { tyres, tyresInputOf, type TyresValue } from '../tires/index.ts';
import { water, waterInputOf, type WaterValue, type YardWater } from '../water/index.ts';

const usualVehicle = vehicleClasses.find(({ key }) => key === 'half-ton') as Vehicle;

/**
 * A trial as it starts: two people, water as usual, a vehicle of the yard's middle class.
 * @param houseView the side the yard takes in a disagreement; it sets the reserve
 * @param yardWater the yard's own figures of water used
 */
export const freshTrial = (
  houseView: (school: SchoolKey) => string | undefined = () => undefined,
  vehicle: Vehicle = usualVehicle,
  yardWater: YardWater = {},
): Trial => ({
  ...usualTrial,
  people: 2,
  style: 'usual',
  ...(yardWater.usual ? { rates: yardWater.usual } : {}),
  days: 0,
  vehicle,
  aboard: 350,
  hardware: 80,
  distributing: true,
  reserve: houseView('tow-margin') === 'margin' ? usualReserve : 0,
  pressures: {},
  weighings: {},
});

/** The answers to a buyer's questions, for a unit and a trial. */
export interface TrialAnswers {
  readonly load: Outcome<WeightValue>;
  readonly tow: Outcome<TowValue>;
  readonly nights: Outcome<WaterValue>;
  readonly tyres: Outcome<TyresValue>;
  readonly label: Outcome<CargoLabelValue>;
  readonly scale: Outcome<ScaleValue>;
}

const known = <T extends object>(entries: Readonly<Record<string, unknown>>): T =>
  Object.fromEntries(Object.entries(entries).filter(([, value]) => value !== undefined)) as T;

/** The loaded weight and the share on the hitch: off the scale where it was weighed, else as worked out. */
const loadedOf = (
  load: Outcome<WeightValue>,
  weighed: Outcome<ScaleValue>,
): { readonly loaded?: Given; readonly share?: Given } => {
  const { value } = weighed;
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

/** How the trailer stands that is asked about: off the scale, with what somebody put in it, or as a trial begins. */
const loadedAs = ({ levels, gear, propane }: Trial, weighed: Outcome<ScaleValue>): string => {
  if (weighed.value) return 'as it stood on the scale';
  const isLoaded = Object.values(gear).some((pounds) => pounds > 0);
  const full = Object.entries(levels).filter(([, level]) => level > 0);
  const isUsual = full.length === 1 && levels.freshTank === 1;
  if (isLoaded || (full.length > 0 && !isUsual)) return 'as loaded here';
  const carried = [...(isUsual ? ['fresh water'] : []), ...(propane ? ['propane'] : [])];
  return carried.length > 0 ? `loaded with ${carried.join(' and ')}` : 'empty';
};

const towInputOf = (
  record: UnitRecord,
  trial: Trial,
  answers: Pick<TrialAnswers, 'load' | 'scale'>,
) => {
  const { vehicle, distributing, aboard, hardware, reserve } = trial;
  const { loaded, share } = loadedOf(answers.load, answers.scale);
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
    as: loadedAs(trial, answers.scale),
    rearRating: figure('rearRating'),
    rearUnladen: figure('rearUnladen'),
    wheelbase: figure('wheelbase'),
    overhang: figure('overhang'),
    aboard: { amount: aboard, how: 'tried' },
    hardware: distributing ? { amount: hardware, how: 'tried' } : undefined,
    reserve,
  });
};

const scaleInputOf = (
  record: UnitRecord,
  { weighings }: Trial,
  load: Outcome<WeightValue>,
): ScaleInput => {
  const ticket = (amount: number | undefined): Given | undefined =>
    amount === undefined || amount <= 0 ? undefined : { amount, how: 'measured' };
  return known<ScaleInput>({
    vehicle: ticket(weighings.vehicle),
    together: ticket(weighings.together),
    trailerAxles: ticket(weighings.trailerAxles),
    expected: load.value && { amount: load.value.total, how: howOfAnswer(load.confidence) },
    gvwr: givenOf(record, 'gvwr'),
    gawr: sumOf(record, 'axleRating'),
  });
};

/** What lies on the axles: as it was weighed, else as it was worked out, and no surer than that. */
const onAxlesOf = (load: Outcome<WeightValue>, weighed: Outcome<ScaleValue>): Given | undefined => {
  if (weighed.value) return { amount: weighed.value.axles, how: 'measured' };
  const axles = load.value?.axles;
  if (axles === undefined || axles <= 0) return undefined;
  return { amount: axles, how: howOfAnswer(load.confidence) };
};

/**
 * All answers for a unit and what is tried.
 * @param today for the age of tyres, `2026-04-10`
 */
export const answersFor = (
  record: UnitRecord,
  trial: Trial,
  system: System,
  today: string,
): TrialAnswers => {
  const load = weigh(weightInputOf(record, trial), system);
  const weighed = scale(scaleInputOf(record, trial, load), system);
  const onAxles = onAxlesOf(load, weighed);
  const tyresInput = tyresInputOf(record, today, trial.pressures);
  return {
    load,
    tow: tow(towInputOf(record, trial, { load, scale: weighed }), system),
    nights: water(waterInputOf(record, trial), system),
    tyres: tyres(onAxles ? { ...tyresInput, onAxles } : tyresInput, system),
    label: cargoLabel(cargoLabelInputOf(record), system),
    scale: weighed,
  };
};
