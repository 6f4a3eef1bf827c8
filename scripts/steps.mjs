// Runs commands, as many at a time as there are cores, and keeps how long each took.
import { spawn } from 'node:child_process';
import { availableParallelism } from 'node:os';
import { performance } from 'node:perf_hooks';
import { root } from './root.mjs';

/** The steps of a run: their names, seconds and whether they were well. */
export class Steps {
  taken = [];

  get failed() {
    return this.taken.filter(({ well }) => !well).map(({ name }) => name);
  }

  /** One command with its output as it comes; true where it was well. */
  async one(name, command, args) {
    console.log(`\n— ${name}`);
    return this.#timed(name, () => started(command, args, 'inherit'));
  }

  /** Several beside each other, each one's output whole once it has ended. */
  async together(...commands) {
    const waiting = [...commands];
    const next = async () => {
      for (let step = waiting.shift(); step; step = waiting.shift()) {
        const [name, command, args] = step;
        const said = [];
        await this.#timed(name, () => started(command, args, said));
        console.log(`\n— ${name}`);
        process.stdout.write(Buffer.concat(said));
      }
    };
    await Promise.all(Array.from({ length: availableParallelism() }, next));
  }

  async #timed(name, work) {
    const before = performance.now();
    const well = (await work()) === 0;
    this.taken.push({ name, seconds: (performance.now() - before) / 1000, well });
    return well;
  }

  /** Seconds of each step, in the order in which they ended. */
  report() {
    for (const { name, seconds, well } of this.taken)
      console.log(`${seconds.toFixed(1).padStart(7)} s  ${name}${well ? '' : ' — not well'}`);
  }
}

function started(command, args, output) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd: root,
      stdio: output === 'inherit' ? 'inherit' : ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, FORCE_COLOR: process.stdout.isTTY ? '1' : '0' },
    });
    if (output !== 'inherit') {
      child.stdout.on('data', (chunk) => output.push(chunk));
      child.stderr.on('data', (chunk) => output.push(chunk));
    }
    child.on('error', (problem) => {
      console.error(`${command} cannot be run: ${problem.message}`);
      resolve(1);
    });
    child.on('exit', (status) => resolve(status ?? 1));
  });
}

const bin = (name) => `node_modules/.bin/${name}`;

/** A workspace's types, checked anew only where something has changed: what is run, and the project it is about. */
const types = (project, checker = 'tsc') => [
  [
    `types of ${project}`,
    bin(checker),
    [
      '--noEmit',
      '-p',
      project,
      '--incremental',
      '--tsBuildInfoFile',
      `.cache/types/${project.replace(/\W/g, '-')}.json`,
    ],
  ],
  project,
];

/** The types of every workspace, the slowest in front. */
export const TYPES = [
  types('web/tsconfig.test.json', 'vue-tsc'),
  types('core/tsconfig.test.json'),
  types('core'),
  types('contract'),
  types('cli'),
  types('server'),
  types('e2e'),
  types('mutants'),
];

export const LINT = (...files) => [
  'lint',
  bin('eslint'),
  [...files, '--max-warnings', '0', '--no-warn-ignored', '--cache', '--cache-location', '.cache/eslint'],
];
export const FORMAT = (...files) => [
  'format',
  bin('prettier'),
  ['--check', ...files, '--ignore-unknown', '--log-level', 'warn', '--cache', '--cache-location', '.cache/prettier'],
];
export const IMPORTS = ['import rules', 'npm', ['run', '-s', 'imports']];
/** Exports, files and packages that nobody asks for. */
export const UNUSED = ['nothing unused', bin('knip'), ['--no-progress']];
