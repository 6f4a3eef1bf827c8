import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Plan } from '@rough-gear/core';
import { pino } from 'pino';
import { createApp } from '../src/app.js';
import { openDatabase } from '../src/db/open.js';
import { PlanStore } from '../src/plans/store.js';
import { ShelfStore } from '../src/shelf/store.js';

export const heron = JSON.parse(
  readFileSync(new URL('../../contract/demo/heron.json', import.meta.url), 'utf8'),
) as Plan;

export const temporaryFolder = (): string => mkdtempSync(join(tmpdir(), 'rough-gear-server-'));

/** The application on a real SQLite file of its own. */
export async function testApp(folder = temporaryFolder()) {
  const source = await openDatabase(folder);
  const plans = new PlanStore(source);
  const shelf = new ShelfStore(source);
  await shelf.seed();
  const app = createApp({ plans, shelf, log: pino({ level: 'silent' }), host: '127.0.0.1' });
  return { app, source, plans, folder };
}
