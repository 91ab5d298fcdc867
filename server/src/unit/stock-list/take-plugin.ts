import { stockListApi } from '@fair-gable/core/unit/stock-list';
import type { Column } from '@fair-gable/core/unit/stock-list';
import { schemaOf, type App } from '../../base/app/index.ts';
import type { GivenList } from './reading.ts';
import { readList, takeList, type ReadList } from './take.ts';
import { sampleCount, sampleList } from './examples.ts';

const tags = ['units'];
const bytes = 20_000_000;

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
      schema: schemaOf(stockListApi['POST /api/stock-list/preview'], {
        tags,
        summary: 'What a list would do to the yard',
        description:
          'Nothing is changed. Left out, `columns` are matched by the headings; null leaves a column out. It is read in a thread of its own, one list of a yard at a time: 429 where another waits. With a `fair-gable-work` id its progress is heard as `work`; whoever leaves ends it.',
        example: {
          body: sampleList,
          answer: {
            ...sampleCount,
            headings: ['Stock #', 'Dry weight'],
            columns: ['stockNumber', 'uvw'],
            sample: [['TQ-0500', '5200']],
            decimal: 'point',
            understood: [
              [
                { says: 'TQ-0500', before: null },
                { says: '5,200 lb', before: null },
              ],
            ],
          },
        },
      }),
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
      schema: schemaOf(stockListApi['POST /api/stock-list'], {
        tags,
        summary: 'Take in a list of units',
        description:
          'In one transaction: everything, or with `onlyGood` the cells that can be read. A line means the unit of its stock number or VIN; the same list again changes nothing.',
        example: { body: { ...sampleList, onlyGood: false }, answer: sampleCount },
      }),
    },
    async (request, reply) => {
      const given = request.body as GivenList & { onlyGood: boolean };
      const list = await app.long(request, reply, (at) => takeList(app.threads, given, at));
      return summaryOf(list);
    },
  );
};
