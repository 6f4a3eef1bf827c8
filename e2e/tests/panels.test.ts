import { expect, open, test } from '../fixtures.js';
import { toRobots } from '../ways.js';

test('the pack is the whole robot’s: a cell more moves every mechanism', async ({ heron, page }) => {
  await heron.open('lift', 'pack');
  const list = page.getByRole('navigation', { name: 'Mechanisms' });
  await expect(list.getByRole('link', { name: /^Drive base/ })).toContainText('1.34×');
  await expect(page.getByText('At rest 12.2 V at this charge, 13.8 V off the charger')).toBeVisible();
  await page.getByRole('button', { name: 'sealed lead in series: one less' }).click();
  await expect(page.getByText('At rest 10.2 V at this charge, 11.5 V off the charger')).toBeVisible();
  await expect(page.getByTestId('answer')).toContainText(/gives way/i);
  await page.getByRole('textbox', { name: 'charge left' }).fill('120');
  await expect(page.getByText(/120 % is not allowed: 0 to 100 % is/)).toBeVisible();
});

test('thin wire behind its breaker gives way, with the wire that suits as its mend', async ({ heron, page }) => {
  await heron.open('lift', 'branch');
  const wire = page.getByRole('textbox', { name: 'wire', exact: true });
  await wire.fill('AWG 16');
  await wire.press('Enter');
  await expect(page.getByTestId('failing')).toContainText('your event’s rules and local electrical codes decide');
  await page.getByTestId('mends').getByRole('button', { name: '12 AWG wire' }).click();
  await expect(page.getByTestId('failing')).toHaveCount(0);
  await expect(wire).toHaveValue('12 AWG');
});

test('all motors behind one breaker is another branch', async ({ heron, page }) => {
  await heron.open('drive', 'branch', '?job=push');
  await page.getByRole('checkbox', { name: 'all 4 motors behind this one breaker' }).check();
  await expect(page.getByRole('navigation', { name: 'Power path' })).toContainText('48.4 of 52 A');
  await heron.saved();
  const { document } = await heron.stored();
  expect(document.supply.find(({ id }) => id === 'branch-drive')).toMatchObject({ together: true });
});

test('a limit set above what the controller gives is said, and cleared it is the controller’s own again', async ({
  heron,
  page,
}) => {
  await heron.open('lift', 'controller');
  const limit = page.getByRole('textbox', { name: 'pack-side limit' });
  await limit.fill('70 A');
  await limit.press('Enter');
  await expect(page.getByText('Set above what this controller gives: pack-side 40 A.')).toBeVisible();
  await limit.fill('');
  await limit.press('Enter');
  await expect(limit).toHaveValue('40 A');
});

test('the wrong kind of controller gives way and says which to choose', async ({ heron, page }) => {
  await heron.open('lift', 'controller');
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page
    .getByTestId('shelf-parts')
    .getByRole('button', { name: /brushless controller 50 A/ })
    .click();
  await expect(page.getByTestId('failing')).toContainText(
    'The motor is brushed, the controller drives brushless only.',
  );
  await expect(page.getByText('Choose a controller that drives brushed motors, or another motor.')).toBeVisible();
});

test('a knot halves the rope, and what holds the load is chosen', async ({ heron, page }) => {
  await heron.open('lift', 'output');
  await page.getByRole('button', { name: /more above 3×/ }).click();
  await expect(heron.rung('rope')).toContainText('4.03×');
  await page.getByRole('checkbox', { name: /there is a knot in the rope/ }).check();
  await expect(heron.rung('rope')).toContainText('2.01×');
  await page.getByRole('combobox', { name: 'power off, held up by' }).selectOption('nothing');
  await expect(page.getByTestId('failing')).toContainText('it falls on whoever stands under it');
  await page.getByRole('combobox', { name: 'power off, held up by' }).selectOption('stage');
  await expect(page.getByTestId('failing')).toContainText('No stage of this train stays by itself');
});

test('a gearmotor’s sheet may speak of its output, and the audit says what is odd', async ({ heron, page }) => {
  await heron.open('lift', 'motor');
  await page.getByRole('button', { name: 'Volts, mass, shaft' }).click();
  await page.getByRole('combobox', { name: 'The sheet speaks of' }).selectOption('output');
  await expect(page.getByText('leave that gearbox out of the reduction')).toBeVisible();
  const torque = page.getByRole('textbox', { name: 'stall torque' });
  await torque.fill('2.6 N·m');
  await torque.press('Enter');
  await expect(page.getByText('this motor would make power from nothing')).toBeVisible();
});

test('motors are counted in whole ones, by button and by key', async ({ heron, page }) => {
  await heron.open('lift', 'motor');
  const count = page.getByRole('textbox', { name: 'how many, in all' });
  await page.getByRole('button', { name: 'how many, in all: one more' }).click();
  await expect(count).toHaveValue('2');
  await count.press('ArrowUp');
  await expect(count).toHaveValue('3');
  await count.fill('2.5');
  await count.press('Enter');
  await expect(page.getByText('2.5 is not allowed: a whole number from 1 to 12 is')).toBeVisible();
  await count.press('Escape');
  await expect(count).toHaveValue('3');
  await expect(page.getByRole('navigation', { name: 'Power path' })).toContainText('3 motors');
});

test('arrow keys step a field’s second digit, and it is one undo step', async ({ heron, page }) => {
  await heron.open('lift', 'load');
  const mass = page.getByRole('textbox', { name: 'load', exact: true });
  await mass.focus();
  await mass.press('ArrowUp');
  await mass.press('ArrowUp');
  await expect(mass).toHaveValue('22 kg');
  await mass.press('Enter');
  await page.keyboard.press('Control+z');
  await expect(mass).toHaveValue('20 kg');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
});

