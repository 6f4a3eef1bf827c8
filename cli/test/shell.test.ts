import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';

const root = fileURLToPath(new URL('../../', import.meta.url));

/** The commands as the shell runs them: what they say of their own is tested in this process elsewhere. */
const shell = (command: string, args: readonly string[], input = '') =>
  spawnSync('npm', ['run', '-s', command, '--', ...args], { cwd: root, input, encoding: 'utf8' });

describe('from the shell', () => {
  it('a plan is judged, from a file or standard input, with its status', () => {
    const heron = 'contract/demo/heron.json';
    const { status, stdout } = shell('evaluate', [heron]);
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({ format: 'rough-gear-evaluation', plan: 'Heron' });
    expect(shell('evaluate', ['--strict', '-'], readFileSync(`${root}/${heron}`, 'utf8')).status).toBe(1);
    const refused = shell('evaluate', ['nowhere.json']);
    expect([refused.status, refused.stdout]).toEqual([2, '']);
    expect(refused.stderr).toContain('file: nowhere.json cannot be read');
  });

  it('reference cases are run', () => {
    const { status, stdout } = shell('cases', ['core/cases/motor.json']);
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({ failed: 0 });
    expect(shell('cases', []).status).toBe(2);
  });
});
