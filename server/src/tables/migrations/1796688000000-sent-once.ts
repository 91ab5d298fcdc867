import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What is there already was sent under ids too; nobody knows any more what it was, so its digest is not known. */
const alreadyHere: Readonly<Record<string, string>> = {
  unit: `SELECT yard_id, id FROM "unit"`,
  edit: `SELECT DISTINCT yard_id, edit_id FROM "record_change" WHERE edit_id IS NOT NULL`,
  walk: `SELECT yard_id, id FROM "walk"`,
  event: `SELECT DISTINCT yard_id, id FROM "walk_event"`,
  memo: `SELECT DISTINCT yard_id, id FROM "memo"`,
  photo: `SELECT DISTINCT yard_id, id FROM "photo"`,
  letter: `SELECT yard_id, id FROM "letter"`,
  offer: `SELECT DISTINCT yard_id, id FROM "model_sheet_offer"`,
};

/**
 * What was sent under which id, so that the same id with another content is told, not dropped; that an entry of a record
 * is as a file says; that whoever a walk was for was forgotten; and stock numbers that differ by more than case.
 */
export class SentOnce1796688000000 implements MigrationInterface {
  name = 'SentOnce1796688000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      CREATE TABLE "sent_once" (
        "yard_id" uuid NOT NULL REFERENCES "yard" ("id") ON DELETE CASCADE,
        "kind" varchar(10) NOT NULL,
        "id" varchar(80) NOT NULL,
        "digest" char(64),
        PRIMARY KEY ("yard_id", "kind", "id"))`);
    for (const [kind, ids] of Object.entries(alreadyHere)) {
      await runner.query(
        `INSERT INTO "sent_once" ("yard_id", "kind", "id") SELECT h.yard_id, '${kind}', h.id::text FROM (${ids}) AS h(yard_id, id)`,
      );
    }
    await runner.query(`ALTER TABLE "record_field" ADD "filed" boolean NOT NULL DEFAULT false`);
    await runner.query(`ALTER TABLE "walk" ADD "buyer_forgotten" boolean NOT NULL DEFAULT false`);
    // Of two that differ by case alone the later one has to be given another: until then its copy is left empty.
    await runner.query(
      `UPDATE "unit" u SET "stock_number" = NULL WHERE u.in_stock AND EXISTS (
         SELECT 1 FROM "unit" o WHERE o.yard_id = u.yard_id AND o.in_stock
           AND lower(o.stock_number) = lower(u.stock_number) AND (o.created_at, o.id) < (u.created_at, u.id))`,
    );
    await runner.query(`DROP INDEX "unit_stock_number"`);
    await runner.query(
      `CREATE UNIQUE INDEX "unit_stock_number" ON "unit" ("yard_id", lower("stock_number")) WHERE in_stock`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP INDEX "unit_stock_number"`);
    await runner.query(
      `CREATE UNIQUE INDEX "unit_stock_number" ON "unit" ("yard_id", "stock_number") WHERE in_stock`,
    );
    await runner.query(`ALTER TABLE "walk" DROP COLUMN "buyer_forgotten"`);
    await runner.query(`ALTER TABLE "record_field" DROP COLUMN "filed"`);
    await runner.query(`DROP TABLE "sent_once"`);
  }
}
