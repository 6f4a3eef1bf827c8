// npm start: installs and builds what is missing or has changed, then serves.
import { build, checkNode, install } from './prepare.mjs';

checkNode();
install();
await build('web', 'server');
await import('../server/dist/main.mjs');
