import { readFileSync } from 'node:fs';
import type { ShelfPart } from '@rough-gear/contract/api';
import type { Locator, Page } from '@playwright/test';
import { expect, test } from '../fixtures.js';
import type { TestServer } from '../server.js';

test.use({ ownServer: true });

const sheet = (page: Page): Locator => page.getByTestId('part-sheet');
const rows = (page: Page): Locator => page.getByTestId('parts').getByRole('row');
const open = async (page: Page, server: TestServer, kind = 'motor') => {
  await page.goto(`${server.url}/shelf/${kind}`);
  await expect(page.getByTestId('parts')).toBeVisible();
};
const stored = async (server: TestServer, kind = 'motor'): Promise<readonly ShelfPart[]> =>
  (await (await fetch(`${server.url}/api/shelf?kind=${kind}&retired=true`)).json()) as ShelfPart[];
const choose = (page: Page, text: string) =>
  page.setInputFiles('input[type=file]', { name: 'own.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });

test('a part of one’s own goes from its data sheet onto the shelf, is changed, doubled and retired', async ({
  page,
  server,
}) => {
  await open(page, server);
  await page.getByRole('button', { name: 'New part' }).click();
  await expect(sheet(page).getByRole('button', { name: 'Put it on the shelf' })).toBeDisabled();
  await sheet(page).getByRole('textbox', { name: 'name', exact: true }).fill('yard motor');
  await sheet(page).getByRole('textbox', { name: 'name', exact: true }).press('Tab');
  for (const [field, text] of [
    ['rated volts', '12 V'],
    ['free speed', '5800 rpm'],
    ['free current', '2.4 A'],
    ['stall torque', '300 oz-in'],
    ['stall current', '120 A'],
    ['mass', '2.5 lb'],
  ] as const) {
    const box = sheet(page).getByRole('textbox', { name: field, exact: true });
    await box.fill(text);
    await box.press('Enter');
  }
  await sheet(page).getByRole('textbox', { name: 'data sheet' }).fill('yard-motor.pdf, page 3');
  await sheet(page).getByRole('textbox', { name: 'data sheet' }).press('Tab');
  await sheet(page).getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(sheet(page)).toContainText('your own, version 1');
  const part = (await stored(server)).find((item) => item.part.name === 'yard motor')!;
  expect(part).toMatchObject({ own: true, part: { sheet: 'yard-motor.pdf, page 3', mass: { as: '2.5 lb' } } });

  // Stall current under free current is refused with its reason, and nothing is lost.
  const stall = sheet(page).getByRole('textbox', { name: 'stall current', exact: true });
  await stall.fill('1 A');
  await stall.press('Enter');
  await sheet(page).getByRole('button', { name: 'Save' }).click();
  await expect(sheet(page).getByRole('alert')).toContainText('stall current must be greater than the free current');
  await stall.fill('130 A');
  await stall.press('Enter');
  await sheet(page).getByRole('button', { name: 'Save' }).click();
  await expect(sheet(page)).toContainText('your own, version 2');

  await sheet(page).getByRole('button', { name: 'Duplicate' }).click();
  await expect(sheet(page).getByRole('textbox', { name: 'name', exact: true })).toHaveValue('yard motor, own');
  await sheet(page).getByRole('button', { name: 'Put it on the shelf' }).click();
  await sheet(page).getByRole('button', { name: 'Retire' }).click();
  await expect(page.getByTestId('parts')).not.toContainText('yard motor, own');
  await page.getByRole('checkbox', { name: 'retired too' }).check();
  await expect(page.getByTestId('parts')).toContainText('yard motor, own');
});

test('of a part that ships, what the team says is kept: owned, price, common here', async ({ page, server }) => {
  await open(page, server);
  await page.getByRole('button', { name: 'brushed 12 V, 64 mm can', exact: true }).click();
  await expect(sheet(page)).toContainText('ships with the program');
  await sheet(page)
    .getByRole('button', { name: /owned: one more|more/i })
    .first()
    .click();
  await expect(sheet(page).getByRole('textbox', { name: 'owned' })).toHaveValue('1');
  await sheet(page).getByRole('checkbox', { name: 'common here' }).check();
  await page.getByRole('checkbox', { name: 'owned', exact: true }).check();
  await expect(page.getByTestId('parts')).toContainText('brushed 12 V, 64 mm can');
  await expect(page.getByTestId('parts')).not.toContainText('76 mm');
  await page.reload();
  await expect(sheet(page).getByRole('checkbox', { name: 'common here' })).toBeChecked();
});

test('the table sorts, narrows by words and by a range, and is walked by arrow keys', async ({ page, server }) => {
  await open(page, server);
  await page.getByRole('button', { name: 'stall torque, N·m' }).click();
  await expect(rows(page).nth(1)).toContainText('76 mm');
  await expect(page.getByRole('columnheader', { name: /stall torque/ })).toHaveAttribute('aria-sort', 'descending');
  await page.getByRole('combobox', { name: /only from/ }).selectOption({ label: 'stall torque, N·m' });
  await page.getByRole('textbox', { name: 'to', exact: true }).fill('1');
  await page.getByRole('textbox', { name: 'from', exact: true }).fill('0,5');
  await expect(rows(page)).toHaveCount(2);
  await expect(rows(page).nth(1)).toContainText('45 mm');
  await page.getByRole('textbox', { name: 'from', exact: true }).fill('');
  await page.getByRole('textbox', { name: 'to', exact: true }).fill('');
  await page.getByRole('textbox', { name: 'find by name or figure' }).fill('can 36 turns');
  await expect(rows(page)).toHaveCount(9);
  const first = rows(page).nth(1).getByRole('button');
  await first.focus();
  await page.keyboard.press('End');
  await expect(rows(page).nth(8).getByRole('button')).toBeFocused();
  await page.keyboard.press('ArrowUp');
  await expect(rows(page).nth(7).getByRole('button')).toBeFocused();
  const name = (await rows(page).nth(7).getByRole('button').textContent())!.trim();
  await page.keyboard.press('Enter');
  await expect(sheet(page).getByRole('heading')).toHaveText(name);
});

test('a bad file changes nothing and says which line; a good one is seen before it is taken', async ({
  page,
  server,
}) => {
  await open(page, server);
  const before = (await stored(server)).length;
  await page.getByRole('button', { name: 'Import a file' }).click();
  const head = 'name,type,figures by,rated volts (V),stall torque (oz-in),mass (lb)\n';
  await choose(page, `${head}good one,brushed,sheet,12,100,1.1\nbad one,steam,sheet,twelve,100,1\n`);
  const report = page.getByTestId('import-report');
  await expect(report).toContainText('1 not understood');
  await expect(report).toContainText('“steam” is not among brushed, brushless');
  await expect(report).toContainText('Nothing is imported until the whole file is understood');
  await expect(report.getByRole('row').first()).toContainText('3');
  await expect(report.getByRole('button', { name: /Take/ })).toBeDisabled();
  await choose(page, 'name,colour\na,red\n');
  await expect(report).toContainText('the column “colour” is not known');
  expect((await stored(server)).length).toBe(before);

  await choose(page, `${head}good one,brushed,sheet,12,100,1.1\n`);
  await report.getByRole('button', { name: 'Take 1 part' }).click();
  await expect(page.getByTestId('parts')).toContainText('good one');
  const taken = (await stored(server)).find((item) => item.part.name === 'good one')!.part;
  expect(taken.mass!.si).toBeCloseTo(0.49895, 4);

  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Export as CSV' }).click();
  const text = readFileSync(await (await download).path(), 'utf8');
  await page.getByRole('button', { name: 'Import a file' }).click();
  await choose(page, text.replace('good one', 'better one'));
  await expect(report).toContainText('1 changed');
  await expect(report).toContainText('name: good one → better one');
});

test('a shelf of two thousand parts is searched, sorted and walked like a small one', async ({ page, server }) => {
  const lines = Array.from(
    { length: 2000 },
    (_, i) => `heap motor ${String(i).padStart(4, '0')},brushed,sheet,12,${3000 + i}`,
  );
  await fetch(`${server.url}/api/shelf/file?kind=motor&dry=false`, {
    method: 'POST',
    headers: { 'Content-Type': 'text/csv' },
    body: `name,type,figures by,rated volts (V),free speed (rpm)\n${lines.join('\n')}`,
  });
  await open(page, server);
  await expect(page.getByText('2023 of 2023')).toBeVisible();
  // Only what is in view is drawn.
  expect(await rows(page).count()).toBeLessThan(80);
  await page.getByRole('textbox', { name: 'find by name or figure' }).fill('heap');
  await expect(page.getByText('2000 of 2023')).toBeVisible();
  await rows(page).filter({ hasText: 'heap' }).first().getByRole('button').focus();
  await page.keyboard.press('End');
  await expect(page.getByRole('button', { name: 'heap motor 1999' })).toBeFocused();
  await page.keyboard.press('Home');
  await expect(page.getByRole('button', { name: 'heap motor 0000' })).toBeFocused();
  await page.getByRole('textbox', { name: 'find by name or figure' }).fill('heap 1234');
  await expect(rows(page).filter({ hasText: 'heap' })).toHaveCount(1);
});

test('a plan says what is newer on the shelf, shows the difference, and takes it when told', async ({
  heron,
  page,
}) => {
  await heron.open('lift');
  await page.getByRole('button', { name: 'Parts, 1 newer on the shelf' }).click();
  const list = page.getByTestId('plan-parts');
  await expect(list).toContainText('the shelf has version 2, this is 1');
  await expect(list).toContainText('mass: 5.9 kg → 5.6 kg');
  await list.getByRole('button', { name: 'Take the newer' }).click();
  await expect(list).not.toContainText('the shelf has version');
  await page.keyboard.press('Escape');
  await heron.saved();
  const pack = Object.values((await heron.stored()).document.parts).find(({ part }) => part.kind === 'pack')!;
  expect(pack).toMatchObject({ shelfRevision: 2, part: { mass: { si: 5.6 } } });
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Parts, 1 newer on the shelf' })).toBeVisible();
});

test('wire and chain are taken off the shelf with their figures', async ({ heron, page }) => {
  await heron.open('lift', 'branch');
  await page.getByRole('button', { name: 'Wire', exact: true }).click();
  await page.getByRole('button', { name: /wire 8 AWG/ }).click();
  await heron.saved();
  const branch = (await heron.stored()).document.supply.find(({ id }) => id === 'branch-lift');
  expect(branch).toMatchObject({ wire: { gauge: { si: 8, from: 'wire 8 AWG, silicone' } } });
});

test('a pasted data sheet is read into a part: what is sure is seen, what is in doubt is asked, nothing is taken silently', async ({
  page,
  server,
}) => {
  await open(page, server, 'servo');
  await page.getByRole('button', { name: 'New part' }).click();
  await page.getByRole('button', { name: 'Paste a data sheet' }).click();
  const dialog = page.getByRole('dialog');
  const take = dialog.getByRole('button', { name: /^Take/ });
  await expect(take).toBeDisabled();
  await dialog.getByRole('textbox').fill(`Yard servo, digital, waterproof
Operating voltage: 4.8 V / 6.0 V
Stall torque: 15 kg-cm / 18.5 kg-cm
Speed (6.0V): 0.14 sec/60deg
Gears: metal
Weight: 62
Made for the harbour yard`);
  const read = dialog.getByTestId('sheet-read');
  const row = (name: string) => read.getByRole('row').filter({ hasText: name });
  await expect(row('stall torque, point 2')).toContainText('18.5 kg·cm');
  await expect(row('stall torque, point 2')).toContainText('Stall torque: 15 kg-cm / 18.5 kg-cm');
  await expect(read).toContainText('1 line nothing was read from');
  // Doubts stay out until they are answered; what is sure can be left out.
  await expect(read).toContainText('2 in doubt stay out');
  await read
    .getByRole('group', { name: /^mass: no unit/ })
    .getByRole('radio', { name: '62 g', exact: true })
    .check();
  await expect(read).toContainText('1 in doubt stay out');
  await row('sealing').getByRole('checkbox').uncheck();
  await take.click();

  await expect(sheet(page).getByRole('textbox', { name: 'mass', exact: true })).toHaveValue('0.062 kg');
  await sheet(page).getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(sheet(page)).toContainText('your own, version 1');
  const { part } = (await stored(server, 'servo')).find((item) => item.part.name.startsWith('Yard servo'))!;
  expect(part).toMatchObject({
    signal: 'digital',
    points: [
      { voltage: { si: 4.8 }, stallTorque: { as: '15 kg·cm', source: 'sheet' } },
      { voltage: { si: 6 }, stallTorque: { from: 'Stall torque: 15 kg-cm / 18.5 kg-cm' }, speed: { as: '0.14 s/60°' } },
    ],
  });
  expect(part).not.toHaveProperty('gears');
  expect(part).not.toHaveProperty('sealing');
});

test('a motor that is on no shelf comes into a mechanism by its sheet, and one undo takes it away', async ({
  heron,
  page,
}) => {
  await heron.open('lift', 'motor');
  const before = await heron.stored();
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByRole('button', { name: 'Paste a data sheet' }).click();
  await page
    .getByRole('dialog')
    .getByRole('textbox')
    .fill('Outrunner of the yard\nbrushless\nKv\t480 rpm/V\nRm\t24 mΩ\nI0 (10 V)\t1,2 A\nMass\t310 g');
  await expect(page.getByTestId('sheet-read')).toContainText('Kv');
  await page.getByRole('button', { name: /^Take/ }).click();
  await expect(page.getByText('Outrunner of the yard').first()).toBeVisible();
  await heron.saved();
  const { parts } = (await heron.stored()).document;
  const motor = Object.values(parts).find(({ part }) => part.name === 'Outrunner of the yard')!.part;
  expect(motor).toMatchObject({
    type: 'brushless',
    data: { form: 'kv', resistance: { si: 0.024, source: 'sheet' }, freeCurrent: { as: '1.2 A' } },
  });
  await page.getByRole('button', { name: 'Undo' }).click();
  await heron.saved();
  expect((await heron.stored()).document).toEqual(before.document);
});

test('motors stand beside each other by the same figures on the same volts, and musts narrow them step by step', async ({
  page,
  server,
}) => {
  await open(page, server);
  await page.getByRole('button', { name: 'all alike' }).click();
  const row = (name: string) => rows(page).filter({ hasText: name }).first();
  await expect(row('outrunner, 35 mm, 900 Kv')).toContainText('900');
  await expect(row('brushed 12 V, 64 mm can')).toContainText('493');
  // Half the volts, half the stall.
  await expect(row('brushed 12 V, 64 mm can').getByRole('cell').nth(6)).toHaveText('118');
  await page.getByRole('textbox', { name: 'on', exact: true }).fill('6 V');
  await page.getByRole('textbox', { name: 'on', exact: true }).press('Enter');
  await expect(row('brushed 12 V, 64 mm can').getByRole('cell').nth(6)).toHaveText('59');
  // Cheapest watt first.
  await page.getByRole('button', { name: 'price/100 W' }).click();
  await page.getByRole('button', { name: 'price/100 W' }).click();
  const prices = await rows(page).evaluateAll((all) =>
    all.slice(1).map((one) => Number(one.lastElementChild!.textContent)),
  );
  expect(prices).toEqual([...prices].sort((a, b) => a - b));
  await page.getByRole('combobox', { name: 'only from … to … of' }).selectOption({ label: 'Kv' });
  await page.getByRole('textbox', { name: 'to', exact: true }).fill('500');
  await expect(row('brushed 12 V, 64 mm can')).toBeVisible();
  await expect(rows(page).filter({ hasText: '900 Kv' })).toHaveCount(0);
  await page.getByRole('textbox', { name: 'to', exact: true }).fill('');

  // Decided in an order: type, then poles, then winding, with what is left after each.
  const musts = page.getByTestId('musts');
  const add = musts.getByRole('combobox', { name: 'another must' });
  await add.selectOption({ label: 'type' });
  await musts.getByRole('combobox', { name: 'type' }).selectOption('brushless');
  await add.selectOption({ label: 'pole pairs' });
  await musts.getByRole('textbox', { name: 'pole pairs from' }).fill('7');
  await add.selectOption({ label: 'Kv' });
  await musts.getByRole('textbox', { name: 'Kv to' }).fill('400 Kv');
  const left = (await musts.textContent())!.match(/\d+ left/g)!.map((text) => Number.parseInt(text));
  expect(left).toHaveLength(3);
  expect(left).toEqual([...left].sort((a, b) => b - a));
  await expect(rows(page)).toHaveCount(left[2]! + 1);
  await musts.getByRole('textbox', { name: 'Kv to' }).fill('4 miles');
  await expect(musts.getByRole('alert')).toContainText('Kv: “miles” is not understood');
  await musts.getByRole('button', { name: 'No longer ask for Kv' }).click();
  await expect(rows(page)).toHaveCount(left[1]! + 1);
});
