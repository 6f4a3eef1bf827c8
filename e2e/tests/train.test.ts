import { readFileSync } from 'node:fs';
import type { ChainStage } from '@rough-gear/core';
import type { Locator, Page } from '@playwright/test';
import { expect, test, type Heron } from '../fixtures.js';

const row = (page: Page): Locator => page.getByTestId('train-row');
const teeth = (page: Page, stage: number): Locator => page.getByRole('textbox', { name: `Teeth of stage ${stage}:` });
const tab = (page: Page, name: string): Locator =>
  page.getByRole('group', { name: 'Page of the train' }).getByRole('button', { name });

async function stagesOf(heron: Heron, id: string) {
  await heron.saved();
  const mechanism = (await heron.stored()).document.mechanisms.find((each) => each.id === id)!;
  return mechanism.choices.find((choice) => choice.id === mechanism.current)!.stages;
}

test('from a wanted total to a drawn train in files, by mouse', async ({ heron, page }) => {
  await heron.open('lift', 's2');
  await page.getByRole('button', { name: 'Real teeth' }).click();
  await expect(row(page)).toContainText('motor shaft');
  await tab(page, 'Find on the shelf').click();
  await page.getByRole('textbox', { name: 'total, or a range' }).fill('10');
  await page.getByRole('button', { name: 'Find trains' }).click();
  await expect(page.getByTestId('train-count')).toContainText('decided', { timeout: 30_000 });
  await expect(page.getByTestId('train-count')).toContainText('would not carry');
  const first = page.getByTestId('trains').getByRole('row').nth(1);
  await expect(first).toContainText('10');
  const words = (await first.getByRole('button').textContent())!;
  const [, driver, driven] = /(\d+) → (\d+)/.exec(words)!;
  await first.getByRole('button').click();
  await expect(teeth(page, 1)).toHaveValue(`${driver} → ${driven}`);
  await expect(page.getByRole('slider', { name: 'Total reduction' })).toHaveAttribute(
    'aria-valuetext',
    /^(9\.\d+|10(\.\d+)?) to 1$/,
  );
  const stages = await stagesOf(heron, 'lift');
  expect(stages[0]!.stock).toBeTruthy();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(teeth(page, 1)).toHaveValue('16 → 54');
  await page.getByRole('button', { name: 'Redo' }).click();

  await tab(page, 'Layout').click();
  await expect(page.getByTestId('end-view').getByRole('slider')).toHaveCount(stages.length);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'DXF, mm' }).click();
  const dxf = await download;
  expect(dxf.suggestedFilename()).toBe('mast-lift-layout.dxf');
  const text = readFileSync(await dxf.path(), 'utf8');
  expect(text).toContain('PITCH_CIRCLES');
  expect(text).toContain('$INSUNITS');
  for (const [button, name, start] of [
    ['SVG', 'mast-lift-layout.svg', '<svg'],
    ['Hole template, PDF 1:1', 'mast-lift-layout.pdf', '%PDF'],
  ] as const) {
    const file = page.waitForEvent('download');
    await page.getByRole('button', { name: button }).click();
    const saved = await file;
    expect(saved.suggestedFilename()).toBe(name);
    expect(readFileSync(await saved.path(), 'latin1').startsWith(start)).toBe(true);
  }
});

test('the same by keyboard alone', async ({ heron, page }) => {
  test.setTimeout(150_000);
  await heron.open('lift', 's2');
  await page.getByRole('button', { name: 'Real teeth' }).focus();
  await page.keyboard.press('Enter');
  await tab(page, 'Find on the shelf').focus();
  await page.keyboard.press('Space');
  await page.getByRole('textbox', { name: 'total, or a range' }).focus();
  await page.keyboard.press('Control+A');
  await page.keyboard.type('8 to 9');
  await page.keyboard.press('Enter');
  const first = page.getByTestId('trains').getByRole('row').nth(1).getByRole('button');
  await expect(page.getByTestId('train-count')).toContainText('decided', { timeout: 90_000 });
  await first.focus();
  await page.keyboard.press('Enter');
  await expect(row(page)).toBeVisible();
  await tab(page, 'Layout').focus();
  await page.keyboard.press('Enter');
  const handle = page.getByTestId('end-view').getByRole('slider').first();
  const before = await handle.getAttribute('aria-valuetext');
  await handle.focus();
  await page.keyboard.press('ArrowUp');
  await expect(handle).not.toHaveAttribute('aria-valuetext', before!);
  await expect(handle).toHaveAttribute('aria-valuetext', /^5 degrees/);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'DXF, inches' }).focus();
  await page.keyboard.press('Enter');
  expect((await download).suggestedFilename()).toBe('mast-lift-layout.dxf');
});

