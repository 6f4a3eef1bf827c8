import { inFile, type Mutant } from './mutant.js';

/** Stores and composables of the page. */
export const WEB: readonly Mutant[] = [
  ...inFile(
    'web/src/outbox/outbox.ts',
    ['web/test/outbox.test.ts'],
    [
      ['an ended session refuses an edit', 'status >= 500 || status === 401 || status === 429', 'status >= 500'],
      ['a full disk refuses an edit', 'status >= 500 || status === 401', 'status === 401'],
      ['being away refuses an edit', "if (problem instanceof Unreachable) return 'away';", ''],
      ['an edit during a save counts as saved', 'if (inside.items.get(name) === sent)', 'if (inside.items.has(name))'],
      ['a save over another one’s is refused', "if (status === 412) return 'clash';", ''],
      ['what a person has to decide goes on by itself', "if (boxOf(address).state === 'clash') return;", ''],
      [
        'a line that is not taken keeps the others',
        'if (only && !another) only.refused = (problem as Error).message;',
        '',
      ],
      ['what is not taken has no reason', "left[0]?.refused ?? ''", "''"],
      [
        'one that is slow keeps the others',
        'while (inside.sending) await inside.sending;',
        'for (const other of insides.values()) await other.sending;',
      ],
      ['a line that never rests is never sent', 'Date.now() - inside.since > longest ? 0 : rest', 'rest'],
      [
        'nothing is kept before it is sent',
        'keep(address, waitingIn(address));\n    const { state, refusal }',
        'const { state, refusal }',
      ],
      ['the network that is back changes nothing', "if (state === 'away') schedule(address, 0);", ''],
    ],
  ),
  ...inFile(
    'web/src/keeping/keeping.ts',
    ['web/test/keeping.test.ts', 'web/test/diaryStore.test.ts'],
    [
      ['a copy that cannot be read is thrown away', 'keep(`damaged:${kind}:${id}`, text)', 'Promise.resolve(true)'],
      ['what an earlier version left unsent counts as sent', 'if (unsent === true)', 'if (unsent === 1)'],
      [
        'lines an earlier version left are dropped',
        'if (left.length > 0 && !(await',
        'if (left.length > 1e9 && !(await',
      ],
      [
        'what has no room is cleared away',
        'if (await takeOver(kind, id, text, known.has(`${kind}:${id}`)))',
        'void takeOver(kind, id, text, false);\n    if (true as boolean)',
      ],
      ['no room is not said', "? 'This browser has no room to keep a copy.'", "? ''"],
    ],
  ),
  ...inFile(
    'web/src/stores/plan/saving.ts',
    ['web/test/planStore.test.ts'],
    [
      [
        'a draft goes on from the revision before the last',
        'revision: revisions.get(planId) ?? draft.revision })',
        'revision: draft.revision })',
      ],
      ['what stands in the way is not shown', 'inTheWay.set(planId, problem.problem.stored);', 'void 0;'],
      ['who may only look saves', 'if (access.mayChange)', 'if (true as boolean)'],
      [
        'what was left is written over a plan that changed',
        "fresh.revision === draft.revision ? 'sending' : 'clash'",
        "'sending'",
      ],
      ['mine over theirs is sent on the old revision', 'revisions.set(planId, stored.value.revision);', ''],
      [
        'other plans that are not home are not told',
        'waiting > 0 && planId !== id.value && draft',
        'waiting > 1e9 && draft',
      ],
    ],
  ),
  ...inFile(
    'web/src/stores/plan/drafts.ts',
    ['web/test/planStore.test.ts'],
    [
      ['a window takes what another has in hand', '.filter(({ open }) => !open)', '.filter(() => true)'],
      [
        'what another window left goes before one’s own',
        'Number(b.mine) - Number(a.mine)',
        'Number(a.mine) - Number(b.mine)',
      ],
    ],
  ),
  ...inFile(
    'web/src/stores/bench/saving.ts',
    ['web/test/benchStore.test.ts'],
    [
      [
        'a trial is written over',
        'const next = mergeTrials(base?.trial, mine, merged.trial);',
        'const next = { trial: mine, clashes: [] };',
      ],
      ['rows that came meanwhile are not shown', 'if (isShown) trial.value = merged.trial;', ''],
      ['rows of a closed trial are dropped', "outbox.resume(trialId, [mine], 'clash');", ''],
      ['clashes are gone after a reload', 'void keepClashes(trialId, left);', ''],
      ['mine is not taken', 'if (!mine || !trial.value) return;', 'if (mine || !trial.value) return;'],
      ['windows that are gone keep what was taken over', 'if (!draft.ownWindow) await letTrialGo(draft);', ''],
      ['it is closed before all is home', 'if (outbox.waitingIn(trialId).length > 0) {', 'if (false as boolean) {'],
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
      [
        'what was not sent is not opened',
        'if (draft && !same(draft.document, fresh.document)) {',
        'if (false as boolean) {',
      ],
      [
        'what windows left is not offered',
        'left.value = drafts.filter((draft) => !known.includes(draft));',
        'left.value = [];',
      ],
      [
        'a server that is back is not asked',
        'else takeStored(fresh, history.document.value);\n    } catch',
        'else void 0;\n    } catch',
      ],
      ['theirs over mine leaves mine nowhere', 'takeStored(theirs, history.document.value)', 'takeStored(theirs)'],
    ],
  ),
  ...inFile(
    'web/src/stores/diary.ts',
    ['web/test/diaryStore.test.ts'],
    [
      ['lines a window left are dropped', 'outbox.resume(of, lines);', ''],
      ['a window that is gone keeps what was taken over', 'if (!own) await letLinesGo(key);', ''],
      ['all is asked for each time', 'const news = await api.diary(id, cursor);', 'const news = await api.diary(id);'],
      [
        'a server that was put back is told nothing',
        'if (forgotten.length > 0) outbox.put',
        'if (forgotten.length > 1e9) outbox.put',
      ],
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
