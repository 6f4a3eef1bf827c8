import type { Change } from '../../plan/document/change.js';
import type { Plan } from '../../plan/document/plan.js';
import type { Go, MatchScript } from '../../plan/document/script.js';

/** Puts a script into a plan: in the place of the one with its id, else behind all others. */
export function putScript({ scripts = [] }: Plan, script: MatchScript): readonly Change[] {
  const there = scripts.some(({ id }) => id === script.id);
  return [
    { at: ['scripts'], to: there ? scripts.map((one) => (one.id === script.id ? script : one)) : [...scripts, script] },
  ];
}

export function removeScript({ scripts = [] }: Plan, id: string): readonly Change[] {
  const kept = scripts.filter((one) => one.id !== id);
  return [{ at: ['scripts'], to: kept.length > 0 ? kept : undefined }];
}

/** The script with a go in a mechanism's lane: in the place of the one with its id, else as one more. */
export function withGo(script: MatchScript, mechanism: string, go: Go): MatchScript {
  const there = script.lanes.some((lane) => lane.mechanism === mechanism);
  const lanes = there ? script.lanes : [...script.lanes, { mechanism, goes: [] }];
  return {
    ...script,
    lanes: lanes.map((lane) => {
      if (lane.mechanism !== mechanism) return lane;
      const known = lane.goes.some(({ id }) => id === go.id);
      return { ...lane, goes: known ? lane.goes.map((one) => (one.id === go.id ? go : one)) : [...lane.goes, go] };
    }),
  };
}

/** The changes that take goes out of all scripts, a mechanism's or a job's; none where no script has them. */
export function withoutGoesOf(plan: Plan, mechanism: string, job?: string): readonly Change[] {
  const { scripts } = plan;
  const gone = (go: Go) => job === undefined || go.job === job;
  const touched = scripts?.some(({ lanes }) =>
    lanes.some((lane) => lane.mechanism === mechanism && lane.goes.some(gone)),
  );
  if (!scripts || !touched) return [];
  const to = scripts.map((script) => {
    const goes = script.lanes.find((lane) => lane.mechanism === mechanism)?.goes.filter(gone) ?? [];
    const without = goes.reduce((left, { id }) => withoutGo(left, id), script);
    return job === undefined
      ? { ...without, lanes: without.lanes.filter((lane) => lane.mechanism !== mechanism) }
      : without;
  });
  return [{ at: ['scripts'], to }];
}

/** The script without a go; what waited for it begins at a time of its own. */
export function withoutGo(script: MatchScript, goId: string): MatchScript {
  const apart = (go: Go): Go =>
    (go.when.kind === 'after' || go.when.kind === 'with') && go.when.go === goId
      ? { ...go, when: { kind: 'at', time: go.when.wait } }
      : go;
  return {
    ...script,
    lanes: script.lanes.map((lane) => ({
      ...lane,
      goes: lane.goes.filter(({ id }) => id !== goId).map(apart),
    })),
  };
}

/** A go begun so much later (earlier under 0), within the match. s */
export function shifted({ when, ...go }: Go, by: number, length: number): Go {
  const within = (time: number) => Math.round(100 * Math.min(length, Math.max(0, time))) / 100;
  switch (when.kind) {
    case 'at':
      return { ...go, when: { ...when, time: within(when.time + by) } };
    case 'every':
      return { ...go, when: { ...when, from: within(when.from + by), to: within(when.to + by) } };
    default:
      return { ...go, when: { ...when, wait: within(when.wait + by) } };
  }
}
