import type { MigrationInterface } from 'typeorm';
import { FirstTables1764000000000 } from './1764000000000-firstTables.js';
import { ShelfMarks1764100000000 } from './1764100000000-shelfMarks.js';
import { Health1764300000000 } from './1764300000000-health.js';
import { Summaries1764400000000 } from './1764400000000-summaries.js';
import { Trials1764500000000 } from './1764500000000-trials.js';
import { Diary1764600000000 } from './1764600000000-diary.js';
import { DiaryOrder1764700000000 } from './1764700000000-diaryOrder.js';
import { Told1764800000000 } from './1764800000000-told.js';

/** Every change of the tables, in the order in which they were made. */
export const MIGRATIONS: readonly (new () => MigrationInterface & { name: string })[] = [
  FirstTables1764000000000,
  ShelfMarks1764100000000,
  Health1764300000000,
  Summaries1764400000000,
  Trials1764500000000,
  Diary1764600000000,
  DiaryOrder1764700000000,
  Told1764800000000,
];

export const MIGRATION_NAMES: readonly string[] = MIGRATIONS.map((Migration) => new Migration().name);

/** What the tables are called by: the last change this program knows. */
export const SCHEMA = MIGRATION_NAMES.at(-1)!;
