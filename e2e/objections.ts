import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';
import type { AxeResults, RunOptions } from 'axe-core';

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');
const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];
/** Rules that a theme can break: all others are about how a page is built. */
const COLOURS = ['color-contrast', 'link-in-text-block'];

/** Its own guards of a panel's focus are hidden and take the focus by design. */
const GUARDS = '[data-headlessui-focus-guard], [id^="headlessui-focus-sentinel"]';

interface Ask {
  readonly options: RunOptions;
  readonly guards: string;
  readonly regions: readonly string[];
  readonly coloursAlone: boolean;
}

/**
 * What axe objects to in WCAG 2.2 A and AA, or in what a theme changes alone. It looks at the region that a view changes; the
 * colours of a dialog are looked at without what lies behind. Axe is read into a page once, and an element that it had
 * nothing against is not looked at again where it stands within the same elements, built as it was, in the same theme.
 */
export async function objections(page: Page, coloursAlone = false, within?: string): Promise<readonly string[]> {
  if (!(await page.evaluate(() => 'axe' in globalThis))) await page.evaluate(AXE);
  const options: RunOptions = {
    runOnly: coloursAlone ? { type: 'rule', values: COLOURS } : { type: 'tag', values: TAGS },
    resultTypes: ['violations'],
    preload: false,
  };
  const regions = [...(coloursAlone ? ['[role="dialog"]'] : []), ...(within ? [`[aria-label="${within}"]`] : [])];
  const { violations } = await page.evaluate(askAxe, { options, guards: GUARDS, regions, coloursAlone });
  return violations.map(
    ({ id, nodes }) =>
      `${id}: ${nodes
        .slice(0, 3)
        .map(({ target, failureSummary }) => `${target.join(' ')} ${failureSummary ?? ''}`)
        .join(' | ')}`,
  );
}

/** Runs in the page: nothing from outside may be named here. */
async function askAxe({ options, guards, regions, coloursAlone }: Ask): Promise<AxeResults> {
  const page = globalThis as unknown as {
    axe: { run(of: object, how: object): Promise<AxeResults> };
    fine?: Set<string>;
  };
  const fine = (page.fine ??= new Set());
  const region = regions.map((selector) => document.querySelector(selector)).find((one) => one !== null);
  const root = region ?? document.documentElement;

  /** A short name for a long text. */
  function digest(text: string): string {
    let [low, high] = [0xdeadbeef, 0x41c6ce57];
    for (let at = 0; at < text.length; at++) {
      const code = text.charCodeAt(at);
      low = Math.imul(low ^ code, 2654435761);
      high = Math.imul(high ^ code, 1597334677);
    }
    return `${(low >>> 0).toString(36)}${(high >>> 0).toString(36)}`;
  }
  /** Ids are given anew each time a thing is shown: they do not make it another. */
  const built = (markup: string): string => markup.replace(/\b(headlessui-[a-z-]+|v|zr)[-:]?\d[-\w]*/g, '$1');
  const opening = (element: Element): string => built((element.cloneNode(false) as Element).outerHTML);
  const nameOf = (element: Element, around: string): string => digest(around + built(element.outerHTML));

  const known: Element[] = [];
  const looked: string[] = [];
  /** Goes down until it comes to what is known. */
  function walk(element: Element, around: string): void {
    const name = nameOf(element, around);
    if (fine.has(name)) {
      known.push(element);
      return;
    }
    looked.push(name);
    const within = digest(around + opening(element));
    for (const child of element.children) walk(child, within);
  }
  let around = `${document.documentElement.dataset['theme']} ${coloursAlone}`;
  for (let outer = root.parentElement; outer; outer = outer.parentElement) around = digest(around + opening(outer));
  walk(root, around);
  const result = await page.axe.run(
    { include: [root], exclude: [...known, ...document.querySelectorAll(guards)] },
    options,
  );
  if (result.violations.length === 0) for (const name of looked) fine.add(name);
  return result;
}
