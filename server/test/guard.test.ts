import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import request from 'supertest';
import { describe, expect, it } from 'vitest';
import type { ProblemDetails } from '@rough-gear/contract';
import { bracketed, isLoopback, namesOf } from '../src/http/names.js';
import { reachable, readSettings } from '../src/settings.js';
import { heron, temporaryFolder, testApp } from './helper.js';

describe('the guard', () => {
  it('refuses another origin and a foreign host', async () => {
    const { app } = await testApp();
    expect((await request(app).get('/api/plans').set('Origin', 'http://elsewhere.test')).status).toBe(403);
    expect((await request(app).post('/api/plans').set('Origin', 'null').send({ name: 'x' })).status).toBe(403);
    expect((await request(app).get('/api/plans').set('Host', 'elsewhere.test')).status).toBe(421);
    expect(
      (await request(app).get('/api/plans').set('Host', 'localhost:4173').set('Origin', 'http://localhost:4173'))
        .status,
    ).toBe(200);
  });

  it('knows its own name in capitals, and a change that another site asks for without an Origin', async () => {
    const { app } = await testApp();
    expect((await request(app).get('/api/plans').set('Host', 'LOCALHOST:4173')).status).toBe(200);
    const asked = (site: string) => request(app).post('/api/plans').set('Sec-Fetch-Site', site).send({ name: 'x' });
    expect((await asked('cross-site')).status).toBe(403);
    expect((await asked('same-site')).status).toBe(403);
    expect((await asked('same-origin')).status).toBe(201);
    expect((await request(app).get('/api/plans').set('Sec-Fetch-Site', 'cross-site')).status).toBe(200);
    expect(bracketed('::1')).toBe('[::1]');
    expect(bracketed('yard.local')).toBe('yard.local');
  });

  it('says in true words, and always as a problem document, what was wrong with a request', async () => {
    const { app } = await testApp();
    const json = (charset: string) => `application/json; charset=${charset}`;
    const foreign = await request(app).post('/api/plans').set('Content-Type', json('iso-8859-1')).send('{"name":"x"}');
    const packed = await request(app)
      .post('/api/plans')
      .set({ 'Content-Type': 'application/json', 'Content-Encoding': 'zip' })
      .send('{}');
    const address = await request(app).get('/api/plans/%E0%A4%A');
    const file = await request(app)
      .post('/api/shelf/file?kind=motor')
      .set('Content-Type', 'text/csv')
      .send('x'.repeat(68_000_000));
    const nowhere = await request(app).post('/nowhere');
    expect(
      [foreign, packed, address, file, nowhere].map(({ status, body, headers }) => [
        status,
        (body as ProblemDetails).title,
        headers['content-type'],
      ]),
    ).toEqual(
      (
        [
          [415, 'The body is written in a way that is not read here'],
          [415, 'The body is written in a way that is not read here'],
          [400, 'The address is malformed'],
          [413, 'That is more than 67 MB'],
          [404, 'There is nothing at this address'],
        ] as const
      ).map((row) => [...row, expect.stringContaining('problem+json')]),
    );
  });

  it('takes no body over two megabytes, and no broken one', async () => {
    const { app } = await testApp();
    const large = await request(app)
      .post('/api/plans')
      .send({ document: { ...heron, note: 'x'.repeat(2_200_000) } });
    expect([large.status, large.headers['content-type']]).toEqual([413, expect.stringContaining('problem+json')]);
    const broken = await request(app).post('/api/plans').set('Content-Type', 'application/json').send('{"name":');
    expect([broken.status, broken.headers['content-type']]).toEqual([400, expect.stringContaining('problem+json')]);
  });

  it('sends a strict content policy and no word of what it is made with', async () => {
    const { app } = await testApp();
    const { headers } = await request(app).get('/api/health');
    expect(headers['content-security-policy']).toContain("default-src 'self'");
    expect(headers['content-security-policy']).not.toContain('unsafe');
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['x-powered-by']).toBeUndefined();
  });

  it('lets the worker alone run what is compiled', async () => {
    const webFolder = temporaryFolder();
    mkdirSync(join(webFolder, 'assets'));
    for (const name of ['core.worker-x1_Y.js', 'index-x1.js']) writeFileSync(join(webFolder, 'assets', name), '');
    const { app } = await testApp(undefined, { webFolder });
    const policyOf = async (name: string): Promise<string> =>
      (await request(app).get(`/assets/${name}`).expect(200)).headers['content-security-policy']!;
    expect(await policyOf('core.worker-x1_Y.js')).toBe("default-src 'self'; script-src 'self' 'wasm-unsafe-eval'");
    expect(await policyOf('index-x1.js')).not.toContain('unsafe');
  });

  it('hands out the shelf by kind', async () => {
    const { app } = await testApp();
    const { body } = await request(app).get('/api/shelf?kind=motor');
    expect((body as unknown[]).length).toBeGreaterThanOrEqual(12);
    expect((await request(app).get('/api/shelf?kind=engine')).status).toBe(400);
  });

  it('never lets the database build its own tables', () => {
    expect(readFileSync(new URL('../src/db/open.ts', import.meta.url), 'utf8')).toContain('synchronize: false');
  });
});

