import { amount, say, type Words } from '../../../plan/words/phrase.js';
import type { FoundFigure } from '../conclusion.js';
import { fitServoLine, travelApart } from '../servoLine.js';
import { fitSeen } from './fitted.js';
import { concludeRepeated, type RepeatedColumn } from './repeated.js';
import { at, type Conclude } from './work.js';

const MILLISECOND = 1e-3;
/** Further apart than so many standard errors is no chance. */
const CONTRADICTS = 3;

/** Angle against pulse from both sides. */
export const concludeServoLine: Conclude = ({ readings, kept, expected, given }) => {
  const span = given('longest') - given('shortest');
  const found = fitServoLine(
    kept.map((one) => ({
      pulse: at(one, 'pulse'),
      angle: at(one, 'angle'),
      way: at(one, 'way') === 1 ? 'up' : 'down',
    })),
  );
  const [zero, slope, play] = found.fit.coefficients as [number, number, number];
  const main = fitSeen(readings, {
    x: { label: 'pulse', dimension: 'pulse' },
    y: { label: 'angle, play taken out', dimension: 'angle' },
    xOf: (one) => at(one, 'pulse'),
    yOf: (one) => at(one, 'angle') - (at(one, 'way') === 1 ? play / 2 : -play / 2),
    line: (x) => zero + slope * x,
    fit: found.fit,
    curved: true,
  });
  const figures: FoundFigure[] = [
    {
      key: 'travel',
      measured: { value: Math.abs(slope) * span, error: found.perSecond.error * span },
      expected: expected.travel,
    },
    {
      key: 'turnPerMillisecond',
      measured: { value: slope * MILLISECOND, error: found.perSecond.error * MILLISECOND },
    },
    { key: 'play', measured: found.play, expected: expected.play },
  ];
  const says: Words[] = [];
  const { travel } = expected;
  if (travel !== undefined) {
    const apart = travelApart({ perSecond: { ...found.perSecond, value: Math.abs(slope) } }, span, travel);
    if (apart > CONTRADICTS)
      says.push(say`Typed was ${amount(travel, 'angle')} of travel: the readings contradict that.`);
  }
  return { figures, plots: [main.plot], off: main.off, odd: main.odd, says };
};

const CURRENTS: readonly RepeatedColumn[] = [
  ['idle', 'idleCurrent', { label: 'idle', dimension: 'current' }],
  ['moving', 'runningCurrent', { label: 'moving', dimension: 'current' }],
  ['stalled', 'stallCurrent', { label: 'stalled', dimension: 'current' }],
];

/** Means of what it draws. */
export const concludeServoCurrents: Conclude = (work) => concludeRepeated(work, CURRENTS, 'reading');
