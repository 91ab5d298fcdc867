import type { DataSource } from 'typeorm';
import { summaryApi } from '@fair-gable/core/yard/summary';
import { clockOf, yardOf } from '../../base/access/index.ts';
import { asWritten, schemaOf, type App } from '../../base/app/index.ts';
import { hiddenFrom } from '../../unit/record/index.ts';
import { pageOfSummaries } from './page.ts';
import { checkAll } from './verdicts.ts';

/** The yard as its page shows it: every unit in brief, with what the checks find at it. */
export const summaryPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.chore({ name: 'Units that nobody looked at today', work: checkAll });

  app.get(
    '/api/units/summaries',
    {
      config: { access: 'look' },
      schema: schemaOf(summaryApi['GET /api/units/summaries'], {
        tags: ['units'],
        summary: 'The yard’s units in stock in brief, in the order in which they were taken in',
        description:
          'Of each what draws, finds and compares it: values and how they are known, its questions, what it needs next and how much is left to do. A whole record is at `GET /api/units/{id}`.',
      }),
    },
    async (request, reply) => {
      const yard = yardOf(source, request);
      const page = await pageOfSummaries(yard, {
        ...request.query,
        hidden: hiddenFrom(request),
        today: (await clockOf(yard)).today,
      });
      return reply.type('application/json; charset=utf-8').send(asWritten(page));
    },
  );
};
