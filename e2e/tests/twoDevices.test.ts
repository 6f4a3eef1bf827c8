import type { StoredTrial } from '@rough-gear/contract/api';
import { rowIdsOf, type Trial } from '@rough-gear/core';
import type { Browser, Page } from '@playwright/test';
import { expect, Heron, open, test } from '../fixtures.js';
import { objections } from '../objections.js';
import type { TestServer } from '../server.js';
import { toRobots } from '../ways.js';

/** A phone and a laptop, two windows, two moments: what was written on one of them is never gone without a word. */
test.use({ ownServer: true, ownBrowser: true });

const begun: Trial = {
  kind: 'pack',
  subject: { name: 'lead 18 Ah', specimen: 'pack B' },
  startedAt: '2026-11-30T17:00:00Z',
  who: 'Jonas',
  used: '',
  note: '',
  given: {},
  said: {},
  readings: { current: [0, 10], voltage: [12.7, 12.5] },
  struck: [],
};

async function beginTrial(server: TestServer): Promise<string> {
  const response = await fetch(`${server.url}/api/trials`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(begun),
  });
  return ((await response.json()) as StoredTrial).id;
}
const stored = async (server: TestServer, id: string): Promise<Trial> =>
  ((await (await fetch(`${server.url}/api/trials/${id}`)).json()) as StoredTrial).trial;
const voltsIn = async (server: TestServer, id: string): Promise<readonly (number | null)[]> =>
  (await stored(server, id)).readings['voltage'] ?? [];

