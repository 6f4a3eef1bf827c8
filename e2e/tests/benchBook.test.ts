import { createServer, type AddressInfo, type Socket } from 'node:net';
import { randomFrom } from '@rough-gear/core';
import type { Page } from '@playwright/test';
import { expect, type Heron, open, test } from '../fixtures.js';
import { fromMenu } from '../ways.js';

test.use({ ownServer: true, ownBrowser: true });

/** The bench book: measured live, fitted, taken into the part, judged again and undone. */

const button = (page: Page, name: string) => page.getByRole('button', { name, exact: true });
/** By the keyboard alone. */
async function pressed(page: Page, name: string): Promise<void> {
  await button(page, name).first().focus();
  await page.keyboard.press('Enter');
}

/** Begins a trial of the demo’s 64 mm can. */
async function begin(page: Page, heron: Heron, kind: string, on?: string): Promise<void> {
  await open(page, heron.server, '/bench');
  await pressed(page, 'New trial');
  const dialog = page.getByRole('dialog', { name: 'New trial' });
  await dialog.getByLabel('robot').selectOption({ label: 'Heron' });
  await dialog.getByLabel('what is measured').selectOption({ label: kind });
  // What it can be done on is asked of the robot.
  await dialog.getByLabel('on', { exact: true }).waitFor();
  if (on !== undefined) {
    const option = dialog.getByLabel('on', { exact: true }).locator('option', { hasText: on });
    await dialog.getByLabel('on', { exact: true }).selectOption((await option.first().getAttribute('value'))!);
  }
  await dialog.getByLabel('serial or tape mark').fill('tape 7');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: kind })).toBeVisible();
}

/** Takes a reading at each point where the rig stands, s after s of its own clock. */
async function readLive(page: Page, points: number): Promise<void> {
  await pressed(page, 'Read live');
  await pressed(page, 'Start');
  const now = page.getByTestId('live-now');
  const clock = async () => Number(/^[\d.]+/.exec(await now.innerText())?.[0] ?? 0);
  for (let i = 0; i < points; i++) {
    await expect.poll(clock, { intervals: [30], timeout: 15_000 }).toBeGreaterThan(3 * i + 1.9);
    await pressed(page, 'Take this reading');
  }
}
const found = (page: Page, key: string) => page.getByTestId('found').locator(`[data-figure="${key}"]`);

