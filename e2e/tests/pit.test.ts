import type { DiaryEntry } from '@rough-gear/core';
import type { Browser, Page } from '@playwright/test';
import { expect, open, planIdOf, test } from '../fixtures.js';
import type { TestServer } from '../server.js';

test.use({ ownServer: true, ownBrowser: true });

/** Beside the robot: two phones, no network, bad light, one hand. */
const PHONE = { viewport: { width: 390, height: 844 } };

const diaryOf = async (server: TestServer, id: string): Promise<readonly DiaryEntry[]> =>
  ((await (await fetch(`${server.url}/api/diary/${id}`)).json()) as { entries: DiaryEntry[] }).entries;

async function phone(browser: Browser, server: TestServer, id: string, who: string): Promise<Page> {
  const context = await browser.newContext(PHONE);
  await context.addInitScript((name) => localStorage.setItem('rough-gear:who', name), who);
  const page = await context.newPage();
  await open(page, server, `/robots/${id}/pit`);
  await page.getByRole('heading', { name: 'Before the match' }).waitFor();
  return page;
}
const tick = (page: Page, name: string | RegExp) => page.getByRole('checkbox', { name });

test('two phones tick the same list without a network, and both ticks arrive', async ({ browser, heron, server }) => {
  test.setTimeout(180_000);
  const [ada, ben] = [await phone(browser, server, heron.id, 'Ada'), await phone(browser, server, heron.id, 'Ben')];
  // The page itself is kept before the server goes away.
  for (const page of [ada, ben]) {
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await page.reload();
    await page.getByRole('heading', { name: 'Before the match' }).waitFor();
  }
  await server.stop();
  await tick(ada, /^Wheels: tread/).click();
  await expect(tick(ada, /^Wheels: tread/)).toBeChecked();
  await tick(ben, /^Ratchet clicks/).click();
  await expect(ben.getByText('no network: 1 line waits here')).toBeVisible();
  // A phone that is opened again meanwhile has lost nothing.
  await ben.reload();
  await expect(tick(ben, /^Ratchet clicks/)).toBeChecked();
  await tick(ben, /^Wheels: tread/).click();
  await server.start();
  await expect(ada.getByText('no network')).toBeHidden({ timeout: 20_000 });
  await expect(ben.getByText('no network')).toBeHidden({ timeout: 20_000 });
  const ticks = (await diaryOf(server, heron.id)).flatMap((entry) =>
    entry.kind === 'checked' && ['Ada', 'Ben'].includes(entry.who) && !entry.at.startsWith('2026-11-21')
      ? [`${entry.who} ${entry.check}`]
      : [],
  );
  expect(ticks.sort()).toEqual(['Ada wheels drive', 'Ben ratchet lift', 'Ben wheels drive']);
  // Each sees what the other did.
  await ada.reload();
  await expect(tick(ada, /^Ratchet clicks/)).toBeChecked();
  await expect(ada.locator('[data-check="ratchet lift"]')).toContainText('Ben');
  for (const page of [ada, ben]) await page.context().close();
});

test('what was ticked on one robot goes home when another one is opened', async ({ heron, page, server }) => {
  await page.setViewportSize(PHONE.viewport);
  const other = await planIdOf(server, 'Limpet');
  await open(page, server, `/robots/${other}/pit`);
  await page.getByRole('heading', { name: 'Before the match' }).waitFor();
  await server.stop();
  await tick(page, /^Rope: frayed/).click();
  await expect(page.getByText('no network: 1 line waits here')).toBeVisible();
  await server.start();
  await open(page, server, `/robots/${heron.id}/pit`);
  await expect
    .poll(async () => (await diaryOf(server, other)).map((entry) => entry.kind), { timeout: 20_000 })
    .toEqual(['checked']);
});

test('a match is played: turns and hours count on, a new part begins anew', async ({ heron, page, server }) => {
  await page.setViewportSize(PHONE.viewport);
  await open(page, server, `/robots/${heron.id}/pit`);
  const rope = page.locator('[data-check="rope lift"]');
  await expect(page.getByText('match 6 is next, 5 played')).toBeVisible();
  await expect(rope).toContainText('130 goes');
  await page.getByRole('button', { name: 'Match 6 is played' }).click();
  await expect(page.getByText('match 7 is next, 6 played')).toBeVisible();
  await expect(rope).toContainText('156 goes');
  // The fault of the demo stays until a new rope is in.
  await expect(rope).toContainText('rope of the mast frays');
  await rope.getByRole('button', { name: /fault or new part/ }).click();
  await page.getByLabel('what is wrong, or new').fill('new rope, 4 m');
  await page.getByRole('button', { name: 'A new part is in' }).click();
  await expect(rope.getByRole('checkbox')).toBeChecked();
  await expect(rope).not.toContainText('frays');
  await expect(rope).not.toContainText('goes');
  await page.getByRole('button', { name: 'Match 7 is played' }).click();
  await expect(rope).toContainText('26 goes');
});

