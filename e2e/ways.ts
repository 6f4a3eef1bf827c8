import type { Locator, Page } from '@playwright/test';

/** A desk of the open mechanism, in the bar under its power path. */
export const desk = (page: Page, name: string): Locator =>
  page.getByRole('navigation', { name: 'Desks' }).getByRole('link', { name, exact: true });

/** A room of the open robot, in the bar of all its pages. */
export const room = (page: Page, name: string): Locator =>
  page.getByRole('navigation', { name: 'Rooms' }).getByRole('link', { name, exact: true });

/** Does something out of the menu under a name: of the open robot, or of the open mechanism. */
export async function fromMenu(page: Page, of: 'robot' | 'mechanism', entry: string): Promise<void> {
  const label = of === 'robot' ? /: other robots, book, revisions/ : /: rename, duplicate, remove/;
  await page.getByRole('button', { name: label }).click();
  // Of robots that are called alike the one that was saved last.
  await page.getByRole('menuitem', { name: entry, exact: true }).first().click();
}

/** To the list of robots. */
export const toRobots = (page: Page): Promise<void> => page.getByRole('link', { name: 'Rough Gear' }).click();
