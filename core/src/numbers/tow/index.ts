export { towInputSchema, type TowInput } from './input.ts';
export { tow, towOutcomeSchema, towValue, usualReserve, usualShare, type TowValue } from './tow.ts';
export { leverage } from './limits.ts';
export {
  drag,
  dragForce,
  dragInputSchema,
  dragOutcomeSchema,
  type DragInput,
  type DragValue,
} from './drag.ts';
export { figureGiven, vehicleClasses, vehiclesOf } from './vehicles.ts';
export { vehiclesApi } from './api.ts';
