import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * What a list says of a plan, kept beside it: judged once a revision, by which version of the program. `judgedBy` is null
 * while it is to be judged again. And what an import into the shelf replaced, so that it can be taken back.
 */
export class Summaries1764400000000 implements MigrationInterface {
  name = 'Summaries1764400000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "plan" ADD COLUMN "sought" TEXT NOT NULL DEFAULT ''`);
    await runner.query(`ALTER TABLE "plan" ADD COLUMN "worst" INTEGER NOT NULL DEFAULT 0`);
    await runner.query(`ALTER TABLE "plan" ADD COLUMN "judged" TEXT`);
    await runner.query(`ALTER TABLE "plan" ADD COLUMN "judgedBy" TEXT`);
    await runner.query(`UPDATE "plan" SET "sought" = lower("name")`);
    await runner.query(`CREATE INDEX "plan_saved" ON "plan" ("deletedAt", "savedAt")`);
    await runner.query(`CREATE INDEX "plan_judged" ON "plan" ("judgedBy")`);
    await runner.query(
      `CREATE TABLE "shelf_import" ("id" INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL, "takenAt" TEXT NOT NULL, "kind" TEXT NOT NULL, "replaced" TEXT NOT NULL)`,
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE "shelf_import"`);
    await runner.query(`DROP INDEX "plan_judged"`);
    await runner.query(`DROP INDEX "plan_saved"`);
    for (const column of ['judgedBy', 'judged', 'worst', 'sought'])
      await runner.query(`ALTER TABLE "plan" DROP COLUMN "${column}"`);
  }
}
