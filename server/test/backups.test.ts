import { spawnSync } from 'node:child_process';
import {
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import Sqlite from 'better-sqlite3';
import type { Backup, DataState } from '@rough-gear/contract';
import request from 'supertest';
import { describe, expect, it } from 'vitest';
import { backupFolder, BACKUPS_KEPT, listBackups, makeBackup } from '../src/backup/backups.js';
import { DailyBackups } from '../src/backup/daily.js';
import { mendFolder, restore } from '../src/backup/restore.js';
import { fileIn, openData } from '../src/db/open.js';
import { PlanStore } from '../src/plans/store.js';
import { planText } from '../src/plans/reading.js';
import { root } from '../attack/server.js';
import { heron, temporaryFolder, testApp } from './helper.js';

const names = (file: string): readonly string[] => {
  const data = new Sqlite(file, { readonly: true });
  try {
    return data
      .prepare<[], { name: string }>('SELECT name FROM plan ORDER BY name')
      .all()
      .map(({ name }) => name);
  } finally {
    data.close();
  }
};
const at = (iso: string) => new Date(iso);

/** How a power cut looks to what is being done. */
class Cut extends Error {}

describe('A restore that is cut off', () => {
  /** A folder with data of Heron and a backup of before, which has nobody. */
  async function stand() {
    const { plans, data, folder, close } = await testApp();
    const { name } = await makeBackup(folder, 'by-hand', (file) => data.copyTo(file));
    await plans.create(planText(heron));
    await close();
    // A log that was not emptied lies beside the data of a program that was killed.
    writeFileSync(`${fileIn(folder)}-shm`, '');
    return { folder, backup: join(backupFolder(folder), name) };
  }
  const steps: string[] = [];

  it('goes through so many steps', async () => {
    const { folder, backup } = await stand();
    restore(folder, backup, at('2031-01-01T00:00:00Z'), (step) => steps.push(step));
    expect(steps).toEqual(['copied', 'settled', 'noted', 'moved -shm', 'moved ', 'in place', 'forgotten']);
    expect(names(fileIn(folder))).toEqual([]);
    expect(mendFolder(folder)).toBeUndefined();
  });

  it('is undone or finished by the next start, wherever that was, and says which', async () => {
    for (const [at_, last] of steps.entries()) {
      const { folder, backup } = await stand();
      const cut = (step: string): void => {
        if (step === last) throw new Cut(step);
      };
      expect(() => restore(folder, backup, at('2031-01-01T00:00:00Z'), cut)).toThrow(Cut);
      const said = mendFolder(folder);
      const began = at_ >= steps.indexOf('noted');
      expect(said, last).toEqual(
        last === 'forgotten' ? undefined : expect.stringContaining(began ? 'finished now' : 'everything is as it was'),
      );
      expect(names(fileIn(folder)), last).toEqual(began ? [] : ['Heron']);
      const aside = join(backupFolder(folder), 'replaced-2031-01-01T00-00-00-000Z', 'rough-gear.sqlite');
      if (began) expect(names(aside), last).toEqual(['Heron']);
      expect(readdirSync(folder).filter((name) => /coming|restore/.test(name))).toEqual([]);
      expect(mendFolder(folder)).toBeUndefined();
    }
  });

  it('is gone on with by another restore, too', async () => {
    const { folder, backup } = await stand();
    const cut = (step: string): void => {
      if (step === 'moved ') throw new Cut(step);
    };
    expect(() => restore(folder, backup, at('2031-01-01T00:00:00Z'), cut)).toThrow(Cut);
    restore(folder, backup, at('2031-01-02T00:00:00Z'));
    const aside = (day: string) =>
      join(backupFolder(folder), `replaced-2031-01-${day}T00-00-00-000Z`, 'rough-gear.sqlite');
    expect([names(aside('01')), names(aside('02')), names(fileIn(folder))]).toEqual([['Heron'], [], []]);
  });

  it('leaves no folder with copies to be begun anew', async () => {
    const { folder } = await stand();
    rmSync(fileIn(folder));
    expect(() => mendFolder(folder)).toThrow(/holds backups but no data/);
  });

  it('clears halves of backups away, and nothing else', async () => {
    const { folder } = await stand();
    const before = readdirSync(backupFolder(folder));
    for (const end of ['', '-journal', '-wal'])
      writeFileSync(join(backupFolder(folder), `daily-2031-01-01T00-00-00-000Z.sqlite.unfinished${end}`), '');
    mendFolder(folder);
    expect(readdirSync(backupFolder(folder))).toEqual(before);
  });
});

describe('A backup', () => {
  it('is made while plans are saved, is one whole file, and holds what was acknowledged before it', async () => {
    const { plans, data, folder } = await testApp();
    await plans.create(planText({ ...heron, name: 'before' }));
    const writing = (async () => {
      for (let i = 0; i < 10; i++) await plans.create(planText({ ...heron, name: `while ${i}` }));
    })();
    const backup = await makeBackup(folder, 'by-hand', (file) => data.copyTo(file));
    await writing;
    const file = join(backupFolder(folder), backup.name);
    expect(names(file)).toContain('before');
    expect(readdirSync(backupFolder(folder))).toEqual([backup.name]);
    expect(backup.bytes).toBe(readFileSync(file).length);
  });

  it('is whole where a long change is half done as it is asked for', async () => {
    const { plans, data, folder } = await testApp();
    await plans.create(planText({ ...heron, name: 'before' }));
    let goOn = (): void => undefined;
    const halfDone = new Promise<void>((done) => (goOn = done));
    const writing = data.write(async (manager) => {
      await manager.query(`UPDATE "plan" SET "name" = 'after'`);
      await halfDone;
    });
    const making = makeBackup(folder, 'by-hand', (file) => data.copyTo(file));
    await sleep(50);
    goOn();
    await writing;
    expect(names(join(backupFolder(folder), (await making).name))).toEqual(['after']);
  });

  it('goes on where a change that failed had the connection closed under it', async () => {
    const { plans, data, folder } = await testApp();
    await plans.create(planText({ ...heron, name: 'before' }));
    const making = makeBackup(folder, 'by-hand', (file) => data.copyTo(file));
    await expect(data.write((manager) => manager.query('ROLLBACK'))).rejects.toThrow();
    expect(names(join(backupFolder(folder), (await making).name))).toEqual(['before']);
  });

  it('is made once a day, and the last fourteen are kept; those made by hand are apart', async () => {
    const { data, folder } = await testApp();
    let now = at('2026-03-01T08:00:00Z');
    const daily = new DailyBackups(data, folder, () => now);
    await daily.look();
    now = at('2026-03-01T20:00:00Z');
    await daily.look();
    expect(listBackups(folder)).toHaveLength(1);
    await makeBackup(folder, 'by-hand', (file) => data.copyTo(file), now);
    for (let day = 2; day < 20; day++) {
      now = at(`2026-03-${String(day).padStart(2, '0')}T08:00:01Z`);
      await daily.look();
    }
    const all = listBackups(folder);
    expect(all.filter(({ kind }) => kind === 'daily')).toHaveLength(BACKUPS_KEPT);
    expect(all.filter(({ kind }) => kind === 'by-hand')).toHaveLength(1);
    expect(all[0]!.madeAt).toBe('2026-03-19T08:00:01.000Z');
  });

  it('that cannot be made leaves nothing half made, is said, and is made when it can', async () => {
    const { data, folder, app, backups } = await testApp();
    writeFileSync(backupFolder(folder), 'a file where the folder should be');
    await backups.look();
    expect(backups.failure).toBeDefined();
    expect(((await request(app).get('/api/health')).body as { backupFailure?: string }).backupFailure).toBe(
      backups.failure,
    );
    rmSync(backupFolder(folder));
    await expect(
      makeBackup(folder, 'by-hand', async (file) => {
        await data.copyTo(file);
        truncateSync(file, 5000);
      }),
    ).rejects.toThrow(/damaged/);
    expect(readdirSync(backupFolder(folder))).toEqual([]);
    await backups.look();
    expect([backups.failure, listBackups(folder).length]).toEqual([undefined, 1]);
  });

  it('comes before the tables of an older program are changed, and without it nothing is', async () => {
    const { plans, folder, close, sql } = await testApp();
    await plans.create(planText(heron));
    await sql(`DELETE FROM "migrations" WHERE "name" LIKE 'Summaries%'`);
    await sql('DROP TABLE "shelf_import"');
    await sql('DROP INDEX "plan_judged"');
    await sql('DROP INDEX "plan_saved"');
    for (const column of ['judgedBy', 'judged', 'worst', 'sought'])
      await sql(`ALTER TABLE "plan" DROP COLUMN "${column}"`);
    await close();
    const before = readFileSync(fileIn(folder));
    await expect(openData(folder, () => Promise.reject(new Error('no room')))).rejects.toThrow('no room');
    expect(readFileSync(fileIn(folder)).equals(before)).toBe(true);
    const opened = await openData(folder, async (copyTo) => void (await makeBackup(folder, 'before-update', copyTo)));
    expect((await new PlanStore(opened.database).list({ find: 'heron' })).total).toBe(1);
    await opened.close();
    const [made] = listBackups(folder);
    expect(made!.kind).toBe('before-update');
    expect(names(join(backupFolder(folder), made!.name))).toEqual(['Heron']);
    await (await openData(folder, () => Promise.reject(new Error('not asked again')))).close();
  });
});

describe('Restoring', () => {
  it('puts a backup in place and keeps what it replaces, sound or damaged', async () => {
    const { plans, data, folder, close } = await testApp();
    await plans.create(planText({ ...heron, name: 'first' }));
    const { name } = await makeBackup(folder, 'by-hand', (file) => data.copyTo(file));
    await plans.create(planText({ ...heron, name: 'second' }));
    const backup = join(backupFolder(folder), name);
    expect(() => restore(folder, backup)).toThrow(/in use by another server/);
    await close();
    const aside = restore(folder, backup)!;
    expect(names(fileIn(folder))).toEqual(['first']);
    expect(names(join(aside, 'rough-gear.sqlite'))).toEqual(['first', 'second']);
    writeFileSync(fileIn(folder), 'torn');
    const torn = restore(folder, backup, at('2031-01-01T00:00:00Z'))!;
    expect(readFileSync(join(torn, 'rough-gear.sqlite'), 'utf8')).toBe('torn');
    const opened = await openData(folder);
    expect((await new PlanStore(opened.database).list({})).plans.map((plan) => plan.name)).toEqual(['first']);
    await opened.close();
  });

  it('into an empty folder needs nothing there', async () => {
    const { data, folder } = await testApp();
    const { name } = await makeBackup(folder, 'by-hand', (file) => data.copyTo(file));
    const other = join(temporaryFolder(), 'new');
    expect(restore(other, join(backupFolder(folder), name))).toBeUndefined();
    await (await openData(other)).close();
  });

  it('touches nothing where the backup is none', async () => {
    const { plans, folder, close } = await testApp();
    await plans.create(planText(heron));
    await close();
    const there = readFileSync(fileIn(folder));
    const place = mkdtempSync(join(folder, 'wrong-'));
    const file = (what: string) => join(place, what);
    writeFileSync(file('text'), 'no database at all');
    const other = new Sqlite(file('other'));
    other.exec('CREATE TABLE x (y)');
    other.close();
    writeFileSync(file('newer'), there);
    const newer = new Sqlite(file('newer'));
    newer.exec(`INSERT INTO "migrations" ("timestamp", "name") VALUES (1900000000000, 'NextYear1900000000000')`);
    newer.close();
    writeFileSync(file('cut'), there.subarray(0, 9000));
    for (const [what, why] of [
      ['missing', /no such file/],
      ['text', /no data of this program/],
      ['other', /other data/],
      ['newer', /newer version/],
      ['cut', /damaged/],
    ] as const) {
      expect(() => restore(folder, file(what)), what).toThrow(why);
      expect(readFileSync(fileIn(folder)).equals(there)).toBe(true);
    }
  });
});

describe('The commands', () => {
  const run = (name: 'backup' | 'restore', folder: string, ...args: string[]) =>
    spawnSync(process.execPath, ['--import', 'tsx', `server/src/bin/${name}.ts`, ...args], {
      cwd: root,
      env: { ...process.env, ROUGH_GEAR_DATA: folder },
      encoding: 'utf8',
    });

  it('back up while a server works on the data, and restore when it has stopped', async () => {
    const { plans, folder, close } = await testApp();
    await plans.create(planText({ ...heron, name: 'first' }));
    const file = join(temporaryFolder(), 'elsewhere.sqlite');
    expect(run('backup', folder, file)).toMatchObject({ status: 0, stdout: `The backup is ${file}.\n` });
    expect(statSync(file).mode & 0o077).toBe(0);
    expect(run('backup', folder, file)).toMatchObject({
      status: 2,
      stderr: `${file} is there already: name another file.\n`,
    });
    expect(run('restore', folder, file)).toMatchObject({
      status: 2,
      stderr: expect.stringContaining('in use by another server') as string,
    });
    await plans.create(planText({ ...heron, name: 'second' }));
    await close();
    const restored = run('restore', folder, file);
    expect([restored.status, restored.stdout]).toEqual([0, expect.stringContaining('What was there before lies in')]);
    expect(names(fileIn(folder))).toEqual(['first']);
    expect(run('restore', folder).stderr).toContain('Which backup?');
    expect(run('backup', temporaryFolder()).stderr).toContain('holds no data yet');
  });
});

describe('The data page’s answers', () => {
  it('say what is held, make a backup and hand it out, and nothing beside it', async () => {
    const { app, plans, folder } = await testApp();
    await plans.create(planText(heron));
    const made = (await request(app).post('/api/data/backups')).body as Backup;
    const state = (await request(app).get('/api/data')).body as DataState;
    expect(state).toMatchObject({ plans: 1, binned: 0, revisions: 1, backups: [made], folder: backupFolder(folder) });
    expect(state.bytes).toBeGreaterThan(10_000);
    const got = await request(app).get(`/api/data/backups/${made.name}`).buffer(true);
    expect([got.status, (got.body as Buffer).length]).toEqual([200, made.bytes]);
    writeFileSync(join(backupFolder(folder), 'note.txt'), 'not for you');
    for (const wrong of ['note.txt', '..%2Frough-gear.sqlite', '..%2F..%2Fetc%2Fpasswd', 'daily-2026'])
      expect((await request(app).get(`/api/data/backups/${wrong}`)).status, wrong).toBe(404);
    expect(existsSync(join(backupFolder(folder), 'note.txt'))).toBe(true);
    const health = (await request(app).get('/api/health')).body as { newestBackup: string; backupAgeHours: number };
    expect(health).toMatchObject({ newestBackup: made.madeAt, backupAgeHours: 0 });
  });
});
