import { mkdtempSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { figuresPage } from '../src/report/figuresPage.js';
import { readCases, runCase } from '../src/cases/run.js';
import { casesCommand } from '../src/cases.js';
import { evaluateCommand } from '../src/evaluate.js';
import { sheetCommand } from '../src/sheet.js';

const root = fileURLToPath(new URL('../../', import.meta.url));
const folder = mkdtempSync(join(tmpdir(), 'rough-gear-cli-'));
const heron = join(root, 'contract/demo/heron.json');

const COMMANDS = { cases: casesCommand, evaluate: evaluateCommand, sheet: sheetCommand };

/** A command in this process, with a terminal that only remembers. */
function run(name: keyof typeof COMMANDS, args: readonly string[], input = '') {
  let [stdout, stderr] = ['', ''];
  const status = COMMANDS[name](args, {
    read: (path) => (path === '-' ? input : readFileSync(path, 'utf8')),
    out: (text) => (stdout += text),
    err: (text) => (stderr += text),
  });
  return { status, stdout, stderr };
}

const temporary = (name: string, content: unknown): string => {
  const path = join(folder, name);
  writeFileSync(path, typeof content === 'string' ? content : JSON.stringify(content));
  return path;
};

describe('reference cases', () => {
  const files = readdirSync(join(root, 'core/cases')).map((name) => join(root, 'core/cases', name));
  const cases = files.flatMap((path) => readCases(readFileSync(path, 'utf8')));

  it('are of every kind there is', () => {
    expect(new Set(cases.map(({ kind }) => kind)).size).toBe(34);
  });

  it.each(cases.map((one) => [one.id, one] as const))('%s is met by the core', (_id, one) => {
    const result = runCase(one);
    expect(result.reason).toBeUndefined();
    expect(result.pass).toBe(true);
    expect(Object.keys(result.got).sort()).toEqual(Object.keys(one.expect).sort());
  });
});

describe('npm run cases', () => {
  const passing = {
    id: 'a',
    kind: 'wire',
    given: { gauge: 12, lengthOneWay: 1, temperature: 20 },
    expect: { diameter: { value: 0.0020525254, relTol: 1e-5 } },
  };

  it('exits 0 when all pass', () => {
    const { status, stdout } = run('cases', [temporary('good.json', { cases: [passing] })]);
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({ passed: 1, failed: 0, cases: [{ id: 'a', kind: 'wire', pass: true }] });
  });

  it('exits 1 when one is off, naming what', () => {
    const { status, stdout } = run('cases', [
      temporary('off.json', { cases: [{ ...passing, expect: { diameter: { value: 0.003 } } }] }),
    ]);
    expect(status).toBe(1);
    expect(JSON.parse(stdout)).toMatchObject({ failed: 1, cases: [{ pass: false, reason: 'off: diameter' }] });
  });

  it('fails an unknown kind with the reason, and a name the core does not give', () => {
    const unknown = { ...passing, kind: 'teleport' };
    const nameless = { ...passing, expect: { colour: { value: 'blue' } } };
    const { status, stdout } = run('cases', [temporary('unknown.json', { cases: [unknown, nameless] })]);
    expect(status).toBe(1);
    expect(JSON.parse(stdout)).toMatchObject({
      cases: [{ reason: 'unknown kind teleport' }, { reason: 'off: colour' }],
    });
  });

  it('exits 2 for a file of another shape, with the reason', () => {
    for (const [content, reason] of [
      ['{', /JSON/],
      [{ cases: 5 }, /not a list/],
      [{ cases: [{ id: 'a' }] }, /"id" and "kind"/],
      [{ cases: [{ ...passing, expect: { x: 1 } }] }, /has no "value"/],
    ] as const) {
      const { status, stderr } = run('cases', [temporary('bad.json', content)]);
      expect(status).toBe(2);
      expect(stderr).toMatch(reason);
    }
    expect(run('cases', []).status).toBe(2);
  });
});

describe('npm run evaluate', () => {
  it('prints mechanisms, ladders, verdicts and numbers with units', () => {
    const { status, stdout } = run('evaluate', [heron]);
    const report = JSON.parse(stdout) as {
      mechanisms: {
        id: string;
        headline: { verdict: string };
        jobs: {
          situations: { working: { rungs: { id: string; mends?: { label: string }[] }[] } };
          run?: { time: { value: number; unit: string } };
        }[];
      }[];
    };
    expect(status).toBe(0);
    expect(report.mechanisms.map(({ headline }) => headline.verdict)).toEqual([
      'enough',
      'tight',
      'gives way',
      'not known',
      'tight',
      'enough',
      'enough',
      'enough',
      'tight',
      'enough',
    ]);
    const lift = report.mechanisms[1]!.jobs[0]!;
    expect(lift.run!.time.unit).toBe('s');
    expect(lift.run!.time.value).toBeCloseTo(1.509, 2);
    const supply = lift.situations.working.rungs.find(({ id }) => id === 'supply')!;
    expect(supply.mends!.map(({ label }) => label)).toContain('One more motor');
    expect(stdout).not.toMatch(/NaN|"samples"/);
  });

  it('prints every kind of load with numbers that are some', () => {
    for (const name of ['heron', 'limpet']) {
      const { stdout } = run('evaluate', [join(root, `contract/demo/${name}.json`)]);
      const { mechanisms } = JSON.parse(stdout) as {
        mechanisms: { kind: string; jobs: { checks: { id: string; sentence: string }[] }[] }[];
      };
      expect(mechanisms.length).toBeGreaterThan(2);
      for (const { jobs } of mechanisms) {
        for (const { checks } of jobs) {
          expect(checks.length).toBeGreaterThan(5);
          for (const { sentence } of checks) expect(sentence).not.toMatch(/NaN|undefined|Infinity/);
        }
      }
    }
  });

  it('reads standard input for -', () => {
    expect(run('evaluate', ['-'], readFileSync(heron, 'utf8')).status).toBe(0);
  });

  it('exits 1 with --strict when something gives way, and 0 when nothing does', () => {
    expect(run('evaluate', ['--strict', heron]).status).toBe(1);
    // Limpet's sled gives way because its pin cannot drive the input: with a transistor nothing does.
    const limpet = readFileSync(join(root, 'contract/demo/limpet.json'), 'utf8');
    expect(run('evaluate', ['--strict', '-'], limpet).status).toBe(1);
    const mended = limpet.replace('"signalStage": "none"', '"signalStage": "transistor"');
    expect(run('evaluate', ['--strict', '-'], mended).status).toBe(0);
  });

  it('exits 2 for a bad file, with field and reason', () => {
    const { status, stderr, stdout } = run(
      'evaluate',
      ['-'],
      readFileSync(heron, 'utf8').replace(/("mass": \{\s*"si": )20,/, '$1-20,'),
    );
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(stderr).toMatch(/mechanisms\[1\]\.jobs\[0\]\.mass\.si: must be greater than 0 \(is -20\)/);
    expect(run('evaluate', ['nowhere.json']).stderr).toContain('file: nowhere.json cannot be read');
    expect(run('evaluate', [])).toMatchObject({ status: 2, stderr: expect.stringContaining('file') as string });
    expect(run('evaluate', ['--help'])).toMatchObject({
      status: 0,
      stdout: expect.stringContaining('--strict') as string,
    });
  });
});

describe('the page of figures', () => {
  it('is the one that the table makes', () => {
    expect(readFileSync(join(root, 'docs/figures.md'), 'utf8')).toBe(figuresPage());
  });
});

describe('a data sheet', () => {
  it('is printed as figures with the lines they came from, what is in doubt, and what was not read', () => {
    const text = 'Yard motor, brushed\nStall torque: 2.4 N·m\nStall current 130 A\nWeight: 310\nMade for the yard';
    const { status, stdout } = run('sheet', ['motor', '-'], text);
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({
      fields: {
        type: { value: 'brushed', line: 'Yard motor, brushed', at: 1 },
        stallTorque: { si: 2.4, as: '2.4 N·m', line: 'Stall torque: 2.4 N·m', at: 2 },
        stallCurrent: { si: 130, as: '130 A' },
      },
      doubtful: [{ name: 'mass', as: '310', reason: 'no unit stands there', line: 'Weight: 310' }],
      unread: [{ line: 'Made for the yard', at: 5 }],
    });
  });

  it('is refused with a reason where it cannot be read', () => {
    expect(run('sheet', ['motor'])).toMatchObject({ status: 2, stdout: '' });
    expect(run('sheet', ['chain', '-']).stderr).toContain(
      '“chain” is not among motor, servo, stepper, controller, pack',
    );
    expect(run('sheet', ['pack', 'nowhere.txt']).stderr).toContain('nowhere.txt cannot be read');
  });
});
