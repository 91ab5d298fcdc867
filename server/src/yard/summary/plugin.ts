import type { DataSource } from 'typeorm';
import { summaryApi } from '@fair-gable/core/yard/summary';
import { clockOf, yardOf } from '../../base/access/index.ts';
import { asWritten, schemaOf, type App } from '../../base/app/index.ts';
import { hiddenFrom } from '../../unit/record/index.ts';
import { pageOfSummaries } from './page.ts';
import { renewAll } from './renewing.ts';
import { sampleSummary } from './examples.ts';

/** The yard as its page shows it: every unit in brief, with what the checks find at it. */
export const summaryPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.chore({ name: 'Units that nobody looked at today', work: renewAll });

  app.get(
    '/api/units/summaries',
    {
      config: { access: 'look' },
      schema: schemaOf(summaryApi['GET /api/units/summaries'], {
        tags: ['units'],
        summary: 'The yard’s units in stock in brief, in the order in which they were taken in',
        description:
          'Of each what finds and compares it (`record`), its questions, all that draws it packed by how it is known (`packed`), what it needs next and how much is left to do. A whole record is at `GET /api/units/{id}`.',
        example: { answer: { total: 1, units: [sampleSummary] } },
      }),
    },
    async (request, reply) => {
      const yard = yardOf(source, request);
      const page = await pageOfSummaries(yard, {
        ...request.query,
        seesAll: hiddenFrom(request).length === 0,
        today: (await clockOf(yard)).today,
      });
      return reply.type('application/json; charset=utf-8').send(asWritten(page));
    },
  );
};
