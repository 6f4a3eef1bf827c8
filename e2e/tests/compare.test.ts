import { expect, open, test } from '../fixtures.js';

test('one motor and more, with one dead, on this very mechanism', async ({ heron, page }) => {
  await heron.open('drive', 'motor', '?job=push');
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  const rows = page.getByTestId('variants').getByRole('row');
  // As many as the plan has, and one beyond.
  await expect(rows).toHaveCount(6);
  await expect(rows.nth(4)).toContainText('as it is, four');
  await expect(page.getByTestId('variants').getByRole('columnheader', { name: 'runs at' })).toBeVisible();
  const pull = await rows.nth(4).innerText();
  await page.getByRole('checkbox', { name: 'one of them is dead' }).check();
  await expect(rows.nth(1)).toContainText('as it is, four');
  await expect(rows.nth(2)).toContainText('nothing moves any more');
  await expect(rows.nth(5)).toContainText('four, one dead');
  expect(await rows.nth(5).innerText()).not.toBe(pull);
  await page.getByRole('checkbox', { name: 'one of them is dead' }).uncheck();
  await expect(rows.nth(2)).toContainText('two');
  await expect(rows.nth(2)).not.toContainText('dead');
  await rows.nth(2).getByRole('button', { name: 'Try it' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.getByRole('navigation', { name: 'Power path' })).toContainText('2 motors');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('navigation', { name: 'Power path' })).toContainText('4 motors');
});

test('windings of one can: the torque for the same loss is the same', async ({ heron, page }) => {
  await heron.open('lift', 'motor');
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  await page.getByRole('link', { name: 'Which winding' }).click();
  const torque = page.getByTestId('windings').getByRole('row', { name: /torque for 50 W/ });
  await expect(torque).toContainText('0.402 N·m');
  const cells = await torque.getByRole('cell').allInnerTexts();
  expect(new Set(cells).size).toBe(1);
  const slow = page.getByTestId('variants').getByRole('row', { name: /2 × the turns/ });
  await expect(slow).toContainText('gives way');
  await page.getByRole('checkbox', { name: /gear each anew/ }).check();
  await expect(slow).not.toContainText('9:1');
});

test('volts and speed: from a happy speed to a winding and a reduction', async ({ heron, page }) => {
  await heron.open('lift', 'motor');
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  await page.getByRole('link', { name: 'Volts and speed' }).click();
  await page.getByRole('textbox', { name: 'the motor is happy at' }).fill('8000 rpm');
  await expect(page.getByTestId('volts-found')).toContainText('817 Kv');
  await expect(page.getByTestId('volts-found')).toContainText('21.8:1');
  const rows = page.getByTestId('variants').getByRole('row');
  await expect(rows.filter({ hasText: 'as it is, 6 cells' })).toHaveCount(1);
  await expect(rows.filter({ hasText: /^5 cells/ })).toHaveCount(2);
  await expect(rows.filter({ hasText: /^12 cells.* 2 × the turns/ })).toContainText('too many volts for the motor');
});

test('brushed or brushless: weights are the person’s, and stay', async ({ heron, page }) => {
  await heron.open('lift', 'motor');
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  await page.getByRole('link', { name: 'Brushed or brushless' }).click();
  const weighted = page.getByTestId('scores').getByRole('row', { name: /^weighted/ });
  // They come in one by one.
  await expect(page.getByTestId('scores').getByRole('columnheader').nth(4)).toBeVisible({ timeout: 30_000 });
  const precise = await weighted.innerText();
  await page.getByRole('button', { name: 'power and run time first' }).click();
  await expect(page.getByText(/What runs hard and long/)).toBeVisible();
  await expect.poll(() => weighted.innerText()).not.toBe(precise);
  await page.getByRole('slider', { name: 'weight of cost with controller' }).press('ArrowRight');
  await expect(page.getByText('your own')).toBeVisible();
  // Like for like: with the same wheel speed each is geared anew; with the same can only cans as wide are there.
  const onThisJob = page.getByTestId('scores').getByRole('row', { name: /^over all jobs/ });
  const suited = await onThisJob.innerText();
  await page.getByRole('button', { name: 'the same wheel speed' }).click();
  await expect(page.getByText('as fast as today')).toBeVisible();
  await expect.poll(() => onThisJob.innerText()).not.toBe(suited);
  await page.getByRole('button', { name: 'the same can', exact: true }).click();
  await expect(page.getByTestId('scores').getByRole('columnheader', { name: '45 mm can' })).toHaveCount(0);
  await page.getByRole('button', { name: 'all 9 factors' }).click();
  await expect(page.getByTestId('scores')).toContainText('torque per mass');
  await page.reload();
  await expect(page.getByText('your own')).toBeVisible();
});

test('the job is chosen where it is compared, and what costs too much is out', async ({ heron, page }) => {
  await heron.open('lift', 'motor', '?job=lower');
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  // Whichever job is open on the page: the one that makes the verdict is compared first.
  const jobs = page.getByRole('group', { name: 'The job that is compared' });
  await expect(jobs.getByRole('button', { name: 'Raise a crate' })).toHaveAttribute('aria-pressed', 'true');
  const own = page.getByTestId('variants').getByRole('row', { name: /^as it is, one/ });
  await expect(own).toContainText('34.6 A');
  await jobs.getByRole('button', { name: 'Let a crate down' }).click();
  await expect(own).not.toContainText('34.6 A');
  await page.getByRole('link', { name: 'Brushed or brushless' }).click();
  const pairs = page.getByTestId('scores').getByRole('columnheader');
  await expect(pairs.nth(4)).toBeVisible({ timeout: 30_000 });
  const before = await pairs.count();
  await page.getByRole('textbox', { name: 'at most to pay' }).fill('80');
  await expect(page.getByText(/cost(s)? more, or/)).toBeVisible();
  expect(await pairs.count()).toBeLessThan(before);
  await expect(pairs.filter({ hasText: 'as it is' })).toHaveCount(1);
  // What does the job stands in front of what gives way.
  const verdicts = await page
    .getByTestId('scores')
    .getByRole('row', { name: /^over all jobs/ })
    .getByRole('cell')
    .allInnerTexts();
  const fails = verdicts.map((text) => text.startsWith('gives way'));
  expect(fails).toEqual([...fails].sort((a, b) => Number(a) - Number(b)));
});

