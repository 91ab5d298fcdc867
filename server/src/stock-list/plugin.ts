import { Readable } from 'node:stream';
import { z } from 'zod';
import type { DataSource } from 'typeorm';
import type { UnitRecord } from '@fair-gable/core';
import type { App } from '../app-type.ts';
import type { InYard } from '../database/index.ts';
import { callerIn, yardOf } from '../people/index.ts';
import { hiddenFrom, pageOfUnits } from '../record/index.ts';
import { columnsFor, headLine, unitLine } from './csv.ts';

/** How such a list begins, for the API’s page. */
const example = 'Ball size,Coupler rating\r\n"2 in","3,500 lb"\r\n';

/** Units read at once: a list of ten thousand never lies in memory whole. */
const limit = 100;

const recordsOf = async function* (yard: InYard, hidden: readonly string[]) {
  for (let from = 0; ; from += limit) {
    const query = { from, limit, sort: 'taken-in', order: 'asc' } as const;
    const page = JSON.parse(await pageOfUnits(yard, query, hidden)) as {
      units: readonly { record: UnitRecord }[];
    };
    for (const { record } of page.units) yield record;
    if (page.units.length < limit) return;
  }
};

/** The yard's stock as a list for a spreadsheet. */
export const stockListPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.get(
    '/api/stock-list.csv',
    {
      schema: {
        tags: ['units'],
        summary: 'The yard’s stock as CSV',
        description:
          'A line for each unit in stock, a column for each entry of the catalogue, in the reader’s units. Cells that a spreadsheet would run as a formula are made plain text. Guests get it without the yard’s prices.',
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
        for await (const record of recordsOf(yard, hidden)) {
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
