import { vehiclesApi } from '@fair-gable/core/numbers/tow';
import type { DataSource } from 'typeorm';
import { type Vehicle } from '@fair-gable/core/unit/record';
import { schemaOf, type App } from '../../base/app/index.ts';
import type { WithinYard } from '../../base/database/index.ts';
import { noteOnYard, yardOf } from '../../base/access/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { VehicleRow } from './entities.ts';
import { sampleVehicle } from './examples.ts';

const tags = ['vehicles'];
const limit = 500;

/** Writes a vehicle, in place of one of its key. @throws Refusal bad-input where there are too many */
export const keepVehicle = async (yard: WithinYard, vehicle: Vehicle): Promise<void> => {
  const kept = await yard.find(VehicleRow, {}, { order: { key: 'ASC' } });
  const had = kept.find(({ key }) => key === vehicle.key)?.vehicle;
  if (!had && kept.length >= limit) {
    throw new Refusal(
      'bad-input',
      `A yard keeps up to ${limit} vehicles. Take one off that nobody needs, then keep this one.`,
    );
  }
  const { name: by } = yard.author;
  await yard.upsert(VehicleRow, [{ key: vehicle.key, vehicle, by, at: new Date() }], ['key']);
  await noteOnYard(yard, {
    what: 'vehicle',
    subject: vehicle.label,
    from: had ? 'as it was' : null,
    to: had ? 'other figures' : 'kept',
  });
  await yard.announce('vehicles', yard.yardId);
};

/** Takes a vehicle off. @throws Refusal not-found */
const dropVehicle = async (yard: WithinYard, key: string): Promise<void> => {
  const had = await yard.lockOne(VehicleRow, { key });
  if (!had) {
    throw new Refusal(
      'not-found',
      'There is no such vehicle on this yard. Look at its list again.',
    );
  }
  await yard.remove(VehicleRow, { key });
  await noteOnYard(yard, { what: 'vehicle', subject: had.vehicle.label, from: 'kept', to: null });
  await yard.announce('vehicles', yard.yardId);
};

const readingPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.get(
    '/api/vehicles',
    {
      config: { access: 'look' },
      schema: schemaOf(vehiclesApi['GET /api/vehicles'], {
        tags,
        summary: 'The vehicles this yard keeps',
        description:
          'Classes that the yard has not written itself are not here; they are those of the core. Pounds and inches.',
        example: { answer: { vehicles: [sampleVehicle] } },
      }),
    },
    async (request) => {
      const rows = await yardOf(source, request).find(VehicleRow, {}, { order: { key: 'ASC' } });
      return { vehicles: rows.map(({ vehicle }) => vehicle) };
    },
  );
};

const keepingPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.put(
    '/api/vehicles/:key',
    {
      config: { access: 'record' },
      schema: schemaOf(vehiclesApi['PUT /api/vehicles/:key'], {
        tags,
        summary: 'Keep a vehicle',
        description: 'One of the same key is replaced; the history of the yard says who did it.',
        example: { body: sampleVehicle },
      }),
    },
    async (request, reply) => {
      const vehicle = request.body as Vehicle;
      if (vehicle.key !== request.params.key) {
        throw new Refusal('bad-input', 'The vehicle’s key is not that of the address.');
      }
      await yardOf(source, request).within((yard) => keepVehicle(yard, vehicle));
      return reply.status(204).send(null);
    },
  );
};

const droppingPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.delete(
    '/api/vehicles/:key',
    {
      config: { access: 'record' },
      schema: schemaOf(vehiclesApi['DELETE /api/vehicles/:key'], {
        tags,
        summary: 'Take a vehicle off',
        description: 'A class goes back to its usual figures.',
      }),
    },
    async (request, reply) => {
      await yardOf(source, request).within((yard) => dropVehicle(yard, request.params.key));
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
