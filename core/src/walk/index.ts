export {
  pointSchema,
  isBasic,
  pointsOf,
  routeOf,
  secondsFor,
  totalSeconds,
  type CardNumber,
  type Point,
} from './points.ts';
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
