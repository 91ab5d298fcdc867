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
export { cardNow, faultsSince, type CardNow } from './staleness.ts';
export {
  summaryOf,
  type CaredFor,
  type ModelQuestion,
  type SkippedCard,
  type StationPace,
  type WalkPace,
  type WalkSeen,
  type WalksSummary,
} from './statistics.ts';
export { walkApi, type YardWalk } from './api.ts';
