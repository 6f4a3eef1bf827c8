import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, open, test, type Heron } from '../fixtures.js';
import { fromMenu } from '../ways.js';

/** The whole robot on its pack: opens it and waits until the match has been gone through. */
async function openRobot(heron: Heron, query = ''): Promise<void> {
  await open(heron.page, heron.server, `/robots/${heron.id}${query}`);
  await expect(heron.page.getByTestId('robot-answer')).toBeVisible({ timeout: 30_000 });
}
const answer = (page: Page) => page.getByTestId('robot-answer');
const lane = (page: Page, name: string) =>
  page.getByTestId('lanes').getByRole('button', { name: new RegExp(`^${name}:`) });
/** Blocks by what they say: the job, when it began, how long it took. */
const block = (page: Page, start: string) => page.getByTestId('lanes').locator(`[data-go^="${start}"]`);
const settled = (page: Page) => expect(page.getByText('going through the match')).toBeHidden({ timeout: 30_000 });

test('the robot opens with what gives first in a match, when, and why', async ({ heron, page }) => {
  await openRobot(heron);
  await expect(page).toHaveTitle('Heron · Rough Gear');
  await expect(answer(page)).toContainText('Gives way. Mast lift: in time gives first');
  await expect(answer(page)).toContainText(/takes 1\.\d+ s, 1\.51 s alone; 1\.6 s is wanted/);
  await expect(page.getByTestId('robot-hint')).toContainText('To change: begin it when less else is on');
  const list = page.getByRole('navigation', { name: 'Mechanisms' });
  await expect(list.getByRole('link', { name: /Whole robot/ })).toContainText(
    'gives way: Capstan climb: falls when the power is off',
  );
  const ledger = page.getByTestId('ledger');
  await expect(ledger.getByRole('row').nth(1)).toContainText('Drive base');
  await expect(ledger).toContainText('stands still: resistance is missing');
  // A rung says its numbers, and leads to its mechanism.
  await page.locator('[data-rung="heat drive"]').click();
  await expect(page.getByTestId('robot-rung')).toContainText(
    /Its winding comes to \d+\.?\d* °C of the 120 °C it stands/,
  );
  await page.getByTestId('robot-rung').getByRole('button', { name: 'Open it' }).click();
  await expect(page).toHaveURL(/\/drive$/);
  await list.getByRole('link', { name: /Whole robot/ }).click();
  await expect(answer(page)).toBeVisible();
});

test('a go is stepped by keys and dragged by the mouse, one undo each', async ({ heron, page }) => {
  await openRobot(heron);
  const whenOf = async () => {
    const { document } = await heron.stored();
    return document.scripts![0]!.lanes.find(({ mechanism }) => mechanism === 'lift')!.goes[0]!.when;
  };
  await lane(page, 'Mast lift').focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(block(page, 'Mast lift: Raise a crate at 2 s').first()).toBeVisible({ timeout: 20_000 });
  await heron.saved();
  expect(await whenOf()).toMatchObject({ kind: 'every', from: 2 });
  await page.keyboard.press('Control+z');
  await expect(block(page, 'Mast lift: Raise a crate at 1 s').first()).toBeVisible({ timeout: 20_000 });
  await settled(page);

  const box = (await block(page, 'Mast lift: Raise a crate at 1 s').first().boundingBox())!;
  await page.mouse.move(box.x + 3, box.y + 8);
  await page.mouse.down();
  await page.mouse.move(box.x + 43, box.y + 8, { steps: 5 });
  await page.mouse.up();
  await expect(block(page, 'Mast lift: Raise a crate at 1 s')).toHaveCount(0, { timeout: 20_000 });
  await heron.saved();
  const moved = await whenOf();
  expect(moved.kind === 'every' && moved.from).toBeGreaterThan(5);
});

