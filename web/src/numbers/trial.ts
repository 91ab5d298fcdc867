import { useSessionStorage } from '@vueuse/core';
import { computed, type ComputedRef } from 'vue';
import {
  givenOf,
  tow,
  tyres,
  tyresInputOf,
  usualTrial,
  vehicleClass,
  water,
  waterInputOf,
  weigh,
  weightInputOf,
  type Outcome,
  type System,
  type TowInput,
  type TowValue,
  type TyresValue,
  type UnitRecord,
  type WaterValue,
  type WeightTrial,
  type WeightValue,
} from '@fair-gable/core';

/** What is tried on a unit's benches; the record stays as it is. Pounds, psi. */
export interface Trial {
  readonly weight: WeightTrial;
  readonly people: number;
  readonly style: string;
  readonly vehicle: string;
  /** Read off the buyer's own vehicle, in place of its class. */
  readonly own: Readonly<Partial<Record<'payload' | 'towRating' | 'receiver', number>>>;
  readonly aboard: number;
  readonly hardware: number;
  readonly distributing: boolean;
  readonly reserve: number;
  readonly pressure: number | null;
}

export const freshTrial = (record: UnitRecord): Trial => ({
  weight: usualTrial(record),
  people: 2,
  style: 'usual',
  vehicle: 'half-ton',
  own: {},
  aboard: 350,
  hardware: 80,
  distributing: true,
  reserve: 0,
  pressure: null,
});

const tried = (amount: number) => ({ amount, how: 'tried' }) as const;
const assumed = (amount: number) => ({ amount, how: 'assumed' }) as const;

/** The vehicle on trial: what was read off it, else a middling one of its class. */
const vehicleOf = ({ vehicle, own, distributing }: Trial): Partial<TowInput> => {
  const row = vehicleClass(vehicle);
  const pick = (key: 'payload' | 'towRating' | 'receiver', usual: number | undefined) => {
    if (own[key] !== undefined) return { [key]: tried(own[key]) };
    return usual === undefined ? {} : { [key]: assumed(usual) };
  };
  return {
    ...pick('payload', row?.payload),
    ...pick('towRating', row?.towRating),
    ...pick('receiver', distributing ? row?.receiver.distributing : row?.receiver.plain),
    ...(row && Object.keys(own).length === 0
      ? { gcwr: assumed(row.gcwr), curb: assumed(row.curb) }
      : {}),
  };
};

const towInput = (trial: Trial, weight: Outcome<WeightValue>): TowInput => {
  const how = weight.confidence === 'about' ? 'guessed' : 'read';
  const { value } = weight;
  return {
    ...(value ? { loaded: { amount: value.total, how }, share: { amount: value.share, how } } : {}),
    ...vehicleOf(trial),
    aboard: tried(trial.aboard),
    ...(trial.distributing ? { hardware: tried(trial.hardware) } : {}),
    reserve: trial.reserve,
  };
};

/** The four answers for a unit and a trial. */
export interface Answers {
  readonly weight: Outcome<WeightValue>;
  readonly tow: Outcome<TowValue>;
  readonly tyres: Outcome<TyresValue>;
  readonly water: Outcome<WaterValue>;
}

export const answersFor = (
  record: UnitRecord,
  trial: Trial,
  system: System,
  today: string,
): Answers => {
  const weight = weigh(weightInputOf(record, trial.weight), system);
  const axles = weight.value ? { amount: weight.value.axles, how: 'tried' as const } : undefined;
  const tyresInput = tyresInputOf(record, today, trial.pressure ?? undefined);
  return {
    weight,
    tow: tow(towInput(trial, weight), system),
    tyres: tyres(
      axles && givenOf(record, 'tyreLoad') ? { ...tyresInput, onAxles: axles } : tyresInput,
      system,
    ),
    water: water(waterInputOf(record, { people: trial.people, style: trial.style }), system),
  };
};

/** A unit's trial, kept while the page is open. */
export const useTrial = (unit: () => string, record: () => UnitRecord) => {
  const all = useSessionStorage<Record<string, Trial>>('numbers-trials', {});
  const trial: ComputedRef<Trial> = computed(() => ({
    ...freshTrial(record()),
    ...all.value[unit()],
  }));
  const set = (more: Partial<Trial>): void => {
    all.value = { ...all.value, [unit()]: { ...trial.value, ...more } };
  };
  const reset = (): void => {
    all.value = Object.fromEntries(Object.entries(all.value).filter(([id]) => id !== unit()));
  };
  return { trial, set, reset };
};
