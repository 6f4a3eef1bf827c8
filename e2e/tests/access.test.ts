import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, test } from '../fixtures.js';
import { settled } from '../settled.js';

/** Nothing that axe objects to in WCAG 2.2 A and AA. */
async function check(page: Page, name: string): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .analyze();
  const said = violations.map(
    ({ id, nodes }) =>
      `${name}: ${id}: ${nodes
        .slice(0, 3)
        .map(({ target, failureSummary }) => `${target.join(' ')} ${failureSummary ?? ''}`)
        .join(' | ')}`,
  );
  expect(said).toEqual([]);
}

const LINKS = {
  lift: ['pack', 'branch', 'controller', 'motor', 's1', 'output', 'load'],
  drive: ['output', 'load'],
  climb: ['motor'],
  hoist: ['motor'],
  arm: ['load', 'output'],
  thrower: ['load'],
  turntable: ['motor', 'controller'],
  grip: ['motor', 'rail', 'linkage'],
} as const;

for (const theme of ['light', 'dark'] as const) {
  test.describe(`axe objects to nothing, in ${theme},`, () => {
    test.beforeEach(async ({ page }) => {
      // Every panel and sheet is looked through in one test.
      test.setTimeout(480_000);
      await page.addInitScript((value) => localStorage.setItem('rough-gear:theme', value), theme);
    });

    for (const [mechanism, links] of Object.entries(LINKS)) {
      test(`on the ${mechanism}`, async ({ heron, page }) => {
        for (const link of links) {
          await heron.open(mechanism, link);
          await check(page, `${mechanism} ${link}`);
        }
      });
    }

    test('on what is drawn for paper', async ({ heron, page, server }) => {
      for (const sheet of ['order', 'cards', 'wiring', 'book']) {
        await page.goto(`${server.url}/robots/${heron.id}/paper/${sheet}`);
        await page.getByRole('article').first().waitFor();
        await settled(page);
        await check(page, sheet);
      }
      await page.goto(`${server.url}/robots/${heron.id}/paper/order`);
      await page.getByRole('button', { name: /64 mm can/ }).click();
      await page.getByRole('button', { name: /what else would do/ }).click();
      await page.getByRole('list', { name: 'Stand-ins' }).waitFor();
      await check(page, 'order, a line open');
    });

    test('in the pit', async ({ heron, page, server }) => {
      for (const at of ['checks', 'cards', 'wires', 'verdicts']) {
        await page.goto(`${server.url}/robots/${heron.id}/pit/${at}`);
        await page.getByRole('heading', { name: 'Heron, pit' }).waitFor();
        await settled(page);
        await check(page, `pit, ${at}`);
      }
      await page.goto(`${server.url}/robots/${heron.id}/pit/cards`);
      await page.getByRole('button', { name: /^Mast lift/ }).click();
      await check(page, 'pit, a card open');
      await page.goto(`${server.url}/robots/${heron.id}/pit`);
      await page.getByRole('button', { name: 'A fault found' }).click();
      await page.getByRole('heading', { name: 'A fault, or a new part' }).waitFor();
      await settled(page);
      await check(page, 'pit, a fault');
    });

    test('on the bench book, a trial of it, its live line and its paper', async ({ page, server }) => {
      await page.goto(`${server.url}/bench`);
      await page.getByRole('table').waitFor();
      await check(page, 'bench book');
      await page.getByRole('button', { name: 'New trial' }).click();
      await settled(page);
      await check(page, 'new trial');
      await page.getByRole('button', { name: 'Begin', exact: true }).click();
      await page.getByRole('button', { name: 'Read live' }).click();
      await page.getByRole('button', { name: 'Start', exact: true }).click();
      await page.getByRole('button', { name: 'Take this reading' }).waitFor();
      await page.getByRole('button', { name: 'Stop', exact: true }).click();
      await check(page, 'live line');
      await page.getByRole('button', { name: 'Paste columns, or a file' }).click();
      await page.getByRole('dialog').getByRole('textbox').fill('V;A\n1;2\n3;4');
      await check(page, 'paste readings');
      for (const trial of [1, 3]) {
        await page.goto(`${server.url}/bench/7d2a0000-0000-4000-8000-00000000000${trial}`);
        await page.getByTestId('found').waitFor();
        await settled(page);
        await check(page, `trial ${trial}`);
      }
      await page.getByRole('link', { name: 'Print the report' }).click();
      await page.getByTestId('found').waitFor();
      await check(page, 'report');
    });

    test('on the whole robot, a go of it and its scripts', async ({ heron, page, server }) => {
      await page.goto(`${server.url}/robots/${heron.id}`);
      await page.getByTestId('robot-answer').waitFor();
      await check(page, 'robot');
      await page.getByTestId('lanes').getByRole('button').first().click();
      await page.getByRole('button', { name: 'by mechanism' }).click();
      await check(page, 'a go');
      await page.getByRole('button', { name: 'event sheet' }).click();
      await page.getByTestId('event-sheet').waitFor();
      await check(page, 'event sheet');
      await page.keyboard.press('Escape');
      await page.getByRole('button', { name: 'Replay' }).click();
      await check(page, 'replay');
      await page.getByRole('button', { name: 'Look for changes that do it' }).click();
      await page.getByTestId('robot-mends').getByRole('button').first().waitFor();
      await check(page, 'mends');
      await page.getByRole('button', { name: 'Its parts, and others' }).click();
      await page.getByRole('dialog').waitFor({ state: 'attached' });
      await check(page, 'scripts');
      await page.goto(`${server.url}/robots/${heron.id}?choose=all`);
      await page.getByTestId('choose-all').waitFor();
      await check(page, 'choose for all');
    });

    test('on charts, comparisons, the spread and the models', async ({ heron, page, server }) => {
      await heron.open('climb', 'controller');
      await page.getByRole('button', { name: /Start, ramp/ }).click();
      await page.getByRole('button', { name: 'Brake', exact: true }).click();
      await page.getByRole('button', { name: 'Heat', exact: true }).click();
      await check(page, 'brake and heat');
      await page.getByRole('button', { name: 'At one speed' }).click();
      await page.getByTestId('at-speed').waitFor();
      await check(page, 'at one speed');
      await page.keyboard.press('Escape');
      await page.getByRole('button', { name: 'How far they vary' }).click();
      await page.getByRole('dialog').waitFor({ state: 'attached' });
      await check(page, 'spread');
      await heron.open('lift');
      await page.getByRole('button', { name: 'Compare' }).click();
      for (const tab of ['How many', 'Which winding', 'Volts and speed', 'Brushed or brushless', 'Two kinds mixed']) {
        await page.getByRole('tab', { name: tab }).click();
        await check(page, tab);
      }
      await heron.open('turntable', 'controller');
      for (const page_ of ['Pulses', 'Signal', 'Limits']) {
        await page.getByRole('group', { name: 'Driver' }).getByRole('button', { name: page_ }).click();
        await check(page, `driver, ${page_}`);
      }
      await heron.open('grip');
      for (const page_ of ['Precision', 'Holding', 'Inside', 'Calibration']) {
        await page.getByRole('group', { name: 'Servo' }).getByRole('button', { name: page_ }).click();
        await check(page, `servo, ${page_}`);
      }
      await page.getByRole('button', { name: 'Wiring' }).click();
      await page.getByTestId('wires').waitFor();
      await check(page, 'wiring');
      await page.keyboard.press('Escape');
      for (const [mechanism, table] of [
        ['turntable', 'step-machines'],
        ['grip', 'servo-scores'],
      ] as const) {
        await heron.open(mechanism);
        await page.getByRole('button', { name: 'Compare' }).click();
        await page.getByTestId(table).waitFor();
        await check(page, table);
      }
      await page.goto(`${server.url}/models`);
      await page.getByRole('heading', { name: 'Models', exact: true }).waitFor();
      await check(page, 'models');
    });

    test('on the pages of a train', async ({ heron, page }) => {
      for (const train of ['stages', 'lengths', 'ways', 'layout']) {
        await heron.open('lift', 's2', `?train=${train}`);
        await page.getByRole('region', { name: 'The train' }).waitFor();
        await check(page, `train, ${train}`);
      }
      for (const view of ['Side view', 'Unfolded']) {
        await page.getByRole('button', { name: view }).click();
        await check(page, view);
      }
      await heron.open('lift', 's2', '?train=find');
      await page.getByRole('button', { name: 'Find trains' }).click();
      await page.getByTestId('trains').waitFor();
      await check(page, 'trains found');
      await heron.open('thrower', 's1', '?train=lengths');
      await page.getByTestId('belt-notes').waitFor();
      await check(page, 'a belt');
    });

    test('on a pasted sheet, motors all alike, musts and a wanted speed', async ({ heron, page, server }) => {
      await page.goto(`${server.url}/shelf/motor`);
      await page.getByRole('button', { name: 'all alike' }).click();
      const add = page.getByRole('combobox', { name: 'another must' });
      for (const must of ['type', 'Kv']) await add.selectOption({ label: must });
      await check(page, 'all alike, with musts');
      await page.getByRole('button', { name: 'New part' }).click();
      await page.getByRole('button', { name: 'Paste a data sheet' }).click();
      await page.getByRole('dialog').getByRole('textbox').fill('Yard motor\nKv: 900\nWeight: 62\nRm 40 mΩ\nmade here');
      await page.getByTestId('sheet-read').getByRole('row').first().waitFor({ state: 'attached' });
      await check(page, 'a pasted sheet');
      await heron.open('lift', 'motor', '?choose=speed');
      await page.getByRole('textbox', { name: 'at full effort, under its load' }).fill('0.7 m/s');
      await page.getByTestId('geared').waitFor({ timeout: 60_000 });
      await check(page, 'for a speed');
    });

    test('on the shelf and the pages of choosing', async ({ heron, page, server }) => {
      await page.goto(`${server.url}/shelf/motor/motor-brushed-64`);
      await page.getByTestId('part-sheet').waitFor();
      await check(page, 'shelf, a part that ships');
      await page.getByRole('button', { name: 'New part' }).click();
      await check(page, 'shelf, a new part');
      await page.getByRole('button', { name: 'Import a file' }).click();
      await page.setInputFiles('input[type=file]', {
        name: 'own.csv',
        mimeType: 'text/csv',
        buffer: Buffer.from('name,type,figures by\na,brushed,sheet\nb,steam,sheet\n'),
      });
      await page.getByTestId('import-report').waitFor();
      await check(page, 'import');
      await heron.open('lift');
      await page.getByRole('button', { name: /^Parts/ }).click();
      await page.getByTestId('plan-parts').waitFor();
      await check(page, 'parts of the plan');
      await heron.open('intake', 'motor', '?choose=shortlist');
      await page.getByRole('button', { name: 'Search', exact: true }).click();
      await page.getByTestId('found').getByRole('button').first().click({ timeout: 60_000 });
      await expect(page.getByTestId('fallen')).toContainText('tried:', { timeout: 60_000 });
      await check(page, 'shortlist');
      await page.getByTestId('chosen').getByRole('button', { name: 'Keep it beside' }).click();
      for (const [choose, there] of [
        ['ratio', 'ratio-sweep'],
        ['side', 'differences'],
        ['reasons', 'reasons'],
      ] as const) {
        await heron.open('intake', 'motor', `?choose=${choose}`);
        await page.getByTestId(there).waitFor();
        await settled(page);
        await check(page, `choosing, ${choose}`);
        if (choose !== 'side') continue;
        // A reason for the log, which is looked at next.
        await page.getByRole('button', { name: 'Put in force' }).click();
        await page.getByRole('dialog').getByRole('button', { name: 'Put in force' }).click();
      }
    });

    test('on the start page and the sheets', async ({ heron, page, server }) => {
      await page.goto(`${server.url}/robots`);
      await page.getByRole('link', { name: 'Heron', exact: true }).waitFor();
      await check(page, 'robots');
      await heron.open('lift');
      await page.getByRole('button', { name: 'Add a mechanism' }).click();
      await page.getByRole('dialog').waitFor({ state: 'attached' });
      await check(page, 'add a mechanism');
      await page.keyboard.press('Escape');
      await page.getByRole('button', { name: 'Shortcuts' }).click();
      await check(page, 'shortcuts');
      await page.keyboard.press('Escape');
      await page.getByRole('button', { name: 'Change', exact: true }).click();
      await page.getByTestId('shelf-parts').waitFor();
      await check(page, 'shelf');
      await page.keyboard.press('Escape');
      await page.getByRole('region', { name: 'What gives first' }).getByRole('button', { name: 'Working' }).click();
      await page.locator('.katex').first().waitFor();
      await check(page, 'working');
    });
  });
}

