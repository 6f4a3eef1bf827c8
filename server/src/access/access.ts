import { randomUUID } from 'node:crypto';
import type { Access } from '@rough-gear/contract';
import cookieSession from 'cookie-session';
import { Router, type Request, type RequestHandler } from 'express';
import { rateLimit, type Options } from 'express-rate-limit';
import { slowDown } from 'express-slow-down';
import Joi from 'joi';
import { oneAtATime } from '../http/oneAtATime.js';
import { HttpProblem } from '../http/problem.js';
import { READS } from '../http/sameOrigin.js';
import { MONTH, type AccessFile, type LiveAccess } from './accessFile.js';
import { LONGEST, matches } from './passphrase.js';

/**
 * After some wrong passphrases from one address each further one is slower, for a quarter of an hour, and only so many wait
 * at once: nobody is locked out behind an address that a whole school shares, and nobody guesses fast.
 */
const QUICK_GUESSES = 5;
const QUARTER = 15 * 60e3;
/** ms */
const SLOWER_BY = 250;
const SLOWEST = 5000;
const WAITING_AT_ONCE = 10;
/** A robot's page that is worked on sends some four requests a second. */
const REQUESTS_A_MINUTE = 1200;

interface Session {
  readonly role?: 'change' | 'look';
  readonly epoch?: number;
  readonly id?: string;
  /** ms since 1970 */
  readonly began?: number;
}

/** So many requests an address in a time, and a plain word to whoever sends more. */
const limited = (
  by: Pick<Options, 'windowMs' | 'limit'> & Partial<Pick<Options, 'skipSuccessfulRequests'>>,
  what: string,
): RequestHandler =>
  rateLimit({
    ...by,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    validate: { xForwardedForHeader: false },
    handler: (_request, _response, next) =>
      next(new HttpProblem(429, what, { detail: 'Wait a while, and try again.' })),
  });

/** What a session may do by what the file says now. */
function roleOf(request: Request, file: AccessFile | undefined): Access {
  const { role, epoch, id, began } = (request.session ?? {}) as Session;
  if (!role || !file?.[role] || epoch !== file.epoch) return 'signed out';
  // A browser forgets its cookie after a month; a copy of it somewhere else does not.
  if (id === undefined || began === undefined || Date.now() - began > MONTH) return 'signed out';
  return file.ended?.some((session) => session.id === id) ? 'signed out' : role;
}

/** What may be asked without signing in: how the service is, and to be let in. */
const FOR_ALL = ['/health', '/access', '/access/sign-in', '/access/sign-out'];

/**
 * Who asks, and how often. For a server that others can reach; the cookie is signed, read by no script, and sent with no
 * request that another site's page makes.
 */
export function sessions(live: LiveAccess): RequestHandler[] {
  const { key } = live.now()!;
  return [
    limited({ windowMs: 60e3, limit: REQUESTS_A_MINUTE }, 'Too many requests from this address'),
    cookieSession({ name: 'rough-gear', keys: [key], maxAge: MONTH, httpOnly: true, sameSite: 'lax' }),
  ];
}

/**
 * Keeps out of everything below where it is mounted whoever may not come in. By the router's own way to match addresses:
 * one that it serves, in whatever letters, is one that is looked at here.
 */
export const admitted =
  (live: LiveAccess): RequestHandler =>
  (request, _response, next) => {
    const role = roleOf(request, live.now());
    if (!FOR_ALL.includes(request.path)) {
      if (role === 'signed out') throw new HttpProblem(401, 'Sign in first');
      if (role === 'look' && !READS.includes(request.method))
        throw new HttpProblem(403, 'You may look here, not change anything', {
          detail: 'Sign in with the other passphrase to change.',
        });
    }
    next();
  };

const body = Joi.object<{ passphrase: string }>({ passphrase: Joi.string().min(1).max(LONGEST).required() });

/** /api/access: what may be done from here, and signing in and out. `live` is absent where nothing is asked. */
export function accessRoutes(live: LiveAccess | undefined, slowerBy = SLOWER_BY): Router {
  const router = Router();
  router.get('/', (request, response) => {
    response.json({ access: live ? roleOf(request, live.now()) : ('open' satisfies Access) });
  });
  if (!live) return router;

  /** One guess is tried at a time: many at once would take all memory. */
  const inTurn = oneAtATime();
  const roleFor = (passphrase: string): Promise<'change' | 'look' | undefined> =>
    inTurn(async () => {
      const { change, look } = live.now() ?? {};
      const [mayChange, mayLook] = [
        change && (await matches(passphrase, change)),
        look && (await matches(passphrase, look)),
      ];
      return mayChange ? 'change' : mayLook ? 'look' : undefined;
    });

  router.post(
    '/sign-in',
    limited(
      { windowMs: SLOWEST, limit: WAITING_AT_ONCE, skipSuccessfulRequests: true },
      'Too many wrong passphrases at once',
    ),
    slowDown({
      windowMs: QUARTER,
      delayAfter: QUICK_GUESSES,
      delayMs: (guesses) => (guesses - QUICK_GUESSES) * slowerBy,
      maxDelayMs: SLOWEST,
      skipSuccessfulRequests: true,
      validate: { xForwardedForHeader: false },
    }),
    async (request, response) => {
      const { error, value } = body.validate(request.body ?? {});
      if (error) throw new HttpProblem(400, 'A passphrase is wanted', { detail: error.message });
      const role = await roleFor((value as { passphrase: string }).passphrase);
      if (!role) throw new HttpProblem(403, 'That is not the passphrase');
      request.session = { role, epoch: live.now()!.epoch, id: randomUUID(), began: Date.now() } satisfies Session;
      response.json({ access: role });
    },
  );

  router.post('/sign-out', (request, response) => {
    const { id, began } = (request.session ?? {}) as Session;
    if (id !== undefined && began !== undefined && roleOf(request, live.now()) !== 'signed out')
      live.end({ id, began });
    request.session = null;
    response.json({ access: 'signed out' satisfies Access });
  });

  router.post('/sign-out-everywhere', (request, response) => {
    live.signEverybodyOut();
    request.session = null;
    response.json({ access: 'signed out' satisfies Access });
  });

  return router;
}
