import { computed, type ComputedRef } from 'vue';
import { usePreferences } from '../stores/preferences.js';

/** The theme's colours by the names of styles/main.css. */
const NAMES = {
  ink: '--ink',
  second: '--second',
  hair: '--hair',
  act: '--act',
  sheet: '--sheet',
  a: '--series-a',
  b: '--series-b',
  tight: '--tight',
  gives: '--gives',
};

export type ChartInk = Readonly<Record<keyof typeof NAMES, string>>;

/** Colours as charts need them: read from the style sheet, again when the theme changes. */
export function useChartInk(): ComputedRef<ChartInk> {
  const preferences = usePreferences();
  return computed(() => {
    // The style sheet's values follow the theme, which has to be asked for here to be followed.
    const root = preferences.theme && getComputedStyle(document.documentElement);
    return Object.fromEntries(
      Object.entries(NAMES).map(([name, property]) => [name, root.getPropertyValue(property).trim()]),
    ) as ChartInk;
  });
}

export const MONO = "'Spline Sans Mono Variable', monospace";
export const SANS = "'Spline Sans Variable', sans-serif";

/** How a chart's tip looks. As text: the content policy allows no style in markup. */
export function tipLook({ ink, sheet }: ChartInk) {
  return {
    trigger: 'axis',
    renderMode: 'richText',
    backgroundColor: sheet,
    borderColor: ink,
    textStyle: { color: ink, fontFamily: MONO, fontSize: 11 },
  };
}
