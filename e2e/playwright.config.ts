import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: './tests',
  outputDir: '../test-results',
  globalSetup: './seed.ts',
  workers: 2,
  fullyParallel: true,
  // A busy machine is slow: time is the bench's matter, never a test's.
  timeout: 90_000,
  // Unattended, a test that passes only the second time counts as flaky and is named in the list.
  retries: process.env['CI'] ? 1 : 0,
  expect: { timeout: 10_000 },
  reporter: [['list'], ['json', { outputFile: '../reports/e2e.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    // A trace of every test would take a third of its time: it is taken of one that is tried again.
    trace: 'on-first-retry',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--no-first-run',
        // The test tool's own list, and before it what draws a window's buttons by a page of their own, one a window.
        '--disable-features=InitialWebUI,WebUIReloadButton,AvoidUnnecessaryBeforeUnloadCheckSync,DestroyProfileOnBrowserClose,HttpsUpgrades,HttpsFirstBalancedModeAutoEnable,LensOverlay,MediaRouter,PaintHolding,ThirdPartyStoragePartitioning,AvoidCorsURLLoaderRestartOnRedirect,OptimizationHints,NetworkTimeServiceQuerying,PreconnectToSearch,CDPScreenshotNewSurface,SkipListAccountsWithoutGaiaCookies',
      ],
    },
  },
});
