import { Readable } from 'node:stream';
import { z } from 'zod';
import type { DataSource } from 'typeorm';
import { toUnitFile, unitFileSchema } from '@fair-gable/core/unit/unit-file';
import type { App } from '../../base/app/index.ts';
import { callerIn, yardOf } from '../../base/access/index.ts';
import { hiddenFrom, recordsOf, sampleUnit } from '../record/index.ts';
import { columnsFor, headLine, unitLine } from './csv.ts';
import { takeListPlugin } from './take-plugin.ts';

/** How such a list begins, for the API’s page. */
const example = 'Ball size,Coupler rating\r\n"2 in","3,500 lb"\r\n';

const csvPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.get(
    '/api/stock-list.csv',
    {
      config: { access: 'look' },
      schema: {
        tags: ['units'],
        summary: 'The yard’s stock as CSV',
        description:
          'A line for each unit in stock, a column for each entry of the catalog, in the reader’s units. Cells that a spreadsheet would run as a formula are made plain text. Guests get it without the yard’s prices.',
        response: {
          200: {
            description: 'CSV in UTF-8, comma between, CRLF at the end.',
            content: { 'text/csv': { schema: z.string().meta({ example }) } },
          },
        },
      },
    },
    async (request, reply) => {
      const hidden = hiddenFrom(request);
      const { ownSystem, yardSystem } = callerIn(request);
      const columns = columnsFor(hidden);
      const yard = yardOf(source, request);
      const lines = async function* () {
        // Spreadsheets know UTF-8 by this mark.
        yield `\uFEFF${headLine(columns)}`;
        for await (const { record } of recordsOf(yard, hidden)) {
          yield unitLine(record, ownSystem ?? yardSystem, columns);
        }
      };
      return reply
        .header('content-disposition', 'attachment; filename="stock-list.csv"')
        .type('text/csv; charset=utf-8')
        .send(Readable.from(lines()) as never);
    },
  );
};

const jsonPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.get(
    '/api/stock-list.json',
    {
      config: { access: 'look' },
      schema: {
        tags: ['units'],
        summary: 'The yard’s stock as JSON',
        description:
          'An array of unit files (docs/file-format.md), as they are read: the list is sent while it is made. Guests get it without the yard’s prices.',
        example: { answer: [toUnitFile(sampleUnit.id, sampleUnit.record)] },
        response: {
          200: {
            description: 'An array of unit files.',
            content: {
              'application/json': { schema: z.array(unitFileSchema) },
            },
          },
        },
      },
    },
    async (request, reply) => {
      const hidden = hiddenFrom(request);
      const yard = yardOf(source, request);
      const parts = async function* () {
        let before = '[';
        for await (const { id, record } of recordsOf(yard, hidden)) {
          yield `${before}\n${JSON.stringify(toUnitFile(id, record))}`;
          before = ',';
        }
        yield before === '[' ? '[]\n' : '\n]\n';
      };
      return reply
        .header('content-disposition', 'attachment; filename="stock-list.json"')
        .type('application/json; charset=utf-8')
        .send(Readable.from(parts()) as never);
    },
  );
};

/** The yard's stock as a list: out for a spreadsheet or a program, and in from one. */
export const stockListPlugin = async (app: App, options: { source: DataSource }) => {
  await app.register(csvPlugin, options);
  await app.register(jsonPlugin, options);
  await app.register(takeListPlugin);
};
