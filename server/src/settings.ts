import { resolve } from 'node:path';
import Joi from 'joi';
import { isLoopback } from './http/names.js';
import { StartProblem } from './db/startProblem.js';

/** Everything the environment decides. See docs/settings.md. */
export interface Settings {
  readonly port: number;
  readonly host: string;
  /** Port of this machine at which a rig gives its lines. */
  readonly rigPort: number;
  /** Folder of the database. */
  readonly dataFolder: string;
  readonly logLevel: string;
  /** Names it answers to, beside its own address. */
  readonly hosts: readonly string[];
  /** Addresses of proxies in front whose word on who asks is taken. */
  readonly proxies: readonly string[];
}

const LOG_LEVELS = ['fatal', 'error', 'warn', 'info', 'debug', 'trace', 'silent'];

/** Several, with commas between. */
const list = (item: Joi.Schema) =>
  Joi.string()
    .allow('')
    .default('')
    .custom((text: string, helpers) => {
      const items = listed(text);
      const wrong = items.find((one) => item.validate(one).error);
      return wrong === undefined ? text : helpers.error('any.invalid');
    });

const listed = (text: string): readonly string[] =>
  text
    .split(',')
    .map((one) => one.trim())
    .filter((one) => one !== '');

const schema = Joi.object({
  PORT: Joi.number().integer().min(0).max(65535).default(4173),
  ROUGH_GEAR_RIG: Joi.number().integer().min(1).max(65535).default(4170),
  HOST: Joi.string().hostname().default('127.0.0.1'),
  ROUGH_GEAR_DATA: Joi.string().min(1).default('data'),
  ROUGH_GEAR_LOG: Joi.string()
    .valid(...LOG_LEVELS)
    .default('info'),
  ROUGH_GEAR_HOSTS: list(Joi.string().hostname()),
  ROUGH_GEAR_PROXY: list(Joi.alternatives(Joi.string().valid('loopback'), Joi.string().ip())),
}).unknown();

/** Reads the settings. Throws one clear line that names the variable, its value and what is allowed. */
export function readSettings(environment: Readonly<Record<string, string | undefined>>, root: string): Settings {
  const { error, value } = schema.validate(environment, { errors: { wrap: { label: false } } });
  if (error) {
    const name = error.details[0]?.path[0] ?? 'setting';
    throw new StartProblem(`${error.message} (is "${String(environment[String(name)])}")`);
  }
  const read = value as Record<'HOST' | `ROUGH_GEAR_${'DATA' | 'LOG' | 'HOSTS' | 'PROXY'}`, string> & {
    PORT: number;
    ROUGH_GEAR_RIG: number;
  };
  return {
    port: read.PORT,
    host: read.HOST,
    rigPort: read.ROUGH_GEAR_RIG,
    dataFolder: resolve(root, read.ROUGH_GEAR_DATA),
    logLevel: read.ROUGH_GEAR_LOG,
    hosts: listed(read.ROUGH_GEAR_HOSTS),
    proxies: listed(read.ROUGH_GEAR_PROXY),
  };
}

/** Whether others than this machine can reach it: by its address, or through a proxy or under a name that others know. */
export const reachable = ({ host, hosts, proxies }: Settings): boolean =>
  !isLoopback(host) || proxies.length > 0 || hosts.some((name) => !isLoopback(name));
