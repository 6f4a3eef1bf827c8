// npm run quick: what tells within a minute whether a change is well. Everything else is npm test's.
import { Steps, RULES, TYPES } from './steps.mjs';

const steps = new Steps();
await steps.together(...TYPES, ...RULES);
await steps.one('fast tests', 'node_modules/.bin/vitest', ['run', '--project', 'fast', '--reporter=dot']);
console.log();
steps.report();
process.exit(steps.failed.length > 0 ? 1 : 0);
