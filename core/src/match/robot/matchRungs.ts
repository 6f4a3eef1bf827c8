import type { LaneOn, RobotOnPack } from '../lanes/onPack.js';
import type { Dip, GoResult, MatchResult } from '../lanes/result.js';
import { REGULATOR_EFFICIENCY } from '../../path/powerpath/operating.js';
import { amount, say } from '../../plan/words/phrase.js';
import { showMultiple } from '../../plan/words/show.js';
import { firstToGive, robotRung, type RobotRung } from '../../judge/ledger/robotRung.js';

const DIP_OF: Readonly<Record<Dip['of'], { readonly name: string; readonly gives: string }>> = {
  cells: { name: 'cells dip', gives: 'the cells are harmed under' },
  boards: { name: 'pack dips', gives: 'the boards reset under' },
  controller: { name: 'volts', gives: 'its controller gives up under' },
};

/** More than so many who were on are only counted. */
const NAMED = 3;

/** Names of who was on, the greatest draw first. */
export function whoWasOn({ who }: Pick<Dip, 'who'>, lanes: readonly Pick<LaneOn, 'name'>[]): string {
  const names = who.map((i) => lanes[i]?.name ?? 'what is always on');
  const more = names.length > NAMED ? ` and ${names.length - NAMED} more` : '';
  return names.slice(0, NAMED).join(' + ') + more || 'nothing';
}

/**
 * Every limit of a match, the first to give in front: dips of the volts, breakers, charge, heat, and goes that come late
 * because others draw.
 */
export function matchRungs(robot: RobotOnPack, result: MatchResult): readonly RobotRung[] {
  const rungs = [
    ...dipRungs(robot, result),
    ...breakerRungs(robot, result),
    ...railRungs(robot, result),
    ...chargeRungs(robot, result),
    ...heatRungs(result),
    ...lateRungs(robot, result),
  ];
  return firstToGive(rungs);
}

/** Only the worst of the controllers is told: they hang on the same volts. */
function dipRungs({ lanes }: RobotOnPack, { dips }: MatchResult): readonly RobotRung[] {
  const worst = (of: Dip['of']) => dips.find((dip) => dip.of === of);
  return (['boards', 'cells', 'controller'] as const).flatMap((of) => {
    const dip = worst(of);
    if (!dip || !Number.isFinite(dip.multiple)) return [];
    const lane = dip.lane === undefined ? undefined : lanes[dip.lane];
    const { name, gives } = DIP_OF[of];
    return robotRung({
      id: of,
      mechanism: lane?.mechanism,
      name: lane ? `${lane.name}: ${name}` : name,
      multiple: dip.multiple,
      time: dip.time,
      sentence: say`At ${amount(dip.time, 'time')} ${whoWasOn(dip, lanes)} ${dip.who.length > 1 ? 'together pull' : 'pulls'} it to ${amount(dip.volts, 'voltage')}; ${gives} ${amount(dip.floor, 'voltage')}. ${showMultiple(dip.multiple)} the current of that instant would reach it.`,
    });
  });
}

function breakerRungs({ lanes }: RobotOnPack, { main, lanes: results }: MatchResult): readonly RobotRung[] {
  const told = (
    id: 'main-breaker' | 'branch',
    name: string,
    heat: { peak: number; tripsAt?: number },
    mechanism?: string,
  ) =>
    heat.peak > 0
      ? [
          robotRung({
            id,
            mechanism,
            name,
            multiple: 1 / Math.sqrt(heat.peak),
            time: heat.tripsAt,
            sentence:
              heat.tripsAt === undefined
                ? say`It comes to ${amount(heat.peak, 'share')} of the heat at which it trips.`
                : say`It trips at ${amount(heat.tripsAt, 'time')}.`,
          }),
        ]
      : [];
  return [
    ...(main ? told('main-breaker', 'main breaker', main) : []),
    ...results.flatMap(({ branch, mechanism }, i) =>
      branch ? told('branch', `${lanes[i]!.name}: breaker`, branch, mechanism) : [],
    ),
  ];
}

