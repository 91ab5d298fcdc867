import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Trials kept on a unit, and the yard's vehicles. */
export class TrialsAndVehicles1795996800000 implements MigrationInterface {
  name = 'TrialsAndVehicles1795996800000';

  async up(runner: QueryRunner): Promise<void> {
    for (const table of tables) {
      for (const statement of limitTo(table, `${before},'trials'`)) await runner.query(statement);
    }
    await runner.query(`CREATE TABLE "vehicle" (
      "yard_id" uuid NOT NULL REFERENCES "yard" ("id") ON DELETE CASCADE,
      "key" character varying(40) NOT NULL,
      "vehicle" jsonb NOT NULL,
      "by" character varying(80) NOT NULL,
      "at" TIMESTAMP WITH TIME ZONE NOT NULL,
      CONSTRAINT "vehicle_pk" PRIMARY KEY ("yard_id", "key"))`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE "vehicle"`);
    for (const table of tables) {
      await runner.query(`DELETE FROM "${table}" WHERE "part" = 'trials'`);
      for (const statement of limitTo(table, before)) await runner.query(statement);
    }
  }
}

const tables = ['record_field', 'record_change'];
const before = `'specs','features','places','settlements','findings','wheels','moisture','photos','inspection','signatures','stowed','fitted','questions'`;

const limitTo = (table: string, names: string): readonly string[] => [
  `ALTER TABLE "${table}" DROP CONSTRAINT "${table}_part_check"`,
  `ALTER TABLE "${table}" ADD CONSTRAINT "${table}_part_check" CHECK ("part" IN (${names}))`,
];
