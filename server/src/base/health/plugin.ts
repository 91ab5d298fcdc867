import { setTimeout as sleep } from 'node:timers/promises';
import { z } from 'zod';
import type { DataSource } from 'typeorm';
import type { App } from '../app/index.ts';

interface Pool {
  readonly totalCount: number;
  readonly idleCount: number;
  readonly waitingCount: number;
}

const healthSchema = z.strictObject({
  ok: z.boolean(),
  database: z.enum(['answers', 'away']),
  migrations: z.strictObject({
    newest: z.string().nullable(),
    applied: z.number(),
    missing: z.number(),
  }),
  /** Requests for a database connection: at work, and waiting for one. */
  queue: z.strictObject({ working: z.number(), waiting: z.number() }),
  /** Whether changes made by other processes are heard, and screens that listen. */
  live: z.strictObject({ hears: z.boolean(), screens: z.number() }),
});

const example = {
  ok: true,
  database: 'answers',
  migrations: { newest: 'FirmGround1795651200000', applied: 2, missing: 0 },
  queue: { working: 0, waiting: 0 },
  live: { hears: true, screens: 3 },
} satisfies z.infer<typeof healthSchema>;

/** A database that says nothing for so long is away, ms: whoever looks after it will not wait. */
const answersWithin = 1500;

const applied = async (source: DataSource): Promise<readonly string[] | undefined> => {
  const late = new AbortController();
  const rows = source.query<{ name: string }[]>('SELECT name FROM migration ORDER BY id');
  const silence = sleep(answersWithin, undefined, { signal: late.signal, ref: false });
  const first = await Promise.race([rows, silence]).catch(() => undefined);
  late.abort();
  // Where it answers later after all, nobody waits for it.
  rows.catch(() => undefined);
  silence.catch(() => undefined);
  return first?.map((row) => row.name);
};

const queueOf = (source: DataSource) => {
  const { master } = source.driver as unknown as { master: Pool };
  return { working: master.totalCount - master.idleCount, waiting: master.waitingCount };
};

/** Whether this process, its database and the tables in it are as they should be. */
export const healthPlugin = async (app: App, { source }: { source: DataSource }) => {
  app.get(
    '/api/health',
    {
      config: { access: 'anyone', rateLimit: false, anonymous: true },
      schema: {
        tags: ['health'],
        summary: 'Whether this process and its database are well',
        description: '503 while they are not.',
        example: { answer: example },
        response: { 200: healthSchema, 503: healthSchema },
      },
    },
    async (_request, reply) => {
      const names = await applied(source);
      const known = source.migrations.map(({ name, constructor }) => name ?? constructor.name);
      const missing = known.filter((name) => !names?.includes(name)).length;
      const ok = names !== undefined && missing === 0;
      return reply.status(ok ? 200 : 503).send({
        ok,
        database: names ? 'answers' : 'away',
        migrations: { newest: names?.at(-1) ?? null, applied: names?.length ?? 0, missing },
        queue: queueOf(source),
        live: { hears: app.listener.hears, screens: app.listener.screens },
      });
    },
  );
};