/** What regulators give at once, against what all on a rail draw at their worst moment. */
function railRungs({ lanes }: RobotOnPack, { samples }: MatchResult): readonly RobotRung[] {
  const rails = new Map(lanes.flatMap(({ rail }) => (rail ? [[rail.id, rail] as const] : [])));
  return [...rails.values()].flatMap(({ id, name, voltage, burst }) => {
    const on = lanes.flatMap(({ rail }, i) => (rail?.id === id ? [i] : []));
    const drawn = samples.times.map((_, k) => {
      const taken = on.reduce((sum, i) => sum + samples.lanes[i]![k]!, 0);
      return (taken * samples.volts[k]! * REGULATOR_EFFICIENCY) / voltage;
    });
    const peak = Math.max(0, ...drawn);
    if (!(peak > 0)) return [];
    const time = samples.times[drawn.indexOf(peak)]!;
    return robotRung({
      id: 'rail',
      mechanism: lanes[on[0]!]!.mechanism,
      name,
      multiple: burst / peak,
      time,
      sentence: say`At ${amount(time, 'time')} ${whoWasOn({ who: on }, lanes)} draw ${amount(peak, 'current')} of the ${amount(burst, 'current')} it gives for a moment.`,
    });
  });
}

function chargeRungs({ pack }: RobotOnPack, { charge }: MatchResult): readonly RobotRung[] {
  if (pack.capacity === undefined || !(charge > 0)) return [];
  const usable = pack.usable * pack.capacity;
  return [
    robotRung({
      id: 'charge',
      name: 'charge',
      multiple: usable / charge,
      sentence: say`A match takes ${amount(charge, 'charge')} of the ${amount(usable, 'charge')} that are usable.`,
    }),
  ];
}

function heatRungs({ lanes }: MatchResult): readonly RobotRung[] {
  return lanes.flatMap(({ heat, name, mechanism }) => {
    if (!heat || !(heat.peak > heat.ambient)) return [];
    return robotRung({
      id: 'heat',
      mechanism,
      name: `${name}: winding`,
      multiple: Math.sqrt((heat.limit - heat.ambient) / (heat.peak - heat.ambient)),
      sentence:
        heat.peak > heat.limit
          ? say`Its winding burns out: it stands ${amount(heat.limit, 'temperature')}.`
          : say`Its winding comes to ${amount(heat.peak, 'temperature')} of the ${amount(heat.limit, 'temperature')} it stands.`,
    });
  });
}

/** Of each lane the go that is furthest behind what is wanted. */
function lateRungs({ lanes }: RobotOnPack, { goes }: MatchResult): readonly RobotRung[] {
  return lanes.flatMap(({ name, mechanism }, i) => {
    const worst = goes
      .filter(({ lane, wanted, outcome }) => lane === i && wanted !== undefined && outcome !== 'cut off')
      .map((go) => ({ go, multiple: inTimeOf(go) }))
      .sort((a, b) => a.multiple - b.multiple)[0];
    if (!worst) return [];
    const { go, multiple } = worst;
    const took = (go.ended ?? NaN) - (go.began ?? NaN);
    const alone = go.alone === undefined ? '' : say`, ${amount(go.alone, 'time')} alone`;
    return robotRung({
      id: 'late',
      mechanism,
      name: go.outcome === 'arrived' ? `${name}: in time` : `${name}: never there`,
      multiple,
      time: go.began,
      sentence:
        go.outcome === 'arrived'
          ? say`The go at ${amount(go.began ?? 0, 'time')} takes ${amount(took, 'time')}${alone}; ${amount(go.wanted!, 'time')} is wanted.`
          : say`The go planned for ${amount(go.planned, 'time')} does not get there: ${go.outcome}.`,
    });
  });
}

/** A go wanted over taken; 0 where it never gets there. */
export const inTimeOf = ({ wanted, began, ended, outcome }: GoResult): number =>
  outcome === 'arrived' && wanted !== undefined && began !== undefined && ended !== undefined
    ? wanted / Math.max(1e-9, ended - began)
    : 0;

/** Whether a go took longer than it may, or began and never got there. */
export const isLate = (go: GoResult): boolean =>
  go.outcome === 'stalled' ||
  go.outcome === 'ran past' ||
  go.outcome === 'tripped' ||
  (go.outcome === 'arrived' && go.wanted !== undefined && inTimeOf(go) < 1);
