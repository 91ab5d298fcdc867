import type { DataSource } from 'typeorm';
import { settingsApi } from '@fair-gable/core/yard/settings';
import { accountsBehind, yardHistory, yardOf } from '../../base/access/index.ts';
import { schemaOf, type App } from '../../base/app/index.ts';
import { sampleYardChange } from './examples.ts';
import { changeYard } from './settings.ts';

const tags = ['yard'];

/** How a yard goes by: its name, units, time zone, routes and views; and what was changed about it and its people. */
export const settingsPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.put(
    '/api/yard',
    {
      config: { access: 'manage' },
      schema: schemaOf(settingsApi['PUT /api/yard'], {
        tags,
        summary: 'Set the yard’s name, usual units, house views and glossary',
        description: 'What is left out stays as it is.',
        example: {
          body: { name: 'Thornquay yard', system: 'us', houseViews: { 'slide-topper': 'wanted' } },
        },
      }),
    },
    async (request, reply) => {
      await yardOf(source, request).within((yard) => changeYard(yard, request.body));
      return reply.status(204).send(null);
    },
  );

  app.get(
    '/api/yard/history',
    {
      config: { access: 'manage' },
      schema: schemaOf(settingsApi['GET /api/yard/history'], {
        tags,
        summary: 'What was changed about the yard and its people, latest first',
        example: { answer: { changes: [sampleYardChange] } },
      }),
    },
    async (request) => {
      const changes = await yardHistory(yardOf(source, request));
      const accounts = await accountsBehind(source.manager, changes);
      return {
        changes: changes.map(({ id, what, subject, from, to, by, personId, at }) => ({
          id,
          what,
          subject,
          from,
          to,
          by,
          account: accounts.get(personId) ?? null,
          at: at.toISOString(),
        })),
      };
    },
  );
};
