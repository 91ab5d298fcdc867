/*
 * Which points to give in so many minutes: exactly. A knapsack over the points in route order in which choosing any
 * point of a station pays its stop once, a need is paid once however many points use it, and linked points are both or
 * neither. Solved by dynamic programming over time on a five-second grid, once for each set of needs that is paid for.
 */

/** Something that must be done before some points can be given, and is paid once. */
export interface PlanNeed {
  readonly key: string;
  readonly seconds: number;
}

export interface PlanStation {
  /** Paid once when any of its points is chosen. */
  readonly stop: number;
  /** Gained once when any of its points is chosen; a whole number. */
  readonly bonus: number;
  /** At least one of its points is wanted. */
  readonly wanted: boolean;
}

export interface PlanPoint {
  /** Index into the stations; never falling along the list. */
  readonly station: number;
  readonly seconds: number;
  /** A whole number, 0 or more. */
  readonly worth: number;
  readonly compulsory: boolean;
  readonly needs: readonly string[];
  /** Points of the same link are all chosen or none. */
  readonly link?: string | undefined;
}

export interface PlanProblem {
  readonly stations: readonly PlanStation[];
  readonly points: readonly PlanPoint[];
  readonly needs: readonly PlanNeed[];
  /** Walking round, whatever is chosen. */
  readonly walking: number;
  readonly available: number;
}

export interface PlanAnswer {
  /** Indices of the chosen points, in route order. */
  readonly taken: readonly number[];
  readonly seconds: number;
  readonly worth: number;
  /** Seconds by which what is compulsory alone runs over; 0 where the plan fits. */
  readonly over: number;
  /** Whether every wanted station could be kept. */
  readonly wantedKept: boolean;
}

/** Times are planned on this grid, seconds. */
export const planGrid = 5;
const none = -1_000_000_000;

const cells = (seconds: number): number => Math.ceil(seconds / planGrid);

/** Linked points stand or fall together, so that one that is compulsory makes all of its link so. */
const withLinkedCompulsory = (points: readonly PlanPoint[]): readonly PlanPoint[] => {
  const forced = new Set(points.flatMap(({ compulsory, link }) => (compulsory && link) || []));
  return points.map((point) =>
    point.link && forced.has(point.link) ? { ...point, compulsory: true } : point,
  );
};

/** What a chosen set comes to. @throws never; an empty set is the walk round */
export const secondsOf = (problem: PlanProblem, taken: readonly number[]): number => {
  const chosen = taken.flatMap((i) => problem.points[i] ?? []);
  const stops = new Set(chosen.map(({ station }) => station));
  const used = new Set(chosen.flatMap(({ needs }) => needs));
  const sum = (all: readonly number[]): number => all.reduce((a, b) => a + cells(b) * planGrid, 0);
  return (
    sum([problem.walking]) +
    sum(chosen.map(({ seconds }) => seconds)) +
    sum([...stops].map((i) => problem.stations[i]?.stop ?? 0)) +
    sum(problem.needs.filter(({ key }) => used.has(key)).map(({ seconds }) => seconds))
  );
};

/** What a chosen set is worth, stations counted. */
export const worthOf = (problem: PlanProblem, taken: readonly number[]): number => {
  const chosen = taken.flatMap((i) => problem.points[i] ?? []);
  const stops = [...new Set(chosen.map(({ station }) => station))];
  return (
    chosen.reduce((sum, { worth }) => sum + worth, 0) +
    stops.reduce((sum, i) => sum + (problem.stations[i]?.bonus ?? 0), 0)
  );
};

/** A point as the table sees it: what it costs and gains, and which bit its link has. */
interface Step {
  readonly index: number;
  readonly time: number;
  readonly gain: number;
  readonly compulsory: boolean;
  readonly stop: number;
  readonly bonus: number;
  /** Whether the next point is of another station, and whether this one must have been visited by then. */
  readonly isLast: boolean;
  readonly wanted: boolean;
  /** Bit of its link, 0 for none; whether it is the first or the last of it. */
  readonly bit: number;
  readonly opens: boolean;
  readonly closes: boolean;
}

