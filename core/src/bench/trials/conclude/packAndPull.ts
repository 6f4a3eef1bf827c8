import { fitPack } from '../packTrial.js';
import { fitPull } from '../pullTrial.js';
import { fitWarmth } from '../warmthTrial.js';
import { WATTS_TOLD } from '../found.js';
import type { PlotAxis } from '../conclusion.js';
import { amount, say } from '../../../plan/words/phrase.js';
import { fitSeen } from './fitted.js';
import { at, type Conclude } from './work.js';

const AMPERES: PlotAxis = { label: 'current', dimension: 'current' };

/** Volts against amperes. */
export const concludePack: Conclude = ({ readings, kept, expected }) => {
  const found = fitPack(kept.map((one) => ({ current: at(one, 'current'), voltage: at(one, 'voltage') })));
  const [rest, resistance] = [found.restVoltage.value, found.resistance.value];
  const { restVoltage, packResistance } = expected;
  const { plot, off, odd } = fitSeen(readings, {
    x: AMPERES,
    y: { label: 'volts', dimension: 'voltage' },
    xOf: (one) => at(one, 'current'),
    yOf: (one) => at(one, 'voltage'),
    line: (x) => rest - resistance * x,
    expected: packResistance === undefined ? undefined : (x) => (restVoltage ?? rest) - packResistance * x,
    fit: found.fit,
  });
  return {
    figures: [
      { key: 'restVoltage', measured: found.restVoltage, expected: restVoltage },
      { key: 'packResistance', measured: found.resistance, expected: packResistance },
    ],
    plots: [plot],
    off,
    odd,
    says: resistance > 0 ? [] : ['More load cannot mean more volts: look at the readings.'],
  };
};

/** Pull against amperes. */
export const concludePull: Conclude = ({ readings, kept, expected }) => {
  const found = fitPull(kept.map((one) => ({ current: at(one, 'current'), force: at(one, 'force') })));
  const each = found.pullPerAmpere.value;
  const { pullPerAmpere, lostCurrent = 0 } = expected;
  const { plot, off, odd } = fitSeen(readings, {
    x: AMPERES,
    y: { label: 'pull', dimension: 'force' },
    xOf: (one) => at(one, 'current'),
    yOf: (one) => at(one, 'force'),
    line: (x) => each * (x - found.lost),
    expected: pullPerAmpere === undefined ? undefined : (x) => pullPerAmpere * (x - lostCurrent),
    fit: found.fit,
  });
  return {
    figures: [
      { key: 'pullPerAmpere', measured: found.pullPerAmpere, expected: pullPerAmpere },
      { key: 'lostCurrent', measured: { value: found.lost, error: Infinity }, expected: expected.lostCurrent },
    ],
    plots: [plot],
    off,
    odd,
    says: [],
  };
};

/** Temperature against time. */
export const concludeWarmth: Conclude = ({ readings, kept, given }) => {
  const [ambient, watts] = [given('ambient'), given('watts')];
  const found = fitWarmth(
    ambient,
    watts,
    kept.map((one) => ({ time: at(one, 'time'), temperature: at(one, 'temperature') })),
  );
  const [rca, capacity] = [found.caseToAir.value, found.caseCapacity.value];
  const { plot, off, odd } = fitSeen(readings, {
    x: { label: 'time', dimension: 'time' },
    y: { label: 'on the case', dimension: 'temperature' },
    xOf: (one) => at(one, 'time'),
    yOf: (one) => at(one, 'temperature'),
    line: (x) => ambient - watts * rca * Math.expm1(-x / (rca * capacity)),
    fit: found.fit,
    curved: true,
  });
  return {
    figures: [
      { key: 'caseToAir', measured: { value: rca * WATTS_TOLD, error: found.caseToAir.error * WATTS_TOLD } },
      { key: 'caseCapacity', measured: found.caseCapacity },
    ],
    plots: [plot],
    off,
    odd,
    says: [say`Left on, it goes to ${amount(ambient + watts * rca, 'temperature')}.`],
  };
};
