import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * What is told again and again is written once: of a save what was done in it (of earlier ones when it is first asked), of
 * an entry of a diary when it was received, and an index of what was last said of each thing that is checked. Old lines of
 * a diary, which later ones have overtaken, can be put away: they stay, and are told no more.
 */
export class Told1764800000000 implements MigrationInterface {
  name = 'Told1764800000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE "revision" ADD COLUMN "changed" TEXT');
    // Those of before were received when they were written, for all that is known.
    await runner.query(
      `UPDATE "diary" SET "entry" = json_set("entry", '$.receivedAt', "at") WHERE json_extract("entry", '$.receivedAt') IS NULL`,
    );
    await runner.query('ALTER TABLE "diary" ADD COLUMN "putAwayAt" TEXT');
    await runner.query('CREATE INDEX "diary_told" ON "diary" ("planId", "seq") WHERE "putAwayAt" IS NULL');
    await runner.query(`CREATE INDEX "diary_checks" ON "diary" ("planId", json_extract("entry", '$.check'), "seq")
      WHERE json_extract("entry", '$.kind') = 'checked' AND json_extract("entry", '$.state') <> 'open'`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP INDEX "diary_checks"');
    await runner.query('DROP INDEX "diary_told"');
    await runner.query('ALTER TABLE "diary" DROP COLUMN "putAwayAt"');
    await runner.query('ALTER TABLE "revision" DROP COLUMN "changed"');
  }
}
