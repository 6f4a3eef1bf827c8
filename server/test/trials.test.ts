import { createServer, type AddressInfo } from 'node:net';
import { etagOf, type StoredTrial, type TrialSummary } from '@rough-gear/contract';
import type { Trial } from '@rough-gear/core';
import request from 'supertest';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { testApp } from './helper.js';

/** The bench book over HTTP: what is closed stays, and nothing is lost between two who write. */
const trial: Trial = {
  kind: 'pack',
  subject: { name: 'lead 18 Ah', specimen: 'pack B' },
  startedAt: '2026-11-12T17:00:00Z',
  who: 'Jonas',
  used: 'lamps',
  note: '',
  given: {},
  said: {},
  readings: { current: [0, 10, 20], voltage: [12.7, 12.5, 12.3] },
  struck: [],
};

let running: Awaited<ReturnType<typeof testApp>>;
beforeEach(async () => {
  running = await testApp();
});
afterEach(() => running.close());

const http = () => request(running.app);
const begun = async (document: Trial = trial): Promise<StoredTrial> =>
  (await http().post('/api/trials').send(document).expect(201)).body as StoredTrial;

const put = (id: string, basedOn: number, document: Trial, query = '') =>
  http().put(`/api/trials/${id}${query}`).set('If-Match', etagOf(basedOn)).send(document);

