export { tow, towInputSchema, towOutcomeSchema, type TowInput, type TowValue } from './tow.ts';
export { vehicleClass, vehicleClasses, type VehicleClass } from './vehicles.ts';