test('a free run and a stall, live and by keyboard: the lift gives way, and one undo brings it back', async ({
  heron,
  page,
}) => {
  test.setTimeout(120_000);
  await begin(page, heron, 'Free run', '64 mm can');
  await expect(page.getByTestId('cautions')).toContainText('Clamp the motor');
  await readLive(page, 6);
  await expect(found(page, 'backEmfConstant')).toContainText('±');
  await expect(page.getByTestId('says')).toContainText('standard errors');
  await expect(page.getByTestId('judged-twice').getByRole('link', { name: 'Mast lift' })).toBeVisible();
  await pressed(page, 'Close and use in the plan');
  await expect(page.getByText('closed: nothing in it changes')).toBeVisible();
  await expect(page.getByTestId('takings')).toContainText('Heron');

  await begin(page, heron, 'Short stall', '64 mm can');
  await readLive(page, 6);
  // The breaker has tripped in the middle of the last: its reading is none, and is struck out with the reason.
  await pressed(page, 'Strike out reading 6');
  await page.getByLabel('Why reading 6 does not count').fill('the breaker tripped');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('cell', { name: 'struck out: the breaker tripped' })).toBeVisible();
  await expect(page.getByTestId('judged-twice')).toContainText('tight → gives way', { timeout: 15_000 });
  await pressed(page, 'Close and use in the plan');
  await expect(page.getByTestId('takings')).toContainText('resistance');
  const stalled = async () => JSON.stringify((await heron.stored()).document.parts['motor-1']).includes('Short stall');
  await expect.poll(stalled).toBe(true);
  await pressed(page, 'Undo');
  await expect.poll(stalled).toBe(false);
  await expect(page.getByTestId('judged-twice')).toContainText('tight → gives way');
  await pressed(page, 'Redo');
  await expect.poll(stalled).toBe(true);

  // Where it is used it says where it has its figure from, and leads back to the readings.
  await heron.open('lift', 'motor');
  await expect(page.locator('#gauge')).toContainText('Gives way');
  await page.getByRole('button', { name: /^stall current is measured/ }).click();
  await page.getByRole('link', { name: 'The trial it was measured in' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Short stall' })).toBeVisible();
});

test('taking in is one undo', async ({ heron, page }) => {
  await open(page, heron.server, '/bench/7d2a0000-0000-4000-8000-000000000005');
  const before = JSON.stringify((await heron.stored()).document.parts['motor-1']);
  await pressed(page, 'Use in the plan');
  await expect.poll(async () => JSON.stringify((await heron.stored()).document.parts['motor-1'])).not.toBe(before);
  await pressed(page, 'Undo');
  await expect.poll(async () => JSON.stringify((await heron.stored()).document.parts['motor-1'])).toBe(before);
  // What was taken stays in the history of the trial.
  await expect(page.getByTestId('takings')).toBeVisible();
});

test('this specimen goes into one mechanism alone', async ({ heron, page }) => {
  await open(page, heron.server, '/bench/7d2a0000-0000-4000-8000-000000000005');
  await page
    .getByRole('combobox')
    .filter({ hasText: 'all 3 mechanisms' })
    .selectOption({ label: 'Mast lift alone: this specimen' });
  await pressed(page, 'Use in the plan');
  await expect
    .poll(async () => {
      const { document } = await heron.stored();
      const motors = document.mechanisms.map(({ id, choices }) => [
        id,
        choices[0]!.drive.kind === 'dc' ? choices[0]!.drive.motor : '',
      ]);
      const of = Object.fromEntries(motors) as Record<string, string>;
      return of['lift'] !== of['drive'] && document.parts[of['lift']!]!.part.name;
    })
    .toBe('brushed 12 V, 64 mm can, tape 1');
});

test('a line that drops out in mid-stream loses nothing that came', async ({ heron, page, server }) => {
  const held: Socket[] = [];
  const rig = createServer((socket) => {
    held.push(socket);
    socket.write('t_s,rpm\n');
    for (let i = 0; i < 40; i++) socket.write(`${i * 0.1},${3000 - 40 * i}\n`);
    socket.write('4.0,13');
  });
  await new Promise<void>((resolve) => rig.listen(0, '127.0.0.1', resolve));
  await server.stop();
  server.environment = { ROUGH_GEAR_RIG: String((rig.address() as AddressInfo).port) };
  await server.start();
  await begin(page, heron, 'Coast-down', '64 mm can');
  await pressed(page, 'Read live');
  const live = page.getByTestId('live');
  await live.getByLabel('lines from').selectOption({ label: 'a rig on this machine' });
  await pressed(page, 'Start');
  await expect(page.getByLabel('speed of the shaft, reading 12')).toHaveValue('2560 rpm');
  await expect(live).toContainText('the line is silent');
  held[0]!.destroy();
  await expect(live).toContainText(/The line broke|The line has ended/);
  await expect(found(page, 'frictionTorque')).toBeVisible();
  // The next line goes on where the first broke.
  await pressed(page, 'Start');
  await expect
    .poll(async () => (await page.request.get(`${server.url}/api/trials/${page.url().split('/').at(-1)!}`)).text())
    .toMatch(/"row|readings/);
  await expect
    .poll(async () => {
      const answer = await page.request.get(`${server.url}/api/trials/${page.url().split('/').at(-1)!}`);
      return ((await answer.json()) as { trial: { readings: { time: number[] } } }).trial.readings.time.length;
    })
    .toBe(80);
  for (const socket of held) socket.destroy();
  rig.close();
});

test('a limit ends a trial by itself', async ({ heron, page }) => {
  await begin(page, heron, 'Short stall', '64 mm can');
  await pressed(page, 'Read live');
  const live = page.getByTestId('live');
  await live.getByLabel('current').fill('10 A');
  await page.keyboard.press('Enter');
  await live.getByLabel('plays').selectOption({ label: '10 times as fast' });
  await pressed(page, 'Start');
  await expect(live).toContainText('Stopped: the current went over its limit.');
});

test('a table with semicolons, commas as decimals and a row of units', async ({ heron, page }) => {
  await begin(page, heron, 'Pack under load');
  await button(page, 'Paste columns, or a file').click();
  const dialog = page.getByRole('dialog', { name: 'Readings out of a table' });
  await dialog
    .getByRole('textbox')
    .fill('I;U;wer\n[A];[mV];\n0;12700;Jo\n10,5;12490;Jo\n20;12300;Jo\n30;x;Jo\n41;11880;Jo');
  await expect(dialog).toContainText('4 rows; 1 left out, the first in line 6');
  await dialog.getByRole('button', { name: 'Add these rows' }).click();
  await expect(page.getByLabel('amperes, reading 2')).toHaveValue('10.5 A');
  await expect(page.getByLabel('volts, reading 4')).toHaveValue('11.88 V');
  await expect(found(page, 'packResistance')).toContainText('20');
  // A cell takes units, and says what it does not understand.
  await page.getByLabel('volts, reading 1').fill('12650 mV');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('volts, reading 1')).toHaveValue('12.65 V');
  await page.getByLabel('amperes, reading 5').fill('many');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('many');
});

test('a hundred thousand rows of a logger', async ({ heron, page }) => {
  test.setTimeout(90_000);
  await begin(page, heron, 'Coast-down', '64 mm can');
  const random = randomFrom(5);
  const rows = Array.from({ length: 100_000 }, (_, i) => {
    const time = i * 2e-4;
    return `${time.toFixed(4)},${(3000 * Math.exp(-time / 30) - 60 * time + random() - 0.5).toFixed(2)}`;
  });
  await button(page, 'Paste columns, or a file').click();
  const dialog = page.getByRole('dialog', { name: 'Readings out of a table' });
  const file = { name: 'coast.csv', mimeType: 'text/csv', buffer: Buffer.from(`t_s,rpm\n${rows.join('\n')}\n`) };
  await dialog.locator('input[type=file]').setInputFiles(file);
  await expect(dialog).toContainText('100000 rows');
  await dialog.getByRole('button', { name: 'Add these rows' }).click();
  await expect(found(page, 'frictionTorque')).toBeVisible({ timeout: 30_000 });
  // Only what is in view is drawn: the page stays quick.
  expect(await page.getByRole('table').first().locator('tr').count()).toBeLessThan(80);
  await expect(page.getByText('saved', { exact: true })).toBeVisible({ timeout: 30_000 });
});

test('a trial is left and gone on with; one begun by mistake is thrown away', async ({ heron, page }) => {
  await begin(page, heron, 'Pack under load');
  await page.getByLabel('amperes, reading 1').fill('5');
  await page.keyboard.press('Enter');
  await page.getByLabel('volts, reading 1').fill('12.6');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Table of readings' })).toContainText('strike out');
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'All trials' }).click();
  await page
    .getByRole('row', { name: /unfinished, 1 row\./ })
    .getByRole('link')
    .click();
  await expect(page.getByLabel('volts, reading 1')).toHaveValue('12.6 V');
  await expect(page.getByRole('status').filter({ hasText: 'Wanted: 2 whole readings' })).toBeVisible();
  await button(page, 'Throw away').click();
  await button(page, 'Throw it away').click();
  await expect(page.getByRole('heading', { name: 'Bench book' })).toBeVisible();
  await expect(page.getByText('unfinished')).toBeHidden();
});

