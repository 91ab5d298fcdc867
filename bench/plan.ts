// The planner at three hundred points, against an integer-programming library on the same model.
import { planWalk, type PlanPoint, type PlanProblem } from '@fair-gable/core/show/plan';
import { byHighs, loadHighs } from '../core/test/highs.ts';

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

const median = (times: readonly number[]): number =>
  times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)] ?? Number.NaN;

/** Prints one line; the two must agree. */
export const benchPlan = async (): Promise<void> => {
  const highs = await loadHighs();
  const problems = Array.from({ length: 9 }, (_, i) => problemFrom(700 + i));
  planWalk(problemFrom(1));
  const times = problems.map((problem) => {
    const begun = performance.now();
    const ours = planWalk(problem);
    const between = performance.now();
    const theirs = byHighs(highs, problem, false);
    const ended = performance.now();
    if (ours.over === 0 && ours.worth !== theirs) {
      throw new Error(`${ours.worth} is not ${theirs}`);
    }
    return { ours: between - begun, theirs: ended - between };
  });
  const [a, b] = [median(times.map(({ ours }) => ours)), median(times.map((t) => t.theirs))];
  const worst = Math.max(...times.map(({ ours }) => ours));
  console.log(
    `${(a / b).toFixed(3)} × HiGHS on the same model: a plan of ${size} points (${a.toFixed(0)} ms, at worst ${worst.toFixed(0)}, against ${b.toFixed(0)} ms)`,
  );
};
