import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Plugin as BuildPlugin } from 'esbuild';
import type { Plugin } from 'vite';
import { defineConfig } from 'vitest/config';
import { coreInOneFile } from '../vitest.core.js';
import { MUTANTS } from './index.js';
import type { Mutant } from './mutant.js';

const root = fileURLToPath(new URL('..', import.meta.url));
const number = Number(process.env['MUTANT']);
/** None where the tests are run as they are, first. */
const mutant = MUTANTS[number];
const file = mutant && join(root, mutant.file);
const changed = ({ is, becomes }: Mutant): string => readFileSync(file!, 'utf8').replace(is, () => becomes);

const inCore: BuildPlugin = {
  name: 'mutant',
  setup({ onLoad }) {
    onLoad({ filter: /\.ts$/ }, ({ path }) =>
      mutant && path === file ? { contents: changed(mutant), loader: 'ts' } : undefined,
    );
  },
};
const elsewhere: Plugin = {
  name: 'mutant',
  enforce: 'pre',
  load: (id) => (mutant && id === file ? changed(mutant) : undefined),
};

/** The tests of one mutant, which is set in as files are read: none is written. */
export default defineConfig({
  root,
  plugins: [elsewhere, await coreInOneFile(join(root, `.cache/core-mutants/${number}.mjs`), [inCore])],
  test: {
    include: mutant ? [...mutant.tests] : [...new Set(MUTANTS.flatMap(({ tests }) => tests))],
    setupFiles: ['vitest.setup.ts'],
    testTimeout: 120_000,
    bail: 1,
    pool: 'forks',
    maxWorkers: 1,
    isolate: false,
    server: { deps: { external: [/\.cache\/core/] } },
  },
});
