import { readFileSync } from 'node:fs';
import type { PlanPage } from '@rough-gear/contract/api';
import { expect, open, test } from '../fixtures.js';
import { objections } from '../objections.js';
import type { TestServer } from '../server.js';
import { toRobots } from '../ways.js';

test.use({ ownServer: true });

const heron = JSON.parse(readFileSync(new URL('../../contract/demo/heron.json', import.meta.url), 'utf8')) as {
  mechanisms: unknown[];
};

/** Robots of one mechanism each, so that there are many soon. */
async function fleet(server: TestServer, count: number): Promise<void> {
  const document = { ...heron, mechanisms: heron.mechanisms.slice(0, 1) };
  for (let i = 0; i < count; i++)
    await fetch(`${server.url}/api/plans`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ document: { ...document, name: `Yard ${String(i).padStart(3, '0')}` } }),
    });
}

/** Parts that ship on the shelf. */
const SHIPS = (
  JSON.parse(readFileSync(new URL('../../contract/demo/shelf.json', import.meta.url), 'utf8')) as {
    readonly parts: readonly unknown[];
  }
).parts.length;

test('a hundred robots are found, put in order and scrolled through, and few of them are drawn', async ({
  page,
  server,
}) => {
  await fleet(server, 120);
  await open(page, server, '/robots');
  await expect(page.getByText('122 robots')).toBeVisible();
  const rows = page.getByTestId('robots').getByRole('article');
  await expect(rows.first()).toContainText('Yard 119');
  expect(await rows.count()).toBeLessThan(40);
  await page.getByTestId('robots').evaluate((list) => list.scrollTo(0, list.scrollHeight));
  await expect(async () => {
    await page.getByTestId('robots').evaluate((list) => list.scrollTo(0, list.scrollHeight));
    await expect(page.getByRole('link', { name: 'Limpet', exact: true })).toBeVisible({ timeout: 500 });
  }).toPass();
  await page.getByRole('combobox', { name: 'order' }).selectOption({ label: 'by name' });
  await expect(rows.first()).toContainText('Heron');
  await page.getByRole('searchbox', { name: /find by the name/ }).fill('yard 00');
  await expect(page.getByText('10 robots')).toBeVisible();
  await expect(rows.first()).toContainText('Yard 000');
  // By a mechanism's name as well.
  await page.getByRole('searchbox', { name: /find by the name/ }).fill('mast lift');
  await expect(page.getByText('1 robot', { exact: true })).toBeVisible();
  await expect(rows.first()).toContainText('Heron');
  await page.getByRole('searchbox', { name: /find by the name/ }).fill('nowhere');
  await expect(page.getByText('No robot and no mechanism is called that.')).toBeVisible();
});

test('the bin is emptied after a question, and for good', async ({ page, server }) => {
  await open(page, server, '/robots');
  await page.getByRole('button', { name: 'Put Limpet into the bin' }).click();
  await page.getByRole('button', { name: 'Bin (1)' }).click();
  await page.getByRole('button', { name: 'Empty the bin' }).click();
  const dialog = page.getByRole('dialog', { name: 'Empty the bin' });
  await expect(dialog).toContainText('One robot goes for good, with every save of it.');
  await dialog.getByRole('button', { name: 'Keep them' }).click();
  await expect(page.getByRole('button', { name: 'Bring Limpet back' })).toBeVisible();
  await page.getByRole('button', { name: 'Empty the bin' }).click();
  await dialog.getByRole('button', { name: 'Empty it' }).click();
  await expect(page.getByRole('button', { name: /Bin|Close the bin/ })).toHaveCount(0);
  const bin = (await (await fetch(`${server.url}/api/plans?bin=true`)).json()) as PlanPage;
  expect(bin.total).toBe(0);
});

test('a backup is made and taken along, and everything goes out and comes back as one archive', async ({
  page,
  server,
}) => {
  await open(page, server, '/data');
  await expect(page.getByTestId('held')).toContainText('robots2');
  const rows = page.getByRole('region', { name: 'All backups' }).getByRole('row');
  await page.getByRole('button', { name: 'Make one now' }).click();
  await expect(rows.filter({ hasText: 'made by hand' })).toHaveCount(1);
  const [backup] = await Promise.all([
    page.waitForEvent('download'),
    rows
      .filter({ hasText: 'made by hand' })
      .getByRole('link', { name: /Download by-hand/ })
      .click(),
  ]);
  expect(
    readFileSync((await backup.path())!)
      .subarray(0, 15)
      .toString(),
  ).toBe('SQLite format 3');
  const [archive] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Export everything' }).click(),
  ]);
  const buffer = readFileSync((await archive.path())!);

  await toRobots(page);
  await page.getByRole('button', { name: 'Put Limpet into the bin' }).click();
  await page.getByRole('button', { name: 'Bin (1)' }).click();
  await page.getByRole('button', { name: 'Empty the bin' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Empty it' }).click();
  await expect(page.getByRole('link', { name: 'Limpet', exact: true })).toHaveCount(0);

  await page.getByRole('link', { name: 'Data', exact: true }).click();
  const chooser = page.getByLabel('Bring an archive back');
  await chooser.setInputFiles({ name: 'notes.zip', mimeType: 'application/zip', buffer: Buffer.from('no archive') });
  await expect(page.getByRole('alert')).toContainText('notes.zip was not taken.');
  await chooser.setInputFiles({ name: 'all.zip', mimeType: 'application/zip', buffer });
  await expect(page.getByTestId('archive-report')).toContainText(
    `1 robot, 0 parts, 0 trials and 0 lines of diaries came back; 1, ${SHIPS} and 12 were here`,
  );
  await toRobots(page);
  await expect(page.getByRole('link', { name: 'Limpet', exact: true })).toBeVisible();
});

