import { execFileSync } from 'node:child_process';
import { statSync, readFileSync, writeFileSync } from 'node:fs';
import type { ProblemDetails } from '@rough-gear/contract';
import request from 'supertest';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { accessPath, LiveAccess, newAccess, readAccess, signedOut, writeAccess } from '../src/access/accessFile.js';
import { hashOf, matches } from '../src/access/passphrase.js';
import { planText } from '../src/plans/reading.js';
import { heron, temporaryFolder, testApp } from './helper.js';

const CHANGE = 'grey heron over the lock';
const LOOK = 'only looking today';
/** ms */
const SLOWER_BY = 20;

let made: Awaited<ReturnType<typeof testApp>>;
let id: string;
beforeEach(async () => {
  const folder = temporaryFolder();
  writeAccess(folder, { ...newAccess(), change: await hashOf(CHANGE), look: await hashOf(LOOK) });
  made = await testApp(folder, {
    access: new LiveAccess(folder),
    guessesSlowerBy: SLOWER_BY,
    hosts: ['yard.school'],
    proxies: ['loopback'],
  });
  id = (await made.plans.create(planText(heron))).id;
});

const signIn = (passphrase: string) => request(made.app).post('/api/access/sign-in').send({ passphrase });
const cookieOf = async (passphrase: string): Promise<string> => {
  const { headers, status } = await signIn(passphrase);
  expect(status).toBe(200);
  return (headers['set-cookie'] as unknown as string[]).map((one) => one.split(';')[0]).join('; ');
};