/** Bits for links: those that are open at the same time have different ones. */
const bitsOf = (points: readonly PlanPoint[]): ReadonlyMap<string, number> => {
  const bits = new Map<string, number>();
  const open = new Set<string>();
  points.forEach(({ link }, i) => {
    if (!link) return;
    if (!bits.has(link)) {
      const taken = new Set([...open].map((other) => bits.get(other)));
      let bit = 1;
      while (taken.has(bit)) bit *= 2;
      bits.set(link, bit);
      open.add(link);
    }
    if (!points.slice(i + 1).some((later) => later.link === link)) open.delete(link);
  });
  return bits;
};

const stepsOf = (
  { stations }: PlanProblem,
  points: readonly PlanPoint[],
  indices: readonly number[],
  scale: number,
  keepsWanted: boolean,
): readonly Step[] => {
  const allowed = indices.map((i) => points[i] as PlanPoint);
  const bits = bitsOf(allowed);
  return allowed.map((point, n) => {
    const { stop, bonus, wanted } = stations[point.station] as PlanStation;
    const isOther = (other: PlanPoint): boolean => other.link !== point.link;
    return {
      index: indices[n] ?? 0,
      time: cells(point.seconds),
      gain: point.worth * scale,
      compulsory: point.compulsory,
      stop: cells(stop),
      bonus: bonus * scale + 1,
      isLast: allowed[n + 1]?.station !== point.station,
      wanted: wanted && keepsWanted,
      bit: (point.link && bits.get(point.link)) || 0,
      opens: allowed.slice(0, n).every(isOther),
      closes: allowed.slice(n + 1).every(isOther),
    };
  });
};

/** The bits of links before a point is decided, to those after it; undefined where it may not be so decided. */
const bitsAfter = (step: Step, mask: number, takes: boolean): number | undefined => {
  const { bit, opens, closes } = step;
  if (bit === 0) return mask;
  const isSet = (mask & bit) !== 0;
  // A bit that is not open yet is never set before.
  if (opens ? isSet : isSet !== takes) return undefined;
  return takes && !closes ? mask | bit : mask & ~bit;
};

/** Whether its station was visited, as the next point sees it; undefined where a wanted one was not. */
const visitedAfter = ({ isLast, wanted }: Step, visited: number): number | undefined => {
  if (!isLast) return visited;
  return wanted && visited === 0 ? undefined : 0;
};

interface Table {
  readonly best: number;
  /** Whether each point is taken, by point, visited, links and time left; where it was asked for. */
  readonly decisions: Uint8Array | undefined;
  readonly masks: number;
}

/** One row of the table: a point, whether its station was visited, and which links are open. */
interface Row {
  /** Where the row starts, and where those it leads to start; −1 where there is no such way. */
  readonly from: number;
  readonly skip: number;
  readonly take: number;
  readonly cost: number;
  readonly gain: number;
}

const rowOf = (
  step: Step,
  [visited, mask]: readonly [number, number],
  at: (visited: number, mask: number) => number,
): Row => {
  const [skipMask, takeMask] = [bitsAfter(step, mask, false), bitsAfter(step, mask, true)];
  const skipTo = visitedAfter(step, visited);
  const cannotSkip = step.compulsory || skipMask === undefined || skipTo === undefined;
  return {
    from: at(visited, mask),
    skip: cannotSkip ? -1 : at(skipTo, skipMask),
    take: takeMask === undefined ? -1 : at(visitedAfter(step, 1) ?? 0, takeMask),
    cost: step.time + (visited ? 0 : step.stop),
    gain: step.gain + (visited ? 0 : step.bonus),
  };
};

