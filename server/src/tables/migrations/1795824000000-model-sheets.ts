import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Model sheets; what several sources say of a field; the text of a record to be searched; saved views of the yard. */
export class ModelSheets1795824000000 implements MigrationInterface {
  name = 'ModelSheets1795824000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of statements) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['model_sheet_offer', 'model_sheet_change', 'model_sheet']) {
      await runner.query(`DROP TABLE "${table}"`);
    }
    await runner.query(`ALTER TABLE "record_field" DROP COLUMN "others"`);
    await runner.query(`ALTER TABLE "record_change" DROP COLUMN "beside"`);
    await runner.query(`ALTER TABLE "unit" DROP COLUMN "words"`);
    await runner.query(`ALTER TABLE "membership" DROP COLUMN "views"`);
  }
}

const sheetKey = `FOREIGN KEY ("yard_id", "sheet_id")
  REFERENCES "model_sheet" ("yard_id", "id") ON DELETE CASCADE`;

const statements = [
  `ALTER TABLE "record_field" ADD "others" jsonb`,
  `ALTER TABLE "record_change" ADD "beside" boolean NOT NULL DEFAULT false`,
  `ALTER TABLE "unit" ADD "words" text NOT NULL DEFAULT ''`,
  // What was typed can be searched from the first day; names of what is fitted join it with the next change.
  `UPDATE "unit" u SET "words" = coalesce((
     SELECT lower(string_agg(coalesce(f.value->>'text', f.value->>'number', f.value->>'reason'), E' \\n'))
     FROM "record_field" f WHERE f.yard_id = u.yard_id AND f.unit_id = u.id
       AND f.key NOT IN ('listPrice', 'askingPrice')), '')`,
  `ALTER TABLE "membership" ADD "views" jsonb NOT NULL DEFAULT '[]'`,
  `CREATE TABLE "model_sheet" (
    "yard_id" uuid NOT NULL REFERENCES "yard" ("id") ON DELETE CASCADE,
    "id" uuid NOT NULL,
    "series" character varying(40) NOT NULL,
    "floor_plan" character varying(20) NOT NULL,
    "year" integer NOT NULL CHECK ("year" BETWEEN 1950 AND 2100),
    "sheet" jsonb NOT NULL,
    "version" integer NOT NULL CHECK ("version" > 0),
    "by" character varying(80) NOT NULL,
    "at" TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT "model_sheet_pk" PRIMARY KEY ("yard_id", "id"))`,
  `CREATE UNIQUE INDEX "model_sheet_model" ON "model_sheet" ("yard_id", "series", "floor_plan", "year")`,
  `CREATE TABLE "model_sheet_change" (
    "yard_id" uuid NOT NULL,
    "id" uuid NOT NULL,
    "sheet_id" uuid NOT NULL,
    "version" integer NOT NULL CHECK ("version" > 0),
    "from_sheet" jsonb,
    "to_sheet" jsonb NOT NULL,
    "units" integer NOT NULL CHECK ("units" >= 0),
    "person_id" uuid,
    "by" character varying(80) NOT NULL,
    "at" TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT "model_sheet_change_pk" PRIMARY KEY ("yard_id", "id"),
    ${sheetKey})`,
  `CREATE INDEX "model_sheet_change_sheet" ON "model_sheet_change" ("yard_id", "sheet_id", "at")`,
  `CREATE TABLE "model_sheet_offer" (
    "yard_id" uuid NOT NULL,
    "id" uuid NOT NULL,
    "sheet_id" uuid NOT NULL,
    "offer" jsonb NOT NULL,
    "at" TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT "model_sheet_offer_pk" PRIMARY KEY ("yard_id", "id"),
    ${sheetKey})`,
  `CREATE INDEX "model_sheet_offer_sheet" ON "model_sheet_offer" ("yard_id", "sheet_id", "at")`,
];
