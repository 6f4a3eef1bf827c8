import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What was ordered, typed in, ticked and played, by robot. */
export class Diary1764600000000 implements MigrationInterface {
  name = 'Diary1764600000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE "diary" (
      "id" TEXT PRIMARY KEY NOT NULL,
      "planId" TEXT NOT NULL,
      "at" TEXT NOT NULL,
      "entry" TEXT NOT NULL
    )`);
    await runner.query(`CREATE INDEX "diary_of_plan" ON "diary" ("planId", "at")`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE "diary"`);
  }
}