/** Fills a row for every time left. @param mark called where the point is taken */
const fill = (
  { from, skip, take, cost, gain }: Row,
  next: Int32Array,
  here: Int32Array,
  width: number,
  mark: ((cell: number) => void) | undefined,
): void => {
  for (let left = 0; left < width; left++) {
    const without = skip < 0 ? none : (next[skip + left] as number);
    const rest = take < 0 || left < cost ? none : (next[take + left - cost] as number);
    const taking = rest === none ? none : rest + gain;
    // Of two that are worth the same the one with the earlier point.
    const takes = taking !== none && taking >= without;
    here[from + left] = takes ? taking : without;
    if (takes) mark?.(from + left);
  }
};

/** Best value of what is left, for every time left: from the last point to the first. */
const solve = (steps: readonly Step[], room: number, keepsDecisions: boolean): Table => {
  const masks = 2 * Math.max(0.5, ...steps.map(({ bit }) => bit));
  const width = room + 1;
  const layer = 2 * masks * width;
  const decisions = keepsDecisions ? new Uint8Array(layer * steps.length) : undefined;
  const at = (visited: number, mask: number): number => (visited * masks + mask) * width;
  let next = new Int32Array(layer).fill(none);
  for (const visited of [0, 1]) next.fill(0, at(visited, 0), at(visited, 0) + width);
  let here = new Int32Array(layer);
  for (let n = steps.length - 1; n >= 0; n--) {
    const mark = decisions && ((cell: number) => void (decisions[n * layer + cell] = 1));
    for (let state = 0; state < 2 * masks; state++) {
      const [visited, mask] = [state >= masks ? 1 : 0, state % masks];
      fill(rowOf(steps[n] as Step, [visited, mask], at), next, here, width, mark);
    }
    [here, next] = [next, here];
  }
  return { best: next[at(0, 0) + room] ?? none, decisions, masks };
};

/** The points of the best plan, by the decisions of its table. */
const trace = (steps: readonly Step[], room: number, table: Table): readonly number[] => {
  const { decisions, masks } = table;
  const width = room + 1;
  const taken: number[] = [];
  let [visited, mask, left] = [0, 0, room];
  steps.forEach((step, n) => {
    const cell = n * 2 * masks * width + (visited * masks + mask) * width + left;
    const takes = decisions?.[cell] === 1;
    if (takes) {
      taken.push(step.index);
      left -= step.time + (visited ? 0 : step.stop);
    }
    mask = bitsAfter(step, mask, takes) ?? 0;
    visited = visitedAfter(step, takes ? 1 : visited) ?? 0;
  });
  return taken;
};

/** The points that may be chosen where these needs are paid for. */
const allowedBy = (
  points: readonly PlanPoint[],
  isPaid: (need: string) => boolean,
): readonly number[] => {
  const can = points.map(({ needs }) => needs.every(isPaid));
  const broken = new Set(points.flatMap(({ link }, i) => (link && !can[i] ? link : [])));
  return [...points.keys()].filter((i) => {
    const { link } = points[i] as PlanPoint;
    return can[i] && !(link && broken.has(link));
  });
};

/** No plan of these points is worth more: as if they could be cut to pieces and every stop were free. */
const boundOf = (
  { stations }: PlanProblem,
  points: readonly PlanPoint[],
  indices: readonly number[],
  room: number,
): number => {
  const rate = ({ worth, seconds }: PlanPoint): number => worth / Math.max(cells(seconds), 0.1);
  const sorted = indices.map((i) => points[i] as PlanPoint).toSorted((a, b) => rate(b) - rate(a));
  const bonus = [...new Set(sorted.map(({ station }) => station))];
  let [left, sum] = [room, bonus.reduce((all, i) => all + (stations[i]?.bonus ?? 0), 0)];
  for (const point of sorted) {
    const time = cells(point.seconds);
    const part = time === 0 ? 1 : Math.min(left / time, 1);
    sum += point.worth * part;
    left -= time * part;
  }
  return sum;
};

interface Case {
  readonly indices: readonly number[];
  readonly room: number;
  readonly bound: number;
}

