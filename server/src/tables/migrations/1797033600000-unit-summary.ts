import type { MigrationInterface, QueryRunner } from 'typeorm';

/** In place of the verdict stands all of a unit's summary, as it is sent; both are made anew out of the record. */
export class UnitSummary1797033600000 implements MigrationInterface {
  name = 'UnitSummary1797033600000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "unit"
      DROP COLUMN "verdict", DROP COLUMN "verdict_for",
      ADD "summary" json,
      ADD "summary_shown" json,
      ADD "summary_for" varchar(60)`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "unit"
      DROP COLUMN "summary", DROP COLUMN "summary_shown", DROP COLUMN "summary_for",
      ADD "verdict" jsonb,
      ADD "verdict_for" varchar(40)`);
  }
}
