import type { PlanPage, StoredPlan } from '@rough-gear/contract/api';
import { test as base, type Page } from '@playwright/test';
import { TestServer } from './server.js';

interface Fixtures {
  server: TestServer;
  heron: Heron;
}

/** The demo robot as a test reaches it: by page and by the server's own answer. */
export class Heron {
  constructor(
    readonly server: TestServer,
    readonly page: Page,
    readonly id: string,
  ) {}

  async open(mechanism: string, link = 'motor', query = ''): Promise<void> {
    await this.page.goto(`${this.server.url}/robots/${this.id}/${mechanism}/${link}${query}`);
    await this.page.locator('#gauge').getByTestId('gauge').waitFor();
  }

  /** Until the chart, the worker and the whole robot have come too: they follow the first answer. */
  async allThere(): Promise<void> {
    await this.page.waitForLoadState('networkidle');
  }

  /** What the server holds. */
  async stored(): Promise<StoredPlan> {
    return (await (await fetch(`${this.server.url}/api/plans/${this.id}`)).json()) as StoredPlan;
  }

  rung(id: string) {
    return this.page.locator(`[data-rung="${id}"]`);
  }

  async saved(): Promise<void> {
    await base.expect(this.page.getByTestId('save-state')).toHaveText('saved');
  }
}

export async function planIdOf(server: TestServer, name: string): Promise<string> {
  const { plans } = (await (await fetch(`${server.url}/api/plans`)).json()) as PlanPage;
  return plans.find((plan) => plan.name === name)!.id;
}

export const test = base.extend<Fixtures>({
  // eslint-disable-next-line no-empty-pattern -- Playwright reads the fixtures it needs from this pattern.
  server: async ({}, use) => {
    const server = new TestServer();
    await server.start();
    await use(server);
    await server.dispose();
  },
  // Whatever the page throws, or the content policy refuses, fails the test that did it. The server outlives the page: what a
  // page still fetches when its test ends is no fault.
  page: async ({ page, server }, use) => {
    void server;
    const thrown: string[] = [];
    page.on('pageerror', (error) => thrown.push(error.message));
    page.on('console', (message) => {
      if (message.type() === 'error' && !message.text().includes('Failed to load resource'))
        thrown.push(message.text());
    });
    await use(page);
    expect(thrown).toEqual([]);
  },
  heron: async ({ server, page }, use) => {
    await use(new Heron(server, page, await planIdOf(server, 'Heron')));
  },
});

export const { expect } = test;
