import request from 'supertest';
import { beforeEach, describe, expect, it } from 'vitest';
import type { PlanPage, ProblemDetails } from '@rough-gear/contract';
import { planText } from '../src/plans/reading.js';
import { heron, testApp } from './helper.js';

let made: Awaited<ReturnType<typeof testApp>>;
let [odd, sound] = ['', ''];
beforeEach(async () => {
  made = await testApp();
  odd = (await made.plans.create(planText({ ...heron, name: 'Odd' }))).id;
  sound = (await made.plans.create(planText(heron))).id;
});
const become = async (document: string) => {
  await made.summaries.settled();
  await made.sql('UPDATE "revision" SET "document" = ? WHERE "planId" = ?', [document, odd]);
  await made.plans.forgetJudgedBut(['another version']);
  made.summaries.wake();
  await made.summaries.settled();
};
const get = (path: string) => request(made.app).get(path);

const ODD: readonly (readonly [name: string, document: string, why: RegExp])[] = [
  [
    'of next year’s version',
    JSON.stringify({ ...heron, version: 99, mechanisms: 'other' }),
    /is 99, of a newer version/,
  ],
  ['that is no JSON', '{"format": ', /JSON/],
  ['that is nothing', 'null', /./],
  ['without its mechanisms', JSON.stringify({ ...heron, mechanisms: 'gone' }), /mechanisms/],
];

describe.each(ODD)('A stored document %s', (_name, document, why) => {
  beforeEach(() => become(document));

  it('shows in the list with its reason, and nothing else suffers', async () => {
    const { status, body } = await get('/api/plans');
    expect(status).toBe(200);
    const list = (body as PlanPage).plans;
    expect(list.find(({ id }) => id === odd)).toMatchObject({
      name: 'Odd',
      mechanisms: [],
      unreadable: expect.stringMatching(why) as string,
    });
    const other = list.find(({ id }) => id === sound)!;
    expect(other.unreadable).toBeUndefined();
    expect(other.mechanisms.length).toBe(heron.mechanisms.length);
  });

  it('is not opened, says why, and is downloaded as it is', async () => {
    const opened = await get(`/api/plans/${odd}`);
    expect(opened.status).toBe(409);
    expect((opened.body as ProblemDetails).problems!.length).toBeGreaterThan(0);
    const raw = await get(`/api/plans/${odd}/raw`).buffer(true);
    expect(raw.headers['content-disposition']).toContain('Odd.json');
    expect(String(raw.body)).toBe(document);
  });

  it('goes into the bin and out of it as any other', async () => {
    expect((await request(made.app).delete(`/api/plans/${odd}`)).status).toBe(204);
    expect((await get('/api/plans?bin=true')).body).toMatchObject({
      total: 1,
      plans: [{ id: odd, unreadable: expect.any(String) as string }],
    });
    expect((await request(made.app).post(`/api/plans/${odd}/restore`)).status).toBe(204);
  });
});
