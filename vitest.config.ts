import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { build } from 'esbuild';
import { type Plugin } from 'vite';
import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

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

/**
 * Core as one file, as the program has it: read at once and run at its own speed, where a thousand modules through the
 * test runner take seconds to read and half as long again to run. What was changed (`quick`) and what is covered is told
 * by modules, so there they stay.
 */
async function coreInOneFile(): Promise<Plugin> {
  const entry = fileURLToPath(new URL('core/src/index.ts', import.meta.url));
  const file = fileURLToPath(new URL('.cache/core.mjs', import.meta.url));
  await build({
    entryPoints: [entry],
    outfile: file,
    bundle: true,
    platform: 'node',
    format: 'esm',
    external: ['highs'],
    sourcemap: 'inline',
  });
  return {
    name: 'core-in-one-file',
    enforce: 'pre',
    async resolveId(source, importer) {
      const found = await this.resolve(source, importer, { skipSelf: true });
      return found?.id === entry ? file : undefined;
    },
  };
}
const byModule = quick || process.argv.includes('--coverage');

export default defineConfig({
  plugins: byModule ? [] : [await coreInOneFile()],
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
