import { randomUUID } from 'node:crypto';
import { MOST_ENTRIES } from '@rough-gear/contract/diary';
import type { DiaryLength, DiaryNews, RobotFault } from '@rough-gear/contract';
import type { DiaryEntry } from '@rough-gear/core';
import request from 'supertest';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { planText } from '../src/plans/reading.js';
import { heron, testApp } from './helper.js';

/** A robot's diary over HTTP: only added to, each line once, from however many phones. */
let running: Awaited<ReturnType<typeof testApp>>;
let id: string;
beforeEach(async () => {
  running = await testApp();
  ({ id } = await running.plans.create(planText(heron)));
});
afterEach(() => running.close());

const http = () => request(running.app);
const tick = (check: string, at: string): DiaryEntry => ({
  id: randomUUID(),
  at,
  who: 'Ada',
  kind: 'checked',
  match: 3,
  check,
  state: 'fine',
  asks: 'nothing',
  note: '',
});
const post = (entries: readonly DiaryEntry[], since?: string) =>
  http()
    .post(`/api/diary/${id}${since === undefined ? '' : `?since=${since}`}`)
    .send({ entries });
/** As they were written; when they came is the server's own. */
const asWritten = (entries: readonly DiaryEntry[]): readonly DiaryEntry[] =>
  entries.map(({ receivedAt, ...entry }) => {
    expect(Date.parse(receivedAt!)).not.toBeNaN();
    return entry;
  });
const read = async (planId = id): Promise<readonly DiaryEntry[]> =>
  asWritten(((await http().get(`/api/diary/${planId}`).expect(200)).body as DiaryNews).entries);

