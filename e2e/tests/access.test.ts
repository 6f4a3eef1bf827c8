import { expect, open, test } from '../fixtures.js';

test.describe('from the start page on', () => {
  test.use({ ownServer: true });

  test('the whole decision is done by keyboard alone', async ({ page, server }) => {
    await open(page, server, '/robots');
    await page.getByRole('link', { name: 'Mast lift' }).focus();
    await page.keyboard.press('Enter');
    await page.getByTestId('gauge').waitFor();

    // Links by number, the ruler by arrow keys, the situations as tabs, a mend by Enter.
    await page.keyboard.press('7');
    await expect(page.getByRole('heading', { name: 'Drum' })).toBeVisible();
    const handle = page.getByTestId('ratio-handle');
    await handle.focus();
    await page.keyboard.press('ArrowRight');
    await expect(handle).toHaveAttribute('aria-valuetext', '9.188 to 1');
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.press('ArrowLeft');
    await expect(handle).toHaveAttribute('aria-valuetext', '8.813 to 1');
    await page.getByRole('tab', { name: /working/ }).focus();
    await page.keyboard.press('ArrowRight');
    await expect(page.getByRole('tab', { name: /holding/ })).toBeFocused();
    await expect(page.getByTestId('answer')).toContainText('ratchet');
    await page.keyboard.press('ArrowLeft');
    await page.getByTestId('mends').getByRole('button').first().focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
    await page.keyboard.press('j');
    await expect(page).toHaveURL(/\/climb/);
    await page.keyboard.press('?');
    await expect(page.getByRole('heading', { name: 'Help' })).toBeVisible();
    await page.keyboard.press('Escape');
  });
});

test('single keys can be switched off, and do nothing inside a field', async ({ heron, page }) => {
  await heron.open('lift', 'motor');
  await page.getByRole('textbox', { name: 'stall torque' }).focus();
  await page.keyboard.type('1');
  await expect(page.getByRole('heading', { name: 'Motor', exact: true })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Help' }).click();
  await page.getByRole('checkbox', { name: 'single-key shortcuts are on' }).uncheck();
  await page.keyboard.press('Escape');
  await page.keyboard.press('1');
  await expect(page.getByRole('heading', { name: 'Motor', exact: true })).toBeVisible();
});

test('it reflows to a phone without scrolling sideways, and stays usable', async ({ heron, page }) => {
  await page.setViewportSize({ width: 320, height: 720 });
  await heron.open('lift');
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(320);
  await page.getByRole('button', { name: 'Mechanisms of Heron' }).click();
  await page.getByRole('link', { name: /^Capstan climb/ }).click();
  await expect(page).toHaveURL(/\/climb/);
});

test('every chart has its table', async ({ heron, page }) => {
  await heron.open('lift');
  for (let i = 0; i < 2; i++) await page.getByRole('button', { name: 'table' }).first().click();
  await expect(page.getByRole('region', { name: 'Reach as a table' }).getByRole('row').nth(1)).toContainText(
    'motor-side limit',
  );
  await expect(page.getByRole('region', { name: 'Run as a table' }).getByRole('row').last()).toContainText('1.51');
});

test('a change is announced politely', async ({ heron, page }) => {
  await heron.open('lift');
  await page.getByTestId('ratio-handle').focus();
  await page.keyboard.press('PageDown');
  await expect(page.locator('[aria-live="polite"]').filter({ hasText: 'First to give' })).toHaveText(
    /First to give: .+, 1\.20× to \d\.\d\d×/,
  );
});