describe('the settings', () => {
  it('have defaults that bind to the loopback address', () => {
    expect(readSettings({}, '/srv')).toEqual({
      port: 4173,
      host: '127.0.0.1',
      dataFolder: '/srv/data',
      logLevel: 'info',
      hosts: [],
      proxies: [],
      rigPort: 4170,
    });
  });

  it('are read from the environment', () => {
    expect(
      readSettings(
        {
          PORT: '8080',
          HOST: '0.0.0.0',
          ROUGH_GEAR_DATA: '/tmp/x',
          ROUGH_GEAR_LOG: 'warn',
          ROUGH_GEAR_HOSTS: 'yard.school, 10.0.0.7',
          ROUGH_GEAR_PROXY: 'loopback,10.0.0.2',
          ROUGH_GEAR_RIG: '4200',
        },
        '/srv',
      ),
    ).toEqual({
      port: 8080,
      host: '0.0.0.0',
      dataFolder: '/tmp/x',
      logLevel: 'warn',
      hosts: ['yard.school', '10.0.0.7'],
      proxies: ['loopback', '10.0.0.2'],
      rigPort: 4200,
    });
  });

  it('know whether others can reach the server', () => {
    const of = (environment: Readonly<Record<string, string | undefined>>) =>
      reachable(readSettings(environment, '/srv'));
    expect([{}, { HOST: '::1' }, { HOST: '127.0.0.3' }, { ROUGH_GEAR_HOSTS: 'localhost' }].map(of)).toEqual([
      false,
      false,
      false,
      false,
    ]);
    expect(
      [{ HOST: '0.0.0.0' }, { HOST: '::' }, { ROUGH_GEAR_PROXY: 'loopback' }, { ROUGH_GEAR_HOSTS: 'yard.school' }].map(
        of,
      ),
    ).toEqual([true, true, true, true]);
    expect([isLoopback('LOCALHOST'), isLoopback('192.168.0.4')]).toEqual([true, false]);
    expect([...namesOf('0.0.0.0', ['Yard.School'])]).toEqual(
      expect.arrayContaining(['localhost', '[::1]', 'yard.school']),
    );
  });

  it.each([
    ['PORT', 'many', /^PORT .*number.*\(is "many"\)$/],
    ['PORT', '70000', /^PORT .*65535.*\(is "70000"\)$/],
    ['HOST', 'not a host', /^HOST .*\(is "not a host"\)$/],
    ['ROUGH_GEAR_DATA', '', /^ROUGH_GEAR_DATA .*empty.*\(is ""\)$/],
    ['ROUGH_GEAR_HOSTS', 'yard.school, not a name', /^ROUGH_GEAR_HOSTS .*\(is "yard.school, not a name"\)$/],
    ['ROUGH_GEAR_PROXY', 'everybody', /^ROUGH_GEAR_PROXY .*\(is "everybody"\)$/],
    ['ROUGH_GEAR_LOG', 'loud', /^ROUGH_GEAR_LOG .*must be one of.*\(is "loud"\)$/],
  ])('%s=%s stops the start with one clear line', (name, value, line) => {
    expect(() => readSettings({ [name]: value }, '/srv')).toThrow(line);
  });
});
