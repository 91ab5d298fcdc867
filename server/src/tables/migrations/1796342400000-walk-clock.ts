import type { MigrationInterface, QueryRunner } from 'typeorm';

/** When each event of a walk came in: whoever opens the walk elsewhere goes on with its clock. */
export class WalkClock1796342400000 implements MigrationInterface {
  name = 'WalkClock1796342400000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE "walk_event" ADD "received_at" timestamptz NOT NULL DEFAULT clock_timestamp()`,
    );
    await runner.query(`ALTER TABLE "walk_event" ALTER COLUMN "received_at" DROP DEFAULT`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "walk_event" DROP COLUMN "received_at"`);
  }
}
