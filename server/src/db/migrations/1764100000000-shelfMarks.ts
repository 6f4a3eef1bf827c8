import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The team's own parts beside those that ship, and its marks on both. */
export class ShelfMarks1764100000000 implements MigrationInterface {
  name = 'ShelfMarks1764100000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE "shelf_part" ADD COLUMN "shipped" INTEGER`);
    await runner.query(`ALTER TABLE "shelf_part" ADD COLUMN "common" BOOLEAN NOT NULL DEFAULT 0`);
    await runner.query(`ALTER TABLE "shelf_part" ADD COLUMN "retired" BOOLEAN NOT NULL DEFAULT 0`);
    // Until now every part on the shelf had come with the application.
    await runner.query(`UPDATE "shelf_part" SET "shipped" = "revision"`);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const column of ['shipped', 'common', 'retired'])
      await runner.query(`ALTER TABLE "shelf_part" DROP COLUMN "${column}"`);
  }
}