test('what a go does and when it begins is typed, and a go more and less', async ({ heron, page }) => {
  await openRobot(heron, '?script=calm');
  await block(page, 'Gaff arm: Up with a buoy').first().click();
  const go = page.getByTestId('go');
  await go.getByLabel('every', { exact: true }).fill('30 s');
  await go.getByLabel('every', { exact: true }).press('Enter');
  await settled(page);
  await expect(block(page, 'Gaff arm: Up with a buoy')).toHaveCount(5);
  await go.getByRole('combobox', { name: 'begins' }).selectOption('at');
  await settled(page);
  await expect(block(page, 'Gaff arm: Up with a buoy')).toHaveCount(1);
  await go.getByRole('button', { name: 'Another go of it' }).click();
  await settled(page);
  await expect(block(page, 'Gaff arm: Up with a buoy')).toHaveCount(2);
  await go.getByLabel('at', { exact: true }).fill('soon');
  await go.getByLabel('at', { exact: true }).press('Enter');
  await expect(go.getByRole('alert')).toContainText('“soon” does not start with a number');
  await page.keyboard.press('Escape');
  await go.getByRole('button', { name: 'Remove this go' }).click();
  await settled(page);
  await expect(block(page, 'Gaff arm: Up with a buoy')).toHaveCount(1);
});

test('an old pack that is half empty dips further', async ({ heron, page }) => {
  await openRobot(heron);
  const least = async () => Number(/At least ([\d.]+) V/.exec(await page.getByText(/^At least/).innerText())![1]);
  const fresh = await least();
  await page.getByLabel('charge at the start', { exact: true }).fill('50 %');
  await page.getByLabel('charge at the start', { exact: true }).press('Enter');
  await page.getByLabel('resistance, times new', { exact: true }).fill('1.5');
  await page.getByLabel('resistance, times new', { exact: true }).press('Enter');
  await settled(page);
  await expect.poll(least, { timeout: 20_000 }).toBeLessThan(fresh - 1);
  await expect(page.getByRole('list', { name: 'Not enough either' })).toContainText('pack dips');
});

test('a weak, cold pack has less charge left; slid and typed', async ({ heron, page }) => {
  await openRobot(heron);
  const left = async () => Number(/([\d.]+) % left/.exec(await page.getByText(/Ah a match, /).innerText())![1]);
  const fresh = await left();
  await page.getByLabel('Slide: capacity, of new').focus();
  for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowLeft');
  await expect(page.getByLabel('capacity, of new', { exact: true })).toHaveValue('70 %');
  await settled(page);
  await expect.poll(left, { timeout: 20_000 }).toBeLessThan(fresh - 5);
  const weak = await left();
  await page.getByLabel('pack’s warmth', { exact: true }).fill('-5 °C');
  await page.getByLabel('pack’s warmth', { exact: true }).press('Enter');
  await settled(page);
  await expect.poll(left, { timeout: 20_000 }).toBeLessThan(weak - 2);
  await page.getByLabel('pack’s warmth', { exact: true }).fill('90 °C');
  await page.getByLabel('pack’s warmth', { exact: true }).press('Enter');
  await expect(page.getByRole('group', { name: 'The pack on the day' }).getByRole('alert')).toContainText(
    'is not allowed',
  );
});

test('a day of two packs says which match fails, and how many packs it takes', async ({ heron, page }) => {
  await openRobot(heron);
  const day = page.getByRole('region', { name: 'Day of matches' });
  await day.getByLabel('matches', { exact: true }).fill('3');
  await day.getByLabel('matches', { exact: true }).press('Enter');
  await day.getByLabel('matches', { exact: true }).fill('3.5 apples');
  await day.getByLabel('matches', { exact: true }).press('Enter');
  await expect(day.getByRole('alert')).toBeVisible();
  await page.keyboard.press('Escape');
  await day.getByRole('button', { name: 'Go through the day' }).click();
  await expect(day.getByTestId('day').getByRole('row')).toHaveCount(4, { timeout: 30_000 });
  await expect(day.getByTestId('day-said')).toContainText('from match 1 on: Mast lift: in time');
  await expect(day.getByTestId('day-said')).toContainText(/full again when its turn comes: \d+ packs/);
  const cells = day.getByTestId('day').getByRole('row').nth(3).getByRole('cell');
  await expect(cells.first()).toHaveText('1');
  await expect(cells.nth(1)).not.toHaveText('100 %');
  // Another figure asks anew.
  await day.getByLabel('packs in turn').fill('8');
  await day.getByLabel('packs in turn').press('Enter');
  await expect(day.getByTestId('day')).toHaveCount(0);
  await day.getByRole('button', { name: 'Go through the day' }).click();
  await day.getByRole('button', { name: 'stop' }).click();
  await expect(day.getByRole('button', { name: 'Go through the day' })).toBeVisible();
});

