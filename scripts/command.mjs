// npm run evaluate, cases, schema: builds the commands where they have changed, then runs one in this process.
import { build } from './prepare.mjs';

const [name, ...args] = process.argv.slice(2);
await build('cli');
process.argv = [process.argv[0], name, ...args];
await import(`../cli/dist/${name}.mjs`);
