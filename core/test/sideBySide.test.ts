import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  besideChanges,
  choiceDifferences,
  choiceWords,
  currentChoice,
  evaluateMechanism,
  readyComparisons,
  readyMade,
  type Plan,
  type Shelved,
} from '../src/index.js';
import { readPlan } from '../../contract/src/plan/read.js';
import { demoPlan, mechanismOf, through, withChange } from './demo.js';

const heron = demoPlan('heron');
const shelf = (
  JSON.parse(readFileSync(new URL('../../contract/demo/shelf.json', import.meta.url), 'utf8')) as { parts: Shelved[] }
).parts;
const liftAt = ['mechanisms', heron.mechanisms.findIndex(({ id }) => id === 'lift')];
const more = besideChanges(heron, 'lift', [{ at: [...liftAt, 'choices', 0, 'drive', 'motors'], to: 4 }], 'four motors');
const both = applyChanges(heron, more);

describe('A choice beside another', () => {
  it('leaves the first as it is, and in force', () => {
    const { choices, current } = mechanismOf(both, 'lift');
    expect(choices[0]).toEqual(mechanismOf(heron, 'lift').choices[0]);
    expect(current).toBe(choices[0]!.id);
    expect(choices[1]).toMatchObject({ name: 'four motors', drive: { motors: 4 } });
    expect(readPlan(both)).toMatchObject({ ok: true });
  });

  it('differs in what was changed, and only that is shown', () => {
    const rows = choiceDifferences(both, mechanismOf(both, 'lift'), 'raise');
    expect(rows).toEqual([
      { key: 'motors', label: 'how many', values: [1, 4].map((_, i) => (i === 0 ? countBefore : 4)) },
    ]);
  });

  it('shows figures by name and dimension, and what only one has', () => {
    const radius = withChange(both, [...liftAt, 'choices', 1, 'output', 'radius'], {
      si: 0.03,
      as: '30 mm',
      source: 'typed',
    });
    const rows = choiceDifferences(radius, mechanismOf(radius, 'lift'), 'raise');
    expect(rows.map(({ key }) => key)).toEqual(['motors', 'output.drumRadius']);
    expect(rows[1]).toMatchObject({ dimension: 'length' });
    expect(rows[1]!.values[1]).toBe(0.03);
    const grip = mechanismOf(heron, 'grip');
    expect(choiceDifferences(heron, grip, grip.jobs[0]!.id).length === 0).toBe(grip.choices.length === 1);
  });

  it('is said in words by what it is made of', () => {
    const mechanism = mechanismOf(both, 'lift');
    const [one, four] = mechanism.choices.map((choice) => choiceWords(both, mechanism, choice));
    expect(one).toBe('brushed 12 V, 64 mm can, brushed controller 40 A, 9:1 by gears, chain');
    expect(four).toBe(`4 × ${one}`);
  });

  it('of one choice there is no difference', () => {
    const one: Plan = { ...both, mechanisms: both.mechanisms.map((m) => ({ ...m, choices: [currentChoice(m)] })) };
    for (const mechanism of one.mechanisms)
      expect(choiceDifferences(one, mechanism, mechanism.jobs[0]!.id)).toEqual([]);
  });
});

const first = mechanismOf(heron, 'lift').choices[0]!.drive;
const countBefore = first.kind === 'dc' ? first.motors : 0;

describe('Ready comparisons', () => {
  it.each([
    ['lift', 'raise', ['count', 'type', 'winding']],
    ['turntable', 'turn', ['step']],
    ['grip', 'hold', []],
  ] as const)('of the %s are questions that make sense there', (id, jobId, ids) => {
    const made = readyComparisons(heron, id, jobId);
    for (const wanted of ids) expect(made.map((one) => one.id)).toContain(wanted);
    for (const { id: question, asks } of made) {
      expect(asks).toMatch(/\?$/);
      const changes = through(readyMade(heron, id, jobId, shelf, question))!;
      expect(changes, asks).toBeDefined();
      const plan = applyChanges(heron, changes);
      const read = readPlan(plan);
      expect(read.ok ? [] : read.problems).toEqual([]);
      const mechanism = mechanismOf(plan, id);
      expect(mechanism.choices.length).toBe(mechanismOf(heron, id).choices.length + 1);
      expect(mechanism.current).toBe(mechanismOf(heron, id).current);
      expect(evaluateMechanism(plan, mechanism).jobs.length).toBe(mechanism.jobs.length);
    }
  });

  it('ask about chain or belt where there is one of the two', () => {
    const withRun = heron.mechanisms.filter((mechanism) =>
      currentChoice(mechanism).stages.some(({ kind }) => kind === 'chain' || kind === 'belt'),
    );
    expect(withRun.length).toBeGreaterThan(0);
    for (const mechanism of withRun) {
      if (mechanism.choices.length >= 4) continue;
      const found = readyComparisons(heron, mechanism.id, mechanism.jobs[0]!.id).find(
        ({ id }) => id === 'chain-or-belt',
      );
      expect(found, mechanism.id).toBeDefined();
    }
  });

  it('are none once four are kept', () => {
    let plan = heron;
    while (mechanismOf(plan, 'lift').choices.length < 4)
      plan = applyChanges(plan, besideChanges(plan, 'lift', [], 'more'));
    expect(readyComparisons(plan, 'lift', 'raise')).toEqual([]);
  });
});
