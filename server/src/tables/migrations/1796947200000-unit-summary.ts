import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Beside a record stands its summary, with what the checks find; a revision says of which of its changes that is. */
export class UnitSummary1796947200000 implements MigrationInterface {
  name = 'UnitSummary1796947200000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "unit"
      ADD "revision" int NOT NULL DEFAULT 1,
      ADD "summary" json,
      ADD "summary_shown" json,
      ADD "summary_for" varchar(40)`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "unit"
      DROP COLUMN "revision", DROP COLUMN "summary", DROP COLUMN "summary_shown", DROP COLUMN "summary_for"`);
  }
}
