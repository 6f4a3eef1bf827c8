import { describe, expect, it } from 'vitest';
import { choiceAt, jobAt, mechanismAt, mechanismById, supplyAt } from '../src/index.js';
import { demoPlan } from './demo.js';

const heron = demoPlan('heron');

const lift = mechanismById(heron, 'lift');

describe('where things are kept in a plan', () => {
  it('is told by their ids, whichever copy of them is in hand', () => {
    expect(mechanismAt(heron, 'lift')).toEqual(['mechanisms', heron.mechanisms.indexOf(lift)]);
    // A copy is no less the same mechanism: a place by sameness would be -1 here, and the change lost.
    expect(choiceAt(heron, { ...lift, name: 'copied' })).toEqual([...mechanismAt(heron, 'lift'), 'choices', 0]);
    expect(jobAt(heron, lift, 'raise')).toEqual([...mechanismAt(heron, 'lift'), 'jobs', 0]);
    expect(supplyAt(heron, heron.supply[1]!.id)).toEqual(['supply', 1]);
  });

  it('is refused for an id that nothing has', () => {
    expect(() => mechanismById(heron, 'sail')).toThrow('the plan has no mechanism sail');
    expect(() => mechanismAt(heron, 'sail')).toThrow('mechanism sail');
    expect(() => choiceAt(heron, { ...lift, current: 'z' })).toThrow('choice z');
    expect(() => jobAt(heron, lift, 'sink')).toThrow('job sink');
    expect(() => supplyAt(heron, 'mains')).toThrow('supply mains');
  });
});
