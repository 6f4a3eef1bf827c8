import { chromium } from '@playwright/test';
import { planIdOf } from './fixtures.js';
import { TestServer } from './server.js';
const server = new TestServer();
await server.start();
const heron = await planIdOf(server, 'Heron');
const limpet = await planIdOf(server, 'Limpet');
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
const only = process.argv.slice(2);
const all: [string, string, number, number, (p: import('@playwright/test').Page) => Promise<unknown>][] = [
  ['robots', '/robots', 1280, 800, (p) => p.getByTestId('robot-verdict').nth(1).waitFor({ timeout: 40000 })],
  ['whole', `/robots/${heron}`, 1280, 800, (p) => p.getByTestId('whole-robot').locator('b').waitFor({ timeout: 40000 })],
  ['lift', `/robots/${heron}/lift/motor`, 1280, 800, (p) => p.getByTestId('list-in-match').first().waitFor({ timeout: 40000 })],
  ['limpet', `/robots/${limpet}`, 1280, 800, (p) => p.getByTestId('whole-robot').locator('b').waitFor({ timeout: 40000 })],
  ['pit', `/robots/${heron}/pit/verdicts`, 390, 844, (p) => p.getByTestId('whole-robot').locator('b').waitFor({ timeout: 40000 })],
  ['book', `/robots/${heron}/paper/book`, 1280, 800, (p) => p.getByTestId('whole-robot').locator('b').waitFor({ timeout: 40000 })],
  ['phone', `/robots/${heron}`, 390, 844, (p) => p.getByTestId('whole-robot').locator('b').waitFor({ timeout: 40000 })],
  ['robots-phone', '/robots', 390, 844, (p) => p.getByTestId('robot-verdict').nth(1).waitFor({ timeout: 40000 })],
];
for (const [name, path, width, height, ready] of all) {
  if (only.length && !only.includes(name)) continue;
  const context = await browser.newContext({ viewport: { width, height }, serviceWorkers: 'block' });
  await context.addInitScript(() => localStorage.setItem('rough-gear:rings-known', 'true'));
  const page = await context.newPage();
  page.on('pageerror', (e) => console.log(name, 'ERR', e.message));
  await page.goto(server.url + path);
  await ready(page).catch((e: Error) => console.log(name, e.message.slice(0, 200)));
  await page.waitForTimeout(1500);
  await page.screenshot({ path: `/tmp/shot-${name}.png` });
  await context.close();
}
await browser.close();
await server.dispose();
