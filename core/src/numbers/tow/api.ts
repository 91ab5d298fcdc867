import { z } from 'zod';
import { contract, shaped } from '../../base/contract/index.ts';
import { vehicleSchema, type Vehicle } from '../../unit/record/index.ts';

const params = z.strictObject({ key: vehicleSchema.shape.key });
const vehicle = shaped<Vehicle>(vehicleSchema);

/** A yard's vehicles. */
export const vehiclesApi = contract({
  'GET /api/vehicles': { answer: z.strictObject({ vehicles: z.array(vehicle) }) },
  'PUT /api/vehicles/:key': { params, body: vehicle },
  'DELETE /api/vehicles/:key': { params },
});
