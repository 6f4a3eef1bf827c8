import { spawnSync } from 'node:child_process';
import { request } from 'node:http';
import { connect, type Socket } from 'node:net';
import { setTimeout as sleep } from 'node:timers/promises';
import { within, type Attack } from './attack.js';
import { newFolder, root, Target } from './server.js';

type Headers = Readonly<Record<string, string>>;

/** A request as it is, under any name: `fetch` would not send these. */
const raw = (target: Target, method: string, path: string, headers: Headers, body = ''): Promise<number> =>
  new Promise((resolve, reject) => {
    const sent = request({ host: '127.0.0.1', port: target.port, method, path, headers }, (response) => {
      response.resume();
      response.on('end', () => resolve(response.statusCode ?? 0));
    });
    sent.on('error', reject);
    sent.end(body);
  });

const PASSPHRASE = 'a passphrase for strangers';
const JSON_BODY = { 'Content-Type': 'application/json' };

/** Other sites' pages, names that lie, and whoever has no passphrase. */
export const strangers: Attack = {
  name: 'strangers',
  aims: 'somebody is let in',
  async run(scale) {
    const closed = await Target.start();
    const folder = newFolder();
    spawnSync(process.execPath, ['server/dist/passphrase.mjs'], {
      cwd: root,
      env: { ...process.env, ROUGH_GEAR_DATA: folder },
      input: `${PASSPHRASE}\n`,
    });
    const open = await Target.start(folder, { HOST: '0.0.0.0' });
    const broken: string[] = [];
    let tried = 0;
    const refused = async (what: string, target: Target, method: string, path: string, headers: Headers) => {
      tried++;
      const status = await raw(target, method, path, headers, method === 'POST' ? '{"name":"x"}' : '');
      if (![401, 403, 421, 429].includes(status)) broken.push(`${what}: ${method} ${path} was answered with ${status}`);
    };
    const own = `127.0.0.1:${closed.port}`;
    for (const [what, headers] of [
      ['a foreign name', { Host: 'elsewhere.test' }],
      ['a foreign name with its origin', { Host: 'elsewhere.test', Origin: 'http://elsewhere.test' }],
      ['a foreign origin', { Host: own, Origin: 'http://elsewhere.test' }],
      ['no origin, another site', { Host: own, 'Sec-Fetch-Site': 'cross-site' }],
      ['a page of nowhere', { Host: own, Origin: 'null' }],
      ['a name that is passed on', { Host: 'elsewhere.test', 'X-Forwarded-Host': 'localhost' }],
    ] as const)
      for (const target of [closed, open])
        await refused(what, target, 'POST', '/api/plans', { ...JSON_BODY, ...headers });
    const here = { Host: `127.0.0.1:${open.port}` };
    for (const path of [
      '/api/plans',
      '/api/shelf',
      '/api/data',
      '/api/archive',
      '/api/shelf/file?kind=motor',
      '/api//plans',
      '/api/plans/',
      '/API/plans',
      '/Api/Data',
    ])
      for (const headers of [here, { ...here, Cookie: 'rough-gear=eyJyb2xlIjoiY2hhbmdlIn0=; rough-gear.sig=x' }])
        await refused('not signed in', open, 'GET', path, headers);
    const guesses = scale === 'long' ? 60 : 14;
    const signIn = (passphrase: string): Promise<number> =>
      raw(open, 'POST', '/api/access/sign-in', { ...here, ...JSON_BODY }, JSON.stringify({ passphrase }));
    const answers = await Promise.all(Array.from({ length: guesses }, (_, i) => signIn(`guess ${i}`)));
    tried += guesses;
    const looked = answers.filter((status) => status !== 429).length;
    if (looked > 10) broken.push(`${looked} guesses were looked at at once: ${answers.join(' ')}`);
    // Whoever is right gets in from the same address, a little later.
    let right = 0;
    for (let i = 0; i < 20 && right !== 200; i++) {
      right = await signIn(PASSPHRASE);
      if (right !== 200) await sleep(1000);
    }
    if (right !== 200) broken.push(`the right passphrase was answered with ${right}`);
    const refusedStart = await Target.start(newFolder(), { HOST: '0.0.0.0' }).then(
      async (target) => (await target.dispose(), 'it started'),
      (problem: Error) => problem.message,
    );
    if (!refusedStart.includes('no passphrase is set'))
      broken.push(`open to all without a passphrase: ${refusedStart}`);
    await Promise.all([closed.dispose(), open.dispose()]);
    return {
      tried: `${tried} requests`,
      seen: `${guesses} guesses, ${guesses - looked} of them not even looked at; who is right gets in`,
      broken,
    };
  },
};

/** The closing of a socket, and how long it took; too long counts as never, ms. */
const closed = (socket: Socket, longest: number): Promise<boolean> =>
  Promise.race([new Promise<boolean>((resolve) => socket.once('close', () => resolve(true))), sleep(longest, false)]);

/** Connections that say nothing, or say it slowly. */
export const slow: Attack = {
  name: 'slow connections',
  aims: 'everybody is kept waiting',
  async run(scale) {
    const each = scale === 'long' ? 100 : 20;
    const target = await Target.start();
    const opened = (text: string): Socket => {
      const socket = connect(target.port, '127.0.0.1');
      socket.on('error', () => undefined);
      socket.write(text);
      return socket;
    };
    const host = `Host: 127.0.0.1:${target.port}\r\n`;
    const sockets = Array.from({ length: each }, () => [
      opened(''),
      opened('GET /api/plans HTTP/1.1\r\n'),
      opened(`GET /api/plans HTTP/1.1\r\n${host}X-Slow: `),
    ]).flat();
    const drip = setInterval(() => sockets.forEach((socket) => socket.writable && socket.write('x')), 1000);
    const times: number[] = [];
    for (let i = 0; i < 20; i++) times.push(await target.timed('/health'));
    const all = await Promise.all(sockets.map((socket) => closed(socket, 25_000)));
    clearInterval(drip);
    sockets.forEach((socket) => socket.destroy());
    const left = all.filter((done) => !done).length;
    const broken = left > 0 ? [`${left} connections were never closed`] : [];
    const began = performance.now();
    const held = opened(
      `PUT /api/plans/x HTTP/1.1\r\n${host}Content-Type: application/json\r\nContent-Length: 1000\r\n\r\n{`,
    );
    const code = await target.end();
    const took = performance.now() - began;
    held.destroy();
    if (took > 3000) broken.push(`it took ${Math.round(took)} ms to stop, with code ${code}`);
    await target.dispose();
    return {
      tried: `${sockets.length} half-open connections`,
      seen: `health within ${within(times, 1)} ms; stopped in ${Math.round(took)} ms`,
      broken,
    };
  },
};
