import fc from 'fast-check';
import { vi } from 'vitest';

// A counterexample of real numbers is made smaller in tens of minutes: the seed and path that are printed do that by hand.
fc.configureGlobal({ endOnFailure: true });

// Modules are read once for all test files, so that whoever keeps something in the browser keeps it in the same place.
vi.mock('idb-keyval', async () => (await import('./web/test/browser.js')).keptInMemory());
vi.mock('./web/src/keeping/windows.js', async () => (await import('./web/test/browser.js')).windowsInMemory());
