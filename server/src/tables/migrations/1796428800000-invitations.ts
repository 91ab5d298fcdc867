import type { MigrationInterface, QueryRunner } from 'typeorm';

const up = [
  `CREATE TABLE "invitation" (
    "yard_id" uuid NOT NULL REFERENCES "yard" ("id") ON DELETE CASCADE,
    "id" uuid NOT NULL,
    "email" varchar(254) NOT NULL,
    "name" varchar(80) NOT NULL,
    "role" varchar(20) NOT NULL,
    "token_hash" char(64) NOT NULL,
    "expires_at" timestamptz NOT NULL,
    PRIMARY KEY ("yard_id", "id")
  )`,
  `CREATE UNIQUE INDEX "invitation_email" ON "invitation" ("yard_id", "email")`,
  `CREATE UNIQUE INDEX "invitation_token" ON "invitation" ("token_hash")`,
  `ALTER TABLE "membership" ADD "joined_at" timestamptz NOT NULL DEFAULT now(), ADD "used_at" timestamptz`,
  // Accounts that nobody had opened were of whichever yard made the last link. A link that let into several dies.
  `INSERT INTO "invitation" ("yard_id", "id", "email", "name", "role", "token_hash", "expires_at")
   SELECT m."yard_id", gen_random_uuid(), p."email", p."name", m."role",
     CASE WHEN l."token_hash" IS NOT NULL AND
       (SELECT count(*) FROM "membership" o WHERE o."person_id" = p."id") = 1 THEN l."token_hash"
       ELSE encode(sha256((m."yard_id"::text || p."id"::text || random()::text)::bytea), 'hex') END,
     coalesce(l."expires_at", now())
   FROM "person" p JOIN "membership" m ON m."person_id" = p."id"
   LEFT JOIN "password_link" l ON l."person_id" = p."id"
   WHERE p."password_hash" IS NULL`,
  `DELETE FROM "membership" m USING "person" p WHERE p."id" = m."person_id" AND p."password_hash" IS NULL`,
  `DELETE FROM "password_link" l USING "person" p WHERE p."id" = l."person_id" AND p."password_hash" IS NULL`,
  `DELETE FROM "person" WHERE "password_hash" IS NULL`,
];

const down = [
  `INSERT INTO "person" ("id", "email", "name", "password_hash", "system")
   SELECT DISTINCT ON (i."email") i."id", i."email", i."name", NULL, NULL FROM "invitation" i
   WHERE NOT EXISTS (SELECT 1 FROM "person" p WHERE p."email" = i."email")`,
  `INSERT INTO "membership" ("yard_id", "person_id", "role")
   SELECT i."yard_id", p."id", i."role" FROM "invitation" i JOIN "person" p ON p."email" = i."email"
   WHERE p."password_hash" IS NULL ON CONFLICT DO NOTHING`,
  `ALTER TABLE "membership" DROP COLUMN "joined_at", DROP COLUMN "used_at"`,
  `DROP TABLE "invitation"`,
];

/** Whoever is taken on accepts it themselves; no yard makes, or gets into, somebody's account. */
export class Invitations1796428800000 implements MigrationInterface {
  name = 'Invitations1796428800000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of up) await runner.query(statement);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const statement of down) await runner.query(statement);
  }
}
