import { execFileSync } from 'node:child_process';
import request from 'supertest';
import { beforeAll, describe, expect, it } from 'vitest';
import { root } from '../attack/server.js';
import { readArchiveFile } from '../src/archive/reading.js';
import { planText, readPlanBody } from '../src/plans/reading.js';
import { beyond, type Limits } from '../src/reading/limits.js';
import { readSheet } from '../src/shelf/reading.js';
import { ReadingThreads } from '../src/reading/reader.js';
import { heron, testApp } from './helper.js';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const LIMITS: Limits = { name: 'it', depth: 3, values: 6, objects: 4 };

describe('What is too much in a text of JSON', () => {
  it.each([
    ['[[[1]]]', undefined],
    ['[[[[1]]]]', 'it is nested deeper than 3'],
    ['{"a":1,"b":[2,3]}', undefined],
    ['{"a":1,"b":[2,3,4,5,6]}', 'it holds more than 6 keys and values'],
    ['[[],[],[]]', undefined],
    ['[[],[],[],{}]', 'it holds more than 4 lists and objects'],
    // What stands between quotation marks is a text, whatever is in it.
    ['["[[[[[[{{{{,,,,,,,,::::\\"[[[[\\\\"]', undefined],
    ['', undefined],
    ['"no end', undefined],
  ])('%s: %s', (text, said) => expect(beyond(bytes(text), LIMITS)).toBe(said));
});

describe('Reading', () => {
  it('refuses a plan with too many keys by that alone, and one nested too deep', () => {
    const keys = Object.fromEntries(Array.from({ length: 120_000 }, (_, i) => [`k${i}`, i]));
    expect(readPlanBody(bytes(JSON.stringify({ ...heron, ...keys })))).toMatchObject({
      ok: false,
      refused: { status: 413, detail: 'the plan holds more than 100000 keys and values.' },
    });
    expect(readPlanBody(bytes('['.repeat(100_000)))).toMatchObject({ ok: false, refused: { status: 413 } });
    expect(readPlanBody(bytes('{"format":'))).toMatchObject({ ok: false, refused: { status: 400 } });
  });

  it('says what was done since the save before it, where that can be read', () => {
    const before = JSON.stringify(heron);
    const body = bytes(JSON.stringify({ ...heron, note: 'for the autumn' }));
    const read = readPlanBody(body, before);
    expect(read.ok && read.value.changed).toEqual([expect.stringContaining('for the autumn')]);
    const odd = readPlanBody(body, '{"version": 99}');
    expect(odd.ok && odd.value.changed).toBeUndefined();
  });

  it('takes an archive for none whose first file is no JSON', () => {
    expect(readArchiveFile('archive.json', bytes('hello'), true)).toMatchObject({ is: 'no archive' });
    expect(readArchiveFile('plans/a.json', bytes('hello'), false)).toMatchObject({ is: 'refused' });
  });

  it('takes an archive’s file for none that holds twelve million lists', () => {
    const file = readArchiveFile('plans/a.json', bytes(`[${'{},'.repeat(2_100_000)}{}]`), false);
    expect(file).toEqual({ is: 'refused', why: 'plans/a.json: the file holds more than 2000000 lists and objects.' });
  });
});

describe('In threads of their own', () => {
  // As they are built: what runs from its sources has a loader of its own.
  const built = (name: string) => new URL(`../dist/${name}.mjs`, import.meta.url);
  beforeAll(() => void execFileSync(process.execPath, ['scripts/build.mjs', 'server'], { cwd: root }));

  it('plans and sheets are read as they are here, in turn, and archives piece by piece', async () => {
    const reader = new ReadingThreads(built('readingWorker'), built('archiveWorker'));
    const body = bytes(JSON.stringify(heron));
    const answers = await Promise.all([
      reader.ask('plan', body),
      reader.ask('plan', bytes('{')),
      reader.ask('plan', body),
    ]);
    expect(answers).toEqual([readPlanBody(body), readPlanBody(bytes('{')), readPlanBody(body)]);
    const sheet = bytes('name\nours\n');
    expect(await reader.ask('sheet', 'motor', sheet, [], true)).toEqual(readSheet('motor', sheet, [], true));
    const archive = reader.archive();
    expect(await archive.push(null)).toEqual([{ is: 'no archive', detail: expect.any(String) as string }]);
    await archive.close();
    await reader.close();
  });

  it('one that cannot be had refuses what was to be read, and says so', async () => {
    const reader = new ReadingThreads(new URL('file:///nowhere/worker.mjs'));
    await expect(reader.ask('plan', bytes('{}'))).rejects.toMatchObject({
      status: 422,
      title: 'That could not be read',
    });
    await reader.close();
  });
});

it('What was done in a save is written with it, and worked out once for those of before', async () => {
  const { app, plans, sql } = await testApp();
  const { body } = await request(app).post('/api/plans').send({ document: heron });
  const { id } = body as { id: string };
  for (let revision = 1; revision < 4; revision++)
    await request(app)
      .put(`/api/plans/${id}`)
      .set('If-Match', `"r${revision}"`)
      .send({ ...heron, note: `note ${revision}` })
      .expect(200);
  expect((await plans.revisions(id)).map(({ changed }) => changed !== null)).toEqual([true, true, true, false]);
  // As an earlier version left it.
  await sql('UPDATE "revision" SET "changed" = NULL WHERE "revision" = 3');
  const told = (await request(app).get(`/api/plans/${id}/revisions`)).body as { changed?: string[] }[];
  expect(told.map(({ changed }) => changed?.join())).toEqual([
    expect.stringContaining('note 3'),
    expect.stringContaining('note 2'),
    expect.stringContaining('note 1'),
    undefined,
  ]);
  expect((await plans.revisions(id)).map(({ changed }) => changed !== null)).toEqual([true, true, true, false]);
});

it('Where saves between two were let go, what was done since the one that is kept is told', async () => {
  const { app, plans } = await testApp();
  const small = { ...heron, mechanisms: heron.mechanisms.slice(0, 1) };
  const saved = (note: string) => planText({ ...small, note });
  const { id } = await plans.create(saved('note 1'));
  for (let revision = 1; revision < 53; revision++)
    await plans.save(id, revision, { ...saved(`note ${revision + 1}`), changed: [`to ${revision + 1}`] });
  const kept = await plans.revisions(id);
  expect(kept.map(({ revision }) => revision).slice(-2)).toEqual([4, 3]);
  const { body } = await request(app).get(`/api/plans/${id}/revisions`).expect(200);
  const last = (body as { changed?: string[] }[]).slice(-2).map(({ changed }) => changed?.join());
  expect(last).toEqual(['to 4', undefined]);
});
