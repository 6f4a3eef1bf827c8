import { say, amount, type Words } from '../../../plan/words/phrase.js';
import { fitCoastDown, fitFreeRun, fitSpun, fitStall, peakVolts, SPUN_METERS, type SpunMeter } from '../motorTrials.js';
import { DRAG_AT } from '../found.js';
import type { MeasuredFigure } from '../measured.js';
import type { FoundFigure, PlotAxis } from '../conclusion.js';
import { fitSeen } from './fitted.js';
import { at, type Conclude } from './work.js';

const SPEED: PlotAxis = { label: 'speed', dimension: 'speed' };
const AMPERES: PlotAxis = { label: 'current', dimension: 'current' };

/** Kv is Ke turned over, and as sure in proportion. */
const overOf = ({ value, error }: MeasuredFigure): MeasuredFigure => ({ value: 1 / value, error: error / value ** 2 });

/** Volts less I·R against speed, and amperes against speed. */
export const concludeFreeRun: Conclude = ({ readings, kept, expected, given }) => {
  const resistance = given('resistance');
  const found = fitFreeRun(
    resistance,
    kept.map((one) => ({ voltage: at(one, 'voltage'), speed: at(one, 'speed'), current: at(one, 'current') })),
  );
  const [volts, amperes] = [found.fits.volts, found.fits.amperes];
  const [i0, i1] = [found.freeCurrent.value, found.freeCurrentPerSpeed.value];
  const speed = (one: Parameters<typeof at>[0]) => at(one, 'speed');
  const { backEmfConstant: ke = NaN, freeCurrent, freeCurrentPerSpeed = 0 } = expected;
  const main = fitSeen(readings, {
    x: SPEED,
    y: { label: 'volts less I·R', dimension: 'voltage' },
    xOf: speed,
    yOf: (one) => at(one, 'voltage') - at(one, 'current') * resistance,
    line: (x) => found.backEmfConstant.value * x,
    expected: Number.isFinite(ke) ? (x) => ke * x : undefined,
    fit: volts,
  });
  const second = fitSeen(readings, {
    x: SPEED,
    y: AMPERES,
    xOf: speed,
    yOf: (one) => at(one, 'current'),
    line: (x) => i0 + i1 * x,
    expected: freeCurrent === undefined ? undefined : (x) => freeCurrent + freeCurrentPerSpeed * x,
    fit: amperes,
  });
  const says: Words[] = [];
  if (i1 > 3 * found.freeCurrentPerSpeed.error && expected.freeCurrentPerSpeed === undefined)
    says.push('Its drag grows with speed, which the sheet leaves out.');
  return {
    figures: [
      { key: 'backEmfConstant', measured: found.backEmfConstant, expected: expected.backEmfConstant },
      { key: 'kv', measured: overOf(found.backEmfConstant), expected: expected.kv },
      { key: 'freeCurrent', measured: found.freeCurrent, expected: expected.freeCurrent },
      { key: 'freeCurrentPerSpeed', measured: found.freeCurrentPerSpeed, expected: expected.freeCurrentPerSpeed },
    ],
    plots: [main.plot, second.plot],
    off: worseOf(main.off, second.off),
    odd: [...new Set([...main.odd, ...second.odd])].sort((a, b) => a - b),
    says,
  };
};

/** Of two fits through the same rows the one a row is further off. */
const worseOf = (a: ReadonlyMap<number, number>, b: ReadonlyMap<number, number>): ReadonlyMap<number, number> =>
  new Map([...a].map(([row, off]) => [row, Math.abs(b.get(row) ?? 0) > Math.abs(off) ? b.get(row)! : off]));

