import { amount, joined, say, type Words } from '../../../plan/words/phrase.js';
import type { Conclusion, FoundFigure, PlotAxis } from '../conclusion.js';
import { stepLadderOf } from '../stepLadder.js';
import type { Reading } from '../trial.js';
import { at, type Conclude } from './work.js';

/** What is between two readings, one that does and one that does not: their middle, half of the gap as its ±. */
const between = (does: number, doesNot: number) => ({
  value: (does + doesNot) / 2,
  error: Math.abs(doesNot - does) / 2,
});
const exactly = (value: number) => ({ value, error: Infinity });

/** Readings drawn one way or the other: nothing is fitted through them. */
function shownAt(
  readings: readonly Reading[],
  x: PlotAxis,
  xKey: string,
  y: string,
  yKey: string,
): Conclusion['plots'] {
  const points = readings.map(({ row, struck, at: one }) => ({ row, struck, x: at(one, xKey), y: at(one, yKey) }));
  return [{ x, y: { label: y, dimension: 'number' }, points, line: [] }];
}

const told = (figures: readonly FoundFigure[], plots: Conclusion['plots'], says: readonly Words[]): Conclusion => ({
  figures,
  plots,
  off: new Map(),
  odd: [],
  says,
});

/** Rates that keep their steps, and the first that does not. */
export const concludeStepLadder: Conclude = ({ readings, kept, expected }) => {
  const {
    kept: fastest,
    lost,
    between: gaps,
  } = stepLadderOf(kept.map((one) => ({ rate: at(one, 'rate'), kept: at(one, 'kept') === 1 })));
  const figures: FoundFigure[] = [];
  if (fastest !== undefined) figures.push({ key: 'rateKept', measured: exactly(fastest), expected: expected.rateKept });
  if (lost !== undefined) figures.push({ key: 'rateLost', measured: exactly(lost) });
  const says: Words[] = [];
  if (fastest === undefined) says.push('It lost its steps at the slowest rate already.');
  if (lost === undefined) says.push('It kept its steps at every rate: go on higher to find where it loses them.');
  if (gaps.length > 0)
    says.push(
      say`Lost at ${joined(
        gaps.map((rate) => [amount(rate, 'rate')]),
        ', ',
      )}, but kept above: a resonance, or a reading to do again.`,
    );
  return told(
    figures,
    shownAt(readings, { label: 'full steps a second', dimension: 'rate' }, 'rate', 'steps kept', 'kept'),
    says,
  );
};

/** The slowest turning that keeps on, both ways. */
export const concludeLeastSpeed: Conclude = ({ readings, kept, expected, given }) => {
  const least = (way: number): number | undefined => {
    const on = kept.filter((one) => at(one, 'way') === way && at(one, 'keeps') === 1).map((one) => at(one, 'speed'));
    return on.length === 0 ? undefined : Math.min(...on);
  };
  const [up, down] = [least(1), least(0)];
  const figures: FoundFigure[] = [];
  if (up !== undefined) figures.push({ key: 'leastUp', measured: exactly(up) });
  if (down !== undefined) figures.push({ key: 'leastDown', measured: exactly(down) });
  const slowest = Math.min(up ?? Infinity, down ?? Infinity);
  if (Number.isFinite(slowest))
    figures.push({
      key: 'leastErpm',
      measured: exactly((up ?? slowest) * given('polePairs')),
      expected: expected.leastErpm,
    });
  const says: Words[] = Number.isFinite(slowest) ? [] : ['It never kept turning.'];
  if (up !== undefined && down !== undefined && up > down)
    says.push(
      say`Once it turns it goes on down to ${amount(down, 'speed')}; to begin it needs ${amount(up, 'speed')}.`,
    );
  return told(
    figures,
    shownAt(readings, { label: 'speed', dimension: 'speed' }, 'speed', 'keeps turning', 'keeps'),
    says,
  );
};

/** Between the last offset that drags and the first that creeps. */
export const concludeDragOffset: Conclude = ({ readings, kept, expected }) => {
  const at1 = (does: number) => kept.filter((one) => at(one, 'does') === does).map((one) => at(one, 'offset'));
  const [drags, coasts, creeps] = [at1(-1), at1(0), at1(1)];
  const [low, high] = [Math.max(...drags, -Infinity), Math.min(...creeps, Infinity)];
  const figures: FoundFigure[] = [];
  const found = (measured: FoundFigure['measured']) =>
    figures.push({ key: 'dragOffset', measured, expected: expected.dragOffset });
  if (Number.isFinite(low) && Number.isFinite(high) && low < high) found(between(low, high));
  else if (coasts.length > 0) found(exactly(Math.max(...coasts)));
  const says: Words[] = [];
  if (low >= high) says.push('It creeps at an offset at which it also drags: do these again.');
  if (!Number.isFinite(high)) says.push('It never crept: go on a little higher to find the edge.');
  if (Number.isFinite(high)) says.push(say`Set it under ${amount(high, 'current')}: from there it creeps by itself.`);
  return told(
    figures,
    shownAt(readings, { label: 'offset', dimension: 'current' }, 'offset', 'slows, coasts, creeps', 'does'),
    says,
  );
};

/** Slopes it starts on, and how far it rolls back. */
export const concludeRamp: Conclude = ({ readings, kept, expected, said }) => {
  const slopes = (started: number) =>
    kept.filter((one) => at(one, 'started') === started).map((one) => at(one, 'slope'));
  const [does, doesNot] = [slopes(1), slopes(0)];
  const figures: FoundFigure[] = [];
  if (does.length > 0)
    figures.push({ key: 'steepest', measured: exactly(Math.max(...does)), expected: expected.steepest });
  if (doesNot.length > 0) figures.push({ key: 'tooSteep', measured: exactly(Math.min(...doesNot)) });
  const rolled = kept.flatMap((one) => one['rolled'] ?? []);
  if (rolled.length > 0) figures.push({ key: 'rolledBack', measured: exactly(Math.max(...rolled)) });
  const says: Words[] = [`So it does ${said('sensors')}; the other way is a trial of its own to set beside this one.`];
  if (does.length > 0 && doesNot.length > 0 && Math.min(...doesNot) < Math.max(...does))
    says.push('It stayed on a slope less steep than one it started on: it depends on where the rotor stands.');
  return told(figures, shownAt(readings, { label: 'slope', dimension: 'angle' }, 'slope', 'starts', 'started'), says);
};
