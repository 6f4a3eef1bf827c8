import type { PlanPage, StoredPlan } from '@rough-gear/contract/api';
import { test as base, type BrowserContext, type ConsoleMessage, type Page } from '@playwright/test';
import { go } from './go.js';
import { DEMO_IDS, TestServer } from './server.js';

interface Options {
  /** Whether a test has a server of its own: where it writes to what all robots share (shelf, bench book, diaries, the list). */
  ownServer: boolean;
  /** Whether it has a browser's storage and pages of its own: where what is kept for when the server is away is looked at. */
  ownBrowser: boolean;
}

interface Fixtures {
  server: TestServer;
  robots: Robots;
  heron: Heron;
}

interface WorkerFixtures {
  sharedServer: TestServer;
  /** The demo robots' documents as the shared server began with them, by name. */
  demo: ReadonlyMap<string, StoredPlan>;
  sharedContext: BrowserContext;
  sharedPage: Page;
}

/** The demo robot as a test reaches it: by page and by the server's own answer. */
export class Heron {
  constructor(
    readonly server: TestServer,
    readonly page: Page,
    readonly id: string,
  ) {}

  async open(mechanism: string, link = 'motor', query = ''): Promise<void> {
    await open(this.page, this.server, `/robots/${this.id}/${mechanism}/${link}${query}`);
    await this.page.locator('#gauge').getByTestId('gauge').waitFor();
  }

  /** Until the chart, the worker and the whole robot have come too: they follow the first answer. */
  async allThere(): Promise<void> {
    await this.page.waitForLoadState('networkidle');
  }

  /** What the server holds. */
  async stored(): Promise<StoredPlan> {
    return storedPlan(this.server, this.id);
  }

  rung(id: string) {
    return this.page.locator(`[data-rung="${id}"]`);
  }

  async saved(): Promise<void> {
    await base.expect(this.page.getByTestId('save-state')).toHaveText('saved');
  }
}

const storedPlan = async (server: TestServer, id: string): Promise<StoredPlan> =>
  (await (await fetch(`${server.url}/api/plans/${id}`)).json()) as StoredPlan;

/** Ids of the demo robots, the same on every server that began with the seed. */
const demoIds = (): Readonly<Record<string, string>> => JSON.parse(process.env[DEMO_IDS]!) as Record<string, string>;

export async function planIdOf(server: TestServer, name: string): Promise<string> {
  const { plans } = (await (await fetch(`${server.url}/api/plans`)).json()) as PlanPage;
  return plans.find((plan) => plan.name === name)!.id;
}

/** The demo robots as a test may change them: each is a copy of its own where the server is shared. */
export class Robots {
  private readonly made = new Map<string, string>();

  constructor(
    private readonly server: TestServer,
    private readonly demo: ReadonlyMap<string, StoredPlan>,
    private readonly shared: boolean,
  ) {}

  async idOf(name: 'Heron' | 'Limpet'): Promise<string> {
    const { id, document } = this.demo.get(name)!;
    if (!this.shared) return id;
    const known = this.made.get(name);
    if (known !== undefined) return known;
    const copy = await this.ask('POST', '', { document });
    const { id: made } = (await copy.json()) as StoredPlan;
    this.made.set(name, made);
    return made;
  }

  async dispose(): Promise<void> {
    for (const id of this.made.values()) await this.ask('DELETE', `/${id}`);
  }

