// What must be there before anything else runs. Plain Node, since nothing is installed yet.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './root.mjs';

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

/** What compiles the SQLite driver: what it is called, any command that is it, and Debian's package. */
const TOOLS = [
  ['a C++ compiler (g++)', ['c++', 'g++', 'clang++'], 'g++'],
  ['make', ['make', 'gmake'], 'make'],
  ['Python 3', ['python3', 'python'], 'python3'],
];
const missingTools = () => TOOLS.filter(([, commands]) => !commands.some(has));

/** Installs Debian packages; false where there is no apt, no right to use it, or it does not find them. */
export function aptInstall(...packages) {
  if (!has('apt-get')) return false;
  const [command, ...first] = process.getuid?.() === 0 ? ['apt-get'] : ['sudo', '-n', 'apt-get'];
  const apt = (...args) =>
    spawnSync(command, [...first, ...args], {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    }).status === 0;
  return apt('update', '-qq') && apt('install', '-y', '-qq', ...packages);
}

function needToolChain() {
  const missing = missingTools();
  if (missing.length === 0) return;
  const names = missing.map(([name]) => name).join(', ');
  const packages = missing.map(([, , name]) => name);
  console.log(`The SQLite driver is compiled on install and needs ${names}: installing with apt.`);
  if (!aptInstall(...packages) || missingTools().length > 0)
    stop(
      `The SQLite driver is compiled on install and needs ${names}: on Debian, apt-get install ${packages.join(' ')}.`,
    );
}

const stampOf = (name) => join(cache, name);
const readStamp = (name) => (existsSync(stampOf(name)) ? readFileSync(stampOf(name), 'utf8') : '');

function writeStamp(name, value) {
  mkdirSync(cache, { recursive: true });
  writeFileSync(stampOf(name), value);
}

/** Of names inside the project and what the files hold: the same wherever the project's folder stands. */
function hashOf(names) {
  const hash = createHash('sha256');
  for (const name of names)
    hash
      .update(name)
      .update('\0')
      .update(readFileSync(join(root, name)))
      .update('\0');
  return hash.digest('hex');
}

/** Folders of all packages that the lock file puts in place, the workspaces' own among them; optional ones may be elsewhere's. */
const lockedPackages = () =>
  Object.entries(JSON.parse(readFileSync(join(root, 'package-lock.json'), 'utf8')).packages)
    .filter(([name, { optional, devOptional, peer }]) => name !== '' && !optional && !devOptional && !peer)
    .map(([name]) => name);
const isThere = (name) => existsSync(join(root, name));

/** Installs the packages where the lock file says something else than what is installed. */
export function install() {
  const lock = `${hashOf(['package-lock.json'])} ${process.versions.modules}`;
  const driver = join(root, 'node_modules/better-sqlite3/build/Release/better_sqlite3.node');
  if (readStamp('installed') === lock && existsSync(driver) && lockedPackages().every(isThere)) return;
  needToolChain();
  console.log('Installing the packages. The SQLite driver is compiled: this takes about three minutes, once.');
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  writeStamp('installed', lock);
}

/** Every file below a folder of the project, by its name inside the project. */
function sources(folder) {
  return readdirSync(join(root, folder), { withFileTypes: true }).flatMap((entry) => {
    const name = `${folder}/${entry.name}`;
    return entry.isDirectory() ? sources(name) : entry.isFile() ? [name] : [];
  });
}

const SHARED = ['core/src', 'contract/src'];

/** What is built, from what, and how. */
const BUILDS = [
  {
    name: 'web',
    says: 'Building the web application.',
    made: 'web/dist/index.html',
    folders: [...SHARED, 'web/src', 'web/public'],
    files: ['web/vite.config.ts', 'web/index.html', 'docs/models.md', 'package-lock.json'],
    make: () => run('npx', ['vite', 'build', '--logLevel', 'warn'], { cwd: join(root, 'web') }),
  },
  {
    name: 'server',
    says: 'Building the server.',
    made: 'server/dist/main.mjs',
    folders: [...SHARED, 'server/src'],
    files: ['scripts/bundle.mjs', 'package-lock.json'],
    make: async () => (await import('./bundle.mjs')).bundleServer(),
  },
  {
    name: 'cli',
    says: 'Building the commands.',
    made: 'cli/dist/evaluate.mjs',
    folders: [...SHARED, 'cli/src'],
    files: ['scripts/bundle.mjs', 'package-lock.json'],
    make: async () => (await import('./bundle.mjs')).bundleCli(),
  },
];

/** Builds what has changed since it was built last; all there is where no names are given. */
export async function build(...names) {
  for (const { name, says, made, folders, files, make } of BUILDS) {
    if (names.length > 0 && !names.includes(name)) continue;
    const now = hashOf([...folders.flatMap(sources), ...files].sort());
    if (readStamp(`built-${name}`) === now && existsSync(join(root, made))) continue;
    // Standard output belongs to what is run.
    process.stderr.write(`${says}\n`);
    await make();
    writeStamp(`built-${name}`, now);
  }
}
