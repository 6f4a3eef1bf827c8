import type { PlanPage } from '@rough-gear/contract';
import { wordsText } from '@rough-gear/contract/units';
import request from 'supertest';
import { describe, expect, it } from 'vitest';
import type { Judge } from '../src/judging/judgeThread.js';
import { judge } from '../src/judging/judge.js';
import { Summaries } from '../src/judging/summaries.js';
import { planText } from '../src/plans/reading.js';
import { heron, judgeHere, testApp } from './helper.js';

const one = { ...heron, mechanisms: heron.mechanisms.slice(0, 1) };

describe('What a list says of a plan', () => {
  it('is judged behind the request, once a revision, and anew after a save', async () => {
    const { plans, summaries } = await testApp();
    const { id } = await plans.create(planText(heron));
    expect((await plans.list({})).plans[0]).toMatchObject({ judged: false, mechanisms: [] });
    await summaries.settled();
    expect((await plans.list({})).plans[0]).toMatchObject({ judged: true, revision: 1 });
    expect((await plans.list({})).plans[0]!.mechanisms).toHaveLength(heron.mechanisms.length);
    await plans.save(id, 1, planText(one));
    await summaries.settled();
    expect((await plans.list({})).plans[0]!.mechanisms).toHaveLength(1);
  });

  it('is of the revision that is there, whatever was saved while it was judged', async () => {
    const made = await testApp();
    await made.summaries.stop();
    let asked = 0;
    const slow: Judge = {
      close: () => Promise.resolve(),
      judge: async (text, depth) => {
        if (asked++ === 0) await made.plans.save(id, 1, planText(one));
        expect((await made.plans.list({})).plans[0]).toMatchObject({ judged: false, revision: 2 });
        return judge(text, depth);
      },
    };
    const { id } = await made.plans.create(planText(heron));
    const summaries = new Summaries(made.plans, slow, 'test');
    await summaries.start();
    await summaries.settled();
    expect(asked).toBe(2);
    expect((await made.plans.list({})).plans[0]).toMatchObject({ revision: 2, judged: true });
    expect((await made.plans.list({})).plans[0]!.mechanisms).toHaveLength(1);
  });

  it('is the whole robot’s once a plan has rested, and its mechanisms’ alone until then', async () => {
    const { plans, summaries } = await testApp();
    const { id } = await plans.create(planText({ ...heron, name: 'Falls' }));
    await plans.create(planText({ ...heron, name: 'Empty', mechanisms: [] }));
    await summaries.settled();
    const said = async (name: string) => (await plans.list({ find: name })).plans[0]!;
    expect((await said('Falls')).robot).toBeUndefined();
    const rested = new Summaries(plans, judgeHere, 'test', undefined, 0);
    await rested.start();
    await rested.settled();
    const { robot } = await said('Falls');
    expect(robot).toMatchObject({ verdict: 'gives way', lead: 'Gives way.' });
    expect(wordsText(robot!.rest)).toMatch(
      /^Capstan climb: Nothing keeps it up .* In the match: gives way, 0\.917×\.$/,
    );
    expect((await said('Empty')).robot).toBeUndefined();
    await plans.save(id, 1, planText({ ...one, name: 'Falls' }));
    await rested.settled();
    expect((await said('Falls')).robot).not.toEqual(robot);
    await rested.stop();
  });

  it('is judged again by another version of the program', async () => {
    const { plans, summaries, sql } = await testApp();
    await plans.create(planText(one));
    await summaries.settled();
    await sql(`UPDATE "plan" SET "judged" = '{"mechanisms":[]}'`);
    await new Summaries(
      plans,
      { judge: (text) => Promise.resolve(judge(text, 'alone')), close: () => Promise.resolve() },
      'test',
    ).start();
    expect((await plans.list({})).plans[0]!.mechanisms).toHaveLength(0);
    const newer = new Summaries(
      plans,
      { judge: (text) => Promise.resolve(judge(text, 'alone')), close: () => Promise.resolve() },
      'newer',
    );
    await newer.start();
    await newer.settled();
    expect((await plans.list({})).plans[0]!.mechanisms).toHaveLength(1);
  });
});

describe('The list', () => {
  it('is paged, searched and sorted where the plans are', async () => {
    const { app, plans, summaries } = await testApp();
    for (let i = 0; i < 12; i++) await plans.create(planText({ ...one, name: `Robot ${String(i).padStart(2, '0')}` }));
    await plans.create(planText({ ...heron, name: 'ålborg' }));
    await plans.create(planText({ ...heron, name: 'Bittern', mechanisms: [] }));
    await summaries.settled();
    const page = async (query: string) => (await request(app).get(`/api/plans?${query}`)).body as PlanPage;
    const names = async (query: string) => (await page(query)).plans.map(({ name }) => name);
    expect((await page('')).total).toBe(14);
    expect(await names('sort=name&count=3')).toEqual(['Bittern', 'Robot 00', 'Robot 01']);
    expect(await names('sort=name&from=1&count=2&find=ROBOT')).toEqual(['Robot 01', 'Robot 02']);
    expect((await page('find=robot&count=2')).total).toBe(12);
    // By the name of a mechanism too, and nothing in it is a pattern.
    expect(await names(`find=${encodeURIComponent(heron.mechanisms[4]!.name)}`)).toEqual(['ålborg']);
    expect(await names('find=%25')).toEqual([]);
    const worst = await names('sort=worst');
    expect([worst[0], worst.at(-1)]).toEqual(['ålborg', 'Bittern']);
    for (const wrong of ['count=101', 'from=-1', 'sort=size', 'find=' + 'x'.repeat(81)])
      expect((await request(app).get(`/api/plans?${wrong}`)).status, wrong).toBe(400);
  });

  it('lets go of what is in the bin for good, and of nothing else', async () => {
    const { app, plans, sql } = await testApp();
    const gone = await plans.create(planText({ ...one, name: 'gone' }));
    const kept = await plans.create(planText({ ...one, name: 'kept' }));
    await plans.save(gone.id, 1, planText(one));
    await plans.setDeleted(gone.id, true);
    expect((await request(app).delete('/api/plans/bin')).body).toEqual({ removed: 1 });
    expect((await plans.list({ bin: true })).total).toBe(0);
    expect(await sql('SELECT "planId" FROM "revision"')).toEqual([{ planId: kept.id }]);
    expect((await request(app).delete('/api/plans/bin')).body).toEqual({ removed: 0 });
  });
});
