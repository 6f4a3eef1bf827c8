import { readFileSync } from 'node:fs';
import jsQR from 'jsqr';
import { PDFDocument } from 'pdf-lib';
import { PNG } from 'pngjs';
import { expect, open, test } from '../fixtures.js';
import { settled } from '../settled.js';
import { room, fromMenu } from '../ways.js';

test.use({ ownServer: true });

/** From the plan to the workshop: what to buy, what to type in, where each wire goes, and all of it on paper. */

test('the order sheet: spares by a rule, what is owned, as CSV', async ({ heron, page, server }) => {
  await open(page, server, `/robots/${heron.id}`);
  await page.getByTestId('robot-answer').waitFor({ timeout: 30_000 });
  await room(page, 'Order').click();
  await expect(page).toHaveTitle('Heron, order sheet · Rough Gear');
  const order = page.getByTestId('order');
  const motor = order.getByRole('row', { name: /64 mm can/ });
  await expect(motor).toContainText('Drive base, Mast lift, Capstan climb');
  const before = await motor.innerText();
  await page.getByLabel('spares for what wears: one in').fill('1');
  await page.keyboard.press('Enter');
  await expect(motor).not.toHaveText(before);
  await expect(order.getByRole('row', { name: /^chain, No\. \d+/ }).first()).toContainText('Drive base');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export as CSV' }).click();
  const text = readFileSync(await (await download).path(), 'utf8');
  expect(text.split('\r\n')[0]).toContain('group,name,wanted');
  expect(text).toContain('"brushed 12 V, 64 mm can"');
  // What is asked of a rule is refused by name.
  await page.getByLabel('one spare in').first().fill('0');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('not allowed');
});

test('a robot is ordered, half of it comes, and the sheet says so on paper', async ({ heron, page, server }) => {
  await page.evaluate(() => localStorage.setItem('rough-gear:who', 'Jonas'));
  await open(page, server, `/robots/${heron.id}/paper/order`);
  const row = page.locator('tr[data-line]', { hasText: 'brushless 12 V with' });
  const toBuy = async (): Promise<number> => Number(await row.getByRole('cell').nth(3).innerText());
  await expect(row).toContainText('Buoy thrower');
  const wanted = await toBuy();
  expect(wanted).toBeGreaterThan(1);
  await row.getByRole('button').click();
  const track = page.locator('[data-track]');
  // What is missing stands in the field already.
  await expect(track.getByLabel('pieces')).toHaveValue(String(wanted));
  await track.getByLabel('note').fill('order 12, by Friday');
  await track.getByRole('button', { name: 'ordered' }).click();
  await expect(row).toContainText(`${wanted} on the way · order 12, by Friday`);
  const half = Math.floor(wanted / 2);
  await track.getByLabel('pieces').fill(String(half));
  await track.getByLabel('pieces').press('Enter');
  await track.getByRole('button', { name: 'came' }).click();
  await expect(row).toContainText(`${wanted - half} on the way · ${half} came`);
  expect(await toBuy()).toBe(wanted - half);
  // One too many is taken back, and stays in what was said.
  await track.getByRole('button', { name: 'built in' }).click();
  await track.getByRole('button', { name: 'take the last back' }).click();
  await expect(track.getByRole('list', { name: 'What was said of it' }).getByRole('listitem')).toHaveCount(4);
  await expect(row).not.toContainText('built in');
  await track.getByLabel('sold by').fill('the harbour shop');
  await track.getByLabel('sold by').blur();
  await page.getByLabel('together by').selectOption('seller');
  await expect(page.getByRole('rowheader', { name: 'the harbour shop' })).toBeVisible();
  // Money in the team's own, against what there is of it.
  await page.getByLabel('budget').fill('100');
  await page.getByLabel('budget').press('Enter');
  await expect(page.getByTestId('to-spend')).toContainText(/of 100 crowns: \d+ crowns too much/);
  await page.reload();
  await expect(row).toContainText(`${half} came`);
  await page.emulateMedia({ media: 'print' });
  await expect(row).toContainText(`${half} came`);
  await expect(page.locator('[data-track]')).toBeHidden();
  await expect(page.getByRole('heading', { name: 'Order sheet' })).toBeVisible();
});

