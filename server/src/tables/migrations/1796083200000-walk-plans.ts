import type { MigrationInterface, QueryRunner } from 'typeorm';

/** For whom a walk was planned, and by which route; a yard's own routes. */
export class WalkPlans1796083200000 implements MigrationInterface {
  name = 'WalkPlans1796083200000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "walk" ADD "about" jsonb`);
    await runner.query(`ALTER TABLE "yard" ADD "routes" jsonb NOT NULL DEFAULT '[]'`);
    await runner.query(`CREATE INDEX "walk_yard" ON "walk" ("yard_id", "created_at")`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP INDEX "walk_yard"`);
    await runner.query(`ALTER TABLE "yard" DROP COLUMN "routes"`);
    await runner.query(`ALTER TABLE "walk" DROP COLUMN "about"`);
  }
}
