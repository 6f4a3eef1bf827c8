import {
  MOST,
  type Amount,
  applyChanges,
  choiceWords,
  currentChoice,
  measureChoice,
  writeReason,
  type Change,
  type Figures,
  type Plan,
} from '@rough-gear/core';

/** What is chosen over what: in words, and as it was measured. */
export interface Other {
  readonly words: string;
  readonly figures: Figures;
}

/** The changes of an adoption, and with them its line in the plan's log. */
export function logged(
  plan: Plan,
  mechanismId: string,
  jobId: string,
  changes: readonly Change[],
  over: Other,
  why: string,
  show: (amount: Amount) => string,
): readonly Change[] {
  const changed = applyChanges(plan, changes);
  const mechanism = changed.mechanisms.find(({ id }) => id === mechanismId)!;
  const reason = writeReason(
    {
      id: crypto.randomUUID(),
      writtenAt: new Date().toISOString(),
      mechanism: mechanismId,
      job: jobId,
      choice: mechanism.current,
      chosen: {
        words: choiceWords(changed, mechanism, currentChoice(mechanism)),
        figures: measureChoice(changed, mechanism, mechanism.current, jobId).figures,
      },
      over,
      why: why.trim() === '' ? undefined : why,
    },
    show,
  );
  const kept = plan.reasons ?? [];
  // The log has an end: the oldest line makes room for the newest.
  return [...changes, { at: ['reasons'], to: [...kept, reason].slice(-MOST.reasons) }];
}
