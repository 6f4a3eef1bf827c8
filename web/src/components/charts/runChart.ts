import { digits } from '@rough-gear/core';
import { MONO, SANS, tipLook, type ChartInk } from '../../composables/useChartInk.js';

/** Frame of a run over time: currents up to `greatest` and speed above, pack volts below, one time for both. */
export function runChartFrame(end: number, greatest: number, pens: ChartInk, formatter: unknown) {
  const { second, hair } = pens;
  const value = {
    type: 'value',
    axisLabel: { color: second, fontFamily: MONO, fontSize: 11, hideOverlap: true },
    axisLine: { show: true, lineStyle: { color: second } },
    splitLine: { show: false },
  };
  const lined = { show: true, lineStyle: { color: hair } };
  return {
    animation: false,
    textStyle: { fontFamily: SANS },
    // Both keep their edges whatever their labels take, so that one time stands over the other.
    grid: [
      { left: 58, right: 40, top: 22, bottom: 76, outerBoundsMode: 'none' },
      { left: 58, right: 40, height: 40, bottom: 22, outerBoundsMode: 'none' },
    ],
    tooltip: { ...tipLook(pens), formatter },
    axisPointer: { link: [{ xAxisIndex: 'all' }] },
    xAxis: [
      { ...value, min: 0, max: end, axisLabel: { show: false }, splitLine: lined },
      {
        ...value,
        gridIndex: 1,
        min: 0,
        max: end,
        // The first time begins at the axis: centred on it, it would run into the least volts.
        axisLabel: {
          ...value.axisLabel,
          showMaxLabel: false,
          alignMinLabel: 'left',
          formatter: (t: number) => `${digits(t)} s`,
        },
      },
    ],
    yAxis: [
      {
        ...value,
        // What returns to the pack while braking lies under nothing.
        min: (extent: { min: number }) => Math.min(0, extent.min),
        splitNumber: 4,
        // A little that returns is drawn under nothing, but its number would run into the nought.
        axisLabel: {
          ...value.axisLabel,
          formatter: (t: number) => (t < 0 && t > -0.2 * greatest ? '' : `${digits(t)} A`),
        },
        splitLine: lined,
      },
      {
        ...value,
        min: 0,
        splitNumber: 4,
        position: 'right',
        max: (extent: { max: number }) => extent.max * 1.2,
        axisLabel: { ...value.axisLabel, showMaxLabel: false, formatter: (t: number) => digits(t, 2) },
      },
      {
        ...value,
        gridIndex: 1,
        scale: true,
        splitNumber: 1,
        axisLabel: { ...value.axisLabel, formatter: (t: number) => `${digits(t, 4)} V` },
      },
    ],
  };
}
