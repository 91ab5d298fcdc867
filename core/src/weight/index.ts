export {
  balance,
  extremeFilling,
  hitchPart,
  hitchShare,
  sweep,
  type Extreme,
  type Located as LocatedWeight,
  type Standing,
} from './balance.ts';
export { byTickets, type Tickets } from './scale.ts';
export {
  shareWanted,
  weigh,
  weightInputSchema,
  weightOutcomeSchema,
  type WeightInput,
  type WeightValue,
} from './weight.ts';
export {
  gearPlaces,
  hitchCurve,
  tankKeys,
  usualTrial,
  weightInputOf,
  type TankKey,
  type WeightTrial,
} from './from-record.ts';
