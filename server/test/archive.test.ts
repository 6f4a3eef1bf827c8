import { randomUUID } from 'node:crypto';
import type { ArchiveReport, PlanPage } from '@rough-gear/contract';
import type { DiaryEntry, Part } from '@rough-gear/core';
import { strToU8, zipSync } from 'fflate';
import request from 'supertest';
import { describe, expect, it } from 'vitest';
import { planText } from '../src/plans/reading.js';
import { heron, testApp } from './helper.js';

type Made = Awaited<ReturnType<typeof testApp>>;
const archiveOf = async ({ app }: Made): Promise<Buffer> => {
  const { body, headers, status } = await request(app)
    .get('/api/archive')
    .buffer(true)
    .parse((response, done) => {
      const chunks: Buffer[] = [];
      response.on('data', (chunk: Buffer) => chunks.push(chunk));
      response.on('end', () => done(null, Buffer.concat(chunks)));
    });
  expect([status, headers['content-type']]).toEqual([200, 'application/zip']);
  return body as Buffer;
};
const bring = ({ app }: Made, archive: Uint8Array) =>
  request(app).post('/api/archive').set('Content-Type', 'application/zip').send(Buffer.from(archive));
const whole = async ({ sql }: Made) => ({
  plans: await sql('SELECT "id", "name", "revision", "savedAt", "deletedAt" FROM "plan" ORDER BY "id"'),
  revisions: await sql('SELECT * FROM "revision" ORDER BY "planId", "revision"'),
  parts: (
    (await sql('SELECT "id", "part", "shipped", "common", "retired" FROM "shelf_part" ORDER BY "id"')) as {
      part: string;
    }[]
  ).map((row) => ({ ...row, part: JSON.parse(row.part) as unknown })),
});

/** A school's: revisions, one in the bin, one that cannot be read, parts of its own and marks on shipped ones. */
async function school(): Promise<Made> {
  const made = await testApp();
  const { plans, shelf, sql } = made;
  const { id } = await plans.create(planText(heron));
  for (let i = 1; i < 5; i++) await plans.save(id, i, planText({ ...heron, note: `save ${i}` }));
  const binned = await plans.create(planText({ ...heron, name: 'Binned' }));
  await plans.setDeleted(binned.id, true);
  const odd = await plans.create(planText({ ...heron, name: 'Odd' }));
  await sql('UPDATE "revision" SET "document" = ? WHERE "planId" = ?', ['{"version": 99}', odd.id]);
  const [wire] = await shelf.list('wire');
  await shelf.add({ ...wire!.part, name: '=our own wire' } as Part);
  await shelf.mark('motor-brushed-64', { owned: 3, common: true });
  await made.summaries.settled();
  return made;
}

