import { expect, open, test } from '../fixtures.js';
import { desk } from '../ways.js';

/** What builders still worked out beside the keyboard: each found where one looks for it, with figures of one's own. */

test('an about-turn on the spot: added, asked for its track and base, and judged', async ({ heron, page }) => {
  await heron.open('drive', 'load');
  await page.getByRole('button', { name: 'Add a job' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('it is to').selectOption({ label: 'turn on the spot' });
  await expect(dialog).toContainText('it is not known until it is');
  await dialog.getByRole('textbox', { name: 'called' }).fill('About turn');
  await dialog.getByRole('button', { name: 'Add the job' }).click();
  await expect(page.getByRole('heading', { name: 'Load' })).toBeVisible();
  for (const [name, text] of [
    ['turns by', '180°'],
    ['in what time', '1.2 s'],
    ['track, side to side', '24 in'],
    ['base, first axle to last', '500 mm'],
  ] as const) {
    const field = page.getByRole('textbox', { name });
    await field.fill(text);
    await field.press('Enter');
  }
  await expect(page.getByTestId('sketch')).toContainText('0.5 m long');
  // tan φ = 0.25/0.3048: more than half of what the treads grip goes into scrubbing.
  await expect(heron.rung('slip')).toContainText('×');
  await expect(page.getByRole('navigation', { name: 'Power path' })).toContainText('turn by 180°');
  await heron.saved();
  const { document } = await heron.stored();
  const job = document.mechanisms.find(({ id }) => id === 'drive')!.jobs.at(-1)!;
  expect(job).toMatchObject({ kind: 'skid', name: 'About turn' });
  // It goes as it came; the sprint and the push stay.
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Remove', exact: true })).toHaveCount(0);
});

test('at one speed: amperes driving and braking, what a limit costs, and the drag offset', async ({ heron, page }) => {
  await heron.open('drive', 'controller');
  await page.getByRole('button', { name: 'At one speed' }).click();
  const table = page.getByTestId('at-speed');
  await expect(table).toContainText('the tyres carry no more');
  const speed = page.getByRole('textbox', { name: 'the output runs at' });
  await speed.fill('6 mph');
  await speed.press('Enter');
  await expect(table).toContainText('at 2.68 m/s');
  await expect(table.getByRole('row', { name: /full braking/ })).toContainText('A');
  await expect(page.getByTestId('drag-offset')).toContainText('None is set');
  const offset = page.getByRole('dialog').getByRole('textbox', { name: 'drag offset' });
  await offset.fill('1 A');
  await offset.press('Enter');
  await expect(page.getByTestId('drag-offset')).toContainText('it cancels 1 A');
  await expect(page.getByTestId('lifted')).toContainText('with the offset');
  await offset.fill('9 A');
  await offset.press('Enter');
  await expect(page.getByTestId('drag-offset')).toContainText('creeps by itself');
});

test('a job under water: what its parts are not made for gives way, or is only scored', async ({ heron, page }) => {
  await heron.open('lift', 'load');
  await page.getByRole('button', { name: 'More about this job' }).click();
  await page.getByLabel('water where it is').selectOption({ label: 'under water' });
  const check = page.getByTestId('checks').getByText('stands wet and dirt');
  await expect(check).toBeVisible();
  await page.getByLabel('parts', { exact: true }).selectOption({ label: 'are only scored' });
  await heron.saved();
  const { document } = await heron.stored();
  expect(document.mechanisms.find(({ id }) => id === 'lift')!.jobs[0]).toMatchObject({
    wet: 'under water',
    surroundings: 'score',
  });
});

test('timing ahead trades torque for speed, and more than 60° is refused', async ({ heron, page }) => {
  await heron.open('lift', 'controller');
  await page.getByRole('button', { name: /Start, ramp/ }).click();
  const field = page.getByRole('textbox', { name: 'timed ahead' });
  await field.fill('30°');
  await field.press('Enter');
  await expect(page.getByTestId('controller-says')).toContainText('15 % faster a volt and pulls 13 % less an ampere');
  await field.fill('75°');
  await field.press('Enter');
  await expect(page.getByText(/0° to 60° of the field is/)).toBeVisible();
  const steady = page.getByRole('textbox', { name: 'steady current' });
  await steady.fill('8 A');
  await steady.press('Enter');
  await expect(heron.rung('controller-heat')).toBeVisible();
});

test('brushes are told in hours, and what one types beside them as well', async ({ heron, page }) => {
  await heron.open('lift', 'motor');
  await page.getByRole('button', { name: 'Volts, mass, shaft' }).click();
  const life = page.getByRole('textbox', { name: 'brushes last' });
  await expect(life).toHaveValue('100 h');
  await life.fill('40');
  await life.press('Enter');
  await expect(life).toHaveValue('40 h');
  await page.getByLabel('wound', { exact: true }).selectOption({ label: 'by hand' });
  await expect(page.getByRole('textbox', { name: 'may turn up to' })).toHaveValue('7540 rpm');
  await page.getByRole('checkbox', { name: 'rotor balanced' }).check();
  await expect(page.getByRole('textbox', { name: 'may turn up to' })).toHaveValue('10440 rpm');
});

test('a bench supply in the place of the pack: its limit, and nothing taken back', async ({ heron, page }) => {
  await heron.open('lift', 'pack');
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByTestId('shelf-parts').getByText('bench supply 13.8 V, 30 A').click();
  await expect(page.getByRole('heading', { name: 'Supply', exact: true })).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'set to' })).toHaveValue('13.8 V');
  await expect(page.getByRole('textbox', { name: 'current limit' })).toHaveValue('30 A');
  await expect(page.getByText(/braking lifts its volts/)).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Power path' })).toContainText('13.8 V held');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: 'Pack', exact: true })).toBeVisible();
});

