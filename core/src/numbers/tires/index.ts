export {
  reserveWanted,
  tires,
  tiresInputSchema,
  tiresOutcomeSchema,
  tiresValue,
  type TiresInput,
  type TiresValue,
} from './tires.ts';
export { labelPressure, tiresInputOf, wheelDiameter, wheelPressures } from './from-record.ts';
export {
  recheckMiles,
  torqueFor,
  torqueRounds,
  torqueWindows,
  type TorqueWindow,
} from './torque.ts';
