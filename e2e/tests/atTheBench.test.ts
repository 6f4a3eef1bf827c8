import { expect, open, test } from '../fixtures.js';
import { desk } from '../ways.js';

/** Wires, coils, holds and holes: what a builder does with the parts in hand, without paper beside the keyboard. */

const sectionOf = (page: import('@playwright/test').Page, group: string, name: string) =>
  page.getByRole('group', { name: group }).getByRole('button', { name, exact: true });

test('eight wires joined another way: figures follow, all ways stand side by side', async ({ heron, page }) => {
  await heron.open('turntable');
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByRole('dialog').getByText('stepper 57 mm, 1.9 N·m, eight wires').click();
  await expect(page.getByRole('textbox', { name: 'rated phase current' })).toHaveValue('2 A');
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  await page.getByRole('link', { name: 'Coils joined otherwise' }).click();
  const parallel = page.getByTestId('coils').getByRole('row', { name: /in parallel/ });
  await expect(parallel).toContainText('4 A');
  await parallel.getByRole('button', { name: 'Try it' }).click();
  // It is in the plan now: its figures are a desk away.
  await desk(page, 'Figures').click();
  await expect(page.getByLabel('coils wired')).toHaveValue('parallel');
  await expect(page.getByRole('textbox', { name: 'phase resistance' })).toHaveValue('600 mΩ');
  await page.getByLabel('coils wired').selectOption({ label: 'half of each coil' });
  await expect(page.getByRole('textbox', { name: 'holding torque' })).toHaveValue('1.344 N·m');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('textbox', { name: 'rated phase current' })).toHaveValue('4 A');
});

test('a table that turns on and on is asked for no stop, and its driver for its enable and decay', async ({
  heron,
  page,
}) => {
  await heron.open('turntable', 'load');
  await expect(page.getByRole('textbox', { name: 'stands within' })).toBeVisible();
  await page.getByLabel('turns', { exact: true }).and(page.locator('select')).selectOption({ label: 'on and on' });
  await expect(page.getByRole('textbox', { name: 'stands within' })).toHaveCount(0);
  await expect(page.getByRole('navigation', { name: 'Power path' })).toContainText('on and on');
  await heron.open('turntable', 'controller');
  await page.getByLabel('takes current down').selectOption({ label: 'slowly, quiet' });
  await page.getByRole('button', { name: /more are well/ }).click();
  await expect(page.getByTestId('checks')).toContainText('current follows the micro-steps');
  await page.getByLabel('enable input').selectOption({ label: 'wired to the board' });
  await heron.saved();
  const { document } = await heron.stored();
  const table = document.mechanisms.find(({ id }) => id === 'turntable')!;
  expect(table.jobs[0]).toMatchObject({ onAndOn: true });
  expect(table.choices[0]!.drive).toMatchObject({ decay: 'slow', enableWired: true });
});

test('a servo that holds: pushed off, warm, worn, capped, and where it goes when it is switched on', async ({
  heron,
  page,
}) => {
  await heron.open('grip');
  await sectionOf(page, 'Servo', 'Holding').click();
  const holding = page.getByTestId('servo-holding');
  await expect(holding).toContainText('% of its stall torque');
  await expect(holding).toContainText('stalled from cold it is at its limit in');
  await expect(holding).toContainText('twice their play');
  await expect(holding).toContainText('keep hands out');
  const time = page.getByTestId('checks').locator('li', { hasText: 'in time' }).first();
  const before = await time.textContent();
  const cap = page.getByRole('textbox', { name: 'its speed is capped at' });
  await cap.fill('60 %');
  await cap.press('Enter');
  await expect(time).not.toHaveText(before ?? '');
  const start = page.getByRole('textbox', { name: 'switched on it goes to' });
  await start.fill('45°');
  await start.press('Enter');
  await expect(holding).toContainText('it goes to 45°, a pulse of');
  await page.getByLabel('usual for', { exact: true }).selectOption({ label: 'the shoulder of an arm of half a metre' });
  await expect(page.getByTestId('usual-servo')).toContainText('2 N·m to 6 N·m');
});

test('a board for servos must have an output for each', async ({ page, server, robots }) => {
  const id = await robots.idOf('Limpet');
  await open(page, server, `/robots/${id}/legs/rail`);
  await page.getByRole('button', { name: 'A board for servos' }).click();
  await page.getByRole('dialog').getByText('board for servos, 16 outputs').click();
  await expect(page.getByRole('textbox', { name: 'its servo terminals carry' })).toHaveValue('6 A');
  const carries = page.getByRole('textbox', { name: 'its servo terminals carry' });
  await carries.fill('2 A');
  await carries.press('Enter');
  await expect(page.getByTestId('checks').getByText('board for servos')).toBeVisible();
  await page.getByRole('button', { name: 'No board' }).click();
  await expect(page.getByRole('button', { name: 'A board for servos' })).toBeVisible();
});

