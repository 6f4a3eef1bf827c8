import { expect, open, test } from '../fixtures.js';
import { desk, fromMenu, room } from '../ways.js';

/** Where things are: rooms of a robot, desks of a mechanism, and the way between them. */

const ROOMS = ['Mechanisms', 'Match', 'Bench', 'Order', 'Wiring', 'Setup', 'Pit'];
const DESKS = ['Figures', 'Ratio', 'Speed', 'Teeth', 'Compare', 'Shortlist', 'Side by side', 'Wires', 'Reasons'];

test('each room has the bar of all rooms, says what it answers, and leads to the next', async ({ heron, page }) => {
  await heron.open('lift');
  for (const [i, name] of ROOMS.entries()) {
    await room(page, name).click();
    await expect(room(page, name)).toHaveAttribute('aria-current', 'page');
    const rooms = page.getByRole('navigation', { name: 'Rooms' }).getByRole('link');
    await expect(rooms).toHaveText(ROOMS);
    const next = page.getByTestId('next-room').getByRole('link');
    await expect(next).toHaveText(ROOMS[i + 1] ?? 'Match', { timeout: 30_000 });
  }
  // The way back goes room by room, and the mechanism that was open is open again.
  await page.goBack();
  await expect(room(page, 'Setup')).toHaveAttribute('aria-current', 'page');
  await room(page, 'Mechanisms').click();
  await expect(page).toHaveURL(/\/lift$/);
  // A trial that was done on the robot stands in its room.
  await page.goto(`${heron.server.url}/bench/7d2a0000-0000-4000-8000-000000000003`);
  await expect(room(page, 'Bench')).toHaveAttribute('aria-current', 'page');
});

