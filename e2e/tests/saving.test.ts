import { expect, test, Heron } from '../fixtures.js';
import { fromMenu } from '../ways.js';

test.use({ ownServer: true, ownBrowser: true });

test('with the server stopped an edit is kept, survives a reload, and is sent when the server is back', async ({
  heron,
  page,
  server,
}) => {
  await heron.open('lift', 'load');
  // The shell must be kept before the server goes.
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await page.reload();
  await page.getByTestId('gauge').waitFor();
  await heron.allThere();
  await server.stop();

  await page.getByRole('textbox', { name: 'load', exact: true }).fill('17 kg');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('save-state')).toContainText('offline: kept in this browser');

  await page.reload();
  await expect(page.getByRole('textbox', { name: 'load', exact: true })).toHaveValue('17 kg');
  await expect(page.getByTestId('save-state')).toContainText('offline');

  await server.start();
  await heron.saved();
  const job = (await heron.stored()).document.mechanisms[1]!.jobs[0]!;
  expect(job.kind === 'raise' && job.mass?.as).toBe('17 kg');
});

test('with the server stopped the whole robot opens from the mechanism that was open', async ({
  heron,
  page,
  server,
}) => {
  const fetched = page.waitForEvent('requestfinished', (request) => request.url().includes('/assets/RobotDesk-'));
  await heron.open('lift', 'load');
  // What it imports is there too once the browser itself can import it.
  await page.evaluate((address) => import(address).then(() => undefined), (await fetched).url());
  await heron.allThere();
  await server.stop();
  await page
    .getByRole('navigation', { name: 'Mechanisms' })
    .getByRole('link', { name: /Whole robot/ })
    .click();
  await expect(page.getByTestId('robot-answer')).toContainText('Mast lift: in time gives first', { timeout: 30_000 });
});

/** A second tab on the plan, behind whose back the first has saved 18 kg. */
async function savedBehind(heron: Heron): Promise<Heron> {
  const other = new Heron(heron.server, await heron.page.context().newPage(), heron.id);
  await heron.open('lift', 'load');
  await other.open('lift', 'load');
  await heron.page.getByRole('textbox', { name: 'load', exact: true }).fill('18 kg');
  await heron.page.keyboard.press('Enter');
  await heron.saved();
  return other;
}

test('two tabs edit, and neither is lost', async ({ heron, server }) => {
  const other = await savedBehind(heron);
  const second = other.page;
  await second.getByRole('textbox', { name: 'how far' }).fill('1.1 m');
  await second.keyboard.press('Enter');
  await expect(second.getByRole('alert')).toContainText('This plan was saved elsewhere');
  // What this tab typed still stands there.
  await expect(second.getByRole('textbox', { name: 'how far' })).toHaveValue('1.1 m');

  await second.getByRole('button', { name: /Both: mine as a plan of its own/ }).click();
  await expect(second.getByRole('textbox', { name: 'load', exact: true })).toHaveValue('18 kg');
  await second.goto(`${server.url}/robots`);
  await second.getByRole('link', { name: 'Heron (mine)', exact: true }).click();
  await second
    .getByRole('navigation', { name: 'Mechanisms' })
    .getByRole('link', { name: /^Mast lift/ })
    .click();
  await second.keyboard.press('8');
  await expect(second.getByRole('textbox', { name: 'how far' })).toHaveValue('1.1 m');
});

test('mine over theirs leaves theirs as a revision; theirs over mine leaves mine one undo away', async ({
  heron,
  page,
}) => {
  const other = await savedBehind(heron);
  const second = other.page;

  await second.getByRole('textbox', { name: 'load', exact: true }).fill('19 kg');
  await second.keyboard.press('Enter');
  await second.getByRole('button', { name: /The stored one/ }).click();
  await expect(second.getByRole('textbox', { name: 'load', exact: true })).toHaveValue('18 kg');
  await second.getByRole('button', { name: 'Undo' }).click();
  await expect(second.getByRole('textbox', { name: 'load', exact: true })).toHaveValue('19 kg');
  await other.saved();

  await page.getByRole('textbox', { name: 'load', exact: true }).fill('16 kg');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /Mine/ }).click();
  await heron.saved();
  await fromMenu(page, 'robot', 'Revisions');
  const revisions = page.getByRole('dialog', { name: 'Revisions of this plan' });
  await expect(revisions.getByRole('listitem')).toHaveCount(4);
  await expect(revisions.getByRole('listitem').nth(1)).toContainText('Mast lift, Raise a crate, mass: 18 kg → 19 kg');
  await revisions.getByRole('listitem').nth(1).getByRole('button', { name: 'Bring back' }).click();
  await expect(page.getByRole('textbox', { name: 'load', exact: true })).toHaveValue('19 kg');
});
