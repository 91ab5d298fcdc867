import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The side a yard takes where practitioners disagree, and its own readings of floor-plan letters. */
export class HouseViews1795737600000 implements MigrationInterface {
  name = 'HouseViews1795737600000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "yard"
      ADD "house_views" jsonb NOT NULL DEFAULT '{}',
      ADD "glossary" jsonb NOT NULL DEFAULT '[]'`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "yard" DROP COLUMN "glossary", DROP COLUMN "house_views"`);
  }
}
