import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import ts from 'typescript';
import { afterAll, describe, expect, it } from 'vitest';
import { cardsCommand } from '../src/cards.js';

/** Setup cards from a shell: data, and constants that three languages take. */
const FILE = 'contract/demo/heron.json';
const folder = mkdtempSync(join(tmpdir(), 'rough-gear-cards-'));
afterAll(() => rmSync(folder, { recursive: true }));

function run(...args: readonly string[]): { status: number; out: string; err: string } {
  let [out, err] = ['', ''];
  const status = cardsCommand(args, {
    read: (path) => readFileSync(path, 'utf8'),
    out: (text) => (out += text),
    err: (text) => (err += text),
  });
  return { status, out, err };
}

describe('npm run cards', () => {
  it('prints the cards as JSON: SI, and as they are read', () => {
    const { status, out } = run(FILE);
    const { cards } = JSON.parse(out) as {
      cards: { of: string; lines: { key: string; value: unknown; shown: string }[] }[];
    };
    const lift = cards.find(({ of }) => of === 'Mast lift')!;
    expect(status).toBe(0);
    expect(lift.lines.find(({ key }) => key === 'packSideLimit')).toMatchObject({ value: 40, shown: '40 A' });
    expect(lift.lines.find(({ key }) => key === 'perMotorTurn')!.shown).toMatch(/mm$/);
  });

  it('as TypeScript that the compiler takes', () => {
    const { out } = run(FILE, 'ts');
    const { diagnostics } = ts.transpileModule(out, { reportDiagnostics: true });
    expect(diagnostics).toEqual([]);
    expect(out).toContain('export const MAST_LIFT = {');
    expect(out).toMatch(/PACK_SIDE_LIMIT: 40, \/\/ 40 A/);
  });

  it('as Python that Python parses', () => {
    const { out } = run(FILE, 'py');
    execFileSync('python3', ['-c', 'import ast, sys; ast.parse(sys.stdin.read())'], { input: out });
    expect(out).toContain('class MAST_LIFT:');
  });

  it('as C++ that a compiler takes', () => {
    const file = join(folder, 'cards.hpp');
    const source = join(folder, 'main.cpp');
    writeFileSync(file, run(FILE, 'cpp').out);
    writeFileSync(source, '#include "cards.hpp"\nstatic_assert(MAST_LIFT::PACK_SIDE_LIMIT == 40);\n');
    execFileSync('g++', ['-std=c++17', '-fsyntax-only', source]);
  });

  it('says what is wrong', () => {
    expect(run(FILE, 'basic')).toMatchObject({ status: 2, err: expect.stringContaining('usage') as string });
    expect(run('gone.json').status).toBe(2);
    expect(run('package.json').status).toBe(2);
  });
});