/** Volts against amperes, and torque against amperes where it was read. */
export const concludeStall: Conclude = ({ readings, kept, expected, given }) => {
  const freeCurrent = given('freeCurrent');
  const found = fitStall(
    freeCurrent,
    kept.map((one) => ({ voltage: at(one, 'voltage'), current: at(one, 'current'), torque: one['torque'] })),
  );
  const [resistance, drop] = [found.resistance.value, found.brushDrop?.value ?? 0];
  const main = fitSeen(readings, {
    x: AMPERES,
    y: { label: 'volts', dimension: 'voltage' },
    xOf: (one) => at(one, 'current'),
    yOf: (one) => at(one, 'voltage'),
    line: (x) => resistance * x + drop,
    expected:
      expected.resistance === undefined ? undefined : (x) => expected.resistance! * x + (expected.brushDrop ?? 0),
    fit: found.fits.volts,
  });
  const figures: FoundFigure[] = [{ key: 'resistance', measured: found.resistance, expected: expected.resistance }];
  if (found.brushDrop) figures.push({ key: 'brushDrop', measured: found.brushDrop, expected: expected.brushDrop });
  const plots = [main.plot];
  const { torqueConstant } = found;
  if (torqueConstant && found.fits.torque) {
    figures.push({ key: 'torqueConstant', measured: torqueConstant, expected: expected.torqueConstant });
    plots.push(
      fitSeen(
        readings.filter((one) => one.at['torque'] !== undefined),
        {
          x: AMPERES,
          y: { label: 'torque', dimension: 'torque' },
          xOf: (one) => at(one, 'current'),
          yOf: (one) => at(one, 'torque'),
          line: (x) => torqueConstant.value * (x - freeCurrent),
          expected:
            expected.torqueConstant === undefined ? undefined : (x) => expected.torqueConstant! * (x - freeCurrent),
          fit: found.fits.torque,
        },
      ).plot,
    );
  }
  return { figures, plots, off: main.off, odd: main.odd, says: [] };
};

const meterOf = (said: string): SpunMeter => SPUN_METERS.find((meter) => meter === said) ?? SPUN_METERS[0];

/** Peak volts against speed. */
export const concludeSpun: Conclude = ({ readings, kept, expected, said }) => {
  const meter = meterOf(said('meter'));
  const found = fitSpun(
    meter,
    kept.map((one) => ({ speed: at(one, 'speed'), voltage: at(one, 'voltage') })),
  );
  const { plot, off, odd } = fitSeen(readings, {
    x: SPEED,
    y: { label: 'peak volts', dimension: 'voltage' },
    xOf: (one) => at(one, 'speed'),
    yOf: (one) => peakVolts(at(one, 'voltage'), meter),
    line: (x) => found.backEmfConstant.value * x,
    expected: expected.backEmfConstant === undefined ? undefined : (x) => expected.backEmfConstant! * x,
    fit: found.fit,
  });
  return {
    figures: [
      { key: 'backEmfConstant', measured: found.backEmfConstant, expected: expected.backEmfConstant },
      { key: 'kv', measured: overOf(found.backEmfConstant), expected: expected.kv },
    ],
    plots: [plot],
    off,
    odd,
    says: [],
  };
};

/** Speed against time, let go. */
export const concludeCoastDown: Conclude = ({ readings, kept, expected, given }) => {
  const found = fitCoastDown(
    given('inertia'),
    kept.map((one) => ({ time: at(one, 'time'), speed: at(one, 'speed') })),
  );
  const [slowing, fade, start] = found.fit.coefficients as [number, number, number];
  const { plot, off, odd } = fitSeen(readings, {
    x: { label: 'time', dimension: 'time' },
    y: SPEED,
    xOf: (one) => at(one, 'time'),
    yOf: (one) => at(one, 'speed'),
    line: (x) =>
      start * Math.exp(-fade * x) - slowing * (Math.abs(fade * x) < 1e-6 ? x : -Math.expm1(-fade * x) / fade),
    fit: found.fit,
    curved: true,
  });
  const stands = fade > 0 ? Math.log1p((fade * start) / slowing) / fade : start / slowing;
  return {
    figures: [
      { key: 'frictionTorque', measured: found.frictionTorque, expected: expected.frictionTorque },
      {
        key: 'viscousDrag',
        measured: { value: found.viscousDrag.value * DRAG_AT, error: found.viscousDrag.error * DRAG_AT },
        expected: expected.viscousDrag,
      },
    ],
    plots: [plot],
    off,
    odd,
    says:
      Number.isFinite(stands) && stands > 0
        ? [say`From ${amount(start, 'speed')} it stands after ${amount(stands, 'time')}.`]
        : [],
  };
};
