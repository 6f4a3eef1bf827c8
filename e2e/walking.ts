import { readFileSync } from 'node:fs';
import type { UnitSystem } from '@rough-gear/contract/units';
import { expect, type Page } from '@playwright/test';
import { objections } from './objections.js';
import { settled } from './settled.js';
import { straysOn } from './strays.js';
import { textFaults } from './textFaults.js';
import type { View } from './views.js';

export interface Look {
  readonly units: UnitSystem;
  readonly theme: 'light' | 'dark';
}
/** Between them both units and both themes; a theme moves no text, and units change no colour. */
const LOOKS = [
  { units: 'metric', theme: 'light' },
  { units: 'inch', theme: 'dark' },
] as const satisfies readonly Look[];
/** In the pit it is dark, whatever is liked elsewhere. */
const looksAt = (path: string): readonly [Look, Look] =>
  path.includes('/pit') ? [{ ...LOOKS[0], theme: 'dark' }, LOOKS[1]] : LOOKS;
/** In which a view is opened: what is typed there is typed in its units. */
export const OPENED_IN: Look = LOOKS[0];

export const DESK = 1280;
/** A desk, a small laptop, a phone. */
const WIDTHS = [DESK, 1024, 390] as const;
const HEIGHT = 800;

/** What may be so, each with its reason. */
const ALLOWED: readonly RegExp[] = [
  // A path of a file is as long as it is, and its box scrolls.
  /^cut: \/tmp\//,
  // On a phone the marks of a sweep stand where there is room, over its axis where there is none.
  /^crossing: of the job × least current$/,
];

const textsIn = (value: unknown): readonly string[] =>
  typeof value === 'string'
    ? [value]
    : typeof value === 'object' && value !== null
      ? Object.values(value).flatMap(textsIn)
      : [];

/** Names, notes and sources that people or makers wrote: "brushed 12 V, 64 mm can" is no figure. A bare "20 kg" is one. */
const NAMED = ['heron', 'limpet', 'shelf']
  .flatMap((name) =>
    textsIn(JSON.parse(readFileSync(new URL(`../contract/demo/${name}.json`, import.meta.url), 'utf8'))),
  )
  .filter((text) => text.length > 8 && !/^[\d.]+ \S+$/.test(text))
  .sort((a, b) => b.length - a.length);

/** Chosen as in another window of the browser: the page follows without being loaded again. */
export async function choose(page: Page, look: Look): Promise<void> {
  await page.evaluate(({ units, theme }) => {
    for (const [key, newValue] of [
      ['rough-gear:units', units],
      ['rough-gear:theme', theme],
    ] as const) {
      localStorage.setItem(key, newValue);
      dispatchEvent(new StorageEvent('storage', { key, newValue, storageArea: localStorage }));
    }
  }, look);
  await expect(page.locator('html')).toHaveAttribute('data-theme', look.theme);
  await settled(page, 60);
}

const unreadable = async (page: Page): Promise<readonly string[]> =>
  (await textFaults(page)).filter((fault) => !ALLOWED.some((allowed) => allowed.test(fault)));

/** A chart that is still finding its size is looked at again. */
async function textsCut(page: Page): Promise<readonly string[]> {
  if ((await unreadable(page)).length === 0) return [];
  await settled(page, 800);
  return unreadable(page);
}

/** Everything folded is opened; menus and lists of choices stay shut. */
async function unfold(page: Page): Promise<void> {
  const folded = page
    .locator('main')
    .locator('[aria-expanded="false"]:not([aria-haspopup]):not([data-headlessui-state]):not(input):visible');
  for (let left = 12; left > 0 && (await folded.count()) > 0; left--) await folded.first().click({ timeout: 5000 });
}

/** The other chart of each side, where there is one. */
export async function otherCharts(page: Page): Promise<void> {
  for (const side of ['Chart of what it can do', 'Chart over time'])
    for (const tab of await page.getByRole('group', { name: side }).locator('[aria-pressed="false"]').all())
      await tab.click({ timeout: 5000 });
}

/** Opens what a view is: clicks by name, then what else is to be done there. */
export async function openView(page: Page, { click = [], then }: View): Promise<void> {
  for (const name of click) {
    const what = page
      .getByRole('button', { name, exact: true })
      .or(page.getByRole('tab', { name, exact: true }))
      .or(page.getByRole('menuitem', { name, exact: true }));
    // What stands behind the menu of a phone is there once that is open; the rest has to be fetched first.
    const menu = page.getByRole('button', { name: /^Mechanisms of/, expanded: false });
    await what.or(menu).first().waitFor({ timeout: 30_000 });
    if (!(await what.first().isVisible()) && (await menu.isVisible())) {
      await settled(page, 300);
      if (!(await what.first().isVisible())) await menu.click({ timeout: 5000 });
    }
    await what.first().click({ timeout: 30_000 });
  }
  await then?.(page);
}

/** What is wrong with pages, by name, width and look; empty where nothing is. */
export class Faults {
  readonly found: Record<string, readonly string[]> = {};

  constructor(private readonly page: Page) {}

  /**
   * Looks at what is open: texts that do not fit, units of the other system, and what axe objects to, in metric and light and
   * in inch and dark; then, the page made narrower as a window is, at its texts alone. What is folded is opened for that.
   */
  async look({ name, path, asWritten, alike, within, typed }: View, unfolded = false): Promise<void> {
    const [first, second] = looksAt(path);
    for (const [turn, look] of [first, second].entries()) {
      await choose(this.page, look);
      this.note(`${name}, ${look.units}, ${look.theme}`, [
        ...(await textsCut(this.page)),
        ...(asWritten ? [] : await straysOn(this.page, look.units, typed ? [typed, ...NAMED] : NAMED)),
        ...(alike ? [] : await objections(this.page, turn > 0, within)),
      ]);
    }
    if (unfolded) {
      await unfold(this.page);
      await this.texts(`${name}, unfolded`);
    }
    for (const width of WIDTHS.slice(1)) {
      await this.widen(width);
      await this.texts(`${name}, ${width} wide, ${second.units}`);
    }
    await choose(this.page, first);
    await this.texts(`${name}, ${WIDTHS.at(-1)} wide, ${first.units}`);
  }

  async widen(width: number): Promise<void> {
    await this.page.setViewportSize({ width, height: HEIGHT });
    // What hangs over the page is measured where it can be seen.
    await this.page.evaluate(() =>
      document.querySelector('[id^="headlessui-popover-panel"]')?.scrollIntoView({ block: 'nearest' }),
    );
    await settled(this.page, 60);
  }

  private async texts(name: string): Promise<void> {
    this.note(name, await textsCut(this.page));
  }

  private note(name: string, faults: readonly string[]): void {
    if (faults.length > 0) this.found[name] = faults;
  }
}
