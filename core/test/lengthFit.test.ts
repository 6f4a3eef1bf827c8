import { describe, expect, it } from 'vitest';
import {
  lengthFit,
  lengthsBetween,
  resolveDcPath,
  wholeLengths,
  type BeltParts,
  type ChainParts,
} from '../src/index.js';
import { mechanismOf, plainPlan, said } from './demo.js';

const heron = plainPlan('heron');
const partsOf = (id: string, index: number) =>
  resolveDcPath(heron, mechanismOf(heron, id), mechanismOf(heron, id).jobs[0]!.id).stageParts[index]!;
const chain = partsOf('lift', 1) as ChainParts;
const belt = partsOf('thrower', 0) as BeltParts;

describe('a chain on its shafts', () => {
  it('that lies taut fits, with what its wear will ask for', () => {
    const fit = lengthFit(chain);
    expect(fit).toMatchObject({ fits: true });
    expect(Math.abs(fit.slack)).toBeLessThan(1e-9);
    expect(said(fit.sentence)).toMatch(/^94 links, taut at 191\.27 mm\. Leave 3\.0\d mm to move for its wear\.$/);
  });

  it('with an odd count says what an offset link is', () => {
    expect(said(lengthFit({ ...chain, length: 95 }).sentence)).toContain('an offset link, the weakest of the chain');
  });

  it('cannot be closed where the shafts are too far apart, whatever takes up its slack', () => {
    for (const takeUp of ['fixed', 'slide', 'tensioner'] as const) {
      const fit = lengthFit({ ...chain, takeUp, centre: chain.tautCentre + 0.004 });
      expect(fit.fits).toBe(false);
      expect(said(fit.sentence)).toContain(
        '94 links cannot be closed: taut it wants 191.27 mm, the shafts are 4 mm further apart.',
      );
    }
  });

  it('hangs on shafts too near, which a tensioner takes up and fixed shafts do not', () => {
    const near = { ...chain, centre: chain.tautCentre - 0.012 };
    expect(lengthFit({ ...near, takeUp: 'tensioner' }).fits).toBe(true);
    const fixed = lengthFit({ ...near, takeUp: 'fixed' });
    expect(fixed.fits).toBe(false);
    expect(said(fixed.sentence)).toContain('hangs slack on fixed shafts');
    expect(fixed.sag).toBeGreaterThan(0.01);
  });

  it('a little slack on fixed shafts is as it should be', () => {
    expect(lengthFit({ ...chain, takeUp: 'fixed', centre: chain.tautCentre - 0.0002 }).fits).toBe(true);
  });

  it('too short to go round, or on wheels that would touch, says so', () => {
    expect(said(lengthFit({ ...chain, reaches: false }).sentence)).toMatch(
      /cannot go round both wheels: it is too short/,
    );
    const touching = chain.driverRadius + chain.drivenRadius - 0.001;
    expect(said(lengthFit({ ...chain, centre: touching, tautCentre: touching }).sentence)).toMatch(
      /run into each other/,
    );
  });
});

describe('a belt on its shafts', () => {
  it('is named by its teeth, and needs no wear', () => {
    const fit = lengthFit(belt);
    expect(fit).toMatchObject({ fits: true, takeUp: 0 });
    expect(said(fit.sentence)).toBe('The belt of 75 teeth, taut at 112.09 mm.');
  });

  it('half a millimetre slack on fixed shafts jumps', () => {
    expect(lengthFit({ ...belt, takeUp: 'fixed', centre: belt.tautCentre - 0.0005 }).fits).toBe(false);
    expect(lengthFit({ ...belt, takeUp: 'fixed', centre: belt.tautCentre - 0.0003 }).fits).toBe(true);
    expect(lengthFit({ ...belt, takeUp: 'slide', centre: belt.tautCentre - 0.0005 }).fits).toBe(true);
  });
});

describe('whole lengths', () => {
  it('of gears and gearboxes there are none', () => {
    expect(wholeLengths(partsOf('lift', 0), 0.1, [])).toEqual([]);
    expect(wholeLengths(partsOf('climb', 0), 0.1, [])).toEqual([]);
    expect(lengthsBetween(partsOf('climb', 0), 0.1, 1, [])).toEqual([]);
  });

  it('of a belt are what is sold, in the order of their length', () => {
    const found = lengthsBetween(belt, 0.08, 0.2, [120, 60, 90, 75, 400]);
    expect(found.map(({ links }) => links)).toEqual([75, 90]);
    expect(wholeLengths(belt, 0.13, [120, 75, 90]).map(({ links }) => links)).toEqual([75, 90]);
    expect(wholeLengths(belt, 0.13, [])).toEqual([]);
  });
});
