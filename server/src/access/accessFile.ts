import { randomBytes } from 'node:crypto';
import { readFileSync, renameSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Joi from 'joi';
import { flush } from '../backup/file.js';
import { StartProblem } from '../db/startProblem.js';
import type { Hash } from './passphrase.js';

/** Who may do what with which passphrase. No backup and no archive holds it. */
export interface AccessFile {
  /** Signs cookies. */
  readonly key: string;
  /** Raised to sign everybody out. */
  readonly epoch: number;
  /** May change; nobody can sign in where there is none. */
  readonly change?: Hash;
  /** May look only. */
  readonly look?: Hash;
  /** Sessions that were signed out of, until they would have ended by themselves: their cookies may lie somewhere still. */
  readonly ended?: readonly EndedSession[];
}

export interface EndedSession {
  readonly id: string;
  /** When it began, ms since 1970. */
  readonly began: number;
}

/** A session ends by itself after so long, ms. */
export const MONTH = 30 * 24 * 3600e3;

const hash = Joi.object<Hash>({
  salt: Joi.string().base64().required(),
  hash: Joi.string().base64().required(),
  cost: Joi.number().integer().min(1024).required(),
});
const schema = Joi.object<AccessFile>({
  key: Joi.string().min(32).required(),
  epoch: Joi.number().integer().min(1).required(),
  change: hash,
  look: hash,
  ended: Joi.array().items(Joi.object<EndedSession>({ id: Joi.string().required(), began: Joi.number().required() })),
});

export const accessPath = (dataFolder: string): string => join(dataFolder, 'access.json');

/** Throws one line where the file is there and cannot be understood: better no entry than a wrong one. */
export function readAccess(dataFolder: string): AccessFile | undefined {
  const path = accessPath(dataFolder);
  let text: string;
  try {
    text = readFileSync(path, 'utf8');
  } catch (problem) {
    if ((problem as { code?: string }).code === 'ENOENT') return undefined;
    throw new StartProblem(`${path} cannot be read: ${(problem as Error).message}`);
  }
  try {
    return Joi.attempt(JSON.parse(text), schema) as AccessFile;
  } catch {
    throw new StartProblem(`${path} is damaged: delete it, and set a passphrase again with npm run passphrase.`);
  }
}

/** Readable by nobody but this program's user; whole or not at all. */
export function writeAccess(dataFolder: string, file: AccessFile): void {
  const path = accessPath(dataFolder);
  writeFileSync(`${path}.coming`, JSON.stringify(file, undefined, 2), { mode: 0o600, flush: true });
  renameSync(`${path}.coming`, path);
  flush(dataFolder);
}

/** The same with everybody signed out. */
export const signedOut = (file: AccessFile): AccessFile => ({ ...file, epoch: file.epoch + 1, ended: [] });

export const newAccess = (): AccessFile => ({ key: randomBytes(32).toString('base64'), epoch: 1 });

/** What the file says now: a passphrase that is set while the server runs counts at once. */
export class LiveAccess {
  private seen = '';
  private file: AccessFile | undefined;

  constructor(private readonly dataFolder: string) {}

  now(): AccessFile | undefined {
    const stamp = this.stamp();
    if (stamp !== this.seen) {
      this.file = stamp === '' ? undefined : readAccess(this.dataFolder);
      this.seen = stamp;
    }
    return this.file;
  }

  /** Ends one session on this side, wherever its cookie is. */
  end(session: EndedSession, now: number = Date.now()): void {
    const file = this.now();
    if (!file) return;
    const ended = [...(file.ended ?? []), session].filter(({ began }) => now - began < MONTH);
    writeAccess(this.dataFolder, { ...file, ended });
  }

  signEverybodyOut(): void {
    const file = this.now();
    if (file) writeAccess(this.dataFolder, signedOut(file));
  }

  private stamp(): string {
    try {
      const { mtimeMs, size, ino } = statSync(accessPath(this.dataFolder));
      return `${mtimeMs} ${size} ${ino}`;
    } catch {
      return '';
    }
  }
}
