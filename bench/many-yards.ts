// Many yards of 120 units, and their people, in one database: copies of the demo yard under names of their own.
import type { Client } from 'pg';

/** 300 take a quarter of an hour to put there, and longer to be checked; `BENCH_YARDS` asks for fewer. */
export const yards = Number(process.env['BENCH_YARDS'] ?? 300);
export const unitsOfAYard = 120;
export const people = Math.round((yards * 20) / 3);
/** They sign in as the demo's specialist does. */
export const password = 'spring-ferry-22';
export const emailOf = (person: number): string => `p${person}@scale.example`;

/** The columns of a table, but for those that are said otherwise. */
const columnsOf = async (
  client: Client,
  table: string,
  but: readonly string[],
): Promise<string> => {
  const { rows } = await client.query<{ name: string }>(
    `SELECT quote_ident(column_name) AS name FROM information_schema.columns
     WHERE table_schema = 'public' AND table_name = $1 AND column_name <> ALL ($2) ORDER BY ordinal_position`,
    [table, but],
  );
  return rows.map(({ name }) => name).join(', ');
};

/** Which unit of which yard is a copy of which of the demo's. */
const mapUnits = (client: Client) =>
  client.query(
    `CREATE TEMP TABLE copy AS
     SELECT y.id AS yard_id, gen_random_uuid() AS id, u.id AS source, u.yard_id AS demo, y.n * ${unitsOfAYard} + c.n AS n
     FROM (SELECT id, row_number() OVER () AS n FROM yard WHERE name LIKE 'Yard %') y,
          generate_series(1, ${unitsOfAYard}) AS c (n)
     JOIN (SELECT id, yard_id, row_number() OVER () - 1 AS n, count(*) OVER () AS all_of FROM unit
           WHERE yard_id = (SELECT yard_id FROM unit WHERE stock_number = 'TQ-0417')) u ON u.n = c.n % u.all_of`,
  );

/** A table of what belongs to a unit, copied for every copy of it. */
const copyOfUnits = async (
  client: Client,
  table: string,
  ids: readonly string[],
): Promise<void> => {
  const rest = await columnsOf(client, table, ['yard_id', 'unit_id', ...ids]);
  const own = ids.map((id) => `${id}, `).join('');
  await client.query(
    `INSERT INTO ${table} (yard_id, unit_id, ${own}${rest})
     SELECT c.yard_id, c.id, ${ids.map(() => 'gen_random_uuid(), ').join('')}${rest
       .split(', ')
       .map((name) => `f.${name}`)
       .join(', ')}
     FROM copy c JOIN ${table} f ON f.yard_id = c.demo AND f.unit_id = c.source`,
  );
};

/** Fills the database of a demo yard with many more. */
export const fillYards = async (client: Client): Promise<void> => {
  const settings = await columnsOf(client, 'yard', ['id', 'name']);
  await client.query(
    `INSERT INTO yard (id, name, ${settings})
     SELECT gen_random_uuid(), 'Yard ' || n, ${settings} FROM yard, generate_series(1, ${yards}) n
     WHERE yard.id = (SELECT yard_id FROM unit WHERE stock_number = 'TQ-0417')`,
  );
  const person = await columnsOf(client, 'person', ['id', 'email', 'name']);
  await client.query(
    `INSERT INTO person (id, email, name, ${person})
     SELECT gen_random_uuid(), 'p' || n || '@scale.example', 'Person ' || n, ${person}
     FROM person, generate_series(0, ${people - 1}) n WHERE email = 'ines@thornquay.example'`,
  );
  await client.query(
    `INSERT INTO membership (yard_id, person_id, role)
     SELECT y.id, p.id, 'specialist'
     FROM (SELECT id, row_number() OVER () - 1 AS n FROM yard WHERE name LIKE 'Yard %') y
     JOIN (SELECT id, row_number() OVER () - 1 AS n FROM person WHERE email LIKE '%@scale.example') p
       ON p.n % ${yards} = y.n`,
  );
  await mapUnits(client);
  const unit = await columnsOf(client, 'unit', [
    ...['yard_id', 'id', 'stock_number', 'vin'],
    ...['summary', 'summary_shown', 'summary_for'],
  ]);
  await client.query(
    `INSERT INTO unit (yard_id, id, stock_number, ${unit})
     SELECT c.yard_id, c.id, 'BN-' || c.n, ${unit
       .split(', ')
       .map((name) => `u.${name}`)
       .join(', ')}
     FROM copy c JOIN unit u ON u.yard_id = c.demo AND u.id = c.source`,
  );
  await copyOfUnits(client, 'record_field', []);
  await copyOfUnits(client, 'record_change', ['id']);
  await client.query('VACUUM ANALYZE');
};
