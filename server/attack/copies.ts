import { spawn, spawnSync } from 'node:child_process';
import { cpSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import Sqlite from 'better-sqlite3';
import type { Attack } from './attack.js';
import { heron, newFolder, root, Target } from './server.js';

const small = { ...heron, mechanisms: heron.mechanisms.slice(0, 1) };
/** More changes of files than a command makes. */
const MOST_STEPS = 60;

const run = (command: string, folder: string, killAfter: number, ...args: string[]) =>
  spawnSync(process.execPath, ['--import', './server/attack/killAfter.mjs', `server/dist/${command}.mjs`, ...args], {
    cwd: root,
    env: { ...process.env, ROUGH_GEAR_DATA: folder, KILL_AFTER: String(killAfter) },
    encoding: 'utf8',
  });

const namesIn = (file: string): readonly string[] => {
  const data = new Sqlite(file, { readonly: true });
  try {
    return data
      .prepare<[], { name: string }>('SELECT "name" FROM "plan" ORDER BY "name"')
      .all()
      .map(({ name }) => name);
  } finally {
    data.close();
  }
};

async function served(folder: string): Promise<readonly string[]> {
  const target = await Target.start(folder);
  const { plans } = await target.list('sort=name');
  await target.end('SIGKILL');
  return plans.map(({ name }) => name);
}

/** A restore that is killed after each change it makes: the next start has the old data or the new, and the old is somewhere. */
async function restoreKilled(every: number, broken: string[]): Promise<number> {
  const folder = newFolder();
  const target = await Target.start(folder);
  await target.create({ ...small, name: 'Of before' });
  const { name } = (await (await target.send('POST', '/data/backups', {})).json()) as { name: string };
  const backup = (await target.list('sort=name')).plans.map((plan) => plan.name);
  await target.create({ ...small, name: 'Since then' });
  const now = (await target.list('sort=name')).plans.map((plan) => plan.name);
  await target.end('SIGKILL');
  let kills = 0;
  for (let step = 1; step <= MOST_STEPS; step += every) {
    const copy = newFolder();
    cpSync(folder, copy, { recursive: true });
    const { signal, status, stderr } = run('restore', copy, step, join(copy, 'backups', name));
    if (signal === 'SIGKILL') kills++;
    const there = (await served(copy)).join();
    const aside = readdirSync(join(copy, 'backups'))
      .filter((entry) => entry.startsWith('replaced-'))
      .map((entry) => join(copy, 'backups', entry, 'rough-gear.sqlite'));
    if (there !== now.join() && there !== backup.join()) broken.push(`restore, step ${step}: ${there} is served`);
    if (there === backup.join() && !aside.some((file) => namesIn(file).join() === now.join()))
      broken.push(`restore, step ${step}: what it replaced is nowhere`);
    rmSync(copy, { recursive: true });
    if (signal === null) {
      if (status !== 0) broken.push(`restore ended with ${status}: ${stderr.slice(0, 200)}`);
      break;
    }
  }
  rmSync(folder, { recursive: true });
  return kills;
}

/** A backup that is killed at any moment: what the next start lists is whole, and no half is left. */
async function backupKilled(times: number, broken: string[]): Promise<number> {
  const folder = newFolder();
  const target = await Target.start(folder);
  const { total } = await target.list('count=1');
  await target.end();
  let kills = 0;
  for (let i = 1; i <= times; i++) {
    if (i % 2 === 1) kills += run('backup', folder, (i + 1) / 2).signal === 'SIGKILL' ? 1 : 0;
    else {
      const child = spawn(process.execPath, ['server/dist/backup.mjs'], {
        cwd: root,
        env: { ...process.env, ROUGH_GEAR_DATA: folder },
        stdio: 'ignore',
      });
      const ended = new Promise((resolve) => child.once('exit', resolve));
      await sleep(100 + Math.random() * 200);
      if (child.kill('SIGKILL')) kills++;
      await ended;
    }
  }
  if ((await served(folder)).length !== total) broken.push('after killed backups other plans are served');
  for (const name of readdirSync(join(folder, 'backups')))
    if (name.includes('.unfinished')) broken.push(`${name} is left`);
    else if (namesIn(join(folder, 'backups', name)).length !== total) broken.push(`${name} is no whole backup`);
  rmSync(folder, { recursive: true });
  return kills;
}

/** Restores and backups that are killed in the middle. */
export const copies: Attack = {
  name: 'restore and backup killed',
  aims: 'the data is gone, or a copy is there by half',
  async run(scale) {
    const broken: string[] = [];
    const restores = await restoreKilled(scale === 'long' ? 1 : 4, broken);
    const backups = await backupKilled(scale === 'long' ? 40 : 6, broken);
    return { tried: `${restores} restores and ${backups} backups killed`, seen: 'old or new, and no half', broken };
  },
};
