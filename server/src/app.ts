import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express, type Response } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { accessRoutes, admitted, sessions } from './access/access.js';
import type { LiveAccess } from './access/accessFile.js';
import { archiveRoutes } from './archive/routes.js';
import type { DailyBackups } from './backup/daily.js';
import { dataRoutes } from './backup/routes.js';
import type { Database } from './db/database.js';
import { diaryRoutes } from './diary/routes.js';
import type { DiaryStore } from './diary/store.js';
import { healthRoutes } from './health.js';
import { bytes } from './http/body.js';
import { HttpProblem, problemHandler } from './http/problem.js';
import { sameOrigin } from './http/sameOrigin.js';
import { planRoutes } from './plans/routes.js';
import type { Reader } from './reading/reader.js';
import type { PlanStore } from './plans/store.js';
import { shelfRoutes } from './shelf/routes.js';
import type { ShelfStore } from './shelf/store.js';
import { rigRoutes } from './rig/routes.js';
import { trialRoutes } from './trials/routes.js';
import type { TrialStore } from './trials/store.js';

export interface AppParts {
  readonly data: Database;
  readonly dataFolder: string;
  readonly plans: PlanStore;
  readonly shelf: ShelfStore;
  readonly trials: TrialStore;
  readonly diaries: DiaryStore;
  /** Reads what comes from outside. */
  readonly reader: Reader;
  /** Where a rig on this machine sends its lines. */
  readonly rigPort: number;
  /** How often a silent rig is said to be there, ms. */
  readonly rigLineOfLife?: number;
  readonly log: Logger;
  readonly backups: DailyBackups;
  /** The names it answers to. */
  readonly names: ReadonlySet<string>;
  /** Proxies in front whose word on who asks is taken. */
  readonly proxies: readonly string[];
  /** Who may do what; absent where nobody but this machine can reach it. */
  readonly access?: LiveAccess;
  /** How much longer each wrong guess waits than the one before, ms. */
  readonly guessesSlowerBy?: number;
  /** Folder of the built web application; absent while Vite serves it. */
  readonly webFolder?: string;
}

/** Everything from this origin only, no inline script; styles are set through the DOM, not in markup. */
const CONTENT_POLICY = {
  defaultSrc: ["'self'"],
  scriptSrc: ["'self'"],
  styleSrc: ["'self'"],
  imgSrc: ["'self'", 'data:'],
  fontSrc: ["'self'", 'data:'],
  workerSrc: ["'self'", 'blob:'],
  connectSrc: ["'self'"],
  objectSrc: ["'none'"],
  baseUri: ["'none'"],
  formAction: ["'none'"],
  frameAncestors: ["'none'"],
};

/** A full shelf as one sheet. */
const LARGEST_SHEET = '64mb';
/** A plan, a part, what a phone wrote in a season without a network. */
const LARGEST = '2mb';
/** A passphrase. */
const SMALL = '10kb';
/** A trial of a long log, or a book of several. */
const LARGEST_TRIAL = '32mb';

/** Puts the HTTP application together. */
export function createApp(parts: AppParts): Express {
  const { webFolder } = parts;
  const app = express();
  guard(app, parts);
  readBodies(app);
  serveApi(app, parts);
  if (webFolder && existsSync(webFolder)) serveWeb(app, webFolder);
  app.use(nowhere);
  app.use(problemHandler);
  return app;
}

/** Who may ask, and under which name; what is written of it. */
function guard(app: Express, { log, names, proxies, access }: AppParts): void {
  app.set('trust proxy', proxies.length > 0 ? [...proxies] : false);
  app.disable('x-powered-by');
  app.set('etag', false);
  app.use(
    pinoHttp({
      logger: log,
      quietReqLogger: true,
      serializers: {
        req: ({ method, url }: { method: string; url: string }) => ({ method, url }),
        res: ({ statusCode }: { statusCode: number }) => ({ statusCode }),
      },
    }),
  );
  app.use(
    helmet({
      contentSecurityPolicy: { useDefaults: false, directives: CONTENT_POLICY },
      strictTransportSecurity: false,
    }),
  );
  app.use(sameOrigin(names));
  if (access) {
    app.use(...sessions(access));
    app.use('/api', admitted(access));
  }
}

/** How large a body may be, and where it is read. */
function readBodies(app: Express): void {
  app.use('/api/shelf/file', express.raw({ type: 'text/csv', limit: LARGEST_SHEET }));
  app.use('/api/trials', ...bytes(LARGEST_TRIAL));
  app.use(['/api/plans', '/api/diary', '/api/shelf'], ...bytes(LARGEST));
  app.use(express.json({ limit: SMALL }));
}

function serveApi(app: Express, parts: AppParts): void {
  const { data, dataFolder, plans, reader, backups } = parts;
  app.use(compression());
  app.use('/api', (_request, response, next) => {
    response.set('Cache-Control', 'no-store');
    next();
  });
  app.use('/api/health', healthRoutes(data, dataFolder, backups));
  app.use('/api/access', accessRoutes(parts.access, parts.guessesSlowerBy));
  app.use('/api/data', dataRoutes(data, dataFolder, backups));
  app.use(
    '/api/archive',
    archiveRoutes(data, reader, () => plans.onChange()),
  );
  app.use('/api/plans', planRoutes(plans, reader));
  app.use('/api/shelf', shelfRoutes(parts.shelf, reader));
  app.use('/api/trials', trialRoutes(parts.trials, reader));
  app.use('/api/diary', diaryRoutes(parts.diaries, reader));
  app.use('/api/rig', rigRoutes(parts.rigPort, parts.rigLineOfLife));
  app.use('/api', nowhere);
}

const nowhere = (): never => {
  throw new HttpProblem(404, 'There is nothing at this address');
};

/** The worker alone may run the solver, which is WebAssembly; pages may not, and nothing may make script of text. */
const WORKER = /[\\/]core\.worker-[\w-]+\.js$/;
const WORKER_POLICY = "default-src 'self'; script-src 'self' 'wasm-unsafe-eval'";

function serveWeb(app: Express, folder: string): void {
  const setHeaders = (response: Response, path: string): void => {
    if (WORKER.test(path)) response.setHeader('Content-Security-Policy', WORKER_POLICY);
  };
  app.use('/assets', express.static(join(folder, 'assets'), { immutable: true, maxAge: '1y', setHeaders }));
  app.use(express.static(folder, { index: false, maxAge: 0 }));
  // Every other address is a view of the one page.
  app.use((request, response, next) => {
    if (request.method !== 'GET' || request.path.startsWith('/assets/')) return next();
    response.set('Cache-Control', 'no-cache').sendFile(join(folder, 'index.html'));
  });
}
