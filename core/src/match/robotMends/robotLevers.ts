import { putScript, shifted, withGo } from '../../path/edits/scripts.js';
import { LEVERS } from '../../judge/mends/levers.js';
import type { LeverContext } from '../../judge/mends/lever.js';
import type { LeverId } from '../../judge/limits/leverId.js';
import { choiceAt, mechanismById } from '../../plan/document/place.js';
import { currentChoice, type DcDrive, type Mechanism, type Plan } from '../../plan/document/plan.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import { lengthOf, type Go, type MatchScript } from '../../plan/document/script.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import type { RobotRung } from '../../judge/ledger/robotRung.js';
import { amount, say } from '../../plan/words/phrase.js';
import { digits } from '../../plan/words/show.js';
import type { RobotLever, RobotLeverId, RobotSetting } from './robotLever.js';

/** A go begun so much later or earlier, s: sooner is tried after later by as much. */
const SHIFTS = [0.3, 0.6, 1, 1.5, 2.5, 4];
const RAMPS = [0.1, 0.2, 0.3, 0.5, 0.8];
/** Shares of the way to the farthest that a lever of one mechanism goes. */
const SHARES = [0.08, 0.16, 0.28, 0.42, 0.6, 0.8];
/** A limit is lowered to these shares of what is drawn now. */
const CAPS = [0.9, 0.8, 0.7, 0.6, 0.5, 0.4];
/** Times between two goes. */
const RESTS = [1.2, 1.5, 2, 3];

const contextOf = (plan: Plan, mechanism: Mechanism): LeverContext => ({
  plan,
  mechanism,
  path: resolvePath(plan, mechanism, mechanism.jobs[0]!.id),
});

/** One of the levers of a mechanism, at shares of its span; those that come to the same are one. */
function asLever(id: RobotLeverId, mechanism: string, lever: LeverId, named: boolean): RobotLever {
  return {
    id,
    mechanism: named ? mechanism : undefined,
    steady: true,
    settings: (plan) => {
      const context = contextOf(plan, mechanismById(plan, mechanism));
      const span = LEVERS[lever].span(context);
      if (!span || !(span.from > 0) || !(span.to > 0)) return [];
      const found = SHARES.flatMap((share) => {
        const setting = LEVERS[lever].set(context, span.from * (span.to / span.from) ** share);
        if (!setting || setting.changes.length === 0) return [];
        return { ...setting, label: named ? say`${context.mechanism.name}: ${setting.label}` : setting.label };
      });
      return different(found);
    },
  };
}

const different = (settings: readonly RobotSetting[]): readonly RobotSetting[] => {
  const keys = settings.map(({ changes }) => JSON.stringify(changes));
  return settings.filter((_, i) => keys.indexOf(keys[i]!) === i);
};

/** A script as a plan has it now; itself where the plan keeps none of its id. */
export const scriptIn = (plan: Plan, script: MatchScript): MatchScript =>
  plan.scripts?.find(({ id }) => id === script.id) ?? script;

/** Begins one go of a lane later, or sooner; those that wait for it come along. */
function shift(script: MatchScript, mechanism: string, goId: string): RobotLever {
  return {
    id: 'shift',
    mechanism,
    steady: false,
    settings: (plan) => {
      const there = scriptIn(plan, script);
      const go = goIn(there, mechanism, goId);
      if (!go) return [];
      const { name } = mechanismById(plan, mechanism);
      return SHIFTS.flatMap((by) => [by, -by]).flatMap((by) => {
        const moved = shifted(go, by, lengthOf(there));
        if (JSON.stringify(moved.when) === JSON.stringify(go.when)) return [];
        return {
          changes: putScript(plan, withGo(there, mechanism, moved)),
          label: say`${name} ${amount(Math.abs(by), 'time', 2)} ${by > 0 ? 'later' : 'sooner'}`,
        };
      });
    },
  };
}

const goIn = (script: MatchScript, mechanism: string, goId: string): Go | undefined =>
  script.lanes.find((lane) => lane.mechanism === mechanism)?.goes.find(({ id }) => id === goId);

/** Lets more time pass between two of its goes. */
function rest(script: MatchScript, mechanism: string): RobotLever {
  return {
    id: 'rest',
    mechanism,
    steady: true,
    settings: (plan) => {
      const there = scriptIn(plan, script);
      const goes = there.lanes.find((lane) => lane.mechanism === mechanism)?.goes ?? [];
      const repeated = goes.filter(({ when }) => when.kind === 'every');
      if (repeated.length === 0) return [];
      const { name } = mechanismById(plan, mechanism);
      return RESTS.map((times) => {
        const seldom = repeated.reduce(
          (all, go) =>
            go.when.kind === 'every'
              ? withGo(all, mechanism, {
                  ...go,
                  when: { ...go.when, time: Number((go.when.time * times).toPrecision(3)) },
                })
              : all,
          there,
        );
        const first = goIn(seldom, mechanism, repeated[0]!.id)!.when;
        const every = first.kind === 'every' ? first.time : 0;
        return { changes: putScript(plan, seldom), label: say`${name} once every ${amount(every, 'time')}` };
      });
    },
  };
}

