import { readFileSync } from 'node:fs';
import type { Plan } from '@rough-gear/core';
import { ROUTES, type RouteName } from '../../web/src/routes.js';
import { expect, open, test, type Robots } from '../fixtures.js';
import { go } from '../go.js';
import { settled } from '../settled.js';
import { mechanismWalks, WALKS, type View } from '../views.js';
import { choose, DESK, Faults, OPENED_IN, openView, otherCharts } from '../walking.js';

/**
 * Every view, reached as a click reaches it: no text is cut, runs out of its box or the window, or crosses another, at three
 * widths; no unit of the other system is shown; and axe objects to nothing, in light and dark.
 */

const demo = (name: string): Plan =>
  JSON.parse(readFileSync(new URL(`../../contract/demo/${name}.json`, import.meta.url), 'utf8')) as Plan;
const MECHANISMS = ['heron', 'limpet'].flatMap((name) => mechanismWalks(demo(name)));

async function addressOf(view: View, robots: Robots): Promise<string> {
  const [, name] = /^:(heron|limpet)/.exec(view.path) ?? [];
  return name === undefined
    ? view.path
    : view.path.replace(`:${name}`, `/robots/${await robots.idOf(name === 'heron' ? 'Heron' : 'Limpet')}`);
}

test.beforeEach(async ({ page }) => {
  test.setTimeout(300_000);
  await page.evaluate(() => localStorage.setItem('rough-gear:rings-known', 'true'));
});

for (const { name, views } of MECHANISMS)
  test(`${name}: every link reads well`, async ({ page, server, robots }) => {
    const faults = new Faults(page);
    await open(page, server, await addressOf(views[0]!, robots));
    await page.locator('#gauge').getByTestId('gauge').waitFor();
    for (const view of views) {
      await faults.widen(DESK);
      await go(page, await addressOf(view, robots));
      await settled(page, 100);
      await faults.look(view, true);
    }
    await faults.widen(DESK);
    await otherCharts(page);
    await settled(page, 200);
    await faults.look({ name: 'other charts', path: '', alike: true });
    expect(faults.found).toEqual({});
  });

for (const { name, views, ownServer = false } of WALKS)
  test.describe(name, () => {
    test.use({ ownServer });
    test('every one reads well', async ({ page, server, robots }) => {
      const faults = new Faults(page);
      await open(page, server, '/data');
      for (const view of views) {
        // By way of another page, so that nothing stays open from the view before.
        await page.keyboard.press('Escape');
        await go(page, '/data');
        await faults.widen(DESK);
        await choose(page, OPENED_IN);
        await go(page, await addressOf(view, robots));
        await settled(page, 100);
        await openView(page, view);
        await settled(page, 200);
        await faults.look(view);
      }
      expect(faults.found).toEqual({});
    });
  });

test('every address of the program is walked', () => {
  const paths = [...MECHANISMS, ...WALKS].flatMap(({ views }) =>
    views.map(({ path }) => path.replace(/^:\w+/, '/robots/x').replace(/\?.*/, '')),
  );
  const unwalked = (Object.keys(ROUTES) as RouteName[]).filter((name) => {
    // An address as the router reads it: `:name(a|b)?` is one of these, or nothing.
    const pattern = ROUTES[name].replace(
      /\/:\w+(\([^)]*\))?(\?)?/g,
      (_, among?: string, optional?: string) => `(?:/${among ?? '[^/]+'})${optional ?? ''}`,
    );
    return !paths.some((path) => new RegExp(`^${pattern}$`).test(path));
  });
  expect(unwalked).toEqual([]);
});
