import { describe, expect, it } from '@jest/globals';
import { features, specs, stations } from '@fair-gable/core/unit/catalog';
import type { DataSource } from 'typeorm';
import { parts } from '@fair-gable/core/unit/record';
import {
  dataSourceFor,
  knownMigrations,
  NewerDatabase,
  openDatabase,
} from '../src/tables/index.ts';
import { loadDemo } from '../src/demo/index.ts';
import { networkFrom } from '../src/network.ts';
import { serve } from '../src/serve.ts';
import { asker, bench, demoFolder, freshDatabase, unitsInDemo } from './support.ts';

/** What TypeORM would still change: foreign keys and checks are ours alone, written in the migration. */
const drift = async (url: string): Promise<readonly string[]> => {
  const source = await dataSourceFor(url).initialize();
  const { upQueries } = await source.driver.createSchemaBuilder().log();
  await source.destroy();
  return upQueries.map((q) => q.query).filter((q) => !/DROP CONSTRAINT/.test(q));
};

describe('the database', () => {
  it('has just what the entities say after the migrations', async () => {
    const url = await freshDatabase();
    await (await openDatabase(url)).destroy();
    expect(await drift(url)).toEqual([]);
  });

  it('can be taken back and brought up again', async () => {
    const url = await freshDatabase();
    const source = await openDatabase(url);
    for (let i = 0; i < knownMigrations.length; i++) await source.undoLastMigration();
    const tables = await source.query(
      `SELECT tablename FROM pg_tables WHERE schemaname = 'public'`,
    );
    expect(tables).toEqual([{ tablename: 'migration' }]);
    await source.destroy();
    await (await openDatabase(url)).destroy();
  });

  it('has the parts of a record that this program has, and keeps those of another', async () => {
    const url = await freshDatabase();
    const listed = async (source: DataSource): Promise<readonly string[]> =>
      (await source.query('SELECT part FROM record_part')).map(
        ({ part }: { part: string }) => part,
      );
    const first = await openDatabase(url);
    expect((await listed(first)).toSorted()).toEqual([...parts].toSorted());
    // As of an older program, and of a newer one that ran here before.
    await first.query(`DELETE FROM record_part WHERE part = 'wordings'`);
    await first.query(`INSERT INTO record_part VALUES ('of-tomorrow')`);
    await first.destroy();
    const again = await openDatabase(url);
    expect((await listed(again)).toSorted()).toEqual([...parts, 'of-tomorrow'].toSorted());
    await again.destroy();
  });

  it('takes no part of a record that is not in the list', async () => {
    const b = await bench();
    await expect(
      b.source.query(`UPDATE record_field SET part = 'nothing' WHERE part = 'wordings'`),
    ).rejects.toThrow(/record_field_part/);
    await b.close();
  });

  it('of a newer program is left alone, in a sentence', async () => {
    const url = await freshDatabase();
    const source = await openDatabase(url);
    await source.query(
      `INSERT INTO migration (timestamp, name) VALUES (9999999999999, 'Later9999999999999')`,
    );
    await source.destroy();
    await expect(openDatabase(url)).rejects.toThrow(NewerDatabase);
    await expect(openDatabase(url)).rejects.toThrow(/Later9999999999999.*Start that version/);
  });

  it('is migrated once when two processes start together', async () => {
    const url = await freshDatabase();
    const both = await Promise.all([openDatabase(url), openDatabase(url)]);
    expect(await both[0].query('SELECT count(*)::int AS n FROM migration')).toEqual([
      { n: knownMigrations.length },
    ]);
    await Promise.all(both.map((s) => s.destroy()));
  });

  it('takes the demo yard whole or not at all', async () => {
    const source = await openDatabase(await freshDatabase());
    await expect(loadDemo(source, '/nowhere')).rejects.toThrow();
    expect(await source.query('SELECT * FROM yard')).toEqual([]);
    await source.destroy();
  });
});

describe('serving', () => {
  const network = { ...networkFrom({}), port: 0 };
  const options = { network, webRoot: demoFolder, demoFolder };

  it('loads the demo yard once, and keeps it over a restart', async () => {
    const databaseUrl = await freshDatabase();
    for (const round of [1, 2]) {
      const serving = await serve({ ...options, databaseUrl });
      const health = await fetch(`${serving.address}/api/health`);
      expect([round, await health.json()]).toMatchObject([
        round,
        { ok: true, database: 'answers' },
      ]);
      expect(serving).toMatchObject({ demo: true, token: undefined });
      await serving.stop();
    }
    const source = await dataSourceFor(databaseUrl).initialize();
    expect(await source.query('SELECT count(*)::int AS n FROM unit')).toEqual([{ n: unitsInDemo }]);
    await source.destroy();
  });

  it('prints a token for an empty yard', async () => {
    const serving = await serve({
      ...options,
      demoFolder: undefined,
      databaseUrl: await freshDatabase(),
    });
    expect(serving.token).toMatch(/^[\w-]{12}$/);
    await serving.stop();
  });

  it('keeps the published sign-ins off the network', async () => {
    const databaseUrl = await freshDatabase();
    await expect(
      serve({ ...options, network: { ...network, host: '0.0.0.0' }, databaseUrl }),
    ).rejects.toThrow(/demo yard.*this machine only/);
  });
});

describe('the catalog', () => {
  it('is served as data', async () => {
    const b = await bench();
    const { body } = await asker(b.app)('GET', '/api/catalog');
    expect([body.stations.length, body.specs.length, body.features.length]).toEqual([
      stations.length,
      specs.length,
      features.length,
    ]);
    await b.close();
  });
});
