// npm run build: everything that is run, where it has changed; names of what to build may follow.
import { build } from './prepare.mjs';

await build(...process.argv.slice(2));
