// npm run evaluate, cases, sheet, find, schema, bench, rig, order, cards, backup, restore, passphrase: builds what has changed, then runs it in this process.
import { build } from './prepare.mjs';

const [name, ...args] = process.argv.slice(2);
/** What belongs to the data is the server's; what is measured is what is served: the bench wants everything built. */
const home = ['backup', 'restore', 'passphrase'].includes(name) ? 'server' : 'cli';
await build(...(name === 'bench' ? [] : [home]));
process.argv = [process.argv[0], name, ...args];
await import(`../${home}/dist/${name}.mjs`);