test('a stage is typed as it is written, and stepped by arrow keys, and every shaft follows', async ({
  heron,
  page,
}) => {
  await heron.open('lift', 's1', '?desk=teeth&page=stages');
  await expect(row(page)).toContainText('3296 rpm');
  await teeth(page, 1).fill('18 → 48');
  await teeth(page, 1).press('Enter');
  await expect(row(page)).toContainText('2.667:1');
  // The motor turns slower for the same output.
  await expect(row(page)).toContainText('2604 rpm');
  await teeth(page, 1).press('ArrowUp');
  await expect(teeth(page, 1)).toHaveValue('18 → 49');
  await teeth(page, 1).press('Shift+ArrowDown');
  await expect(teeth(page, 1)).toHaveValue('17 → 49');
  await teeth(page, 1).fill('seventeen');
  await teeth(page, 1).press('Enter');
  await expect(row(page).getByRole('alert')).toBeVisible();
  await expect(teeth(page, 1)).toHaveValue('17 → 49');
  expect(await stagesOf(heron, 'lift')).toMatchObject([{ driver: 17, driven: 49 }, {}]);
});

test('an idler turns the sense round, and a gear pair without one against the motor', async ({ heron, page }) => {
  await heron.open('lift', 's1', '?desk=teeth&page=stages');
  await expect(row(page)).toContainText('against');
  await page.getByRole('textbox', { name: 'idler, teeth' }).fill('24');
  await page.getByRole('textbox', { name: 'idler, teeth' }).press('Enter');
  await expect(row(page)).not.toContainText('against');
  await expect(row(page)).toContainText('loses 8 %');
});

test('stages change places by mouse and by button', async ({ heron, page }) => {
  await heron.open('lift', 's1', '?desk=teeth&page=stages');
  await page.getByRole('button', { name: 'Stage 1 towards the load' }).click();
  await expect(row(page).getByRole('group').first()).toHaveAccessibleName('Stage 1, Chain');
  const grip = row(page).locator('.grip');
  const [from, to] = [(await grip.nth(0).boundingBox())!, (await grip.nth(1).boundingBox())!];
  await page.mouse.move(from.x + 7, from.y + 7);
  await page.mouse.down();
  await page.mouse.move(from.x + 60, from.y + 12, { steps: 8 });
  await page.mouse.move(to.x + 150, to.y + 20, { steps: 20 });
  await page.mouse.up();
  await expect(row(page).getByRole('group').first()).toHaveAccessibleName('Stage 1, Gears');
});

test('a chain stops at even links, and says what a wanted distance takes', async ({ heron, page }) => {
  await heron.open('lift', 's2', '?desk=teeth&page=lengths');
  await expect(page.getByTestId('run-length')).toContainText('94 links');
  await page.getByTestId('centre-slider').focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('run-length')).toContainText('96 links');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByTestId('run-length')).toContainText('92 links');
  // What is no distance is refused loudly, and stays as it was typed; inches are read like everywhere.
  await page.getByTestId('wanted-centre').fill('8 pears');
  await page.getByTestId('wanted-centre').press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'pears' })).toBeVisible();
  await expect(page.getByTestId('wanted-centre')).toHaveValue('8 pears');
  await page.getByTestId('wanted-centre').fill('8 in');
  await page.getByTestId('wanted-centre').press('Enter');
  await expect(page.getByTestId('wanted-centre')).toHaveValue('203.2 mm');
  await page.getByTestId('wanted-centre').fill('200 mm');
  await page.getByTestId('wanted-centre').press('Enter');
  await expect(page.getByText(/takes 96\.7\d+ links; whole are/)).toBeVisible();
  await page.getByRole('button', { name: /^98 links/ }).click();
  await expect(page.getByTestId('run-length')).toContainText('98 links');
  expect((await stagesOf(heron, 'lift'))[1]).toMatchObject({ links: 98 });
  // The distance itself: the next longer chain, and a tensioner for what is left over.
  await page.getByTestId('wanted-centre').fill('210');
  await page.getByTestId('wanted-centre').press('Enter');
  await page.getByRole('button', { name: 'keep the distance, with a tensioner' }).click();
  await expect(page.getByTestId('run-length')).toContainText('100 links');
  await expect(page.getByTestId('checks')).not.toContainText('chain and belt lengths');
  // On fixed shafts a chain a link pair shorter does not close, and that is said.
  await page.getByRole('combobox', { name: 'slack is taken up by' }).selectOption('fixed');
  await page.getByRole('button', { name: /^98 links/ }).click();
  await expect(page.getByTestId('run-length')).toContainText('98 links');
  const stage = (await stagesOf(heron, 'lift'))[1] as ChainStage;
  expect(stage).toMatchObject({ links: 98, takeUp: 'fixed' });
  expect(stage.centre!.si).toBeCloseTo(0.2041, 3);
});

