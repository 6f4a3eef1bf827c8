// npm start: installs and builds what is missing or has changed, then serves.
import { spawn } from 'node:child_process';
import { build, checkNode, install, root } from './prepare.mjs';

checkNode();
install();
build();
console.log('Starting. The demo robots are made where the database is empty.');
const server = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], { cwd: root, stdio: 'inherit' });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
