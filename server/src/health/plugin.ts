import { z } from 'zod';
import type { DataSource } from 'typeorm';
import type { App } from '../app-type.ts';

/** Whether this process and its database answer. */
export const healthPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.get(
    '/api/health',
    {
      config: { access: 'anyone', rateLimit: false },
      schema: {
        response: { 200: z.strictObject({ ok: z.literal(true), database: z.literal('answers') }) },
      },
    },
    async () => {
      await source.query('SELECT 1');
      return { ok: true as const, database: 'answers' as const };
    },
  );
};
