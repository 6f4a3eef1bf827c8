// npm run evaluate, cases, schema, bench: builds the commands where they have changed, then runs one in this process.
import { build } from './prepare.mjs';

const [name, ...args] = process.argv.slice(2);
// What is measured is what is served: the bench wants it built too.
await build(...(name === 'bench' ? [] : ['cli']));
process.argv = [process.argv[0], name, ...args];
await import(`../cli/dist/${name}.mjs`);