/** A lever on the plain motors of a mechanism; none where something else turns it. */
const dcLever = (
  id: RobotLeverId,
  mechanism: string,
  settings: (plan: Plan, there: Mechanism, drive: DcDrive) => readonly RobotSetting[],
): RobotLever => ({
  id,
  mechanism,
  steady: true,
  settings: (plan) => {
    const there = mechanismById(plan, mechanism);
    const { drive } = currentChoice(there);
    return drive.kind === 'dc' ? settings(plan, there, drive) : [];
  },
});

/** A lower limit on what its controllers take from the pack, or give to the motor where they know no other. */
const cap = (mechanism: string, peak: number): RobotLever =>
  dcLever('cap', mechanism, (plan, there, drive) => {
    const part = plan.parts[drive.controller]?.part;
    if (part?.kind !== 'controller') return [];
    const side = part.supplyLimit || drive.supplyLimit ? 'supplyLimit' : 'statorLimit';
    const set = drive[side]?.si ?? part[side]?.si;
    const each = side === 'supplyLimit' ? Math.min(set ?? Infinity, peak / drive.motors) : set;
    if (each === undefined || !(each > 0) || !Number.isFinite(each)) return [];
    const at = [...choiceAt(plan, there), 'drive', side];
    const words = side === 'supplyLimit' ? 'pack-side' : 'motor-side';
    return different(
      CAPS.map((share) => {
        const amperes = each * share >= 10 ? Math.floor(each * share) : Number((each * share).toPrecision(2));
        return {
          changes: [{ at, to: quantityOf(amperes, `${digits(amperes)} A`) }],
          label: `${there.name}: ${words} limit ${digits(amperes)} A${drive.motors > 1 ? ' each' : ''}`,
        };
      }),
    );
  });

/** A longer ramp from nothing to full command. */
const ramp = (mechanism: string): RobotLever =>
  dcLever('ramp', mechanism, (plan, there, drive) =>
    RAMPS.filter((seconds) => seconds > (drive.rampTime?.si ?? 0)).map((seconds) => ({
      changes: [{ at: [...choiceAt(plan, there), 'drive', 'rampTime'], to: quantityOf(seconds, `${seconds} s`) }],
      label: say`${there.name}: ramp of ${amount(seconds, 'time')}`,
    })),
  );

/** What is known of a lane where the match gives: its mechanism, the go that was on, and what it takes at most, A. */
export interface InvolvedLane {
  readonly mechanism: string;
  readonly go?: string;
  readonly peak: number;
}

/**
 * The levers worth trying for what gives, the cheapest first: time costs nothing, then settings, then gears, then parts.
 * `involved` are the lanes that had a part in it, the first the mechanism's own where it is one's own.
 */
export function robotLevers(
  plan: Plan,
  script: MatchScript,
  { id, mechanism: own }: Pick<RobotRung, 'id' | 'mechanism'>,
  involved: readonly InvolvedLane[],
): readonly RobotLever[] {
  const [whoever] = plan.mechanisms;
  if (!whoever) return [];
  const each = (lever: (lane: InvolvedLane) => RobotLever | undefined) => involved.flatMap((lane) => lever(lane) ?? []);
  const shifts = each(({ mechanism, go }) => (go === undefined ? undefined : shift(script, mechanism, go)));
  const caps = each(({ mechanism, peak }) => (id === 'late' && mechanism === own ? undefined : cap(mechanism, peak)));
  const ramps = each(({ mechanism }) => (id === 'late' && mechanism === own ? undefined : ramp(mechanism)));
  const rests = each(({ mechanism }) => rest(script, mechanism));
  const deeper = each(({ mechanism }) => asLever('deeper', mechanism, 'deeper', true));
  const ofOwn = (lever: RobotLeverId, by: LeverId) => (own === undefined ? [] : [asLever(lever, own, by, true)]);
  const mainWire = asLever('main-wire', whoever.id, 'thicker-main', false);
  const packs = asLever('packs', whoever.id, 'parallel', false);
  switch (id) {
    case 'boards':
    case 'cells':
    case 'controller':
      return [...shifts, ...caps, ...ramps, ...ofOwn('branch-wire', 'thicker-wire'), mainWire, ...deeper, packs];
    case 'late':
      return [
        ...shifts,
        ...caps,
        ...ramps,
        ...ofOwn('raise', 'supply-limit'),
        ...ofOwn('branch-wire', 'thicker-wire'),
        mainWire,
        ...ofOwn('shallower', 'shallower'),
        ...deeper,
        ...ofOwn('motors', 'motors'),
        packs,
      ];
    case 'main-breaker':
      return [...caps, ...rests, ...deeper];
    case 'branch':
    case 'heat':
      return [...rests, ...caps, ...deeper, ...ofOwn('motors', 'motors')];
    case 'charge':
      return [...rests, ...caps, ...deeper, packs];
    case 'rail':
      return shifts;
    case 'event':
      return [];
  }
}

/** Levers that take parts to buy and room to put them: the last to be thought of. */
export const TAKES_PARTS: ReadonlySet<RobotLeverId> = new Set<RobotLeverId>(['motors', 'packs']);
