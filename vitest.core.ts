import { fileURLToPath } from 'node:url';
import { build, type Plugin as BuildPlugin } from 'esbuild';
import type { Plugin } from 'vite';

const inside = (path: string): string => fileURLToPath(new URL(path, import.meta.url));

export const CORE_FILE = inside('.cache/core.mjs');

/**
 * Core as one file, as the program has it: read at once and run at its own speed, where a thousand modules through the
 * test runner take seconds to read and half as long again to run.
 *
 * @param file where it is written: below `.cache`, which the runner leaves alone
 */
export async function coreInOneFile(file: string, plugins: BuildPlugin[] = []): Promise<Plugin> {
  const entry = inside('core/src/index.ts');
  await build({
    entryPoints: [entry],
    outfile: file,
    bundle: true,
    platform: 'node',
    format: 'esm',
    external: ['highs'],
    sourcemap: 'inline',
    plugins,
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
