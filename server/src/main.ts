import { fileURLToPath } from 'node:url';
import type { AddressInfo } from 'node:net';
import { pino } from 'pino';
import { createApp } from './app.js';
import { openData } from './db/open.js';
import { StorageProblem } from './db/failure.js';
import { StartProblem } from './db/startProblem.js';
import { bracketed } from './http/sameOrigin.js';
import { PlanStore } from './plans/store.js';
import { readSettings, type Settings } from './settings.js';
import { root as rootUrl } from './root.js';
import { readDemo } from './shelf/data.js';
import { ShelfStore } from './shelf/store.js';

const root = fileURLToPath(rootUrl);

/** Ends with one line that says what to do; anything else is a fault of the program, and shows where. */
function refuse(problem: unknown): never {
  if (!(problem instanceof StartProblem)) throw problem;
  process.stderr.write(`${problem.message}\n`);
  process.exit(2);
}

function settingsOrStop(): Settings {
  try {
    return readSettings(process.env, root);
  } catch (problem) {
    return refuse(problem);
  }
}

const settings = settingsOrStop();
const log = pino({ level: settings.logLevel }, pino.destination(2));
const opened = await openData(settings.dataFolder).catch(refuse);
const data = opened.database;
const plans = new PlanStore(data);
const shelf = new ShelfStore(data);
try {
  await shelf.seed();
  if (await plans.isEmpty()) for (const plan of readDemo()) await plans.create(plan);
} catch (problem) {
  refuse(problem instanceof StorageProblem ? new StartProblem(`${settings.dataFolder}: ${problem.message}`) : problem);
}

const app = createApp({
  data,
  dataFolder: settings.dataFolder,
  plans,
  shelf,
  log,
  host: settings.host,
  webFolder: fileURLToPath(new URL('web/dist', rootUrl)),
});
const server = app.listen(settings.port, settings.host, (error?: Error) => {
  if (error) {
    process.stderr.write(`PORT: ${settings.host}:${settings.port} cannot be listened on: ${error.message}\n`);
    process.exit(2);
  }
  const { port } = server.address() as AddressInfo;
  const name = settings.host === '127.0.0.1' ? 'localhost' : bracketed(settings.host);
  process.stdout.write(`Rough Gear is at http://${name}:${port}\n`);
});

/** Requests that are under way have so long to finish, ms. */
const FINISH_WITHIN = 1800;

/** Lets open requests finish, then closes the database. */
function stop(): void {
  server.close(() => void opened.close().then(() => process.exit(0)));
  server.closeIdleConnections();
  setTimeout(() => process.exit(1), FINISH_WITHIN).unref();
}
process.once('SIGTERM', stop);
process.once('SIGINT', stop);
