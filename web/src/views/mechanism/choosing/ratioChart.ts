import { digits, type RatioPoint, type SweepMarks } from '@rough-gear/core';
import { MONO, SANS, tipLook, type ChartInk } from '../../../composables/useChartInk.js';

/** Room at the sides of the chart: the marker over it goes by the same. */
export const RATIO_LEFT = 52;
export const RATIO_RIGHT = 14;
const TOP = 46;
const BOTTOM = 26;
const GAP = 20;

/** One strip of the chart: its curves share an axis. */
interface Strip {
  readonly title: string;
  readonly unit: string;
  readonly curves: readonly {
    readonly name: string;
    of(point: RatioPoint): number | undefined;
    readonly dash: 'solid' | readonly number[];
    readonly pen: 'a' | 'b' | 'ink';
  }[];
  /** A line across: the job itself. */
  readonly at?: number;
  /** Nothing above is shown: the most, or so many times the least. */
  readonly most?: number;
  readonly mostTimesLeast?: number;
  /** Of the strip's height, beside the others. */
  readonly share: number;
}

/** Volts are shown by their own range, the rest from nothing. */
const VOLTS = 3;

export const STRIPS: readonly Strip[] = [
  {
    title: 'time',
    unit: 's',
    share: 1.1,
    mostTimesLeast: 3,
    curves: [{ name: 'of the job', of: ({ time }) => time, dash: 'solid', pen: 'ink' }],
  },
  {
    title: 'current',
    unit: 'A',
    share: 1.3,
    curves: [
      { name: 'peak, one motor', of: ({ peakMotorCurrent }) => peakMotorCurrent, dash: 'solid', pen: 'a' },
      { name: 'r.m.s., one motor', of: ({ rmsMotorCurrent }) => rmsMotorCurrent, dash: [6, 3], pen: 'a' },
      { name: 'peak from the pack', of: ({ peakSupplyCurrent }) => peakSupplyCurrent, dash: [2, 2], pen: 'b' },
    ],
  },
  {
    title: 'energy',
    unit: 'J',
    share: 1.1,
    mostTimesLeast: 3,
    curves: [
      { name: 'from the pack', of: ({ packEnergy }) => packEnergy, dash: 'solid', pen: 'b' },
      { name: 'heat in the motors', of: ({ heat }) => heat, dash: [6, 3], pen: 'ink' },
    ],
  },
  {
    title: 'least volts',
    unit: 'V',
    share: 0.8,
    curves: [{ name: 'at the pack', of: ({ leastPackVoltage }) => leastPackVoltage, dash: 'solid', pen: 'a' }],
  },
  {
    title: 'gives first at',
    unit: '×',
    share: 1.2,
    at: 1,
    most: 4,
    curves: [{ name: 'the job is 1×', of: ({ first }) => first?.multiple, dash: 'solid', pen: 'ink' }],
  },
];

/** Where each strip lies in a chart of a height. */
export function stripsIn(height: number): readonly { readonly top: number; readonly height: number }[] {
  const free = height - TOP - BOTTOM - GAP * (STRIPS.length - 1);
  const whole = STRIPS.reduce((sum, { share }) => sum + share, 0);
  let top = TOP;
  return STRIPS.map(({ share }) => {
    const strip = { top, height: (free * share) / whole };
    top += strip.height + GAP;
    return strip;
  });
}

export interface RatioChartInput {
  readonly points: readonly RatioPoint[];
  readonly marks: SweepMarks;
  readonly span: readonly [number, number];
  readonly height: number;
  readonly pens: ChartInk;
  readonly tip: (total: number) => string;
}

