import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { DataSource } from 'typeorm';
import { PlanEntity, RevisionEntity, ShelfEntity } from './entities.js';
import { FirstTables1764000000000 } from './migrations/1764000000000-firstTables.js';
import { ShelfMarks1764100000000 } from './migrations/1764100000000-shelfMarks.js';

/**
 * Opens the database in a folder, makes it where there is none, and brings its tables up to date.
 * Write-ahead log with full syncs: an acknowledged save survives a killed process.
 */
export async function openDatabase(folder: string): Promise<DataSource> {
  mkdirSync(folder, { recursive: true });
  const source = new DataSource({
    type: 'better-sqlite3',
    database: join(folder, 'rough-gear.sqlite'),
    entities: [PlanEntity, RevisionEntity, ShelfEntity],
    migrations: [FirstTables1764000000000, ShelfMarks1764100000000],
    enableWAL: true,
    synchronize: false,
  });
  await source.initialize();
  await source.query('PRAGMA foreign_keys = ON');
  await source.query('PRAGMA synchronous = FULL');
  await source.runMigrations({ transaction: 'all' });
  return source;
}
