import { expect, test } from '../fixtures.js';

test('the arm’s tip is dragged, and the angle reads what the drawing shows', async ({ heron, page }) => {
  await heron.open('arm', 'load');
  const field = page.getByRole('textbox', { name: 'to angle' });
  await expect(field).toHaveValue('70°');
  const before = await page.getByTestId('arm-tip').getAttribute('aria-valuenow');
  const box = (await page.getByTestId('arm-tip').locator('circle').last().boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + 30, box.y + 20, { steps: 6 });
  await page.mouse.move(box.x + 38, box.y + 30, { steps: 3 });
  // Everything follows while the hand is still down.
  const during = Number(await page.getByTestId('arm-tip').getAttribute('aria-valuenow'));
  expect(during).toBeLessThan(Number(before));
  await page.mouse.up();
  await expect(field).toHaveValue(`${during}°`);
  await expect(page.getByTestId('arm-end')).toHaveText(`${during}°`);
  await heron.saved();
  const { document } = await heron.stored();
  const job = document.mechanisms.find(({ id }) => id === 'arm')!.jobs[0]!;
  expect(job.kind === 'swing' && job.to?.as).toBe(`${during}°`);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(field).toHaveValue('70°');
});

test('arrow keys step the arm, a degree each', async ({ heron, page }) => {
  await heron.open('arm', 'load');
  await page.getByTestId('arm-tip').focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('textbox', { name: 'to angle' })).toHaveValue('71°');
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('textbox', { name: 'to angle' })).toHaveValue('61°');
});

test('the height of a lift is dragged on its drawing', async ({ heron, page }) => {
  await heron.open('lift', 'load');
  const handle = page.getByRole('slider', { name: /How far/ });
  await handle.focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('textbox', { name: 'how far' })).toHaveValue('1.36 m');
  const box = (await handle.locator('circle').last().boundingBox())!;
  await page.mouse.move(box.x + 6, box.y + 6);
  await page.mouse.down();
  await page.mouse.move(box.x + 6, box.y + 26, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByRole('textbox', { name: 'how far' })).not.toHaveValue('1.36 m');
});

const KINDS: readonly (readonly [
  title: string,
  values: readonly (readonly [label: string, text: string])[],
  says: RegExp,
])[] = [
  [
    'Arm',
    [
      ['the arm itself weighs', '5 lb'],
      ['and carries at its tip', '0'],
      ['reaches', '0.9 m'],
      ['by what angle', '110°'],
      ['in what time', '1.2 s'],
    ],
    /stays up, power off/,
  ],
  [
    'Climb, winch',
    [
      ['what: hangs on it', '50 kg'],
      ['how far', '0.7 m'],
      ['in what time', '4 s'],
    ],
    /stays up, power off/,
  ],
  [
    'Thrower',
    [
      ['what: one piece', '250 g'],
      ['leaves at', '30 ft/s'],
      ['one every', '1.5 s'],
    ],
    /back at speed/,
  ],
  [
    'Roller, conveyor',
    [
      ['what: one piece', '1.2 kg'],
      ['how far', '350 mm'],
      ['in what time', '0.5 s'],
    ],
    /stands a jam/,
  ],
  [
    'Turntable',
    [
      ['what: turns', '6 kg'],
      ['across', '16 in'],
      ['by what angle', '180°'],
      ['in what time', '1 s'],
    ],
    /in time/,
  ],
  [
    'Screw carriage',
    [
      ['what: moves', '2 kg'],
      ['how far', '0.3 m'],
      ['in what time', '2 s'],
    ],
    /in time/,
  ],
  [
    'Grip',
    [
      ['what: is held', '1.5 kg'],
      ['finger length', '120 mm'],
      ['in what time', '0.4 s'],
    ],
    /in time/,
  ],
];

