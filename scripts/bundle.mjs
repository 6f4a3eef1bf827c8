// What is run is built: server and shell commands as one file each, beside packages that stay what they are.
import { builtinModules } from 'node:module';
import { build } from 'esbuild';
import { root } from './root.mjs';

const COMMON = {
  absWorkingDir: root,
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  sourcemap: true,
  logLevel: 'warning',
  // Packages that ask with `require` find it here.
  banner: {
    js: "import { createRequire as rgRequire } from 'node:module'; const require = rgRequire(import.meta.url);",
  },
};

/** Compiled for this machine, or read from their own folder at run time. */
const APART = [
  '@playwright/test',
  'better-sqlite3',
  'highs',
  'pino',
  'pino-http',
  'typeorm',
  'express',
  ...builtinModules,
];

export async function bundleServer() {
  await build({
    ...COMMON,
    entryPoints: [
      'main',
      'judging/judgeWorker',
      'reading/readingWorker',
      'reading/archiveWorker',
      'trials/foundWorker',
      'bin/backup',
      'bin/restore',
      'bin/passphrase',
    ].map((name) => ({
      in: `server/src/${name}.ts`,
      out: name.split('/').at(-1),
    })),
    outdir: 'server/dist',
    outExtension: { '.js': '.mjs' },
    external: APART,
  });
}

export async function bundleCli() {
  await build({
    ...COMMON,
    entryPoints: ['evaluate', 'cases', 'sheet', 'schema', 'bench', 'rig', 'order', 'cards'].map(
      (name) => `cli/src/bin/${name}.ts`,
    ),
    outdir: 'cli/dist',
    outExtension: { '.js': '.mjs' },
    external: APART,
  });
}
