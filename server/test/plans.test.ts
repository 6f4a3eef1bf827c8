import type { PlanPage, ProblemDetails, StoredPlan } from '@rough-gear/contract';
import request from 'supertest';
import { beforeEach, describe, expect, it } from 'vitest';
import { openData } from '../src/db/open.js';
import { PlanStore } from '../src/plans/store.js';
import { thinned } from '../src/plans/retention.js';
import { planText } from '../src/plans/reading.js';
import { heron, testApp } from './helper.js';

let made: Awaited<ReturnType<typeof testApp>>;
let id: string;

beforeEach(async () => {
  made = await testApp();
  id = (await made.plans.create(planText(heron))).id;
});

const get = (path: string) => request(made.app).get(path);
const save = (document: unknown, basedOn?: string, at = id) => {
  const sent = request(made.app).put(`/api/plans/${at}`);
  return (basedOn === undefined ? sent : sent.set('If-Match', basedOn)).send(document as object);
};

describe('plans', () => {
  it('are listed with what is wrong in each', async () => {
    await made.summaries.settled();
    const { plans, total } = (await get('/api/plans')).body as PlanPage;
    expect([plans.length, total]).toEqual([1, 1]);
    expect(plans[0]).toMatchObject({ id, name: 'Heron', revision: 1 });
    expect(plans[0]!.mechanisms.map(({ headline }) => headline.verdict)).toEqual([
      'enough',
      'tight',
      'gives way',
      'not known',
      'tight',
      'enough',
      'enough',
      'enough',
      'tight',
      'enough',
    ]);
  });

  it('open with their revision in the ETag', async () => {
    const response = await get(`/api/plans/${id}`);
    expect(response.headers['etag']).toBe('"r1"');
    expect((response.body as StoredPlan).document).toEqual(heron);
  });

  it('saved by an earlier version of the program are brought up to date when they are read', async () => {
    const earlier = JSON.stringify({ ...heron, version: 2 }).replaceAll('"throw"', '"shot"');
    expect(earlier).toContain('"kind":"shot"');
    await made.sql('UPDATE "revision" SET "document" = ? WHERE "planId" = ?', [earlier, id]);
    expect(((await get(`/api/plans/${id}`)).body as StoredPlan).document).toEqual(heron);
    expect(((await get(`/api/plans/${id}/revisions/1`)).body as StoredPlan).document).toEqual(heron);
    expect((await get('/api/plans')).status).toBe(200);
  });

  it('are made empty by name, or from a document', async () => {
    const empty = await request(made.app).post('/api/plans').send({ name: '  Skua ' });
    expect(empty.status).toBe(201);
    expect((empty.body as StoredPlan).document).toMatchObject({ name: 'Skua', mechanisms: [] });
    const imported = await request(made.app).post('/api/plans').send({ document: heron });
    expect((imported.body as StoredPlan).document).toEqual(heron);
    expect((await request(made.app).post('/api/plans').send({})).status).toBe(400);
    expect((await request(made.app).post('/api/plans').send({ name: 'x', document: heron })).status).toBe(400);
  });

  it('save over the revision they are based on', async () => {
    const response = await save({ ...heron, note: 'new' }, '"r1"');
    expect(response.status).toBe(200);
    expect(response.headers['etag']).toBe('"r2"');
    expect(((await get(`/api/plans/${id}`)).body as StoredPlan).document.note).toBe('new');
  });

  it('refuse a stale save with what is stored, and lose nothing', async () => {
    await save({ ...heron, note: 'theirs' }, '"r1"');
    const response = await save({ ...heron, note: 'mine' }, '"r1"');
    expect(response.status).toBe(412);
    expect(response.headers['content-type']).toContain('application/problem+json');
    expect(response.headers['etag']).toBe('"r2"');
    expect((response.body as ProblemDetails).stored?.document.note).toBe('theirs');
    expect(((await get(`/api/plans/${id}`)).body as StoredPlan).document.note).toBe('theirs');
  });

  it('let only one of many saves at once through', async () => {
    const answers = await Promise.all(
      Array.from({ length: 12 }, (_, i) => save({ ...heron, note: `save ${i}` }, '"r1"')),
    );
    expect(answers.filter(({ status }) => status === 200)).toHaveLength(1);
    expect(answers.filter(({ status }) => status === 412)).toHaveLength(11);
    expect(((await get(`/api/plans/${id}/revisions`)).body as unknown[]).length).toBe(2);
  });

  it('want to know what a save is based on', async () => {
    expect((await save(heron)).status).toBe(428);
    expect((await save(heron, '*')).status).toBe(400);
  });

  it('refuse what is no plan, naming the field', async () => {
    const response = await save({ ...heron, name: '' }, '"r1"');
    expect(response.status).toBe(422);
    expect((response.body as ProblemDetails).problems).toEqual([
      { field: 'name', reason: expect.stringContaining('not allowed to be empty') as string },
    ]);
  });

  it('are renamed, duplicated, binned and brought back', async () => {
    const renamed = await request(made.app).patch(`/api/plans/${id}`).set('If-Match', '"r1"').send({ name: 'Egret' });
    expect((renamed.body as StoredPlan).document.name).toBe('Egret');
    expect(
      (await request(made.app).patch(`/api/plans/${id}`).set('If-Match', '"r1"').send({ name: 'Late' })).status,
    ).toBe(412);
    const copy = (await request(made.app).post(`/api/plans/${id}/duplicate`)).body as StoredPlan;
    expect(copy.document.name).toBe('Egret copy');

    expect((await request(made.app).delete(`/api/plans/${id}`)).status).toBe(204);
    expect((await get(`/api/plans/${id}`)).status).toBe(404);
    expect((await save(heron, '"r2"')).status).toBe(404);
    expect(((await get('/api/plans')).body as PlanPage).plans.map(({ id: one }) => one)).toEqual([copy.id]);
    expect(((await get('/api/plans?bin=true')).body as PlanPage).plans[0]).toMatchObject({
      id,
      deletedAt: expect.any(String) as string,
    });
    expect((await request(made.app).post(`/api/plans/${id}/restore`)).status).toBe(204);
    expect((await request(made.app).post(`/api/plans/${id}/restore`)).status).toBe(404);
  });

  it('are gone for good once the bin is emptied, and no other is', async () => {
    const other = await made.plans.create(planText({ ...heron, name: 'Egret' }));
    await request(made.app).delete(`/api/plans/${id}`).expect(204);
    expect((await request(made.app).delete('/api/plans/bin')).ok).toBe(true);
    expect(((await get('/api/plans?bin=true')).body as PlanPage).total).toBe(0);
    expect(((await get('/api/plans')).body as PlanPage).plans.map(({ id: one }) => one)).toEqual([other.id]);
    await request(made.app).post(`/api/plans/${id}/restore`).expect(404);
  });

  it('are sorted by name whatever their capitals', async () => {
    for (const name of ['avocet', 'Bittern', 'egret']) await made.plans.create(planText({ ...heron, name }));
    const { plans } = (await get('/api/plans?sort=name')).body as PlanPage;
    expect(plans.map(({ name }) => name)).toEqual(['avocet', 'Bittern', 'egret', 'Heron']);
  });

  it('keep every save as a revision that opens again', async () => {
    await save({ ...heron, note: 'second' }, '"r1"');
    await save({ ...heron, note: 'third' }, '"r2"');
    const { body } = await get(`/api/plans/${id}/revisions`);
    expect((body as { revision: number }[]).map(({ revision }) => revision)).toEqual([3, 2, 1]);
    expect(((await get(`/api/plans/${id}/revisions/2`)).body as StoredPlan).document.note).toBe('second');
    expect((await get(`/api/plans/${id}/revisions/9`)).status).toBe(404);
    expect((await get(`/api/plans/${id}/revisions/first`)).status).toBe(400);
  });

  it('answer addresses that are none with a problem', async () => {
    for (const path of ['/api/plans/not-an-id', '/api/nothing', '/api/plans/00000000-0000-4000-8000-000000000000']) {
      const response = await get(path);
      expect([path, response.status, response.headers['content-type']]).toEqual([
        path,
        404,
        expect.stringContaining('problem+json'),
      ]);
    }
    expect((await get('/api/plans?bin=perhaps')).status).toBe(400);
  });

  it('survive a closed and reopened database', async () => {
    await save({ ...heron, note: 'kept' }, '"r1"');
    await made.close();
    const again = await openData(made.folder);
    expect((await new PlanStore(again.database).open(id))?.text).toContain('"note":"kept"');
    await again.close();
  });
});

describe('old revisions', () => {
  const day = (revision: number, date: string) => ({ revision, savedAt: `${date}T10:00:00.000Z` });

  it('are kept whole for the last fifty, then one a day', () => {
    const recent = Array.from({ length: 50 }, (_, i) => day(i + 11, '2026-03-09'));
    const old = [
      ...[1, 2, 3].map((revision) => day(revision, '2026-03-01')),
      ...[4, 5].map((revision) => day(revision, '2026-03-02')),
      day(6, '2026-03-03'),
    ];
    expect(thinned([...old, ...recent])).toEqual([4, 2, 1]);
    expect(thinned(recent)).toEqual([]);
    // Of two days' worth beyond the fifty the last of each day stays: with 52 of one day the first goes.
    expect(thinned(Array.from({ length: 52 }, (_, i) => day(i + 1, '2026-03-04')))).toEqual([1]);
    expect(thinned(Array.from({ length: 51 }, (_, i) => day(i + 1, '2026-03-04')))).toEqual([]);
  });
});
