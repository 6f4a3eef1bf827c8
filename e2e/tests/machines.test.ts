import type { ServoDrive, StepDrive } from '@rough-gear/core';
import type { Locator, Page } from '@playwright/test';
import { expect, open, test } from '../fixtures.js';
import { desk } from '../ways.js';

const field = (page: Page, name: string): Locator => page.getByRole('textbox', { name, exact: true });

async function type(page: Page, name: string, text: string): Promise<void> {
  await field(page, name).fill(text);
  await field(page, name).press('Enter');
}

const answer = (page: Page): Locator => page.getByTestId('answer');
const checks = (page: Page): Locator => page.getByTestId('checks');

test('a hurried stepper loses steps and says that nothing will tell; the step servo beside it does not mind', async ({
  heron,
  page,
}) => {
  await heron.open('turntable', 'load');
  await expect(answer(page)).toContainText('pull-out torque');
  await type(page, 'in what time', '0.62 s');
  await expect(answer(page)).toContainText('loses steps here, and nothing will tell you');
  await page.getByRole('button', { name: 'table', exact: true }).first().click();
  await expect(page.getByRole('region', { name: 'Torque as a table' })).toContainText('times');

  await page.getByTestId('choices').getByRole('button', { name: 'step servo, 1:4' }).click();
  await expect(page.getByRole('navigation', { name: 'Power path' })).toContainText('closed loop, alarms');
  await expect(answer(page)).not.toContainText('loses steps');
  await heron.saved();
  expect((await heron.stored()).document.mechanisms.find(({ id }) => id === 'turntable')!.current).toBe('b');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('navigation', { name: 'Power path' })).toContainText('open loop');
});

test('steps and current are chosen, and the switches show what to set', async ({ heron, page }) => {
  await heron.open('turntable', 'controller');
  const switches = page.getByTestId('switches');
  await expect(switches).toContainText('1 off, 2 on, 3 on, 4 on, 5 on, 6 off');
  await page.getByRole('combobox', { name: 'steps', exact: true }).selectOption('16 micro-steps');
  await expect(switches).toContainText('4 off, 5 off, 6 on');
  await page.getByRole('combobox', { name: 'current by its switches' }).selectOption({ index: 3 });
  // The switch is the truth: there is no second field beside it to say something between two switches.
  await expect(page.getByText('1.63 A flow in each phase')).toBeVisible();
  await expect(field(page, 'set current')).toHaveCount(0);
  await expect(switches).toContainText('1 on, 2 on, 3 off');
  await expect(answer(page)).toContainText('Tight.');
});

test('a pin that cannot drive the input gets its transistor, with the values drawn', async ({ heron, page }) => {
  await heron.open('turntable', 'controller');
  await page.getByRole('group', { name: 'Driver' }).getByRole('button', { name: 'Signal' }).click();
  await expect(page.getByTestId('schematic')).toContainText('470 Ω');
  await page.getByRole('combobox', { name: 'between them' }).selectOption('nothing: straight to the input');
  await expect(page.getByTestId('failing').first()).toContainText(/pin drives the input|too little light/i);
  await page
    .getByTestId('mends')
    .getByRole('button', { name: /small transistor/ })
    .click();
  await expect(page.getByTestId('schematic')).toContainText('100 kΩ');
  await heron.saved();
  const { drive } = (await heron.stored()).document.mechanisms.find(({ id }) => id === 'turntable')!.choices[0]!;
  expect((drive as StepDrive).signalStage).toBe('transistor');
});

test('pulses and speed are asked both ways, and a shaft is locked to another', async ({ heron, page }) => {
  await heron.open('turntable', 'controller');
  await page.getByRole('group', { name: 'Driver' }).getByRole('button', { name: 'Pulses' }).click();
  const sums = page.getByTestId('pulse-sums');
  await expect(sums).toContainText('4800 pulses per turn of the output');
  await type(page, 'pulses a second', '4.8 kHz');
  await expect(page.getByTestId('from-pulses')).toHaveText('60 rpm');
  await type(page, 'pulses a second', 'many');
  await expect(field(page, 'pulses a second')).toHaveValue('many');
  await expect(sums.getByRole('alert')).toContainText('For example 20000 /s or 20 kHz');
  await expect(page.getByTestId('from-pulses')).toHaveText('60 rpm');
  await type(page, 'turns per turn of the leading shaft', '90°');
  await expect(page.getByTestId('leading')).toContainText('2400 counts a turn, 0.5 pulses for each');
});

