import Papa from 'papaparse';
import { z } from 'zod';
import type { DataSource } from 'typeorm';
import { dayIn } from '@fair-gable/core/base/dates';
import type { System } from '@fair-gable/core/base/quantity';
import { knownBy } from '@fair-gable/core/unit/catalog';
import {
  inheritedBy,
  toModelSheetFile,
  unitDifferences,
  type ModelSheet,
  type Offer,
  type UnitDifference,
  modelSheetApi,
} from '@fair-gable/core/unit/model-sheet';
import { fieldLabel, fieldText, nameOf, byWhom } from '@fair-gable/core/unit/record';
import { sample, schemaOf, type App } from '../../base/app/index.ts';
import { callerIn, yardOf } from '../../base/access/index.ts';
import { Refusal } from '../../base/problems/index.ts';
import { firstChange, hiddenFrom, readUnit } from '../record/index.ts';
import {
  addOffer,
  dropOffer,
  dropSheet,
  keepSheet,
  sheetHistory,
  sheetOf,
  sheetsOf,
  touchedBy,
} from './sheets.ts';
import { keptSheet, sampleOffer, sampleSheet, sheetChange } from './examples.ts';

const tags = ['model sheets'];
const params = z.strictObject({ id: z.uuid() });

const matching = (id: string, sheet: ModelSheet): ModelSheet => {
  if (sheet.id === id) return sheet;
  throw new Refusal('bad-input', 'The sheet’s id is not that of the address; nothing was saved.');
};

const readingPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.get(
    '/api/model-sheets',
    {
      config: { access: 'look' },
      schema: schemaOf(modelSheetApi['GET /api/model-sheets'], {
        tags,
        summary: 'The yard’s model sheets, with what was offered to them',
        example: { answer: { sheets: [keptSheet] } },
      }),
    },
    async (request) => ({
      sheets: [...(await sheetsOf(yardOf(source, request), hiddenFrom(request)))],
    }),
  );

  app.get(
    '/api/model-sheets/:id/file',
    {
      config: { access: 'look' },
      schema: schemaOf(modelSheetApi['GET /api/model-sheets/:id/file'], {
        tags,
        summary: 'A model sheet as a file',
        description: 'The format is told in docs/file-format.md.',
        example: { answer: toModelSheetFile(sampleSheet) },
      }),
    },
    async (request, reply) => {
      const yard = yardOf(source, request);
      const sheet = await sheetOf(yard, request.params.id, hiddenFrom(request));
      const name = `${sheet.series} ${sheet.floorPlan} ${sheet.year}`
        .replaceAll(/[^\w-]+/g, '-')
        .toLowerCase();
      void reply.header('content-disposition', `attachment; filename="${name}.sheet.json"`);
      return toModelSheetFile(sheet);
    },
  );
};

const historyPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.get(
    '/api/model-sheets/:id/history',
    {
      config: { access: 'look' },
      schema: schemaOf(modelSheetApi['GET /api/model-sheets/:id/history'], {
        tags,
        summary: 'Who changed a model sheet, latest first',
        description: 'What it was and what it became, and how many units followed.',
        example: { answer: { changes: [sheetChange] } },
      }),
    },
    async (request) => {
      const yard = yardOf(source, request);
      return {
        changes: [...(await sheetHistory(yard, request.params.id, hiddenFrom(request)))],
      };
    },
  );
};

const writingPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.post(
    '/api/model-sheets/:id/preview',
    {
      config: { access: 'manage' },
      schema: schemaOf(modelSheetApi['POST /api/model-sheets/:id/preview'], {
        tags,
        summary: 'Which units a sheet would touch, and how',
        description: 'Nothing is changed. Changes are listed unit by unit.',
        example: {
          body: { sheet: sampleSheet },
          answer: {
            units: [
              {
                id: sample.unit,
                name: 'Fenlark 24 RKD',
                stockNumber: 'TQ-0417',
                changes: [{ ...firstChange, how: 'sheet' }],
              },
            ],
          },
        },
      }),
    },
    async (request, reply) => {
      const sheet = matching(request.params.id, request.body.sheet as ModelSheet);
      const units = await app.long(request, reply, ({ yard, breathe }) =>
        touchedBy(yard, sheet, breathe),
      );
      return { units: [...units] };
    },
  );

  app.put(
    '/api/model-sheets/:id',
    {
      config: { access: 'manage' },
      schema: schemaOf(modelSheetApi['PUT /api/model-sheets/:id'], {
        tags,
        summary: 'Keep a model sheet, and let units follow it',
        description:
          '`basedOn` is the version it was written over, 0 for a new one; 409 when somebody was faster. The units named follow it, all of them or nothing is kept.',
        example: {
          body: { sheet: sampleSheet, basedOn: 0, units: [sample.unit] },
          answer: { sheets: [keptSheet] },
        },
      }),
    },
    async (request, reply) => {
      const { basedOn, units } = request.body;
      const sheet = matching(request.params.id, request.body.sheet as ModelSheet);
      const keeping = { sheet, basedOn, units };
      await app.long(request, reply, ({ yard }) =>
        yard.within((within) => keepSheet(within, keeping)),
      );
      return { sheets: [...(await sheetsOf(yardOf(source, request)))] };
    },
  );

  app.delete(
    '/api/model-sheets/:id',
    {
      config: { access: 'manage' },
      schema: schemaOf(modelSheetApi['DELETE /api/model-sheets/:id'], {
        tags,
        summary: 'Take a model sheet away; units keep what they took over',
      }),
    },
    async (request, reply) => {
      await yardOf(source, request).within((yard) => dropSheet(yard, request.params.id));
      return reply.status(204).send(null);
    },
  );
};

const offersPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.post(
    '/api/model-sheets/:id/offers',
    {
      config: { access: 'record' },
      schema: schemaOf(modelSheetApi['POST /api/model-sheets/:id/offers'], {
        tags,
        summary: 'Offer to a sheet what was found on a unit',
        description: 'The id is the sender’s; sent twice, it is offered once.',
        example: { body: sampleOffer },
      }),
    },
    async (request, reply) => {
      const { name } = callerIn(request);
      const offer = { ...request.body, by: name, at: new Date().toISOString() } as Offer;
      await yardOf(source, request).within((yard) => addOffer(yard, request.params.id, offer));
      return reply.status(204).send(null);
    },
  );

  app.delete(
    '/api/model-sheets/:id/offers/:offer',
    {
      config: { access: 'manage' },
      schema: schemaOf(modelSheetApi['DELETE /api/model-sheets/:id/offers/:offer'], {
        tags,
        summary: 'Leave an offer, or drop it once it is taken over',
      }),
    },
    async (request, reply) => {
      const { id, offer } = request.params;
      await yardOf(source, request).within((yard) => dropOffer(yard, id, offer));
      return reply.status(204).send(null);
    },
  );
};

const word = (how: string): string => knownBy.find((row) => row.key === how)?.word ?? how;

/** How such a list begins, for the API’s page. */
const example = 'Field,By the sheet,On this unit\r\nFridge size,10 ft³,8 ft³\r\n';

const lineOf = (
  { part, key, sheet, unit }: UnitDifference,
  { system, timeZone }: { readonly system: System; readonly timeZone: string },
): readonly string[] => [
  fieldLabel(part, key),
  fieldText(part, key, sheet, 'sheet', system),
  fieldText(part, key, unit.value, unit.how, system),
  word(unit.how),
  byWhom(unit),
  dayIn(unit.at, timeZone),
];

const head = ['Field', 'By the sheet', 'On this unit', 'Known by', 'Who', 'When'];

const asOrderedPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.get(
    '/api/units/:id/as-ordered.csv',
    {
      config: { access: 'look' },
      schema: {
        tags,
        summary: 'As ordered against as arrived: a list to send back',
        description:
          'A line for each field in which the unit is not what its model sheet says, as CSV in the reader’s units. Cells that a spreadsheet would run as a formula are made plain text.',
        params,
        response: {
          200: {
            description: 'CSV in UTF-8.',
            content: { 'text/csv': { schema: z.string().meta({ example }) } },
          },
        },
      },
    },
    async (request, reply) => {
      const yard = yardOf(source, request);
      const hidden = hiddenFrom(request);
      const { record } = await readUnit(yard, request.params.id, hidden);
      const sheets = (await sheetsOf(yard, hidden)).map(({ sheet }) => sheet);
      const inherited = inheritedBy(record, sheets);
      if (!inherited) {
        throw new Refusal(
          'not-found',
          'The yard has no model sheet of this unit’s series, floor plan and year.',
        );
      }
      const { ownSystem, yardSystem, timeZone } = callerIn(request);
      const reader = { system: ownSystem ?? yardSystem, timeZone };
      const rows = unitDifferences(record, inherited.values).map((d) => lineOf(d, reader));
      const text = Papa.unparse([head, ...rows.map((row) => [...row])], {
        escapeFormulae: true,
        newline: '\r\n',
      });
      const name = nameOf(record)
        .replaceAll(/[^\w-]+/g, '-')
        .toLowerCase();
      return reply
        .header('content-disposition', `attachment; filename="${name}-as-ordered.csv"`)
        .type('text/csv; charset=utf-8')
        .send(`\uFEFF${text}\r\n`);
    },
  );
};

const sheetTaken = new Refusal(
  'sheet-taken',
  'This yard has a sheet of that series, floor plan and year already. Change that one, or give this one another floor plan or year.',
);

/** What makers say of their models, and where units are otherwise. */
export const modelSheetPlugin = async (app: App, options: { source: DataSource }) => {
  app.ownWords({ constraints: { model_sheet_model: sheetTaken } });
  await app.register(readingPlugin, options);
  await app.register(historyPlugin, options);
  await app.register(writingPlugin, options);
  await app.register(offersPlugin, options);
  await app.register(asOrderedPlugin, options);
};
