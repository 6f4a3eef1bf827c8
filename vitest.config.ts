import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['{core,contract,cli,server,web}/test/**/*.{test,property}.ts'],
    testTimeout: 30_000,
    pool: 'forks',
    coverage: { include: ['core/src/**', 'contract/src/**', 'server/src/**', 'cli/src/**'] },
  },
});
