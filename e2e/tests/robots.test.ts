import { dcDriveOf } from '@rough-gear/core';
import { readFileSync } from 'node:fs';
import { expect, open, test } from '../fixtures.js';
import { fromMenu, toRobots } from '../ways.js';

test.use({ ownServer: true });

test('the start page says what is wrong in each robot, and makes, renames, duplicates, bins and brings back', async ({
  page,
  server,
}) => {
  await open(page, server, '/robots');
  await expect(page.getByText('1 gives way, 3 tight, 1 not known, 5 enough')).toBeVisible();

  await page.getByRole('button', { name: 'Duplicate Limpet' }).click();
  await expect(page.getByRole('link', { name: 'Limpet copy' })).toBeVisible();
  await page.getByRole('button', { name: 'Rename Limpet copy' }).click();
  await page.getByRole('textbox', { name: 'name' }).fill('Whelk');
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('link', { name: 'Whelk', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Put Whelk into the bin' }).click();
  await expect(page.getByRole('link', { name: 'Whelk', exact: true })).toBeHidden();
  await page.getByRole('button', { name: 'Bin (1)' }).click();
  await page.getByRole('button', { name: 'Bring Whelk back' }).click();
  await expect(page.getByRole('link', { name: 'Whelk', exact: true })).toBeVisible();
});

const VERDICT =
  'Gives way. Capstan climb: Nothing keeps it up when the power goes: it falls on whoever stands under it. In the match: gives way, 0.917×.';

test('a robot has one verdict: on the list before it was opened, on its page, in the rail, the book and the pit', async ({
  page,
  server,
}) => {
  await open(page, server, '/robots');
  const heron = page.getByRole('article').filter({ has: page.getByRole('link', { name: 'Heron', exact: true }) });
  await expect(heron.getByTestId('robot-verdict')).toHaveText(VERDICT);
  await heron.getByRole('link', { name: 'Heron', exact: true }).click();
  const said = page.getByTestId('whole-robot');
  await expect(said).toContainText(VERDICT, { timeout: 30_000 });
  await expect(
    page.getByRole('navigation', { name: 'Mechanisms' }).getByRole('link', { name: /Whole robot/ }),
  ).toContainText('gives way: Capstan climb: falls when the power is off');
  for (const place of ['paper/book', 'pit/verdicts']) {
    const { pathname } = new URL(page.url());
    await page.goto(`${server.url}${pathname.split('/').slice(0, 3).join('/')}/${place}`);
    await expect(said).toContainText(VERDICT, { timeout: 30_000 });
  }
  // What falls is held, and the next worst is said: the match.
  await said.getByRole('link', { name: 'Open it' }).click();
  await page.getByTestId('mends').getByRole('button', { name: 'A ratchet on the drum' }).click();
  await expect(
    page.getByRole('navigation', { name: 'Mechanisms' }).getByRole('link', { name: /Whole robot/ }),
  ).toContainText('Mast lift: in time 0.917×', { timeout: 40_000 });
});

test('a plan is exported as the file the command line reads, and imported again; a wrong file is refused by field', async ({
  page,
  server,
}) => {
  await open(page, server, '/robots');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export Heron' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('heron.rough-gear.json');
  const text = readFileSync((await download.path())!, 'utf8');
  expect(JSON.parse(text)).toMatchObject({ format: 'rough-gear-plan', version: 4, name: 'Heron' });

  const chooser = page.getByLabel('Plan file to import');
  await chooser.setInputFiles({
    name: 'gull.json',
    mimeType: 'application/json',
    buffer: Buffer.from(text.replace('"name": "Heron"', '"name": "Gull"')),
  });
  await expect(page.getByRole('link', { name: 'Gull', exact: true })).toBeVisible();
  await chooser.setInputFiles({
    name: 'bad.json',
    mimeType: 'application/json',
    buffer: Buffer.from(text.replace(/("mass": \{\s*"si": )20,/, '$1-20,')),
  });
  await expect(page.getByRole('alert')).toContainText('mechanisms[1].jobs[0].mass.si: must be greater than 0 (is -20)');
  await chooser.setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('hello') });
  await expect(page.getByRole('alert')).toContainText('notes.txt was not imported. file: is not JSON');
});

test('the first five minutes: a new robot, three numbers and a kind, and the gauge answers', async ({
  page,
  server,
}) => {
  await open(page, server, '/robots');
  await page.getByRole('button', { name: 'New robot' }).click();
  await page.getByRole('textbox', { name: 'name' }).fill('Tern');
  await page.getByRole('button', { name: 'Done' }).click();
  await page.getByRole('button', { name: 'Add a mechanism' }).last().click();
  const dialog = page.getByRole('dialog', { name: 'Add a mechanism' });
  await expect(dialog.getByRole('button', { name: 'Add it' })).toBeDisabled();
  await dialog.getByRole('textbox', { name: 'what: the load' }).fill('a lot');
  await expect(dialog.getByText('does not start with a number')).toBeVisible();
  await dialog.getByRole('textbox', { name: 'what: the load' }).fill('26 lb');
  await dialog.getByRole('textbox', { name: 'how far' }).fill('1 m');
  await dialog.getByRole('textbox', { name: 'in what time' }).fill('2 s');
  await dialog.getByRole('textbox', { name: 'called' }).fill('Shelf lift');
  await dialog.getByRole('button', { name: 'Add it' }).click();

  await expect(page.getByRole('navigation', { name: 'Mechanisms' })).toContainText('Shelf lift');
  await expect(page.getByTestId('failing')).toContainText('Nothing keeps it up');
  await expect(page.getByTestId('answer')).toContainText('gives first, at');
  await page.keyboard.press('5');
  await expect(page.getByRole('button', { name: /ratio is typical/ })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('navigation', { name: 'Mechanisms' })).toContainText('Shelf lift');
});

test('a mechanism is renamed, moved by its buttons, removed, and brought back by undo', async ({ heron, page }) => {
  await heron.open('lift');
  const list = page.getByRole('navigation', { name: 'Mechanisms' });
  await fromMenu(page, 'mechanism', 'Rename');
  await page.getByRole('textbox', { name: 'name of the mechanism' }).fill('Tower');
  await page.getByRole('dialog').getByRole('button', { name: 'Rename' }).click();
  await expect(list).toContainText('Tower');
  await list.getByRole('link', { name: /^Tower/ }).focus();
  await page.getByRole('button', { name: 'Move Tower up' }).click();
  await expect(list.getByRole('listitem').first()).toContainText('Tower');
  await fromMenu(page, 'mechanism', 'Remove mechanism');
  await expect(list).not.toContainText('Tower');
  await page.keyboard.press('Control+z');
  await expect(list).toContainText('Tower');
});

test('a mechanism is dragged into another place', async ({ heron, page }) => {
  await heron.open('lift');
  const list = page.getByRole('navigation', { name: 'Mechanisms' });
  const grip = list.getByRole('listitem').filter({ hasText: 'Roller intake' }).locator('.drag');
  // Rows grow when the worker's verdicts come, and move away from under the pointer.
  await expect(list.getByText('looking …')).toHaveCount(0);
  let handle = { x: 0, y: 0 };
  await expect(async () => {
    await list.getByRole('link', { name: /^Roller intake/ }).hover();
    await expect(grip).toBeVisible({ timeout: 500 });
    // It may be drawn anew between the two.
    const box = await grip.boundingBox();
    expect(box).not.toBeNull();
    handle = box!;
  }).toPass();
  const first = (await list.getByRole('listitem').first().boundingBox())!;
  await page.mouse.move(handle.x + 10, handle.y + 10);
  await page.mouse.down();
  await page.mouse.move(handle.x + 10, first.y + 30, { steps: 15 });
  // The list makes room as it is dragged, as fast as the machine is: it is let go once it lies there.
  await expect(async () => {
    await page.mouse.move(handle.x + 10, first.y + 14);
    await page.mouse.move(handle.x + 10, first.y + 4, { steps: 4 });
    await expect(list.getByRole('listitem').first()).toContainText('Roller intake', { timeout: 400 });
  }).toPass();
  await page.mouse.up();
  await expect(list.getByRole('listitem').first()).toContainText('Roller intake');
  await heron.saved();
  expect((await heron.stored()).document.mechanisms[0]!.name).toBe('Roller intake');
});

test('a part is picked off the shelf, and the plan takes a copy of it', async ({ heron, page }) => {
  await heron.open('lift', 'motor');
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByRole('textbox', { name: 'find by name or figure' }).fill('76 mm');
  await page.getByTestId('shelf-parts').getByRole('button').click();
  await expect(page.getByRole('heading', { name: 'Motor', exact: true }).locator('..')).toContainText(
    'brushed 12 V, 76 mm can',
  );
  await heron.saved();
  const { document } = await heron.stored();
  const copy = document.parts[dcDriveOf(document.mechanisms[1]!.choices[0]!).motor]!;
  expect(copy).toMatchObject({ shelfId: 'motor-brushed-76', shelfRevision: 1 });
  // The climb still has the motor it had.
  expect(dcDriveOf(document.mechanisms[2]!.choices[0]!).motor).toBe('motor-1');
});

test('renaming on the start page does not make the open plan stale', async ({ heron, page }) => {
  await heron.open('lift', 'load');
  await toRobots(page);
  await page.getByRole('button', { name: 'Rename Heron' }).click();
  await page.getByRole('textbox', { name: 'name' }).fill('Egret');
  await page.getByRole('button', { name: 'Done' }).click();
  await page.getByRole('link', { name: 'Mast lift' }).click();
  await page.getByTestId('ratio-handle').focus();
  await page.keyboard.press('ArrowRight');
  await heron.saved();
  expect((await heron.stored()).document.name).toBe('Egret');
});
