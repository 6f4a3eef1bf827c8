import { readCases, runCase } from './cases/run.js';
import { Stop, stopping, type Command } from './command.js';

/** Runs reference cases through the core: one JSON document; 0 all pass, 1 one fails, 2 not such a file. */
export const casesCommand: Command = stopping((files, terminal) => {
  if (files.length === 0) throw new Stop('give at least one file of cases');
  const cases = files.flatMap((file) => {
    try {
      return readCases(terminal.read(file));
    } catch (problem) {
      throw new Stop(`${file}: ${(problem as Error).message}`);
    }
  });
  const results = cases.map(runCase);
  const passed = results.filter((result) => result.pass).length;
  terminal.out(`${JSON.stringify({ cases: results, passed, failed: results.length - passed }, null, 1)}\n`);
  return passed === results.length ? 0 : 1;
});
