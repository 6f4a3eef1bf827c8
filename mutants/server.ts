import { inFile, type Mutant } from './mutant.js';

/** Routes and what they keep. */
export const SERVER: readonly Mutant[] = [
  ...inFile(
    'server/src/plans/store.ts',
    ['server/test/plans.test.ts'],
    [
      [
        'a save on an old revision is taken',
        'if (row.revision !== basedOn) return { ok: false, stored: await this.stored(manager, row) } as const;',
        '',
      ],
      [
        'a revision stays what it was',
        'await this.write(manager, id, basedOn + 1, plan)',
        'await this.write(manager, id, basedOn, plan)',
      ],
      [
        'what is in the bin is listed',
        "bin ? 'plan.deletedAt IS NOT NULL' : 'plan.deletedAt IS NULL'",
        "bin ? 'plan.deletedAt IS NOT NULL' : '1 = 1'",
      ],
      [
        'emptying the bin empties all',
        'manager.delete(PlanEntity, { deletedAt: Not(IsNull()) })',
        'manager.delete(PlanEntity, {})',
      ],
    ],
  ),
  ...inFile(
    'server/src/plans/store.ts',
    ['server/test/summaries.test.ts'],
    [['the worst robot comes last', "query.orderBy('plan.worst', 'DESC')", "query.orderBy('plan.worst', 'ASC')"]],
  ),
  ...inFile(
    'server/src/plans/store.ts',
    ['server/test/plans.test.ts', 'server/test/summaries.test.ts'],
    [
      ['names are sorted by case', "'plan.name COLLATE NOCASE', 'ASC'", "'plan.name COLLATE BINARY', 'ASC'"],
      ['a search minds capitals', 'find.trim().toLowerCase()', 'find.trim()'],
    ],
  ),
  ...inFile(
    'server/src/trials/store.ts',
    ['server/test/trials.test.ts'],
    [
      ['a closed trial is changed', "if (there.closedAt !== null) return { outcome: 'closed' };", ''],
      [
        'a trial is written over',
        "if (revision !== basedOn) return { outcome: 'stale', stored: { id, revision, savedAt } };",
        '',
      ],
      [
        'a trial changes its kind',
        "if (trial.head.kind !== kind || trial.head.startedAt !== startedAt) return { outcome: 'another' };",
        '',
      ],
      ['a trial goes that someone wrote in', "if (row.revision !== basedOn) return 'stale';", ''],
      [
        'a trial’s revision stays',
        'this.rowOf(id, revision + 1, trial, found)',
        'this.rowOf(id, revision, trial, found)',
      ],
    ],
  ),
  ...inFile(
    'server/src/diary/store.ts',
    ['server/test/diary.test.ts'],
    [
      ['faults of binned robots are shown', 'AND "plan"."deletedAt" IS NULL\n  ORDER', 'ORDER'],
      ['a mended fault is shown for ever', 'SELECT MAX("seq")', 'SELECT MIN("seq")'],
      ['faults that ask for a spare ask for a trial', "asks === 'a trial'", 'asks !== undefined'],
      ['a diary has no end', '+ fresh.length > MOST_ENTRIES)', '+ fresh.length > 1e9)'],
      ['an entry of another robot is taken for one of this', 'if (elsewhere) return', 'if (false as boolean) return'],
      ['a cursor of another diary is taken', 'rows.length > 0 ? seq : 0', 'seq'],
      ['what is new is all', 'lines.at(-1)?.seq ?? after', 'lines.at(-1)?.seq ?? 0'],
    ],
  ),
  ...inFile(
    'server/src/access/access.ts',
    ['server/test/access.test.ts'],
    [
      [
        'who looks may change',
        "if (role === 'look' && !READS.includes(request.method))",
        "if (role === 'look' && false)",
      ],
      ['who is out is in', "if (role === 'signed out') throw new HttpProblem(401, 'Sign in first');", ''],
      [
        'an old passphrase’s session goes on',
        "|| epoch !== file.epoch) return 'signed out';",
        ") return 'signed out';",
      ],
      ['a session never ends', 'Date.now() - began > MONTH', 'false'],
      ['a copy of a cookie outlives its sign-out', 'file.ended?.some((session) => session.id === id)', 'false'],
    ],
  ),
  ...inFile(
    'server/src/backup/restore.ts',
    ['server/test/backups.test.ts'],
    [
      ['a restore is not gone on with', 'if (existsSync(coming)) {', 'if (false as boolean) {'],
      ['a copy that was cut off stays', 'rmSync(`${coming}${end}`, { force: true });', 'void end;'],
      [
        'a folder with copies is begun anew',
        '!existsSync(fileIn(dataFolder)) && hasCopies(dataFolder)',
        'false as boolean',
      ],
      ['half of a backup stays', 'clearUnfinished(dataFolder);', ''],
    ],
  ),
  ...inFile(
    'server/src/trials/writers.ts',
    ['server/test/trials.test.ts'],
    [
      ['who writes alone cannot close', 'last.from !== from &&', ''],
      ['nobody is told who writes', 'this.last.set(trialId, { from, at: this.now() });', ''],
    ],
  ),
  ...inFile(
    'server/src/backup/daily.ts',
    ['server/test/backups.test.ts'],
    [['a backup a day is one every look', 'now.getTime() - Date.parse(last.madeAt) < DAY', 'false']],
  ),
  ...inFile(
    'server/src/backup/backups.ts',
    ['server/test/backups.test.ts'],
    [
      ['no backup is ever dropped', '.slice(BACKUPS_KEPT)', '.slice(1e6)'],
      ['backups made by hand push out the daily ones', 'all.filter((one) => one.kind === kind)', 'all'],
      ['the oldest backup comes first', 'a.madeAt < b.madeAt ? 1 : -1', 'a.madeAt < b.madeAt ? -1 : 1'],
      [
        'any file is handed out as a backup',
        'NAME.test(name) && filesIn(backupFolder(dataFolder)).includes(name)',
        'filesIn(backupFolder(dataFolder)).includes(name)',
      ],
    ],
  ),
  ...inFile(
    'server/src/http/names.ts',
    ['server/test/guard.test.ts'],
    [['10.0.0.1 is this machine', "host.startsWith('127.')", "host.startsWith('1')"]],
  ),
  ...inFile(
    'server/src/plans/reading.ts',
    ['server/test/plans.test.ts'],
    [
      [
        'two things may be asked to be made of nothing',
        'Joi.object<{ name?: string; document?: unknown }>({ name, document: Joi.object() }).xor(',
        'Joi.object<{ name?: string; document?: unknown }>({ name, document: Joi.object() }).or(',
      ],
    ],
  ),
  ...inFile(
    'server/src/plans/store.ts',
    ['server/test/reading.test.ts'],
    [
      ['what was done since a save that is gone is told', '{ changed: null });', '{ });'],
      [
        'what was done in a save is worked out again and again',
        'changed: changed ? JSON.stringify(changed) : null',
        'changed: null',
      ],
    ],
  ),
  ...inFile(
    'server/src/reading/limits.ts',
    ['server/test/reading.test.ts'],
    [
      ['lists in lists have no end', '++inside > depth', '++inside > 1e9'],
      ['a document holds any number of keys', '++counted > values', '++counted > 1e9'],
      ['a document holds any number of lists', '++opened > objects', '++opened > 1e9'],
      ['a text ends at the quotation mark in it', 'if (bytes[i] === BACKSLASH) i++;', ''],
    ],
  ),
  ...inFile(
    'server/src/access/access.ts',
    ['server/test/access.test.ts'],
    [
      ['guessing is as quick as one likes', '* slowerBy,', '* 0,'],
      ['any number of guesses wait at once', 'limit: WAITING_AT_ONCE', 'limit: 1e6'],
    ],
  ),
  ...inFile(
    'server/src/health.ts',
    ['server/test/fullDisk.test.ts'],
    [['a disk on which a number fits is not full', 'if (data.wasFull) await tryRoom(data);', '']],
  ),
  ...inFile(
    'server/src/rig/routes.ts',
    ['server/test/trials.test.ts'],
    [
      ['a line of life stands in the middle of another', 'opened && lineEnded &&', 'opened &&'],
      ['any number listen to a rig', 'listeners >= MOST_LISTENERS', 'false as boolean'],
      ['who leaves makes no room', 'listeners--;', ''],
    ],
  ),
];