test('a fault goes where it is asked to: the order sheet, the bench book', async ({ heron, page, server }) => {
  await page.setViewportSize(PHONE.viewport);
  await open(page, server, `/robots/${heron.id}/pit`);
  const note = async (about: string, what: string, asks: string): Promise<void> => {
    await page.getByRole('button', { name: 'A fault found' }).click();
    await page.getByLabel('at what').selectOption({ label: about });
    await page.getByLabel('what is wrong, or new').fill(what);
    await page.getByLabel('it asks for').selectOption({ label: asks });
    await page.getByRole('button', { name: 'It is a fault' }).click();
  };
  await note(
    'Gaff arm: Brake holds with the power off',
    'brake of the gaff slips',
    'a part: it goes on the order sheet',
  );
  await note(
    'Drive base: Brushes: dust at the can, sparks, a lower free speed',
    'left front motor is slow',
    'a trial: it goes into the bench book',
  );
  await expect(page.locator('[data-check="brake arm"]')).toContainText('brake of the gaff slips; asks for a spare');
  await open(page, server, `/robots/${heron.id}/paper/order`);
  await expect(page.getByLabel('Faults that ask for a part')).toContainText('To replace: brake of the gaff slips');
  await open(page, server, '/bench');
  await expect(page.getByLabel('Faults that ask for a trial')).toContainText(
    'To measure, Heron: left front motor is slow',
  );
});

test('volts at rest and under load tell charge and age', async ({ heron, page, server }) => {
  await page.setViewportSize(PHONE.viewport);
  await open(page, server, `/robots/${heron.id}/pit`);
  await page.getByLabel('at rest', { exact: true }).fill('12.6');
  await page.getByLabel('at rest', { exact: true }).press('Enter');
  await expect(page.getByTestId('pack-told')).toContainText(/about \d+ % of its charge/);
  await page.getByLabel('under load', { exact: true }).fill('11.4 V');
  await page.getByLabel('the load', { exact: true }).fill('40 A');
  await page.getByLabel('the load', { exact: true }).press('Enter');
  await expect(page.getByTestId('pack-told')).toContainText('30 mΩ');
  await page.getByRole('button', { name: 'Ticked, with this' }).click();
  await expect(page.locator('[data-check="pack"]')).toContainText('12.6 V at rest');
  await page.getByLabel('under load', { exact: true }).fill('13 V');
  await page.getByLabel('under load', { exact: true }).press('Enter');
  await expect(page.getByRole('alert')).toContainText('under a load the volts fall');
});

test('a line that the server will not have stays here, and keeps no other from going', async ({
  heron,
  page,
  server,
}) => {
  await page.setViewportSize(PHONE.viewport);
  await open(page, server, `/robots/${heron.id}/pit`);
  await page.getByRole('heading', { name: 'Before the match' }).waitFor();
  // As an older page might have written it.
  await page.evaluate((id) => {
    const odd = {
      kind: 'played',
      match: 0,
      id: '7d2a0000-0000-4000-8002-000000000001',
      at: '2026-11-20T08:00:00Z',
      who: '',
    };
    localStorage.setItem(`rough-gear:diary:${id}`, JSON.stringify({ entries: [odd], unsent: [odd.id] }));
  }, heron.id);
  await page.reload();
  await tick(page, /^Wheels: tread/).click();
  await expect(page.getByText(/^1 line waits here: it was refused/)).toBeVisible();
  await expect
    .poll(async () =>
      (await diaryOf(server, heron.id)).some((one) => one.kind === 'checked' && one.check === 'wheels drive'),
    )
    .toBe(true);
});

test('cards, wires and what gives first fit a thumb', async ({ heron, page, server }) => {
  await page.setViewportSize(PHONE.viewport);
  await open(page, server, `/robots/${heron.id}/pit`);
  await expect(page.getByTestId('moved')).toContainText('pack-side limit 45 A → 40 A');
  await page.getByTestId('moved').getByRole('link').click();
  await expect(page).toHaveURL(/pit\/cards\?card=/);
  const lift = page.locator('[data-card="controller lift"]');
  await lift.getByRole('button', { name: 'Retyped, as it stands here' }).click();
  await expect(page.getByTestId('moved')).toBeHidden();
  await expect(lift).toContainText('typed in');
  await page.getByRole('link', { name: 'Wires' }).click();
  await expect(page.locator('[data-slot="5"]')).toContainText('Mast lift, controller');
  await page.getByRole('link', { name: 'Gives first' }).click();
  await expect(page.getByRole('listitem').first()).toContainText('Capstan climb, gives way');
  for (const at of ['checks', 'cards', 'wires', 'verdicts']) {
    await open(page, server, `/robots/${heron.id}/pit/${at}`);
    await page.getByRole('region').first().waitFor();
    const small = await page.evaluate(() =>
      [...document.querySelectorAll('main button, main a')].flatMap((one) => {
        const { height, width } = one.getBoundingClientRect();
        const label = one.getAttribute('aria-label') ?? one.textContent;
        // Steppers of a number stand beside its field, which takes the same by keys.
        return height > 0 && (height < 44 || width < 44) && !/one (less|more)$/.test(label ?? '') ? [label] : [];
      }),
    );
    expect(small).toEqual([]);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  }
});
