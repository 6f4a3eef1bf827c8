import { describe, expect, it } from 'vitest';
import {
  fitCoastDown,
  fitPack,
  fitSpun,
  fitStall,
  fitWarmth,
  linearFit,
  meanOf,
  SPUN_METERS,
  stepLadderOf,
  travelApart,
  trialSheet,
  TRIALS,
} from '../src/index.js';

/** What fits say of readings that are few, alike or odd. */

describe('a fit', () => {
  it('by hand: slope, constant, errors', () => {
    // x 0…3, y 1, 3, 5, 8: slope 2.3, constant 0.8; residuals 0.2, −0.1, −0.4, 0.3, s² = 0.3/2.
    const { coefficients, errors, residuals, scatter } = linearFit(
      [0, 1, 2, 3].map((x) => [1, x]),
      [1, 3, 5, 8],
    );
    expect(coefficients[0]).toBeCloseTo(0.8, 9);
    expect(coefficients[1]).toBeCloseTo(2.3, 9);
    expect(residuals.map((one) => Number(one.toFixed(9)))).toEqual([0.2, -0.1, -0.4, 0.3]);
    expect(scatter).toBeCloseTo(Math.sqrt(0.15), 9);
    expect(errors[1]).toBeCloseTo(Math.sqrt(0.15 / 5), 9);
    expect(errors[0]).toBeCloseTo(Math.sqrt(0.15 * (1 / 4 + 1.5 ** 2 / 5)), 9);
  });

  it('with just enough readings says nothing of its errors, and with fewer says so', () => {
    const { restVoltage, resistance } = fitPack([
      { current: 5, voltage: 12.5 },
      { current: 55, voltage: 11.5 },
    ]);
    expect(restVoltage.value).toBeCloseTo(12.6, 9);
    expect(resistance).toEqual({ value: expect.closeTo(0.02, 9) as number, error: Infinity });
    expect(() => fitPack([{ current: 5, voltage: 12.5 }])).toThrow(/1 readings do not tell 2 figures/);
    expect(() =>
      fitPack([
        { current: 5, voltage: 12.5 },
        { current: 5, voltage: 12.4 },
      ]),
    ).toThrow(/too much alike/);
  });

  it('calls nothing odd where readings scatter as readings do, and takes the middle of an even number between two', () => {
    const y = [0.1, 1.05, 1.92, 3.08, 3.95, 5.02, 6.06, 6.91];
    expect(
      linearFit(
        y.map((_, i) => [1, i]),
        y,
      ).odd.some(Boolean),
    ).toBe(false);
    // Of eight residuals the middle lies between the fourth and the fifth: with the fifth alone 34 would pass.
    const scattered = [3, -2, 1, 3, -2, -2, 2, 34];
    expect(
      linearFit(
        scattered.map(() => [1]),
        scattered,
      ).odd.indexOf(true),
    ).toBe(7);
  });

  it('marks the odd reading and keeps it', () => {
    const y = [2, 4.01, 5.99, 8, 14, 12.01, 13.99];
    const { odd, residuals } = linearFit(
      y.map((_, i) => [1, i]),
      y,
    );
    expect(odd.filter(Boolean)).toHaveLength(1);
    expect(odd[4]).toBe(true);
    expect(residuals).toHaveLength(7);
  });

  it('of stalls takes the brushes’ volts apart only where there are readings for it', () => {
    const two = fitStall(1, [
      { voltage: 1, current: 10 },
      { voltage: 2, current: 20 },
    ]);
    expect(two.brushDrop).toBeUndefined();
    expect(two.torqueConstant).toBeUndefined();
    const three = fitStall(
      1,
      [10, 20, 30].map((current) => ({ current, voltage: 0.5 + 0.1 * current })),
    );
    expect(three.brushDrop!.value).toBeCloseTo(0.5, 9);
    // What turns it free pulls nothing: 0.02 N·m for each ampere beyond the first.
    const pulled = fitStall(
      1,
      [10, 20, 30].map((current) => ({ current, voltage: 0.1 * current, torque: 0.02 * (current - 1) })),
    );
    expect(pulled.torqueConstant!.value).toBeCloseTo(0.02, 12);
  });

  it('of a spun motor reads peak volts, by what the meter shows of them', () => {
    const speeds = [100, 200, 300];
    const shown = { direct: 1, peak: 1, 'r.m.s.': Math.SQRT1_2, 'behind a bridge': 1 } as const;
    for (const meter of SPUN_METERS) {
      // Two diodes keep 1.4 V of what is there.
      const less = meter === 'behind a bridge' ? 1.4 : 0;
      const readings = speeds.map((speed) => ({ speed, voltage: 0.02 * speed * shown[meter] - less }));
      expect(fitSpun(meter, readings).backEmfConstant.value, meter).toBeCloseTo(0.02, 12);
    }
  });

  it('of a coast-down needs time to pass, of warmth something that warms', () => {
    expect(() => fitCoastDown(0.01, [{ time: 0, speed: 100 }])).toThrow(/over some time/);
    expect(() => fitWarmth(20, 0, [{ time: 10, temperature: 25 }])).toThrow(/nothing warms/);
  });
});

describe('ladders, means and contradictions', () => {
  it('a rate lost under one that was kept is named', () => {
    const ladder = stepLadderOf([
      { rate: 100, kept: true },
      { rate: 200, kept: false },
      { rate: 400, kept: true },
      { rate: 800, kept: false },
    ]);
    expect(ladder).toEqual({ kept: 100, lost: 200, between: [200] });
    expect(stepLadderOf([{ rate: 100, kept: false }]).kept).toBeUndefined();
  });

  it('a mean of one reading has no error to tell', () => {
    expect(meanOf([4])).toEqual({ value: 4, error: Infinity });
    expect(() => meanOf([])).toThrow(/no reading/);
  });

  it('travel found apart from travel typed is counted in errors', () => {
    expect(travelApart({ perSecond: { value: 1570, error: 10 } }, 0.002, Math.PI)).toBeLessThan(1);
    expect(travelApart({ perSecond: { value: 1400, error: 10 } }, 0.002, Math.PI)).toBeGreaterThan(10);
  });
});

describe('the sheets of the trials', () => {
  it.each(TRIALS.map((sheet) => [sheet.name, sheet] as const))(
    '%s: says what to connect, set and mind',
    (_name, sheet) => {
      expect(sheet.connect.length).toBeGreaterThan(0);
      expect(sheet.set.length).toBeGreaterThan(0);
      expect(sheet.cautions.length).toBeGreaterThan(0);
      expect(sheet.good).toBeGreaterThanOrEqual(sheet.fewest);
      expect(new Set(sheet.columns.map(({ key }) => key)).size).toBe(sheet.columns.length);
    },
  );

  it('say how long what stalls may', () => {
    expect(trialSheet('stall').cautions.join(' ')).toContain('At most one second');
  });
});
