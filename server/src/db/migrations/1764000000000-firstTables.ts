import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Plans, their revisions, and the shelf. */
export class FirstTables1764000000000 implements MigrationInterface {
  name = 'FirstTables1764000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE "plan" (
      "id" TEXT PRIMARY KEY NOT NULL,
      "name" TEXT NOT NULL,
      "revision" INTEGER NOT NULL,
      "savedAt" TEXT NOT NULL,
      "deletedAt" TEXT
    )`);
    await runner.query(`CREATE TABLE "revision" (
      "planId" TEXT NOT NULL REFERENCES "plan" ("id") ON DELETE CASCADE,
      "revision" INTEGER NOT NULL,
      "savedAt" TEXT NOT NULL,
      "document" TEXT NOT NULL,
      PRIMARY KEY ("planId", "revision")
    )`);
    await runner.query(`CREATE TABLE "shelf_part" (
      "id" TEXT PRIMARY KEY NOT NULL,
      "kind" TEXT NOT NULL,
      "revision" INTEGER NOT NULL,
      "part" TEXT NOT NULL
    )`);
    await runner.query(`CREATE INDEX "shelf_part_kind" ON "shelf_part" ("kind")`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['shelf_part', 'revision', 'plan']) await runner.query(`DROP TABLE "${table}"`);
  }
}
