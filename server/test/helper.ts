import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Plan } from '@rough-gear/core';
import { pino } from 'pino';
import type { LiveAccess } from '../src/access/accessFile.js';
import { createApp } from '../src/app.js';
import { Unpacker } from '../src/archive/unpacker.js';
import { DailyBackups } from '../src/backup/daily.js';
import { DiaryStore } from '../src/diary/store.js';
import { openData } from '../src/db/open.js';
import { namesOf } from '../src/http/names.js';
import { judge } from '../src/judging/judge.js';
import type { Judge } from '../src/judging/judgeThread.js';
import { Summaries } from '../src/judging/summaries.js';
import { PlanStore } from '../src/plans/store.js';
import { answer } from '../src/reading/questions.js';
import type { Reader } from '../src/reading/reader.js';
import { ShelfStore } from '../src/shelf/store.js';
import { TrialStore } from '../src/trials/store.js';

export const heron = JSON.parse(
  readFileSync(new URL('../../contract/demo/heron.json', import.meta.url), 'utf8'),
) as Plan;

export const temporaryFolder = (): string => mkdtempSync(join(tmpdir(), 'rough-gear-server-'));

/** Judges in this very thread: for tests that want no other. */
export const judgeHere: Judge = {
  judge: (text, depth) => Promise.resolve(judge(text, depth)),
  close: () => Promise.resolve(),
};

/** Mechanisms alone, whatever is asked: a whole robot takes seconds, in which nothing else of a test goes on. */
const judgeAlone: Judge = { ...judgeHere, judge: (text) => Promise.resolve(judge(text, 'alone')) };

/** Reads in this very thread, too. */
const readHere: Reader = {
  ask: (question, ...about) => Promise.resolve(answer(question, about)),
  archive: () => {
    const unpacker = new Unpacker();
    return { push: (piece) => Promise.resolve(unpacker.push(piece)), close: () => Promise.resolve() };
  },
  close: () => Promise.resolve(),
};

/** The application on a real SQLite file of its own. */
export async function testApp(
  folder = temporaryFolder(),
  more: {
    readonly access?: LiveAccess;
    readonly hosts?: readonly string[];
    readonly proxies?: readonly string[];
    readonly guessesSlowerBy?: number;
    readonly rigPort?: number;
    readonly rigLineOfLife?: number;
    readonly webFolder?: string;
  } = {},
) {
  const { database: data, close } = await openData(folder);
  const plans = new PlanStore(data);
  const shelf = new ShelfStore(data);
  const trials = new TrialStore(data);
  const diaries = new DiaryStore(data);
  await shelf.seed();
  const backups = new DailyBackups(data, folder);
  const summaries = new Summaries(plans, judgeAlone, 'test');
  await summaries.start();
  const app = createApp({
    data,
    dataFolder: folder,
    plans,
    shelf,
    trials,
    diaries,
    reader: readHere,
    guessesSlowerBy: more.guessesSlowerBy,
    rigPort: more.rigPort ?? 0,
    rigLineOfLife: more.rigLineOfLife,
    log: pino({ level: 'silent' }),
    backups,
    names: namesOf('127.0.0.1', more.hosts ?? []),
    proxies: more.proxies ?? [],
    access: more.access,
    webFolder: more.webFolder,
  });
  /** Looks into the tables, or changes them behind the program's back. */
  const sql = (text: string, values?: unknown[]): Promise<unknown> =>
    data.write((manager) => manager.query<unknown>(text, values));
  return { app, data, close, plans, shelf, trials, diaries, folder, sql, summaries, backups };
}
