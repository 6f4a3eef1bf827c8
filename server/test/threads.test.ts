import { execFileSync } from 'node:child_process';
import { quantityOf, type Trial } from '@rough-gear/core';
import { beforeAll, expect, it } from 'vitest';
import { root } from '../attack/server.js';
import { judge } from '../src/judging/judge.js';
import { JudgeThread } from '../src/judging/judgeThread.js';
import { foundApart } from '../src/trials/found.js';
import { foundOf } from '../src/trials/foundOf.js';
import { trialText } from '../src/trials/reading.js';
import { heron } from './helper.js';

/** As it is built: what runs from its sources has a loader of its own. */
const built = new URL('../dist/judgeWorker.mjs', import.meta.url);
beforeAll(() => void execFileSync(process.execPath, ['scripts/build.mjs', 'server'], { cwd: root }));

it('A thread judges one document after the other, whatever is in them', async () => {
  const one = JSON.stringify({ ...heron, mechanisms: heron.mechanisms.slice(0, 1) });
  const thread = new JudgeThread(built);
  expect(await thread.judge(one, 'whole')).toEqual(judge(one, 'whole'));
  expect((await thread.judge('{"format": ', 'alone')).unreadable).toMatch(/JSON/);
  expect(await thread.judge(one, 'whole')).toEqual(judge(one, 'whole'));
  await thread.close();
});

it('A thread that cannot be had says so of the plan, which stays one that opens', async () => {
  const thread = new JudgeThread(new URL('file:///nowhere/worker.mjs'));
  const said = await thread.judge('{}', 'alone');
  expect(said).toMatchObject({ mechanisms: [], unjudged: expect.stringContaining('judging it failed') as string });
  expect(said.unreadable).toBeUndefined();
  await thread.close();
});

const ROWS = 60_000;
const seconds = Array.from({ length: ROWS }, (_, i) => i / 10_000);
/** A coast-down that was logged finely, and is closed. */
const long: Trial = {
  kind: 'coast-down',
  subject: { name: 'a can' },
  who: 'Ada',
  startedAt: '2026-11-20T09:00:00Z',
  closedAt: '2026-11-20T10:00:00Z',
  used: 'a logger',
  note: '',
  given: { inertia: quantityOf(1e-4, '0.0001 kg·m²') },
  said: {},
  readings: { time: seconds, speed: seconds.map((time) => 400 * Math.exp(-time / 3) - 20 * time) },
  struck: [],
};

it('A long log is fitted in a thread, and nobody waits for it meanwhile', async () => {
  const worker = new URL('../dist/foundWorker.mjs', import.meta.url);
  let turns = 0;
  const ticking = setInterval(() => turns++, 5);
  const found = await foundApart(trialText(long), worker);
  clearInterval(ticking);
  expect(found.length).toBeGreaterThan(0);
  expect(found).toEqual(foundOf(long));
  // Fitted here, no timer would have come to its turn.
  expect(turns).toBeGreaterThan(5);
});

it('A thread that fits nothing leaves the list without it', async () => {
  expect(await foundApart(trialText(long), new URL('file:///nowhere/worker.mjs'))).toEqual([]);
});
