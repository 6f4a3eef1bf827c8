import type { GearStage, ServoPart } from '@rough-gear/core';
import type { Locator, Page } from '@playwright/test';
import { expect, type Heron, open, test } from '../fixtures.js';
import { desk } from '../ways.js';

const field = (page: Page, name: string): Locator => page.getByRole('textbox', { name, exact: true });

async function type(page: Page, name: string, text: string): Promise<void> {
  await field(page, name).fill(text);
  await field(page, name).press('Enter');
}

async function firstGears(heron: Heron): Promise<GearStage> {
  await heron.saved();
  const lift = (await heron.stored()).document.mechanisms.find(({ id }) => id === 'lift')!;
  return lift.choices[0]!.stages[0] as GearStage;
}

test('a module is typed as diametral pitch, and thin plastic teeth break first', async ({ heron, page }) => {
  await heron.open('lift', 's1', '?desk=teeth&page=stages');
  await type(page, 'module', '32 DP');
  await expect(page.getByTestId('stage-strength')).toContainText('Centres 27.78 mm');
  await page.getByRole('combobox', { name: 'material' }).selectOption('printed');
  await expect(page.getByTestId('answer')).toContainText('gear tooth');
  await expect(page.getByTestId('stage-strength')).toContainText('A face of');
  const { pitch, material } = await firstGears(heron);
  expect(pitch).toMatchObject({ as: '32 DP', source: 'typed' });
  expect(pitch!.si).toBeCloseTo(0.0254 / 32, 9);
  expect(material).toBe('printed');
});

test('a shaft is chosen by form, its strength is a rung, and a bore that is another size is said', async ({
  heron,
  page,
}) => {
  await heron.open('lift', 's1', '?desk=teeth&page=stages');
  await page.getByRole('combobox', { name: 'shaft it turns' }).selectOption('keyed');
  await type(page, 'shaft diameter', '4 mm');
  await page.getByRole('combobox', { name: 'shaft of' }).selectOption('6061 aluminium');
  await expect(page.getByTestId('stage-strength')).toContainText('shaft yields');
  await expect(page.getByTestId('answer')).toContainText('The shaft (stage 1)');
  await type(page, 'bore, driven', '8 mm');
  await expect(page.getByTestId('checks')).toContainText('parts fit together');
  await page.getByRole('combobox', { name: 'shaft it turns' }).selectOption('none');
  await expect(page.getByTestId('stage-strength')).not.toContainText('shaft yields');
});

test('the page of the train is in the address, so that it can be shared, and closes to the charts', async ({
  heron,
  page,
}) => {
  await heron.open('drive', 's2', '?desk=teeth&page=layout');
  await expect(page.getByTestId('end-view')).toBeVisible();
  await page.reload();
  await expect(page.getByTestId('end-view')).toBeVisible();
  await desk(page, 'Figures').click();
  await expect(page.getByRole('group', { name: 'Chart of what it can do' })).toBeVisible();
  expect(new URL(page.url()).searchParams.get('desk')).toBeNull();
  // Another link of the strip opens its own fields beside an open train's page only when that is closed.
  await page.getByRole('button', { name: 'Real teeth' }).click();
  expect(new URL(page.url()).searchParams.get('desk')).toBe('teeth');
});

test('a train is found for a stepper’s turntable too', async ({ heron, page }) => {
  await heron.open('turntable', 's1', '?desk=teeth&page=find');
  await page.getByRole('button', { name: 'Find trains' }).click();
  await expect(page.getByTestId('train-count')).toContainText('decided', { timeout: 30_000 });
  await page.getByTestId('trains').getByRole('row').nth(1).getByRole('button').click();
  await expect(page.getByTestId('train-row')).toBeVisible();
  await expect(page.locator('body')).not.toContainText('NaN');
});

