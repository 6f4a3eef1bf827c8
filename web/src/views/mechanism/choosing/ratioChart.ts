import { digits, type RatioPoint, type SweepMarks } from '@rough-gear/core';
import { MONO, SANS, tipLook, type ChartInk } from '../../../composables/useChartInk.js';

/** Room at the sides of the chart: the marker over it goes by the same. */
export const RATIO_LEFT = 52;
export const RATIO_RIGHT = 14;
const TOP = 18;
const BOTTOM = 26;
const GAP = 14;

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
  readonly most?: number;
}

export const STRIPS: readonly Strip[] = [
  { title: 'time', unit: 's', curves: [{ name: 'time', of: ({ time }) => time, dash: 'solid', pen: 'ink' }] },
  {
    title: 'current',
    unit: 'A',
    curves: [
      { name: 'peak, one motor', of: ({ peakMotorCurrent }) => peakMotorCurrent, dash: 'solid', pen: 'a' },
      { name: 'r.m.s., one motor', of: ({ rmsMotorCurrent }) => rmsMotorCurrent, dash: [6, 3], pen: 'a' },
      { name: 'peak from the pack', of: ({ peakSupplyCurrent }) => peakSupplyCurrent, dash: [2, 2], pen: 'b' },
    ],
  },
  {
    title: 'energy',
    unit: 'J',
    curves: [
      { name: 'from the pack', of: ({ packEnergy }) => packEnergy, dash: 'solid', pen: 'b' },
      { name: 'heat in the motors', of: ({ heat }) => heat, dash: [6, 3], pen: 'ink' },
    ],
  },
  {
    title: 'least volts',
    unit: 'V',
    curves: [{ name: 'least volts', of: ({ leastPackVoltage }) => leastPackVoltage, dash: 'solid', pen: 'a' }],
  },
  {
    title: 'gives first at',
    unit: '×',
    at: 1,
    most: 4,
    curves: [{ name: 'first to give', of: ({ first }) => first?.multiple, dash: 'solid', pen: 'ink' }],
  },
];

/** Shares of the height, so that what is read closest is tallest. */
const SHARES = [1.1, 1.3, 1.1, 0.8, 1.2];

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
  const free = height - TOP - BOTTOM - GAP * (STRIPS.length - 1);
  const whole = SHARES.reduce((sum, share) => sum + share, 0);
  let top = TOP;
  const grids = SHARES.map((share) => {
    const grid = { left: RATIO_LEFT, right: RATIO_RIGHT, top, height: (free * share) / whole };
    top += grid.height + GAP;
    return grid;
  });
  const last = STRIPS.length - 1;
  const label = { color: second, fontFamily: MONO, fontSize: 10 };
  const lines = [
    { at: marks.fastest, text: 'fastest' },
    { at: marks.coolest, text: 'coolest' },
    { at: marks.leastCurrent, text: 'least current' },
    { at: marks.mostRobust, text: 'most robust' },
  ].filter((mark): mark is { at: number; text: string } => mark.at !== undefined);
  const named = mergeNear(lines);
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
    yAxis: STRIPS.map(({ title, unit, most }, i) => ({
      type: 'value',
      gridIndex: i,
      name: title,
      nameLocation: 'end',
      nameGap: 3,
      nameTextStyle: { color: second, fontFamily: SANS, fontSize: 11, align: 'left', padding: [0, 0, 0, -46] },
      min: i === 3 ? undefined : 0,
      scale: i === 3,
      ...(most === undefined ? {} : { max: (extent: { max: number }) => Math.min(most, Math.max(1.5, extent.max)) }),
      splitNumber: 2,
      axisLabel: { ...label, formatter: (v: number) => `${digits(v, 2)} ${unit}`, hideOverlap: true },
      splitLine: { show: true, lineStyle: { color: hair } },
    })),
    series: STRIPS.flatMap(({ curves, at, most }, i) =>
      curves.map(({ name, of, dash, pen }, c) => ({
        type: 'line',
        name,
        xAxisIndex: i,
        yAxisIndex: i,
        data: points.map((point) => {
          const value = of(point);
          return [point.total, value === undefined ? null : Math.min(value, most ?? Infinity)];
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
                  ...named.map((mark) => ({
                    xAxis: mark.at,
                    lineStyle: { color: act, width: 1, type: [3, 3] },
                    label:
                      i === 0 ? { formatter: mark.text, color: act, fontFamily: SANS, fontSize: 11 } : { show: false },
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
              ...(marks.plateau
                ? {
                    markArea: {
                      silent: true,
                      itemStyle: { color: hair, opacity: 0.5 },
                      data: [[{ xAxis: marks.plateau[0] }, { xAxis: marks.plateau[1] }]],
                    },
                  }
                : {}),
            }),
      })),
    ),
  };
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
