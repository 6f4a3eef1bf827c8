import { readFileSync } from 'node:fs';
import { expect, test } from '../fixtures.js';

/** From the plan to the workshop: what to buy, and what to type in. */

test('the order sheet: spares by a rule, what is owned, as CSV', async ({ heron, page, server }) => {
  await page.goto(`${server.url}/robots/${heron.id}`);
  await page.getByTestId('robot-answer').waitFor({ timeout: 30_000 });
  await page.getByRole('link', { name: 'order sheet' }).click();
  await expect(page).toHaveTitle('Heron, order sheet · Rough Gear');
  const order = page.getByTestId('order');
  const motor = order.getByRole('row', { name: /64 mm can/ });
  await expect(motor).toContainText('Drive base, Mast lift, Capstan climb');
  const before = await motor.innerText();
  await page.getByLabel('of what wears one in').fill('1');
  await page.keyboard.press('Enter');
  await expect(motor).not.toHaveText(before);
  await expect(order.getByRole('row', { name: /^☐ chain, No\. \d+/ }).first()).toContainText('Drive base');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export as CSV' }).click();
  const text = readFileSync(await (await download).path(), 'utf8');
  expect(text.split('\r\n')[0]).toContain('group,name,wanted');
  expect(text).toContain('"brushed 12 V, 64 mm can"');
  // What is asked of a rule is refused by name.
  await page.getByLabel('one spare in').first().fill('0');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('not allowed');
});

test('setup cards: a number for each thing, with where it comes from; constants for a team’s own code', async ({
  heron,
  page,
  server,
}) => {
  await page.goto(`${server.url}/robots/${heron.id}/paper/cards`);
  const lift = page.locator('[data-card="controller lift"]');
  await expect(lift.getByRole('row', { name: /^pack-side limit/ })).toContainText('40 A');
  await expect(lift).toContainText('Stalled, the motor takes all it can and burns in seconds.');
  await expect(page.locator('[data-card="driver turntable"]').getByRole('row', { name: /^micro-steps/ })).toContainText(
    'switches',
  );
  await expect(page.locator('[data-card="servo grip"]').getByRole('row', { name: /^centre/ })).toContainText('µs');
  await expect(page.locator('[data-card^="rail"]')).toContainText('common with the board');
  await page.getByLabel('for your own code').selectOption({ label: 'constants, python' });
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the file' }).click();
  expect((await download).suggestedFilename()).toBe('cards.py');
  // Another limit in the plan is another number on the card.
  await heron.open('lift', 'controller');
  await page.getByRole('textbox', { name: 'pack-side limit' }).first().fill('33 A');
  await page.keyboard.press('Enter');
  await heron.saved();
  await page.goto(`${server.url}/robots/${heron.id}/paper/cards`);
  await expect(lift.getByRole('row', { name: /^pack-side limit/ })).toContainText('33 A');
  await expect(lift.getByRole('row', { name: /^pack-side limit/ })).toContainText('typed');
});

test('cards and sheet go onto paper whole', async ({ heron, page, server }) => {
  for (const sheet of ['order', 'cards']) {
    await page.goto(`${server.url}/robots/${heron.id}/paper/${sheet}`);
    await page.getByRole('article').first().waitFor();
    for (const format of ['A4', 'Letter'] as const) {
      const pdf = await page.pdf({ format, printBackground: true });
      expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
    }
    await page.emulateMedia({ media: 'print' });
    await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
    // Nothing is wider than the paper.
    await page.setViewportSize({ width: 718, height: 1000 });
    const over = await page.evaluate(
      () =>
        [...document.querySelectorAll('article, article table')].filter(
          (one) => one.getBoundingClientRect().right > innerWidth + 1,
        ).length,
    );
    expect(over).toBe(0);
    await page.emulateMedia({ media: null });
    await page.setViewportSize({ width: 1280, height: 800 });
  }
});