test('the whole decision is done by keyboard alone', async ({ page, server }) => {
  await page.goto(`${server.url}/robots`);
  await page.getByRole('link', { name: 'Mast lift' }).focus();
  await page.keyboard.press('Enter');
  await page.getByTestId('gauge').waitFor();

  // Links by number, the ruler by arrow keys, the situations as tabs, a mend by Enter.
  await page.keyboard.press('7');
  await expect(page.getByRole('heading', { name: 'Drum' })).toBeVisible();
  const handle = page.getByTestId('ratio-handle');
  await handle.focus();
  await page.keyboard.press('ArrowRight');
  await expect(handle).toHaveAttribute('aria-valuetext', '9.188 to 1');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await expect(handle).toHaveAttribute('aria-valuetext', '8.813 to 1');
  await page.getByRole('tab', { name: /working/ }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('tab', { name: /holding/ })).toBeFocused();
  await expect(page.getByTestId('answer')).toContainText('ratchet');
  await page.keyboard.press('ArrowLeft');
  await page.getByTestId('mends').getByRole('button').first().focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
  await page.keyboard.press('j');
  await expect(page).toHaveURL(/\/climb/);
  await page.keyboard.press('?');
  await expect(page.getByRole('heading', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
});

test('single keys can be switched off, and do nothing inside a field', async ({ heron, page }) => {
  await heron.open('lift', 'motor');
  await page.getByRole('textbox', { name: 'stall torque' }).focus();
  await page.keyboard.type('1');
  await expect(page.getByRole('heading', { name: 'Motor' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Shortcuts' }).click();
  await page.getByRole('checkbox', { name: 'single-key shortcuts are on' }).uncheck();
  await page.keyboard.press('Escape');
  await page.keyboard.press('1');
  await expect(page.getByRole('heading', { name: 'Motor' })).toBeVisible();
});

test('it reflows to a phone without scrolling sideways, and stays usable', async ({ heron, page }) => {
  await page.setViewportSize({ width: 320, height: 720 });
  await heron.open('lift');
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(320);
  await page.getByRole('button', { name: 'Mechanisms of Heron' }).click();
  await page.getByRole('link', { name: /Capstan climb/ }).click();
  await expect(page).toHaveURL(/\/climb/);
});

test('every chart has its table', async ({ heron, page }) => {
  await heron.open('lift');
  for (let i = 0; i < 2; i++) await page.getByRole('button', { name: 'table' }).first().click();
  await expect(page.getByRole('region', { name: 'Reach as a table' }).getByRole('row').nth(1)).toContainText(
    'motor-side limit',
  );
  await expect(page.getByRole('region', { name: 'Run as a table' }).getByRole('row').last()).toContainText('1.51');
});

test('a change is announced politely', async ({ heron, page }) => {
  await heron.open('lift');
  await page.getByTestId('ratio-handle').focus();
  await page.keyboard.press('PageDown');
  await expect(page.locator('[aria-live="polite"]').filter({ hasText: 'First to give' })).toHaveText(
    /First to give: .+, 1\.21× to \d\.\d\d×/,
  );
});
