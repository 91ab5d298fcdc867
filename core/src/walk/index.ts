export {
  paces,
  pointSchema,
  secondsFor,
  totalSeconds,
  usualPace,
  wordsIn,
  type CardNumber,
  type Point,
} from './point.ts';
export { pointsOf, routeOf, type Presenting } from './points.ts';
export { modelTalk, noTalk, type ModelTalk } from './told.ts';
export {
  marks,
  nextEvent,
  walkEventSchema,
  walkPlanSchema,
  type Mark,
  type WalkEvent,
  type WalkPlan,
  type What,
} from './events.ts';
export { foldWalk, inOrder, standing, workedMs, type CardState, type WalkState } from './fold.ts';
export { clock, logOf, type LogLine, type LogMark, type WalkLog } from './log.ts';
export { paceOf, type Pace } from './pace.ts';
export { paceFor, paceFrom, type LearnedPace } from './speaking-pace.ts';
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
export { needKeys, needRows, type NeedKey, type NeedRow } from './need-rows.ts';
export { needsOf } from './needs.ts';
export { chosenFor, unknownTo, type ChosenFor } from './for-listeners.ts';
export { preparationsFor, type Preparation } from './ready.ts';
export {
  legs,
  routeSchema,
  routesOf,
  stationsOn,
  usualRoute,
  usualRoutes,
  type LegKey,
  type Route,
} from './routes.ts';
export { interestWords, stationBonus, worthOfPoint, type Listener } from './worth.ts';
export { cardNow, faultsSince, type CardNow } from './since.ts';
export {
  summaryOf,
  type CaredFor,
  type ModelQuestion,
  type SkippedCard,
  type StationPace,
  type WalkPace,
  type WalkSeen,
  type WalksSummary,
} from './many.ts';
export { screenOf, screenViewSchema, type ScreenView, type ShownUnit } from './screen.ts';
