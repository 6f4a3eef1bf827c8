// Loaded into a command that is attacked: it is killed after so many changes of files and folders.
import fs from 'node:fs';
import { syncBuiltinESMExports } from 'node:module';

let left = Number(process.env.KILL_AFTER);
for (const name of ['copyFileSync', 'mkdirSync', 'renameSync', 'rmSync', 'writeFileSync', 'fsyncSync']) {
  const original = fs[name];
  fs[name] = (...given) => {
    const result = original(...given);
    if (--left === 0) process.kill(process.pid, 'SIGKILL');
    return result;
  };
}
syncBuiltinESMExports();
