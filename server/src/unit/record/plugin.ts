import type { FastifyRequest } from 'fastify';
import type { DataSource } from 'typeorm';
import { specEntry, type SpecKey } from '@fair-gable/core/unit/catalog';
import {
  type Change,
  type Edit,
  ourKeys,
  rightToChange,
  unsignedChange,
  recordApi,
} from '@fair-gable/core/unit/record';
import { may } from '@fair-gable/core/base/rights';
import { asWritten, schemaOf, type App } from '../../base/app/index.ts';
import { callerIn, yardOf, type Caller } from '../../base/access/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { historyOf } from './history.ts';
import { ownWords } from './own-words.ts';
import { pageOfUnits, readUnit, type ListQuery } from './read.ts';
import { createUnit, editUnit } from './write.ts';
import { firstChange, sampleChange, sampleHistory, sampleUnit } from './examples.ts';

const tags = ['units'];

/** What this reader may not see. */
export const hiddenFrom = (request: FastifyRequest): readonly string[] =>
  may(callerIn(request).role, 'see-prices') ? [] : ourKeys;

/** Whatever a technician signs for is changed by technicians. @throws Refusal not-inspector */
const refuseOthers = ({ role }: Caller, changes: readonly Change[]): void => {
  const unsigned = unsignedChange(changes);
  if (unsigned && may(role, 'inspect')) {
    throw new Refusal(
      'bad-input',
      `${specEntry(unsigned.key as SpecKey).label}: it follows from the signature. Sign the inspection, and it is set by itself; nothing was saved.`,
    );
  }
  const barred = changes.find((change) => !may(role, rightToChange(change)));
  if (!barred) return;
  throw new Refusal(
    'not-inspector',
    'Inspections and signatures are a technician’s. Ask one to enter it under their own name; nothing was saved.',
  );
};

const readingPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.get(
    '/api/units',
    {
      config: { access: 'look' },
      schema: schemaOf(recordApi['GET /api/units'], {
        tags,
        summary: 'The yard’s units in stock, a page at a time',
        description:
          'Every word of `text` must be somewhere in the record’s text: what was typed, names of choices and of what is fitted, reasons. Unknown values sort last.',
        example: { answer: { total: 1, units: [sampleUnit] } },
      }),
    },
    async (request, reply) => {
      const query = request.query as ListQuery;
      const page = await pageOfUnits(yardOf(source, request), query, hiddenFrom(request));
      return reply.type('application/json; charset=utf-8').send(asWritten(page));
    },
  );

  app.get(
    '/api/units/:id',
    {
      config: { access: 'look' },
      schema: schemaOf(recordApi['GET /api/units/:id'], {
        tags,
        summary: 'One unit with its record',
        example: { answer: sampleUnit },
      }),
    },
    async (request) =>
      await readUnit(yardOf(source, request), request.params.id, hiddenFrom(request)),
  );

  app.get(
    '/api/units/:id/history',
    {
      config: { access: 'look' },
      schema: schemaOf(recordApi['GET /api/units/:id/history'], {
        tags,
        summary: 'What was changed in a unit’s record, latest first',
        description:
          'Of one field with `part` and `key`; older ones with `before`, the id of the last row one has. `account` for whoever records.',
        example: { answer: { changes: [sampleHistory] } },
      }),
    },
    async (request) => {
      const hidden = hiddenFrom(request);
      const yard = yardOf(source, request);
      const tellsAccounts = may(callerIn(request).role, 'record');
      const reader = { hidden, tellsAccounts };
      const changes = await historyOf(yard, request.params.id, request.query, reader);
      return { changes: [...changes] };
    },
  );
};

const writingPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.post(
    '/api/units',
    {
      config: { access: 'record' },
      schema: schemaOf(recordApi['POST /api/units'], {
        tags,
        summary: 'Take in a unit with its first values',
        description: 'The id is the sender’s; sent twice, the unit is made once.',
        example: { body: { id: sampleUnit.id, changes: [firstChange] }, answer: sampleUnit },
      }),
    },
    async (request, reply) => {
      const caller = callerIn(request);
      const { id, changes } = request.body;
      const first = changes as Change[];
      refuseOthers(caller, first);
      const made = await yardOf(source, request).within((yard) => createUnit(yard, id, first));
      return reply.status(made.isNew ? 201 : 200).send(made.unit);
    },
  );

  app.post(
    '/api/units/:id/edits',
    {
      config: { access: 'record' },
      schema: schemaOf(recordApi['POST /api/units/:id/edits'], {
        tags,
        summary: 'Change fields of a unit: all of them or none',
        description:
          'Each change says which version it was based on. When somebody was faster the answer is 409 with both values of each such field in `conflicts`; nothing was changed. Sent twice, an edit is made once.',
        example: {
          body: { id: 'ed170000-0000-4000-8000-000000000001', changes: [sampleChange] },
          answer: sampleUnit,
        },
      }),
    },
    async (request) => {
      const caller = callerIn(request);
      const edit = request.body as Edit;
      refuseOthers(caller, edit.changes);
      return await yardOf(source, request).within((yard) =>
        editUnit(yard, request.params.id, edit),
      );
    },
  );
};

/** Units, the edits of their records, and what was changed when. */
export const recordPlugin = async (app: App, options: { source: DataSource }) => {
  app.ownWords(ownWords);
  await app.register(readingPlugin, options);
  await app.register(writingPlugin, options);
};
