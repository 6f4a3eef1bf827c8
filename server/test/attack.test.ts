import { execFileSync } from 'node:child_process';
import { beforeAll, describe, expect, it } from 'vitest';
import { ATTACKS } from '../attack/index.js';
import { root } from '../attack/server.js';

/** What a user runs is what is attacked here: each attack in short; `npm run attack` makes them at their full length. */
beforeAll(() => void execFileSync(process.execPath, ['scripts/build.mjs', 'server'], { cwd: root }));

describe('The server holds against', () => {
  it.each(ATTACKS)('$name', { timeout: 600_000 }, async ({ run }) => {
    const { broken, tried } = await run('short');
    expect(broken).toEqual([]);
    expect(tried).not.toBe('');
  });
});
