// 200 readers and 20 writers on one unit for a minute, against one reader alone.
import { Client } from 'pg';
import { locatedEntries, specs } from '@fair-gable/core/unit/catalog';
import { openGround, p95, timed, type Ground } from './ground.ts';

const readers = 200;
const writers = 20;
const lasting = Number(process.env['BENCH_SECONDS'] ?? 60) * 1000;
/** A reader looks again a second after the last answer; a writer changes something twice a second. */
const readEvery = 1000;
const writeEvery = 500;

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

const read = (ground: Ground, unit: string) =>
  timed(async () => {
    const answer = await fetch(`${ground.serving.address}/api/units/${unit}`, {
      headers: { cookie: ground.cookie },
    });
    if (!answer.ok) throw new Error(`a reader got ${answer.status}`);
    await answer.text();
  });

const reader = async (ground: Ground, unit: string, until: number, times: number[]) => {
  await pause(Math.random() * readEvery);
  while (performance.now() < until) {
    times.push(await read(ground, unit));
    await pause(readEvery);
  }
};

interface Field {
  readonly part: 'specs' | 'places';
  readonly key: string;
  readonly value: (n: number) => unknown;
}

/** A field for each writer, for none of them is to wait for another's decision. */
const fields: readonly Field[] = [
  ...specs
    .filter(({ value }) => value.kind === 'quantity')
    .map(({ key }): Field => ({
      part: 'specs',
      key,
      value: (n) => ({ kind: 'quantity', amount: 100 + n }),
    })),
  ...locatedEntries.map(({ key }): Field => ({
    part: 'places',
    key,
    value: (n) => ({ back: n % 300, side: 'door' }),
  })),
];

/** Writes one field over and over; every edit that is acknowledged is noted. */
const writer = async (
  ground: Ground,
  unit: string,
  { part, key, value }: Field,
  until: number,
  sent: string[],
) => {
  const path = `${ground.serving.address}/api/units/${unit}`;
  const headers = { cookie: ground.cookie };
  const { record } = (await (await fetch(path, { headers })).json()) as {
    record: Record<Field['part'], Record<string, { version: number } | undefined>>;
  };
  let version = record[part][key]?.version ?? 0;
  while (performance.now() < until) {
    const id = crypto.randomUUID();
    const changes = [{ part, key, value: value(version), how: 'measured', basedOn: version }];
    const answer = await fetch(`${path}/edits`, {
      method: 'POST',
      headers: { ...headers, 'content-type': 'application/json' },
      body: JSON.stringify({ id, changes }),
    });
    if (!answer.ok) throw new Error(`a writer got ${answer.status}: ${await answer.text()}`);
    sent.push(id);
    version += 1;
    await pause(writeEvery);
  }
};

const lost = async (url: string, sent: readonly string[]): Promise<number> => {
  const client = new Client({ connectionString: url });
  await client.connect();
  const { rows } = await client.query<{ id: string }>(
    'SELECT DISTINCT edit_id AS id FROM record_change WHERE edit_id = ANY ($1)',
    [sent],
  );
  await client.end();
  return sent.length - rows.length;
};

/** Prints the ratio, and fails when something was lost. */
export const benchTogether = async (): Promise<void> => {
  const ground = await openGround();
  try {
    const list = await fetch(`${ground.serving.address}/api/units?text=TQ-0402`, {
      headers: { cookie: ground.cookie },
    });
    const unit = ((await list.json()) as { units: { id: string }[] }).units[0]?.id ?? '';
    const alone: number[] = [];
    for (let i = 0; i < 200; i++) alone.push(await read(ground, unit));

    const until = performance.now() + lasting;
    const times: number[] = [];
    const sent: string[] = [];
    await Promise.all([
      ...Array.from({ length: readers }, () => reader(ground, unit, until, times)),
      ...fields.slice(0, writers).map((field) => writer(ground, unit, field, until, sent)),
    ]);
    const missing = await lost(ground.url, sent);
    const [a, b] = [p95(times), p95(alone)];
    console.log(
      `${(a / b).toFixed(1)} × one reader alone, p95: ${readers} readers and ${writers} writers on one unit for ${lasting / 1000} s (${a.toFixed(1)} ms against ${b.toFixed(1)} ms; ${times.length} reads, ${sent.length} edits acknowledged, ${missing} lost)`,
    );
    if (missing > 0) throw new Error(`${missing} acknowledged edits were lost`);
  } finally {
    await ground.close();
  }
};