describe('A server that others can reach', () => {
  it('answers nobody who has not signed in, but how it is and whether to sign in', async () => {
    for (const path of [
      '/api/plans',
      `/api/plans/${id}`,
      `/api/plans/${id}/raw`,
      '/api/shelf',
      '/api/data',
      '/api/archive',
      '/api/nothing',
      '/API/plans',
      `/Api/Plans/${id}`,
      '/api/plans/',
      '/API/data',
    ])
      expect((await request(made.app).get(path)).status, path).toBe(401);
    expect((await request(made.app).post('/api/plans').send({ name: 'x' })).status).toBe(401);
    expect((await request(made.app).put('/api/API/plans').send({})).status).toBe(401);
    expect((await request(made.app).get('/api/health')).status).toBe(200);
    expect((await request(made.app).get('/api/access')).body).toEqual({ access: 'signed out' });
  });

  it('lets in by a signed cookie that no script reads and no other site sends', async () => {
    const { headers, body } = await signIn(CHANGE);
    expect(body).toEqual({ access: 'change' });
    const cookies = (headers['set-cookie'] as unknown as string[]).join('\n');
    expect(cookies.match(/httponly/gi)!.length).toBe(2);
    expect(cookies.match(/samesite=lax/gi)!.length).toBe(2);
    expect(cookies).not.toMatch(/secure/i);
    expect(cookies).not.toContain(CHANGE);
    const cookie = await cookieOf(CHANGE);
    expect((await request(made.app).get('/api/plans').set('Cookie', cookie)).status).toBe(200);
    expect((await request(made.app).post('/api/plans').set('Cookie', cookie).send({ name: 'Skua' })).status).toBe(201);
    const forged = Buffer.from(JSON.stringify({ role: 'change', epoch: 1 })).toString('base64');
    for (const wrong of [`rough-gear=${forged}`, cookie.replace(/sig=./, 'sig=_'), cookie.split('; ')[0]!])
      expect((await request(made.app).get('/api/plans').set('Cookie', wrong)).status).toBe(401);
  });

  it('lets a second passphrase look and not change', async () => {
    const cookie = await cookieOf(LOOK);
    const agent = request(made.app);
    const as = (method: 'get' | 'post' | 'put' | 'patch' | 'delete', path: string) => {
      const sent = agent[method](path).set('Cookie', cookie).set('If-Match', '"r1"');
      return method === 'get' ? sent : sent.send({});
    };
    expect((await as('get', `/api/plans/${id}`)).status).toBe(200);
    expect((await as('get', '/api/access')).body).toEqual({ access: 'look' });
    for (const [method, path] of [
      ['post', '/api/plans'],
      ['put', `/api/plans/${id}`],
      ['patch', `/api/plans/${id}`],
      ['delete', `/api/plans/${id}`],
      ['delete', '/api/plans/bin'],
      ['post', '/api/shelf'],
      ['post', '/api/data/backups'],
      ['post', '/api/archive'],
      ['post', '/api/access/sign-out-everywhere'],
    ] as const) {
      const { status, body } = await as(method, path);
      expect([method, path, status, (body as ProblemDetails).title]).toEqual([
        method,
        path,
        403,
        'You may look here, not change anything',
      ]);
    }
    expect((await made.plans.open(id))!.revision).toBe(1);
  });

  it('signs out here, and everywhere', async () => {
    const [one, two] = [await cookieOf(CHANGE), await cookieOf(LOOK)];
    const asks = async (cookie: string) => (await request(made.app).get('/api/plans').set('Cookie', cookie)).status;
    const { headers } = await request(made.app).post('/api/access/sign-out').set('Cookie', one);
    expect(String(headers['set-cookie'])).toMatch(/rough-gear=;/);
    // A copy of the cookie that lies somewhere else is worth nothing either, and nobody else is signed out.
    expect([await asks(one), await asks(two)]).toEqual([401, 200]);
    const three = await cookieOf(CHANGE);
    expect((await request(made.app).post('/api/access/sign-out-everywhere').set('Cookie', three)).status).toBe(200);
    expect([await asks(three), await asks(two)]).toEqual([401, 401]);
    expect(await asks(await cookieOf(CHANGE))).toBe(200);
  });

  it('ends a session by itself after a month, whoever kept its cookie', async () => {
    const cookie = await cookieOf(CHANGE);
    const asks = async () => (await request(made.app).get('/api/plans').set('Cookie', cookie)).status;
    vi.useFakeTimers({ toFake: ['Date'], now: Date.now() + 29 * 24 * 3600e3 });
    try {
      expect(await asks()).toBe(200);
      vi.setSystemTime(Date.now() + 2 * 24 * 3600e3);
      expect(await asks()).toBe(401);
    } finally {
      vi.useRealTimers();
    }
  });

  it('forgets an ended session once it would have ended by itself', () => {
    const live = new LiveAccess(made.folder);
    live.end({ id: 'old', began: Date.now() - 31 * 24 * 3600e3 });
    live.end({ id: 'new', began: Date.now() });
    expect(readAccess(made.folder)!.ended!.map((one) => one.id)).toEqual(['new']);
  });

  it('takes a new passphrase while it runs, and forgets the old one', async () => {
    const cookie = await cookieOf(CHANGE);
    writeAccess(
      made.folder,
      signedOut({ ...readAccess(made.folder)!, change: await hashOf('another one altogether') }),
    );
    expect((await request(made.app).get('/api/plans').set('Cookie', cookie)).status).toBe(401);
    expect((await signIn(CHANGE)).status).toBe(403);
    expect((await signIn('another one altogether')).status).toBe(200);
  });

  it('slows guessing down, and locks nobody out who is right', { timeout: 30_000 }, async () => {
    const guesses = await Promise.all(Array.from({ length: 14 }, (_, i) => signIn(`guess number ${i}`)));
    const statuses = guesses.map(({ status }) => status).sort();
    // So many wait at once; the others are not even looked at.
    expect(statuses).toEqual([...Array.from({ length: 10 }, () => 403), 429, 429, 429, 429]);
    // Somebody else, whom the trusted proxy tells apart, is not slower for it.
    expect((await signIn(CHANGE).set('X-Forwarded-For', '10.0.0.9')).status).toBe(200);
    expect((await signIn('x'.repeat(300)).set('X-Forwarded-For', '10.0.0.8')).status).toBe(400);
    // Whoever is right is let in after a while: later than at once, for so many were wrong before.
    let took = 0;
    const comesIn = async (): Promise<number> => {
      const began = performance.now();
      const { status } = await signIn(CHANGE);
      took = performance.now() - began;
      return status;
    };
    await expect.poll(comesIn, { timeout: 15_000, interval: 500 }).toBe(200);
    expect(took).toBeGreaterThan(5 * SLOWER_BY);
  });

  it('answers a page that asks too often with a plain word', async () => {
    const answers = await Promise.all(Array.from({ length: 1250 }, () => request(made.app).get('/api/access')));
    const refused = answers.filter(({ status }) => status === 429);
    expect(refused.length).toBeGreaterThan(0);
    expect((refused[0]!.body as ProblemDetails).title).toBe('Too many requests from this address');
  });

  it('behind a trusted proxy goes by the name that was asked of that, and sets its cookie for TLS only', async () => {
    const behind = (host: string) =>
      request(made.app)
        .post('/api/access/sign-in')
        .set({ 'X-Forwarded-Host': host, 'X-Forwarded-Proto': 'https', Origin: `https://${host}` })
        .send({ passphrase: CHANGE });
    const answer = await behind('yard.school');
    expect(answer.status).toBe(200);
    expect(String(answer.headers['set-cookie'])).toMatch(/secure/i);
    expect((await behind('elsewhere.test')).status).toBe(421);
  });
});

