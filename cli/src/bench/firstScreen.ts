import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';

export interface FirstScreen {
  readonly robotsUsableMs: number;
  readonly mechanismUsableMs: number;
  readonly robotsBytes: number;
  readonly mechanismBytes: number;
  /** With what is fetched once the screen stands: the chart's library, the worker. */
  readonly mechanismInAllBytes: number;
}

/** Starts the built application and times its first screens in a fresh browser, best of three. */
export async function firstScreen(): Promise<FirstScreen> {
  const folder = mkdtempSync(join(tmpdir(), 'rough-gear-bench-'));
  const server = spawn(process.execPath, ['server/dist/main.mjs'], {
    env: { ...process.env, PORT: '0', ROUGH_GEAR_DATA: folder, ROUGH_GEAR_LOG: 'silent' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const url = await new Promise<string>((resolve) => {
    server.stdout.on('data', (chunk: Buffer) => resolve(/http:\S+/.exec(chunk.toString())?.[0] ?? ''));
  });
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  try {
    const robots = await best(browser, `${url}/robots`, 'h2');
    const { plans } = (await (await fetch(`${url}/api/plans`)).json()) as { plans: { id: string }[] };
    const mechanism = await best(browser, `${url}/robots/${plans[0]?.id}/lift`, '[data-testid="gauge"] button');
    return {
      robotsUsableMs: robots.ms,
      mechanismUsableMs: mechanism.ms,
      robotsBytes: robots.bytes,
      mechanismBytes: mechanism.bytes,
      mechanismInAllBytes: mechanism.inAll,
    };
  } finally {
    await browser.close();
    server.kill();
    rmSync(folder, { recursive: true, force: true });
  }
}

/**
 * When a screen is usable is marked in the page itself, and what had arrived by then is counted there: a driver on a busy
 * machine sees it late, when what comes after the screen is already on its way.
 */
async function best(
  browser: Awaited<ReturnType<typeof chromium.launch>>,
  url: string,
  usable: string,
): Promise<{ ms: number; bytes: number; inAll: number }> {
  const tries = [];
  for (let i = 0; i < 3; i++) {
    const page = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
    await page.addInitScript((selector) => {
      const look = () => {
        if (document.querySelector(selector)) performance.mark('usable');
        else requestAnimationFrame(look);
      };
      requestAnimationFrame(look);
    }, usable);
    await page.goto(url, { waitUntil: 'commit' });
    await page.waitForSelector(usable);
    await page.waitForLoadState('networkidle');
    const found = await page.evaluate(() => {
      const ms = performance.getEntriesByName('usable')[0]?.startTime ?? Infinity;
      const all = performance.getEntriesByType('resource') as PerformanceResourceTiming[];
      const bytes = (entries: PerformanceResourceTiming[]) =>
        entries.reduce((sum, { transferSize }) => sum + transferSize, 0);
      return { ms, bytes: bytes(all.filter(({ responseEnd }) => responseEnd <= ms)), inAll: bytes(all) };
    });
    tries.push({ ...found, ms: Math.round(found.ms) });
    await page.context().close();
  }
  return tries.reduce((a, b) => (a.ms <= b.ms ? a : b));
}
