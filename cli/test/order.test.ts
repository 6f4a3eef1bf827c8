import { readFileSync } from 'node:fs';
import { orderSheet, type Plan } from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { orderCommand } from '../src/order.js';

/** The order sheet from a shell. */
const FILE = 'contract/demo/heron.json';
function run(...args: readonly string[]): { status: number; out: string; err: string } {
  let [out, err] = ['', ''];
  const status = orderCommand(args, {
    read: (path) => readFileSync(path, 'utf8'),
    out: (text) => (out += text),
    err: (text) => (err += text),
  });
  return { status, out, err };
}

describe('npm run order', () => {
  it('prints a line a thing, and the sum', () => {
    const { status, out } = run(FILE);
    const sheet = orderSheet(JSON.parse(readFileSync(FILE, 'utf8')) as Plan);
    const rows = out.trimEnd().split('\r\n');
    expect(status).toBe(0);
    expect(rows).toHaveLength(sheet.lines.length + 2);
    expect(rows[0]).toBe('group,name,wanted,spares,owned,to_buy,unit,price_each,cost,mass_each_kg,for');
    expect(Number(rows.at(-1)!.split(',')[8])).toBeCloseTo(sheet.cost, 2);
    expect(out).toContain('"brushed 12 V, 64 mm can",');
  });

  it('with other spares', () => {
    const motor = (out: string) => out.split('\r\n').find((row) => row.includes('64 mm can'))!;
    expect(motor(run(FILE, '--worn', '1').out)).not.toBe(motor(run(FILE).out));
  });

  it('says what is wrong', () => {
    expect(run('gone.json')).toMatchObject({
      status: 2,
      err: expect.stringContaining('gone.json cannot be read') as string,
    });
    expect(run(FILE, '--spares', 'many').status).toBe(2);
    expect(run(FILE, '--spares', '0')).toMatchObject({ status: 2, err: 'one in so many must be more than 0\n' });
    expect(run('package.json').status).toBe(2);
  });
});