test('stepper and step servo stand side by side on this axis, with what trying both costs', async ({ heron, page }) => {
  await heron.open('turntable');
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  const rows = page.getByTestId('step-machines').getByRole('row');
  await expect(rows).toHaveCount(6);
  await expect(rows.nth(2)).toContainText('on the shaft');
  await expect(rows.nth(2)).toContainText('loses steps, silently');
  await expect(rows.nth(3)).toContainText('on the shaft');
  await expect(rows.nth(5)).toContainText('4:1');
  await type(page, 'one pulley set costs', '25');
  await type(page, 'and at', '0.5');
  await expect(page.getByRole('alert')).toContainText('is not allowed: 1:1 to 100:1 is');
  await type(page, 'and at', '12:48');
  await expect(page.getByTestId('both-sets')).toHaveText('50');
  await rows.nth(5).getByRole('button', { name: 'Try it' }).click();
  await expect(page.getByRole('navigation', { name: 'Power path' })).toContainText('Step servo');
  await heron.saved();
});

test('the linkage is dragged and stepped, and a dead spot is said', async ({ heron, page }) => {
  await heron.open('grip', 'linkage');
  const start = page.getByRole('slider', { name: /Horn starts at/ });
  await start.focus();
  await page.keyboard.press('ArrowUp');
  await expect(field(page, 'horn starts at')).toHaveValue('61°');
  const box = (await start.locator('circle').last().boundingBox())!;
  await page.mouse.move(box.x + 6, box.y + 6);
  await page.mouse.down();
  await page.mouse.move(box.x - 10, box.y + 4, { steps: 6 });
  await page.mouse.up();
  await expect(field(page, 'horn starts at')).not.toHaveValue('61°');
  await expect(page.getByTestId('linkage-said')).toContainText('No dead spot');
  await type(page, 'rod', '30 mm');
  await expect(page.getByTestId('linkage-said')).toContainText(/does not get to the end|Dead/);
  await expect(checks(page)).toContainText('no dead spot on the way');
  await heron.saved();
});

test('all servos of a rail share one budget, and what may stall together is said', async ({
  heron,
  page,
  server,
  robots,
}) => {
  await open(page, server, `/robots/${await robots.idOf('Limpet')}/legs/rail`);
  const budget = page.getByTestId('rail-budget');
  await expect(budget).toContainText('Legs × 6');
  await expect(budget).toContainText('Winch');
  await type(page, 'rail, burst', '8 A');
  await expect(page.getByText(/May stall together while the others move: .*Legs/)).toBeVisible();
  await page.getByRole('combobox', { name: 'fed from' }).selectOption('a logic board’s pin');
  await expect(page.getByTestId('failing').first()).toBeVisible();
  await page
    .getByTestId('mends')
    .getByRole('button', { name: /regulator/ })
    .click();
  await expect(page.getByRole('combobox', { name: 'fed from' })).toHaveValue('regulator');
  await expect(heron.page.getByTestId('save-state')).toHaveText('saved');
});

test('measured pulses make the card, and what is no angle is refused', async ({ heron, page }) => {
  await heron.open('grip');
  await page.getByRole('group', { name: 'Servo' }).getByRole('button', { name: 'Calibration' }).click();
  await expect(page.getByTestId('pulse-for')).toHaveText('1818 µs');
  await page.getByLabel('angle', { exact: true }).fill('steep');
  await page.getByLabel('pulse', { exact: true }).fill('1900');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('angle');
  await page.getByLabel('angle', { exact: true }).fill('40');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByTestId('calibration').getByRole('row')).toHaveCount(5);
  await heron.saved();
  const { drive } = (await heron.stored()).document.mechanisms.find(({ id }) => id === 'grip')!.choices[0]!;
  expect((drive as ServoDrive).calibration).toHaveLength(4);
  await page.getByRole('button', { name: /Remove the pair at -44°/ }).click();
  await expect(page.getByTestId('calibration').getByRole('row')).toHaveCount(4);
});