describe('trials', () => {
  it('are listed with what they found, without their readings', async () => {
    const { id } = await begun({ ...trial, closedAt: '2026-11-12T17:20:00Z' });
    const [one] = (await http().get('/api/trials').expect(200)).body as TrialSummary[];
    expect(one).toMatchObject({ id, kind: 'pack', rows: 3, subject: trial.subject });
    expect(one).not.toHaveProperty('readings');
    expect(one!.found.find(({ key }) => key === 'packResistance')!.value).toBeCloseTo(0.02, 9);
  });

  it('are gone on with, by their revision', async () => {
    const { id, revision } = await begun();
    const more = { ...trial, note: 'cold' };
    await http().put(`/api/trials/${id}`).send(more).expect(428);
    const saved = await http().put(`/api/trials/${id}`).set('If-Match', etagOf(revision)).send(more).expect(200);
    expect(saved.body).toMatchObject({ revision: 2 });
    await http().put(`/api/trials/${id}`).set('If-Match', etagOf(revision)).send(trial).expect(412);
    expect(((await http().get(`/api/trials/${id}`)).body as StoredTrial).trial.note).toBe('cold');
  });

  it('that are closed never change, nor go', async () => {
    const { id } = await begun({ ...trial, closedAt: '2026-11-12T17:20:00Z' });
    await http()
      .put(`/api/trials/${id}`)
      .set('If-Match', etagOf(1))
      .send({ ...trial, note: 'better' })
      .expect(409);
    await http().delete(`/api/trials/${id}`).set('If-Match', etagOf(1)).expect(409);
    expect(((await http().get(`/api/trials/${id}`)).body as StoredTrial).trial.note).toBe('');
  });

  it('that were begun by mistake go', async () => {
    const { id } = await begun();
    await http().delete(`/api/trials/${id}`).expect(428);
    await put(id, 1, { ...trial, note: 'cold' }).expect(200);
    // Someone wrote in it since it was looked at.
    await http().delete(`/api/trials/${id}`).set('If-Match', etagOf(1)).expect(412);
    await http().delete(`/api/trials/${id}`).set('If-Match', etagOf(2)).expect(204);
    await http().get(`/api/trials/${id}`).expect(404);
    await http().delete(`/api/trials/${id}`).set('If-Match', etagOf(2)).expect(404);
  });

  it('keep their kind and their beginning, and end after it', async () => {
    const { id } = await begun();
    const other = { ...trial, kind: 'stall' } as const;
    await put(id, 1, { ...other, readings: { current: [1], voltage: [2] } }).expect(422);
    await put(id, 1, { ...trial, startedAt: '2026-11-12T16:00:00Z' }).expect(422);
    const early = await put(id, 1, { ...trial, closedAt: '2026-11-12T16:59:00Z' }).expect(422);
    expect(JSON.stringify(early.body)).toContain('closedAt');
    expect(((await http().get(`/api/trials/${id}`)).body as StoredTrial).trial).toEqual(trial);
  });

  it('have a name for each row, or for none', async () => {
    const { id } = await begun();
    for (const rowIds of [['a'], ['a', 'a', 'b'], ['a', 'b', 'c d']]) {
      const refused = await put(id, 1, { ...trial, rowIds }).expect(422);
      expect(JSON.stringify(refused.body)).toContain('rowIds');
    }
    await put(id, 1, { ...trial, rowIds: ['#0', 'k3.1', 'k3.2'] }).expect(200);
  });

  it('are not closed under the hands of another device, unless it is said', async () => {
    const { id } = await begun();
    const closing = { ...trial, closedAt: '2026-11-12T17:20:00Z' };
    await put(id, 1, { ...trial, note: 'cold' }, '?from=phone').expect(200);
    const refused = await put(id, 2, closing, '?from=laptop').expect(409);
    expect((refused.body as { title: string }).title).toMatch(/Another device wrote/);
    // Whoever wrote last closes it; so does the other who says so.
    await put(id, 2, closing, '?from=laptop&anyway=true').expect(200);
    const { id: second } = await begun();
    await put(second, 1, { ...trial, note: 'cold' }, '?from=phone').expect(200);
    await put(second, 2, closing, '?from=phone').expect(200);
  });

  it('are told apart from what one knows already', async () => {
    const { id } = await begun();
    await http().get(`/api/trials/${id}?than=1`).expect(204);
    await put(id, 1, { ...trial, note: 'cold' }).expect(200);
    const newer = await http().get(`/api/trials/${id}?than=1`).expect(200);
    expect((newer.body as StoredTrial).trial.note).toBe('cold');
    await http().get(`/api/trials/${id}?than=soon`).expect(400);
  });

  it('keep what was taken from them, one after the other', async () => {
    const { id } = await begun();
    const taking = {
      at: '2026-11-13T10:00:00Z',
      robot: 'Heron',
      part: 'lead 18 Ah',
      figures: [{ label: 'resistance of a cell', dimension: 'resistance', before: 0.002, after: 0.003 }],
    };
    await http()
      .post(`/api/trials/${id}/takings`)
      .send({ ...taking, figures: [] })
      .expect(400);
    await http().post(`/api/trials/${id}/takings`).send(taking).expect(200);
    await http()
      .post(`/api/trials/${id}/takings`)
      .send({ ...taking, robot: 'Limpet' })
      .expect(200);
    const stored = (await http().get(`/api/trials/${id}`)).body as StoredTrial;
    expect(stored.takings.map(({ robot }) => robot)).toEqual(['Heron', 'Limpet']);
  });

  it('that are none are refused by the place of what is wrong', async () => {
    const { body } = await http()
      .post('/api/trials')
      .send({ ...trial, kind: 'spell' })
      .expect(422);
    expect(body).toMatchObject({ problems: [{ field: 'kind' }] });
    await http().get('/api/trials/none').expect(404);
  });

  it('of a hundred thousand rows are taken and given back whole', async () => {
    const values = Array.from({ length: 100_000 }, (_, i) => i / 1000);
    const long: Trial = { ...trial, kind: 'coast-down', readings: { time: values, speed: values } };
    const { id } = await begun(long);
    const stored = (await http().get(`/api/trials/${id}`)).body as StoredTrial;
    expect(stored.trial.readings['time']).toHaveLength(100_000);
  });
});

