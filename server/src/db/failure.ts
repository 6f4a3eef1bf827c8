import { Answered, type Answer } from '../answered.js';

/** Why the data cannot be written or read now, and what the person can do. */
export interface StorageFailure {
  readonly kind: 'full' | 'read-only' | 'damaged' | 'out of reach';
  /** One sentence with what to do. */
  readonly sentence: string;
}

/** A save or a read that the disk did not take. Nothing of it has happened. */
export class StorageProblem extends Answered {
  constructor(
    readonly failure: StorageFailure,
    cause: unknown,
  ) {
    super(failure.sentence, { cause });
  }

  get answer(): Answer {
    const { kind, sentence } = this.failure;
    // Insufficient Storage where it is for the person to make room or give the right; out of service otherwise.
    const status = kind === 'full' || kind === 'read-only' ? 507 : 503;
    return { title: 'Nothing was saved or read', status, detail: sentence };
  }
}

const FAILURES: readonly { readonly codes: RegExp; readonly failure: StorageFailure }[] = [
  {
    codes: /^(SQLITE_FULL|ENOSPC|EDQUOT)/,
    failure: {
      kind: 'full',
      sentence: 'The disk that holds the data is full: make room, and saving goes on by itself.',
    },
  },
  {
    codes: /^(SQLITE_READONLY|SQLITE_PERM|SQLITE_AUTH|EROFS|EACCES|EPERM)/,
    failure: {
      kind: 'read-only',
      sentence: 'The folder that holds the data may not be written to: give this program the right to.',
    },
  },
  {
    codes: /^(SQLITE_CORRUPT|SQLITE_NOTADB)/,
    failure: {
      kind: 'damaged',
      sentence: 'The file that holds the data is damaged: stop the program and restore the newest backup.',
    },
  },
  {
    codes: /^(SQLITE_IOERR|SQLITE_CANTOPEN|SQLITE_BUSY|SQLITE_LOCKED|EIO)/,
    failure: { kind: 'out of reach', sentence: 'The file that holds the data cannot be reached now.' },
  },
];

/** What a failure of the disk or of SQLite means; `undefined` where it is none. */
export function storageFailureOf(problem: unknown): StorageFailure | undefined {
  const code = codeOf(problem);
  return code === undefined ? undefined : FAILURES.find(({ codes }) => codes.test(code))?.failure;
}

/** The driver's own code, however deep it is wrapped. */
function codeOf(problem: unknown): string | undefined {
  if (typeof problem !== 'object' || problem === null) return undefined;
  const { code, driverError, cause } = problem as { code?: unknown; driverError?: unknown; cause?: unknown };
  if (typeof code === 'string') return code;
  return codeOf(driverError) ?? codeOf(cause);
}