test('the book is searched, ordered, taken out and brought in', async ({ heron, page, server }) => {
  await open(page, server, '/bench');
  await expect(page.getByRole('row')).toHaveCount(13);
  await page.getByRole('searchbox').fill('tape stall');
  await expect(page.getByRole('row')).toHaveCount(3);
  await page.getByRole('searchbox').fill('');
  await page.getByLabel('kind').selectOption({ label: 'Pack under load' });
  await expect(page.getByRole('row')).toHaveCount(2);
  const book = await (await page.request.get(`${server.url}/api/trials/book`)).text();
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'book.json', mimeType: 'application/json', buffer: Buffer.from(book) });
  await expect(page.getByText('0 came in; 12 were here already.')).toBeVisible();
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from('{') });
  await expect(page.getByText('x.json is not JSON')).toBeVisible();
  // From a mechanism to what was measured of it.
  await heron.open('lift', 'motor');
  await fromMenu(page, 'mechanism', 'Measure it on the bench');
  await expect(page.getByRole('row')).toHaveCount(3);
});

test('a go is traced to the figure that explains it', async ({ page, server }) => {
  await open(page, server, '/bench/7d2a0000-0000-4000-8000-000000000001');
  const traced = page.getByTestId('traced');
  await expect(traced).toContainText('Friction explains it best', { timeout: 20_000 });
  await expect(traced).toContainText(/time of the go 1\.7\d s where 1\.51 s was predicted/i);
  // One go up and one down stand beside each other.
  await expect(page.getByTestId('other-trials')).toContainText('raise');
  await expect(page.getByTestId('other-trials')).toContainText('lower');
  // What is worth doing next is begun from here.
  await page.getByTestId('next-trial').getByRole('link', { name: 'Pull on a scale' }).click();
  await expect(page.getByRole('dialog').getByLabel('what is measured')).toHaveValue('pull');
  await page.keyboard.press('Escape');
  await expect(page).not.toHaveURL(/begin/);
});