test('what cannot be right beside another figure is refused, and the last good plan stays judged', async ({
  heron,
  page,
}) => {
  await heron.open('lift', 'motor');
  const stall = page.getByRole('textbox', { name: 'stall current' });
  await stall.fill('1 A');
  await stall.press('Enter');
  await expect(page.getByText(/held it draws more than turning freely, not 1 A and 2\.2 A/)).toBeVisible();
  await expect(page.getByTestId('answer')).toContainText('1.20×');
  await stall.press('Escape');
  await expect(stall).toHaveValue(/^118/);
});

test('the spread is tried in the worker, can be stopped, and says what to measure first', async ({ heron, page }) => {
  await heron.open('lift', 'load');
  const line = page.getByTestId('spread-line');
  await line.getByRole('button', { name: 'Try 2 000 builds' }).click();
  await line.getByRole('button', { name: 'stop' }).click();
  await line.getByRole('button', { name: 'Try 2 000 builds' }).click();
  await expect(line).toContainText('of 2 000 builds nothing gives way', { timeout: 30_000 });
  await expect(line).toContainText('Measure first');
  await line.getByRole('button', { name: 'All of it' }).click();
  await expect(page.getByTestId('passing').first()).toBeVisible();
  await expect(page.getByText('a scale under the load')).toBeVisible();
  // What varies is a choice: it is kept in the plan, and the answer goes with the old one.
  const mass = page.getByRole('textbox', { name: 'masses ±' });
  await mass.fill('20 %');
  await mass.press('Enter');
  await expect(page.getByTestId('passing')).toHaveCount(0);
  await heron.saved();
  expect((await heron.stored()).document.spread?.mass?.si).toBeCloseTo(0.2, 9);
});

test('brake and heat are charts of their own, with tables', async ({ heron, page }) => {
  await heron.open('climb', 'motor');
  await page.getByRole('button', { name: 'Brake', exact: true }).click();
  await expect(page.getByRole('img', { name: /^Brake\..*it stands after/ })).toBeVisible();
  await page.getByRole('button', { name: 'Heat', exact: true }).click();
  await expect(page.getByRole('img', { name: /^Heat\..*stalled it lasts/ })).toBeVisible();
  await page.getByRole('button', { name: 'table' }).last().click();
  await expect(page.getByRole('region', { name: 'Heat as a table' })).toContainText('winding');
});

test('a controller’s settings say what they do', async ({ heron, page }) => {
  await heron.open('lift', 'controller');
  await page.getByRole('button', { name: /Start, ramp/ }).click();
  const says = page.getByTestId('controller-says');
  await expect(says).toContainText('It pushes 372 N');
  await page.getByRole('combobox', { name: 'command means' }).selectOption('lock');
  await expect(says).toContainText('until it rolls back');
  await expect(says).not.toContainText('It pushes 372 N');
  const offset = page.getByRole('textbox', { name: 'drag offset' });
  await offset.fill('3 A');
  await offset.press('Enter');
  await expect(says).toContainText('the motor creeps by itself');
  const ramp = page.getByRole('textbox', { name: 'ramp' });
  await ramp.fill('0.5 s');
  await ramp.press('Enter');
  await expect(page.locator('[data-check="in-time"]')).toContainText('→');
});

test('a motor is given by its turns, beside a winding that is known', async ({ heron, page }) => {
  await heron.open('lift', 'motor');
  await page.getByRole('button', { name: 'Volts, mass, shaft' }).click();
  await page.getByRole('combobox', { name: 'figures given as' }).selectOption('turns');
  await expect(page.getByTestId('answer')).toContainText('Missing: turns, reference turns');
  for (const [name, text] of [
    ['turns', '40'],
    ['reference turns', '20'],
  ] as const) {
    const field = page.getByRole('textbox', { name, exact: true });
    await field.fill(text);
    await field.press('Enter');
  }
  await expect(page.getByTestId('answer')).toContainText(/[×%]/);
  await page.getByRole('combobox', { name: 'figures given as' }).selectOption('kv');
  await expect(page.getByRole('textbox', { name: 'Kv', exact: true })).toHaveValue(/^246/);
});

test('a shaft that does not fit its bore is said', async ({ heron, page }) => {
  await heron.open('lift', 's1');
  const bore = page.getByRole('textbox', { name: 'bore' });
  await bore.first().fill('6 mm');
  await bore.first().press('Enter');
  await expect(page.getByTestId('failing').first()).toContainText('A shaft of 8 mm does not fit a bore of 6 mm');
});

test('a working leads to its model', async ({ heron, page }) => {
  await heron.open('lift', 'motor');
  await page.getByRole('region', { name: 'What gives first' }).getByRole('button', { name: 'Working' }).click();
  const link = page.getByRole('link', { name: /The model behind it/ });
  await expect(link).toHaveAttribute('href', '/models#what-gives-first');
  await open(page, heron.server, '/models#braking');
  await expect(page.getByRole('heading', { name: /^Braking/ })).toBeInViewport();
  await expect(page.getByRole('navigation', { name: 'Models' }).getByRole('link')).not.toHaveCount(0);
});