test('a day that fails on one pack is mended by what is found, and keeps it', async ({ heron, page }) => {
  test.setTimeout(180_000);
  await openRobot(heron, '?script=calm');
  const day = page.getByRole('region', { name: 'Day of matches' });
  for (const [label, text] of [
    ['matches', '3'],
    ['packs in turn', '1'],
    ['each charged at', '0.5 A'],
  ] as const) {
    await day.getByLabel(label, { exact: true }).fill(text);
    await day.getByLabel(label, { exact: true }).press('Enter');
  }
  await day.getByRole('button', { name: 'Go through the day' }).click();
  await expect(day.getByTestId('day-said')).toContainText(/from match [23] on/, { timeout: 60_000 });
  await day.getByRole('button', { name: 'Look for what lets it last' }).click();
  const full = day.getByRole('button', { name: /^A full pack from elsewhere before match [23]/ });
  await expect(full).toBeVisible({ timeout: 90_000 });
  await full.click();
  await heron.saved();
  expect((await heron.stored()).document.day).toMatchObject({ matches: 3, packs: 1, charger: 0.5 });
  expect((await heron.stored()).document.day!.fresh).toHaveLength(1);
  await day.getByRole('button', { name: 'Go through the day' }).click();
  await expect(day.getByTestId('day')).toContainText('full', { timeout: 60_000 });
});

test('scripts are proposed, named, and go out and in as a file', async ({ heron, page }) => {
  await openRobot(heron);
  await page.getByRole('button', { name: 'Its parts, and others' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'a calm one' }).click();
  await expect(page.getByRole('group', { name: 'Scripts' }).getByRole('button')).toHaveCount(4);
  await page.getByRole('button', { name: 'Its parts, and others' }).click();
  await dialog.getByLabel('name of the script').fill('slow and steady');
  await dialog.getByLabel('name of the script').press('Tab');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    dialog.getByRole('button', { name: 'Export as CSV' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('slow-and-steady.csv');
  const text = readFileSync(await download.path(), 'utf8');
  expect(text).toContain('go,lift-raise,,lift,raise,every,15');

  const input = dialog.locator('input[type=file]');
  await input.setInputFiles({
    name: 'bad.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(text.replace(',lift,raise,', ',lift,fly,')),
  });
  await expect(dialog.getByRole('alert')).toContainText(
    /line \d+: lift does no "fly"; raise, lower, cruise are allowed/,
  );
  await input.setInputFiles({
    name: 'good.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(text.replace('slow and steady', 'from a file')),
  });
  await expect(page.getByRole('button', { name: 'from a file' })).toHaveAttribute('aria-pressed', 'true');
  await settled(page);
  await heron.saved();
  const { document } = await heron.stored();
  const [proposed, read] = document.scripts!.slice(-2);
  expect(read!.lanes).toEqual(proposed!.lanes);
  expect(document.scripts!.map(({ name }) => name)).toEqual([
    'frantic',
    'calm',
    'practice, 20 min',
    'slow and steady',
    'from a file',
  ]);
});

test('a robot without scripts is shown a calm one, and keeps it once it is changed', async ({
  heron,
  page,
  server,
}) => {
  const stored = await heron.stored();
  const { scripts: _, ...without } = stored.document;
  const response = await fetch(`${server.url}/api/plans`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ document: { ...without, name: 'Bare' } }),
  });
  const { id } = (await response.json()) as { id: string };
  await open(page, server, `/robots/${id}`);
  await expect(answer(page)).toBeVisible({ timeout: 30_000 });
  await expect(page.getByRole('group', { name: 'Scripts' }).getByRole('button')).toHaveText(['calm']);
  await lane(page, 'Drive base').focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('save-state')).toHaveText('saved');
  const kept = await fetch(`${server.url}/api/plans/${id}`);
  expect(((await kept.json()) as typeof stored).document.scripts).toHaveLength(1);
});

test('a mechanism that is taken away takes its goes with it', async ({ heron, page }) => {
  await heron.open('lift', 'motor');
  await fromMenu(page, 'mechanism', 'Remove mechanism');
  await heron.saved();
  const { document } = await heron.stored();
  for (const { lanes } of document.scripts!) expect(lanes.map(({ mechanism }) => mechanism)).not.toContain('lift');
});

