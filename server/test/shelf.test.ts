import type { ShelfPart } from '@rough-gear/contract';
import type { ImportReport } from '@rough-gear/contract/shelf-files';
import request from 'supertest';
import { describe, expect, it } from 'vitest';
import { openData } from '../src/db/open.js';
import { readShelf } from '../src/shelf/data.js';
import { ShelfStore } from '../src/shelf/store.js';
import { FirstTables1764000000000 } from '../src/db/migrations/1764000000000-firstTables.js';
import { DataSource } from 'typeorm';
import { join } from 'node:path';
import { temporaryFolder, testApp } from './helper.js';

const typed = (si: number, as: string) => ({ si, as, source: 'typed' });
const MOTOR = {
  kind: 'motor',
  name: 'own motor',
  type: 'brushed',
  data: { form: 'sheet', ratedVoltage: typed(12, '12 V'), stallTorque: typed(1, '1 N·m') },
};
const parts = (body: unknown) => body as readonly ShelfPart[];

describe('The shelf', () => {
  it('takes a part of one’s own, changes it by version, and refuses a stale change', async () => {
    const { app } = await testApp();
    const made = await request(app).post('/api/shelf').send(MOTOR).expect(201);
    const { id, revision, own } = made.body as ShelfPart;
    expect({ revision, own }).toEqual({ revision: 1, own: true });
    const put = (basedOn: number, name: string) =>
      request(app)
        .put(`/api/shelf/${id}`)
        .set('If-Match', `"r${basedOn}"`)
        .send({ ...MOTOR, name });
    await put(1, 'better').expect(200);
    const stale = await put(1, 'worse').expect(412);
    expect(stale.body).toMatchObject({ detail: 'It is at version 2 now: open it again.' });
    await request(app).put(`/api/shelf/${id}`).send(MOTOR).expect(428);
    const listed = parts((await request(app).get('/api/shelf?kind=motor')).body).find((item) => item.id === id)!;
    expect(listed).toMatchObject({ revision: 2, part: { name: 'better' } });
  });

  it('changes no figure of a part that ships, but what the team says of it', async () => {
    const { app } = await testApp();
    const [shipped] = parts((await request(app).get('/api/shelf?kind=motor')).body);
    await request(app)
      .put(`/api/shelf/${shipped!.id}`)
      .set('If-Match', `"r${shipped!.revision}"`)
      .send(MOTOR)
      .expect(403);
    const marked = await request(app).patch(`/api/shelf/${shipped!.id}`).send({ owned: 3, common: true }).expect(200);
    expect(marked.body).toMatchObject({ revision: shipped!.revision, common: true, part: { owned: 3 } });
    const priced = await request(app)
      .patch(`/api/shelf/${shipped!.id}`)
      .send({ price: typed(9, '9') })
      .expect(200);
    expect(priced.body).toMatchObject({ revision: shipped!.revision + 1, part: { owned: 3, price: { si: 9 } } });
    const free = await request(app).patch(`/api/shelf/${shipped!.id}`).send({ price: null }).expect(200);
    expect((free.body as ShelfPart).part.price).toBeUndefined();
  });

  it('hides what is retired, unless it is asked for', async () => {
    const { app } = await testApp();
    await request(app).patch('/api/shelf/pack-lead-18').send({ retired: true }).expect(200);
    const ids = async (query: string) =>
      parts((await request(app).get(`/api/shelf?kind=pack${query}`)).body).map(({ id }) => id);
    expect(await ids('')).not.toContain('pack-lead-18');
    expect(await ids('&retired=true')).toContain('pack-lead-18');
  });

  it('says what is wrong with a request, by its field', async () => {
    const { app } = await testApp();
    const bad = await request(app)
      .post('/api/shelf')
      .send({ ...MOTOR, type: 'steam' })
      .expect(422);
    expect(bad.body).toMatchObject({ problems: [{ field: 'type' }] });
    await request(app).patch('/api/shelf/pack-lead-18').send({ owned: -1 }).expect(400);
    await request(app).patch('/api/shelf/pack-lead-18').send({}).expect(400);
    await request(app).patch('/api/shelf/nobody').send({ owned: 1 }).expect(404);
    await request(app).get('/api/shelf?kind=hat').expect(400);
    await request(app).get('/api/shelf/file').expect(400);
    await request(app).post('/api/shelf/file?kind=motor').send({ a: 1 }).expect(415);
  });

  it('gives a file and takes it: dry first, then whole or not at all', async () => {
    const { app } = await testApp();
    const file = await request(app).get('/api/shelf/file?kind=motor').expect(200);
    expect(file.headers['content-disposition']).toContain('shelf-motor.csv');
    expect(file.headers['content-type']).toContain('text/csv');
    const send = (text: string, dry: boolean) =>
      request(app).post(`/api/shelf/file?kind=motor&dry=${dry}`).set('Content-Type', 'text/csv').send(text);
    const count = async () => parts((await request(app).get('/api/shelf?kind=motor')).body).length;
    const before = await count();

    const csv = 'name,type,figures by,rated volts (V)\nfirst,brushed,sheet,12\nsecond,brushed,sheet,24\n';
    expect((await send(csv, true).expect(200)).body).toMatchObject({ sound: true, taken: false });
    expect(await count()).toBe(before);
    expect((await send(csv, false).expect(200)).body).toMatchObject({ sound: true, taken: true });
    expect(await count()).toBe(before + 2);

    const half = await send(`${csv}third,steam,sheet,12\n`, false).expect(200);
    expect(half.body).toMatchObject({ sound: false, taken: false });
    expect((half.body as ImportReport).lines[2]!.problems[0]).toContain('steam');
    expect(await count()).toBe(before + 2);

    const again = await request(app).get('/api/shelf/file?kind=motor');
    const same = await send(again.text, true);
    expect((same.body as ImportReport).lines.every(({ does }) => does === 'same')).toBe(true);
  });

  it('takes two thousand parts in one file', async () => {
    const { app } = await testApp();
    const lines = Array.from({ length: 2000 }, (_, i) => `motor ${i},brushed,sheet,12,${1000 + i}`);
    const csv = `name,type,figures by,rated volts (V),free speed (rpm)\n${lines.join('\n')}`;
    const taken = await request(app)
      .post('/api/shelf/file?kind=motor&dry=false')
      .set('Content-Type', 'text/csv')
      .send(csv);
    expect(taken.body).toMatchObject({ taken: true });
    expect(parts((await request(app).get('/api/shelf?kind=motor')).body).length).toBeGreaterThan(2000);
  });
});

