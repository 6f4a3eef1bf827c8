import { BENCH } from './bench.js';
import { CHOOSING } from './choosing.js';
import { MATCH } from './match.js';
import type { Mutant } from './mutant.js';
import { SERVER } from './server.js';
import { VERDICT } from './verdict.js';
import { WEB } from './web.js';
import { WORKSHOP } from './workshop.js';

export const MUTANTS: readonly Mutant[] = [...VERDICT, ...MATCH, ...BENCH, ...WORKSHOP, ...WEB, ...SERVER, ...CHOOSING];
