import type { Client } from 'pg';
import { asker, type Ask } from './asker.ts';

/** A word that stands nowhere but on the other yard, in all that it has: who reads it has seen what they must not. */
export const marker = 'Quorlax';
const password = 'a long enough one';
const email = 'keeper@quorlax.example';

/** A yard beside the one that is attacked, with one of everything. */
export interface OtherYard {
  readonly id: string;
  /** Of its units, walks, people, buyers, sheets and follow-ups. */
  readonly ids: readonly string[];
}

interface Told {
  readonly address: string;
  readonly manager: Ask;
}

/** Makes it by its own interface: a manager invited by hand, who then records as anybody would. */
export const makeOtherYard = async (
  { address, manager }: Told,
  database: Client,
): Promise<OtherYard> => {
  const person = { name: `${marker} Keeper`, email, role: 'manager' };
  const { link } = (await manager('POST', '/api/people', person)).body as {
    link: { token: string };
  };
  await asker(address)('POST', '/api/password', { token: link.token, password });
  // Moved to a yard of their own, as if they had never been here.
  const { rows } = await database.query(
    `WITH y AS (INSERT INTO yard (id, name, system) VALUES (gen_random_uuid(), $1, 'us') RETURNING id)
     UPDATE membership m SET yard_id = y.id FROM y, person p
     WHERE p.id = m.person_id AND p.email = $2 RETURNING y.id, p.id AS person`,
    [`${marker} yard`, email],
  );
  await database.query(`DELETE FROM yard_change WHERE subject LIKE $1 OR by LIKE $1`, [
    `%${marker}%`,
  ]);
  const keeper = asker(address);
  await keeper.signIn(email, password);
  const id = (): string => crypto.randomUUID();
  const [unit, walk, buyer, followUp, sheet] = [id(), id(), id(), id(), id()];
  const text = { kind: 'text', text: marker };
  const series = { part: 'specs', key: 'series', value: text, how: 'read', basedOn: 0 };
  const point = {
    id: 'specs.gvwr',
    station: 'labels',
    label: marker,
    sentence: marker,
    numbers: [],
    seconds: 10,
  };
  const values = { specs: {}, features: {}, places: {} };
  const model = {
    id: sheet,
    series: marker,
    floorPlan: 'Q',
    year: 2026,
    values,
    packages: [],
    midYear: [],
  };
  const made = [
    await keeper('POST', '/api/units', { id: unit, changes: [series] }),
    await keeper('PUT', `/api/walks/${walk}`, { id: walk, unit, minutes: 10, points: [point] }),
    await keeper('PUT', `/api/buyers/${buyer}`, { id: buyer, name: `${marker} Buyer`, email }),
    await keeper('PUT', `/api/walks/${walk}/buyer`, { buyer }),
    await keeper('PUT', `/api/follow-ups/${followUp}`, {
      followUp: {
        id: followUp,
        walk,
        unit,
        kind: 'promise',
        text: marker,
        due: '2027-01-01',
        who: marker,
      },
      basedOn: 0,
    }),
    await keeper('PUT', `/api/model-sheets/${sheet}`, {
      sheet: { ...model, objections: [], wordings: {} },
      basedOn: 0,
      units: [],
    }),
    await keeper('POST', `/api/walks/${walk}/screens`),
  ];
  const refused = made.find(({ status }) => status >= 300);
  if (refused) throw new Error(`the other yard: ${JSON.stringify(refused.body)}`);
  return {
    id: rows[0].id as string,
    ids: [unit, walk, buyer, followUp, sheet, rows[0].person as string],
  };
};

/** All that a yard has, table by table, as one sum each: whatever changes in it changes a sum. */
export const sumsOf = async (
  database: Client,
  yard: string,
): Promise<Readonly<Record<string, string>>> => {
  const { rows: tables } = await database.query(
    `SELECT table_name AS name FROM information_schema.columns
     WHERE table_schema = 'public' AND column_name = 'yard_id' ORDER BY 1`,
  );
  const sums: Record<string, string> = {};
  for (const { name } of tables as { name: string }[]) {
    const { rows } = await database.query(
      `SELECT count(*) || ' ' || md5(coalesce(string_agg(t::text, '|' ORDER BY t::text), '')) AS sum
       FROM "${name}" t WHERE yard_id = $1`,
      [yard],
    );
    sums[name] = rows[0].sum as string;
  }
  return sums;
};
