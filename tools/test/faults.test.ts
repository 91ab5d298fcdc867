import { randomUUID } from 'node:crypto';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { Client } from 'pg';
import { afterAll, describe, expect, it, jest } from '@jest/globals';
import { networkFrom, serve } from '../../server/dist/program/index.js';
import { freePort, removeCluster, startCluster } from '../lib/postgres.mjs';
import { killAll, ownFolder, root, startBy, type Started, unitsInDemo } from './support.ts';

jest.setTimeout(600_000);
afterAll(killAll);

const demo = join(root, 'demo');
const json = { 'content-type': 'application/json' };

const signIn = async (address: string): Promise<string> => {
  const body = JSON.stringify({ email: 'ines@thornquay.example', password: 'spring-ferry-22' });
  const response = await fetch(`${address}/api/session`, { method: 'POST', headers: json, body });
  return response.headers.get('set-cookie')?.split(';')[0] ?? '';
};

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

/** Somebody who edits one field over and over, and sends again what got no answer, as devices do. */
interface Writer {
  readonly field: string;
  readonly acknowledged: string[];
  made: number;
}

interface Server {
  readonly child: Started;
  readonly address: string;
}

/** A server that is killed and replaced over and over, and those who write through it. */
interface Lane {
  server: Server;
  /** Writes that were sent and are not answered yet. */
  underway: number;
  readonly writers: readonly Writer[];
}

const startServer = async (databaseUrl: string): Promise<Server> => {
  const port = await freePort();
  const env = { DATABASE_URL: databaseUrl, PORT: String(port) };
  const child = startBy(['node', 'tools/test/serve-child.mjs'], env);
  await child.says(/listening/);
  return { child, address: `http://127.0.0.1:${port}` };
};

const ownDatabase = async (): Promise<string> => {
  const cluster = process.env['TEST_POSTGRES'] ?? '';
  const name = `faults_${randomUUID().replaceAll('-', '')}`;
  const admin = new Client({ connectionString: cluster });
  await admin.connect();
  await admin.query(`CREATE DATABASE "${name}"`).finally(() => admin.end());
  const url = new URL(cluster);
  url.pathname = `/${name}`;
  return url.href;
};

const change = (key: string, amount: number, basedOn: number) => ({
  part: 'specs',
  key,
  value: { kind: 'quantity', amount },
  how: 'read',
  basedOn,
});

const post = (server: Server, cookie: string, path: string, body: unknown) =>
  fetch(`${server.address}${path}`, {
    method: 'POST',
    headers: { ...json, cookie },
    body: JSON.stringify(body),
  });

