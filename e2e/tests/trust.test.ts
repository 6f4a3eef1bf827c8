import { createServer } from 'node:http';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { expect, open, test } from '../fixtures.js';
import { toRobots } from '../ways.js';

test.use({ ownServer: true, ownBrowser: true });

test('an edit that the disk does not take is kept here, said, and saved once there is room', async ({
  heron,
  page,
}) => {
  await heron.open('lift', 'load');
  let full = true;
  await page.route('**/api/plans/*', (route) =>
    full && route.request().method() === 'PUT'
      ? route.fulfill({
          status: 507,
          contentType: 'application/problem+json',
          body: JSON.stringify({
            type: 'about:blank',
            title: 'Nothing was saved or read',
            status: 507,
            detail: 'The disk that holds the data is full: make room, and saving goes on by itself.',
          }),
        })
      : route.continue(),
  );
  await page.getByRole('textbox', { name: 'load', exact: true }).fill('23 kg');
  await page.getByRole('textbox', { name: 'load', exact: true }).press('Enter');
  await expect(page.getByTestId('save-state')).toHaveText('kept in this browser, sent again until it is saved');
  await expect(page.getByRole('banner').getByRole('alert')).toHaveText(
    'The disk that holds the data is full: make room, and saving goes on by itself.',
  );
  // It is said of this robot alone.
  await toRobots(page);
  await page.getByRole('link', { name: 'Limpet', exact: true }).click();
  await expect(page.getByTestId('save-state')).toHaveText('saved');
  await expect(page.getByRole('banner').getByRole('alert')).toHaveCount(0);
  await heron.open('lift', 'load');
  // Going on with the work is kept as well, and nothing has to be pressed when there is room again.
  await page.getByRole('textbox', { name: 'load', exact: true }).fill('24 kg');
  await page.getByRole('textbox', { name: 'load', exact: true }).press('Enter');
  full = false;
  await heron.saved();
  await expect(page.getByRole('banner').getByRole('alert')).toHaveCount(0);
  expect(JSON.stringify((await heron.stored()).document.mechanisms[1]!.jobs[0])).toContain('"24 kg"');
});

test('a plan of next year’s version is said to be one, and can be taken along as it is', async ({ page, server }) => {
  await server.stop();
  const file = new Sqlite(join(server.folder, 'rough-gear.sqlite'));
  file.exec(`UPDATE "revision" SET "document" = json_set("document", '$.version', 99)
    WHERE "planId" = (SELECT "id" FROM "plan" WHERE "name" = 'Limpet');
    UPDATE "plan" SET "judgedBy" = 'next year'`);
  file.close();
  await server.start();
  await open(page, server, '/robots');
  const row = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: 'Limpet' }) });
  await expect(row).toContainText('cannot be read by this version of the program');
  await expect(row).toContainText('version: is 99, of a newer version of the program: this one reads up to 4');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    row.getByRole('link', { name: 'Download Limpet as it is' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('Limpet.json');
  await page.getByRole('link', { name: 'Heron', exact: true }).click();
  await expect(page.getByTestId('robot-answer')).toBeVisible({ timeout: 30_000 });
});

test('a proxy that answers for a server that is away is not taken for one', async ({ heron, page, server }) => {
  await heron.open('lift', 'load');
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.reload();
  await page.getByTestId('gauge').waitFor();
  await heron.allThere();
  const { port } = new URL(server.url);
  await server.stop();
  const proxy = createServer((_request, response) => response.writeHead(502).end('<h1>Bad gateway</h1>'));
  await new Promise<void>((resolve) => proxy.listen(Number(port), '127.0.0.1', resolve));
  await page.reload();
  await expect(page.getByTestId('gauge')).toBeVisible();
  await page.getByRole('textbox', { name: 'load', exact: true }).fill('24 kg');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('save-state')).toContainText('offline: kept in this browser');
  proxy.closeAllConnections();
  await new Promise((resolve) => proxy.close(resolve));
  await server.start();
  await heron.saved();
});

test.describe('without a copy of the program in the browser', () => {
  test.use({ ownBrowser: false });
  test('a page of before an update says that there is a new version, and goes on after a reload', async ({
    heron,
    page,
  }) => {
    await heron.open('lift', 'load');
    await page.route('**/assets/ModelsView-*', (route) => route.fulfill({ status: 404, body: 'gone' }));
    await page.getByRole('link', { name: 'Learn', exact: true }).click();
    await expect(page.getByText('There is a new version of the program.')).toBeVisible();
    await page.unrouteAll();
    await page.getByRole('button', { name: 'Reload', exact: true }).click();
    await expect(page.getByText('There is a new version of the program.')).toBeHidden();
    await expect(page.getByTestId('gauge')).toBeVisible();
  });
});
