import { z } from 'zod';
import type { DataSource } from 'typeorm';
import { howKnownSchema, isFeatureKey, isSpecKey, type Column } from '@fair-gable/core';
import type { App } from '../app-type.ts';
import { callerIn, yardOf } from '../people/index.ts';
import { readList, takeList, type GivenList, type ReadList } from './take.ts';

const tags = ['units'];
const bytes = 20_000_000;
/** Problems beyond these are counted, and told once the first are mended. */
const mostProblems = 200;
const mostSample = 8;

const columnSchema = z
  .string()
  .max(60)
  .refine((key) => isSpecKey(key) || isFeatureKey(key), 'No such field.')
  .nullable();

const listSchema = z.strictObject({
  /** The list itself, comma, semicolon or tab between. */
  text: z.string().max(bytes),
  columns: z.array(columnSchema).max(1000).optional(),
  system: z.enum(['us', 'metric']),
  how: howKnownSchema,
  /** What stands before the decimals; left out, it is decided by the list. */
  decimal: z.enum(['point', 'comma']).optional(),
});

const summarySchema = z.strictObject({
  rows: z.number().int(),
  fresh: z.number().int(),
  changed: z.number().int(),
  same: z.number().int(),
  problems: z.array(
    z.strictObject({ line: z.number().int(), column: z.number().int(), sentence: z.string() }),
  ),
  problemCount: z.number().int(),
});

const summaryOf = ({ lines, fresh, changed, same, problems }: ReadList) => ({
  rows: lines.length,
  fresh: fresh.length,
  changed: changed.length,
  same,
  problems: problems.slice(0, mostProblems),
  problemCount: problems.length,
});

/** A list from elsewhere, looked at and taken in. */
export const takeListPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.post(
    '/api/stock-list/preview',
    {
      bodyLimit: bytes,
      config: { anyCharacters: true },
      schema: {
        tags,
        summary: 'What a list would do to the yard',
        description:
          'Nothing is changed. Left out, `columns` are matched by the headings; null leaves a column out.',
        body: listSchema,
        response: {
          200: summarySchema.extend({
            headings: z.array(z.string()),
            columns: z.array(columnSchema),
            sample: z.array(z.array(z.string())),
            decimal: z.enum(['point', 'comma']),
            understood: z
              .array(
                z.array(
                  z.strictObject({ says: z.string().nullable(), before: z.string().nullable() }),
                ),
              )
              .describe(
                'Of the same lines as `sample`: what was understood, and what stands there now.',
              ),
          }),
        },
      },
    },
    async (request) => {
      const list = await readList(yardOf(source, request), request.body as GivenList);
      return {
        ...summaryOf(list),
        headings: [...list.headings],
        columns: [...list.columns] as Column[],
        sample: list.cells.slice(0, mostSample).map((row) => [...row]),
        decimal: list.decimal,
        understood: list.understood.slice(0, mostSample).map((line) => [...line]),
      };
    },
  );

  app.post(
    '/api/stock-list',
    {
      bodyLimit: bytes,
      config: { anyCharacters: true },
      schema: {
        tags,
        summary: 'Take in a list of units',
        description:
          'In one transaction: everything, or with `onlyGood` the cells that can be read. A line means the unit of its stock number or VIN; the same list again changes nothing.',
        body: listSchema.extend({ onlyGood: z.boolean() }),
        response: { 200: summarySchema },
      },
    },
    async (request) => {
      const { yardId, personId, name } = callerIn(request);
      const given = request.body as GivenList & { onlyGood: boolean };
      return summaryOf(await takeList(source, yardId, given, { personId, name }));
    },
  );
};
