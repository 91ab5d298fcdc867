import { z } from 'zod';
import type { DataSource } from 'typeorm';
import { vehicleSchema, type Vehicle } from '@fair-gable/core/unit/record';
import type { App } from '../../base/app/index.ts';
import { announce, inYard, type InYard } from '../../base/database/index.ts';
import { callerIn, noteOnYard, yardOf } from '../../base/access/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { VehicleRow } from './entities.ts';

const tags = ['vehicles'];
const params = z.strictObject({ key: vehicleSchema.shape.key });
const nothing = { 204: z.null().describe('Done.') };
const limit = 500;

/** Writes a vehicle, in place of one of its key. */
export const keepVehicle = (yard: InYard, vehicle: Vehicle, by: string): Promise<void> =>
  yard.upsert(VehicleRow, [{ key: vehicle.key, vehicle, by, at: new Date() }], ['key']);

const readingPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.get(
    '/api/vehicles',
    {
      config: { access: 'look' },
      schema: {
        tags,
        summary: 'The vehicles this yard keeps',
        description:
          'Classes that the yard has not written itself are not here; they are those of the core. Pounds and inches.',
        response: { 200: z.strictObject({ vehicles: z.array(vehicleSchema) }) },
      },
    },
    async (request) => {
      const rows = await yardOf(source, request).find(VehicleRow, {}, { order: { key: 'ASC' } });
      return { vehicles: rows.map(({ vehicle }) => vehicle) } as never;
    },
  );
};

const keepingPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.put(
    '/api/vehicles/:key',
    {
      config: { access: 'record' },
      schema: {
        tags,
        summary: 'Keep a vehicle',
        description: 'One of the same key is replaced; the history of the yard says who did it.',
        params,
        body: vehicleSchema,
        response: nothing,
      },
    },
    async (request, reply) => {
      const caller = callerIn(request);
      const vehicle = request.body as Vehicle;
      if (vehicle.key !== request.params.key) {
        throw new Refusal('bad-input', 'The vehicle’s key is not that of the address.');
      }
      await source.transaction(async (manager) => {
        const yard = inYard(manager, caller.yardId);
        const kept = await yard.find(VehicleRow, {}, { order: { key: 'ASC' } });
        const had = kept.find(({ key }) => key === vehicle.key)?.vehicle;
        if (!had && kept.length >= limit) {
          throw new Refusal(
            'bad-input',
            `A yard keeps up to ${limit} vehicles. Take one off that nobody needs, then keep this one.`,
          );
        }
        await keepVehicle(yard, vehicle, caller.name);
        await noteOnYard(manager, caller, {
          what: 'vehicle',
          subject: vehicle.label,
          from: had ? 'as it was' : null,
          to: had ? 'other figures' : 'kept',
        });
        await announce(manager, { yard: caller.yardId, kind: 'vehicles', id: caller.yardId });
      });
      return reply.status(204).send(null);
    },
  );
};

const droppingPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.delete(
    '/api/vehicles/:key',
    {
      config: { access: 'record' },
      schema: {
        tags,
        summary: 'Take a vehicle off',
        description: 'A class goes back to its usual figures.',
        params,
        response: nothing,
      },
    },
    async (request, reply) => {
      const caller = callerIn(request);
      await source.transaction(async (manager) => {
        const yard = inYard(manager, caller.yardId);
        const had = await yard.findOne(VehicleRow, { key: request.params.key });
        if (!had) {
          throw new Refusal(
            'not-found',
            'There is no such vehicle on this yard. Look at its list again.',
          );
        }
        await yard.remove(VehicleRow, { key: had.key });
        const subject = had.vehicle.label;
        await noteOnYard(manager, caller, { what: 'vehicle', subject, from: 'kept', to: null });
        await announce(manager, { yard: caller.yardId, kind: 'vehicles', id: caller.yardId });
      });
      return reply.status(204).send(null);
    },
  );
};

/** A yard's vehicles: what it keeps in place of the usual classes, and its buyers' own. */
export const vehiclesPlugin = async (app: App, options: { source: DataSource }) => {
  await app.register(readingPlugin, options);
  await app.register(keepingPlugin, options);
  await app.register(droppingPlugin, options);
};
