import { expect, test } from '../fixtures.js';

test('a plug that carries too little is said, with what passes through it', async ({ heron, page }) => {
  await heron.open('lift', 'branch');
  await page.getByRole('button', { name: 'Plugs, main breaker' }).click();
  const plug = page.getByRole('textbox', { name: 'branch connector carries' });
  await plug.fill('15 A');
  await plug.press('Enter');
  await expect(page.getByTestId('failing').first()).toContainText(
    'The plug carries 15 A for long; 30.8 A pass through it',
  );
  await plug.fill('60 A');
  await plug.press('Enter');
  await expect(page.getByTestId('failing')).toHaveCount(0);
  await expect(page.getByText(/While working the branch wire drops .* V and gives off .* W/)).toBeVisible();
});

test('the day is the whole robot’s: shorter rests make every motor hotter', async ({ heron, page }) => {
  await heron.open('arm', 'load');
  await page.getByRole('button', { name: 'Heat', exact: true }).click();
  const chart = page.getByRole('img', { name: /^Heat\./ });
  const before = await chart.getAttribute('aria-label');
  await page.getByRole('button', { name: 'More about this job' }).click();
  const rest = page.getByRole('textbox', { name: 'rest between matches' });
  await rest.fill('30 s');
  await rest.press('Enter');
  await expect(chart).not.toHaveAttribute('aria-label', before!);
  await heron.saved();
  expect((await heron.stored()).document.match?.rest?.si).toBe(30);
});

test('a small pack runs out of charge, and says how much a match takes', async ({ heron, page }) => {
  await heron.open('lift', 'pack');
  const capacity = page.getByRole('textbox', { name: 'capacity', exact: true });
  await capacity.fill('0.3 Ah');
  await capacity.press('Enter');
  const resistance = page.getByRole('textbox', { name: 'cell resistance' });
  await resistance.fill('2 mΩ');
  await resistance.press('Enter');
  await expect(page.locator('[data-check="charge"]')).toContainText('0.24 Ah');
  await page.locator('[data-check="charge"]').click();
  await expect(page.getByText(/This mechanism alone takes/).first()).toBeVisible();
});

test('in inches the drawing and the charts follow', async ({ heron, page }) => {
  await heron.open('climb', 'load');
  await expect(page.getByTestId('sketch')).toContainText('0.7 m');
  await page.getByRole('button', { name: /^Units/ }).click();
  await expect(page.getByTestId('sketch')).toContainText('27.6 in');
  await expect(page.getByTestId('sketch')).toContainText('lb');
  await page.getByRole('button', { name: 'Brake', exact: true }).click();
  await expect(page.getByRole('img', { name: /^Brake\..*ft\/s.*in\b/ })).toBeVisible();
});

test('on a phone the drawing, charts and spread are all there, and nothing runs off', async ({ heron, page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await heron.open('arm', 'load');
  await expect(page.getByTestId('sketch')).toBeVisible();
  await expect(page.getByTestId('spread-line')).toBeVisible();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
  expect(wide).toBeLessThanOrEqual(0);
  await page.getByRole('button', { name: 'Add a job' }).click();
  await expect(page.getByRole('textbox', { name: 'called' })).toBeVisible();
});
