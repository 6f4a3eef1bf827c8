import { computed, inject, type ComputedRef, type InjectionKey } from 'vue';
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

/** Ink of a chart that is to be printed: black on white, whatever the screen’s theme. */
export const INK: InjectionKey<ChartInk> = Symbol('ink');
export const INK_ON_PAPER: ChartInk = {
  ink: '#000000',
  second: '#444444',
  hair: '#dddddd',
  act: '#000000',
  sheet: '#ffffff',
  a: '#000000',
  b: '#555555',
  tight: '#000000',
  gives: '#000000',
};

/** Colours as charts need them: read from the style sheet, again when the theme changes. */
export function useChartInk(): ComputedRef<ChartInk> {
  const preferences = usePreferences();
  const own = inject(INK, undefined);
  if (own) return computed(() => own);
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