test('without the server the search says that the shelf is out of reach', async ({ heron, page, server }) => {
  await heron.open('lift', 's2');
  await page.route('**/api/shelf*', (route) => route.abort());
  await page.getByRole('button', { name: 'Real teeth' }).click();
  await page
    .getByRole('group', { name: 'Page of the train' })
    .getByRole('button', { name: 'Find on the shelf' })
    .click();
  await expect(page.getByText('The shelf is out of reach: nothing can be proposed from it now.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Find trains' })).toBeDisabled();
  expect(server.port).toBeGreaterThan(0);
});

test('the gears inside a servo are changed in the same way, and undone', async ({ page, server, robots }) => {
  const id = await robots.idOf('Limpet');
  await open(page, server, `/robots/${id}/legs/motor`);
  await page.getByRole('group', { name: 'Servo' }).getByRole('button', { name: 'Inside' }).click();
  const inside = page.getByTestId('inside');
  const first = inside.getByRole('textbox').first();
  const before = await first.inputValue();
  const motor = await inside.getByRole('listitem').first().textContent();
  await first.press('ArrowUp');
  await expect(first).not.toHaveValue(before);
  // The sheet says what the horn does: other gears ask another motor for it.
  await expect(inside.getByRole('listitem').first()).not.toHaveText(motor!);
  await expect(page.getByTestId('save-state')).toHaveText('saved');
  const stored = (await (await fetch(`${server.url}/api/plans/${id}`)).json()) as {
    document: { parts: Record<string, { part: ServoPart }> };
  };
  const [driver, driven] = (await first.inputValue()).split(' → ').map(Number);
  const pairs = Object.values(stored.document.parts).flatMap(({ part }) =>
    part.kind === 'servo' ? (part.inside?.slice(0, 1) ?? []) : [],
  );
  expect(pairs).toContainEqual({ driver, driven });
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(first).toHaveValue(before);
});

test('no chain or belt, no length to choose: the page says where gears stand', async ({ page, server, robots }) => {
  await open(page, server, `/robots/${await robots.idOf('Limpet')}/drive/s1?desk=teeth&page=lengths`);
  await expect(page.getByText('No stage of this train is a chain or a belt.')).toBeVisible();
  await page
    .getByRole('group', { name: 'Page of the train' })
    .getByRole('button', { name: 'Gears, chain or belt' })
    .click();
  await expect(page.getByText('a gearbox bought whole has no other way')).toBeVisible();
});

test('a motor without a reduction has a place to add one, and nothing turns behind a screw', async ({
  heron,
  page,
  robots,
}) => {
  await heron.open('turntable', 's1');
  await page.getByRole('button', { name: 'Remove stage 1' }).click();
  const strip = page.getByRole('navigation', { name: 'Power path' });
  await expect(strip.getByRole('button', { name: /No reduction/ })).toBeVisible();
  await expect(page.getByText('The motor turns the output straight.')).toBeVisible();
  await strip
    .getByRole('button', { name: /Motor|Stepper/ })
    .first()
    .click();
  await strip.getByRole('button', { name: /No reduction/ }).click();
  await page.getByRole('combobox', { name: 'Add a stage' }).selectOption({ label: 'Toothed belt' });
  await expect(strip.getByRole('button', { name: /No reduction/ })).toHaveCount(0);
  await expect(page.getByRole('group', { name: 'Stage 1' })).toContainText('Toothed belt');

  const limpet = await robots.idOf('Limpet');
  await open(page, heron.server, `/robots/${limpet}/sled`);
  await strip.getByRole('button', { name: /^Screw/ }).click();
  await page.getByRole('combobox', { name: 'Add a stage' }).selectOption({ label: 'Gears' });
  const stages = page.getByRole('group', { name: /^Stage \d/ });
  await expect(stages.last()).toContainText('Lead screw');
  await expect(stages.last().getByRole('button', { name: /towards the motor/ })).toBeDisabled();
  await expect(
    page.getByRole('combobox', { name: 'Add a stage' }).getByRole('option', { name: 'Lead screw' }),
  ).toHaveCount(0);
});
