import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import { DiaryStore } from './diary/store.js';
import { LiveAccess, readAccess } from './access/accessFile.js';
import { createApp } from './app.js';
import { hasCopies, makeBackup } from './backup/backups.js';
import { DailyBackups } from './backup/daily.js';
import { mendFolder } from './backup/restore.js';
import { StorageProblem, storageFailureOf } from './db/failure.js';
import { openData, type BeforeChange } from './db/open.js';
import { StartProblem } from './db/startProblem.js';
import { bracketed, namesOf } from './http/names.js';
import { JudgeThread, judgedBy } from './judging/judgeThread.js';
import { Summaries } from './judging/summaries.js';
import { PlanStore } from './plans/store.js';
import { ReadingThreads } from './reading/reader.js';
import { reachable, readSettings, type Settings } from './settings.js';
import { root as rootUrl } from './root.js';
import { seedDemo } from './shelf/seedDemo.js';
import { ShelfStore } from './shelf/store.js';
import { TrialStore } from './trials/store.js';
import { VERSION } from './version.js';

const root = fileURLToPath(rootUrl);
// What this program writes nobody else on this machine may read.
process.umask(0o077);

/** Ends with one line that says what to do; anything else is a fault of the program, and shows where. */
function refuse(problem: unknown): never {
  if (!(problem instanceof StartProblem)) throw problem;
  process.stderr.write(`${problem.message}\n`);
  process.exit(2);
}

/** The settings, and who may do what: others are let in by a passphrase only. */
function settingsOrStop(): { readonly settings: Settings; readonly access?: LiveAccess } {
  try {
    const settings = readSettings(process.env, root);
    if (!reachable(settings)) return { settings };
    if (!readAccess(settings.dataFolder)?.change)
      throw new StartProblem(
        'Others could reach this server by HOST, ROUGH_GEAR_HOSTS or ROUGH_GEAR_PROXY, and no passphrase is set: set one first with npm run passphrase.',
      );
    return { settings, access: new LiveAccess(settings.dataFolder) };
  } catch (problem) {
    return refuse(problem);
  }
}

const { settings, access } = settingsOrStop();
const { dataFolder } = settings;
const log = pino({ level: settings.logLevel }, pino.destination(2));

const backUpFirst: BeforeChange = async (copyTo) => {
  try {
    await makeBackup(dataFolder, 'before-update', copyTo);
  } catch (problem) {
    const why = storageFailureOf(problem)?.sentence ?? (problem as Error).message;
    throw new StartProblem(`${dataFolder}: no backup could be made before the update, and nothing was changed. ${why}`);
  }
};

try {
  const said = mendFolder(dataFolder);
  if (said !== undefined) process.stdout.write(`${said}\n`);
} catch (problem) {
  refuse(problem);
}
const opened = await openData(dataFolder, backUpFirst).catch(refuse);
const data = opened.database;
const plans = new PlanStore(data);
const shelf = new ShelfStore(data);
const trials = new TrialStore(data);
const diaries = new DiaryStore(data);
const reader = new ReadingThreads();
const backups = new DailyBackups(data, dataFolder);
const summaries = new Summaries(plans, new JudgeThread(), judgedBy(VERSION), (problem) =>
  log.error(problem, 'plans are not judged now'),
);
try {
  await shelf.seed();
  if (!hasCopies(dataFolder) && (await plans.isEmpty())) await seedDemo(plans, trials, diaries);
  await summaries.start();
} catch (problem) {
  refuse(problem instanceof StorageProblem ? new StartProblem(`${dataFolder}: ${problem.message}`) : problem);
}

const app = createApp({
  data,
  dataFolder,
  plans,
  shelf,
  trials,
  diaries,
  reader,
  rigPort: settings.rigPort,
  log,
  backups,
  names: namesOf(settings.host, settings.hosts),
  proxies: settings.proxies,
  access,
  webFolder: fileURLToPath(new URL('web/dist', rootUrl)),
});

/** Whoever is slower than this at asking, ms, is not waited for; nobody holds a place without asking. */
const TIMES = {
  headersTimeout: 10_000,
  requestTimeout: 120_000,
  keepAliveTimeout: 10_000,
  connectionsCheckingInterval: 2000,
};
/** Nothing moved either way for so long: the other end is gone, ms. */
const SILENT_FOR = 60_000;
const MOST_CONNECTIONS = 512;

const server = createServer(TIMES, app);
server.setTimeout(SILENT_FOR);
server.maxConnections = MOST_CONNECTIONS;
server.once('error', (error) => {
  process.stderr.write(`PORT: ${settings.host}:${settings.port} cannot be listened on: ${error.message}\n`);
  process.exit(2);
});
server.listen(settings.port, settings.host, () => {
  const { port } = server.address() as AddressInfo;
  const name = settings.host === '127.0.0.1' ? 'localhost' : bracketed(settings.host);
  process.stdout.write(`Rough Gear is at http://${name}:${port}\n`);
  backups.start();
});

/** Requests that are under way have so long to finish, ms. */
const FINISH_WITHIN = 1800;

/** Lets open requests finish, then closes the database. */
function stop(): void {
  backups.stop();
  server.close(
    () =>
      void summaries
        .stop()
        .then(() => reader.close())
        .then(() => opened.close())
        .then(() => process.exit(0)),
  );
  server.closeIdleConnections();
  setTimeout(() => process.exit(1), FINISH_WITHIN).unref();
}
process.once('SIGTERM', stop);
process.once('SIGINT', stop);
