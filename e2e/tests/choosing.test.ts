import type { Reason } from '@rough-gear/core';
import type { Locator, Page } from '@playwright/test';
import { expect, test } from '../fixtures.js';
import { settled } from '../settled.js';
import { desk } from '../ways.js';

const found = (page: Page): Locator => page.getByTestId('found');
const fallen = (page: Page): Locator => page.getByTestId('fallen');
const chosen = (page: Page): Locator => page.getByTestId('chosen');
const search = (page: Page): Locator => page.getByRole('button', { name: 'Search', exact: true });
/** A search of the whole shelf takes its time on a busy machine. */
const SLOW = { timeout: 60_000 };

/** Presses Tab until something is in focus: keyboard alone, as far as it takes. */
async function tabTo(page: Page, target: Locator): Promise<void> {
  for (let i = 0; i < 150; i++) {
    if (await target.evaluate((element) => element === document.activeElement).catch(() => false)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error('it cannot be reached by Tab');
}

test('from a new mechanism’s job to an adopted choice with its reason, by keyboard alone', async ({ heron, page }) => {
  test.setTimeout(180_000);
  await heron.open('lift');
  const add = page.getByRole('button', { name: 'Add a mechanism' });
  await tabTo(page, add);
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog');
  await tabTo(page, dialog.getByRole('radio', { name: /Straight lift/ }));
  while (!(await dialog.getByRole('radio', { name: /Roller/ }).isChecked())) await page.keyboard.press('ArrowRight');
  await tabTo(page, dialog.getByRole('textbox', { name: 'what: one piece' }));
  for (const text of ['1.2 kg', '0.35 m', '0.5 s']) {
    await page.keyboard.type(text);
    await page.keyboard.press('Tab');
  }
  await tabTo(page, dialog.getByRole('textbox', { name: 'called' }));
  await page.keyboard.type('Net roller');
  await page.keyboard.press('Enter');
  await expect(page).toHaveTitle(/Net roller/);

  const shelfButton = desk(page, 'Shortlist');
  await tabTo(page, shelfButton);
  await page.keyboard.press('Enter');
  await expect(search(page)).toBeEnabled();
  await tabTo(page, search(page));
  await page.keyboard.press('Enter');
  await expect(fallen(page)).toContainText('judged in full', SLOW);
  await expect(fallen(page)).not.toContainText('so far', SLOW);
  const first = found(page).getByRole('button').first();
  const name = (await first.textContent())!;
  await tabTo(page, first);
  await page.keyboard.press('Enter');
  await expect(chosen(page).getByTestId('gauge')).toBeVisible();
  await tabTo(page, chosen(page).getByRole('textbox', { name: 'why this one, for the log' }));
  await page.keyboard.type('Quick, and two lie on the shelf.');
  await tabTo(page, chosen(page).getByRole('button', { name: 'Take it' }));
  await page.keyboard.press('Enter');
  await heron.saved();

  const { document } = await heron.stored();
  const roller = document.mechanisms.find((mechanism) => mechanism.name === 'Net roller')!;
  const reason = document.reasons!.at(-1)!;
  expect(reason).toMatchObject({ mechanism: roller.id, why: 'Quick, and two lie on the shelf.' });
  expect(reason.claims.length).toBeGreaterThan(0);
  expect(name).toContain(reason.chosen.replace(/^\d+ × /, '').split(',')[0]);
  await expect(page.getByTestId('answer')).not.toContainText('Gives way');

  await tabTo(page, desk(page, 'Reasons'));
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('reasons')).toContainText('“Quick, and two lie on the shelf.”');
});

test('a search says how many were tried and why others fell out, and adopting is one step to undo', async ({
  heron,
  page,
}) => {
  await heron.open('intake', 'motor', '?desk=shortlist');
  await search(page).click();
  await expect(fallen(page)).toContainText(/[\d,]+ tried: [\d,]+ judged in full, [\d,]+ excluded by a bound/, SLOW);
  await fallen(page).getByText('Why they fell out').click();
  await expect(fallen(page)).toContainText(/controller fits the motor · \d+ drives at any total/);
  const before = await heron.stored();

  // Cheapest first by order; then by weight of time alone another is first.
  await page.getByRole('button', { name: 'by order' }).click();
  await page.getByRole('combobox', { name: 'price' }).selectOption('1');
  for (const want of ['time', 'mass', 'margin']) await page.getByRole('combobox', { name: want }).selectOption('2');
  const cheapest = await found(page).getByRole('row').nth(1).textContent();
  await page.getByRole('button', { name: 'by weight' }).click();
  for (const want of ['price', 'mass', 'margin', 'current'])
    await page.getByRole('combobox', { name: want }).selectOption('0');
  await expect(found(page).getByRole('row').nth(1)).not.toHaveText(cheapest!);

  // Narrowed by a range that leaves less.
  const left = await found(page).getByRole('row').count();
  await page.getByRole('textbox', { name: 'time up to' }).fill('0.15 s');
  await expect(async () => expect(await found(page).getByRole('row').count()).toBeLessThan(left)).toPass();

  // A point of the field is clicked: its gauge is shown.
  await page.locator('figure').filter({ hasText: 'circle enough' }).scrollIntoViewIfNeeded();
  const boxes = await page.locator('figure svg path').evaluateAll((paths) =>
    paths
      .map((path) => path.getBoundingClientRect())
      .filter(({ width, height }) => width > 6 && width < 14 && Math.abs(width - height) < 1)
      .map(({ x, y, width, height }) => ({ x: x + width / 2, y: y + height / 2 })),
  );
  expect(boxes.length).toBeGreaterThan(0);
  // What lies under another point, or is the design as it is now, chooses nothing of its own. The sheet of
  // the chosen one makes the field narrower: no more is clicked then.
  for (const box of boxes.slice(0, 8)) {
    await page.mouse.click(box.x, box.y);
    const shown = chosen(page).waitFor({ timeout: 1000 });
    if (await shown.then(() => true).catch(() => false)) break;
  }
  await expect(chosen(page)).toContainText('gives first');
  await found(page).getByRole('button').first().click();
  await expect(chosen(page)).toContainText('gives first');
  await chosen(page).getByRole('button', { name: 'Take it' }).click();
  await heron.saved();
  expect((await heron.stored()).document.reasons).toHaveLength(1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await heron.saved();
  expect((await heron.stored()).document).toEqual(before.document);
});

test('a search is stopped midway, and what it has found stays', async ({ heron, page }) => {
  await heron.open('arm', 'motor', '?desk=shortlist');
  await page.getByRole('combobox', { name: 'pack' }).selectOption({ label: 'any on the shelf' });
  await search(page).click();
  await expect(fallen(page)).toContainText('tried so far', SLOW);
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(fallen(page)).toContainText('tried until it was stopped');
  // What was under way when it was stopped still comes in; then nothing more does.
  await settled(page, 1500);
  const said = await fallen(page).textContent();
  expect(said).not.toContain(' 0 tried');
  await settled(page, 1500);
  expect(await fallen(page).textContent()).toBe(said);
  await expect(search(page)).toBeEnabled();
});

test('what is asked of a search is read like any field, and refused with its reason', async ({ heron, page }) => {
  await heron.open('lift', 'motor', '?desk=shortlist');
  await page.getByRole('textbox', { name: 'total from' }).fill('40');
  await page.getByRole('textbox', { name: 'total to' }).fill('4');
  await expect(page.getByRole('alert')).toContainText('40 to 4 is no range');
  await expect(search(page)).toBeDisabled();
  await page.getByRole('textbox', { name: 'total to' }).fill('much');
  await expect(page.getByRole('alert')).toContainText('total to');
  await page.getByRole('textbox', { name: 'total to' }).fill('60');
  await page.getByRole('textbox', { name: 'most money' }).fill('cheap');
  await expect(page.getByRole('alert')).toContainText('most money');
  await page.getByRole('textbox', { name: 'most money' }).fill('1');
  await search(page).click();
  await expect(page.getByText('Nothing on the shelf does this job as it is asked')).toBeVisible(SLOW);
  await fallen(page).getByText('Why they fell out').click();
  await expect(fallen(page)).toContainText('over the price set');
});

test('a found design is made in teeth off the shelf, and a drop-in changes the motor alone', async ({
  heron,
  page,
}) => {
  await heron.open('intake', 'motor', '?desk=shortlist');
  await search(page).click();
  await expect(fallen(page)).toContainText('tried:', SLOW);
  await found(page).getByRole('button').first().click();
  await chosen(page)
    .getByRole('button', { name: /Make its total in teeth/ })
    .click();
  await page.getByTestId('teeth').getByRole('button').first().click(SLOW);
  await expect(chosen(page)).toContainText('→');
  await chosen(page).getByRole('button', { name: 'Keep it beside' }).click();
  await heron.saved();
  const intake = (await heron.stored()).document.mechanisms.find(({ id }) => id === 'intake')!;
  expect(intake.choices).toHaveLength(2);
  expect(intake.choices[1]!.stages.every(({ stock }) => stock)).toBe(true);

  await heron.open('lift', 'motor', '?desk=shortlist');
  await page.getByRole('combobox', { name: 'search' }).selectOption({ label: 'a motor in its place' });
  await expect(page.getByRole('textbox', { name: 'total from' })).toBeDisabled();
  await search(page).click();
  await expect(fallen(page)).toContainText('tried:', SLOW);
  await found(page).getByRole('button').first().click();
  await chosen(page).getByRole('button', { name: 'Take it' }).click();
  await heron.saved();
  const lift = (await heron.stored()).document.mechanisms.find(({ id }) => id === 'lift')!;
  expect(lift.choices[0]!.stages.map(({ kind }) => kind)).toEqual(['teeth', 'chain']);
});

test('the marker on the ratio sweep is dragged and stepped, and the schools are one click away', async ({
  heron,
  page,
}) => {
  await heron.open('lift', 'motor', '?desk=ratio');
  const marker = page.getByTestId('sweep-marker');
  await expect(page.getByTestId('ratio-sweep').getByText('most robust')).toBeVisible(SLOW);
  await expect(page.getByText('the ratio hardly matters')).toBeVisible();
  await marker.focus();
  await page.keyboard.press('ArrowRight');
  await expect(marker).toHaveAttribute('aria-valuetext', '9.188 to 1');
  const box = (await marker.boundingBox())!;
  await page.mouse.move(box.x + 12, box.y + 100);
  await page.mouse.down();
  await page.mouse.move(box.x + 150, box.y + 100, { steps: 8 });
  await expect(page.getByText(/motor, volts gives first, 0\.\d+×/)).toBeVisible();
  await page.mouse.up();
  await heron.saved();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(marker).toHaveAttribute('aria-valuetext', '9.188 to 1');
  await page.getByRole('button', { name: /deep and slow but sure/ }).click(SLOW);
  await expect(marker).not.toHaveAttribute('aria-valuetext', '9.188 to 1');
  await page.getByRole('button', { name: 'table' }).click();
  await expect(page.getByRole('region', { name: 'The ratio sweep as a table' }).getByRole('row').nth(1)).toBeVisible();

  await heron.open('drive', 'motor', '?desk=ratio&job=push');
  await expect(page.getByText(/the wheels slip before the motors have given all/)).toBeVisible();
});

test('choices stand side by side: what differs and only that, and the one in force is marked', async ({
  heron,
  page,
}) => {
  await heron.open('lift', 'motor', '?desk=side');
  await expect(page.getByText('There is one choice only')).toBeVisible();
  await page.getByRole('button', { name: 'One or two motors?' }).click();
  const columns = page.getByTestId('columns').getByRole('region');
  await expect(columns).toHaveCount(2);
  // Comparing decides nothing.
  await expect(columns.first()).toContainText('in force');
  const differences = page.getByTestId('differences').getByRole('row');
  await expect(differences).toHaveCount(2);
  await expect(differences.nth(1)).toHaveText(/how many\s*1\s*2/);
  await page.getByRole('button', { name: 'Brushed or brushless?' }).click();
  await expect(columns).toHaveCount(3);
  await page.getByRole('button', { name: 'Chain, or a wide belt?' }).click();
  await expect(columns).toHaveCount(4);
  await expect(page.getByText('Four are kept: remove one')).toBeVisible();
  await expect(page.getByRole('img', { name: /Their runs/ })).toBeVisible();
  await columns.nth(1).getByRole('button', { name: 'Put in force' }).click();
  await page.getByRole('textbox', { name: 'why this one' }).fill('One motor is not enough.');
  await page.getByRole('dialog').getByRole('button', { name: 'Put in force' }).click();
  await expect(columns.nth(1)).toContainText('in force');
  await heron.saved();
  const { document } = await heron.stored();
  expect(document.reasons!.at(-1)).toMatchObject({ mechanism: 'lift', choice: 'b', why: 'One motor is not enough.' });
});

test('an edited mass makes a reason untrue, and the log says so', async ({ heron, page }) => {
  await heron.open('lift', 'motor', '?desk=side');
  await page.getByRole('button', { name: 'One or two motors?' }).click();
  const columns = page.getByTestId('columns').getByRole('region');
  for (const column of [columns.nth(1), columns.first()]) {
    await column.getByRole('button', { name: 'Put in force' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Put in force' }).click();
    await expect(column.getByRole('button', { name: 'Put in force' })).toBeHidden();
  }
  await desk(page, 'Reasons').click();
  const log = page.getByTestId('reasons');
  await expect(log).toContainText(/mass 1\.49 kg then, now 1\.49 kg; not over 2\.6\d kg/);
  await expect(page.getByText('no longer true')).toHaveCount(0);
  await heron.saved();
  const stored = (await heron.stored()).document;
  const kept: Reason = stored.reasons!.at(-1)!;
  expect(kept.claims.find(({ want }) => want === 'mass')!.bound).toBeCloseTo(2.64, 1);

  await desk(page, 'Figures').click();
  await page.getByRole('button', { name: 'Volts, mass, shaft' }).click();
  const mass = page.getByRole('textbox', { name: 'motor mass', exact: true });
  await mass.fill('6 lb');
  await mass.press('Enter');
  await desk(page, 'Shortlist').click();
  await desk(page, 'Reasons').click();
  await expect(page.getByRole('status').filter({ hasText: 'no longer true' })).toContainText('1 no longer true');
  await expect(log).toContainText('now 3.06 kg');
  await page.getByRole('button', { name: 'say why' }).first().click();
  await page.getByRole('textbox', { name: 'why this one' }).fill('It was lighter once.');
  await page.keyboard.press('Enter');
  await expect(log).toContainText('“It was lighter once.”');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'no longer true' })).toHaveCount(0);

  // On paper stands the log, and nothing of the screen around it.
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('banner')).toBeHidden();
  await expect(log).toBeVisible();
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
});

