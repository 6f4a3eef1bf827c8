import { computed, type ComputedRef } from 'vue';
import { usePreferences } from '../stores/preferences.js';

export interface ChartInk {
  readonly ink: string;
  readonly second: string;
  readonly line: string;
  readonly hair: string;
  readonly act: string;
  readonly sheet: string;
  readonly a: string;
  readonly b: string;
}

/** The theme's colours as charts need them: read again when the theme changes. */
export function useChartInk(): ComputedRef<ChartInk> {
  const preferences = usePreferences();
  return computed(() => {
    // Read for its effect: the values below belong to this theme.
    const dark = preferences.theme === 'dark';
    return dark
      ? {
          ink: '#ece7db',
          second: '#b5afa2',
          line: '#7a8187',
          hair: '#33393e',
          act: '#8fbaec',
          sheet: '#24292d',
          a: '#6fd0cc',
          b: '#dda3d0',
        }
      : {
          ink: '#24211b',
          second: '#655d50',
          line: '#8a806c',
          hair: '#e6dfcc',
          act: '#1f4f8f',
          sheet: '#fdfaf3',
          a: '#0f6b6b',
          b: '#7a3e6e',
        };
  });
}

export const MONO = "'Spline Sans Mono Variable', monospace";
export const SANS = "'Spline Sans Variable', sans-serif";
