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
    };
  } finally {
    await browser.close();
    server.kill();
    rmSync(folder, { recursive: true, force: true });
  }
}

async function best(
  browser: Awaited<ReturnType<typeof chromium.launch>>,
  url: string,
  usable: string,
): Promise<{ ms: number; bytes: number }> {
  const tries = [];
  for (let i = 0; i < 3; i++) {
    const page = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
    const started = performance.now();
    await page.goto(url, { waitUntil: 'commit' });
    await page.waitForSelector(usable);
    const ms = Math.round(performance.now() - started);
    const bytes = await page.evaluate(() =>
      performance
        .getEntriesByType('resource')
        .reduce((sum, entry) => sum + (entry as PerformanceResourceTiming).transferSize, 0),
    );
    tries.push({ ms, bytes });
    await page.context().close();
  }
  return tries.reduce((a, b) => (a.ms <= b.ms ? a : b));
}
