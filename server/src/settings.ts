import { resolve } from 'node:path';
import Joi from 'joi';
import { StartProblem } from './db/startProblem.js';

/** Everything the environment decides. See docs/settings.md. */
export interface Settings {
  readonly port: number;
  readonly host: string;
  /** Folder of the database. */
  readonly dataFolder: string;
  readonly logLevel: string;
}

const LOG_LEVELS = ['fatal', 'error', 'warn', 'info', 'debug', 'trace', 'silent'];

const schema = Joi.object({
  PORT: Joi.number().integer().min(0).max(65535).default(4173),
  HOST: Joi.string().hostname().default('127.0.0.1'),
  ROUGH_GEAR_DATA: Joi.string().min(1).default('data'),
  ROUGH_GEAR_LOG: Joi.string()
    .valid(...LOG_LEVELS)
    .default('info'),
}).unknown();

/** Reads the settings. Throws one clear line that names the variable, its value and what is allowed. */
export function readSettings(environment: Readonly<Record<string, string | undefined>>, root: string): Settings {
  const { error, value } = schema.validate(environment, { errors: { wrap: { label: false } } });
  if (error) {
    const name = error.details[0]?.path[0] ?? 'setting';
    throw new StartProblem(`${error.message} (is "${String(environment[String(name)])}")`);
  }
  const read = value as { PORT: number; HOST: string; ROUGH_GEAR_DATA: string; ROUGH_GEAR_LOG: string };
  return {
    port: read.PORT,
    host: read.HOST,
    dataFolder: resolve(root, read.ROUGH_GEAR_DATA),
    logLevel: read.ROUGH_GEAR_LOG,
  };
}