test('the tip of a chain has its blob, and a joint more makes it larger', async ({ page, server, robots }) => {
  await open(page, server, `/robots/${await robots.idOf('Limpet')}/legs/motor`);
  await page.getByRole('group', { name: 'Servo' }).getByRole('button', { name: 'Precision' }).click();
  const tip = page.getByTestId('tip');
  await expect(tip).toContainText('at worst');
  const before = await tip.locator('figcaption').textContent();
  await page.getByRole('button', { name: 'Add a joint of a chain' }).click();
  await expect(tip.locator('figcaption')).not.toHaveText(before!);
  await page.getByRole('group', { name: 'Servo' }).getByRole('button', { name: 'Inside' }).click();
  const inside = page.getByTestId('inside').getByRole('listitem');
  await expect(inside).toHaveCount(5);
  const first = page.getByRole('textbox', { name: 'Teeth inside, stage 1:' });
  const horn = await inside.last().textContent();
  await first.press('ArrowUp');
  // The same motor behind another gear: the horn pulls harder and turns slower.
  await expect(inside.last()).not.toHaveText(horn!);
  await expect(inside.first()).toContainText('motor');
});

test('servos are scored by the school that is chosen', async ({ heron, page }) => {
  await heron.open('camera');
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  const rows = page.getByTestId('servo-scores').getByRole('row');
  await expect(page.getByTestId('servo-scores')).toContainText('micro servo');
  await page.getByRole('combobox', { name: 'weights' }).selectOption('light work may be plain and cheap');
  await expect(page.getByText('a spare costs nothing')).toBeVisible();
  await expect(rows.nth(1)).toContainText(/plastic|small|micro/);
  await page.getByRole('button', { name: /more factors/ }).click();
  await expect(page.getByTestId('servo-scores')).toContainText('sealing');
  await rows
    .filter({ hasText: 'strong digital servo' })
    .getByRole('button', { name: 'Try it' })
    .or(rows.nth(1).getByRole('button', { name: 'Try it' }))
    .first()
    .click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('a servo is added by its use, with demands of its own', async ({ heron, page }) => {
  await heron.open('lift');
  await page.getByRole('button', { name: 'Add a mechanism' }).click();
  await page.getByRole('radio', { name: 'Position servo' }).check();
  await page.getByRole('radio', { name: /Steering/ }).check({ force: true });
  for (const [label, text] of [
    ['what: rests on the wheel', '4 kg'],
    ['tyre’s width', '25 mm'],
    ['patch beside the turning axle', '10 mm'],
    ['by what angle', '60°'],
    ['in what time', '0.3 s'],
  ] as const)
    await field(page, label).fill(text);
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(answer(page)).toContainText('servo');
  await expect(page.getByRole('navigation', { name: 'Power path' })).toContainText('Servo rail');
  await heron.saved();
});

test('another machine is tried on what is there, and nothing is lost', async ({ heron, page }) => {
  await heron.open('camera');
  await desk(page, 'Side by side').click();
  await page.getByRole('button', { name: 'Try another machine' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: /^Stepper/ }).click();
  const proposed = dialog.getByTestId('proposed');
  await expect(proposed).toContainText(/enough|tight/, { timeout: 60_000 });
  const name = (await proposed.locator('b').innerText()).trim();
  expect(name).toMatch(/ at [\d.]+:1$/);
  await proposed.getByRole('button', { name: 'Put it beside' }).click();
  // It stands beside, and what was in force stays so.
  await expect(page.getByRole('navigation', { name: 'Power path' })).toContainText('180° of travel');
  await page.getByTestId('choices').getByRole('button', { name }).click();
  await expect(page.getByRole('navigation', { name: 'Power path' })).toContainText('open loop');
  await heron.saved();
  expect((await heron.stored()).document.mechanisms.find(({ id }) => id === 'camera')!.choices).toHaveLength(2);
});

test('a winch and a slide take servos that turn on and that push', async ({ heron, page }) => {
  await heron.open('lift');
  await page.getByRole('button', { name: 'Add a mechanism' }).click();
  await page.getByRole('radio', { name: 'Position servo' }).check();
  await page.getByRole('radio', { name: /Slide/ }).check({ force: true });
  await field(page, 'what: moves').fill('1 kg');
  await field(page, 'how far').fill('40 mm');
  await field(page, 'in what time').fill('5 s');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.getByRole('navigation', { name: 'Power path' })).toContainText('linear');
  await expect(page.getByRole('textbox', { name: 'stall force' }).first()).toBeVisible();
  // A push rod is drawn and measured in its own panel.
  await page.getByRole('combobox', { name: 'moves its output by' }).selectOption('a push rod');
  await expect(page.getByRole('heading', { name: 'Push rod' })).toBeVisible();
  await expect(page.getByTestId('linkage-said')).toContainText('a length is missing');
  await type(page, 'horn', '25 mm');
  await type(page, 'rod', '80 mm');
  await expect(page.getByTestId('linkage-said')).toContainText(/lever is/);
  await page.getByRole('button', { name: 'Straight on the horn instead' }).click();
  await expect(page.getByRole('navigation', { name: 'Power path' })).not.toContainText('Push rod');
  await heron.saved();
});

test('a missing figure of a stepper is named, and filling it in answers', async ({ heron, page }) => {
  await heron.open('turntable');
  await type(page, 'holding torque', '');
  await expect(answer(page)).toContainText('Holding torque is missing');
  await expect(page.getByText(/NaN/)).toHaveCount(0);
  await type(page, 'holding torque', '170 oz-in');
  await expect(answer(page)).toContainText('pull-out torque');
  await heron.saved();
});

test('started at once it asks its start rate, and a ramp mends it', async ({ heron, page }) => {
  await heron.open('turntable', 'controller');
  await page.getByRole('combobox', { name: 'starts and stops' }).selectOption('at once, at its full rate');
  await expect(checks(page)).toContainText('starts without a ramp');
  await page
    .getByTestId('mends')
    .getByRole('button', { name: /along a ramp/ })
    .click();
  await expect(page.getByRole('combobox', { name: 'starts and stops' })).toHaveValue('ramp');
  await expect(checks(page)).not.toContainText('starts without a ramp');
});

test('a load engaged while it turns is a jolt of its own', async ({ heron, page }) => {
  await heron.open('turntable');
  await type(page, 'suddenly engaged', '40000 kg·cm²');
  await expect(page.getByTestId('failing').first()).toContainText('kicks back with');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByTestId('failing')).toHaveCount(0);
});

