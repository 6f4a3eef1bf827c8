// npm test: everything that must hold, from a fresh machine with Node and apt on.
import { existsSync, mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { aptInstall, build, checkNode, install, stop } from './prepare.mjs';
import { root } from './root.mjs';
import { countReports, failedNames, slowest } from './reports.mjs';
import { FORMAT, IMPORTS, LINT, Steps, TYPES, UNUSED } from './steps.mjs';

checkNode();
install();
installChromium();
rmSync(join(root, 'reports'), { recursive: true, force: true });
mkdirSync(join(root, 'reports'));

const steps = new Steps();
await steps.together(...TYPES.map(([step]) => step), LINT('.'), FORMAT('.'), IMPORTS, UNUSED);
await build();
await steps.one('unit tests', 'node_modules/.bin/vitest', [
  'run',
  '--reporter=default',
  '--reporter=json',
  '--outputFile.json=reports/unit.json',
]);
await steps.one('end to end', 'node_modules/.bin/playwright', ['test', '--config', 'e2e/playwright.config.ts']);

const { failed } = steps;
const { passed, failed: tests, flaky } = countReports();
for (const name of failedNames()) console.log(`\nFailed: ${name}`);
if (flaky > 0) console.log(`\n${flaky} passed only when tried again.`);
console.log('\nThe slowest tests:');
for (const { seconds, name } of slowest(10)) console.log(`${seconds.toFixed(1).padStart(7)} s  ${name}`);
console.log();
steps.report();
console.log(
  `\n${passed} tests passed, ${tests} failed.${failed.length > 0 ? ` Not well: ${failed.join(', ')}.` : ' All well.'}`,
);
process.exit(failed.length > 0 || tests > 0 || passed === 0 ? 1 : 0);

/** Debian's own Chromium: the test tool's download of its own is never used. */
function installChromium() {
  if (existsSync('/usr/bin/chromium')) return;
  console.log('Installing Chromium for the end-to-end tests.');
  if (!aptInstall('chromium')) stop('Chromium could not be installed: apt-get install chromium.');
}