describe('An archive of everything', () => {
  it('comes back whole on another machine, and adds nothing the second time', async () => {
    const from = await school();
    const archive = await archiveOf(from);
    const to = await testApp();
    const { body } = await bring(to, archive);
    expect(body).toMatchObject({ plansAdded: 3, plansThere: 0, plansBeside: [], partsAdded: 2, refused: [] });
    expect(await whole(to)).toEqual(await whole(from));
    await to.summaries.settled();
    expect(((await request(to.app).get('/api/plans?find=odd')).body as PlanPage).plans[0]).toMatchObject({
      judged: true,
      unreadable: expect.any(String) as string,
    });
    const again = (await bring(to, archive)).body as ArchiveReport;
    expect(again).toMatchObject({ plansAdded: 0, plansThere: 3, plansBeside: [], partsAdded: 0, refused: [] });
    expect(await whole(to)).toEqual(await whole(from));
  });

  it('changes nothing that is here: a plan in another state comes in beside it, once', async () => {
    const from = await school();
    const archive = await archiveOf(from);
    const here = ((await request(from.app).get('/api/plans?find=heron')).body as PlanPage).plans[0]!;
    await from.plans.save(here.id, here.revision, planText({ ...heron, note: 'newer than the archive' }));
    const { body } = await bring(from, archive);
    expect(body).toMatchObject({ plansAdded: 0, plansThere: 2, plansBeside: ['Heron (from an archive)'] });
    expect(JSON.parse((await from.plans.open(here.id))!.text)).toHaveProperty('note', 'newer than the archive');
    const beside = ((await request(from.app).get('/api/plans?find=from an archive')).body as PlanPage).plans[0]!;
    expect(JSON.parse((await from.plans.open(beside.id))!.text)).toMatchObject({
      name: 'Heron (from an archive)',
      note: 'save 4',
    });
    expect((await bring(from, archive)).body).toMatchObject({ plansBeside: [], plansThere: 3 });
  });

  it('that is none, of another version, or cut off is refused in a sentence', async () => {
    const made = await testApp();
    const from = await school();
    const archive = await archiveOf(from);
    const zip = (files: Record<string, string>) =>
      zipSync(Object.fromEntries(Object.entries(files).map(([name, text]) => [name, strToU8(text)])));
    const manifest = { format: 'rough-gear-archive', version: 1, madeAt: '2026-03-01T00:00:00Z', program: '0' };
    for (const [what, bytes] of [
      ['no zip', Buffer.from('not a zip at all')],
      ['nothing', Buffer.alloc(0)],
      ['another', zip({ 'readme.txt': 'hello' })],
      ['newer', zip({ 'archive.json': JSON.stringify({ ...manifest, version: 2 }) })],
    ] as const) {
      const { status, body } = await bring(made, bytes);
      expect([what, status, (body as { title: string }).title]).toEqual([
        what,
        422,
        expect.stringContaining('no archive'),
      ]);
    }
    expect((await request(made.app).post('/api/archive').send({})).status).toBe(415);
    const cut = await bring(made, archive.subarray(0, archive.length / 2));
    expect([200, 422]).toContain(cut.status);
    const bad = zip({
      'archive.json': JSON.stringify(manifest),
      'plans/a.json': JSON.stringify({ id: '../../etc', name: 'x' }),
      'plans/b.json': 'no json',
      '../../outside.json': '{}',
      'shelf.json': JSON.stringify([
        { id: 'own-1', revision: 1, part: { kind: 'wire' }, shipped: null, common: false, retired: false },
      ]),
    });
    const { body } = await bring(made, bad);
    expect((body as ArchiveReport).refused).toHaveLength(4);
    expect(await made.sql('SELECT count(*) AS n FROM "plan" WHERE "name" = \'x\'')).toEqual([{ n: 0 }]);
  });

  it('refuses by name, before anything of it is written, what does not hold together', async () => {
    const made = await testApp();
    const there = await made.plans.create(planText({ ...heron, name: 'There' }));
    const tick = (id: string, note: string) => ({
      id,
      at: '2026-11-28T09:00:00Z',
      who: 'Ada',
      kind: 'checked',
      match: 3,
      check: 'chain',
      state: 'fine',
      asks: 'nothing',
      note,
    });
    const known = tick('7d2a0000-0000-4000-8000-0000000000a1', '');
    await made.diaries.add((await made.plans.create(planText({ ...heron, name: 'Other' }))).id, [known as DiaryEntry]);
    const save = (revision: number) => ({ revision, savedAt: '2026-03-01T00:00:00Z', document: JSON.stringify(heron) });
    const plan = (name: string, numbers: readonly number[]) => ({
      id: randomUUID(),
      name,
      revision: 2,
      savedAt: '2026-03-01T00:00:00Z',
      deletedAt: null,
      revisions: numbers.map(save),
    });
    const trial = {
      kind: 'pack',
      subject: { name: 'a pack' },
      startedAt: '2026-11-12T17:00:00Z',
      who: 'a\u0000b',
      used: '',
      note: '',
      given: {},
      said: {},
      readings: {},
      struck: [],
    };
    const files = {
      'archive.json': { format: 'rough-gear-archive', version: 1, madeAt: '2026-03-01T00:00:00Z', program: '0' },
      'plans/twice.json': plan('Twice', [1, 2, 2]),
      'plans/above.json': plan('Above', [2, 3]),
      'plans/none.json': plan('None', [1]),
      'plans/sound.json': plan('Sound', [1, 2]),
      'trials/t.json': { id: '7d2a0000-0000-4000-8000-0000000000b1', trial, takings: [] },
      'diaries/text.json': { planId: there.id, entries: [tick('7d2a0000-0000-4000-8000-0000000000a2', 'a\u0000b')] },
      'diaries/other.json': { planId: there.id, entries: [known] },
    };
    const bytes = zipSync(
      Object.fromEntries(Object.entries(files).map(([name, content]) => [name, strToU8(JSON.stringify(content))])),
    );
    const report = (await bring(made, bytes).expect(200)).body as ArchiveReport;
    expect(report).toMatchObject({ plansAdded: 1, trialsAdded: 0, entriesAdded: 0 });
    expect(report.refused).toEqual([
      'Twice: its revision 2 is there twice',
      'Above: its revision 3 is newer than its newest, 2',
      'None: its revision 2 is missing',
      expect.stringMatching(/^trial 7d2a0000-0000-4000-8000-0000000000b1: who: /),
      expect.stringMatching(/^diary .*note/),
      expect.stringContaining('is another robot’s'),
    ]);
    expect(await made.sql('SELECT count(*) AS n FROM "diary"')).toEqual([{ n: 1 }]);
  });
});
