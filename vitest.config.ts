import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const unitmath = fileURLToPath(new URL('node_modules/unitmath/src/Unit.js', import.meta.url));

/** What takes long: servers that are started, killed and guessed at, searches held against trying everything, thousands of samples. */
const SLOW = [
  'server/test/attack.test.ts',
  'server/test/threads.test.ts',
  'server/test/fullDisk.test.ts',
  'server/test/tinyDisk.test.ts',
  'server/test/start.test.ts',
  'server/test/unreadable.test.ts',
  'server/test/access.test.ts',
  'server/test/settings.test.ts',
  'server/test/backups.test.ts',
  'contract/test/machinesTried.property.ts',
  'web/test/planModel.property.ts',
  'core/test/shortlist.test.ts',
  'core/test/shortlist.property.ts',
  'core/test/extremes.property.ts',
  'contract/test/jsonSchema.test.ts',
  'core/test/missing.test.ts',
  'core/test/worked.test.ts',
  'core/test/trains.test.ts',
  'core/test/traced.test.ts',
  'core/test/robotChoice.test.ts',
  'core/test/reduction.property.ts',
  'cli/test/shell.test.ts',
  'cli/test/rig.test.ts',
];

const common = {
  // A guard against what never ends, not a wish for speed: a slow machine takes its time.
  testTimeout: 240_000,
  pool: 'forks' as const,
  maxWorkers: availableParallelism(),
  setupFiles: ['vitest.setup.ts'],
  // Its entry for Node needs a loader of its own; its modules are plain.
  server: { deps: { inline: ['unitmath'] } },
};
const resolve = { alias: { unitmath } };

/** `fast` is what `npm run quick` runs; all of them are `npm test`'s. */
export default defineConfig({
  test: {
    coverage: { include: ['core/src/**', 'contract/src/**', 'server/src/**', 'cli/src/**'] },
    projects: [
      {
        resolve,
        // Pure functions: files may share what they have loaded.
        test: {
          ...common,
          name: 'fast',
          isolate: false,
          include: ['{core,contract,cli,web,server}/test/**/*.{test,property}.ts'],
          exclude: SLOW,
        },
      },
      { resolve, test: { ...common, name: 'slow', include: SLOW, sequence: { groupOrder: 0 } } },
    ],
  },
});
