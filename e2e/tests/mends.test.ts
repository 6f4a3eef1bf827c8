import { dcDriveOf } from '@rough-gear/core';
import { expect, test } from '../fixtures.js';

test('a mend is applied with one click, says what moved, is undone by key, and redone', async ({ heron, page }) => {
  await heron.open('lift');
  await page
    .getByTestId('mends')
    .getByRole('button', { name: /One more motor/ })
    .click();
  await expect(heron.rung('volts')).toContainText('1.29→2.31×');
  await expect(page.getByRole('navigation', { name: 'Power path' })).toContainText('2 motors');
  await heron.saved();
  expect(dcDriveOf((await heron.stored()).document.mechanisms[1]!.choices[0]!).motors).toBe(2);

  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('answer')).toContainText('at 1.20×');
  await page.keyboard.press('Control+Shift+Z');
  await expect(page.getByRole('navigation', { name: 'Power path' })).toContainText('2 motors');
  await page.getByRole('button', { name: 'Undo' }).click();
  await heron.saved();
  expect(dcDriveOf((await heron.stored()).document.mechanisms[1]!.choices[0]!).motors).toBe(1);
});

test('what falls when the power goes gives way, whatever the gauge says, and a ratchet mends it', async ({
  heron,
  page,
}) => {
  await heron.open('climb');
  await expect(page.getByTestId('failing')).toContainText('Nothing keeps it up when the power goes');
  await page.getByTestId('mends').getByRole('button', { name: 'A ratchet on the drum' }).click();
  await expect(page.getByTestId('failing')).toHaveCount(0);
  await expect(
    page.getByRole('navigation', { name: 'Mechanisms' }).getByRole('link', { name: /^Capstan climb/ }),
  ).toContainText('enough');
  await page.getByRole('tab', { name: /holding/ }).click();
  await expect(page.getByTestId('answer')).toContainText('The ratchet holds it');
});

test('where no single change does it, that is said', async ({ heron, page }) => {
  await heron.open('lift', 'load');
  await page.getByRole('textbox', { name: 'in what time' }).fill('0.05 s');
  await page.keyboard.press('Enter');
  await expect(page.getByText('No single change does it')).toBeVisible();
});

test('another rung can be asked for its mends and its working', async ({ heron, page }) => {
  await heron.open('lift');
  await heron.rung('volts').click();
  await expect(page.getByTestId('rung-said')).toContainText(
    'The motor at full volts gives at 269 N, 1.29× the 208 N the job takes',
  );
  await expect(page.getByText('mends: motor, volts')).toBeVisible();
  await expect(page.getByTestId('mends').getByRole('button').first()).toContainText(/1\.20 → \d\.\d\d×/);
  await page.getByRole('region', { name: 'What gives first' }).getByRole('button', { name: 'Working' }).click();
  const sheet = page.getByRole('dialog', { name: 'motor, volts, working' });
  await expect(sheet.getByText('multiple of the job')).toBeVisible();
  await expect(sheet.getByTestId('working-inputs')).toContainText('stall torque');
  await expect(sheet.getByTestId('working-inputs')).toContainText('typical');
  await expect(sheet.locator('.katex').first()).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(sheet).toBeHidden();
});

test('the drive base has two jobs, and the wheels slip before anything breaks', async ({ heron, page }) => {
  await heron.open('drive');
  await page.getByRole('group', { name: 'Job', exact: true }).getByRole('button', { name: /Push/ }).click();
  await expect(page).toHaveURL(/job=push/);
  await expect(page.getByTestId('answer')).toContainText('Wheel slip gives first');
  await page
    .getByRole('group', { name: 'Job', exact: true })
    .getByRole('button', { name: /Sprint/ })
    .click();
  await expect(page.locator('[data-check="in-time"]')).toContainText('of 2.6 s');
});
