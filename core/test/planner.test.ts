import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  planWalk,
  secondsOf,
  worthOf,
  type PlanAnswer,
  type PlanPoint,
  type PlanProblem,
} from '@fair-gable/core/show/plan';
import { byHighs, loadHighs } from './highs.ts';

const seed = 7;

/** Whether a set keeps all that a plan has to keep. */
const isAllowed = (
  problem: PlanProblem,
  taken: readonly number[],
  keepsWanted: boolean,
): boolean => {
  const has = new Set(taken);
  const { points, stations } = problem;
  const linked = new Map<string, Set<boolean>>();
  points.forEach(({ link }, i) => {
    if (link) linked.set(link, (linked.get(link) ?? new Set()).add(has.has(i)));
  });
  const visited = new Set(taken.map((i) => points[i]?.station));
  return (
    points.every(({ compulsory }, i) => !compulsory || has.has(i)) &&
    [...linked.values()].every((ways) => ways.size === 1) &&
    (!keepsWanted ||
      stations.every(
        ({ wanted }, i) =>
          !wanted || visited.has(i) || !points.some(({ station }) => station === i),
      )) &&
    secondsOf(problem, taken) <= problem.available
  );
};

/** Every set tried: the best worth, then the most stations, then the earlier in the route. */
const byTryingAll = (problem: PlanProblem, keepsWanted: boolean): readonly number[] | undefined => {
  const n = problem.points.length;
  let best: readonly number[] | undefined;
  const stations = (taken: readonly number[]): number =>
    new Set(taken.map((i) => problem.points[i]?.station)).size;
  const isBetter = (a: readonly number[], b: readonly number[]): boolean => {
    const worth = worthOf(problem, a) - worthOf(problem, b);
    if (worth !== 0) return worth > 0;
    if (stations(a) !== stations(b)) return stations(a) > stations(b);
    const at = a.findIndex((index, i) => index !== b[i]);
    return at >= 0 && (b[at] === undefined || (a[at] ?? 0) < (b[at] ?? 0));
  };
  for (let set = 0; set < 2 ** n; set++) {
    const taken = [...problem.points.keys()].filter((i) => (set >> i) % 2 === 1);
    if (isAllowed(problem, taken, keepsWanted) && (!best || isBetter(taken, best))) best = taken;
  }
  return best;
};

const problemOf = (most: number, least = 0): fc.Arbitrary<PlanProblem> =>
  fc
    .record({
      stations: fc.array(
        fc.record({
          stop: fc.constantFrom(0, 5, 10, 20),
          bonus: fc.integer({ min: 0, max: 4 }),
          wanted: fc.boolean(),
        }),
        { minLength: 1, maxLength: 5 },
      ),
      needs: fc.constant([
        { key: 'inside', seconds: 30 },
        { key: 'slide', seconds: 45 },
      ]),
      walking: fc.constantFrom(0, 15, 40),
      available: fc.integer({ min: 0, max: 300 }),
      drafts: fc.array(
        fc.record({
          at: fc.double({ min: 0, max: 0.999, noNaN: true }),
          seconds: fc.integer({ min: 5, max: 60 }),
          worth: fc.integer({ min: 0, max: 12 }),
          compulsory: fc.integer({ min: 0, max: 9 }).map((d) => d === 0),
          needs: fc.subarray(['inside', 'slide']),
          link: fc.constantFrom(undefined, undefined, undefined, 'a', 'b', 'c'),
        }),
        { minLength: least, maxLength: most },
      ),
    })
    .map(({ drafts, ...rest }) => ({
      ...rest,
      points: drafts
        .map(({ at, ...draft }): PlanPoint => ({
          ...draft,
          station: Math.floor(at * rest.stations.length),
        }))
        .toSorted((a, b) => a.station - b.station),
    }));

describe('a plan', () => {
  it('is the one that trying every set finds, ties and all', () => {
    fc.assert(
      fc.property(problemOf(9), (problem) => {
        const plan = planWalk(problem);
        const best = byTryingAll(problem, true) ?? byTryingAll(problem, false);
        if (best) {
          expect(plan.taken).toEqual(best);
          expect(plan.over).toBe(0);
          expect(plan.wantedKept).toBe(byTryingAll(problem, true) !== undefined);
        } else {
          expect(plan.over).toBeGreaterThan(0);
        }
        expect(plan.seconds).toBe(secondsOf(problem, plan.taken));
      }),
      { seed, numRuns: 150 },
    );
  });

  it('is the one that trying all 16,384 sets of fourteen points finds', () => {
    fc.assert(
      fc.property(problemOf(14, 14), (problem) => {
        const best = byTryingAll(problem, true) ?? byTryingAll(problem, false);
        if (best) expect(planWalk(problem).taken).toEqual(best);
      }),
      { seed, numRuns: 5 },
    );
  });

  it('with no time at all is what is compulsory, and by how much it runs over', () => {
    const station = { stop: 10, bonus: 1, wanted: false };
    const point = { station: 0, seconds: 40, worth: 5, needs: [] };
    const plan = planWalk({
      stations: [station],
      points: [
        { ...point, compulsory: true },
        { ...point, compulsory: false },
      ],
      needs: [],
      walking: 60,
      available: 90,
    });
    expect(plan).toEqual({ taken: [0], seconds: 110, worth: 6, over: 20, wantedKept: false });
  });

  it('of nothing is a walk round', () => {
    const nothing = { stations: [], points: [], needs: [], walking: 30, available: 60 };
    expect(planWalk(nothing)).toMatchObject({ taken: [], seconds: 30, worth: 0, over: 0 });
  });
});

/** A problem of any size by a seeded generator. */
const large = (count: number, from: number, links: number): PlanProblem => {
  let state = from;
  const draw = (below: number): number => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
    return Math.floor((state / 2_147_483_648) * below);
  };
  const stations = Array.from({ length: 20 }, () => ({
    stop: 5 + 5 * draw(3),
    bonus: 100 + draw(200),
    wanted: draw(8) === 0,
  }));
  const points = Array.from({ length: count }, (_, i): PlanPoint => ({
    station: Math.floor((i / count) * stations.length),
    seconds: 5 + 5 * draw(10),
    worth: 50 + draw(900),
    compulsory: draw(40) === 0,
    needs: [...(i > count / 2 ? ['inside'] : []), ...(draw(6) === 0 ? ['slide'] : [])],
    link: draw(count) < links ? `l${draw(3)}` : undefined,
  }));
  return {
    stations,
    points,
    needs: [
      { key: 'inside', seconds: 30 },
      { key: 'slide', seconds: 60 },
      { key: 'awning', seconds: 60 },
    ],
    walking: 60,
    available: 900,
  };
};

const bestWorth = (answer: PlanAnswer): number | undefined =>
  answer.over > 0 ? undefined : answer.worth;

describe('a plan against an integer-programming library', () => {
  it.each([20, 60, 120])(
    'of %s points is worth as much',
    async (count) => {
      const highs = await loadHighs();
      for (const from of [1, 2, 3]) {
        const problem = large(count, from * 77 + count, 6);
        const ours = planWalk(problem);
        expect(bestWorth(ours)).toBe(byHighs(highs, problem, ours.wantedKept));
      }
    },
    60_000,
  );
});
