import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The slice's tables. Every yard-owned table begins its key with the yard. */
export class First1795564800000 implements MigrationInterface {
  name = 'First1795564800000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of statements) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of tables.toReversed()) await runner.query(`DROP TABLE "${table}"`);
  }
}

const tables = [
  'yard', 'person', 'membership', 'session', 'secret',
  'unit', 'record_field', 'record_change', 'walk', 'walk_event',
]; // prettier-ignore

const unitKey = `FOREIGN KEY ("yard_id", "unit_id") REFERENCES "unit" ("yard_id", "id") ON DELETE CASCADE`;
const how = `CHECK ("how" IN ('read','measured','seen','sheet','told','guessed'))`;
const part = `CHECK ("part" IN ('specs','features','places','settlements'))`;

const statements = [
  `CREATE TABLE "yard" (
    "id" uuid NOT NULL,
    "name" character varying(80) NOT NULL,
    "system" character varying(10) NOT NULL CHECK ("system" IN ('us','metric')),
    CONSTRAINT "yard_pk" PRIMARY KEY ("id"))`,
  `CREATE TABLE "person" (
    "id" uuid NOT NULL,
    "email" character varying(254) NOT NULL,
    "name" character varying(80) NOT NULL,
    "password_hash" character varying(200) NOT NULL,
    CONSTRAINT "person_pk" PRIMARY KEY ("id"))`,
  `CREATE UNIQUE INDEX "person_email" ON "person" ("email")`,
  `CREATE TABLE "membership" (
    "yard_id" uuid NOT NULL REFERENCES "yard" ("id") ON DELETE CASCADE,
    "person_id" uuid NOT NULL REFERENCES "person" ("id") ON DELETE CASCADE,
    "role" character varying(20) NOT NULL
      CHECK ("role" IN ('manager','specialist','technician','guest','viewer')),
    CONSTRAINT "membership_pk" PRIMARY KEY ("yard_id", "person_id"))`,
  `CREATE TABLE "session" (
    "id" character(64) NOT NULL,
    "data" jsonb NOT NULL,
    "expires_at" TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT "session_pk" PRIMARY KEY ("id"))`,
  `CREATE INDEX "session_expires" ON "session" ("expires_at")`,
  `CREATE TABLE "secret" (
    "key" character varying(40) NOT NULL,
    "value" text NOT NULL,
    "created_at" TIMESTAMP WITH TIME ZONE NOT NULL DEFAULT now(),
    CONSTRAINT "secret_pk" PRIMARY KEY ("key"))`,
  `CREATE TABLE "unit" (
    "yard_id" uuid NOT NULL REFERENCES "yard" ("id") ON DELETE CASCADE,
    "id" uuid NOT NULL,
    "stock_number" character varying(24),
    "vin" character varying(24),
    "in_stock" boolean NOT NULL DEFAULT true,
    "created_at" TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT "unit_pk" PRIMARY KEY ("yard_id", "id"))`,
  `CREATE UNIQUE INDEX "unit_stock_number" ON "unit" ("yard_id", "stock_number") WHERE in_stock`,
  `CREATE UNIQUE INDEX "unit_vin" ON "unit" ("yard_id", "vin") WHERE in_stock`,
  `CREATE TABLE "record_field" (
    "yard_id" uuid NOT NULL,
    "unit_id" uuid NOT NULL,
    "part" character varying(12) NOT NULL ${part},
    "key" character varying(90) NOT NULL,
    "value" jsonb,
    "how" character varying(10) NOT NULL ${how},
    "by" character varying(80) NOT NULL,
    "at" TIMESTAMP WITH TIME ZONE NOT NULL,
    "version" integer NOT NULL CHECK ("version" > 0),
    CONSTRAINT "record_field_pk" PRIMARY KEY ("yard_id", "unit_id", "part", "key"),
    ${unitKey})`,
  `CREATE TABLE "record_change" (
    "yard_id" uuid NOT NULL,
    "id" uuid NOT NULL,
    "unit_id" uuid NOT NULL,
    "part" character varying(12) NOT NULL ${part},
    "key" character varying(90) NOT NULL,
    "from_value" jsonb,
    "to_value" jsonb,
    "how" character varying(10) NOT NULL ${how},
    "person_id" uuid,
    "by" character varying(80) NOT NULL,
    "at" TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT "record_change_pk" PRIMARY KEY ("yard_id", "id"),
    ${unitKey})`,
  `CREATE INDEX "record_change_unit" ON "record_change" ("yard_id", "unit_id", "at")`,
  `CREATE TABLE "walk" (
    "yard_id" uuid NOT NULL,
    "id" uuid NOT NULL,
    "unit_id" uuid NOT NULL,
    "minutes" integer NOT NULL CHECK ("minutes" BETWEEN 1 AND 240),
    "points" jsonb NOT NULL,
    "by" character varying(80) NOT NULL,
    "created_at" TIMESTAMP WITH TIME ZONE NOT NULL,
    CONSTRAINT "walk_pk" PRIMARY KEY ("yard_id", "id"),
    ${unitKey})`,
  `CREATE INDEX "walk_unit" ON "walk" ("yard_id", "unit_id", "created_at")`,
  `CREATE TABLE "walk_event" (
    "yard_id" uuid NOT NULL,
    "walk_id" uuid NOT NULL,
    "id" uuid NOT NULL,
    "device" uuid NOT NULL,
    "counter" integer NOT NULL CHECK ("counter" > 0),
    "elapsed" integer NOT NULL CHECK ("elapsed" >= 0),
    "what" jsonb NOT NULL,
    CONSTRAINT "walk_event_pk" PRIMARY KEY ("yard_id", "walk_id", "id"),
    FOREIGN KEY ("yard_id", "walk_id") REFERENCES "walk" ("yard_id", "id") ON DELETE CASCADE)`,
];