test('a belt stops at what is sold, and a slack one skips', async ({ heron, page }) => {
  await heron.open('thrower', 's1', '?desk=teeth&page=lengths');
  await expect(page.getByTestId('run-length')).toContainText('75 teeth');
  // The lengths that are sold come with the shelf.
  await expect(page.getByRole('button', { name: /^belt of/ }).first()).toBeVisible();
  await page.getByTestId('centre-slider').focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('run-length')).toContainText('80 teeth');
  await page.getByTestId('wanted-centre').fill('119');
  await page.getByTestId('wanted-centre').press('Enter');
  await expect(page.getByRole('button', { name: /^belt of 75, tight/ })).toBeVisible();
  await expect(page.getByTestId('belt-notes')).toContainText('teeth of the small pulley carry');
  await page.getByRole('textbox', { name: 'strand at rest' }).fill('9 N');
  await page.getByRole('textbox', { name: 'strand at rest' }).press('Enter');
  await page.getByRole('tab', { name: /^starting/ }).click();
  await expect(page.getByTestId('answer')).toContainText(/belt.s hold on its teeth gives first/i);
});

test('gears, chain and belt stand side by side on this stage, and one is taken', async ({ heron, page }) => {
  await heron.open('climb', 's2', '?desk=teeth&page=ways');
  const table = page.getByTestId('stage-ways');
  await expect(table.getByRole('row')).toHaveCount(12);
  await expect(table.getByText('smallest', { exact: true })).not.toHaveCount(0);
  await table.getByRole('button', { name: 'belt, 8 mm pitch, 20 mm wide' }).click();
  await expect(page.getByRole('navigation', { name: 'Power path' })).toContainText('Belt');
  expect((await stagesOf(heron, 'climb'))[1]).toMatchObject({ kind: 'belt', shaft: { form: 'round' } });
});

test('the arm’s chain skips first, and more teeth mend it', async ({ heron, page }) => {
  await heron.open('arm', 's2', '?desk=teeth&page=lengths');
  const slack = page.getByRole('textbox', { name: 'slack strand pulls' });
  await slack.fill('5 N');
  await slack.press('Enter');
  await heron.saved();
  await heron.open('arm', 's2', '?desk=teeth&page=stages');
  await page.getByRole('tab', { name: /^starting/ }).click();
  await expect(page.getByTestId('answer')).toContainText('Tight. The chain’s hold on its teeth (stage 2) gives first');
  await expect(page.getByTestId('stage-strength')).toContainText('chain skips');
  const mend = page.getByRole('button', { name: /→ \d+ teeth/ });
  await mend.click();
  await expect(heron.rung('chain-skip')).toHaveCount(1);
  await expect(page.getByTestId('answer')).toContainText(/enough/i);
  const stage = (await stagesOf(heron, 'arm'))[1] as ChainStage;
  expect(stage.driver).toBeGreaterThan(16);
});