test('brushed or brushless of the same mass, with minutes on this pack', async ({ heron, page }) => {
  await heron.open('lift', 'motor');
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  await page.getByRole('link', { name: 'Brushed or brushless' }).click();
  await page.getByRole('button', { name: 'the same mass' }).click();
  await expect(page.getByText('only motors as heavy as today’s')).toBeVisible();
  await expect(page.getByTestId('runs-for').first()).toContainText(/min|—/);
  await expect(page.getByTestId('scores').getByRole('row', { name: /brush wear/ })).toContainText('last');
});

test('the servo’s own motor with other gears, on this joint', async ({ heron, page }) => {
  await heron.open('grip', 'motor');
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  await page.getByRole('link', { name: 'Same motor, other gears' }).click();
  const rows = page.getByTestId('sisters').getByRole('row');
  await expect(page.getByTestId('sisters')).toContainText('fast sister of the slow strong servo');
  await expect(rows.filter({ hasText: 'as it is' })).toHaveCount(1);
  await rows.filter({ hasText: 'fast sister' }).getByRole('button', { name: 'Try it' }).click();
  await desk(page, 'Figures').click();
  await expect(page.getByText('fast sister of the slow strong servo').first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
});

test('a horn of other teeth, and a case that is too long for its room', async ({ heron, page }) => {
  await heron.open('grip', 'motor');
  await page.getByRole('button', { name: 'Fit', exact: true }).click();
  await page.getByLabel('the horn has').selectOption({ label: '24 teeth' });
  await expect(page.getByTestId('checks')).toContainText('servo and horn fit');
  await page.getByLabel('the horn has').selectOption({ label: '25 teeth' });
  const room = page.getByRole('textbox', { name: 'room, length' });
  await room.fill('1 1/2 in');
  await room.press('Enter');
  await expect(page.getByTestId('servo-sizes')).toContainText('standard');
  await expect(page.getByText(/there is room for 38\.1 mm/).first()).toBeVisible();
});

test('pulses from a timer chip: its two ends, and a hand on its knob', async ({ heron, page }) => {
  await heron.open('turntable', 'controller');
  await page.getByRole('button', { name: 'Change the board' }).click();
  await page.getByTestId('shelf-parts').getByText('timer chip with a knob, 5 V').click();
  await page.getByRole('button', { name: /more are well/ }).click();
  const timer = page.locator('[data-check="timer"]');
  await expect(timer).toHaveAttribute('title', /Its knob, turned up by hand from the slow end, is the ramp/);
  await page.getByRole('button', { name: 'Pulses', exact: true }).click();
  const capacitor = page.getByRole('textbox', { name: 'timer: capacitor' });
  await expect(capacitor).toHaveValue('10 nF');
  await capacitor.fill('0.1 µF');
  await capacitor.press('Enter');
  await expect(timer).toHaveAttribute('title', /69 \/s to 690 \/s|to 69\d|to 68\d/);
});

test.describe('with a server of its own,', () => {
  test.use({ ownServer: true });

  test('a second-hand motor at half the price, with its doubts', async ({ page, server }) => {
    await open(page, server, '/shelf/motor/motor-brushed-64');
    await page.getByRole('button', { name: 'Second-hand' }).click();
    const sheet = page.getByTestId('part-sheet');
    await expect(sheet).toContainText('second-hand: its builds are spread wider');
    await expect(sheet.getByRole('textbox', { name: 'price' })).toHaveValue('19');
    await sheet.getByRole('button', { name: 'Put it on the shelf' }).click();
    await expect(sheet).toContainText('your own');
  });
});