test('a fourth and more stages fold into one link when the strip is full', async ({ heron, page }) => {
  await heron.open('lift', 's1');
  for (const kind of ['planetary', 'belt'])
    await page.getByRole('combobox', { name: 'Add a stage' }).selectOption(kind);
  await expect(page.getByRole('navigation', { name: 'Power path' })).toContainText('4 stages');
  await expect(page.getByRole('navigation', { name: 'Power path' }).getByRole('listitem')).toHaveCount(7);
});

test('an address that leads nowhere says so and offers a way on', async ({ page, server, heron }) => {
  await open(page, server, '/robots/00000000-0000-4000-8000-000000000000/lift');
  await expect(page.getByRole('alert')).toContainText('There is no such plan');
  await page.getByRole('link', { name: 'To the robots' }).click();
  await expect(page.getByRole('heading', { name: 'Robots' })).toBeVisible();
  await open(page, server, `/robots/${heron.id}/gone`);
  // A mechanism that is gone opens the whole robot.
  await expect(page).toHaveURL(new RegExp(`/robots/${heron.id}$`));
  await expect(page.getByTestId('robot-answer')).toBeVisible({ timeout: 30_000 });
});

test.describe('with a server of its own,', () => {
  test.use({ ownServer: true, ownBrowser: true });

  test('while the server is away the start page offers what this browser has kept', async ({ heron, page, server }) => {
    await heron.open('lift', 'load');
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await page.reload();
    await page.getByTestId('gauge').waitFor();
    await heron.allThere();
    await server.stop();
    await toRobots(page);
    await expect(page.getByRole('alert')).toContainText('The server cannot be reached');
    await page.getByRole('region', { name: 'Kept in this browser' }).getByRole('link', { name: 'Heron' }).click();
    await expect(page.getByTestId('robot-answer')).toBeVisible({ timeout: 30_000 });
    await expect(page.getByTestId('save-state')).toBeVisible();
  });
});

test('a motor’s constants stand on its panel, and Kv is taken as a torque constant or as a free run', async ({
  heron,
  page,
}) => {
  await heron.open('lift', 'motor');
  const constants = page.getByTestId('motor-constants');
  await expect(constants).toBeHidden();
  await page.getByRole('button', { name: 'Volts, mass, shaft' }).click();
  await expect(constants).toContainText('Kv 492.5 · Kt 0.0181 N·m/A · R 102 mΩ · Km 0.0569 N·m/√W');
  await page.getByRole('combobox', { name: 'figures given as' }).selectOption('Kv and resistance');
  const kv = page.getByRole('textbox', { name: 'Kv', exact: true });
  for (const [typed, shown] of [
    ['6000 rpm at 12 V', '500 Kv'],
    ['0.02 N·m/A', '477.5 Kv'],
  ] as const) {
    await kv.fill(typed);
    await kv.press('Enter');
    await expect(kv).toHaveValue(shown);
  }
  await kv.fill('fast');
  await kv.press('Enter');
  await expect(page.getByText('For example 1800 Kv or 5.3 mN·m/A or 21600 rpm at 12 V')).toBeVisible();
});

test('a servo says what it pushes with at the end of a horn of so long', async ({ heron, page }) => {
  await heron.open('camera', 'motor');
  const horn = page.getByTestId('horn-force');
  await expect(horn).toContainText(/pushes [\d.]+ N at its end, stalled/);
  const before = Number(/pushes ([\d.]+) N/.exec((await horn.textContent())!)![1]);
  await horn.getByRole('textbox', { name: 'horn of' }).fill('48 mm');
  await horn.getByRole('textbox', { name: 'horn of' }).press('Enter');
  await expect(horn).toContainText(`pushes ${Number((before / 2).toPrecision(3))} N`);
});

test('a servo that turns on and on is refused where it must stand at an angle, with its reason', async ({
  heron,
  page,
}) => {
  await heron.open('camera', 'motor');
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page
    .getByTestId('shelf-parts')
    .getByRole('button', { name: /continuous servo, plastic gears/ })
    .click();
  await expect(page.getByTestId('failing')).toContainText('nothing tells it where to stand');
});

test('a motor that looks geared is asked where its figures are, and is geared no more', async ({ heron, page }) => {
  await heron.open('lift', 'motor');
  const asked = page.getByRole('group', { name: 'Geared already?' });
  await expect(asked).toBeHidden();
  const torque = page.getByRole('textbox', { name: 'stall torque' });
  await torque.fill('1.6 N·m');
  await torque.press('Enter');
  await expect(asked).toContainText('gears take a share');
  await asked.getByRole('button', { name: 'Yes, and nothing more reduces it' }).click();
  await expect(asked).toBeHidden();
  await expect(page.getByRole('navigation', { name: 'Power path' })).not.toContainText('Chain');
  await heron.saved();
  const { document } = await heron.stored();
  expect(document.mechanisms.find(({ id }) => id === 'lift')!.choices[0]!.stages).toEqual([]);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(asked).toBeVisible();
});

test('a figure that is missing is a way to its field', async ({ heron, page }) => {
  await heron.open('hoist', 'load');
  await page
    .getByRole('link', { name: /, on the motor/ })
    .first()
    .click();
  await expect(page.locator('[data-figure] input:focus')).toHaveCount(1);
});
