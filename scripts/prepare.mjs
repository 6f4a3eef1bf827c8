// What must be there before anything else runs. Plain Node, since nothing is installed yet.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));
const cache = join(root, '.cache');
const OLDEST_NODE = 20;

/** Says one clear line and stops. */
export function stop(line) {
  process.stderr.write(`${line}\n`);
  process.exit(2);
}

/** Runs a command with its output shown; stops with its exit status where that is not 0. */
export function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (error) stop(`${command} cannot be run: ${error.message}`);
  if (status !== 0) process.exit(status ?? 1);
}

export function checkNode() {
  const [major] = process.versions.node.split('.').map(Number);
  if (major < OLDEST_NODE) stop(`Rough Gear needs Node ${OLDEST_NODE} or newer; this is ${process.versions.node}.`);
}

const has = (command) => spawnSync(command, ['--version'], { stdio: 'ignore' }).status === 0;

function checkToolChain() {
  const missing = [
    ['a C++ compiler (g++)', ['c++', 'g++', 'clang++']],
    ['make', ['make', 'gmake']],
    ['Python 3', ['python3', 'python']],
  ].filter(([, names]) => !names.some(has));
  if (missing.length > 0)
    stop(
      `The SQLite driver is compiled on install and needs ${missing.map(([name]) => name).join(', ')}: on Debian, apt-get install g++ make python3.`,
    );
}

const stampOf = (name) => join(cache, name);
const readStamp = (name) => (existsSync(stampOf(name)) ? readFileSync(stampOf(name), 'utf8') : '');

function writeStamp(name, value) {
  mkdirSync(cache, { recursive: true });
  writeFileSync(stampOf(name), value);
}

const hashOf = (files) => {
  const hash = createHash('sha256');
  for (const file of files) hash.update(file).update(readFileSync(file));
  return hash.digest('hex');
};

/** Installs the packages where the lock file says something else than what is installed. */
export function install() {
  const lock = hashOf([join(root, 'package-lock.json')]) + process.versions.modules;
  const driver = join(root, 'node_modules/better-sqlite3/build/Release/better_sqlite3.node');
  if (readStamp('installed') === lock && existsSync(driver)) return;
  checkToolChain();
  console.log('Installing the packages. The SQLite driver is compiled: this takes about three minutes, once.');
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  writeStamp('installed', lock);
}

function sources(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return ['node_modules', 'dist'].includes(entry.name) ? [] : sources(path);
    return statSync(path).isFile() ? [path] : [];
  });
}

/** Builds the web application where a source has changed since. */
export function build() {
  const files = ['core/src', 'contract/src', 'web/src', 'web/public'].flatMap((folder) => sources(join(root, folder)));
  const now = hashOf(
    [
      ...files,
      join(root, 'web/vite.config.ts'),
      join(root, 'web/index.html'),
      join(root, 'docs/models.md'),
      join(root, 'package-lock.json'),
    ].sort(),
  );
  if (readStamp('built') === now && existsSync(join(root, 'web/dist/index.html'))) return;
  console.log('Building the web application.');
  run('npx', ['vite', 'build', '--logLevel', 'warn'], { cwd: join(root, 'web') });
  writeStamp('built', now);
}