describe('a book as a file', () => {
  it('goes out and comes in on another machine; twice adds nothing', async () => {
    const { id } = await begun();
    const book: unknown = JSON.parse((await http().get('/api/trials/book').expect(200)).text);
    const other = await testApp();
    const first = await request(other.app)
      .post('/api/trials/book')
      .send(book as object)
      .expect(200);
    expect(first.body).toEqual({ added: 1, there: 0, refused: [] });
    const again = await request(other.app)
      .post('/api/trials/book')
      .send(book as object)
      .expect(200);
    expect(again.body).toEqual({ added: 0, there: 1, refused: [] });
    expect(((await request(other.app).get(`/api/trials/${id}`)).body as StoredTrial).trial).toEqual(trial);
    await other.close();
  });

  it('says what of it is refused, and takes the rest', async () => {
    const [id, bad] = ['00000000-0000-4000-8000-000000000001', '00000000-0000-4000-8000-000000000002'];
    const book = {
      format: 'rough-gear-bench-book',
      trials: [
        { id, trial },
        { id: bad, trial: { ...trial, kind: 'spell' } },
      ],
    };
    const { body } = await http().post('/api/trials/book').send(book).expect(200);
    expect(body).toMatchObject({ added: 1, refused: [expect.stringContaining('kind')] });
    await http().post('/api/trials/book').send({ format: 'another', trials: [] }).expect(400);
  });

  it('is part of the archive', async () => {
    const { id } = await begun();
    const archive = await http().get('/api/archive').responseType('blob').expect(200);
    const other = await testApp();
    const report = await request(other.app)
      .post('/api/archive')
      .set('Content-Type', 'application/zip')
      .send(archive.body as Buffer)
      .expect(200);
    expect(report.body).toMatchObject({ trialsAdded: 1, trialsThere: 0 });
    await request(other.app).get(`/api/trials/${id}`).expect(200);
    await other.close();
  });
});

describe('a rig on this machine', () => {
  it('is handed on line by line', async () => {
    const rig = createServer((socket) => socket.end('t_s,V\n0,12.6\n'));
    await new Promise<void>((resolve) => rig.listen(0, '127.0.0.1', resolve));
    const other = await testApp(undefined, { rigPort: (rig.address() as AddressInfo).port });
    const { text } = await request(other.app).get('/api/rig/lines').expect(200);
    expect(text).toBe('t_s,V\n0,12.6\n');
    rig.close();
    await other.close();
  });

  it('that is silent is said to be there, but never in the middle of a line', async () => {
    const rig = createServer((socket) => {
      socket.write('t_s,V\n');
      setTimeout(() => socket.write('0,1'), 150);
      setTimeout(() => socket.end('2.6\n'), 300);
    });
    await new Promise<void>((resolve) => rig.listen(0, '127.0.0.1', resolve));
    const { port } = rig.address() as AddressInfo;
    const other = await testApp(undefined, { rigPort: port, rigLineOfLife: 20 });
    const { text } = await request(other.app).get('/api/rig/lines').expect(200);
    expect(text).toMatch(/^t_s,V\n\n+0,12\.6\n+$/);
    rig.close();
    await other.close();
  });

  it('has so many listeners and no more; one that leaves makes room', async () => {
    const rig = createServer();
    await new Promise<void>((resolve) => rig.listen(0, '127.0.0.1', resolve));
    const other = await testApp(undefined, { rigPort: (rig.address() as AddressInfo).port });
    const server = other.app.listen(0);
    const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api/rig/lines`;
    const leaving = new AbortController();
    for (let i = 0; i < 16; i++) expect((await fetch(url, { signal: leaving.signal })).status).toBe(200);
    expect((await fetch(url)).status).toBe(503);
    leaving.abort();
    const again = new AbortController();
    await expect.poll(async () => (await fetch(url, { signal: again.signal })).status).toBe(200);
    again.abort();
    server.close();
    rig.close();
    await other.close();
  });

  it('that is not there is said, with what to do', async () => {
    const closed = createServer();
    await new Promise<void>((resolve) => closed.listen(0, '127.0.0.1', resolve));
    const { port } = closed.address() as AddressInfo;
    await new Promise((resolve) => closed.close(resolve));
    const other = await testApp(undefined, { rigPort: port });
    const { body } = await request(other.app).get('/api/rig/lines').expect(502);
    expect((body as { detail: string }).detail).toContain('npm run rig');
    await other.close();
  });
});
