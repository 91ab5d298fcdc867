import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Sessions that can be listed, one-time links, own settings, history that tells more, and a list that can be sorted. */
export class FirmGround1795651200000 implements MigrationInterface {
  name = 'FirmGround1795651200000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of up) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const statement of down) await runner.query(statement);
  }
}

/** A spec's value out of the record, for the columns that the list is sorted and filtered by. */
const spec = (key: string, path: string): string =>
  `(SELECT f.value ->> '${path}' FROM record_field f
    WHERE f.yard_id = u.yard_id AND f.unit_id = u.id AND f.part = 'specs' AND f.key = '${key}')`;

const up = [
  `ALTER TABLE "person" ADD "system" character varying(10) CHECK ("system" IN ('us','metric'))`,
  `ALTER TABLE "person" ALTER COLUMN "password_hash" DROP NOT NULL`,
  `ALTER TABLE "session"
    ADD "person_id" uuid REFERENCES "person" ("id") ON DELETE CASCADE,
    ADD "device" character varying(120) NOT NULL DEFAULT '',
    ADD "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(),
    ADD "seen_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now()`,
  `DELETE FROM "session" s WHERE NOT EXISTS
    (SELECT 1 FROM "person" p WHERE p.id::text = s.data ->> 'personId')`,
  `UPDATE "session" SET "person_id" = (data ->> 'personId')::uuid`,
  `CREATE INDEX "session_person" ON "session" ("person_id")`,
  `CREATE TABLE "password_link" (
    "token_hash" character(64) NOT NULL,
    "person_id" uuid NOT NULL REFERENCES "person" ("id") ON DELETE CASCADE,
    "expires_at" TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT "password_link_pk" PRIMARY KEY ("token_hash"))`,
  `CREATE TABLE "sign_in_try" (
    "key" character(64) NOT NULL,
    "failures" integer NOT NULL,
    "last_at" TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT "sign_in_try_pk" PRIMARY KEY ("key"))`,
  `CREATE TABLE "yard_change" (
    "yard_id" uuid NOT NULL REFERENCES "yard" ("id") ON DELETE CASCADE,
    "id" uuid NOT NULL,
    "what" character varying(30) NOT NULL,
    "subject" character varying(254) NOT NULL,
    "from_text" character varying(200),
    "to_text" character varying(200),
    "person_id" uuid,
    "by" character varying(80) NOT NULL,
    "at" TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT "yard_change_pk" PRIMARY KEY ("yard_id", "id"))`,
  `CREATE INDEX "yard_change_at" ON "yard_change" ("yard_id", "at")`,
  `ALTER TABLE "record_change"
    ADD "edit_id" uuid,
    ADD "version" integer,
    ADD "from_how" character varying(10)
      CHECK ("from_how" IN ('read','measured','seen','sheet','told','guessed'))`,
  `CREATE INDEX "record_change_edit" ON "record_change" ("yard_id", "edit_id")`,
  `CREATE INDEX "record_change_field" ON "record_change" ("yard_id", "unit_id", "part", "key", "at")`,
  `ALTER TABLE "unit"
    ADD "name" character varying(80) NOT NULL DEFAULT '',
    ADD "model_year" integer,
    ADD "condition" character varying(10),
    ADD "length" double precision,
    ADD "gvwr" double precision`,
  `UPDATE "unit" u SET
    "name" = left(coalesce(nullif(concat_ws(' ', ${spec('series', 'text')}, ${spec('floorPlan', 'text')}), ''), u.stock_number, ''), 80),
    "model_year" = ${spec('modelYear', 'number')}::int,
    "condition" = ${spec('condition', 'choice')},
    "length" = ${spec('overallLength', 'amount')}::double precision,
    "gvwr" = ${spec('gvwr', 'amount')}::double precision`,
  `CREATE INDEX "unit_by_length" ON "unit" ("yard_id", "length", "id") WHERE in_stock`,
  `CREATE INDEX "unit_by_name" ON "unit" ("yard_id", "name", "id") WHERE in_stock`,
];

const down = [
  `ALTER TABLE "unit" DROP "name", DROP "model_year", DROP "condition", DROP "length", DROP "gvwr"`,
  `ALTER TABLE "record_change" DROP "edit_id", DROP "version", DROP "from_how"`,
  `DROP INDEX "record_change_field"`,
  `DROP TABLE "yard_change"`,
  `DROP TABLE "sign_in_try"`,
  `DROP TABLE "password_link"`,
  `ALTER TABLE "session" DROP "person_id", DROP "device", DROP "created_at", DROP "seen_at"`,
  `DELETE FROM "person" WHERE "password_hash" IS NULL`,
  `ALTER TABLE "person" ALTER COLUMN "password_hash" SET NOT NULL`,
  `ALTER TABLE "person" DROP "system"`,
];