test('a sheet is printed blank, and as a report', async ({ page, server }) => {
  await open(page, server, '/bench/7d2a0000-0000-4000-8000-000000000003');
  await page.getByRole('link', { name: 'Blank sheet' }).click();
  await expect(page.getByRole('article')).toContainText('measured by: ______');
  await expect(page.getByRole('row')).toHaveCount(9);
  await page.getByRole('link', { name: 'Back to the trial' }).click();
  await page.getByRole('link', { name: 'Print the report' }).click();
  await expect(page.getByRole('article')).toContainText('the pack was changed in between');
  await expect(page.getByRole('article')).toContainText('Its drag grows with speed, which the sheet leaves out.');
});

test('a real match is laid over the predicted one, its columns said once', async ({ heron, page, server }) => {
  await open(page, server, `/robots/${heron.id}`);
  await page.getByTestId('robot-answer').waitFor({ timeout: 30_000 });
  const file = {
    name: 'final.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      `t_s;bus (V);I (A);base (A)\n${Array.from({ length: 300 }, (_, i) => `${i / 2};${i % 9 === 0 ? '10,9' : '12,1'};40;25`).join('\n')}\n`,
    ),
  };
  await page.getByRole('button', { name: 'Take in a log' }).click();
  const dialog = page.getByRole('dialog', { name: 'Log of a match' });
  await dialog.locator('input[type=file]').setInputFiles(file);
  await expect(dialog).toContainText('300 rows');
  await dialog.getByLabel('Drive base').selectOption({ label: 'base, A' });
  await dialog.getByRole('button', { name: 'Take it into the bench book' }).click();
  const shares = page.getByTestId('logged-shares');
  await expect(shares.getByRole('row', { name: /^Drive base/ })).toContainText('63 %');
  await expect(shares.getByRole('row', { name: /^Mast lift/ })).toContainText('no channel');
  await expect(shares.getByRole('row', { name: /^the pack/ })).toContainText('1.66 Ah');
  // The second time the columns are known by their names.
  await page.getByRole('button', { name: 'Take in a log' }).click();
  await dialog.locator('input[type=file]').setInputFiles(file);
  await expect(dialog.getByLabel('Drive base')).toHaveValue('base');
});
