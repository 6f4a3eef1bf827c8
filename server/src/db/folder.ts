import { existsSync, mkdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { storageFailureOf } from './failure.js';
import { StartProblem } from './startProblem.js';

/** Makes the data folder where there is none, and sees that it may be written to. Throws one line that says why not. */
export function prepareFolder(folder: string): void {
  try {
    makeFolder(folder);
  } catch (problem) {
    throw new StartProblem(`ROUGH_GEAR_DATA: the folder ${folder} cannot be made: ${whyNot(problem, folder)}`);
  }
  const probe = join(folder, '.may-write');
  try {
    writeFileSync(probe, 'x'.repeat(4096), { flush: true });
    rmSync(probe);
  } catch (problem) {
    rmSync(probe, { force: true });
    throw new StartProblem(`ROUGH_GEAR_DATA: ${folder} cannot be written to: ${whyNot(problem, folder)}`);
  }
}

/** With its parents, one after the other: made all at once, a path under a file system that takes none never ends. */
function makeFolder(folder: string): void {
  if (existsSync(folder)) {
    if (statSync(folder).isDirectory()) return;
    throw Object.assign(new Error('it is a file'), { code: 'ENOTDIR' });
  }
  const parent = dirname(folder);
  if (parent !== folder) makeFolder(parent);
  mkdirSync(folder);
}

function whyNot(problem: unknown, folder: string): string {
  const code = (problem as { code?: string }).code ?? '';
  if (code === 'EEXIST' || code === 'ENOTDIR') {
    const file = isFile(folder) ? 'it is a file' : 'a part of its path is a file';
    return `${file}. Move that away, or name another folder.`;
  }
  const failure = storageFailureOf(problem);
  if (failure?.kind === 'full') return 'the disk is full. Make room, or name another folder.';
  if (failure?.kind === 'read-only')
    return 'this program has not the right to. Give it the right, or name another folder.';
  return `${code || (problem as Error).message}. Name another folder.`;
}

function isFile(path: string): boolean {
  try {
    return statSync(path).isFile();
  } catch {
    return false;
  }
}
