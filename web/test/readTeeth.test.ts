import { describe, expect, it } from 'vitest';
import { readTeeth } from '../src/views/mechanism/panels/readTeeth.js';

describe('teeth as typed', () => {
  it.each(['18 → 48', '18->48', '18 48', '18/48', ' 18 => 48 '])('%j: 18 drive 48', (text) => {
    expect(readTeeth(text)).toEqual({ ok: true, driver: 18, driven: 48, colon: false });
  });

  it('takes a colon as a ratio does, and says that it was one', () => {
    expect(readTeeth('35:12')).toEqual({ ok: true, driver: 12, driven: 35, colon: true });
  });

  it.each([
    ['18', /not understood/],
    ['18 to', /for example 18 → 48/],
    ['18 → 4.5', /not understood/],
    ['3 → 48', /3 teeth are not allowed: 6 to 400/],
    ['18 → 900', /900 teeth are not allowed/],
  ])('refuses %j', (text, reason) => {
    expect(readTeeth(text)).toEqual({ ok: false, reason: expect.stringMatching(reason) as string });
  });
});
