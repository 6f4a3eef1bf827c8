import type { Locator, Page } from '@playwright/test';
import { expect, open, test } from '../fixtures.js';
import { desk } from '../ways.js';

/**
 * From the list of robots to the first true answer, as someone goes who has never been here: every click and every field
 * counts, and twelve are enough.
 */
const MOST = 12;

/** Counts what a person does with the mouse and types. */
class Steps {
  private count = 0;
  constructor(private readonly page: Page) {}

  async click(what: Locator): Promise<void> {
    this.count++;
    await what.click();
  }
  async fill(what: Locator, text: string): Promise<void> {
    this.count++;
    await what.fill(text);
  }
  async choose(what: Locator, text: string | RegExp): Promise<void> {
    this.count++;
    const option = what.locator('option').filter({ hasText: text }).first();
    await what.selectOption((await option.getAttribute('value')) ?? '');
  }
  /** A robot of one's own, with a first mechanism in front of one. */
  async newRobot(name: string): Promise<Locator> {
    await this.click(this.page.getByRole('button', { name: 'New robot' }));
    await this.fill(this.page.getByRole('dialog').getByRole('textbox'), name);
    await this.click(this.page.getByRole('dialog').getByRole('button', { name: 'Done' }));
    await this.click(this.page.getByRole('button', { name: 'Add a mechanism' }).first());
    return this.page.getByRole('dialog');
  }
  /** The answer is there: in no more steps than there should be. */
  end(journey: string): void {
    console.log(`${journey}: ${this.count} clicks and fields`);
    expect(this.count).toBeLessThanOrEqual(MOST);
  }
}

test.use({ ownServer: true });

test('an arm, on a pack of one’s own', async ({ page, server }) => {
  await open(page, server, '/robots');
  const steps = new Steps(page);
  const dialog = await steps.newRobot('Tern');
  await steps.click(dialog.getByText('Arm', { exact: true }));
  await steps.fill(dialog.getByLabel('the arm itself weighs'), '1.2 lb');
  await steps.fill(dialog.getByLabel('and carries at its tip'), '0.4 kg');
  await steps.fill(dialog.getByLabel('reaches'), '14 in');
  await steps.fill(dialog.getByLabel('by what angle'), '100°');
  await steps.fill(dialog.getByLabel('in what time'), '0.8 s');
  await steps.choose(dialog.getByRole('combobox', { name: 'pack' }), 'LiPo 3S');
  await steps.click(dialog.getByRole('button', { name: 'Add it' }));
  // The one answer comes first, whichever situation is open.
  const answer = page.locator('[data-testid="failing"], [data-testid="verdict"], [data-testid="answer"]').first();
  await expect(answer).toContainText(/(Enough|Tight|Gives way)\./);
  steps.end('an arm');
});

test('a drive base, geared for a speed', async ({ page, server }) => {
  await open(page, server, '/robots');
  const steps = new Steps(page);
  const dialog = await steps.newRobot('Petrel');
  await steps.click(dialog.getByText('Drive base', { exact: true }));
  for (const [label, text] of [
    ['what: the whole robot', '30 kg'],
    ['how far', '6 m'],
    ['in what time', '2.5 s'],
  ] as const)
    await steps.fill(dialog.getByLabel(label), text);
  await steps.click(dialog.getByRole('button', { name: 'Add it' }));
  await expect(page.getByTestId('answer')).toBeVisible();
  await steps.click(desk(page, 'Speed'));
  const speed = page.getByRole('textbox', { name: 'at full effort, under its load' });
  await steps.fill(speed, '3.5 m/s');
  await speed.press('Enter');
  await expect(page.getByTestId('geared')).toContainText(':1');
  steps.end('a drive base for a speed');
});

test('brushed or brushless, and stepper or step servo', async ({ page, server, robots }) => {
  await open(page, server, '/robots');
  const steps = new Steps(page);
  await steps.click(page.getByRole('link', { name: 'Heron' }).first());
  await steps.click(page.getByRole('link', { name: /^Mast lift/ }).first());
  await steps.click(page.getByRole('link', { name: 'Brushed or brushless?' }));
  await expect(page.getByRole('region', { name: 'Compare' }).getByRole('table').first()).toBeVisible({
    timeout: 30_000,
  });
  await steps.click(page.getByRole('link', { name: /^Turntable/ }).first());
  await steps.click(page.getByRole('link', { name: 'Stepper or step servo?' }));
  await expect(page.getByTestId('step-machines')).toBeVisible({ timeout: 30_000 });
  expect(await robots.idOf('Heron')).toBeTruthy();
  steps.end('brushed or brushless, stepper or step servo');
});

test('a whole robot, to the pit', async ({ page, server }) => {
  await open(page, server, '/robots');
  const steps = new Steps(page);
  await steps.click(page.getByRole('link', { name: 'Heron' }).first());
  await expect(page.getByTestId('robot-answer')).toBeVisible({ timeout: 30_000 });
  for (const room of ['Bench', 'Order', 'Wiring', 'Setup', 'Pit'])
    await steps.click(page.getByTestId('next-room').getByRole('link', { name: room }));
  await expect(page).toHaveURL(/\/pit/);
  await expect(page.getByRole('checkbox').first()).toBeVisible();
  steps.end('a whole robot, to the pit');
});
