import { inFile, type Mutant } from './mutant.js';

/** Stores and composables of the page. */
export const WEB: readonly Mutant[] = [
  ...inFile(
    'web/src/stores/plan/saving.ts',
    ['web/test/planStore.test.ts'],
    [
      [
        'an ended session refuses an edit',
        '(problem.problem.status >= 500 || [401, 429].includes(problem.problem.status))',
        'problem.problem.status >= 500',
      ],
      [
        'a full disk refuses an edit',
        '(problem.problem.status >= 500 || [401, 429].includes(problem.problem.status))',
        '[401, 429].includes(problem.problem.status)',
      ],
      ['an edit during a save counts as saved', 'const current = document.value === sent;', 'const current = true;'],
      [
        'a stale save writes over',
        'problem.problem.status === 412 && problem.problem.stored',
        'problem.problem.status === 499 && problem.problem.stored',
      ],
      [
        'nothing is kept before it is sent',
        'const room = keep(id.value, { revision: revision.value, document: document.value, unsent: true });',
        'const room = true;',
      ],
      ['who may only look saves', 'if (!access.mayChange) {', 'if (false) {'],
      ['away is refused', '      isAway();\n    } else if', "      state.value = 'refused';\n    } else if"],
      ['mine over theirs is sent on the old revision', 'revision.value = stored.value.revision;', ''],
    ],
  ),
  ...inFile(
    'web/src/stores/plan/history.ts',
    ['web/test/planStore.test.ts'],
    [
      [
        'undo forgets where it came from',
        'past.value.slice(0, -1), [now, ...future.value]',
        'past.value.slice(0, -1), []',
      ],
      [
        'redo forgets where it came from',
        'step(next, now, [...past.value, now], rest)',
        'step(next, now, past.value, rest)',
      ],
      ['a gesture is a step for each preview', 'gestureStart ??= document.value;', 'gestureStart = document.value;'],
      [
        'an empty change is a step',
        'if (JSON.stringify(after) === JSON.stringify(before)) document.value = before;',
        'if (false as boolean) document.value = before;',
      ],
      [
        'a change keeps what was undone',
        'step(after, before, [...past.value, before], [])',
        'step(after, before, [...past.value, before], future.value)',
      ],
    ],
  ),
  ...inFile(
    'web/src/stores/plan.ts',
    ['web/test/planStore.test.ts'],
    [
      ['what was not sent is not opened', 'if (kept?.unsent) {', 'if (false as boolean) {'],
      ['theirs over mine leaves mine nowhere', 'takeStored(theirs, history.document.value)', 'takeStored(theirs)'],
    ],
  ),
  ...inFile(
    'web/src/stores/diary.ts',
    ['web/test/diaryStore.test.ts'],
    [
      [
        'another tab’s unsent lines are dropped',
        '...new Set([...before.unsent, ...here.unsent, ...more.unsent])',
        '...new Set([...here.unsent, ...more.unsent])',
      ],
      [
        'another tab’s lines are dropped',
        'mergedDiary(mergedDiary(before.entries, here.entries), more.entries)',
        'mergedDiary(here.entries, more.entries)',
      ],
      ['what was sent is sent again', '.filter((one) => !gone.has(one)),', '.filter(() => true),'],
      ['a line that is not taken keeps the others', 'if (only && !another) notTaken.add(only.id);', ''],
      [
        'lines of other robots stay here',
        'for (const id of unsentIds().filter((one) => one !== planId.value)) {',
        'for (const id of unsentIds().filter(() => false)) {',
      ],
      ['an ended session refuses a line', 'status < 500 && ![401, 429].includes(status)', 'status < 500'],
      ['lines of one moment change places', 'new Date(now + i).toISOString()', 'new Date(now - i).toISOString()'],
    ],
  ),
  ...inFile(
    'web/src/views/mechanism/train/files/holeTemplate.ts',
    ['web/test/layoutFiles.test.ts'],
    [['a hole template is twice its size', 'const PT = 72 / 25.4;', 'const PT = 144 / 25.4;']],
  ),
  ...inFile(
    'web/src/workers/slices.ts',
    ['web/test/slices.test.ts'],
    [
      [
        'questions of one group go on beside each other',
        'if (mine !== newest.get(group)) return stopped?.(step.value);',
        '',
      ],
      [
        'a late answer never comes',
        'if (performance.now() - began > within) return late?.(step.value);',
        'if (performance.now() - began > 1e9) return late?.(step.value);',
      ],
      ['what is known is told at every step', 'now - toldAt >= tellEvery', 'now - toldAt >= 0'],
    ],
  ),
];