/** Everything against the total: five strips over one axis, marked where it matters. */
export function ratioChart({ points, marks, span, height, pens, tip }: RatioChartInput) {
  const { second, hair, act } = pens;
  const grids = stripsIn(height).map((strip) => ({ left: RATIO_LEFT, right: RATIO_RIGHT, ...strip }));
  const last = STRIPS.length - 1;
  const label = { color: second, fontFamily: MONO, fontSize: 10 };
  const lines = [
    { at: marks.fastest, text: 'fastest' },
    { at: marks.coolest, text: 'coolest' },
    { at: marks.leastCurrent, text: 'least current' },
    { at: marks.mostRobust, text: 'most robust' },
  ].filter((mark): mark is { at: number; text: string } => mark.at !== undefined);
  const named = mergeNear(lines);
  const tops = STRIPS.map((strip) => topOf(strip, points));
  return {
    animation: false,
    textStyle: { fontFamily: SANS },
    grid: grids,
    axisPointer: { link: [{ xAxisIndex: 'all' }] },
    tooltip: {
      ...tipLook(pens),
      formatter: (items: readonly { axisValue: number }[]) => (items[0] ? tip(items[0].axisValue) : ''),
    },
    xAxis: STRIPS.map((_, i) => ({
      type: 'log',
      gridIndex: i,
      min: span[0],
      max: span[1],
      axisLabel: i === last ? { ...label, formatter: (v: number) => digits(v, 2), hideOverlap: true } : { show: false },
      axisLine: { show: true, lineStyle: { color: i === last ? second : hair } },
      axisTick: { show: i === last },
      splitLine: { show: true, lineStyle: { color: hair } },
      minorSplitLine: { show: false },
    })),
    yAxis: STRIPS.map((strip, i) => ({
      type: 'value',
      gridIndex: i,
      ...(i === VOLTS ? voltsRange(points) : { min: 0, max: tops[i] }),
      splitNumber: 2,
      axisLabel: { ...label, formatter: (v: number) => `${digits(v, 3)} ${strip.unit}`, hideOverlap: true },
      splitLine: { show: true, lineStyle: { color: hair } },
    })),
    series: STRIPS.flatMap(({ curves, at }, i) =>
      curves.map(({ name, of, dash, pen }, c) => ({
        type: 'line',
        name,
        xAxisIndex: i,
        yAxisIndex: i,
        data: points.map((point) => {
          // What never arrives has no time, and its energy means nothing.
          const value = point.time === undefined && at === undefined ? undefined : of(point);
          return [point.total, value === undefined ? null : Math.min(value, tops[i] ?? Infinity)];
        }),
        symbol: 'none',
        lineStyle: { color: pens[pen], width: 1.6, type: dash },
        itemStyle: { color: pens[pen] },
        ...(c > 0
          ? {}
          : {
              markLine: {
                symbol: 'none',
                silent: true,
                animation: false,
                data: [
                  ...named.map((mark, m) => ({
                    xAxis: mark.at,
                    lineStyle: { color: act, width: 1, type: [3, 3] },
                    label:
                      i === 0
                        ? { formatter: mark.text, color: act, fontFamily: SANS, fontSize: 11, distance: m % 2 ? 17 : 3 }
                        : { show: false },
                  })),
                  ...(at === undefined
                    ? []
                    : [
                        {
                          yAxis: at,
                          lineStyle: { color: pens.gives, width: 1, type: 'solid' },
                          label: { show: false },
                        },
                      ]),
                ],
              },
              markArea: marks.plateau
                ? {
                    silent: true,
                    itemStyle: { color: hair, opacity: 0.5 },
                    data: [[{ xAxis: marks.plateau[0] }, { xAxis: marks.plateau[1] }]],
                  }
                : undefined,
            }),
      })),
    ),
  };
}

/** Where a strip ends: at most so many times the least, so that what stalls does not flatten the rest. */
function topOf({ curves, most, mostTimesLeast, at }: Strip, points: readonly RatioPoint[]): number | undefined {
  const values = points
    .filter(({ time }) => time !== undefined || at !== undefined)
    .flatMap((point) => curves.flatMap(({ of }) => of(point) ?? []));
  const greatest = Math.max(0, ...values);
  if (most !== undefined) return Math.max(1.5, Math.min(most, Math.ceil(2 * greatest) / 2));
  if (mostTimesLeast === undefined || values.length === 0) return undefined;
  const least = Math.min(...points.flatMap((point) => curves[0]!.of(point) ?? []).filter((value) => value > 0));
  const top = Math.min(greatest, mostTimesLeast * least);
  return Number.isFinite(top) && top > 0 ? roundUp(top) : undefined;
}

/** The next of 1, 1.5, 2, 3, 4, 6, 8 and 10 times a power of ten. */
function roundUp(value: number): number {
  const decade = 10 ** Math.floor(Math.log10(value));
  return [1, 1.5, 2, 3, 4, 6, 8, 10].map((step) => step * decade).find((step) => step >= value * (1 - 1e-9))!;
}

/** Whole volts around what is shown. */
function voltsRange(points: readonly RatioPoint[]): { readonly min?: number; readonly max?: number } {
  const volts = points.flatMap(({ time, leastPackVoltage }) => (time === undefined ? [] : (leastPackVoltage ?? [])));
  if (volts.length === 0) return {};
  return { min: Math.floor(Math.min(...volts) - 0.2), max: Math.ceil(Math.max(...volts) + 0.2) };
}

/** Marks so near that their names would run into each other share one line. */
function mergeNear(marks: readonly { at: number; text: string }[]): readonly { at: number; text: string }[] {
  const sorted = [...marks].sort((a, b) => a.at - b.at);
  const merged: { at: number; text: string }[] = [];
  for (const mark of sorted) {
    const before = merged.at(-1);
    if (before && mark.at / before.at < 1.12) before.text += `, ${mark.text}`;
    else merged.push({ ...mark });
  }
  return merged;
}
