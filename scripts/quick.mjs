// npm run quick: what tells within a minute whether a change is well. Everything else is npm test's.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './prepare.mjs';
import { FORMAT, IMPORTS, LINT, Steps, TYPES } from './steps.mjs';

const changed = changedFiles();
const steps = new Steps();
const types = TYPES.filter(
  ([, project]) => !changed || changed.some((file) => file.startsWith(`${project.split('/')[0]}/`)),
);
// The tests' types hold the sources' as well.
const once = types.filter(([, project]) => !types.some(([, other]) => other.startsWith(`${project}/`)));
await steps.together(...once.map(([step]) => step), ...rules(), IMPORTS);
await steps.one('fast tests', 'node_modules/.bin/vitest', ['run', '--project', 'fast', '--reporter=dot']);
console.log();
steps.report();
const left = TYPES.filter((one) => !types.includes(one)).map(([, project]) => project.split('/')[0]);
if (left.length > 0)
  console.log(`\nNot looked at, since nothing changed there: types of ${[...new Set(left)].join(', ')}.`);
process.exit(steps.failed.length > 0 ? 1 : 0);

/** Files that differ from the last commit; `undefined` where there is no telling. */
function changedFiles() {
  const git = spawnSync('git', ['status', '--porcelain', '--untracked-files=all', '-z'], {
    cwd: root,
    encoding: 'utf8',
  });
  if (git.status !== 0) return undefined;
  return git.stdout
    .split('\0')
    .map((line) => line.slice(3))
    .filter((file) => file !== '' && existsSync(join(root, file)));
}

/** Lint and format of what changed. */
function rules() {
  if (!changed) return [LINT('.'), FORMAT('.')];
  const code = changed.filter((file) => /\.(ts|mts|mjs|vue)$/.test(file));
  return [...(code.length > 0 ? [LINT(...code)] : []), ...(changed.length > 0 ? [FORMAT(...changed)] : [])];
}
