import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { PlanPage } from '@rough-gear/contract/api';
import { DEMO_IDS, SEED, TestServer } from './server.js';

/** A freshly made demo is judged within so many tries of `EVERY` ms, or something is wrong with it. */
const TRIES = 600;
const EVERY = 100;

/** Before all tests: the demo is made and judged once; each server of a test begins with a copy of that folder. */
export default async function seedOnce(): Promise<() => void> {
  const folder = mkdtempSync(join(tmpdir(), 'rough-gear-seed-'));
  const server = new TestServer(folder);
  await server.start();
  let plans = await plansOf(server);
  for (let left = TRIES; !plans.every(({ robot }) => robot); left--) {
    if (left === 0) throw new Error('the demo robots were not judged');
    await new Promise((resolve) => setTimeout(resolve, EVERY));
    plans = await plansOf(server);
  }
  await server.stop();
  process.env[SEED] = folder;
  process.env[DEMO_IDS] = JSON.stringify(Object.fromEntries(plans.map(({ name, id }) => [name, id])));
  return () => rmSync(folder, { recursive: true, force: true });
}

const plansOf = async (server: TestServer): Promise<PlanPage['plans']> =>
  ((await (await fetch(`${server.url}/api/plans`)).json()) as PlanPage).plans;