/** Another browser. */
const device = async (browser: Browser): Promise<Page> =>
  (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();

const cells = (page: Page, column: RegExp) =>
  page.getByRole('region', { name: 'Table of readings' }).getByRole('textbox', { name: column });
/** Types a reading into the row after the last. */
async function reading(page: Page, amperes: string, volts: string): Promise<void> {
  const fresh = cells(page, /^amperes, reading/).last();
  const row = /\d+$/.exec((await fresh.getAttribute('aria-label')) ?? '')?.[0];
  await fresh.fill(amperes);
  await fresh.press('Tab');
  const beside = cells(page, new RegExp(`^volts, reading ${row}$`));
  await beside.fill(volts);
  await beside.press('Tab');
}
const state = (page: Page) => page.getByRole('status').filter({ hasText: /saved|kept in this browser|closed/ });

test('a phone and a laptop write in one trial, one of them without a network, and both see all rows', async ({
  page: laptop,
  browser,
  server,
}) => {
  const id = await beginTrial(server);
  const phone = await device(browser);
  for (const page of [laptop, phone]) {
    await page.goto(`${server.url}/bench/${id}`);
    await expect(cells(page, /^amperes, reading/)).toHaveCount(3);
  }
  await reading(laptop, '20', '12.3');
  // It shows on the other by itself.
  await expect(cells(phone, /^amperes, reading/)).toHaveCount(4, { timeout: 15_000 });

  await phone.context().setOffline(true);
  await reading(phone, '30', '12.1');
  await expect(state(phone)).toHaveText('kept in this browser, sent when the server is back');
  await reading(laptop, '40', '11.9');
  await reading(laptop, '50', '11.7');
  await expect.poll(() => voltsIn(server, id)).toEqual([12.7, 12.5, 12.3, 11.9, 11.7]);
  await phone.context().setOffline(false);
  await expect.poll(() => voltsIn(server, id), { timeout: 20_000 }).toEqual([12.7, 12.5, 12.3, 11.9, 11.7, 12.1]);
  for (const page of [laptop, phone])
    await expect(cells(page, /^amperes, reading/)).toHaveCount(7, { timeout: 15_000 });
  expect(new Set(rowIdsOf(await stored(server, id))).size).toBe(6);

  // The phone has just written: the laptop is told before it closes the trial.
  await laptop.getByRole('button', { name: 'Close the trial' }).click();
  await expect(laptop.getByRole('alert')).toContainText('Another device wrote in this trial');
  await laptop.getByRole('button', { name: 'Close it all the same' }).click();
  await expect(state(laptop)).toHaveText('closed: nothing in it changes');
  await phone.context().close();
});

test('what was written while it was closed elsewhere is kept, and becomes a trial of its own', async ({
  page: laptop,
  browser,
  server,
}) => {
  const id = await beginTrial(server);
  const phone = await device(browser);
  await phone.goto(`${server.url}/bench/${id}`);
  await expect(cells(phone, /^amperes, reading/)).toHaveCount(3);
  await phone.context().setOffline(true);
  await reading(phone, '30', '12.1');
  await expect(state(phone)).toContainText('kept in this browser');
  await laptop.goto(`${server.url}/bench/${id}`);
  await laptop.getByRole('button', { name: 'Close the trial' }).click();
  await expect(state(laptop)).toHaveText('closed: nothing in it changes');
  await phone.context().setOffline(false);
  await phone.reload();
  const apart = phone.getByRole('alert').filter({ hasText: 'closed on another device' });
  await expect(apart).toContainText('1 row that you wrote here is not in it');
  expect(await objections(phone)).toEqual([]);
  // It is asked again until it is decided.
  await phone.reload();
  await apart.getByRole('button', { name: 'A trial of their own' }).click();
  await expect(cells(phone, /^amperes, reading/)).toHaveCount(4);
  expect(phone.url()).not.toContain(id);
  expect(await voltsIn(server, phone.url().split('/').at(-1)!)).toEqual([12.7, 12.5, 12.1]);
  await phone.context().close();
});

test('two devices that change one thing see both, and a person decides', async ({ page: laptop, browser, server }) => {
  const id = await beginTrial(server);
  const phone = await device(browser);
  for (const page of [laptop, phone]) {
    await page.goto(`${server.url}/bench/${id}`);
    await expect(cells(page, /^amperes, reading/)).toHaveCount(3);
  }
  await phone.context().setOffline(true);
  const first = (page: Page) => cells(page, /^volts, reading 1$/);
  await first(phone).fill('12.8');
  await first(phone).press('Tab');
  await first(laptop).fill('12.6');
  await first(laptop).press('Tab');
  await expect.poll(() => voltsIn(server, id)).toEqual([12.6, 12.5]);
  await phone.context().setOffline(false);
  const clash = phone.getByRole('alert', { name: 'Written on two devices' });
  await expect(clash).toContainText(/Reading 1.*mine 12\.8 V.*theirs 12\.6 V/s, { timeout: 20_000 });
  expect(await objections(phone)).toEqual([]);
  await clash.getByRole('button', { name: 'Take mine' }).click();
  await expect(clash).toBeHidden();
  await expect.poll(() => voltsIn(server, id)).toEqual([12.8, 12.5]);
  await phone.context().close();
});

test('a window’s edits on an older save are there after a reload, and after it was closed', async ({ heron, page }) => {
  const context = page.context();
  const load = (of: Page) => of.getByRole('textbox', { name: 'load', exact: true });
  const type = async (of: Page, text: string): Promise<void> => {
    await load(of).fill(text);
    await load(of).press('Enter');
  };
  const other = new Heron(heron.server, await context.newPage(), heron.id);
  await heron.open('lift', 'load');
  await other.open('lift', 'load');
  await type(page, '18 kg');
  await heron.saved();
  await type(other.page, '23 kg');
  await expect(other.page.getByRole('alert')).toContainText('This plan was saved elsewhere');
  await type(page, '17 kg');
  await heron.saved();
  await other.page.reload();
  await expect(other.page.getByRole('alert')).toContainText('This plan was saved elsewhere');
  await expect(load(other.page)).toHaveValue('23 kg');
  await expect(load(page)).toHaveValue('17 kg');

  await other.page.close();
  const again = new Heron(heron.server, await context.newPage(), heron.id);
  await again.open('lift', 'load');
  await expect(load(again.page)).toHaveValue('23 kg');
  await expect(again.page.getByRole('alert')).toContainText('This plan was saved elsewhere');
  await again.page.getByRole('button', { name: /Mine/ }).click();
  await again.saved();
  expect(JSON.stringify((await heron.stored()).document)).toContain('23 kg');
});

test('an edit made while a slow save is under way comes home though another robot is open by then', async ({
  heron,
  page,
  server,
  robots,
}) => {
  await heron.open('lift', 'load');
  let let1st!: () => void;
  const held = new Promise<void>((resolve) => (let1st = resolve));
  await page.route('**/api/plans/*', async (route) => {
    if (route.request().method() === 'PUT') await held;
    await route.continue();
  });
  const load = page.getByRole('textbox', { name: 'load', exact: true });
  const sent = page.waitForRequest((request) => request.method() === 'PUT');
  await load.fill('17 kg');
  await load.press('Enter');
  await sent;
  await load.fill('16 kg');
  await load.press('Enter');
  await toRobots(page);
  await page.getByRole('link', { name: 'Limpet', exact: true }).click();
  await expect(page).toHaveURL(new RegExp(await robots.idOf('Limpet')));
  await expect(page.getByText('Heron is not saved yet')).toBeVisible();
  let1st();
  await expect.poll(async () => JSON.stringify((await heron.stored()).document)).toContain('16 kg');
  await expect(page.getByText('Heron is not saved yet')).toBeHidden();
  await open(page, server, `/robots/${heron.id}/lift/load`);
  await expect(load).toHaveValue('16 kg');
  await heron.saved();
});

test('a link leads from one robot to another one’s mechanism', async ({ heron, page, robots }) => {
  await heron.open('lift', 'load');
  const limpet = await robots.idOf('Limpet');
  await toRobots(page);
  await page.getByRole('link', { name: 'Limpet', exact: true }).click();
  await page
    .getByRole('navigation', { name: 'Mechanisms' })
    .getByRole('link', { name: /^Winch/ })
    .click();
  await expect(page.getByTestId('gauge')).toBeVisible();
  await page.goBack();
  await page.goBack();
  await page.goBack();
  await expect(page).toHaveURL(new RegExp(`${heron.id}/lift`));
  await expect(page.getByTestId('gauge')).toBeVisible();
  await page.goForward();
  await page.goForward();
  await page.goForward();
  await expect(page).toHaveURL(new RegExp(`${limpet}/winch`));
  await expect(page.getByTestId('gauge')).toBeVisible();
});
