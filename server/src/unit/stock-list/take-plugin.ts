import { z } from 'zod';
import { isFeatureKey, isSpecKey } from '@fair-gable/core/unit/catalog';
import { howKnownSchema } from '@fair-gable/core/unit/record';
import type { Column } from '@fair-gable/core/unit/stock-list';
import type { App } from '../../base/app/index.ts';
import type { GivenList } from './reading.ts';
import { readList, takeList, type ReadList } from './take.ts';

const tags = ['units'];
const bytes = 20_000_000;

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
  /** Cells that are left out, and lines of which nobody can tell whose they are. */
  badCells: z.number().int(),
  badLines: z.number().int(),
});

const summaryOf = ({
  rows,
  fresh,
  changed,
  same,
  problems,
  problemCount,
  lost,
  badCells,
}: ReadList) => ({
  rows,
  fresh: fresh.length,
  changed: changed.length,
  same,
  problems: [...problems],
  problemCount,
  badCells,
  badLines: lost.length,
});

/** A list from elsewhere, looked at and taken in. */
export const takeListPlugin = async (app: App) => {
  app.post(
    '/api/stock-list/preview',
    {
      config: { access: 'record', anyCharacters: true },
      bodyLimit: bytes,
      schema: {
        tags,
        summary: 'What a list would do to the yard',
        description:
          'Nothing is changed. Left out, `columns` are matched by the headings; null leaves a column out. It is read in a thread of its own, one list of a yard at a time: 429 where another waits. With a `fair-gable-work` id its progress is heard as `work`; whoever leaves ends it.',
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
    async (request, reply) => {
      const list = await app.long(request, reply, (at) =>
        readList(app.threads, request.body as GivenList, at),
      );
      return {
        ...summaryOf(list),
        headings: [...list.headings],
        columns: [...list.columns] as Column[],
        sample: list.sample.map((row) => [...row]),
        decimal: list.decimal,
        understood: list.understood.map((line) => [...line]),
      };
    },
  );

  app.post(
    '/api/stock-list',
    {
      config: { access: 'record', anyCharacters: true },
      bodyLimit: bytes,
      schema: {
        tags,
        summary: 'Take in a list of units',
        description:
          'In one transaction: everything, or with `onlyGood` the cells that can be read. A line means the unit of its stock number or VIN; the same list again changes nothing.',
        body: listSchema.extend({ onlyGood: z.boolean() }),
        response: { 200: summarySchema },
      },
    },
    async (request, reply) => {
      const given = request.body as GivenList & { onlyGood: boolean };
      const list = await app.long(request, reply, (at) => takeList(app.threads, given, at));
      return summaryOf(list);
    },
  );
};
