import type { MigrationInterface, QueryRunner } from 'typeorm';

const tables = ['record_field', 'record_change'];
const before = `'specs','features','places','settlements','findings','wheels','moisture','photos','inspection','signatures','stowed','fitted','questions','trials'`;

const limitTo = (table: string, names: string): readonly string[] => [
  `ALTER TABLE "${table}" DROP CONSTRAINT "${table}_part_check"`,
  `ALTER TABLE "${table}" ADD CONSTRAINT "${table}_part_check" CHECK ("part" IN (${names}))`,
];

const ofWalk = `FOREIGN KEY ("yard_id", "walk_id") REFERENCES "walk" ("yard_id", "id") ON DELETE CASCADE`;

/** Cards in somebody's own words; buyers, follow-ups, letters, voice memos and screens of walks. */
export class AfterTheWalk1796169600000 implements MigrationInterface {
  name = 'AfterTheWalk1796169600000';

  async up(runner: QueryRunner): Promise<void> {
    for (const table of tables) {
      for (const statement of limitTo(table, `${before},'wordings'`)) await runner.query(statement);
    }
    await runner.query(
      `UPDATE "model_sheet" SET "sheet" = "sheet" || '{"wordings":{}}' WHERE NOT "sheet" ? 'wordings'`,
    );
    await runner.query(
      `ALTER TABLE "yard" ADD "keep_buyers" integer NOT NULL DEFAULT 180 CHECK ("keep_buyers" BETWEEN 7 AND 730)`,
    );
    await runner.query(`CREATE TABLE "buyer" (
      "yard_id" uuid NOT NULL REFERENCES "yard" ("id") ON DELETE CASCADE,
      "id" uuid NOT NULL,
      "name" character varying(80) NOT NULL,
      "email" character varying(200),
      "phone" character varying(30),
      "keep_until" date NOT NULL,
      CONSTRAINT "buyer_pk" PRIMARY KEY ("yard_id", "id"),
      CONSTRAINT "buyer_can_be_reached" CHECK ("email" IS NOT NULL OR "phone" IS NOT NULL))`);
    await runner.query(`CREATE INDEX "buyer_until" ON "buyer" ("yard_id", "keep_until")`);
    await runner.query(`ALTER TABLE "walk" ADD "buyer_id" uuid`);
    await runner.query(
      `ALTER TABLE "walk" ADD CONSTRAINT "walk_buyer" FOREIGN KEY ("yard_id", "buyer_id") REFERENCES "buyer" ("yard_id", "id")`,
    );
    await runner.query(`CREATE TABLE "follow_up" (
      "yard_id" uuid NOT NULL,
      "id" uuid NOT NULL,
      "walk_id" uuid NOT NULL,
      "unit_id" uuid NOT NULL,
      "kind" character varying(20) NOT NULL CHECK ("kind" IN ('promise','question','fault','call')),
      "text" character varying(500) NOT NULL,
      "due" date NOT NULL,
      "who" character varying(80) NOT NULL,
      "done" date,
      "by" character varying(80) NOT NULL,
      "version" integer NOT NULL CHECK ("version" > 0),
      CONSTRAINT "follow_up_pk" PRIMARY KEY ("yard_id", "id"),
      ${ofWalk})`);
    await runner.query(`CREATE INDEX "follow_up_due" ON "follow_up" ("yard_id", "done", "due")`);
    await runner.query(`CREATE TABLE "letter" (
      "yard_id" uuid NOT NULL,
      "id" uuid NOT NULL,
      "walk_id" uuid NOT NULL,
      "to" character varying(200) NOT NULL,
      "subject" character varying(120) NOT NULL,
      "text" text NOT NULL,
      "by" character varying(80) NOT NULL,
      "at" TIMESTAMP WITH TIME ZONE NOT NULL,
      "sent_at" TIMESTAMP WITH TIME ZONE,
      CONSTRAINT "letter_pk" PRIMARY KEY ("yard_id", "id"),
      ${ofWalk})`);
    await runner.query(`CREATE TABLE "memo" (
      "yard_id" uuid NOT NULL,
      "walk_id" uuid NOT NULL,
      "id" uuid NOT NULL,
      "type" character varying(20) NOT NULL,
      "bytes" bytea NOT NULL,
      "by" character varying(80) NOT NULL,
      "at" TIMESTAMP WITH TIME ZONE NOT NULL,
      CONSTRAINT "memo_pk" PRIMARY KEY ("yard_id", "walk_id", "id"),
      ${ofWalk})`);
    await runner.query(`CREATE TABLE "screen" (
      "yard_id" uuid NOT NULL,
      "token_hash" bytea NOT NULL UNIQUE,
      "walk_id" uuid NOT NULL,
      "until" TIMESTAMP WITH TIME ZONE NOT NULL,
      CONSTRAINT "screen_pk" PRIMARY KEY ("yard_id", "token_hash"),
      ${ofWalk})`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['screen', 'memo', 'letter', 'follow_up']) {
      await runner.query(`DROP TABLE "${table}"`);
    }
    await runner.query(`ALTER TABLE "walk" DROP CONSTRAINT "walk_buyer"`);
    await runner.query(`ALTER TABLE "walk" DROP COLUMN "buyer_id"`);
    await runner.query(`DROP TABLE "buyer"`);
    await runner.query(`ALTER TABLE "yard" DROP COLUMN "keep_buyers"`);
    for (const table of tables) {
      await runner.query(`DELETE FROM "${table}" WHERE "part" = 'wordings'`);
      for (const statement of limitTo(table, before)) await runner.query(statement);
    }
  }
}