// Side by side: one waits for a minute, the other works.
describe('faults', () => {
  it.concurrent(
    'the database gone for a minute is told in a sentence, and everything goes on when it is back',
    async () => {
      const folder = ownFolder();
      const port = await freePort();
      const cluster = await startCluster(folder, { throwAway: true, port });
      const serving = await serve({
        databaseUrl: cluster.url,
        network: { ...networkFrom({}), port: 0 },
        webRoot: demo,
        demoFolder: demo,
      });
      const cookie = await signIn(serving.address);
      const get = (path: string) => fetch(`${serving.address}${path}`, { headers: { cookie } });
      const live = await get('/api/live');
      let heard = '';
      void (async () => {
        for await (const chunk of live.body!.pipeThrough(new TextDecoderStream())) heard += chunk;
      })().catch(() => {});

      await cluster.stop();
      const until = Date.now() + 60_000;
      while (Date.now() < until) {
        const answer = await get('/api/units');
        const { code, detail } = (await answer.json()) as { code: string; detail: string };
        expect([answer.status, code]).toEqual([503, 'database-away']);
        expect(detail).toMatch(/^The database does not answer at the moment\. Nothing was lost/);
        const health = await fetch(`${serving.address}/api/health`);
        expect(health.status).toBe(503);
        expect(await health.json()).toMatchObject({
          ok: false,
          database: 'away',
          live: { hears: false },
        });
        await pause(3000);
      }
      const again = await startCluster(folder, { throwAway: true, port });
      for (let i = 0; i < 1200 && (await get('/api/health')).status !== 200; i++) await pause(100);
      expect(((await (await get('/api/units')).json()) as { total: number }).total).toBe(
        unitsInDemo,
      );
      for (let i = 0; i < 1200 && !heard.includes('catch-up'); i++) await pause(100);
      expect(heard).toContain('event: catch-up');
      expect(await (await get('/api/health')).json()).toMatchObject({
        ok: true,
        live: { hears: true, screens: 1 },
      });
      await serving.stop();
      await again.stop();
      await removeCluster(folder);
      rmSync(folder, { recursive: true, force: true });
    },
  );

  it.concurrent(
    'the server killed a hundred times in mid-write loses nothing acknowledged, and makes nothing twice',
    async () => {
      const killsOfALane = 50;
      const databaseUrl = await ownDatabase();
      const first = await startServer(databaseUrl);
      const cookie = await signIn(first.address);
      const unit = randomUUID();
      const fields = ['gvwr', 'uvw', 'ccc', 'hitchWeight', 'overallLength', 'freshTank'];
      const changes = fields.map((key) => change(key, 1, 0));
      expect((await post(first, cookie, '/api/units', { id: unit, changes })).status).toBe(201);

      const writers = fields.map((field): Writer => ({ field, acknowledged: [], made: 1 }));
      const lanes: readonly Lane[] = [
        { server: first, underway: 0, writers: writers.slice(0, 3) },
        { server: await startServer(databaseUrl), underway: 0, writers: writers.slice(3) },
      ];
      let isOver = false;
      /** Where a server does not come up again nobody writes on for ever. */
      let hasFailed = false;

      /** Sends an edit until it is answered, by whichever server is there by then. */
      const sent = async (lane: Lane, edit: { id: string; changes: unknown[] }): Promise<void> => {
        while (!hasFailed) {
          const path = `/api/units/${unit}/edits`;
          lane.underway += 1;
          const answer = await post(lane.server, cookie, path, edit)
            .catch(() => undefined)
            .finally(() => (lane.underway -= 1));
          if (answer && answer.status < 500) {
            const { code } = (await answer.json().catch(() => ({}))) as { code?: string };
            expect([answer.status, code]).toEqual([200, undefined]);
            return;
          }
          await pause(20);
        }
      };
      const write = async (lane: Lane, writer: Writer): Promise<void> => {
        while (!isOver) {
          const edit = {
            id: randomUUID(),
            changes: [change(writer.field, writer.made + 1, writer.made)],
          };
          await sent(lane, edit);
          writer.acknowledged.push(edit.id);
          writer.made += 1;
          await pause(150);
        }
      };
      const kill = async (lane: Lane): Promise<void> => {
        for (let i = 0; i < killsOfALane; i++) {
          const next = await startServer(databaseUrl);
          const { child } = lane.server;
          // Always while somebody waits for an answer, from its first millisecond on to its last.
          while (lane.underway === 0) await pause(1);
          await pause(i % 8);
          child.child.kill('SIGKILL');
          lane.server = next;
          await child.ended;
        }
      };
      const writing = Promise.all(lanes.flatMap((lane) => lane.writers.map((w) => write(lane, w))));
      try {
        await Promise.all(lanes.map(kill));
      } catch (error) {
        hasFailed = true;
        throw error;
      } finally {
        isOver = true;
        await writing;
        for (const { server } of lanes) server.child.child.kill('SIGKILL');
      }

      const client = new Client({ connectionString: databaseUrl });
      await client.connect();
      const made = await client.query<{ edit: string; n: number }>(
        `SELECT edit_id AS edit, count(*)::int AS n FROM record_change WHERE edit_id IS NOT NULL GROUP BY 1`,
      );
      const versions = await client.query<{ key: string; version: number }>(
        `SELECT key, version FROM record_field WHERE unit_id = $1`,
        [unit],
      );
      await client.end();
      const kept = new Map(made.rows.map(({ edit, n }) => [edit, n]));
      const acknowledged = writers.flatMap((writer) => writer.acknowledged);
      expect(acknowledged.length).toBeGreaterThan(1000);
      expect(acknowledged.filter((id) => kept.get(id) !== 1)).toEqual([]);
      expect(kept.size).toBe(acknowledged.length);
      expect(Object.fromEntries(versions.rows.map(({ key, version }) => [key, version]))).toEqual(
        Object.fromEntries(writers.map((writer) => [writer.field, writer.made])),
      );
    },
  );
});