test('steppers and servos are searched like motors, each among its own kind', async ({ heron, page }) => {
  await heron.open('turntable', 'motor', '?desk=shortlist');
  await search(page).click();
  await expect(fallen(page)).toContainText('tried:', SLOW);
  await expect(found(page)).toContainText(/stepper|step servo/);
  await expect(found(page)).toContainText(/driver/);
  await heron.open('grip', 'motor', '?desk=shortlist');
  await expect(page.getByRole('textbox', { name: 'total from' })).toBeDisabled();
  await search(page).click();
  await expect(fallen(page)).toContainText('tried:', SLOW);
  await found(page).getByRole('button').first().click();
  await expect(chosen(page)).toContainText('its own controller inside');
  await expect(chosen(page).getByRole('button', { name: /Make its total/ })).toHaveCount(0);
  await chosen(page).getByRole('button', { name: 'Take it' }).click();
  await heron.saved();
  const grip = (await heron.stored()).document.mechanisms.find(({ id }) => id === 'grip')!;
  expect(grip.choices.find(({ id }) => id === grip.current)!.drive.kind).toBe('servo');
});

test.describe('with a server of its own,', () => {
  test.use({ ownServer: true });

  test('what is owned and what others here use can lead the choice', async ({ heron, page, server }) => {
    for (const [id, marks] of [
      ['motor-brushed-36-35t', { owned: 4, common: true }],
      ['controller-brushed-20', { owned: 4 }],
    ] as const)
      await fetch(`${server.url}/api/shelf/${id}`, {
        method: 'PATCH',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(marks),
      });
    await heron.open('intake', 'motor', '?desk=shortlist');
    // Money first asks for the ceiling; what lies here begins at once, and the form shows what it asked for.
    await page.getByRole('button', { name: /^Money first/ }).click();
    await expect(page.getByRole('textbox', { name: 'most money' })).toBeFocused();
    await page.getByRole('button', { name: /^What lies here/ }).click();
    await expect(page.getByRole('checkbox', { name: /only what lies on the shelf unused/ })).toBeChecked();
    await expect(fallen(page)).toContainText('tried:', SLOW);
    await expect(found(page)).toContainText('brushed can 36 mm, 35 turns');
    // Nothing is found that would have to be bought.
    await expect(found(page)).not.toContainText('inrunner');
    const first = found(page).getByRole('row').nth(1);
    // Nothing of it is to be paid or bought any more.
    await first.getByRole('button').click();
    await chosen(page).getByRole('button', { name: 'Take it' }).click();
    await desk(page, 'Reasons').click();
    await expect(page.getByTestId('reasons')).toContainText('price 0 then, now 0');
    await expect(page.getByTestId('reasons')).toContainText('pieces to buy 0 then, now 0');
  });
});

