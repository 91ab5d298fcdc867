import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Condition, wheels, inspection, photos, questions and what is aboard: new parts of a record, and pictures. */
export class Condition1795910400000 implements MigrationInterface {
  name = 'Condition1795910400000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of statements) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE "photo_piece"`);
    await runner.query(`DROP TABLE "photo"`);
    for (const table of ['record_field', 'record_change']) {
      await runner.query(`DELETE FROM "${table}" WHERE "part" NOT IN (${before})`);
      for (const statement of limitTo(table, before)) await runner.query(statement);
    }
  }
}

const before = `'specs','features','places','settlements'`;
const parts = `${before},'findings','wheels','moisture','photos','inspection','signatures','stowed','fitted','questions'`;

const limitTo = (table: string, names: string): readonly string[] => [
  `ALTER TABLE "${table}" DROP CONSTRAINT "${table}_part_check"`,
  `ALTER TABLE "${table}" ADD CONSTRAINT "${table}_part_check" CHECK ("part" IN (${names}))`,
];

const unitKey = `FOREIGN KEY ("yard_id", "unit_id") REFERENCES "unit" ("yard_id", "id") ON DELETE CASCADE`;

const statements = [
  ...limitTo('record_field', parts),
  ...limitTo('record_change', parts),
  `CREATE TABLE "photo" (
    "yard_id" uuid NOT NULL,
    "unit_id" uuid NOT NULL,
    "id" uuid NOT NULL,
    "width" integer NOT NULL CHECK ("width" > 0),
    "height" integer NOT NULL CHECK ("height" > 0),
    "picture" bytea NOT NULL,
    "thumb" bytea NOT NULL,
    "by" character varying(80) NOT NULL,
    "at" TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT "photo_pk" PRIMARY KEY ("yard_id", "unit_id", "id"),
    ${unitKey})`,
  // A JPEG does not get smaller by being packed again.
  `ALTER TABLE "photo" ALTER "picture" SET STORAGE EXTERNAL, ALTER "thumb" SET STORAGE EXTERNAL`,
  `CREATE TABLE "photo_piece" (
    "yard_id" uuid NOT NULL,
    "unit_id" uuid NOT NULL,
    "photo_id" uuid NOT NULL,
    "starts" integer NOT NULL CHECK ("starts" >= 0),
    "bytes" bytea NOT NULL,
    "at" TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT "photo_piece_pk" PRIMARY KEY ("yard_id", "unit_id", "photo_id", "starts"),
    ${unitKey})`,
  `ALTER TABLE "photo_piece" ALTER "bytes" SET STORAGE EXTERNAL`,
];
