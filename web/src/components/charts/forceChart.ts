import { digits, type BandPoint, type Dimension, type HeldBy, type PowerPath } from '@rough-gear/core';
import { MONO, SANS, tipLook, type ChartInk } from '../../composables/useChartInk.js';

/** What charts of force over speed share. */

export const HELD_BY_NAMES: Readonly<Record<HeldBy, string>> = {
  stator: 'motor-side limit',
  supply: 'pack-side limit',
  voltage: 'volts',
  returned: 'return limit',
};
export const HELD_BY_DASHES: Readonly<Record<HeldBy, 'solid' | number[]>> = {
  stator: [2, 3],
  supply: [7, 4],
  voltage: 'solid',
  returned: [7, 3, 2, 3],
};

/** The same dashes in a line of text. */
export const HELD_BY_MARKS: Readonly<Record<HeldBy, string>> = {
  stator: '···',
  supply: '– –',
  voltage: '—',
  returned: '– ·',
};

export const heldByColours = (pens: { a: string; b: string; ink: string }): Readonly<Record<HeldBy, string>> => ({
  stator: pens.a,
  supply: pens.b,
  voltage: pens.ink,
  returned: pens.b,
});

/** Dimensions of what the output does: metres or turns. */
export function outputUnits({ load }: PowerPath): { readonly force: Dimension; readonly speed: Dimension } {
  return load.unit === 'm' ? { force: 'force', speed: 'velocity' } : { force: 'torque', speed: 'speed' };
}

function chartAxis(max: number, second: string, hair: string) {
  return {
    type: 'value',
    min: 0,
    max,
    splitNumber: 4,
    axisLabel: {
      color: second,
      fontFamily: MONO,
      fontSize: 11,
      showMaxLabel: false,
      formatter: (value: number) => digits(value, 3),
    },
    axisLine: { show: true, lineStyle: { color: second } },
    splitLine: { lineStyle: { color: hair } },
  };
}

/** 5 to 95 % of the builds as a grey band under the curves. */
export function bandSeries(
  band: readonly BandPoint[] | undefined,
  x: (value: number) => number,
  y: (value: number) => number,
  colour: string,
  yAxisIndex = 0,
) {
  if (!band || band.length === 0) return [];
  const common = {
    type: 'line',
    stack: 'band',
    stackStrategy: 'all',
    showSymbol: false,
    silent: true,
    yAxisIndex,
    lineStyle: { opacity: 0 },
    tooltip: { show: false },
  };
  return [
    { ...common, name: 'least of the builds', data: band.map(({ at, low }) => [x(at), y(Math.max(0, low))]) },
    {
      ...common,
      name: 'band of the builds',
      areaStyle: { color: colour, opacity: 0.28 },
      data: band.map(({ at, low, high }) => [x(at), y(Math.max(0, high)) - y(Math.max(0, low))]),
    },
  ];
}

/** Frame of a chart of force over speed: axes, tip and fonts. */
export function forceChartFrame(right: number, top: number, pens: ChartInk, formatter: unknown) {
  return {
    animation: false,
    textStyle: { fontFamily: SANS },
    grid: { left: 46, right: 12, top: 10, bottom: 22 },
    xAxis: chartAxis(right, pens.second, pens.hair),
    yAxis: chartAxis(top, pens.second, pens.hair),
    tooltip: { ...tipLook(pens), formatter },
  };
}
