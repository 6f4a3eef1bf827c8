import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { etagOf, type PlanPage, type StoredPlan } from '@rough-gear/contract';
import { beforeAll, describe, expect, it } from 'vitest';
import { temporaryFolder } from './helper.js';

const root = fileURLToPath(new URL('../../', import.meta.url));

/** What a user runs is what is killed here. */
beforeAll(() => execFileSync(process.execPath, ['scripts/build.mjs', 'server'], { cwd: root }));

async function start(folder: string): Promise<{ child: ChildProcess; url: string }> {
  const child = spawn(process.execPath, ['server/dist/main.mjs'], {
    cwd: root,
    env: { ...process.env, PORT: '0', ROUGH_GEAR_DATA: folder, ROUGH_GEAR_LOG: 'silent' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const url = await new Promise<string>((resolve, reject) => {
    child.once('exit', (code) => reject(new Error(`stopped with ${code}`)));
    child.stdout.on('data', (chunk: Buffer) => {
      const found = /http:\S+/.exec(chunk.toString());
      if (found) resolve(found[0]);
    });
  });
  return { child, url };
}

const ended = (child: ChildProcess) =>
  new Promise<number | null>((resolve) => child.once('exit', (code) => resolve(code)));

/** Saves over and over until the server is gone; gives the last revision that was acknowledged. */
async function saveUntilGone(url: string, plan: StoredPlan): Promise<number> {
  let acknowledged = plan.revision;
  for (let i = 0; ; i++) {
    try {
      const response = await fetch(`${url}/api/plans/${plan.id}`, {
        method: 'PUT',
        headers: { 'Content-Type': 'application/json', 'If-Match': etagOf(acknowledged) },
        body: JSON.stringify({ ...plan.document, note: `revision ${acknowledged + 1}` }),
      });
      acknowledged = ((await response.json()) as StoredPlan).revision;
    } catch {
      return acknowledged;
    }
  }
}

describe('a killed server', () => {
  it('opens with the last acknowledged revision, twenty times over', { timeout: 900_000 }, async () => {
    const folder = temporaryFolder();
    for (let round = 0; round < 20; round++) {
      const { child, url } = await start(folder);
      const [first] = ((await (await fetch(`${url}/api/plans`)).json()) as PlanPage).plans;
      const plan = (await (await fetch(`${url}/api/plans/${first!.id}`)).json()) as StoredPlan;
      const saving = saveUntilGone(url, plan);
      setTimeout(() => child.kill('SIGKILL'), 30 + Math.random() * 250);
      const acknowledged = await saving;

      const again = await start(folder);
      const kept = (await (await fetch(`${again.url}/api/plans/${plan.id}`)).json()) as StoredPlan;
      // One more may have reached the disk without its answer reaching us; none that was answered may be missing.
      expect([acknowledged, acknowledged + 1]).toContain(kept.revision);
      if (kept.revision > plan.revision) expect(kept.document.note).toBe(`revision ${kept.revision}`);
      const gone = ended(again.child);
      again.child.kill('SIGTERM');
      expect(await gone).toBe(0);
    }
  });
});

describe('a wrong setting', () => {
  it('stops the start with one line and exit status 2', async () => {
    const child = spawn(process.execPath, ['server/dist/main.mjs'], {
      cwd: root,
      env: { ...process.env, PORT: 'many' },
      stdio: ['ignore', 'ignore', 'pipe'],
    });
    let said = '';
    child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
    expect(await ended(child)).toBe(2);
    expect(said.trim()).toBe('PORT must be a number (is "many")');
  });
});
