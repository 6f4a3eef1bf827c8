import { spawnSync } from 'node:child_process';
import type { Page } from '@playwright/test';
import { expect, open, planIdOf, test as base } from '../fixtures.js';
import { TestServer } from '../server.js';
import { objections } from '../objections.js';
import { toRobots } from '../ways.js';

const CHANGE = 'grey heron over the lock';
const LOOK = 'only looking today';

function setPassphrase(folder: string, passphrase: string, ...args: string[]): void {
  const { status, stderr } = spawnSync(process.execPath, ['server/dist/passphrase.mjs', ...args], {
    env: { ...process.env, ROUGH_GEAR_DATA: folder },
    input: `${passphrase}\n`,
    encoding: 'utf8',
  });
  expect([status, stderr]).toEqual([0, '']);
}

/** A server that others can reach, with both passphrases. */
const test = base.extend<{ server: TestServer }>({
  ownServer: true,
  ownBrowser: true,
  // eslint-disable-next-line no-empty-pattern -- Playwright reads the fixtures it needs from this pattern.
  server: async ({}, use) => {
    const server = new TestServer();
    await server.start();
    await server.stop();
    setPassphrase(server.folder, CHANGE);
    setPassphrase(server.folder, LOOK, '--look');
    server.environment = { ROUGH_GEAR_HOSTS: 'yard.school' };
    await server.start();
    await use(server);
    await server.dispose();
  },
});

async function signIn(page: Page, passphrase: string): Promise<void> {
  await page.getByLabel('passphrase').fill(passphrase);
  await page.getByRole('button', { name: 'Sign in' }).click();
}

test('whoever knows the passphrase comes in, back to where they wanted to be, and out again everywhere', async ({
  page,
  server,
  browser,
}) => {
  await open(page, server, '/shelf/motor');
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  expect(await objections(page)).toEqual([]);
  await signIn(page, 'not the passphrase');
  await expect(page.getByRole('alert')).toHaveText('That is not the passphrase');
  await expect(page.getByLabel('passphrase')).toBeFocused();
  await signIn(page, CHANGE);
  await expect(page.getByRole('heading', { name: 'Motors' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'New part' })).toBeVisible();

  const other = await (await browser.newContext()).newPage();
  await other.goto(`${server.url}/robots`);
  await signIn(other, LOOK);
  await expect(other.getByText('You may look here, not change.')).toBeVisible();
  await toRobots(page);
  await page.getByRole('link', { name: 'Data', exact: true }).click();
  await expect(page.getByText('You are signed in to change.')).toBeVisible();
  await page.getByRole('button', { name: 'Sign everybody out' }).click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await other.reload();
  await expect(other.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await other.context().close();
});

test('who may look only tries things out, and nothing of it is saved', async ({ page, server }) => {
  await open(page, server, '/robots');
  await signIn(page, LOOK);
  await expect(page.getByRole('link', { name: 'Heron', exact: true })).toBeVisible();
  for (const name of ['New robot', 'Import a plan', 'Rename Heron', 'Put Heron into the bin'])
    await expect(page.getByRole('button', { name })).toHaveCount(0);
  await page.getByRole('link', { name: 'Mast lift' }).click();
  const before = await page.getByTestId('ratio-handle').getAttribute('aria-valuetext');
  await page.getByTestId('ratio-handle').focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('save-state')).toHaveText('looking only: what you change here is not saved');
  await expect(page.getByTestId('ratio-handle')).not.toHaveAttribute('aria-valuetext', before!);
  await page.reload();
  await expect(page.getByTestId('ratio-handle')).toHaveAttribute('aria-valuetext', before!);
  await expect(page.getByTestId('save-state')).toHaveText('saved');
});

test('an edit made while the session ended is kept, and saved after signing in again', async ({ page, server }) => {
  await open(page, server, '/robots');
  await signIn(page, CHANGE);
  await page.getByRole('link', { name: 'Mast lift' }).click();
  await page.getByTestId('ratio-handle').waitFor();
  setPassphrase(server.folder, LOOK, '--look');
  await page.getByTestId('ratio-handle').focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await signIn(page, CHANGE);
  await expect(page.getByTestId('save-state')).toHaveText('saved', { timeout: 15_000 });
  await expect(page.getByTestId('ratio-handle')).toBeVisible();
  const cookies = await page.context().cookies();
  const cookie = cookies.map(({ name, value }) => `${name}=${value}`).join('; ');
  const answer = await fetch(`${server.url}/api/plans?find=heron`, { headers: { Cookie: cookie } });
  expect(((await answer.json()) as { plans: { revision: number }[] }).plans[0]!.revision).toBe(2);
  await expect(planIdOf(server, 'Heron')).rejects.toThrow();
});
