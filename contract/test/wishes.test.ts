import { WISHES, type MechanismKind } from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { wordsText } from '../src/units/display.js';
import { parseQuantity } from '../src/units/parse.js';

const KINDS = Object.keys(WISHES) as MechanismKind[];

describe('what the dialog asks', () => {
  it.each(KINDS)('%s: every hint reads as what its field takes', (kind) => {
    for (const { dimension, hint, optional } of WISHES[kind].fields) {
      for (const system of ['metric', 'inch'] as const) {
        const said = wordsText(hint, system);
        if (optional && !/^\d/.test(said)) continue;
        const text = said.replace(/, typical$/, '').replace(/ of its weight$/, ' N');
        expect(parseQuantity(text, dimension), `${kind}: ${said}`).toMatchObject({ ok: true });
      }
    }
  });

  it.each(KINDS)('%s: at most five numbers, and three that are needed', (kind) => {
    const { fields } = WISHES[kind];
    expect(fields.length).toBeLessThanOrEqual(5);
    expect(fields.filter(({ optional }) => !optional).length).toBeGreaterThanOrEqual(3);
    expect(new Set(fields.map(({ key }) => key)).size).toBe(fields.length);
  });

  it.each(KINDS)('%s: says what it is, and refuses to guess what is needed', (kind) => {
    const { title, says, name, plan } = WISHES[kind];
    for (const text of [title, says, name]) expect(text.length).toBeGreaterThan(2);
    expect(() => plan({})).toThrow(/is needed/);
  });
});
