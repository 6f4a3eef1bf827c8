import type { DiaryEntry, Trial } from '@rough-gear/core';
import { zipSync, strToU8 } from 'fflate';
import type { Attack } from './attack.js';
import { tick } from './samples.js';
import { heron, savedIn, Target } from './server.js';

/** So long nothing else is answered at most, ms. */
const LONGEST_STALL = 200;

const rows = (count: number): Trial => {
  const numbers = Array.from({ length: count }, (_, i) => i / 1000);
  return {
    kind: 'coast-down',
    subject: { name: 'a can' },
    startedAt: '2026-11-20T09:00:00Z',
    who: '',
    used: '',
    note: '',
    given: {},
    said: {},
    readings: { time: numbers, speed: numbers },
    rowIds: numbers.map((_, i) => `logger.${i}`),
    struck: [],
  };
};

const manifest = { format: 'rough-gear-archive', version: 1, madeAt: '2026-03-01T00:00:00Z', program: '0' };
/** A small file that unpacks to a plan of so many empty objects. */
const bomb = (count: number): Uint8Array =>
  zipSync({ 'archive.json': strToU8(JSON.stringify(manifest)), 'plans/a.json': strToU8(`[${'{},'.repeat(count)}{}]`) });

const ticks = (count: number): readonly DiaryEntry[] => Array.from({ length: count }, () => tick(1));

/** Whatever is large, or made to take long: it is read, or refused, and nobody else stands still meanwhile. */
export const parsers: Attack = {
  name: 'parsers',
  aims: 'one document keeps everybody waiting',
  async run(scale) {
    const whole = scale === 'long' ? 1 : 0.02;
    const of = (count: number): number => Math.ceil(count * whole);
    const target = await Target.start();
    const broken: string[] = [];
    const slow: string[] = [];
    const seen: string[] = [];
    const during = async (what: string, status: readonly number[], asked: () => Promise<Response>) => {
      await target.measured();
      const began = performance.now();
      const answer = await asked();
      await answer.arrayBuffer();
      const took = performance.now() - began;
      const { stall } = await target.measured();
      seen.push(`${what} ${Math.round(took)} ms, ${Math.round(stall)} still`);
      if (!status.includes(answer.status)) broken.push(`${what}: answered ${answer.status}`);
      if (scale === 'long' && stall > LONGEST_STALL) slow.push(`${what}: it stood still for ${Math.round(stall)} ms`);
      return answer;
    };
    const csv = (text: string, dry: boolean) =>
      target.send('POST', `/shelf/file?kind=wire&dry=${dry}`, text, { 'Content-Type': 'text/csv' });
    const names = (count: number): string =>
      `name,cross-section (mm²)\n${Array.from({ length: count }, (_, i) => `wire ${i},${(i % 50) + 1}`).join('\n')}\n`;

    const sheet = names(of(5000));
    await during('sheet of 5 000 lines, dry', [200], () => csv(sheet, true));
    await during('the same taken', [200], () => csv(sheet, false));
    const million = names(of(1_000_000));
    await during('sheet of a million lines', [200], () => csv(million, true));
    await during('the shelf', [200], () => fetch(`${target.url}/api/shelf`));

    const { id } = await target.create(heron);
    for (let revision = 1; revision < of(56); revision++)
      await savedIn(await target.save(id, revision, { ...heron, note: `save ${revision}` }));
    await during('saves of a plan', [200], () => fetch(`${target.url}/api/plans/${id}/revisions`));
    const keys = JSON.stringify({
      ...heron,
      ...Object.fromEntries(Array.from({ length: of(120_000) }, (_, i) => [`k${i}`, i])),
    });
    await during('plan of 120 000 unknown keys', [413, 422], () => target.save(id, of(56), keys));
    await during('lists in lists', [413, 422], () => target.save(id, of(56), '['.repeat(1_000_000)));

    const long = rows(of(200_000));
    const text = JSON.stringify(long);
    const made = (await (
      await target.send('POST', '/trials', { ...long, readings: { time: [], speed: [] }, rowIds: [] })
    ).json()) as { id: string };
    await during('trial of 200 000 rows', [200], () =>
      target.send('PUT', `/trials/${made.id}`, text, { 'If-Match': '"r1"' }),
    );
    await during('the same opened', [200], () => fetch(`${target.url}/api/trials/${made.id}`));
    const closing = JSON.stringify({ ...long, closedAt: '2026-11-20T10:00:00Z' });
    await during('the same closed', [200], () =>
      target.send('PUT', `/trials/${made.id}`, closing, { 'If-Match': '"r2"' }),
    );

    const packed = bomb(of(12_000_000));
    await during('archive of twelve million objects', [200], () =>
      target.send('POST', '/archive', packed, { 'Content-Type': 'application/zip' }),
    );
    const all: (readonly DiaryEntry[])[] = [];
    for (let left = of(19_000); left > 0; left -= 2000) all.push(ticks(Math.min(2000, left)));
    for (const entries of all)
      await during('2 000 lines of a diary', [200], () => target.send('POST', `/diary/${id}`, { entries }));
    await during('the same again', [200], () => target.send('POST', `/diary/${id}`, { entries: all[0] }));
    await during('a whole diary', [200], () => fetch(`${target.url}/api/diary/${id}`));
    await during('faults of all robots', [200], () => fetch(`${target.url}/api/diary/faults`));
    await during('everything as one file', [200], () => fetch(`${target.url}/api/archive`));
    await target.dispose();
    return { tried: `${seen.length} documents`, seen: seen.join('; '), broken, slow };
  },
};