test('on a phone rooms are a menu', async ({ heron, page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await heron.open('lift');
  await page.getByRole('button', { name: 'Rooms' }).click();
  await expect(page.getByRole('menuitem', { name: 'Pit' })).toBeInViewport({ ratio: 1 });
  await page.getByRole('menuitem', { name: 'Order' }).click();
  await expect(page.getByTestId('order')).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('on a phone no desk is wider than its window', async ({ page, server, robots }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const limpet = await robots.idOf('Limpet');
  for (const query of ['compare', 'compare&page=sisters', 'shortlist', 'wires', 'side']) {
    await open(page, server, `/robots/${limpet}/legs/motor?desk=${query}`);
    await expect(page.getByTestId('next-room')).toBeVisible();
    await page.waitForLoadState('networkidle');
    expect(await page.evaluate(() => document.documentElement.scrollWidth), query).toBeLessThanOrEqual(390);
  }
});

test('the desks are always in view; a link of the path leads to its figures, the way back to the desk before', async ({
  heron,
  page,
}) => {
  await heron.open('lift', 'motor', '?job=lower');
  for (const name of DESKS) {
    await desk(page, name).click();
    await expect(desk(page, name)).toHaveAttribute('aria-current', 'page');
    await expect(page.getByRole('navigation', { name: 'Desks' }).getByRole('link')).toHaveText(DESKS);
    await expect(page).toHaveURL(/job=lower/);
  }
  await page.getByRole('navigation', { name: 'Power path' }).getByRole('button', { name: /Drum/ }).click();
  await expect(desk(page, 'Figures')).toHaveAttribute('aria-current', 'page');
  await expect(page.getByRole('textbox', { name: 'drum radius' })).toBeVisible();
  await page.goBack();
  await expect(desk(page, 'Reasons')).toHaveAttribute('aria-current', 'page');
  await page.goBack();
  await expect(desk(page, 'Wires')).toHaveAttribute('aria-current', 'page');
});

test('an address of before leads on to its desk', async ({ heron, page, server }) => {
  for (const [before, name] of [
    ['lift/motor?choose=shortlist', 'Shortlist'],
    ['lift/motor?choose=speed', 'Speed'],
    ['lift/s2?train=layout', 'Teeth'],
  ] as const) {
    await open(page, server, `/robots/${heron.id}/${before}`);
    await expect(desk(page, name)).toHaveAttribute('aria-current', 'page');
    expect(new URL(page.url()).search).not.toMatch(/choose|train/);
  }
  await expect(page.getByTestId('end-view')).toBeVisible();
});

test('a desk that can answer at once does', async ({ heron, page }) => {
  await heron.open('lift', 'motor', '?desk=speed');
  await expect(page.getByTestId('as-it-is')).toContainText('At 9:1, as it is, it runs 0.994 m/s');
  await expect(page.getByTestId('variants').nth(1).getByRole('row').nth(2)).toBeVisible({ timeout: 30_000 });
  await heron.open('lift', 's2', '?desk=teeth&page=find');
  await expect(page.getByTestId('trains').getByRole('row').nth(1)).toBeVisible({ timeout: 30_000 });
});

test('a mechanism is duplicated under its name, changed apart, and undone', async ({ heron, page }) => {
  await heron.open('lift', 'load');
  await fromMenu(page, 'mechanism', 'Duplicate');
  const list = page.getByRole('navigation', { name: 'Mechanisms' });
  await expect(list.getByRole('link', { name: 'Mast lift again' })).toHaveAttribute('aria-current', 'page');
  await page.getByRole('navigation', { name: 'Power path' }).getByRole('button', { name: /Motor/ }).click();
  const free = page.getByRole('textbox', { name: 'free speed' });
  await free.fill('4000 rpm');
  await free.press('Enter');
  await heron.saved();
  const { parts, mechanisms } = (await heron.stored()).document;
  expect(mechanisms[2]!.name).toBe('Mast lift again');
  const drive = mechanisms[2]!.choices[0]!.drive;
  expect(drive.kind === 'dc' && drive.motor).not.toBe('motor-1');
  expect(parts['motor-1']!.part).toMatchObject({ data: { freeSpeed: { as: '5800 rpm' } } });
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(list.getByRole('link', { name: 'Mast lift again' })).toHaveCount(0);
});

test('a figure stays in the job it was typed into, though another has become the worst', async ({ heron, page }) => {
  await heron.open('lift', 'load');
  const mass = page.getByRole('textbox', { name: 'load', exact: true });
  await mass.fill('0.8 kg');
  // Let down it is the worse of the two now, and the field still is of the crate that is raised.
  await mass.press('Enter');
  await heron.saved();
  const [raise, lower] = (await heron.stored()).document.mechanisms[1]!.jobs;
  expect([raise, lower].map((job) => (job && 'mass' in job ? job.mass?.as : ''))).toEqual(['0.8 kg', '20 kg']);
});

test('from one robot to another by its menu, from each room', async ({ heron, page }) => {
  await heron.open('lift');
  for (const from of ['Mechanisms', 'Match', 'Bench', 'Wiring']) {
    await open(page, heron.server, `/robots/${heron.id}/lift`);
    await room(page, from).click();
    await fromMenu(page, 'robot', 'Limpet');
    await expect(page.getByRole('button', { name: 'Limpet: other robots' })).toBeVisible();
    await expect(room(page, 'Match')).toHaveAttribute('aria-current', 'page');
  }
});

test('a robot is renamed, duplicated and put into the bin under its name', async ({ heron, page }) => {
  await heron.open('lift');
  await fromMenu(page, 'robot', 'Rename');
  await page.getByRole('dialog').getByLabel('name').fill('Egret');
  await page.getByRole('dialog').getByRole('button', { name: 'Rename' }).click();
  await heron.saved();
  expect((await heron.stored()).document.name).toBe('Egret');
  await fromMenu(page, 'robot', 'Duplicate');
  await expect(page).not.toHaveURL(new RegExp(heron.id));
  await expect(page.getByRole('button', { name: /^Egret.*: other robots/ })).toBeVisible();
  await fromMenu(page, 'robot', 'Put into the bin');
  await expect(page.getByRole('heading', { name: 'Robots' })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Bin \(\d+\)/ })).toBeVisible();
});

/** What is seen at once at 1280 × 800: controls and words. They may only become fewer. */
const CALM = [
  { name: 'a mechanism', path: 'lift/motor', controls: 100, words: 590 },
  { name: 'the whole robot', path: '', controls: 70, words: 660 },
  { name: 'comparing', path: 'lift/motor?desk=compare', controls: 70, words: 540 },
] as const;

for (const { name, path, controls, words } of CALM)
  test(`${name} shows no more at once than it did`, async ({ page, server, robots }) => {
    await open(page, server, `/robots/${await robots.idOf('Heron')}/${path}`);
    await expect(page.getByTestId('next-room')).toBeAttached({ timeout: 30_000 });
    await page.waitForLoadState('networkidle');
    const seen = await page.evaluate(() => {
      const within = ({ width, height, top, bottom }: DOMRect) =>
        width > 0 && height > 0 && top < innerHeight && bottom > 0;
      const shown = (element: Element) =>
        element.checkVisibility({ visibilityProperty: true, opacityProperty: true }) &&
        within(element.getBoundingClientRect());
      const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
      let words = 0;
      for (let node = texts.nextNode(); node; node = texts.nextNode()) {
        const parent = node.parentElement!;
        const range = document.createRange();
        range.selectNodeContents(node);
        if (!parent.closest('.sr-only') && shown(parent) && within(range.getBoundingClientRect()))
          words += node.textContent!.split(/\s+/).filter((word) => word !== '').length;
      }
      const controls = [
        ...document.querySelectorAll('a[href], button, input, select, textarea, [tabindex="0"]'),
      ].filter(shown).length;
      return { controls, words };
    });
    console.log(`${name}: ${seen.controls} controls, ${seen.words} words in view`);
    expect(seen.words).toBeGreaterThan(50);
    expect(seen.controls).toBeLessThanOrEqual(controls);
    expect(seen.words).toBeLessThanOrEqual(words);
  });
