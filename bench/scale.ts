// Many yards and their people behind two servers on one PostgreSQL: what people at work wait for.
import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { Client } from 'pg';
import sharp from 'sharp';
import type { YardUnit } from '@fair-gable/core/unit/record';
import { freePort, startCluster } from '../tools/lib/postgres.mjs';
import { p95, timed } from './ground.ts';
import { emailOf, fillYards, password, people, unitsOfAYard, yards } from './many-yards.ts';

/** Such shares of the people are at work at once, one after the other. */
const atWork = [1 / 40, 1 / 20, 1 / 10, 1 / 5];
const lasting = Number(process.env['BENCH_SECONDS'] ?? 60) * 1000;
/** Bytes of a piece, as a phone sends them. */
const piece = 256_000;
/** How often one who is at work does what, ms. */
const every = { list: 60_000, unit: 12_000, edit: 20_000, photo: 300_000 } as const;
type Deed = keyof typeof every;

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));
const json = { 'content-type': 'application/json' } as const;
const servingChild = fileURLToPath(new URL('../tools/test/serve-child.mjs', import.meta.url));

interface Server {
  readonly child: ChildProcess;
  readonly address: string;
}

const startServer = async (databaseUrl: string): Promise<Server> => {
  const port = String(await freePort());
  const child = spawn(process.execPath, [servingChild], {
    env: { ...process.env, DATABASE_URL: databaseUrl, PORT: port },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise<void>((resolve) =>
    child.stdout?.on('data', (text: Buffer) => text.includes('listening') && resolve()),
  );
  child.stdout?.resume();
  return { child, address: `http://127.0.0.1:${port}` };
};

const megaBytes = (bytes: number): string => `${(bytes / 1_000_000).toFixed(0)} MB`;
const residentOf = ({ child }: Server): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${child.pid}/status`, 'utf8'))?.[1]) * 1024;

/** Somebody at work: at one of the two servers, with the page open. */
interface Somebody {
  readonly address: string;
  readonly cookie: string;
  readonly units: readonly string[];
}

/** The server had too much to do, and said so. */
class TooBusy extends Error {}

const get = async (
  { address, cookie }: Omit<Somebody, 'units'>,
  path: string,
): Promise<Response> => {
  const answer = await fetch(`${address}${path}`, { headers: { cookie } });
  if (answer.status === 503) throw new TooBusy();
  if (!answer.ok) throw new Error(`${path}: ${answer.status}`);
  return answer;
};

/** Signs somebody in. @param firstLooks what their first look at the yard takes is put there: most often its units must be checked first */
const comeToWork = async (
  n: number,
  servers: readonly Server[],
  firstLooks: number[],
): Promise<Somebody> => {
  const { address } = servers[n % servers.length] as Server;
  const answer = await fetch(`${address}/api/session`, {
    method: 'POST',
    headers: json,
    body: JSON.stringify({ email: emailOf(n), password }),
  });
  if (!answer.ok) throw new Error(`sign-in ${n}: ${answer.status}`);
  const cookie = answer.headers.get('set-cookie')?.split(';')[0] ?? '';
  let units: readonly string[] = [];
  firstLooks.push(
    await timed(async () => {
      const answer = await get({ address, cookie }, '/api/units/summaries');
      const page = (await answer.json()) as { units: readonly { id: string }[] };
      units = page.units.map(({ id }) => id);
    }),
  );
  return { address, cookie, units };
};

/** When each edit was sent, by unit: whoever hears of it counts from there. */
type SentAt = Map<string, number>;

/** Hears the news of a yard until it is over. */
const hear = async (
  { address, cookie }: Somebody,
  sentAt: SentAt,
  waits: number[],
  over: AbortSignal,
): Promise<void> => {
  const answer = await fetch(`${address}/api/live`, { headers: { cookie }, signal: over });
  const text = new TextDecoder();
  for await (const chunk of answer.body ?? []) {
    for (const [, id = ''] of text
      .decode(chunk as Uint8Array)
      .matchAll(/event: unit\ndata: {"id":"([^"]+)"/g)) {
      const sent = sentAt.get(id);
      if (sent !== undefined) waits.push(performance.now() - sent);
    }
  }
};

const send = async (
  { address, cookie }: Somebody,
  method: string,
  path: string,
  body: BodyInit,
  type: string,
): Promise<void> => {
  const headers = { cookie, 'content-type': type };
  const answer = await fetch(`${address}${path}`, { method, headers, body });
  if (answer.status === 503) throw new TooBusy();
  // Two of one yard may change the same field: the second is told, as it should be.
  if (!answer.ok && answer.status !== 409)
    throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
  await answer.text();
};

/** One thing that somebody does; what it takes, ms. */
const deeds = (photo: Uint8Array<ArrayBuffer>, sentAt: SentAt) => {
  const some = ({ units }: Somebody): string =>
    units[Math.floor(Math.random() * units.length)] as string;
  const edit = async (who: Somebody): Promise<number> => {
    const unit = some(who);
    const { record } = (await (await get(who, `/api/units/${unit}`)).json()) as YardUnit;
    const value = { kind: 'quantity', amount: 5000 + Math.floor(Math.random() * 2000) };
    const basedOn = record.specs.gvwr?.version ?? 0;
    const changes = [{ part: 'specs', key: 'gvwr', value, how: 'read', basedOn }];
    const body = JSON.stringify({ id: randomUUID(), changes });
    sentAt.set(unit, performance.now());
    return timed(() => send(who, 'POST', `/api/units/${unit}/edits`, body, json['content-type']));
  };
  return {
    list: (who) => timed(async () => (await get(who, '/api/units/summaries')).arrayBuffer()),
    unit: (who) => timed(async () => (await get(who, `/api/units/${some(who)}`)).arrayBuffer()),
    edit,
    photo: (who) => {
      const path = `/api/units/${some(who)}/photos/${randomUUID()}/upload`;
      return timed(async () => {
        for (let from = 0; from < photo.length; from += piece) {
          const part = photo.slice(from, from + piece);
          const place = `${path}?from=${from}&of=${photo.length}`;
          await send(who, 'PUT', place, part, 'application/octet-stream');
        }
      });
    },
  } satisfies Record<Deed, (who: Somebody) => Promise<number>>;
};

const busy = async (
  until: number,
  wait: number,
  work: () => Promise<number>,
  times: number[],
): Promise<void> => {
  const rest = (ms: number): Promise<void> =>
    pause(Math.max(0, Math.min(ms, until - performance.now())));
  await rest(Math.random() * wait);
  while (performance.now() < until) {
    // Who is told to come back counts as one who waited in vain.
    times.push(
      await work().catch((error: unknown) => {
        if (error instanceof TooBusy) return Infinity;
        throw error;
      }),
    );
    await rest(wait * (0.5 + Math.random()));
  }
};

const measure = async (
  staff: readonly Somebody[],
  photo: Uint8Array<ArrayBuffer>,
  client: Client,
): Promise<void> => {
  const sentAt: SentAt = new Map();
  const news: number[] = [];
  const over = new AbortController();
  const hearing = staff.map((who) => hear(who, sentAt, news, over.signal).catch(() => undefined));
  const doing = deeds(photo, sentAt);
  const times: Record<Deed, number[]> = { list: [], unit: [], edit: [], photo: [] };
  const until = performance.now() + lasting;
  const all = staff.flatMap((who) =>
    (Object.keys(every) as Deed[]).map((deed) =>
      busy(until, every[deed], () => doing[deed](who), times[deed]),
    ),
  );
  await pause(lasting / 2);
  const { rows } = await client.query<{ n: number }>(
    `SELECT count(*)::int AS n FROM pg_stat_activity WHERE datname = current_database()`,
  );
  await Promise.all(all);
  over.abort();
  await Promise.all(hearing);
  const told = Object.entries({ ...times, news })
    .map(([deed, of]) => {
      const answered = of.filter(Number.isFinite);
      const inVain = of.length - answered.length;
      return `${deed} ${p95(answered).toFixed(0)} ms (${of.length}${inVain ? `, ${inVain} told to come back` : ''})`;
    })
    .join(', ');
  console.log(
    `${staff.length} of ${people} people at work, p95: ${told}; ${(rows[0]?.n ?? 0) - 1} connections`,
  );
};

const disk = async (client: Client): Promise<void> => {
  const { rows } = await client.query<{ name: string; bytes: string }>(
    `SELECT relname AS name, pg_total_relation_size(oid) AS bytes FROM pg_class
     WHERE relkind = 'r' AND relnamespace = 'public'::regnamespace ORDER BY 2 DESC LIMIT 5`,
  );
  const whole = await client.query<{ bytes: string }>(
    'SELECT pg_database_size(current_database()) AS bytes',
  );
  const tables = rows.map(({ name, bytes }) => `${name} ${megaBytes(Number(bytes))}`).join(', ');
  console.log(`on the disk ${megaBytes(Number(whole.rows[0]?.bytes))}: ${tables}`);
};

/** Waits until the clock has looked at every unit. */
const untilChecked = async (client: Client): Promise<void> => {
  for (;;) {
    const { rows } = await client.query<{ n: number }>(
      'SELECT count(*)::int AS n FROM unit WHERE summary_for IS NULL AND in_stock',
    );
    if (rows[0]?.n === 0) return;
    await pause(1000);
  }
};

/** Prints what each of several crowds waits for; `BENCH_SECONDS` says how long each is at work, `BENCH_YARDS` how many yards there are. */
export const benchScale = async (): Promise<void> => {
  const folder = mkdtempSync('/var/tmp/fair-gable-scale-');
  chmodSync(folder, 0o755);
  const cluster = await startCluster(folder, { throwAway: true });
  const servers: Server[] = [];
  const client = new Client({ connectionString: cluster.url });
  try {
    const first = await startServer(cluster.url);
    first.child.kill('SIGTERM');
    await client.connect();
    const filling = await timed(() => fillYards(client));
    console.log(
      `${yards} yards of ${unitsOfAYard} units and ${people} people put there in ${(filling / 1000).toFixed(0)} s`,
    );
    await disk(client);
    const checking = await timed(async () => {
      servers.push(await startServer(cluster.url), await startServer(cluster.url));
      await untilChecked(client);
    });
    console.log(`every unit checked by the clock in ${(checking / 1000).toFixed(0)} s`);
    const rough = await sharp({
      create: {
        width: 2000,
        height: 1500,
        channels: 3,
        background: '#777',
        noise: { type: 'gaussian', mean: 128, sigma: 18 },
      },
    })
      .jpeg({ quality: 70 })
      .toBuffer();
    const photo = new Uint8Array(rough.subarray());
    console.log(`a photo has ${megaBytes(photo.length)}`);
    const staff: Somebody[] = [];
    const firstLooks: number[] = [];
    for (const share of atWork) {
      while (staff.length < people * share)
        staff.push(await comeToWork(staff.length, servers, firstLooks));
      await measure(staff, photo, client);
    }
    console.log(`the first look at a yard, p95: ${p95(firstLooks).toFixed(0)} ms`);
    console.log(
      `memory of the servers: ${servers.map((s) => megaBytes(residentOf(s))).join(' and ')}`,
    );
    await disk(client);
  } finally {
    await client.end();
    for (const { child } of servers) child.kill('SIGTERM');
    await cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  }
};
