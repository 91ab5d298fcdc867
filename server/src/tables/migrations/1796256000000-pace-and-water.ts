import type { MigrationInterface, QueryRunner } from 'typeorm';

/** How fast people speak, whose walks these are, and the water a yard reckons with. */
export class PaceAndWater1796256000000 implements MigrationInterface {
  name = 'PaceAndWater1796256000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE "person" ADD "pace" smallint CHECK ("pace" BETWEEN 90 AND 260), ADD "learned_pace" smallint CHECK ("learned_pace" BETWEEN 90 AND 260)`,
    );
    await runner.query(`ALTER TABLE "yard" ADD "water" jsonb NOT NULL DEFAULT '{}'`);
    await runner.query(
      `ALTER TABLE "walk" ADD "person_id" uuid REFERENCES "person" ("id") ON DELETE SET NULL`,
    );
    await runner.query(
      `CREATE INDEX "walk_person" ON "walk" ("yard_id", "person_id", "created_at")`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "walk" DROP COLUMN "person_id"`);
    await runner.query(`ALTER TABLE "yard" DROP COLUMN "water"`);
    await runner.query(`ALTER TABLE "person" DROP COLUMN "pace", DROP COLUMN "learned_pace"`);
  }
}
