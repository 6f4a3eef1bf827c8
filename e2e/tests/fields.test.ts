import { expect, test } from '../fixtures.js';

test('a field takes what people type, says what it understood, previews it and keeps it', async ({ heron, page }) => {
  await heron.open('lift', 'load');
  const mass = page.getByRole('textbox', { name: 'load', exact: true });
  await mass.click();
  await mass.fill('55 lb');
  await expect(page.getByText('understood: 24.95 kg')).toBeVisible();
  // Previewed while it is typed: the gauge has moved before it is kept.
  await expect(page.getByTestId('answer')).toContainText(/gives way/i);
  await mass.press('Escape');
  await expect(page.getByTestId('answer')).toContainText('Tight');
  await mass.fill('55 lb');
  await mass.press('Enter');
  await heron.saved();
  const job = (await heron.stored()).document.mechanisms[1]!.jobs[0]!;
  expect(job.kind === 'raise' && job.mass).toMatchObject({ as: '55 lb', source: 'typed' });
});

test('a bare number is in the unit that stands in the field', async ({ heron, page }) => {
  await heron.open('lift', 'output');
  const radius = page.getByRole('textbox', { name: 'drum radius' });
  await expect(radius).toHaveValue('22 mm');
  // Typed on past half a metre, where the field shows metres, it still is in millimetres.
  await radius.click();
  await radius.fill('1200');
  await expect(page.getByText('understood: 1.2 m')).toBeVisible();
  await radius.fill('24');
  await radius.press('Enter');
  await heron.saved();
  expect((await heron.stored()).document.mechanisms[1]!.choices[0]!.output).toMatchObject({ radius: { as: '24 mm' } });
});

test('a bare number far from what stands in the field is asked about', async ({ heron, page }) => {
  await heron.open('lift', 'load');
  const mass = page.getByRole('textbox', { name: 'load', exact: true });
  await mass.fill('800');
  await mass.press('Enter');
  await expect(page.getByText('800 kg is far from the 20 kg that stand here: which is it?')).toBeVisible();
  await page.getByRole('button', { name: '800 g', exact: true }).click();
  await expect(mass).toHaveValue('0.8 kg');
  await heron.saved();
  const job = (await heron.stored()).document.mechanisms[1]!.jobs[0]!;
  expect(job.kind === 'raise' && job.mass).toMatchObject({ as: '800 g', si: 0.8 });
});

test('a figure that the plan cannot take is said at its field, in its unit, and the last good plan stays', async ({
  heron,
  page,
}) => {
  await heron.open('lift', 'motor');
  const answer = await page.getByTestId('answer').textContent();
  await page.getByRole('button', { name: /Volts, mass, shaft/ }).click();
  const limit = page.getByRole('textbox', { name: 'winding limit' });
  await limit.fill('900');
  await expect(page.getByText('winding limit: at most 400 °C is allowed')).toBeVisible();
  await limit.press('Enter');
  await expect(limit).toHaveAttribute('aria-invalid', 'true');
  await expect(page.getByTestId('answer')).toHaveText(answer!);
  await limit.fill('150');
  await limit.press('Enter');
  await heron.saved();
  const motor = (await heron.stored()).document.parts['motor-1']!.part;
  expect(motor.kind === 'motor' && motor.windingLimit).toMatchObject({ as: '150 °C', si: 150 });
});

test('bad input is refused at the field with an example, and nothing is lost', async ({ heron, page }) => {
  await heron.open('lift', 'motor');
  const torque = page.getByRole('textbox', { name: 'stall torque' });
  await torque.click();
  await torque.fill('12 bananas');
  await torque.press('Enter');
  await expect(page.getByText('stall torque: “12 bananas”'.replace('12 ', ''))).toContainText('For example 4.2 N·m');
  await expect(torque).toHaveValue('12 bananas');
  await expect(torque).toHaveAttribute('aria-invalid', 'true');
  await torque.fill('-2 N·m');
  await expect(page.getByText('-2 N·m is not allowed: more than zero is')).toBeVisible();
  await torque.fill('1,120');
  await page.getByRole('button', { name: '1.120' }).click();
  await expect(torque).toHaveValue('1.12 N·m');
  await heron.saved();
});