test('wheels that run into each other are drawn and said, and turned apart', async ({ heron, page }) => {
  await heron.open('lift', 's2', '?desk=teeth&page=layout');
  await expect(page.getByTestId('clash')).toHaveCount(0);
  await page.getByRole('button', { name: 'Side view' }).click();
  await expect(page.getByTestId('side-view')).toBeVisible();
  await page.getByRole('textbox', { name: 'plane of 2, chain' }).fill('1');
  await page.getByRole('textbox', { name: 'plane of 2, chain' }).press('Enter');
  await expect(page.getByTestId('clearances')).toContainText('collide by');
  await page.getByRole('button', { name: 'End view' }).click();
  await expect(page.getByTestId('clash')).not.toHaveCount(0);
  await expect(page.getByTestId('checks')).toContainText('wheels clear each other');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByTestId('clash')).toHaveCount(0);
});

test('a shaft is dragged, and stops where a whole chain fits', async ({ heron, page }) => {
  await heron.open('lift', 's2', '?desk=teeth&page=layout');
  const handle = page.getByTestId('end-view').getByRole('slider', { name: 'Shaft 3' });
  await expect(handle).toHaveAttribute('aria-valuetext', /^90 degrees/);
  const box = (await handle.locator('circle').last().boundingBox())!;
  await page.mouse.move(box.x + 6, box.y + 6);
  await page.mouse.down();
  await page.mouse.move(box.x + 60, box.y + 30, { steps: 6 });
  await page.mouse.up();
  await expect(handle).not.toHaveAttribute('aria-valuetext', /^90 degrees/);
  const stage = (await stagesOf(heron, 'lift'))[1] as ChainStage;
  expect(stage.links! % 2).toBe(0);
  expect(Math.round((stage.direction!.si * 180) / Math.PI) % 5).toBe(0);
});

test('one wheel bought along gives the next total', async ({ heron, page }) => {
  await heron.open('lift', 's2', '?desk=teeth&page=stages');
  const option = page.getByTestId('second-ratios').getByRole('button', { name: /^stage 2: 16 → 48/ });
  await option.click();
  await expect(teeth(page, 2)).toHaveValue('16 → 48');
  await expect(page.getByRole('slider', { name: 'Total reduction' })).toHaveAttribute('aria-valuetext', /^10\.1/);
});

test('a worm says over which friction it stays by itself', async ({ heron, page }) => {
  await heron.open('lift', 's1', '?desk=teeth&page=stages');
  await page.getByRole('combobox', { name: 'Add a stage' }).selectOption('worm');
  await expect(page.getByTestId('self-holding')).toContainText('stays by itself from a friction of');
  await page.getByRole('textbox', { name: 'friction' }).fill('0.05');
  await page.getByRole('textbox', { name: 'friction' }).press('Enter');
  await expect(page.getByTestId('self-holding')).toContainText('the load drives it back');
});

test('a search can be stopped, and a total that is none is refused with an example', async ({ heron, page }) => {
  await heron.open('lift', 's2', '?desk=teeth&page=find');
  const total = page.getByRole('textbox', { name: 'total, or a range' });
  await total.fill('fast');
  await expect(page.getByRole('alert')).toContainText('write 9.4, or 9 to 10');
  await expect(page.getByRole('button', { name: 'Find trains' })).toBeDisabled();
  await total.fill('30');
  await page.getByRole('combobox', { name: 'stages' }).selectOption('3');
  await page.getByRole('button', { name: 'Find trains' }).click();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByRole('button', { name: 'Find trains' })).toBeEnabled();
  await expect(page.getByTestId('train-count')).not.toContainText('None is left');
});

test('on a phone the train, its lengths and its drawing are all there, and nothing runs off', async ({
  heron,
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  for (const [query, testId] of [
    ['stages', 'train-row'],
    ['lengths', 'run-length'],
    ['layout', 'end-view'],
    ['ways', 'stage-ways'],
  ] as const) {
    await heron.open('lift', 's2', `?desk=teeth&page=${query}`);
    await page.getByTestId(testId).scrollIntoViewIfNeeded();
    await expect(page.getByTestId(testId)).toBeVisible();
    const { scroll, client } = await page.evaluate(() => ({
      scroll: document.documentElement.scrollWidth,
      client: document.documentElement.clientWidth,
    }));
    expect(scroll, query).toBeLessThanOrEqual(client);
  }
});
