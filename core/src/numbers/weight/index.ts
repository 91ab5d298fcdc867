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
export {
  byTickets,
  scale,
  scaleInputSchema,
  scaleOutcomeSchema,
  scaleProblem,
  scaleValue,
  type ScaleInput,
  type ScaleValue,
  type Tickets,
} from './scale.ts';
export {
  hitchWords,
  shareWanted,
  weigh,
  weightInputSchema,
  weightOutcomeSchema,
  weightValue,
  type WeightInput,
  type WeightValue,
} from './weight.ts';
export {
  gearPlacesOf,
  hitchCurve,
  usualTrial,
  weightInputOf,
  type GearPlace,
  type WeightTrial,
} from './from-record.ts';
