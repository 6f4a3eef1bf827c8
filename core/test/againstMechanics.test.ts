import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  currentChoice,
  evaluateMechanism,
  jobKindOf,
  LEVERS,
  MECHANISM_JOBS,
  resolvePath,
  SITUATIONS,
  situationOf,
  stepMotorOf,
  type JobKind,
  type LeverContext,
  type LeverId,
  type StageKind,
} from '../src/index.js';
import { typed } from './demo.js';
import { agrees, allCases, CHECK_TABLES, LIMIT_TABLES } from './mechanics/cases.js';
import { WORKSHOP } from './workshop/plans.js';

const cases = allCases();
const nameOf = ({ of, id, where }: (typeof cases)[number]) => `${of} ${id}: ${where}`;

describe('core against plain mechanics that know nothing of it', () => {
  it.each(cases.map((one) => [nameOf(one), one] as const))('%s', (_name, one) => {
    expect(agrees(one), `core ${one.says()}, mechanics ${one.expected}`).toBe(true);
  });
});

describe('the workshop has all there is', () => {
  const compared = (machine: string, of: string, id: string) =>
    cases.some((one) => one.machine === machine && one.of === of && one.id === id);

  it.each(Object.entries(LIMIT_TABLES).flatMap(([machine, limits]) => limits.map(({ id }) => [machine, id] as const)))(
    'a plan with a %s drive is held by %s, and compared',
    (machine, id) => {
      // A wheel that slips, a rope and a screw are the same behind every machine: one comparison will do.
      const shared = LIMIT_TABLES.dc.some((limit) => limit.id === id) && machine !== 'dc';
      expect(compared(machine, 'limit', id) || (shared && compared('dc', 'limit', id))).toBe(true);
    },
  );

  it.each(Object.entries(CHECK_TABLES).flatMap(([machine, rules]) => rules.map(({ id }) => [machine, id] as const)))(
    'a plan with a %s drive asks %s, and is compared',
    (machine, id) => {
      const own = CHECK_TABLES[machine as keyof typeof CHECK_TABLES].find((rule) => rule.id === id);
      const shared = machine !== 'dc' && CHECK_TABLES.dc.some((rule) => rule === own);
      expect(compared(machine, 'check', id) || (shared && compared('dc', 'check', id))).toBe(true);
    },
  );

  const mechanisms = Object.values(WORKSHOP).flatMap((plan) =>
    plan.mechanisms.map((mechanism) => ({ plan, mechanism })),
  );

  it.each([...new Set(Object.values(MECHANISM_JOBS).flatMap(({ jobs }) => jobs))])(
    'job %s matters: more of its load asks for more',
    (kind: JobKind) => {
      const found = mechanisms.filter(({ mechanism }) => mechanism.jobs.some((job) => job.kind === kind));
      expect(found.length).toBeGreaterThan(0);
      const grows = found.some(({ plan, mechanism }) => {
        const job = mechanism.jobs.find((one) => one.kind === kind)!;
        const path = resolvePath(plan, mechanism, job.id);
        const figure = path.figures[jobKindOf(kind).heavy];
        if (figure?.value === undefined) return false;
        const changed = applyChanges(plan, [{ at: figure.at, to: typed(2 * figure.value) }]);
        const heavier = resolvePath(
          changed,
          changed.mechanisms.find(({ id }) => id === mechanism.id)!,
          job.id,
        );
        return SITUATIONS.some((id) => situationOf(heavier, id).demand > 1.001 * situationOf(path, id).demand);
      });
      expect(grows).toBe(true);
    },
  );

  const STAGE_KINDS: Readonly<Record<StageKind, true>> = {
    ratio: true,
    teeth: true,
    chain: true,
    belt: true,
    planetary: true,
    worm: true,
    screw: true,
  };
  it.each(Object.keys(STAGE_KINDS))('a stage of kind %s loses some of what goes through it', (kind) => {
    const found = mechanisms.flatMap(({ plan, mechanism }) => {
      const index = currentChoice(mechanism).stages.findIndex((stage) => stage.kind === kind);
      return index < 0 ? [] : [resolvePath(plan, mechanism, mechanism.jobs[0]!.id).train.stages[index]!];
    });
    expect(found.length).toBeGreaterThan(0);
    for (const { ratio, efficiency } of found) {
      expect(ratio).toBeGreaterThan(0);
      expect(efficiency).toBeGreaterThan(0);
      expect(efficiency).toBeLessThan(1);
    }
  });

  it('motors of every form, and every machine', () => {
    const drives = mechanisms.map(({ mechanism }) => currentChoice(mechanism).drive);
    expect(new Set(drives.map(({ kind }) => kind))).toEqual(new Set(['dc', 'step', 'servo']));
    const forms = mechanisms.flatMap(({ plan, mechanism }) => {
      const { drive } = currentChoice(mechanism);
      const part = drive.kind === 'dc' ? plan.parts[drive.motor]!.part : undefined;
      return part?.kind === 'motor' ? [part.data.form] : [];
    });
    expect(new Set(forms)).toEqual(new Set(['sheet', 'kv', 'turns']));
    const pulsed = mechanisms.flatMap(({ plan, mechanism }) => {
      const { drive } = currentChoice(mechanism);
      return drive.kind === 'step' ? [stepMotorOf(plan, drive.motor).kind] : [];
    });
    expect(new Set(pulsed)).toEqual(new Set(['stepper', 'step-servo']));
  });

  /** Every lever that something in the workshop may be mended by, at the middle of its span. */
  const moved = new Map<LeverId, boolean>();
  for (const { plan, mechanism } of mechanisms)
    for (const job of evaluateMechanism(plan, mechanism).jobs) {
      const path = resolvePath(plan, mechanism, job.jobId);
      const stages = [undefined, ...path.stages.map(({ id }) => id)];
      for (const id of Object.keys(LEVERS) as LeverId[])
        for (const stage of stages) {
          if (moved.get(id)) continue;
          const context: LeverContext = { plan, mechanism, path, stage };
          const span = LEVERS[id].span(context);
          const setting = span && LEVERS[id].set(context, Math.sqrt(span.from * span.to));
          const changed = setting && applyChanges(plan, setting.changes);
          moved.set(id, changed !== undefined && JSON.stringify(changed) !== JSON.stringify(plan));
        }
    }
  /** Rails on the pack, on a board, or with grounds apart are no part of a workshop that shall run. */
  const ELSEWHERE: readonly LeverId[] = ['rail-regulator', 'join-grounds'];
  it.each((Object.keys(LEVERS) as LeverId[]).filter((id) => !ELSEWHERE.includes(id)))(
    'lever %s moves something',
    (id) => {
      expect(moved.get(id)).toBe(true);
    },
  );
});
