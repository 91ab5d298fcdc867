// A page of 50 out of 10,000 units with filter and sort, against the same SQL through pg alone.
import { Client } from 'pg';
import { pageParameters, pageStatement, type ListQuery } from '../server/dist/program/index.js';
import { openGround, p95, timed, type Ground } from './ground.ts';

const units = 10_000;
const rounds = 300;

/** Many units like one of the demo yard, of different names and lengths. */
export const fillYard = async (client: Client): Promise<string> => {
  const { rows } = await client.query(
    `SELECT yard_id, id FROM unit WHERE stock_number = 'TQ-0417'`,
  );
  const { yard_id: yard, id } = rows[0] as { yard_id: string; id: string };
  await client.query(
    `INSERT INTO unit (yard_id, id, stock_number, vin, in_stock, created_at, name, model_year, condition, length, gvwr, words)
     SELECT u.yard_id, gen_random_uuid(), 'BN-' || n, NULL, true, now(), u.name || ' ' || n, 2015 + n % 12,
            CASE WHEN n % 3 = 0 THEN 'used' ELSE 'new' END, 150 + n * 7919 % 250, 3000 + n * 104729 % 8000, u.words || ' ' || n
     FROM unit u, generate_series(1, $3) n WHERE u.yard_id = $1 AND u.id = $2`,
    [yard, id, units],
  );
  await client.query(
    `INSERT INTO record_field (yard_id, unit_id, part, key, value, how, by, at, version, others)
     SELECT f.yard_id, u.id, f.part, f.key, f.value, f.how, f.by, f.at, f.version, f.others
     FROM unit u JOIN record_field f ON f.yard_id = u.yard_id AND f.unit_id = $2
     WHERE u.yard_id = $1 AND u.stock_number LIKE 'BN-%'`,
    [yard, id],
  );
  await client.query('VACUUM ANALYZE');
  return yard;
};

const queries: readonly Omit<ListQuery, 'limit'>[] = [
  { from: 0, sort: 'length', order: 'asc', condition: 'new', text: undefined },
  { from: 500, sort: 'gvwr', order: 'desc', condition: 'used', text: undefined },
  { from: 50, sort: 'name', order: 'asc', condition: 'new', text: '24 RKD 5' },
];

const addressOf = ({ serving }: Ground, query: ListQuery): string => {
  const given = Object.entries(query).filter(([, value]) => value !== undefined);
  const search = new URLSearchParams(given.map(([key, value]) => [key, String(value)]));
  return `${serving.address}/api/units?${search}`;
};

/** Prints the ratio. */
export const benchList = async (): Promise<void> => {
  const ground = await openGround();
  const client = new Client({ connectionString: ground.url });
  await client.connect();
  try {
    const yard = await fillYard(client);
    const ours: number[] = [];
    const theirs: number[] = [];
    for (let i = 0; i < rounds; i++) {
      const query = { ...(queries[i % queries.length] as Omit<ListQuery, 'limit'>), limit: 50 };
      const headers = { cookie: ground.cookie };
      ours.push(
        await timed(async () => {
          const answer = await fetch(addressOf(ground, query), { headers });
          if (!answer.ok || (await answer.text()).length < 1000) throw new Error('no page');
        }),
      );
      const parameters = [yard, ...pageParameters(query, [])];
      theirs.push(await timed(() => client.query(pageStatement(query), parameters)));
    }
    const [a, b] = [p95(ours), p95(theirs)];
    console.log(
      `${(a / b).toFixed(2)} × the same SQL through pg, p95: a page of 50 out of ${units.toLocaleString('en')} units with filter and sort (${a.toFixed(1)} ms against ${b.toFixed(1)} ms)`,
    );
  } finally {
    await client.end();
    await ground.close();
  }
};
