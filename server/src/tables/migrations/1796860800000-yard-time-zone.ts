import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A yard has a place on the clock; those that are there stand where the server does, until a manager says otherwise. */
export class YardTimeZone1796860800000 implements MigrationInterface {
  name = 'YardTimeZone1796860800000';

  async up(runner: QueryRunner): Promise<void> {
    const { timeZone } = new Intl.DateTimeFormat().resolvedOptions();
    await runner.query(`ALTER TABLE "yard" ADD "time_zone" varchar(60) NOT NULL DEFAULT 'Etc/UTC'`);
    await runner.query(`UPDATE "yard" SET "time_zone" = $1`, [timeZone]);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "yard" DROP COLUMN "time_zone"`);
  }
}