test('the ruler marks where a stepper is furthest from losing step', async ({ heron, page }) => {
  await heron.open('turntable');
  await expect(page.getByText('furthest from losing step')).toBeVisible();
  await page.getByTestId('ratio-handle').focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowRight');
  await expect(answer(page)).toContainText('2.');
  await heron.saved();
});

test('on a phone a servo’s strip, panel and drawing are all there, and nothing runs off', async ({ heron, page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await heron.open('grip', 'linkage');
  await expect(page.getByTestId('linkage')).toBeVisible();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
  expect(wide).toBeLessThanOrEqual(0);
});

test('every page of a servo and of a driver is reached by keys alone', async ({ heron, page }) => {
  await heron.open('grip');
  const calibration = page.getByRole('group', { name: 'Servo' }).getByRole('button', { name: 'Calibration' });
  await calibration.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('calibration')).toBeVisible();
  await page.getByLabel('angle', { exact: true }).focus();
  await page.keyboard.type('20');
  await page.keyboard.press('Tab');
  await page.keyboard.type('1700');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('calibration').getByRole('row')).toHaveCount(5);
});

test('the working of a stepper’s limit opens with its numbers, and leads to its model', async ({ heron, page }) => {
  await heron.open('turntable');
  await page.getByRole('region', { name: 'What gives first' }).getByRole('button', { name: 'Working' }).click();
  await expect(page.locator('.katex').first()).toBeVisible();
  await expect(page.getByRole('dialog').getByRole('link').first()).toHaveAttribute('href', /models#steppers/);
});