  private ask(method: string, path: string, body?: unknown): Promise<Response> {
    return fetch(`${this.server.url}/api/plans${path}`, {
      method,
      headers: { 'content-type': 'application/json', origin: this.server.url },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
  }
}

/** Where the page of a test that is over waits for the next one: it belongs to no robot. */
const WAITING = '/data';
const waits = (page: Page, server: TestServer): boolean => page.url() === server.url + WAITING;

/**
 * Opens an address. A page that waits with the program loaded goes there by its router, as a click on a link does, since
 * loading takes most of a short test's time; whatever a test opens after that is loaded, as from a bookmark.
 */
export const open = async (page: Page, server: TestServer, path: string): Promise<void> => {
  await (waits(page, server) ? go(page, path) : page.goto(server.url + path));
};

/** What a test before left in the browser goes; what it loaded stays. */
async function asNew(page: Page, server: TestServer): Promise<void> {
  await page.context().clearCookies();
  if (!waits(page, server)) await page.goto(`${server.url}/icon.svg`);
  await page.evaluate(() => {
    localStorage.clear();
    sessionStorage.clear();
    // As when another window clears it: what was chosen there is as it was at first.
    dispatchEvent(new StorageEvent('storage', { key: null, storageArea: localStorage }));
  });
}

/** Nothing of a test is left in a page that the next one has; one that failed or says something still is loaded anew. */
async function laidAside(page: Page, server: TestServer, passed: boolean): Promise<void> {
  await page.unrouteAll({ behavior: 'ignoreErrors' });
  await page.emulateMedia({ media: null, colorScheme: null, reducedMotion: null });
  const clean = passed && page.url().startsWith(server.url) && (await isAtRest(page));
  await (clean ? go(page, WAITING) : page.goto('about:blank'));
}

/** Whether the program is there, and no message that outlives a view stands in it. */
const isAtRest = (page: Page): Promise<boolean> =>
  page.evaluate(() => {
    const app = document.querySelector('#app');
    return app !== null && '__vue_app__' in app && document.querySelector('[data-sonner-toast]') === null;
  });

export const test = base.extend<Options & Fixtures, WorkerFixtures>({
  ownServer: [false, { option: true }],
  ownBrowser: [false, { option: true }],
  sharedServer: [
    // eslint-disable-next-line no-empty-pattern -- Playwright reads the fixtures it needs from this pattern.
    async ({}, use) => {
      const server = new TestServer();
      await server.start();
      await use(server);
      await server.dispose();
    },
    { scope: 'worker' },
  ],
  demo: [
    async ({ sharedServer }, use) => {
      const found = Object.entries(demoIds()).map(
        async ([name, id]) => [name, await storedPlan(sharedServer, id)] as const,
      );
      await use(new Map(await Promise.all(found)));
    },
    { scope: 'worker' },
  ],
  sharedContext: [
    async ({ browser }, use) => {
      const context = await browser.newContext({ serviceWorkers: 'block' });
      await use(context);
      await context.close();
    },
    { scope: 'worker' },
  ],
  // A window takes as long to open as a page to load: one is enough, as long as nothing of a test is left in it.
  sharedPage: [async ({ sharedContext }, use) => use(await sharedContext.newPage()), { scope: 'worker' }],
  server: async ({ ownServer, sharedServer }, use) => {
    if (!ownServer) return use(sharedServer);
    const server = new TestServer();
    await server.start();
    await use(server);
    await server.dispose();
  },
  context: async ({ ownBrowser, sharedContext, browser, viewport }, use) => {
    if (!ownBrowser) return use(sharedContext);
    const context = await browser.newContext({ viewport });
    await use(context);
    await context.close();
  },
  // Whatever the page throws, or the content policy refuses, fails the test that did it. The server outlives the page: what a
  // page still fetches when its test ends is no fault.
  // A robot of the test goes after the page that shows it.
  page: async ({ context, server, ownServer, ownBrowser, sharedPage, viewport, robots: _ }, use, info) => {
    const page = ownBrowser ? await context.newPage() : sharedPage;
    if (viewport) await page.setViewportSize(viewport);
    if (!ownBrowser) await asNew(page, server);
    const thrown: string[] = [];
    const onError = (error: Error) => void thrown.push(error.message);
    const onConsole = (message: ConsoleMessage) => {
      if (message.type() === 'error' && !message.text().includes('Failed to load resource'))
        thrown.push(message.text());
    };
    page.on('pageerror', onError).on('console', onConsole);
    await use(page);
    page.off('pageerror', onError).off('console', onConsole);
    await (ownBrowser ? page.close() : laidAside(page, server, !ownServer && info.status === info.expectedStatus));
    expect(thrown).toEqual([]);
  },
  robots: async ({ server, demo, ownServer }, use) => {
    const robots = new Robots(server, demo, !ownServer);
    await use(robots);
    await robots.dispose();
  },
  heron: async ({ server, page, robots }, use) => {
    await use(new Heron(server, page, await robots.idOf('Heron')));
  },
});

export const { expect } = test;
