import highsLoader from 'highs';
import { planGrid, type PlanProblem } from '@fair-gable/core/show/plan';

/** HiGHS, an integer-programming library of the registry. */
export type Solver = Awaited<ReturnType<typeof highsLoader>>;
export const loadHighs = (): Promise<Solver> => highsLoader();

const grid = (seconds: number): number => Math.ceil(seconds / planGrid) * planGrid;

/** What a plan has to keep, as rows of a linear program. */
const rulesOf = ({ stations, points, needs }: PlanProblem, keepsWanted: boolean) => [
  ...stations.flatMap(({ wanted }, s) => {
    const here = points.flatMap((point, i) => (point.station === s ? [`x${i}`] : []));
    if (here.length === 0) return [`y${s} = 0`];
    // A station counts as visited only where something is given there.
    return [`y${s} - ${here.join(' - ')} <= 0`, ...(wanted && keepsWanted ? [`y${s} = 1`] : [])];
  }),
  ...points.flatMap((point, i) => {
    const mate = points.findIndex((other, j) => j > i && point.link && other.link === point.link);
    return [
      `x${i} - y${point.station} <= 0`,
      ...point.needs.map((need) => `x${i} - n${needs.findIndex(({ key }) => key === need)} <= 0`),
      ...(point.compulsory ? [`x${i} = 1`] : []),
      ...(mate > 0 ? [`x${i} - x${mate} = 0`] : []),
    ];
  }),
];

/** The model of a plan written out as a program in whole numbers, in the LP format that HiGHS reads. */
export const asProgram = (problem: PlanProblem, keepsWanted: boolean): string => {
  const { stations, points, needs, walking, available } = problem;
  const names = [
    ...stations.map((_, s) => `y${s}`),
    ...needs.map((_, k) => `n${k}`),
    ...points.map((_, i) => `x${i}`),
  ];
  const costs = [
    ...stations.map(({ stop }, s) => `${grid(stop)} y${s}`),
    ...needs.map(({ seconds }, k) => `${grid(seconds)} n${k}`),
    ...points.map(({ seconds }, i) => `${grid(seconds)} x${i}`),
  ];
  const worth = [
    ...stations.map(({ bonus }, s) => `${bonus} y${s}`),
    ...points.map((point, i) => `${point.worth} x${i}`),
  ];
  return [
    'Maximize',
    ` obj: ${worth.join(' + ')}`,
    'Subject To',
    ` time: ${costs.join(' + ')} <= ${available - grid(walking)}`,
    ...rulesOf(problem, keepsWanted).map((rule, i) => ` r${i}: ${rule}`),
    'Binary',
    ` ${names.join(' ')}`,
    'End',
  ].join('\n');
};

/** The worth of the best plan by HiGHS; undefined where there is none. */
export const byHighs = (
  highs: Solver,
  problem: PlanProblem,
  keepsWanted: boolean,
): number | undefined => {
  const exactly = { mip_rel_gap: 0, mip_abs_gap: 0 } as never;
  const found = highs.solve(asProgram(problem, keepsWanted), exactly);
  return found.Status === 'Optimal' ? Math.round(found.ObjectiveValue) : undefined;
};
