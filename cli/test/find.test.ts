import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { findCommand } from '../src/find.js';

/** The finder from a shell. */
const FILE = 'contract/demo/limpet.json';
function run(...args: readonly string[]): { status: number; out: string; err: string } {
  let [out, err] = ['', ''];
  const status = findCommand(args, {
    read: (path) => readFileSync(path, 'utf8'),
    out: (text) => (out += text),
    err: (text) => (err += text),
  });
  return { status, out, err };
}
const listed = (...args: readonly string[]) =>
  JSON.parse(run(FILE, ...args).out) as { label: string; kind: string; path: string }[];

describe('npm run find', () => {
  it('lists where words lead, the best first', () => {
    expect(listed('half nut')[0]).toMatchObject({
      label: 'Cut a thread?',
      kind: 'question',
      path: '/robots/-/sled/s2?page=thread',
    });
    expect(listed('half', 'nut')).toEqual(listed('half nut'));
    expect(listed('zeppelin')).toEqual([]);
  });

  it('of the mechanism that is open, as many as asked', () => {
    const shocks = listed('shock factor', '--mechanism', 'winch', '--most', '1');
    expect(shocks).toHaveLength(1);
    expect(shocks[0]!.path).toBe('/robots/-/winch/load?figure=job.shock');
  });

  it('says what is wrong', () => {
    expect(run('gone.json', 'fuse')).toMatchObject({
      status: 2,
      err: expect.stringContaining('gone.json cannot be read') as string,
    });
    expect(run(FILE, 'fuse', '--mechanism', 'wing').err).toContain('“wing” is not among drive, winch, sled, legs');
    expect(run(FILE, 'fuse', '--most', 'all').err).toContain('“all” is no whole number');
    expect(run(FILE).status).toBe(2);
  });
});