test('what is not to be had has stand-ins, judged; a second ratio is bought along', async ({ heron, page, server }) => {
  await open(page, server, `/robots/${heron.id}/paper/order`);
  const row = page.locator('tr[data-line]', { hasText: 'brushed controller 20 A' });
  await row.getByRole('button').click();
  await page.getByRole('button', { name: /what else would do/ }).click();
  const first = page.getByRole('list', { name: 'Stand-ins' }).getByRole('listitem').first();
  await expect(first).toContainText('Roller intake, enough', { timeout: 20_000 });
  const wheel = page.getByRole('checkbox', { name: /^Mast lift, stage 2: / }).first();
  const lines = await page.locator('tr[data-line]').count();
  await wheel.check();
  await expect(page.locator('tr[data-line]', { hasText: 'Mast lift, to try' })).toHaveCount(1);
  expect(await page.locator('tr[data-line]').count()).toBeGreaterThanOrEqual(lines);
  await wheel.uncheck();
  await expect(page.locator('tr[data-line]', { hasText: 'Mast lift, to try' })).toHaveCount(0);
});

test('setup cards: a number for each thing, with where it comes from; constants for a team’s own code', async ({
  heron,
  page,
  server,
}) => {
  await open(page, server, `/robots/${heron.id}/paper/cards`);
  const lift = page.locator('[data-card="controller lift"]');
  await expect(lift.getByRole('row', { name: /^pack-side limit/ })).toContainText('40 A');
  await expect(lift).toContainText('Stalled, the motor takes all it can and burns in seconds.');
  await expect(page.locator('[data-card="driver turntable"]').getByRole('row', { name: /^micro-steps/ })).toContainText(
    'switches',
  );
  await expect(page.locator('[data-card="servo grip"]').getByRole('row', { name: /^centre/ })).toContainText('µs');
  await expect(page.locator('[data-card^="rail"]')).toContainText('common with the board');
  await page.getByLabel('for your own code').selectOption({ label: 'constants, python' });
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the file' }).click();
  expect((await download).suggestedFilename()).toBe('cards.py');
});

test('a card typed in, then the plan changed, shows what to retype; a kind has names of its own', async ({
  heron,
  page,
  server,
}) => {
  await page.evaluate(() => localStorage.setItem('rough-gear:who', 'Mira'));
  const cards = `${server.url}/robots/${heron.id}/paper/cards`;
  await page.goto(cards);
  const lift = page.locator('[data-card="controller lift"]');
  await expect(lift.getByTestId('retype')).toContainText('pack-side limit 45 A → 40 A');
  await lift.getByRole('button', { name: 'Retyped, as it stands here' }).click();
  await expect(lift.getByTestId('retype')).toBeHidden();
  await expect(lift).toContainText(/typed in .*Mira/);
  // Another limit in the plan is another number on the card, and asks to be typed in.
  await heron.open('lift', 'controller');
  await page.getByRole('textbox', { name: 'pack-side limit' }).first().fill('33 A');
  await page.keyboard.press('Enter');
  await heron.saved();
  await page.goto(cards);
  await expect(lift.getByRole('row', { name: /^pack-side limit/ })).toContainText('33 A');
  await expect(lift.getByRole('row', { name: /^pack-side limit/ })).toContainText('typed');
  await expect(lift.getByTestId('retype')).toContainText('Retype 1 setting');
  await expect(lift.getByTestId('retype')).toContainText('pack-side limit 40 A → 33 A');
  // Once for a kind: every card of the same controller has it.
  await lift.getByRole('button', { name: 'my controller calls them otherwise' }).click();
  await lift.getByRole('textbox', { name: 'pack-side limit' }).fill('input limit');
  await lift.getByRole('textbox', { name: 'pack-side limit' }).press('Tab');
  await lift.getByRole('button', { name: 'names are as they should be' }).click();
  await expect(lift.getByRole('row', { name: /^input limit/ })).toContainText('33 A');
  await expect(page.locator('[data-card="controller climb"]').getByRole('row', { name: /^input limit/ })).toBeVisible();
});

