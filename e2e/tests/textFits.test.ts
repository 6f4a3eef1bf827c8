import type { StoredPlan } from '@rough-gear/contract/api';
import { currentChoice, type Mechanism } from '@rough-gear/core';
import type { Page } from '@playwright/test';
import { expect, planIdOf, test } from '../fixtures.js';
import { settled } from '../settled.js';
import { textFaults } from '../textFaults.js';

/** Every view and panel of both demo robots: no text is cut, runs out of its box or the window, or crosses another. */

const WIDTHS = [1280, 1024, 390] as const;

/** How a page is looked at in each width. */
const LOOKS = [
  { units: 'metric', theme: 'light' },
  { units: 'metric', theme: 'dark' },
  { units: 'inch', theme: 'dark' },
  { units: 'inch', theme: 'light' },
] as const;
type Look = (typeof LOOKS)[number];

/** In the pit it is dark, whatever is liked elsewhere. */
const looksAt = (path: string): readonly Look[] =>
  path.includes('/pit') ? LOOKS.filter(({ theme }) => theme === 'dark') : LOOKS;

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

/** Chosen as in another window of the browser: the page follows without being loaded again. */
const choose = (page: Page, look: Look): Promise<void> =>
  page.evaluate(({ units, theme }) => {
    for (const [key, newValue] of [
      ['rough-gear:units', units],
      ['rough-gear:theme', theme],
    ] as const) {
      localStorage.setItem(key, newValue);
      dispatchEvent(new StorageEvent('storage', { key, newValue, storageArea: localStorage }));
    }
  }, look);

type Faults = Record<string, readonly string[]>;

/** What cannot be read on the page that is open, in every look or in some. */
async function lookAt(page: Page, name: string, found: Faults, looks: readonly Look[] = LOOKS): Promise<void> {
  for (const look of looks) {
    await choose(page, look);
    await expect(page.locator('html')).toHaveAttribute('data-theme', look.theme);
    await settled(page, 60);
    const faults = await faultsOn(page);
    if (faults.length > 0) found[`${name}, ${look.units}, ${look.theme}`] = faults;
  }
}

/** Everything folded is opened; menus and lists of choices stay shut. */
async function unfold(page: Page): Promise<void> {
  const folded = page
    .locator('main')
    .locator('[aria-expanded="false"]:not([aria-haspopup]):not([data-headlessui-state]):not(input):visible');
  for (let left = 12; left > 0 && (await folded.count()) > 0; left--) await folded.first().click({ timeout: 5000 });
}

