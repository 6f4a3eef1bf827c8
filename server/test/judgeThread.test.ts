import { execFileSync } from 'node:child_process';
import { beforeAll, expect, it } from 'vitest';
import { root } from '../attack/server.js';
import { judge } from '../src/judging/judge.js';
import { JudgeThread } from '../src/judging/judgeThread.js';
import { heron } from './helper.js';

/** As it is built: what runs from its sources has a loader of its own. */
const built = new URL('../dist/judgeWorker.mjs', import.meta.url);
beforeAll(() => void execFileSync(process.execPath, ['scripts/build.mjs', 'server'], { cwd: root }));

it('A thread judges one document after the other, whatever is in them', async () => {
  const one = JSON.stringify({ ...heron, mechanisms: heron.mechanisms.slice(0, 1) });
  const thread = new JudgeThread(built);
  expect(await thread.judge(one)).toEqual(judge(one));
  expect((await thread.judge('{"format": ')).unreadable).toMatch(/JSON/);
  expect(await thread.judge(one)).toEqual(judge(one));
  await thread.close();
});

it('A thread that cannot be had says so of the plan, which stays one that opens', async () => {
  const thread = new JudgeThread(new URL('file:///nowhere/worker.mjs'));
  const said = await thread.judge('{}');
  expect(said).toMatchObject({ mechanisms: [], unjudged: expect.stringContaining('judging it failed') as string });
  expect(said.unreadable).toBeUndefined();
  await thread.close();
});
