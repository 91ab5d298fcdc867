import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Whose each event of a walk is, by the session it came in with. */
export class EventAuthors1796601600000 implements MigrationInterface {
  name = 'EventAuthors1796601600000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE "walk_event" ADD "person_id" uuid REFERENCES "person" ("id") ON DELETE SET NULL`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "walk_event" DROP COLUMN "person_id"`);
  }
}
