import type { SchoolKey } from '../../unit/catalog/index.ts';
import type { Trial, Vehicle } from '../../unit/record/index.ts';
import { usualReserve, vehicleClasses } from '../tow/index.ts';
import type { YardWater } from '../water/index.ts';
import { usualTrial } from '../weight/index.ts';

const usualVehicle = vehicleClasses.find(({ key }) => key === 'half-ton') as Vehicle;

/**
 * A trial as it starts: two people, water as usual, a vehicle of the yard's middle class.
 * @param houseView the side the yard takes in a disagreement; it sets the reserve
 * @param yardWater the yard's own figures of water used
 */
export const freshTrial = (
  houseView: (school: SchoolKey) => string | undefined = () => undefined,
  vehicle: Vehicle = usualVehicle,
  yardWater: YardWater = {},
): Trial => ({
  ...usualTrial,
  people: 2,
  style: 'usual',
  ...(yardWater.usual ? { rates: yardWater.usual } : {}),
  days: 0,
  vehicle,
  aboard: 350,
  hardware: 80,
  distributing: true,
  reserve: houseView('tow-margin') === 'margin' ? usualReserve : 0,
  pressures: {},
  weighings: {},
});