describe('the diary of a robot', () => {
  it('keeps what two phones wrote, by when it came, sent twice or not', async () => {
    const [early, late] = [tick('chain', '2026-11-28T09:00:00Z'), tick('rope', '2026-11-28T09:01:00Z')];
    await http()
      .post(`/api/diary/${id}`)
      .send({ entries: [late] })
      .expect(200);
    await http()
      .post(`/api/diary/${id}`)
      .send({ entries: [early] })
      .expect(200);
    await http()
      .post(`/api/diary/${id}`)
      .send({ entries: [early, late] })
      .expect(200);
    expect(await read()).toEqual([late, early]);
  });

  it('ends somewhere: what would be too much is refused whole', async () => {
    const many = Array.from({ length: MOST_ENTRIES + 1 }, () => tick('chain', '2026-11-28T09:00:00Z'));
    expect(await running.diaries.add(id, many)).toEqual({ outcome: 'full' });
    expect(await read()).toEqual([]);
  });

  it('acknowledges what is there already, also when there is room for no more', async () => {
    const full = Array.from({ length: MOST_ENTRIES }, () => tick('chain', '2026-11-28T09:00:00Z'));
    await running.diaries.add(id, full);
    await post([full[0]!]).expect(200);
    await post([full[1]!, tick('rope', '2026-11-28T09:00:00Z')]).expect(409);
  });

  it('tells a long diary in pieces that make one whole, and of one that was asked about halfway the rest', async () => {
    const many = Array.from({ length: 1501 }, (_, i) => tick(`bolt ${i}`, '2026-11-28T09:00:00Z'));
    const { cursor } = (await post(many.slice(0, 700)).expect(200)).body as DiaryNews;
    const rest = (await post(many.slice(700), cursor).expect(200)).body as DiaryNews;
    expect([rest.whole, asWritten(rest.entries)]).toEqual([false, many.slice(700)]);
    expect(await read()).toEqual(many);
  });

  it('goes by when an entry came, not by a clock that is years off', async () => {
    const wrong = { ...tick('chain', '2999-01-01T00:00:00Z'), state: 'fault', asks: 'a trial' } as DiaryEntry;
    const forged = { ...wrong, receivedAt: '2999-01-02T00:00:00Z' };
    await post([forged]).expect(200);
    expect((await http().get('/api/diary/faults')).body).toMatchObject({ faults: [{ planId: id }] });
    await post([{ ...tick('chain', '2026-11-28T09:00:00Z'), state: 'new part' } as DiaryEntry]).expect(200);
    expect((await http().get('/api/diary/faults')).body).toEqual({ faults: [] });
    expect((await read())[0]!.at).toBe('2999-01-01T00:00:00Z');
  });

  it('takes no day that is none, and an id in one case alone', async () => {
    const entry = tick('chain', '2026-02-31T00:00:00Z');
    expect(JSON.stringify((await post([entry]).expect(422)).body)).toContain('[0].at');
    const loud = { ...tick('chain', '2026-02-28T00:00:00Z'), id: entry.id.toUpperCase() };
    expect(JSON.stringify((await post([loud]).expect(422)).body)).toContain('[0].id');
  });

  it('tells a device what is new since it asked, in a post and in a get', async () => {
    const [first, second, third] = ['chain', 'rope', 'belt'].map((check) => tick(check, '2026-11-28T09:00:00Z'));
    const begun = (await post([first!]).expect(200)).body as DiaryNews;
    expect([asWritten(begun.entries), begun.whole]).toEqual([[first], true]);
    await post([second!]).expect(200);
    const news = (await post([third!], begun.cursor).expect(200)).body as DiaryNews;
    expect([asWritten(news.entries), news.whole]).toEqual([[second, third], false]);
    const nothing = (await http().get(`/api/diary/${id}?since=${news.cursor}`).expect(200)).body as DiaryNews;
    expect(nothing).toEqual({ entries: [], cursor: news.cursor, whole: false });
  });

  it('tells everything where a cursor is of another diary, or of another time', async () => {
    const other = (await running.plans.create(planText({ ...heron, name: 'Other' }))).id;
    const { cursor } = (await post([tick('chain', '2026-11-28T09:00:00Z')]).expect(200)).body as DiaryNews;
    await running.diaries.add(other, [tick('rope', '2026-11-28T09:00:00Z')]);
    for (const since of [cursor, '1.nobody', '99.', 'x', '-1.a']) {
      const news = (await http().get(`/api/diary/${other}?since=${since}`).expect(200)).body as DiaryNews;
      expect([news.entries.length, news.whole], since).toEqual([1, true]);
    }
  });

  it('refuses an entry whose id is that of one of another robot', async () => {
    const other = (await running.plans.create(planText({ ...heron, name: 'Other' }))).id;
    const entry = tick('chain', '2026-11-28T09:00:00Z');
    await post([entry]).expect(200);
    await http()
      .post(`/api/diary/${other}`)
      .send({ entries: [entry] })
      .expect(409);
    expect(await read(other)).toEqual([]);
  });

  it('tells which faults ask for a trial, of robots that are in use', async () => {
    const fault = (check: string, asks: 'a trial' | 'a spare'): DiaryEntry => ({
      ...tick(check, '2026-11-28T09:00:00Z'),
      ...({ state: 'fault', asks } as const),
    });
    const binned = (await running.plans.create(planText({ ...heron, name: 'Binned' }))).id;
    await running.diaries.add(id, [fault('chain', 'a trial'), fault('rope', 'a spare')]);
    await running.diaries.add(binned, [fault('belt', 'a trial')]);
    const told = async () =>
      ((await http().get('/api/diary/faults').expect(200)).body as { faults: RobotFault[] }).faults.map(
        ({ robot, fault: { check } }) => `${robot}: ${check}`,
      );
    expect((await told()).sort()).toEqual(['Binned: belt', 'Heron: chain']);
    await http().delete(`/api/plans/${binned}`).expect(204);
    expect(await told()).toEqual(['Heron: chain']);
  });

  it('is never changed: an entry that is there stays as it was written', async () => {
    const first = tick('chain', '2026-11-28T09:00:00Z');
    await http()
      .post(`/api/diary/${id}`)
      .send({ entries: [first] });
    await http()
      .post(`/api/diary/${id}`)
      .send({ entries: [{ ...first, note: 'rewritten' }] })
      .expect(200);
    expect(await read()).toEqual([first]);
  });

  it('refuses what is none by its place, and takes nothing of it', async () => {
    const odd = { ...tick('chain', '2026-11-28T09:00:00Z'), state: 'perhaps' };
    const answer = await http()
      .post(`/api/diary/${id}`)
      .send({ entries: [tick('rope', '2026-11-28T09:00:00Z'), odd] })
      .expect(422);
    expect(JSON.stringify(answer.body)).toContain('[1].state');
    await http().post(`/api/diary/${id}`).send({}).expect(422);
    await http()
      .post(`/api/diary/${id}`)
      .send({ entries: [{ ...odd, kind: 'pieces' }] })
      .expect(422);
    expect(await read()).toEqual([]);
  });

  it('is of a robot that is here, and goes with it', async () => {
    await http().get('/api/diary/nowhere').expect(404);
    await http().get(`/api/diary/${randomUUID()}`).expect(404);
    await http().post(`/api/diary/${randomUUID()}`).send({ entries: [] }).expect(404);
    await http()
      .post(`/api/diary/${id}`)
      .send({ entries: [tick('chain', '2026-11-28T09:00:00Z')] });
    await http().delete(`/api/plans/${id}`);
    await http().delete('/api/plans/bin').expect(200);
    expect(await running.sql('SELECT * FROM diary')).toEqual([]);
  });

  it('puts lines that later ones have overtaken away, is told no more of them, and knows them still', async () => {
    const season = Array.from({ length: 30 }, (_, i): DiaryEntry[] => {
      const at = new Date(Date.UTC(2026, 10, 1 + i, 9)).toISOString();
      return [
        { ...tick('chain', at), match: i + 1 } as DiaryEntry,
        { id: randomUUID(), at, who: '', kind: 'played', match: i + 1 },
      ];
    }).flat();
    const news = (await post(season).expect(200)).body as DiaryNews;
    const length = async () => ((await http().get('/api/diary').expect(200)).body as DiaryLength[])[0];
    expect(await length()).toEqual({ planId: id, robot: 'Heron', lines: 60, putAway: 0 });
    expect((await http().post(`/api/diary/${id}/put-away`).expect(200)).body).toEqual({ putAway: 20 });
    expect(await length()).toEqual({ planId: id, robot: 'Heron', lines: 40, putAway: 20 });
    expect(await read()).toHaveLength(40);
    // A phone goes on from where it was, and what it sends once more is there already.
    expect((await post(season.slice(0, 5), news.cursor).expect(200)).body).toMatchObject({ entries: [], whole: false });
    expect(await length()).toMatchObject({ lines: 40, putAway: 20 });
    expect((await http().post(`/api/diary/${id}/put-away`).expect(200)).body).toEqual({ putAway: 0 });
    const file = (await http().get(`/api/diary/${id}/put-away`).expect(200)).body as { entries: DiaryEntry[] };
    expect(asWritten(file.entries)).toEqual(season.filter(({ kind }) => kind === 'checked').slice(0, 20));
    // On another machine both are what they were.
    const archive = await http().get('/api/archive').responseType('blob').expect(200);
    const other = await testApp();
    await request(other.app)
      .post('/api/archive')
      .set('Content-Type', 'application/zip')
      .send(archive.body as Buffer)
      .expect(200);
    expect((await request(other.app).get('/api/diary')).body).toEqual([await length()]);
    await other.close();
    await http().post('/api/diary/00000000-0000-4000-8000-000000000000/put-away').expect(404);
  });

  it('is in the archive, and comes back', async () => {
    const entry = tick('chain', '2026-11-28T09:00:00Z');
    await http()
      .post(`/api/diary/${id}`)
      .send({ entries: [entry] });
    const archive = await http().get('/api/archive').responseType('blob').expect(200);
    await running.close();
    running = await testApp();
    const report = await http()
      .post('/api/archive')
      .set('Content-Type', 'application/zip')
      .send(archive.body as Buffer)
      .expect(200);
    expect(report.body).toMatchObject({ plansAdded: 1, entriesAdded: 1 });
    expect(await read()).toEqual([entry]);
  });
});
