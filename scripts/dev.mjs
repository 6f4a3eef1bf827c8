// npm run dev: server and Vite together, both reloading.
import { spawn } from 'node:child_process';
import { checkNode, install } from './prepare.mjs';
import { root } from './root.mjs';

checkNode();
install();
const child = spawn(
  'npx',
  ['concurrently', '--kill-others', '--names', 'server,web', 'tsx watch server/src/main.ts', 'cd web && vite'],
  { cwd: root, stdio: 'inherit' },
);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
child.on('exit', (code) => process.exit(code ?? 0));
