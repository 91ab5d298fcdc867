import type { MigrationInterface, QueryRunner } from 'typeorm';

const tables = ['record_field', 'record_change'];

/** As the check said before; what came after it the program itself puts into the list when it starts. */
const before = [
  ...['specs', 'features', 'places', 'settlements', 'findings', 'wheels', 'moisture', 'photos'],
  ...['inspection', 'signatures', 'stowed', 'fitted', 'questions', 'trials', 'wordings'],
].map((part) => `'${part}'`);

/** The parts of a record are a table, which every program that starts brings up to its own; no longer a check to be rewritten. */
export class RecordParts1796774400000 implements MigrationInterface {
  name = 'RecordParts1796774400000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE "record_part" ("part" varchar(20) PRIMARY KEY)`);
    await runner.query(
      `INSERT INTO "record_part" SELECT unnest(ARRAY[${before.join(', ')}]::text[])`,
    );
    for (const table of tables) {
      await runner.query(`ALTER TABLE "${table}" DROP CONSTRAINT "${table}_part_check"`);
      await runner.query(`ALTER TABLE "${table}" ALTER COLUMN "part" TYPE varchar(20)`);
      await runner.query(
        `ALTER TABLE "${table}" ADD CONSTRAINT "${table}_part" FOREIGN KEY ("part") REFERENCES "record_part" ("part")`,
      );
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of tables) {
      await runner.query(`ALTER TABLE "${table}" DROP CONSTRAINT "${table}_part"`);
      await runner.query(`ALTER TABLE "${table}" ALTER COLUMN "part" TYPE varchar(12)`);
      await runner.query(
        `ALTER TABLE "${table}" ADD CONSTRAINT "${table}_part_check" CHECK ("part" IN (${before.join(', ')}))`,
      );
    }
    await runner.query(`DROP TABLE "record_part"`);
  }
}
