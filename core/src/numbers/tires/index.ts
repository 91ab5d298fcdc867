export {
  reserveWanted,
  tyres,
  tyresInputSchema,
  tyresOutcomeSchema,
  tyresValue,
  type TyresInput,
  type TyresValue,
} from './tires.ts';
export { labelPressure, tyresInputOf, wheelDiameter, wheelPressures } from './from-record.ts';
export {
  recheckMiles,
  torqueFor,
  torqueRounds,
  torqueWindows,
  type TorqueWindow,
} from './torque.ts';
