import type { MigrationInterface, QueryRunner } from 'typeorm';

/** One row that is written and read back whenever somebody asks how the service is. */
export class Health1764300000000 implements MigrationInterface {
  name = 'Health1764300000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE "health" ("id" INTEGER PRIMARY KEY NOT NULL, "asked" INTEGER NOT NULL)`);
    await runner.query(`INSERT INTO "health" ("id", "asked") VALUES (1, 0)`);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query(`DROP TABLE "health"`);
  }
}