test('from Heron as shipped to a mended match by mouse, one undo', async ({ heron, page }) => {
  test.slow();
  await openRobot(heron);
  const mends = page.getByTestId('robot-mends');
  await mends.getByRole('button', { name: 'Look for changes that do it' }).click();
  const later = mends.getByRole('button', { name: /^Mast lift [\d.]+ s later/ });
  await expect(later).toBeVisible({ timeout: 60_000 });
  await expect(later).toContainText(/0\.\d+ → 1\.\d+×/);
  await later.click();
  await expect(answer(page)).toContainText('Gives way. Mass gives first', { timeout: 30_000 });
  await expect(page.getByTestId('lanes').locator('[data-go*="Raise a crate"]').first()).not.toHaveClass(/border-gives/);
  await heron.saved();
  const { document } = await heron.stored();
  const go = document.scripts![0]!.lanes.find(({ mechanism }) => mechanism === 'lift')!.goes[0]!;
  expect(go.when.kind === 'every' && go.when.from).toBeGreaterThan(1);
  await page.keyboard.press('Control+z');
  await expect(answer(page)).toContainText('Mast lift: in time gives first', { timeout: 30_000 });
});

test('and by keyboard, to a limit chosen in the gauge; a search is stopped', async ({ heron, page }) => {
  test.slow();
  await openRobot(heron);
  await page.getByTestId('robot-mends').getByRole('button', { name: 'Look for changes' }).focus();
  await page.keyboard.press('Enter');
  await page.getByTestId('robot-mends').getByRole('button', { name: 'stop' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('robot-mends')).toContainText(/Stopped after \d+ match/);
  await page.getByTestId('robot-mends').getByRole('button', { name: 'Look again' }).focus();
  await page.keyboard.press('Enter');
  const later = page.getByTestId('robot-mends').getByRole('button', { name: /^Mast lift [\d.]+ s later/ });
  await expect(later).toBeVisible({ timeout: 60_000 });
  await later.focus();
  await page.keyboard.press('Enter');
  await expect(answer(page)).toContainText('Gives way. Mass gives first', { timeout: 30_000 });
});

test('the list and a mechanism’s page say how it fares in the match beside alone', async ({ heron, page }) => {
  await heron.open('lift');
  const beside = page.getByTestId('in-the-match');
  await expect(beside).toContainText(/In the match, 0\.917×\. The go at [\d.]+ s takes 1\.\d+ s, 1\.51 s alone/, {
    timeout: 30_000,
  });
  await expect(page.getByTestId('list-in-match').first()).toContainText('gives way in the match');
  const list = page.getByRole('navigation', { name: 'Mechanisms' });
  await expect(list.getByRole('link', { name: /Whole robot/ })).toContainText('Capstan climb');
  await beside.getByRole('link', { name: 'Whole robot' }).click();
  await expect(answer(page)).toBeVisible();
});

test('the event sheet holds the robot to its rules, and is typed, passed and undone', async ({ heron, page }) => {
  await openRobot(heron, '?script=calm');
  await expect(page.getByTestId('counts')).toContainText('48.7 kg of 48 kg');
  await expect(answer(page)).toContainText('mass', { ignoreCase: true });
  await page.getByRole('button', { name: 'event sheet' }).click();
  const sheet = page.getByTestId('event-sheet');
  const mass = sheet.getByRole('group', { name: 'most mass' });
  await mass.getByRole('textbox', { name: 'most mass' }).fill('lots');
  await mass.getByRole('textbox', { name: 'most mass' }).press('Enter');
  await expect(mass.getByRole('alert')).toContainText('“lots” does not start with a number');
  await page.keyboard.press('Escape');
  await mass.getByRole('textbox', { name: 'most mass' }).fill('110 lb');
  await mass.getByRole('textbox', { name: 'most mass' }).press('Enter');
  await expect(sheet).toContainText(/48\.7 kg, ± 1\.4 kg of 49\.9 kg allowed/);
  await mass.getByLabel('with the pack').check();
  await expect(sheet).toContainText(/54\.6 kg.* too much/);
  await sheet.getByLabel('another limit').selectOption({ label: 'most servos' });
  await expect(sheet.getByRole('group', { name: 'most servos' })).toBeVisible();
  await sheet.getByRole('group', { name: 'most servos' }).getByRole('textbox', { name: 'most servos' }).fill('2');
  await sheet.getByRole('group', { name: 'most servos' }).getByRole('textbox', { name: 'most servos' }).press('Enter');
  await expect(sheet).toContainText('3 of 2 allowed: 1 too much');
  await sheet.getByRole('button', { name: 'Remove: most servos' }).click();
  await expect(sheet.getByRole('group', { name: 'most servos' })).toHaveCount(0);
  await page.keyboard.press('Escape');
  await heron.saved();
  const limit = (await heron.stored()).document.event!.limits.find(({ id }) => id === 'mass')!;
  expect(limit).toMatchObject({ kind: 'most', withPack: true });
  expect(limit.kind === 'most' && limit.most.si).toBeCloseTo(49.895, 2);
  // A structure that is typed moves the sum.
  await page.getByRole('button', { name: 'by mechanism' }).click();
  const ledger = page.getByTestId('ledger-by-mechanism');
  await ledger.getByLabel('structure of Mast lift').fill('3 kg');
  await ledger.getByLabel('structure of Mast lift').press('Enter');
  await expect(page.getByTestId('counts')).toContainText('52.2 kg of 49.9 kg');
});

test('a match is shown as it goes, and held by hand', async ({ heron, page }) => {
  await openRobot(heron);
  await page.getByRole('button', { name: 'Replay' }).click();
  const replay = page.getByTestId('replay');
  await replay.getByRole('button', { name: '20×' }).click();
  const instant = replay.getByRole('slider', { name: 'Instant of the match' });
  await expect.poll(async () => Number(await instant.inputValue()), { timeout: 20_000 }).toBeGreaterThan(5);
  await replay.getByRole('button', { name: 'Hold the replay' }).click();
  const held = await instant.inputValue();
  await instant.fill('3');
  await expect(replay).toContainText(/^3 s: [\d.]+ V/);
  expect(Number(held)).toBeGreaterThan(5);
  await expect(page.getByText('this match at 3 s')).toBeVisible();
  await replay.getByRole('button', { name: 'done' }).click();
  await expect(page.getByText('this match as it is scripted')).toBeVisible();
});

test('one choice for all mechanisms is found, stopped, adopted and undone', async ({ heron, page }) => {
  test.setTimeout(240_000);
  await openRobot(heron);
  await page.getByRole('button', { name: 'Choose for all mechanisms at once' }).click();
  await expect(page).toHaveURL(/choose=all/);
  const all = page.getByTestId('choose-all');
  await all.getByRole('button', { name: 'Choose', exact: true }).click();
  await expect(all.getByRole('status')).toContainText('searching the shelf');
  await all.getByRole('button', { name: 'Stop' }).click();
  await expect(all).toContainText('Stopped.');
  // What cannot be is said.
  await all.getByLabel('mass of all mechanisms', { exact: true }).fill('10 kg');
  await all.getByLabel('mass of all mechanisms', { exact: true }).press('Enter');
  await all.getByRole('button', { name: 'Choose', exact: true }).click();
  await expect(all.getByTestId('joint-impossible')).toBeVisible({ timeout: 120_000 });
  await expect(all.getByTestId('ceiling-costs')).toContainText('1 kg more would not be enough');
  await all.getByLabel('mass of all mechanisms', { exact: true }).fill('39.4 kg');
  await all.getByLabel('mass of all mechanisms', { exact: true }).press('Enter');
  await all.getByRole('button', { name: 'Choose again' }).click();
  const adopt = all.getByRole('button', { name: /^Adopt for \d+ mechanisms/ });
  await expect(adopt).toBeVisible({ timeout: 120_000 });
  await expect(all.getByTestId('joint')).toContainText('mass of all mechanisms');
  const before = await heron.stored();
  await adopt.click();
  await expect(page.getByText(/one undo takes it back/)).toBeVisible();
  await heron.saved();
  const { document } = await heron.stored();
  expect(document.mechanisms.map(({ choices }) => choices)).not.toEqual(
    before.document.mechanisms.map(({ choices }) => choices),
  );
  expect(document.reasons!.at(-1)!.why).toContain('Chosen for all mechanisms at once, lightest');
  await expect(page.getByTestId('counts')).not.toContainText('48.7 kg');
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('counts')).toContainText('48.7 kg of 48 kg');
  await heron.saved();
  expect((await heron.stored()).document.mechanisms).toEqual(before.document.mechanisms);
});
