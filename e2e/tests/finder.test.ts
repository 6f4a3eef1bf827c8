import { readFileSync } from 'node:fs';
import { asksOf, answerAt, placesOf } from '@rough-gear/contract/find';
import { currentChoice, resolvePath, type Plan } from '@rough-gear/core';
import { expect, open, test } from '../fixtures.js';
import { go } from '../go.js';

const demo = (name: string): Plan =>
  JSON.parse(readFileSync(new URL(`../../contract/demo/${name}.json`, import.meta.url), 'utf8')) as Plan;

/** Each figure once, at the first mechanism that has it: its key and its address. */
function figuresOf(plan: Plan, id: string): ReadonlyMap<string, string> {
  const found = new Map<string, string>();
  for (const mechanism of plan.mechanisms)
    for (const { key, kind, path } of placesOf(plan, id, mechanism.id))
      if (kind === 'figure' && !found.has(key)) found.set(key, path);
  return found;
}

for (const name of ['heron', 'limpet'])
  test(`${name}: what is found of a figure opens its field, unfolds what is folded, and has the cursor in it`, async ({
    page,
    server,
    robots,
  }) => {
    test.setTimeout(300_000);
    const figures = figuresOf(demo(name), await robots.idOf(name === 'heron' ? 'Heron' : 'Limpet'));
    await open(page, server, '/data');
    const lost: string[] = [];
    for (const [key, path] of figures) {
      await go(page, path);
      const figure = new URL(path, server.url).searchParams.get('figure')!;
      const field = page.locator(`[data-figure="${figure}"] :is(input, select)`).first();
      await expect(field)
        .toBeFocused({ timeout: 2500 })
        .catch(() => lost.push(`${key} ${path}`));
      await page.keyboard.press('Escape');
    }
    expect(lost).toEqual([]);
  });

test('the finder is opened by keys or by its box, leads where it says, and keeps what it does not know', async ({
  heron,
  page,
}) => {
  await heron.open('lift', 'motor');
  await page.keyboard.press('Control+k');
  const box = page.getByRole('combobox', { name: 'What are you looking for?' });
  await expect(box).toBeFocused();
  await box.fill('kickback');
  await expect(page.getByRole('option').first()).toContainText('shock factor');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('shock factor')).toBeFocused();
  // Typed at once, and kept.
  await page.keyboard.type('1.7');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'shock factor' })).toHaveValue('1.7');

  await page.getByRole('button', { name: 'Find' }).click();
  await box.fill('how many motors');
  await page.getByRole('option', { name: /One or two/ }).click();
  await expect(page).toHaveURL(/lift\/motor\?.*desk=compare.*page=counts/);
  await expect(page.getByRole('link', { name: 'How many' })).toHaveAttribute('aria-current', 'page');

  // An action is done where one is.
  await page.keyboard.press('/');
  await box.fill('dark mode');
  await page.keyboard.press('Enter');
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await page.keyboard.press('Control+k');
  await box.fill('rename');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('menuitem', { name: 'Rename' })).toBeVisible();
  await page.keyboard.press('Escape');

  await page.keyboard.press('Control+k');
  await box.fill('zeppelin');
  await expect(page.getByRole('status').filter({ hasText: 'Nothing is called that' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(box).toBeHidden();
  await page.reload();
  await page.getByRole('button', { name: 'Find' }).click();
  await expect(page.getByText('One word was not known here so far.')).toBeVisible();
  await page.keyboard.press('Escape');
});

test('every question at a link leads to its answer', async ({ page, server, robots }) => {
  test.setTimeout(300_000);
  const heron = demo('heron');
  const limpet = demo('limpet');
  const told = new Set<string>();
  await open(page, server, '/data');
  for (const [plan, id] of [
    [heron, await robots.idOf('Heron')],
    [limpet, await robots.idOf('Limpet')],
  ] as const)
    for (const mechanism of plan.mechanisms) {
      const path = resolvePath(plan, mechanism, mechanism.jobs[0]!.id);
      const stage = currentChoice(mechanism).stages[0]?.id;
      for (const ask of asksOf(path)) {
        if (told.has(ask.id)) continue;
        told.add(ask.id);
        const at = ask.at === 'stage' ? (stage ?? 'reduction') : ask.at;
        await go(page, `/robots/${id}/${mechanism.id}/${at}`);
        const link = page.getByRole('navigation', { name: 'Ask here' }).getByRole('link', { name: ask.text });
        await expect(link).toHaveAttribute('href', answerAt(ask, id, mechanism.id, ask.at === 'stage' ? at : stage));
        await link.click();
        const { answer } = ask;
        const pressed = (name: string) => page.getByRole('button', { name, exact: true, pressed: true });
        if ('desk' in answer)
          await expect(page.getByRole('navigation', { name: 'Desks' }).locator('[aria-current="page"]')).not.toHaveText(
            'Figures',
          );
        else if ('chart' in answer)
          await expect(pressed(answer.chart[0]!.toUpperCase() + answer.chart.slice(1))).toBeVisible();
        else if ('situation' in answer)
          await expect(page.getByRole('tab', { name: answer.situation, selected: true })).toBeVisible();
        else if ('trial' in answer)
          await expect(page.getByRole('dialog').getByRole('heading').first(), ask.id).toBeVisible();
        else if ('room' in answer)
          await expect(page.getByRole('navigation', { name: 'Rooms' }).locator('[aria-current="page"]')).not.toHaveText(
            'Mechanisms',
          );
        else if (answer.page === 'at-speed')
          await expect(page.getByRole('dialog').getByRole('heading').first(), ask.id).toBeVisible();
        else if (answer.page === 'settings')
          await expect(page.locator('[data-figure="controller.leastErpm"]')).toBeVisible();
        else if (answer.page === 'thread') await expect(page.getByText(/thread/i).first()).toBeVisible();
        else if (answer.figure) await expect(page.locator(`[data-figure="${answer.figure}"] input`)).toBeFocused();
        else
          await expect(
            page.locator('section[aria-label="The open link"]').locator('[aria-pressed="true"]').first(),
          ).toBeVisible();
        await page.keyboard.press('Escape');
      }
    }
  expect(told.size).toBeGreaterThan(30);
});