test('a figure cleared goes back to its typical value, which looks different and says why', async ({ heron, page }) => {
  await heron.open('lift', 'load');
  const friction = page.getByRole('textbox', { name: 'slide friction' });
  await friction.click();
  await friction.fill('');
  await friction.press('Enter');
  await expect(
    page.getByRole('button', { name: /slide friction is estimated: 5 % of the load’s weight/ }),
  ).toBeVisible();
  await expect(friction).toHaveValue('9.81 N');
  await heron.saved();
  const job = (await heron.stored()).document.mechanisms[1]!.jobs[0]!;
  // Typical values fill in at evaluation and are never written into the plan.
  expect(job).not.toHaveProperty('friction');
});

test('the source of a figure can be set, with where it came from', async ({ heron, page }) => {
  await heron.open('lift', 'load');
  await page.getByRole('button', { name: /slide friction is typed/ }).click();
  await page.getByRole('textbox', { name: 'page, run or note' }).fill('pulled with a scale');
  await page.getByRole('button', { name: /measured on the bench/ }).click();
  await expect(page.getByRole('button', { name: /slide friction is measured: pulled with a scale/ })).toBeVisible();
});

test('filling in the missing figure turns not known into a number', async ({ heron, page }) => {
  await heron.open('hoist');
  await expect(page.getByTestId('answer')).toContainText('Not known. Resistance is missing.');
  await page.getByRole('link', { name: 'resistance, on the motor' }).click();
  await page.getByRole('textbox', { name: 'resistance' }).fill('42 mΩ');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('answer')).toContainText('gives first, at');
  await expect(page.locator('body')).not.toContainText('NaN');
});

test('teeth are typed as a pair; a colon is understood, said, and swapped with one click', async ({ heron, page }) => {
  await heron.open('lift', 's2');
  const stage = page.getByRole('group', { name: 'Stage 2' });
  const pair = stage.getByRole('textbox', { name: 'as teeth' });
  await pair.fill('20 → 60');
  await pair.press('Enter');
  await expect(stage).toContainText('3:1');
  await pair.fill('45:15');
  await pair.press('Enter');
  await expect(stage).toContainText('understood: 15 drives 45');
  await stage.getByRole('button', { name: 'other way round' }).click();
  await expect(pair).toHaveValue('45 → 15');
  await pair.fill('2 → 9');
  await expect(stage.getByRole('alert')).toHaveText('2 teeth are not allowed: 6 to 400 are');
  await stage.getByRole('textbox', { name: 'driven' }).fill('3');
  await stage.getByRole('textbox', { name: 'driven' }).press('Enter');
  await expect(stage.getByText('a whole number from 6 to 400 is')).toBeVisible();
});

test('the total is typed as 35:12, and stages are added, moved and removed', async ({ heron, page }) => {
  await heron.open('lift', 's1');
  const total = page.getByRole('textbox', { name: 'Total reduction' });
  await total.fill('108:9');
  await total.press('Enter');
  await expect(total).toHaveValue('12:1');
  await total.fill('soon');
  await total.press('Enter');
  await expect(page.getByText('does not start with a number. For example 9.4:1')).toBeVisible();
  await total.press('Escape');
  await page.getByRole('combobox', { name: 'Add a stage' }).selectOption('planetary');
  await expect(page.getByRole('group', { name: 'Stage 3' })).toContainText('Planetary');
  await expect(total).toHaveValue('48:1');
  await page.getByRole('button', { name: 'Stage 3 towards the motor' }).click();
  await expect(page.getByRole('group', { name: 'Stage 2' })).toContainText('Planetary');
  await page.getByRole('button', { name: 'Remove stage 2' }).click();
  await expect(total).toHaveValue('12:1');
});

test('figures are shown in inches and pounds when asked for', async ({ heron, page }) => {
  await heron.open('lift', 'load');
  await page.getByRole('button', { name: /Units: metric/ }).click();
  await expect(page.getByRole('textbox', { name: 'load', exact: true })).toHaveValue('44.09 lb');
  await expect(page.getByTestId('gauge')).toContainText('lbf');
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'how far' })).toHaveValue('53.15 in');
});