test('a file of parts that was taken in is taken back', async ({ page, server }) => {
  await open(page, server, '/shelf/wire');
  await page.getByRole('button', { name: 'Earlier imports' }).click();
  await expect(page.getByRole('dialog')).toContainText('No file was taken in yet.');
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
  const file = await (await fetch(`${server.url}/api/shelf/file?kind=wire`)).text();
  const [header, first] = file.split('\r\n');
  await page.getByRole('button', { name: 'Import a file' }).click();
  const own = first!.replace(/^[^,]*,("[^"]*"|[^,]*)/, ',=our own wire');
  await page.getByLabel('Choose a CSV file').setInputFiles({
    name: 'wire.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`${header}\r\n${own}\r\n`),
  });
  await page.getByRole('button', { name: 'Take 1 part' }).click();
  await expect(page.getByRole('button', { name: '=our own wire' })).toBeVisible();
  await page.getByRole('button', { name: 'Earlier imports' }).click();
  await page.getByRole('button', { name: /Take back the import of/ }).click();
  await expect(page.getByRole('dialog')).toContainText('1 taken away, 0 as before.');
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
  await expect(page.getByRole('button', { name: '=our own wire' })).toHaveCount(0);
});

test('the data page can be read by everyone, in both themes and on a phone', async ({ page, server }) => {
  await open(page, server, '/data');
  for (const theme of ['light', 'dark'] as const) {
    if (theme === 'dark') await page.getByRole('button', { name: 'Change to dark' }).click();
    await page.getByTestId('held').waitFor();
    expect(await objections(page)).toEqual([]);
  }
  await page.setViewportSize({ width: 390, height: 800 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('old lines of a diary are put away, and the pages stay as they are', async ({ heron, page, server }) => {
  const played = Array.from({ length: 15 }, (_, i) => {
    const at = new Date(Date.UTC(2026, 11, 1, 8, i)).toISOString();
    const id = (n: number): string => `7d2a0000-0000-4000-9000-${String(2 * i + n).padStart(12, '0')}`;
    return [
      {
        id: id(0),
        at,
        who: 'Ada',
        kind: 'checked',
        match: i + 6,
        check: 'x',
        state: 'fine',
        asks: 'nothing',
        note: '',
      },
      { id: id(1), at, who: 'Ada', kind: 'played', match: i + 6 },
    ];
  }).flat();
  await fetch(`${server.url}/api/diary/${heron.id}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ entries: played }),
  });
  await open(page, server, '/data');
  const diary = page.getByRole('region', { name: 'Diaries' }).getByRole('listitem').filter({ hasText: 'Heron' });
  const lines = async (): Promise<number> => Number(/(\d+) lines/.exec((await diary.textContent()) ?? '')?.[1]);
  await expect(diary).toContainText('lines');
  const before = await lines();
  await diary.getByRole('button', { name: 'Put old lines away of Heron' }).click();
  await expect(page.getByText(/^\d+ lines of Heron put away\.$/)).toBeVisible();
  // The list is fetched anew after it was said.
  await expect.poll(async () => before - (await lines())).toBeGreaterThan(4);
  const closed = before - (await lines());
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    diary.getByRole('link', { name: `Take along ${closed} lines put away` }).click(),
  ]);
  const file = JSON.parse(readFileSync(await download.path(), 'utf8')) as { planId: string; entries: unknown[] };
  expect([file.planId, file.entries.length]).toEqual([heron.id, closed]);
  await diary.getByRole('button', { name: 'Put old lines away of Heron' }).click();
  await expect(page.getByText('All lines of Heron still count: none was put away.')).toBeVisible();
  await open(page, server, `/robots/${heron.id}/pit`);
  await expect(page.getByText('match 21 is next, 20 played')).toBeVisible();
});
