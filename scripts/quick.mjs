// npm run quick: what tells within a minute whether a change is well. Everything else is npm test's.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './root.mjs';
import { FORMAT, IMPORTS, LINT, Steps, TYPES } from './steps.mjs';

const changed = changedFiles();
const steps = new Steps();
/** What imports a workspace, straight or by way of another: a change in one may break the types of all these. */
const USED_BY = {
  core: ['contract', 'cli', 'server', 'web', 'e2e'],
  contract: ['cli', 'server', 'web', 'e2e'],
  web: ['e2e'],
};
const workspaceOf = (path) => path.split('/')[0];
const touched = new Set((changed ?? []).map(workspaceOf).flatMap((one) => [one, ...(USED_BY[one] ?? [])]));
const types = TYPES.filter(([, project]) => !changed || touched.has(workspaceOf(project)));
// The tests' types hold the sources' as well.
const once = types.filter(([, project]) => !types.some(([, other]) => other.startsWith(`${project}/`)));
await steps.together(...once.map(([step]) => step), ...rules(), IMPORTS);
// Those that reach what changed since the last commit; all of them where there is no telling.
process.env.QUICK = '1';
await steps.one('fast tests', 'node_modules/.bin/vitest', [
  'run',
  '--reporter=dot',
  ...(changed ? ['--changed', '--passWithNoTests'] : []),
]);
console.log();
steps.report();
const left = TYPES.filter((one) => !types.includes(one)).map(([, project]) => project.split('/')[0]);
if (left.length > 0)
  console.log(`\nNot looked at, since no change reaches them: types of ${[...new Set(left)].join(', ')}.`);
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
