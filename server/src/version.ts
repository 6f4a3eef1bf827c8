import { readFileSync } from 'node:fs';
import { root } from './root.js';

/** The program's version, as its package says. */
export const VERSION = (JSON.parse(readFileSync(new URL('package.json', root), 'utf8')) as { version: string }).version;
