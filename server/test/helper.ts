import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Plan } from '@rough-gear/core';
import { pino } from 'pino';
import { createApp } from '../src/app.js';
import { openData } from '../src/db/open.js';
import { PlanStore } from '../src/plans/store.js';
import { ShelfStore } from '../src/shelf/store.js';

export const heron = JSON.parse(
  readFileSync(new URL('../../contract/demo/heron.json', import.meta.url), 'utf8'),
) as Plan;

export const temporaryFolder = (): string => mkdtempSync(join(tmpdir(), 'rough-gear-server-'));

/** The application on a real SQLite file of its own. */
export async function testApp(folder = temporaryFolder()) {
  const { database: data, close } = await openData(folder);
  const plans = new PlanStore(data);
  const shelf = new ShelfStore(data);
  await shelf.seed();
  const app = createApp({ data, dataFolder: folder, plans, shelf, log: pino({ level: 'silent' }), host: '127.0.0.1' });
  /** Looks into the tables, or changes them behind the program's back. */
  const sql = (text: string, values?: unknown[]): Promise<unknown> =>
    data.write((manager) => manager.query<unknown>(text, values));
  return { app, data, close, plans, shelf, folder, sql };
}
