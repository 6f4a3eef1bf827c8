import type { FoundFigure, PlotAxis } from '../conclusion.js';
import type { ExpectedPoint } from '../found.js';
import type { MeasuredFigure } from '../measured.js';
import { meanOverTime } from '../../../models/numbers/overTime.js';
import { at, type Conclude } from './work.js';

const TIME: PlotAxis = { label: 'time', dimension: 'time' };
const LINES = [
  ['speed', { label: 'speed of the motor', dimension: 'speed' }],
  ['current', { label: 'current of the pack', dimension: 'current' }],
  ['voltage', { label: 'volts of the pack', dimension: 'voltage' }],
] as const satisfies readonly (readonly [keyof ExpectedPoint, PlotAxis])[];

const once = (value: number): MeasuredFigure => ({ value, error: Infinity });

/** A log of one go: what it took, and each column over the run that was predicted. */
export const concludeLoggedGo: Conclude = ({ readings, kept, expected }) => {
  const sorted = [...kept].sort((a, b) => at(a, 'time') - at(b, 'time'));
  const begins = at(sorted[0]!, 'time');
  const took = at(sorted.at(-1)!, 'time') - begins;
  if (!(took > 0)) throw new RangeError('a log needs readings over some time');
  const column = (key: string) =>
    sorted.flatMap((one) => (one[key] === undefined ? [] : [{ time: at(one, 'time') - begins, value: one[key] }]));
  const most = (key: string) => column(key).reduce((top, { value }) => Math.max(top, value), -Infinity);
  const least = column('voltage').reduce((low, { value }) => Math.min(low, value), Infinity);
  const currents = column('current');
  const figures: readonly FoundFigure[] = [
    { key: 'goTime', measured: once(took), expected: expected.goTime },
    { key: 'topSpeed', measured: once(most('speed')), expected: expected.topSpeed },
    { key: 'peakCurrent', measured: once(most('current')), expected: expected.peakCurrent },
    {
      key: 'meanCurrent',
      measured: once(meanOverTime(currents)),
      expected: expected.meanCurrent,
    },
    { key: 'leastVolts', measured: once(least), expected: expected.leastVolts },
  ];
  return {
    figures: figures.filter(({ measured }) => Number.isFinite(measured.value)),
    plots: LINES.flatMap(([key, y]) => {
      const points = readings.flatMap(({ row, struck, at: one }) =>
        one[key] === undefined ? [] : [{ row, struck, x: at(one, 'time') - begins, y: one[key] }],
      );
      const predicted = expected.run?.map((point) => [point.time, point[key]] as const);
      return points.length > 0 ? [{ x: TIME, y, points, line: [], expected: predicted }] : [];
    }),
    off: new Map(),
    odd: [],
    says: [],
  };
};

/** A log of a match: what flowed, and how low the volts went. */
export const concludeMatchLog: Conclude = (work) => {
  const { figures, plots, ...rest } = concludeLoggedGo({ ...work, expected: {} });
  const [took, mean] = ['goTime', 'meanCurrent'].map((key) => figures.find((one) => one.key === key)?.measured.value);
  const charge: readonly FoundFigure[] =
    took === undefined || mean === undefined ? [] : [{ key: 'chargeTaken', measured: once(took * mean) }];
  return { ...rest, plots, figures: [...figures.filter(({ key }) => key !== 'goTime'), ...charge] };
};