test('slow work is compared like with like: every motor geared to today’s wheel speed, and both kinds kept', async ({
  heron,
  page,
}) => {
  await heron.open('lift', 'motor', '?desk=shortlist');
  await page.getByRole('button', { name: /^Slow work/ }).click();
  const form = page.getByRole('form', { name: 'Search the shelf' });
  await expect(form.getByRole('combobox', { name: 'alike in' })).toHaveValue('speed');
  await expect(form.getByRole('textbox', { name: 'total from' })).toBeDisabled();
  const found = page.getByTestId('found');
  await expect(found).toContainText('(brushed)', { timeout: 60_000 });
  await expect(found).toContainText('(brushless)');
  // Today’s own motor turns the wheel as fast as today at today’s total only.
  await expect(found.getByRole('row', { name: /2 × brushed 12 V, 64 mm can \(brushed\)/ }).first()).toContainText(
    '9:1',
  );
  // A servo has no kind to ask for.
  await heron.open('grip', 'servo', '?desk=shortlist');
  await expect(page.getByRole('button', { name: /^The job first/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Slow work/ })).toHaveCount(0);
  await expect(form.getByRole('combobox', { name: 'alike in' })).toHaveCount(0);
});

test('a wanted speed gives its total, what that costs at the other end, volts that give the same, and its teeth', async ({
  heron,
  page,
}) => {
  await heron.open('drive', 'motor', '?desk=speed');
  const speed = page.getByRole('textbox', { name: 'at full effort, under its load' });
  const geared = page.getByTestId('geared');
  await speed.fill('4 mph');
  await expect(page.getByText('understood: 1.788 m/s')).toBeVisible();
  await expect(geared).toContainText(/Geared \d\d\.\d+:1\. It is 12\.5:1 now/, SLOW);
  const total = Number(/Geared ([\d.]+):1/.exec((await geared.textContent())!)![1]);
  expect(total).toBeGreaterThan(12.5);
  const [here, there] = [page.getByTestId('variants').nth(0), page.getByTestId('variants').nth(1)];
  await expect(here.getByRole('row', { name: /geared for it/ })).toContainText(/1\.7\d m\/s|1\.8\d? m\/s/);
  // More volts, geared deeper, for the same speed: fewer amperes.
  await expect(there.getByRole('row')).not.toHaveCount(1);
  const amperes = await there
    .getByRole('row')
    .evaluateAll((rows) => rows.slice(1).map((row) => Number.parseFloat(row.children[4]!.textContent)));
  expect(amperes.length).toBeGreaterThan(2);
  for (const [i, one] of amperes.entries()) if (i > 0) expect(one).toBeLessThanOrEqual(amperes[i - 1]! + 0.01);
  // What nothing can do is refused with what can.
  await speed.fill('900 mph');
  await expect(geared).toContainText('No total does it: the fastest it runs under this load is', SLOW);
  // At the other end: a creeping speed goes with one over the total.
  await page.getByRole('button', { name: 'as slow as' }).click();
  await page.getByRole('textbox', { name: 'and keep it steadily' }).fill('5 mm/s');
  await expect(geared).toContainText('At the other end it runs', SLOW);
  await page.getByRole('button', { name: 'as fast as' }).click();
  await speed.fill('4 mph');
  await expect(geared).toContainText(`Geared ${total}`, SLOW);
  await geared.getByRole('button', { name: 'Find its teeth' }).click();
  await expect(page.getByRole('textbox', { name: 'total, or a range' })).toHaveValue(String(total));
  await page.getByRole('checkbox', { name: 'only what carries the load' }).uncheck();
  await page.getByRole('button', { name: 'Find trains' }).click();
  await expect(page.getByTestId('trains').getByRole('row').nth(1)).toContainText(/\d → \d/, SLOW);
});