describe('A shelf of an older version', () => {
  it('gets newer figures of the parts that ship, and keeps what the team said of them', async () => {
    const { shelf, sql } = await testApp();
    await shelf.mark('pack-lead-18', { owned: 7, price: { si: 1, as: '1', source: 'typed' }, common: true });
    await sql(
      `UPDATE "shelf_part" SET "shipped" = 1, "part" = json_remove("part", '$.mass') WHERE "id" = 'pack-lead-18'`,
    );
    const own = await shelf.add({ kind: 'wire', name: 'my wire' });
    await shelf.seed();
    const after = (await shelf.list()).find(({ id }) => id === 'pack-lead-18')!;
    expect(after).toMatchObject({ common: true, own: false, part: { owned: 7, price: { si: 1 } } });
    expect(after.part.mass).toEqual(readShelf().find(({ id }) => id === 'pack-lead-18')!.part.mass);
    expect((await shelf.list()).find(({ id }) => id === own.id)).toEqual(own);
  });

  it('is brought to the new tables: every part it had came with the application', async () => {
    const folder = temporaryFolder();
    const first = new DataSource({
      type: 'better-sqlite3',
      database: join(folder, 'rough-gear.sqlite'),
      migrations: [FirstTables1764000000000],
    });
    await first.initialize();
    await first.runMigrations();
    await first.query(`INSERT INTO "shelf_part" VALUES ('pack-lead-18', 'pack', 1, '{"kind":"pack","name":"old"}')`);
    await first.destroy();
    const { database, close } = await openData(folder);
    const [item] = await new ShelfStore(database).list('pack');
    expect(item).toMatchObject({ own: false, common: false, retired: false, revision: 1 });
    await close();
  });
});
