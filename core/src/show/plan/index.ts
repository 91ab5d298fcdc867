export {
  planGrid,
  planWalk,
  secondsOf,
  worthOf,
  type PlanAnswer,
  type PlanNeed,
  type PlanPoint,
  type PlanProblem,
  type PlanStation,
} from './planner.ts';
export {
  inRouteOrder,
  isCompulsory,
  planCards,
  planProblem,
  questionsShare,
  replan,
  stationLabels,
  stationsIn,
  walkRound,
  type LeftOut,
  type PlannedWalk,
  type PlanWish,
} from './plan.ts';
export { needsOf } from './needs.ts';
export { chosenFor, unknownTo, type ChosenFor } from './for-listeners.ts';
export { preparationsFor, type Preparation } from './ready.ts';
export {
  hasCards,
  readyNeeds,
  usualWishes,
  withCards,
  withoutCards,
  withReady,
  type Wishes,
} from './wishes.ts';
export { interestWords, stationBonus, worthOfPoint, type Listener } from './value.ts';