test('geared for a speed by a click, the mechanism follows and one undo brings the old total back', async ({
  heron,
  page,
}) => {
  await heron.open('lift', 'motor', '?desk=speed');
  const before = await heron.stored();
  await page.getByRole('textbox', { name: 'at full effort, under its load' }).fill('0.7 m/s');
  const geared = page
    .getByTestId('variants')
    .first()
    .getByRole('row', { name: /geared for it/ });
  await geared.getByRole('button', { name: 'Try it' }).click({ timeout: 60_000 });
  await heron.saved();
  expect((await heron.stored()).document).not.toEqual(before.document);
  await expect(page.getByTestId('geared')).toContainText(/now and runs 0\.(69|7)/, SLOW);
  await page.getByRole('button', { name: 'Undo' }).click();
  await heron.saved();
  expect((await heron.stored()).document).toEqual(before.document);
});

test('musts hold in a search: nothing is found of a motor that does not meet them', async ({ heron, page }) => {
  await heron.open('intake', 'motor', '?desk=shortlist');
  const musts = page.getByTestId('musts');
  await musts.getByRole('combobox', { name: 'another must' }).selectOption({ label: 'type' });
  await musts.getByRole('combobox', { name: 'type' }).selectOption('brushless');
  await expect(musts).toContainText(/\d+ left/);
  await search(page).click();
  await expect(fallen(page)).toContainText('judged in full', SLOW);
  await expect(fallen(page)).not.toContainText('so far', SLOW);
  const names = await found(page).getByRole('button').allTextContents();
  expect(names.length).toBeGreaterThan(0);
  for (const name of names.filter((one) => /^\d+ ×|can|runner|brush/.test(one)))
    expect(name).toMatch(/brushless|outrunner|inrunner/);
});
