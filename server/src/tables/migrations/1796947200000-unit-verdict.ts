import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Beside a record stands what the checks find at it; a revision says of which of its changes that is. */
export class UnitVerdict1796947200000 implements MigrationInterface {
  name = 'UnitVerdict1796947200000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "unit"
      ADD "revision" int NOT NULL DEFAULT 1,
      ADD "verdict" jsonb,
      ADD "verdict_for" varchar(40)`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "unit"
      DROP COLUMN "revision", DROP COLUMN "verdict", DROP COLUMN "verdict_for"`);
  }
}