/** Each set of needs that may be paid for, the most promising first. */
const casesOf = (problem: PlanProblem, points: readonly PlanPoint[]): readonly Case[] => {
  const used = new Set(points.flatMap(({ needs }) => needs));
  const forced = new Set(points.flatMap(({ compulsory, needs }) => (compulsory ? needs : [])));
  const needs = problem.needs.filter(({ key }) => used.has(key));
  const room = Math.floor((problem.available - cells(problem.walking) * planGrid) / planGrid);
  return Array.from({ length: 2 ** needs.length }, (_, set) =>
    needs.filter((need, i) => (set >> i) % 2 === 1 || forced.has(need.key)),
  )
    .filter((paid, i, all) => all.findIndex((other) => sameNeeds(other, paid)) === i)
    .map((paid) => {
      const keys = new Set(paid.map(({ key }) => key));
      const indices = allowedBy(points, (need) => keys.has(need));
      const left = room - paid.reduce((sum, { seconds }) => sum + cells(seconds), 0);
      return {
        indices,
        room: left,
        bound: left < 0 ? -1 : boundOf(problem, points, indices, left),
      };
    })
    .filter(({ room: left }) => left >= 0)
    .toSorted((a, b) => b.bound - a.bound);
};

/** Whether a wanted station has lost all of its points, for want of what they need. */
const losesWanted = (
  { stations }: PlanProblem,
  points: readonly PlanPoint[],
  indices: readonly number[],
): boolean => {
  const left = new Set(indices.map((i) => points[i]?.station));
  return points.some(({ station }) => stations[station]?.wanted === true && !left.has(station));
};

const sameNeeds = (a: readonly PlanNeed[], b: readonly PlanNeed[]): boolean =>
  a.length === b.length && a.every(({ key }, i) => key === b[i]?.key);

/** Of two plans that are worth as much the one that takes the earlier point where they differ. */
const isEarlier = (a: readonly number[], b: readonly number[]): boolean => {
  const i = a.findIndex((index, n) => index !== b[n]);
  return i >= 0 && (b[i] === undefined || (a[i] as number) < (b[i] as number));
};

interface Found {
  readonly value: number;
  readonly taken: readonly number[];
}

/** Of two plans the one that is worth more; of the same worth the one that is earlier in the route. */
const better = (a: Found | undefined, b: Found): Found => {
  if (!a || b.value > a.value) return b;
  return b.value === a.value && isEarlier(b.taken, a.taken) ? b : a;
};

const bestOf = (
  problem: PlanProblem,
  points: readonly PlanPoint[],
  keepsWanted: boolean,
): readonly number[] | undefined => {
  const scale = problem.stations.length + 1;
  const cases = casesOf(problem, points).filter(
    ({ indices }) => !keepsWanted || !losesWanted(problem, points, indices),
  );
  let best: Found | undefined;
  for (const { indices, room, bound } of cases) {
    // Stations break ties within the scale, so that only what cannot even be as good is left out.
    if (best && (bound + 1) * scale <= best.value) break;
    const steps = stepsOf(problem, points, indices, scale, keepsWanted);
    const { best: value } = solve(steps, room, false);
    if (value < (best?.value ?? 0)) continue;
    best = better(best, { value, taken: trace(steps, room, solve(steps, room, true)) });
  }
  return best?.taken;
};

/**
 * The points that are worth most in the time there is. Ties go to more stations, then to the earlier in the route.
 * Where what is compulsory alone is too long, that is the plan, and `over` says by how much.
 * @param problem points in route order; seconds are counted on a five-second grid, rounded up
 */
export const planWalk = (problem: PlanProblem): PlanAnswer => {
  const points = withLinkedCompulsory(problem.points);
  const wanted = bestOf(problem, points, true);
  const taken = wanted ?? bestOf(problem, points, false);
  const compulsory = [...points.keys()].filter((i) => points[i]?.compulsory);
  const chosen = taken ?? compulsory;
  const seconds = secondsOf(problem, chosen);
  return {
    taken: chosen,
    seconds,
    worth: worthOf(problem, chosen),
    over: taken ? 0 : Math.max(seconds - problem.available, 0),
    wantedKept: wanted !== undefined,
  };
};