test('a train unfolded, and a template that is turned to save a sheet', async ({ heron, page }) => {
  await heron.open('drive', 's2', '?desk=teeth&page=layout');
  await page.getByRole('button', { name: 'Unfolded' }).click();
  await expect(page.getByTestId('side-view')).toHaveAttribute('aria-label', /each pair of wheels side by side/);
  await expect(page.getByTestId('unfolded-widths')).toContainText('Widths: 1:');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Hole template, PDF 1:1' }).click();
  expect((await download).suggestedFilename()).toBe('drive-base-layout.pdf');
  await expect(page.getByText(/Print (it )?at 100 %/)).toBeVisible();
});

test('a screw: lead from the carriage’s speed, its nut, and where it begins to whip', async ({
  page,
  server,
  robots,
}) => {
  const id = await robots.idOf('Limpet');
  await open(page, server, `/robots/${id}/sled/motor`);
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  await page.getByRole('link', { name: 'Lead of the screw' }).click();
  const speed = page.getByRole('textbox', { name: 'the carriage is to run at' });
  await speed.fill('4 in/s');
  await speed.press('Enter');
  const tpi = page.getByTestId('leads').getByRole('row', { name: /12 tpi/ });
  await expect(tpi).toContainText('2880 rpm');
  await page.getByTestId('leads').getByRole('row', { name: /^4 mm/ }).getByRole('button').click();
  await open(page, server, `/robots/${id}/sled/reduction`);
  await expect(page.getByRole('textbox', { name: 'lead', exact: true })).toHaveValue('4 mm');
  // The thread it cuts is found beside the screw.
  await expect(page.getByRole('textbox', { name: 'moves per turn of the leading shaft' })).toBeVisible();
  const friction = page.getByRole('textbox', { name: 'friction' });
  await friction.fill('');
  await friction.press('Enter');
  await page.getByLabel('nut of').selectOption({ label: 'rolling balls' });
  await expect(friction).toHaveValue('0.008');
  await open(page, server, `/robots/${id}/sled/output`);
  const free = page.getByRole('textbox', { name: 'free length' });
  await free.fill('2 m');
  await free.press('Enter');
  await expect(page.getByTestId('checks').getByText('screw runs straight')).toBeVisible();
});

test('the wires of a mechanism in the team’s colours', async ({ heron, page }) => {
  await heron.open('hoist');
  await desk(page, 'Wires').click();
  const wires = page.getByTestId('wires');
  await expect(wires.getByRole('row', { name: /third phase/ })).toHaveCount(1);
  const colour = page.getByLabel('motor leads');
  await colour.fill('yellow');
  await colour.press('Enter');
  await expect(wires.getByRole('row', { name: /first phase/ })).toContainText('yellow');
  await heron.saved();
  expect((await heron.stored()).document.wireColours).toEqual({ motor: 'yellow' });
});

test('motors that only turn along cost time', async ({ heron, page }) => {
  await heron.open('drive', 'output');
  const time = page.getByTestId('checks').locator('li', { hasText: 'in time' }).first();
  await page
    .getByRole('tab', { name: /Sprint/ })
    .or(page.getByRole('button', { name: 'Sprint' }))
    .first()
    .click();
  const before = await time.textContent();
  const along = page.getByLabel('motors that only turn along', { exact: true });
  await along.fill('1');
  await along.press('Enter');
  await expect(time).not.toHaveText(before ?? '');
  await heron.saved();
  const { document } = await heron.stored();
  expect(document.mechanisms.find(({ id }) => id === 'drive')!.choices[0]!.output).toMatchObject({ dragged: 1 });
});

test('two kinds of motor on one output: who carries, and who is dragged along', async ({ heron, page }) => {
  await heron.open('drive');
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  await page.getByRole('link', { name: 'Two kinds mixed' }).click();
  const says = page.getByTestId('mixed-says');
  await expect(says).toContainText(/of the volts carry the load|less than the load asks/);
  const total = page.getByRole('textbox', { name: 'through a total of' });
  await total.fill('90:1');
  await total.press('Enter');
  const speed = page.getByRole('textbox', { name: 'the output runs at' });
  await speed.fill('3 m/s');
  await speed.press('Enter');
  await expect(says).toContainText('is dragged along');
});

test('a stage more inside a servo, and taken out again', async ({ page, server, robots }) => {
  const id = await robots.idOf('Limpet');
  await open(page, server, `/robots/${id}/legs/motor`);
  await sectionOf(page, 'Servo', 'Inside').click();
  const inside = page.getByTestId('inside');
  const shafts = inside.locator('li');
  const before = await shafts.count();
  const horn = await shafts.last().textContent();
  await page.getByRole('button', { name: 'Add a stage' }).click();
  await expect(shafts).toHaveCount(before + 1);
  await expect(shafts.last()).not.toHaveText(horn ?? '');
  await page.getByRole('button', { name: `Take stage ${before} out` }).click();
  await expect(shafts).toHaveCount(before);
});
