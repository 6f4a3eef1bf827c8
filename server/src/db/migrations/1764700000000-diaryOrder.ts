import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Entries have a number in the order in which they were received, so that a device is told what is new since one. */
export class DiaryOrder1764700000000 implements MigrationInterface {
  name = 'DiaryOrder1764700000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE "diary_in_order" (
      "seq" INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
      "id" TEXT NOT NULL UNIQUE,
      "planId" TEXT NOT NULL,
      "at" TEXT NOT NULL,
      "entry" TEXT NOT NULL
    )`);
    await runner.query(
      `INSERT INTO "diary_in_order" ("id", "planId", "at", "entry") SELECT "id", "planId", "at", "entry" FROM "diary" ORDER BY "at", "id"`,
    );
    await runner.query(`DROP TABLE "diary"`);
    await runner.query(`ALTER TABLE "diary_in_order" RENAME TO "diary"`);
    await runner.query(`CREATE INDEX "diary_of_plan" ON "diary" ("planId", "seq")`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE "diary_before" (
      "id" TEXT PRIMARY KEY NOT NULL,
      "planId" TEXT NOT NULL,
      "at" TEXT NOT NULL,
      "entry" TEXT NOT NULL
    )`);
    await runner.query(`INSERT INTO "diary_before" SELECT "id", "planId", "at", "entry" FROM "diary"`);
    await runner.query(`DROP TABLE "diary"`);
    await runner.query(`ALTER TABLE "diary_before" RENAME TO "diary"`);
    await runner.query(`CREATE INDEX "diary_of_plan" ON "diary" ("planId", "at")`);
  }
}
