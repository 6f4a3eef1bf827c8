import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';
import { CORE_FILE, coreInOneFile } from './vitest.core.js';

/**
 * What takes long, the longest first: servers that are started, killed and guessed at, searches held against trying
 * everything, thousands of samples.
 */
const SLOW = [
  'server/test/attack.test.ts',
  'core/test/shortlist.test.ts',
  'web/test/planModel.property.ts',
  'core/test/traced.test.ts',
  'server/test/access.test.ts',
  'server/test/backups.test.ts',
  'core/test/robotChoice.test.ts',
  'cli/test/cli.test.ts',
  'cli/test/rig.test.ts',
  'cli/test/shell.test.ts',
  'server/test/settings.test.ts',
  'core/test/extremes.property.ts',
  'core/test/missing.test.ts',
  'server/test/unreadable.test.ts',
  'core/test/robotMends.test.ts',
  'core/test/shortlist.property.ts',
  'contract/test/machinesTried.property.ts',
  'contract/test/jsonSchema.test.ts',
  'core/test/match.test.ts',
  'server/test/fullDisk.test.ts',
  'server/test/tinyDisk.test.ts',
  'core/test/worked.test.ts',
  'server/test/threads.test.ts',
  'server/test/start.test.ts',
  'core/test/trains.test.ts',
  'core/test/reduction.property.ts',
];

/** Those that take longest begin, so that all workers end together. */
class LongestFirst extends BaseSequencer {
  override sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const place = ({ moduleId }: TestSpecification) => {
      const at = SLOW.findIndex((name) => moduleId.endsWith(name));
      return at < 0 ? SLOW.length : at;
    };
    return Promise.resolve([...files].sort((a, b) => place(a) - place(b)));
  }
}

/** `npm run quick` leaves out what takes long; `npm test` runs all. */
const quick = process.env['QUICK'] !== undefined;

/** What was changed and what is covered is told by modules, so there core stays as it is. */
const byModule = quick || process.argv.includes('--coverage');

export default defineConfig({
  plugins: byModule ? [] : [await coreInOneFile(CORE_FILE)],
  test: {
    include: ['{core,contract,cli,web,server}/test/**/*.{test,property}.ts'],
    exclude: quick ? SLOW : [],
    setupFiles: ['vitest.setup.ts'],
    // A guard against what never ends, not a wish for speed: a slow machine takes its time.
    testTimeout: 240_000,
    pool: 'forks',
    maxWorkers: availableParallelism(),
    // Files share what they have loaded: reading all of core takes longer than most of them.
    isolate: false,
    sequence: { sequencer: LongestFirst },
    server: { deps: { external: [/\.cache\/core/] } },
    coverage: { include: ['core/src/**', 'contract/src/**', 'server/src/**', 'cli/src/**'] },
  },
});
