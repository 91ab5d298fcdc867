import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Browsers in which somebody has signed in before: a stranger's wrong tries do not make those wait. */
export class KnownDevices1796515200000 implements MigrationInterface {
  name = 'KnownDevices1796515200000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE "known_device" (
        "person_id" uuid NOT NULL REFERENCES "person" ("id") ON DELETE CASCADE,
        "token_hash" char(64) NOT NULL,
        "seen_at" timestamptz NOT NULL DEFAULT now(),
        PRIMARY KEY ("person_id", "token_hash")
      )`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE "known_device"`);
  }
}
