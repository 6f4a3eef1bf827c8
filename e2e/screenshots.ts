import { mkdirSync } from 'node:fs';
import { chromium, type Page } from '@playwright/test';
import { planIdOf } from './fixtures.js';
import { TestServer } from './server.js';
import { settled } from './settled.js';
import { desk } from './ways.js';

/** `npm run screenshots`: one current picture of each main view, from the demo, into docs/screenshots. */
interface Shot {
  readonly name: string;
  readonly path: string;
  readonly theme?: 'dark';
  readonly size?: { readonly width: number; readonly height: number };
  readonly firstUse?: true;
  readonly prepare?: (page: Page) => Promise<void>;
}

/** Pages that belong to no robot. */
const OUTSIDE = /^\/(robots|models|shelf|data|bench)/;
const DESK = { width: 1280, height: 800 };

const SHOTS: readonly Shot[] = [
  {
    name: 'robots',
    path: '/robots',
    // Judged whole, behind the list.
    prepare: (page) => page.getByTestId('robot-verdict').nth(1).waitFor({ timeout: 60_000 }),
  },
  {
    name: 'data',
    path: '/data',
    // As it stands where the program is installed, not in this script's own folder.
    prepare: (page) =>
      page.locator('code', { hasText: 'backups' }).evaluate((code) => {
        code.textContent = 'data/backups';
      }),
  },
  { name: 'bench-book', path: '/bench' },
  {
    name: 'trial',
    path: '/bench/7d2a0000-0000-4000-8000-000000000003',
    prepare: async (page) => {
      await page.getByTestId('judged-twice').getByRole('link').first().waitFor();
      await settled(page, 1500);
    },
  },
  { name: 'mast-lift', path: '/lift/motor' },
  { name: 'capstan-climb', path: '/climb/output' },
  { name: 'train-stages', path: '/lift/s2?desk=teeth&page=stages' },
  { name: 'train-layout', path: '/drive/s2?desk=teeth&page=layout' },
  { name: 'order-sheet', path: '/paper/order' },
  { name: 'pit', path: '/pit', size: { width: 390, height: 844 } },
  {
    name: 'whole-robot',
    path: '',
    prepare: (page) => page.getByTestId('robot-answer').waitFor({ timeout: 30_000 }),
  },
  { name: 'thrower-dark', path: '/thrower/load', theme: 'dark' },
  { name: 'turntable-stepper', path: '/turntable/motor' },
  { name: 'grip-linkage', path: '/grip/linkage' },
  { name: 'shelf', path: '/shelf/motor/motor-brushed-64' },
  {
    name: 'shortlist',
    path: '/thrower/motor?desk=shortlist',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'Search', exact: true }).click();
      await page.getByTestId('fallen').getByText('tried:').waitFor({ timeout: 90_000 });
      await page.getByTestId('found').getByRole('button').first().click();
      await page.getByRole('navigation', { name: 'Desks' }).scrollIntoViewIfNeeded();
    },
  },
  {
    name: 'side-by-side',
    path: '/lift/motor?desk=side',
    prepare: async (page) => {
      await page.getByRole('button', { name: 'One or two motors?' }).click();
      await page.getByRole('button', { name: 'Chain, or a wide belt?' }).click();
      await settled(page, 1500);
    },
  },
  {
    name: 'reasons',
    path: '/lift/motor?desk=side',
    prepare: async (page) => {
      const columns = page.getByTestId('columns').getByRole('region');
      for (const [index, why] of [
        [1, 'The chain can be mended on the quay with a spare link.'],
        [0, 'One motor is enough, and leaves a slot on the breaker board.'],
      ] as const) {
        await columns.nth(index).getByRole('button', { name: 'Put in force' }).click();
        await page.getByRole('textbox', { name: 'why this one' }).fill(why);
        await page.getByRole('dialog').getByRole('button', { name: 'Put in force' }).click();
      }
      await desk(page, 'Reasons').click();
      await settled(page, 1500);
    },
  },
  { name: 'phone', path: '/lift/motor', size: { width: 390, height: 844 } },
];

const folder = new URL('../docs/screenshots/', import.meta.url).pathname;
mkdirSync(folder, { recursive: true });
const server = new TestServer();
await server.start();
const heron = await planIdOf(server, 'Heron');
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
for (const shot of SHOTS) {
  const context = await browser.newContext({ viewport: shot.size ?? DESK, serviceWorkers: 'block' });
  await context.addInitScript(
    ([theme, known]) => {
      localStorage.setItem('rough-gear:theme', theme!);
      localStorage.setItem('rough-gear:rings-known', known!);
    },
    [shot.theme ?? 'light', String(!shot.firstUse)],
  );
  const page = await context.newPage();
  await page.goto(OUTSIDE.test(shot.path) ? `${server.url}${shot.path}` : `${server.url}/robots/${heron}${shot.path}`, {
    waitUntil: 'networkidle',
  });
  await settled(page, 700);
  await shot.prepare?.(page);
  // Matches and wires are judged beside the screen: a picture shows the verdict, not the wait for it.
  await page.waitForFunction(() => !/looking …|Looking at the whole robot/.test(document.body.innerText));
  // What was said for a moment is no part of the view.
  await page.waitForFunction(() => document.querySelector('[data-sonner-toast]') === null);
  await settled(page);
  await page.screenshot({ path: `${folder}${shot.name}.png` });
  await context.close();
  console.log(`docs/screenshots/${shot.name}.png`);
}
await browser.close();
await server.dispose();
