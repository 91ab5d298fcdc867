// Words in all text of 10,000 units over the API, against the bare SQL; and 5,000 lines taken in, against COPY of the same rows.
import { Client } from 'pg';
import { pageParameters, pageStatement } from '../server/dist/program/index.js';
import { fillYard } from './list.ts';
import { openGround, p95, timed, type Ground } from './ground.ts';

const units = 10_000;
const rounds = 200;
const lines = 5000;
const searches = ['fenlark heather', 'compressor 24 rkd 77', 'awning 9991', 'nothing of the kind'];

const benchSearch = async (ground: Ground, client: Client, yard: string): Promise<void> => {
  const headers = { cookie: ground.cookie };
  const ours: number[] = [];
  const theirs: number[] = [];
  for (let i = 0; i < rounds; i++) {
    const text = searches[i % searches.length] ?? '';
    const query = { from: 0, limit: 50, sort: 'name', order: 'asc', text } as const;
    const address = `${ground.serving.address}/api/units?limit=50&sort=name&text=${encodeURIComponent(text)}`;
    ours.push(
      await timed(async () => {
        const answer = await fetch(address, { headers });
        if (!answer.ok || !(await answer.text()).includes('"total"')) throw new Error('no page');
      }),
    );
    const parameters = [yard, ...pageParameters(query, [])];
    theirs.push(await timed(() => client.query(pageStatement(query), parameters)));
  }
  const [a, b] = [p95(ours), p95(theirs)];
  console.log(
    `${(a / b).toFixed(2)} × the same SQL through pg, p95: words in all text of ${units.toLocaleString('en')} units (${a.toFixed(1)} ms against ${b.toFixed(1)} ms)`,
  );
};

const list = (): string =>
  [
    'Stock #,Series,Plan,Year,GVWR,Dry weight,Fresh tank,Length',
    ...Array.from(
      { length: lines },
      (_, i) =>
        `CSV-${i},Tarn,19 RD,2026,${4000 + (i % 900)},${3000 + (i % 700)},30,19 ft ${i % 12}`,
    ),
  ].join('\r\n');

/** The rows that the list became, written once more by COPY alone. */
const copyOf = async (client: Client): Promise<number> => {
  const tables = ['unit', 'record_field', 'record_change'];
  const of = (table: string): string =>
    table === 'unit'
      ? `stock_number LIKE 'CSV-%'`
      : `unit_id IN (SELECT id FROM unit WHERE stock_number LIKE 'CSV-%')`;
  for (const table of tables) {
    await client.query(
      `COPY (SELECT * FROM ${table} WHERE ${of(table)}) TO '/var/tmp/fg-bench-${table}.copy'`,
    );
    await client.query(`CREATE TABLE copy_${table} (LIKE ${table} INCLUDING ALL)`);
  }
  return timed(async () => {
    await client.query('BEGIN');
    for (const table of tables) {
      await client.query(`COPY copy_${table} FROM '/var/tmp/fg-bench-${table}.copy'`);
    }
    await client.query('COMMIT');
  });
};

const benchTaking = async (ground: Ground, client: Client): Promise<void> => {
  const headers = { cookie: ground.cookie, 'content-type': 'application/json' };
  const given = { text: list(), system: 'us', how: 'told', onlyGood: false };
  const post = async (): Promise<{ fresh: number; same: number }> => {
    const answer = await fetch(`${ground.serving.address}/api/stock-list`, {
      method: 'POST',
      headers,
      body: JSON.stringify(given),
    });
    return (await answer.json()) as { fresh: number; same: number };
  };
  const taken = await timed(async () => {
    if ((await post()).fresh !== lines) throw new Error('not taken in');
  });
  const copied = await copyOf(client);
  console.log(
    `${(taken / copied).toFixed(1)} × COPY of the same rows: a list of ${lines.toLocaleString('en')} units read, checked and taken in with its history (${(taken / 1000).toFixed(1)} s against ${(copied / 1000).toFixed(2)} s)`,
  );
  const again = await timed(async () => {
    if ((await post()).same !== lines) throw new Error('changed something');
  });
  console.log(
    `${(again / taken).toFixed(2)} × the first time: the same list again, which changes nothing`,
  );
};

/** Requests and bytes by which the fullest unit of the demo yard comes onto a page. */
const benchOpening = async (ground: Ground): Promise<void> => {
  const headers = { cookie: ground.cookie };
  const { units: all } = (await (
    await fetch(`${ground.serving.address}/api/units?limit=24`, { headers })
  ).json()) as { units: { id: string; record: object }[] };
  const fullest = all.toSorted(
    (a, b) => JSON.stringify(b.record).length - JSON.stringify(a.record).length,
  )[0];
  const answer = await fetch(`${ground.serving.address}/api/units/${fullest?.id}`, { headers });
  const bytes = (await answer.arrayBuffer()).byteLength;
  const values = JSON.stringify(
    Object.values(fullest?.record as Record<string, Record<string, { value: unknown }>>).flatMap(
      (part) => Object.entries(part).map(([key, { value }]) => [key, value]),
    ),
  ).length;
  console.log(
    `${(bytes / values).toFixed(2)} × its bare values: the fullest unit with its evidence, in one request (${(bytes / 1000).toFixed(0)} kB against ${(values / 1000).toFixed(0)} kB)`,
  );
};

/** Prints the ratios. */
export const benchSearching = async (): Promise<void> => {
  const ground = await openGround();
  const client = new Client({ connectionString: ground.url });
  await client.connect();
  try {
    await benchOpening(ground);
    await benchTaking(ground, client);
    const yard = await fillYard(client);
    await benchSearch(ground, client, yard);
  } finally {
    await client.end();
    await ground.close();
  }
};