test('a code on a card leads a phone to that card', async ({ heron, page, server }) => {
  await open(page, server, `/robots/${heron.id}/paper/cards`);
  await page.getByLabel('where phones find this program').fill('http://workshop.example:4173/');
  await page.getByLabel('where phones find this program').blur();
  const code = page.getByRole('img', { name: 'Code that opens the card of Mast lift on a phone' });
  await code.evaluate((svg: SVGElement) => Object.assign(svg.style, { width: '400px', height: '400px' }));
  const { data, width, height } = PNG.sync.read(await code.screenshot());
  const read = jsQR(new Uint8ClampedArray(data), width, height);
  expect(read?.data).toBe(`http://workshop.example:4173/robots/${heron.id}/pit/cards?card=controller+lift`);
  await page.goto(read!.data.replace('http://workshop.example:4173', server.url));
  await expect(page.locator('[data-card="controller lift"]')).toContainText('pack-side limit');
});

test('the wiring is one sheet, and says what is wrong in it', async ({ heron, page, server }) => {
  const wiring = `${server.url}/robots/${heron.id}/paper/wiring`;
  await page.goto(wiring);
  await expect(page.locator('[data-slot="5"]')).toContainText('Mast lift, controller, channel 5');
  await expect(page.locator('[data-slot="5"]')).toContainText('12 AWG, 0.6 m');
  await expect(page.getByTestId('harness-checks')).toContainText('none found');
  await expect(page.getByTestId('harness-signals')).toContainText('control ground');
  await heron.open('lift', 'branch');
  await page.getByRole('textbox', { name: 'wire', exact: true }).first().fill('18');
  await page.keyboard.press('Enter');
  await heron.saved();
  await page.goto(wiring);
  await expect(page.getByTestId('harness-checks')).toContainText(/slot 5, Mast lift, gives way\..*18 AWG/);
});

test('the whole robot is a book: a page a mechanism, nothing wider than the paper', async ({ heron, page, server }) => {
  test.setTimeout(180_000);
  await open(page, server, `/robots/${heron.id}`);
  await page.getByTestId('robot-answer').waitFor({ timeout: 30_000 });
  await fromMenu(page, 'robot', 'Whole book, to print');
  const { document } = await heron.stored();
  const pages = page.locator('[data-page]');
  await expect(pages.first()).toContainText('What gives first');
  for (const { id, name } of document.mechanisms)
    await expect(page.locator(`[data-page="${id}"]`).getByRole('heading', { name })).toBeVisible();
  await expect(page.locator('[data-card]')).toHaveCount(12);
  await expect(page.locator('[data-page="lift"] canvas, [data-page="lift"] svg').first()).toBeVisible();
  await settled(page, 800);
  for (const format of ['A4', 'Letter'] as const) {
    const pdf = await PDFDocument.load(await page.pdf({ format, printBackground: true }));
    // Cover, a page a mechanism at least, cards, wiring, order.
    expect(pdf.getPageCount()).toBeGreaterThan(document.mechanisms.length + 8);
    expect(pdf.getPageCount()).toBeLessThan(40);
    const { width } = pdf.getPage(0).getSize();
    expect(width).toBeCloseTo(format === 'A4' ? 595 : 612, -1);
  }
});

test('what is drawn for paper goes onto it whole', async ({ heron, page, server }) => {
  test.setTimeout(180_000);
  for (const sheet of ['order', 'cards', 'wiring', 'book']) {
    await open(page, server, `/robots/${heron.id}/paper/${sheet}`);
    await page.getByRole('article').first().waitFor();
    await page.emulateMedia({ media: 'print' });
    await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
    await expect(page.getByRole('navigation', { name: 'Main' })).toBeHidden();
    // The heads of the papers are printed.
    await expect(page.locator('article header').first()).toBeVisible();
    // Nothing is wider than the paper between its margins: the narrower of the two.
    await page.setViewportSize({ width: 702, height: 1000 });
    const over = await page.evaluate(() =>
      [...document.querySelectorAll('article, article table, article svg, article canvas, article p')].flatMap((one) =>
        one.getBoundingClientRect().right > innerWidth + 1 ? [one.outerHTML.slice(0, 100)] : [],
      ),
    );
    expect(over).toEqual([]);
    await page.emulateMedia({ media: null });
    await page.setViewportSize({ width: 1280, height: 800 });
  }
});
