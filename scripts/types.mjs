// npm run types: every workspace, as many at a time as there are cores.
import { Steps, TYPES } from './steps.mjs';

const steps = new Steps();
await steps.together(...TYPES.map(([step]) => step));
process.exit(steps.failed.length > 0 ? 1 : 0);
