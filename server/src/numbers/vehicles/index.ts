export { keepVehicle, vehiclesPlugin } from './plugin.ts';
