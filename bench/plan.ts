// The planner at three hundred points, against an integer-programming library on the same model.
import highsLoader from 'highs';
import { planWalk, type PlanPoint, type PlanProblem } from '@fair-gable/core';

const draws = (from: number) => {
  let state = from;
  return (below: number): number => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
    return Math.floor((state / 2_147_483_648) * below);
  };
};

const size = 300;
const problemFrom = (seed: number): PlanProblem => {
  const draw = draws(seed);
  const stations = Array.from({ length: 20 }, () => ({ stop: 10, bonus: 150, wanted: false }));
  const points = Array.from({ length: size }, (_, i): PlanPoint => ({
    station: Math.floor((i / size) * stations.length),
    seconds: 5 + 5 * draw(8),
    worth: 50 + draw(900),
    compulsory: draw(60) === 0,
    needs: [...(i > size / 2 ? ['inside'] : []), ...(draw(6) === 0 ? ['slide'] : [])],
    link: draw(size) < 6 ? `l${draw(3)}` : undefined,
  }));
  const needs = [
    { key: 'inside', seconds: 30 },
    { key: 'slide', seconds: 60 },
  ];
  return { stations, points, needs, walking: 60, available: 900 };
};

/** The same model as a linear programme in whole numbers, as HiGHS reads it. */
const written = ({ stations, points, needs, walking, available }: PlanProblem): string => {
  const costs = [
    ...stations.map(({ stop }, s) => `${stop} y${s}`),
    ...needs.map(({ seconds }, k) => `${seconds} n${k}`),
    ...points.map(({ seconds }, i) => `${seconds} x${i}`),
  ];
  const worth = [
    ...stations.map(({ bonus }, s) => `${bonus} y${s}`),
    ...points.map((point, i) => `${point.worth} x${i}`),
  ];
  const rules = points.flatMap((point, i) => {
    const mate = points.findIndex((other, j) => j > i && point.link && other.link === point.link);
    return [
      `x${i} - y${point.station} <= 0`,
      ...point.needs.map((n) => `x${i} - n${needs.findIndex(({ key }) => key === n)} <= 0`),
      ...(point.compulsory ? [`x${i} = 1`] : []),
      ...(mate > 0 ? [`x${i} - x${mate} = 0`] : []),
    ];
  });
  const visits = stations.map((_, s) => {
    const here = points.flatMap((point, i) => (point.station === s ? [`x${i}`] : []));
    return here.length === 0 ? `y${s} = 0` : `y${s} - ${here.join(' - ')} <= 0`;
  });
  const names = [
    ...stations.map((_, s) => `y${s}`),
    ...needs.map((_, k) => `n${k}`),
    ...points.map((_, i) => `x${i}`),
  ];
  return [
    'Maximize',
    ` obj: ${worth.join(' + ')}`,
    'Subject To',
    ` t: ${costs.join(' + ')} <= ${available - walking}`,
    ...[...visits, ...rules].map((rule, i) => ` r${i}: ${rule}`),
    'Binary',
    ` ${names.join(' ')}`,
    'End',
  ].join('\n');
};

const median = (times: readonly number[]): number =>
  times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)] ?? Number.NaN;

/** Prints one line; the two must agree. */
export const benchPlan = async (): Promise<void> => {
  const highs = await highsLoader();
  const problems = Array.from({ length: 9 }, (_, i) => problemFrom(700 + i));
  planWalk(problemFrom(1));
  const times = problems.map((problem) => {
    const begun = performance.now();
    const ours = planWalk(problem);
    const between = performance.now();
    const theirs = highs.solve(written(problem), { mip_rel_gap: 0, mip_abs_gap: 0 } as never);
    const ended = performance.now();
    if (ours.over === 0 && ours.worth !== Math.round(theirs.ObjectiveValue)) {
      throw new Error(`${ours.worth} is not ${theirs.ObjectiveValue}`);
    }
    return { ours: between - begun, theirs: ended - between };
  });
  const [a, b] = [median(times.map(({ ours }) => ours)), median(times.map((t) => t.theirs))];
  const worst = Math.max(...times.map(({ ours }) => ours));
  console.log(
    `${(a / b).toFixed(3)} × HiGHS on the same model: a plan of ${size} points (${a.toFixed(0)} ms, at worst ${worst.toFixed(0)}, against ${b.toFixed(0)} ms)`,
  );
};
