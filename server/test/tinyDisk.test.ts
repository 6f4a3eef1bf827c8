import { spawnSync } from 'node:child_process';
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import request from 'supertest';
import { afterAll, describe, expect, it } from 'vitest';
import { etagOf, type StoredPlan } from '@rough-gear/contract';
import { planText } from '../src/plans/reading.js';
import { heron, temporaryFolder, testApp } from './helper.js';

/** A disk of its own, twelve megabytes; `undefined` where it may not be mounted here. */
function tinyDisk(): string | undefined {
  const folder = join(temporaryFolder(), 'disk');
  mkdirSync(folder);
  const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=12m', 'tmpfs', folder]);
  return mounted.status === 0 ? folder : undefined;
}

const disk = tinyDisk();
afterAll(() => {
  if (disk) spawnSync('umount', ['-l', disk]);
});

describe.skipIf(!disk)('A disk that really is full', () => {
  it('loses no save that was acknowledged, and saving goes on by itself once there is room', async () => {
    const made = await testApp(disk);
    const filler = join(disk!, 'filler');
    const { id } = await made.plans.create(planText({ ...heron, mechanisms: heron.mechanisms.slice(0, 2) }));
    const note = (i: number) => `${i} ${'a long note '.repeat(160)}`.slice(0, 1990);
    const save = (basedOn: number, text: string) =>
      request(made.app)
        .put(`/api/plans/${id}`)
        .set('If-Match', etagOf(basedOn))
        .send({ ...heron, mechanisms: heron.mechanisms.slice(0, 2), note: text });
    const onDisk = () => {
      const file = new Sqlite(join(disk!, 'rough-gear.sqlite'));
      try {
        return file.prepare('SELECT "revision" FROM "plan" WHERE "id" = ?').get(id) as { revision: number };
      } finally {
        file.close();
      }
    };

    let revision = 1;
    let refused = 0;
    for (let i = 0; i < 120; i++) {
      const answer = await save(revision, note(i));
      if (answer.status === 200) revision = (answer.body as StoredPlan).revision;
      else {
        refused++;
        expect([503, 507]).toContain(answer.status);
      }
      expect(onDisk().revision).toBe(revision);
      // Room comes and goes: something else on the disk is deleted, and grows again.
      if (i === 60) rmSync(filler, { force: true });
      else if (i === 20 || i === 90)
        try {
          writeFileSync(filler, 'x'.repeat(13_000_000));
        } catch {
          // As much as there was room for.
        }
    }
    expect(refused).toBeGreaterThan(10);
    // A backup has no room either, and says so.
    await request(made.app).post('/api/data/backups').send({}).expect(507);
    rmSync(filler, { force: true });
    let after = await save(revision, 'room again');
    for (let i = 0; i < 3 && after.status !== 200; i++) after = await save(revision, 'room again');
    expect(after.status).toBe(200);
    await made.close();
    expect(onDisk().revision).toBe(revision + 1);
  });
});