/** The other chart of each side, where there is one. */
async function otherCharts(page: Page): Promise<void> {
  for (const side of ['Chart of what it can do', 'Chart over time'])
    for (const tab of await page.getByRole('group', { name: side }).locator('[aria-pressed="false"]').all())
      await tab.click({ timeout: 5000 });
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

/** What opens over a page, by what is clicked there one after the other. */
const OPENED: readonly { readonly at: string; readonly click: readonly (string | RegExp)[] }[] = [
  { at: '', click: ['event sheet'] },
  { at: '/bench', click: ['New trial'] },
  { at: '/bench', click: ['New trial', 'Begin', 'Read live'] },
  { at: '/bench', click: ['New trial', 'Begin', 'Paste columns, or a file'] },
  { at: '/shelf/motor', click: ['Import a file'] },
  { at: '/shelf/motor', click: ['Earlier imports'] },
  { at: '/shelf/motor', click: ['all alike'] },
  { at: '/shelf/servo', click: ['New part', 'Paste a data sheet'] },
  { at: '/pit', click: ['A fault found'] },
  { at: '/pit/cards', click: [/^Mast lift/] },
  { at: '/paper/order', click: [/64 mm can/] },
  { at: '', click: ['Its parts, and others'] },
  { at: '', click: ['by mechanism'] },
  { at: '/lift/motor', click: ['Working'] },
  { at: '/lift/motor', click: ['Demand'] },
  { at: '/lift/motor', click: ['what the rings mean'] },
  { at: '/lift/motor', click: ['Add a mechanism'] },
  { at: '/lift/motor', click: ['Try another machine'] },
  { at: '/lift/motor', click: ['How far they vary'] },
  { at: '/lift/motor', click: ['Revisions'] },
  { at: '/lift/motor', click: ['Shortcuts'] },
  { at: '/lift/motor', click: [/^Parts, 1 newer/] },
  { at: '/lift/motor', click: [/^Change$/] },
  { at: '/lift/controller', click: [/^Change$/] },
  { at: '/lift/load', click: ['Add a job'] },
  ...['How many', 'Which winding', 'Volts and speed', 'Brushed or brushless', 'Two kinds mixed'].map((tab) => ({
    at: '/lift/motor',
    click: ['Compare', tab],
  })),
  { at: '/turntable/motor', click: ['Compare'] },
  { at: '/grip/motor', click: ['Compare'] },
  { at: '/lift/motor', click: ['table'] },
  { at: '/hoist/motor', click: ['Wiring'] },
  { at: '/turntable/motor', click: ['Wiring'] },
  { at: '/grip/motor', click: ['Holding'] },
  { at: '/drive/s2?train=layout', click: ['Unfolded'] },
];

for (const width of WIDTHS) {
  test.describe(`${width} wide`, () => {
    test.use({ viewport: { width, height: 800 } });
    test.beforeEach(async ({ page }) => {
      await page.addInitScript(() => localStorage.setItem('rough-gear:rings-known', 'true'));
    });

    for (const robot of ['Heron', 'Limpet'])
      test(`every text of ${robot} can be read whole`, async ({ page, server }) => {
        test.setTimeout(600_000);
        const id = await planIdOf(server, robot);
        const { document } = (await (await fetch(`${server.url}/api/plans/${id}`)).json()) as StoredPlan;
        await page.goto(`${server.url}/robots/${id}/${document.mechanisms[0]!.id}/motor`);
        await page.locator('#gauge').getByTestId('gauge').waitFor();
        const found: Faults = {};
        // Each link in two of the looks, by turns: over a mechanism all of them, and in each both units and both themes.
        const byTurns = [
          [LOOKS[0], LOOKS[2]],
          [LOOKS[1], LOOKS[3]],
        ];
        let turn = 0;
        for (const [i, mechanism] of document.mechanisms.entries()) {
          // Pack and branch are the same for all.
          for (const link of linksOf(mechanism).filter((one) => i < 2 || (one !== 'pack' && one !== 'branch'))) {
            await go(page, `/robots/${id}/${mechanism.id}/${link}`);
            await settled(page, 120);
            await lookAt(page, `${mechanism.name}, ${link}`, found, byTurns[turn++ % 2]);
            await unfold(page);
            await settled(page, 60);
            const faults = await faultsOn(page);
            if (faults.length > 0) found[`${mechanism.name}, ${link}, unfolded`] = faults;
          }
          await otherCharts(page);
          await settled(page, 300);
          await lookAt(page, `${mechanism.name}, other charts`, found);
          await otherCharts(page);
        }
        expect(found).toEqual({});
      });

    test('every text of the other pages can be read whole', async ({ page, server }) => {
      test.setTimeout(300_000);
      const id = await planIdOf(server, 'Heron');
      const paths = [
        '/robots',
        '/shelf/motor',
        '/shelf/servo/servo-strong',
        '/data',
        '/bench',
        '/bench/7d2a0000-0000-4000-8000-000000000001',
        '/bench/7d2a0000-0000-4000-8000-000000000003',
        '/bench/7d2a0000-0000-4000-8000-000000000009',
        '/bench/7d2a0000-0000-4000-8000-000000000003/paper/report',
        '/bench/7d2a0000-0000-4000-8000-000000000003/paper/blank',
        '/models',
        `/robots/${id}`,
        `/robots/${id}/paper/order`,
        `/robots/${id}/paper/cards`,
        `/robots/${id}/paper/wiring`,
        `/robots/${id}/paper/book`,
        ...['', '/cards', '/wires', '/verdicts'].map((pit) => `/robots/${id}/pit${pit}`),
        `/robots/${id}?choose=all`,
        `/robots/${id}/lift/s2?train=stages`,
        `/robots/${id}/lift/s2?train=lengths`,
        `/robots/${id}/drive/s2?train=layout`,
        `/robots/${id}/lift/motor?choose=ratio`,
        `/robots/${id}/lift/motor?choose=speed`,
        `/robots/${id}/lift/motor?choose=side`,
        `/robots/${id}/turntable/motor?choose=side`,
        `/robots/${id}/lift/motor?choose=shortlist`,
        `/robots/${id}/lift/motor?choose=reasons`,
      ];
      const found: Faults = {};
      for (const path of paths) {
        await page.goto(`${server.url}${path}`);
        await settled(page, 500);
        await lookAt(page, path.replace(id, 'heron'), found, looksAt(path));
      }
      expect(found).toEqual({});
    });

    test('every text of what opens over a page can be read whole', async ({ page, server }) => {
      test.setTimeout(300_000);
      const id = await planIdOf(server, 'Heron');
      const found: Faults = {};
      for (const { at, click } of OPENED) {
        await page.goto(`${server.url}${/^.(robots|shelf|bench)/.test(at) ? at : `/robots/${id}${at}`}`);
        await settled(page, 200);
        for (const name of click) {
          const what = page.getByRole('button', { name, exact: true }).or(page.getByRole('tab', { name, exact: true }));
          // On a phone some of it is behind the menu.
          const there = await what
            .first()
            // What has to be asked of the server or the worker first is not there at once.
            .waitFor({ timeout: width < 1000 ? 2000 : 10_000 })
            .then(
              () => true,
              () => false,
            );
          if (!there) await page.getByRole('button', { name: /^Mechanisms of/ }).click({ timeout: 5000 });
          await what.first().click({ timeout: 5000 });
        }
        await settled(page, 400);
        await lookAt(page, `${at}, ${click.join(', ')}`, found, looksAt(at));
      }
      expect(found).toEqual({});
    });
  });
}
