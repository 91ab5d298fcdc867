export {
  buyerSchema,
  followUpKinds,
  followUpSchema,
  keepDays,
  letterSchema,
  type Buyer,
  type FollowUp,
  type FollowUpKind,
  type Letter,
} from './schema.ts';
export { dueBy, inDueOrder, lateness, proposedFollowUps } from './proposed.ts';
export { draftLetter, type DraftOf } from './draft.ts';
export { followUpApi, type KeptBuyer, type KeptFollowUp, type KeptLetter } from './api.ts';
