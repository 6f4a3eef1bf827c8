import { spawnSync } from 'node:child_process';
import { expect, it } from 'vitest';
import { root } from '../attack/server.js';

it.each([
  ['PORT', 'many', 'PORT must be a number (is "many")'],
  [
    'HOST',
    '0.0.0.0',
    'Others could reach this server by HOST, ROUGH_GEAR_HOSTS or ROUGH_GEAR_PROXY, and no passphrase is set: set one first with npm run passphrase.',
  ],
])('%s=%s stops the start with one line and exit status 2', (name, value, line) => {
  const { status, stderr } = spawnSync(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], {
    cwd: root,
    env: { ...process.env, ROUGH_GEAR_DATA: '/tmp/rough-gear-nowhere', [name]: value },
    encoding: 'utf8',
  });
  expect([status, stderr.trim()]).toEqual([2, line]);
});
