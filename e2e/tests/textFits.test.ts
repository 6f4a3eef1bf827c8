import type { StoredPlan } from '@rough-gear/contract/api';
import { currentChoice, type Mechanism } from '@rough-gear/core';
import type { Page } from '@playwright/test';
import { expect, planIdOf, test } from '../fixtures.js';
import { settled } from '../settled.js';
import { textFaults } from '../textFaults.js';

/** Every view and panel of both demo robots: no text is cut, runs out of its box or the window, or crosses another. */

/** How a page may be looked at; each width in one of either theme and either system of units. */
const LOOKS = [
  { width: 1280, units: 'metric', theme: 'light' },
  { width: 1280, units: 'inch', theme: 'dark' },
  { width: 1024, units: 'inch', theme: 'light' },
  { width: 390, units: 'metric', theme: 'dark' },
] as const;

/** What may be so, each with its reason. */
const ALLOWED: readonly RegExp[] = [
  // A path of a file is as long as it is, and its box scrolls.
  /^cut: \/tmp\//,
  // On a phone the marks of a sweep stand where there is room, over its axis where there is none.
  /^crossing: of the job × least current$/,
];

const measured = async (page: Page): Promise<readonly string[]> =>
  (await textFaults(page)).filter((fault) => !ALLOWED.some((allowed) => allowed.test(fault)));

/** A chart that is still finding its size is looked at again. */
async function faultsOn(page: Page): Promise<readonly string[]> {
  if ((await measured(page)).length === 0) return [];
  await settled(page, 800);
  return measured(page);
}

function linksOf(mechanism: Mechanism): readonly string[] {
  const { drive, stages } = currentChoice(mechanism);
  const linkage = drive.kind === 'servo' && drive.linkage && drive.linkage.kind !== 'direct' ? ['linkage'] : [];
  return [
    'pack',
    'branch',
    ...(drive.kind === 'servo' ? ['rail', ...linkage] : ['controller']),
    'motor',
    ...stages.map(({ id }) => id),
    'output',
    'load',
  ];
}

/** Goes on without loading the program again, as a click on a link does. */
const go = (page: Page, path: string): Promise<void> =>
  page.evaluate((to) => {
    history.pushState({}, '', to);
    dispatchEvent(new PopStateEvent('popstate', { state: {} }));
  }, path);

for (const { width, units, theme } of LOOKS) {
  test.describe(`${width} wide, ${units}, ${theme}`, () => {
    test.use({ viewport: { width, height: 800 } });
    test.beforeEach(async ({ page }) => {
      await page.addInitScript(
        ([chosen, system]) => {
          localStorage.setItem('rough-gear:theme', chosen!);
          localStorage.setItem('rough-gear:units', system!);
          localStorage.setItem('rough-gear:rings-known', 'true');
        },
        [theme, units],
      );
    });

    for (const robot of ['Heron', 'Limpet'])
      test(`every text of ${robot} can be read whole`, async ({ page, server }) => {
        test.setTimeout(300_000);
        const id = await planIdOf(server, robot);
        const { document } = (await (await fetch(`${server.url}/api/plans/${id}`)).json()) as StoredPlan;
        await page.goto(`${server.url}/robots/${id}/${document.mechanisms[0]!.id}/motor`);
        await page.locator('#gauge').getByTestId('gauge').waitFor();
        const found: Record<string, readonly string[]> = {};
        for (const mechanism of document.mechanisms)
          for (const link of linksOf(mechanism)) {
            await go(page, `/robots/${id}/${mechanism.id}/${link}`);
            await settled(page, 120);
            const faults = await faultsOn(page);
            if (faults.length > 0) found[`${mechanism.name}, ${link}`] = faults;
          }
        expect(found).toEqual({});
      });

    test('every text of the other pages can be read whole', async ({ page, server }) => {
      test.setTimeout(180_000);
      const id = await planIdOf(server, 'Heron');
      const paths = [
        '/robots',
        '/shelf/motor',
        '/shelf/servo/servo-strong',
        '/data',
        '/models',
        `/robots/${id}/lift/s2?train=stages`,
        `/robots/${id}/lift/s2?train=lengths`,
        `/robots/${id}/drive/s2?train=layout`,
        `/robots/${id}/lift/motor?choose=ratio`,
        `/robots/${id}/lift/motor?choose=side`,
        `/robots/${id}/lift/motor?choose=shortlist`,
      ];
      const found: Record<string, readonly string[]> = {};
      for (const path of paths) {
        await page.goto(`${server.url}${path}`);
        await settled(page, 500);
        const faults = await faultsOn(page);
        if (faults.length > 0) found[path.replace(id, 'heron')] = faults;
      }
      expect(found).toEqual({});
    });
  });
}
