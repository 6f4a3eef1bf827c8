import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import request from 'supertest';
import { beforeEach, describe, expect, it } from 'vitest';
import { etagOf, type ProblemDetails, type StoredPlan } from '@rough-gear/contract';
import { planText } from '../src/plans/reading.js';
import { heron, testApp } from './helper.js';

let made: Awaited<ReturnType<typeof testApp>>;
let id: string;
beforeEach(async () => {
  made = await testApp();
  id = (await made.plans.create(planText(heron))).id;
});

/** What another program finds in the file. */
function onDisk(): { revision: number; note?: string } {
  const file = new Sqlite(join(made.folder, 'rough-gear.sqlite'), { readonly: true });
  try {
    const { revision } = file.prepare('SELECT "revision" FROM "plan" WHERE "id" = ?').get(id) as { revision: number };
    const { document } = file
      .prepare('SELECT "document" FROM "revision" WHERE "planId" = ? AND "revision" = ?')
      .get(id, revision) as { document: string };
    return { revision, note: (JSON.parse(document) as { note?: string }).note };
  } finally {
    file.close();
  }
}

const save = (basedOn: number, note: string) =>
  request(made.app)
    .put(`/api/plans/${id}`)
    .set('If-Match', etagOf(basedOn))
    .send({ ...heron, note });

/** The file may not grow past what it has now, and a little. */
const fill = (pages = 8) =>
  made.sql('PRAGMA page_count').then((answer) => {
    const [{ page_count }] = answer as [{ page_count: number }];
    return made.sql(`PRAGMA max_page_count = ${page_count + pages}`);
  });
const makeRoom = () => made.sql('PRAGMA max_page_count = 1073741823');

const NOTE = 'a long note '.repeat(400).slice(0, 1900);

describe('A disk that is full', () => {
  it('never has a save acknowledged that is not in the file', async () => {
    let revision = 1;
    let refused = 0;
    for (let i = 0; i < 60; i++) {
      // Each time anew: a connection that was opened again knows of no bound.
      if (i === 3) await fill();
      const note = `${i} ${NOTE}`.slice(0, 1990);
      const answer = await save(revision, note);
      if (answer.status === 200) {
        revision = (answer.body as StoredPlan).revision;
        expect(onDisk()).toEqual({ revision, note });
      } else {
        refused++;
        expect(answer.status).toBe(507);
        expect((answer.body as ProblemDetails).detail).toContain('make room');
        expect(onDisk().revision).toBe(revision);
        await fill(0);
      }
    }
    expect(refused).toBeGreaterThan(10);
  });

  it('is said by the health answer, and forgotten once there is room', async () => {
    await fill(0);
    let answer = await save(1, NOTE);
    for (let i = 0; i < 10 && answer.status === 200; i++)
      answer = await save((answer.body as StoredPlan).revision, `${i} ${NOTE}`);
    expect(answer.status).toBe(507);
    // A tick of a diary fits, a plan does not: it is full.
    await fill(20);
    const full = await request(made.app).get('/api/health');
    expect([full.status, full.body]).toEqual([
      503,
      expect.objectContaining({ ok: false, detail: expect.stringContaining('make room') as string }),
    ]);
    await makeRoom();
    const { revision } = onDisk();
    const after = await save(revision, 'room again');
    expect(after.status).toBe(200);
    expect(onDisk()).toEqual({ revision: revision + 1, note: 'room again' });
    const health = await request(made.app).get('/api/health');
    expect(health.body).toMatchObject({ ok: true, freeBytes: expect.any(Number) as number });
    expect(await made.sql('SELECT count(*) AS n FROM "health"')).toEqual([{ n: 1 }]);
  });

  it('loses nothing that was acknowledged before it was closed', async () => {
    await fill(4);
    let revision = 1;
    for (let i = 0; i < 30; i++) {
      const answer = await save(revision, `${i} ${NOTE}`.slice(0, 1990));
      if (answer.status === 200) revision = (answer.body as StoredPlan).revision;
    }
    await made.close();
    expect(onDisk().revision).toBe(revision);
  });
});

describe('A commit that fails', () => {
  it('is not acknowledged, and the next save is a save again', async () => {
    // What a full disk did: the driver takes the transaction back by itself, and the rollback then finds none.
    const broken = made.data.write(async (manager) => {
      await manager.query(`UPDATE "plan" SET "name" = 'never'`);
      await manager.query('ROLLBACK');
      throw Object.assign(new Error('database or disk is full'), { code: 'SQLITE_FULL' });
    });
    await expect(broken).rejects.toThrow(/make room/);
    const answer = await save(1, 'after it');
    expect(answer.status).toBe(200);
    expect(onDisk()).toEqual({ revision: 2, note: 'after it' });
  });

  it('does not leave a transaction open behind a work that ended it itself', async () => {
    await expect(
      made.data.write(async (manager) => {
        await manager.query(`UPDATE "plan" SET "name" = 'never'`);
        await manager.query('ROLLBACK');
      }),
    ).rejects.toThrow();
    expect((await save(1, 'after it')).status).toBe(200);
    expect(onDisk()).toEqual({ revision: 2, note: 'after it' });
  });
});
