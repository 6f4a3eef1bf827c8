import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { unitmath: new URL('node_modules/unitmath/src/Unit.js', import.meta.url).pathname } },
  test: {
    include: ['{core,contract,cli,server,web}/test/**/*.{test,property}.ts'],
    // A guard against what never ends, not a wish for speed: a slow machine takes its time.
    testTimeout: 240_000,
    pool: 'forks',
    // Its entry for Node needs a loader of its own; its modules are plain.
    server: { deps: { inline: ['unitmath'] } },
    coverage: { include: ['core/src/**', 'contract/src/**', 'server/src/**', 'cli/src/**'] },
  },
});
