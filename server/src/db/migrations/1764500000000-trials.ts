import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The bench book. */
export class Trials1764500000000 implements MigrationInterface {
  name = 'Trials1764500000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE "trial" (
      "id" TEXT PRIMARY KEY NOT NULL,
      "revision" INTEGER NOT NULL,
      "savedAt" TEXT NOT NULL,
      "startedAt" TEXT NOT NULL,
      "closedAt" TEXT,
      "head" TEXT NOT NULL,
      "document" TEXT NOT NULL,
      "takings" TEXT NOT NULL DEFAULT '[]'
    )`);
    await runner.query(`CREATE INDEX "trial_started" ON "trial" ("startedAt")`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE "trial"`);
  }
}
