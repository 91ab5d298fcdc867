import { audiences, type Audience } from '../../unit/catalog/index.ts';
import type { WalkEvent, WalkPlan } from './events.ts';
import { logOf, type WalkLog } from './log.ts';

/** A walk with what it was of: the model in words. */
export interface WalkSeen {
  readonly plan: WalkPlan;
  readonly events: readonly WalkEvent[];
  readonly model: string;
}

/** How often a card was planned, and how often not given all the same. */
export interface SkippedCard {
  readonly id: string;
  readonly label: string;
  readonly planned: number;
  readonly skipped: number;
}

/** Milliseconds at a station, on average over the walks that planned it. */
export interface StationPace {
  readonly station: string;
  readonly label: string;
  readonly walks: number;
  readonly planned: number;
  readonly taken: number;
}

/** What was asked of a model, and how often. */
export interface ModelQuestion {
  readonly model: string;
  readonly label: string;
  readonly notes: readonly string[];
  readonly times: number;
}

/** Minutes planned and walked. */
export interface WalkPace {
  readonly id: string;
  readonly model: string;
  readonly planned: number;
  readonly walked: number;
  readonly given: number;
  readonly of: number;
}

/** What an audience liked or asked about. */
export interface CaredFor {
  /** undefined for walks that were planned for nobody in particular. */
  readonly audience: Audience | undefined;
  readonly who: string;
  readonly label: string;
  readonly liked: number;
  readonly asked: number;
}

/** What many walks have in common. Only finished ones tell what was skipped, and how long it took. */
export interface WalksSummary {
  readonly walks: number;
  readonly finished: number;
  readonly skipped: readonly SkippedCard[];
  readonly stations: readonly StationPace[];
  readonly questions: readonly ModelQuestion[];
  /** How often anything was asked of each model, most first. */
  readonly asked: readonly { readonly model: string; readonly times: number }[];
  readonly pace: readonly WalkPace[];
  readonly cared: readonly CaredFor[];
}

interface Read extends WalkSeen {
  readonly log: WalkLog;
}

const grouped = <T>(all: readonly T[], key: (of: T) => string): readonly (readonly T[])[] => {
  const groups = new Map<string, T[]>();
  for (const one of all) groups.set(key(one), [...(groups.get(key(one)) ?? []), one]);
  return [...groups.values()];
};

const average = (numbers: readonly number[]): number =>
  numbers.reduce((sum, n) => sum + n, 0) / Math.max(numbers.length, 1);

const skippedIn = (walks: readonly Read[]): readonly SkippedCard[] => {
  const cards = walks.flatMap(({ plan, log }) => {
    const missed = new Set(log.missed.map(({ id }) => id));
    const out = new Set(log.leftOut.map(({ id }) => id));
    return plan.points
      .filter(({ id }) => !out.has(id))
      .map(({ id, label }) => ({ id, label, isSkipped: missed.has(id) }));
  });
  return grouped(cards, ({ id }) => id)
    .map((same) => ({
      id: same[0]?.id ?? '',
      label: same[0]?.label ?? '',
      planned: same.length,
      skipped: same.filter(({ isSkipped }) => isSkipped).length,
    }))
    .filter(({ skipped }) => skipped > 0)
    .toSorted((a, b) => b.skipped - a.skipped || b.skipped / b.planned - a.skipped / a.planned);
};

const stationsIn = (walks: readonly Read[]): readonly StationPace[] =>
  grouped(
    walks.flatMap(({ log }) => log.stations),
    ({ station }) => station,
  )
    .map((same) => ({
      station: same[0]?.station ?? '',
      label: same[0]?.label ?? '',
      walks: same.length,
      planned: average(same.map(({ planned }) => planned)),
      taken: average(same.map(({ taken }) => taken)),
    }))
    .toSorted((a, b) => b.taken - b.planned - (a.taken - a.planned));

const questionsIn = (walks: readonly Read[]): readonly ModelQuestion[] => {
  const asked = walks.flatMap(({ log, model }) =>
    log.marks.filter(({ mark }) => mark === 'asked').map((mark) => ({ ...mark, model })),
  );
  return grouped(asked, ({ model, label }) => `${model}\n${label}`)
    .map((same) => ({
      model: same[0]?.model ?? '',
      label: same[0]?.label ?? '',
      notes: [...new Set(same.flatMap(({ note }) => note ?? []))],
      times: same.length,
    }))
    .toSorted((a, b) => b.times - a.times);
};

const askedOf = (questions: readonly ModelQuestion[]): WalksSummary['asked'] =>
  grouped(questions, ({ model }) => model)
    .map((same) => ({
      model: same[0]?.model ?? '',
      times: same.reduce((sum, { times }) => sum + times, 0),
    }))
    .toSorted((a, b) => b.times - a.times);

const minutes = (ms: number): number => ms / 60_000;

const whoOf = (audience: Audience | undefined): string =>
  audiences.find(({ key }) => key === audience)?.label ?? 'Anybody';

const caredIn = (walks: readonly Read[]): readonly CaredFor[] => {
  const marks = walks.flatMap(({ plan, log }) => {
    const listeners = plan.about?.listeners.map(({ audience }) => audience) ?? [];
    const heard: readonly (Audience | undefined)[] = listeners.length > 0 ? listeners : [undefined];
    return log.marks
      .filter(({ mark }) => mark === 'liked' || mark === 'asked')
      .flatMap(({ label, mark }) => heard.map((audience) => ({ audience, label, mark })));
  });
  return grouped(marks, ({ audience, label }) => `${audience ?? ''}\n${label}`)
    .map((same) => ({
      audience: same[0]?.audience,
      who: whoOf(same[0]?.audience),
      label: same[0]?.label ?? '',
      liked: same.filter(({ mark }) => mark === 'liked').length,
      asked: same.filter(({ mark }) => mark === 'asked').length,
    }))
    .toSorted((a, b) => b.liked + b.asked - (a.liked + a.asked));
};

/** What many walks have in common. */
export const summaryOf = (walks: readonly WalkSeen[]): WalksSummary => {
  const read = walks.map((walk): Read => ({ ...walk, log: logOf(walk.plan, walk.events) }));
  const finished = read.filter(({ log }) => log.finished);
  const questions = questionsIn(read);
  return {
    walks: walks.length,
    finished: finished.length,
    skipped: skippedIn(finished),
    stations: stationsIn(finished),
    questions,
    asked: askedOf(questions),
    pace: finished.map(({ plan, model, log }) => ({
      id: plan.id,
      model,
      planned: log.minutes,
      walked: minutes(log.worked),
      given: log.done.length,
      of: plan.points.length - log.leftOut.length,
    })),
    cared: caredIn(read),
  };
};