for (const [title, values, says] of KINDS) {
  test(`${title} is added with the numbers that decide, and answers at once`, async ({ heron, page }) => {
    await heron.open('lift');
    await page.getByRole('button', { name: 'Add a mechanism' }).click();
    await page.getByRole('radio', { name: new RegExp(title.split(',')[0]!) }).check({ force: true });
    await expect(page.getByRole('button', { name: 'Add it' })).toBeDisabled();
    for (const [label, text] of values) await page.getByRole('textbox', { name: label, exact: true }).fill(text);
    await page.getByRole('button', { name: 'Add it' }).click();
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(page.getByTestId('answer')).toContainText(/[×%]/);
    await expect(page.getByTestId('checks')).toContainText(says);
    await page
      .getByRole('button', { name: /^(?:Load|.*Load)/ })
      .first()
      .click();
    await expect(page.getByTestId('sketch')).toBeVisible();
    await heron.saved();
  });
}

test('a second job of the same mechanism starts as a copy, and the worst leads', async ({ heron, page }) => {
  await heron.open('intake', 'load');
  await page.getByRole('button', { name: 'Add a job' }).click();
  await page.getByRole('textbox', { name: 'called' }).fill('Swallow two');
  await page.getByRole('button', { name: 'Add the job' }).click();
  const jobs = page.getByRole('group', { name: 'Job', exact: true });
  await expect(jobs.getByRole('button', { name: /Swallow two/ })).toHaveAttribute('aria-pressed', 'true');
  const time = page.getByRole('textbox', { name: 'in what time' });
  await time.fill('0.1 s');
  await time.press('Enter');
  await expect(page.getByTestId('failing').first()).toBeVisible();
  await expect(
    page.getByRole('navigation', { name: 'Mechanisms' }).getByRole('link', { name: /^Roller intake/ }),
  ).toContainText('gives way');
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.getByRole('group', { name: 'Job', exact: true })).toHaveCount(0);
});

test('letting down asks the brakes: a return limit slows it', async ({ heron, page }) => {
  await heron.open('lift', 'controller', '?job=lower');
  const inTime = page.locator('[data-check="in-time"]');
  await expect(inTime).toContainText('2.96 of 3.5 s');
  await expect(page.locator('[data-check="held-back"]')).toBeVisible();
  const limit = page.getByRole('textbox', { name: 'return limit' });
  await limit.fill('30 A');
  await limit.press('Enter');
  await expect(page.getByTestId('failing').first()).toContainText('the pack may be charged with 5.4 A');
});

test('a trapezoid too hasty falls behind, and says where', async ({ heron, page }) => {
  await heron.open('drive', 'load', '?job=sprint');
  await page.getByRole('combobox', { name: 'at the end it' }).selectOption('trapezoid');
  await expect(page.locator('[data-check="follows"]')).toContainText('follows');
  const time = page.getByRole('textbox', { name: 'in what time' });
  await time.fill('1.2 s');
  await time.press('Enter');
  await expect(page.locator('[data-check="follows"]')).toContainText('behind after');
});

test('what is still wanted of a new mechanism is said, nothing unreadable is dropped, and Enter adds nothing by halves', async ({
  heron,
  page,
}) => {
  await heron.open('lift');
  await page.getByRole('button', { name: 'Add a mechanism' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByText('Arm', { exact: true }).click();
  const wanting = page.getByTestId('wanting');
  await expect(wanting).toHaveText(
    'Still wanted: the arm itself weighs, and carries at its tip, reaches, by what angle, in what time',
  );
  const typed = [
    ['the arm itself weighs', '0'],
    ['and carries at its tip', '400 g'],
    ['reaches', '0.5 m'],
    ['by what angle', '90°'],
    ['in what time', '1 s'],
  ] as const;
  for (const [label, text] of typed) {
    await dialog.getByLabel(label).fill(text);
    if (label !== 'in what time') await dialog.getByLabel(label).press('Enter');
    if (label === 'by what angle') {
      await dialog.getByLabel('in what time').fill('soon');
      await dialog.getByLabel('in what time').press('Enter');
      await expect(wanting).toHaveText('Still wanted: in what time');
    }
  }
  await dialog.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByTestId('answer')).toBeVisible();
  await heron.saved();
  const arm = (await heron.stored()).document.mechanisms.at(-1)!;
  expect(arm.jobs[0]).toMatchObject({ kind: 'swing', payload: { si: 0.4 } });
});
