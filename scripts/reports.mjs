// Sums what the runners' JSON reports counted. Run by itself it prints "N passed, N failed".
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { root } from './root.mjs';

const read = (name) => {
  const file = join(root, 'reports', name);
  return existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : undefined;
};

export function countReports() {
  const unit = read('unit.json');
  const endToEnd = read('e2e.json')?.stats;
  // A runner without a report did not get far enough to write one: that is a failure too.
  const missing = [unit, endToEnd].filter((report) => report === undefined).length;
  return {
    // Passed only when tried again: said, so that nobody takes it for well.
    flaky: endToEnd?.flaky ?? 0,
    passed: (unit?.numPassedTests ?? 0) + (endToEnd?.expected ?? 0) + (endToEnd?.flaky ?? 0),
    failed: (unit?.numFailedTests ?? 0) + (endToEnd?.unexpected ?? 0) + missing,
  };
}

/** The names of what failed, so that the last lines of a long log say it. */
export function failedNames() {
  const unit = (read('unit.json')?.testResults ?? []).flatMap((file) => {
    const tests = file.assertionResults.filter(({ status }) => status === 'failed');
    const where = file.name.replace(`${root}/`, '');
    // A file that could not even be collected has no tests of its own to name.
    if (file.status === 'failed' && tests.length === 0) return [`${where}: ${file.message.slice(0, 600)}`];
    return tests.map((test) => `${where} › ${test.fullName}: ${(test.failureMessages[0] ?? '').slice(0, 900)}`);
  });
  const endToEnd = (read('e2e.json')?.suites ?? []).flatMap((suite) => unexpectedSpecs(suite));
  return [...unit, ...endToEnd];
}

/** The tests that took longest, of both runners. */
export function slowest(count) {
  const unit = (read('unit.json')?.testResults ?? []).flatMap(({ name, assertionResults }) =>
    assertionResults.map(({ fullName, duration }) => ({
      seconds: (duration ?? 0) / 1000,
      name: `${name.replace(`${root}/`, '')} › ${fullName}`,
    })),
  );
  const endToEnd = (read('e2e.json')?.suites ?? []).flatMap((suite) => timedSpecs(suite));
  return [...unit, ...endToEnd].sort((a, b) => b.seconds - a.seconds).slice(0, count);
}

function timedSpecs({ specs = [], suites = [] }) {
  return [
    ...specs.flatMap(({ file, title, tests }) =>
      tests.map(({ results }) => ({
        seconds: results.reduce((sum, { duration }) => sum + duration, 0) / 1000,
        name: `${file} › ${title}`,
      })),
    ),
    ...suites.flatMap((suite) => timedSpecs(suite)),
  ];
}

function unexpectedSpecs({ specs = [], suites = [] }) {
  return [
    ...specs.filter(({ ok }) => !ok).map(({ file, title }) => `${file} › ${title}`),
    ...suites.flatMap((suite) => unexpectedSpecs(suite)),
  ];
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const { passed, failed } = countReports();
  console.log(`${passed} passed, ${failed} failed`);
}