describe('A server without a trusted proxy', () => {
  it('takes nobody’s word for who asks, or by which name', async () => {
    const { app } = await testApp();
    expect((await request(app).get('/api/plans').set('X-Forwarded-Host', 'elsewhere.test')).status).toBe(200);
    expect(
      (await request(app).get('/api/plans').set({ Host: 'elsewhere.test', 'X-Forwarded-Host': 'localhost' })).status,
    ).toBe(421);
    expect(
      (await request(app).get('/api/plans').set({ Host: 'elsewhere.test', Origin: 'http://elsewhere.test' })).status,
    ).toBe(421);
    expect((await request(app).get('/api/access')).body).toEqual({ access: 'open' });
  });
});

describe('A passphrase', () => {
  it('is kept as a salted hash only, in a file for this user alone', async () => {
    const text = readFileSync(accessPath(made.folder), 'utf8');
    expect(text).not.toContain(CHANGE);
    expect(statSync(accessPath(made.folder)).mode & 0o077).toBe(0);
    const [one, two] = [await hashOf(CHANGE), await hashOf(CHANGE)];
    expect(one.hash).not.toBe(two.hash);
    expect([await matches(CHANGE, one), await matches(`${CHANGE} `, one)]).toEqual([true, false]);
  });

  it('in a damaged file lets nobody in', () => {
    writeFileSync(accessPath(made.folder), '{"key":"short"}');
    expect(() => readAccess(made.folder)).toThrow(/damaged: delete it/);
  });

  it('is set from the command line, and one too short changes nothing', () => {
    const folder = temporaryFolder();
    const set = (input: string, ...args: string[]) =>
      execFileSync(process.execPath, ['--import', 'tsx', 'server/src/bin/passphrase.ts', ...args], {
        cwd: new URL('../../', import.meta.url),
        env: { ...process.env, ROUGH_GEAR_DATA: folder },
        input,
        encoding: 'utf8',
        stdio: ['pipe', 'pipe', 'pipe'],
      });
    expect(set(`${CHANGE}\n`)).toContain('The passphrase is set');
    const first = readAccess(folder)!;
    expect(() => set('short\n')).toThrow(/10 to 200 characters/);
    expect(readAccess(folder)).toEqual(first);
    expect(set(`${LOOK}\n`, '--look')).toContain('for looking only is set');
    expect(readAccess(folder)).toMatchObject({ change: first.change, epoch: first.epoch + 1 });
    expect(set('', '--no-look')).toContain('Nobody can sign in to look only');
    expect(readAccess(folder)!.look).toBeUndefined();
  });
});
