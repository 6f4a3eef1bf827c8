import { atOnce } from './atOnce.js';
import { settleShared, type SettledPack } from '../../models/controller/sharedPack.js';
import { lengthOf, type MatchScript } from '../../plan/document/script.js';
import { GoesNow } from './goesNow.js';
import { LaneNow } from './laneNow.js';
import type { RobotOnPack } from './onPack.js';
import { PackNow } from './packNow.js';
import type { MatchResult, MatchStart } from './result.js';
import { hasArrived, Step } from './step.js';
import { VoltsWatch } from './voltsWatch.js';

export interface MatchOptions {
  /** A full pack and everything cold where absent. */
  readonly start?: MatchStart;
  /** Longest step while something moves, s. */
  readonly step?: number;
}

const STEP = 0.005;
/** Where nothing moves: charge and heat are looked at anew this often, s. */
const CALM = 1;
/** A run that is known beforehand is gone through in steps of at most this, s. */
const TIMED_STEP = 0.01;
/** Of its speed in a step: what changes less goes steadily, and is gone through so many steps at once. */
const STEADY = 2e-4;
const STEADY_STEPS = 4;
/** A hair on place and speed, so that an end that was looked for is found. */
const NEARLY = 1e-6;
const SHORTEST = 1e-9;
/** Heat is gone through together over this, s. */
const WARM_EVERY = 0.25;
/** Seconds of the match between two words of how far it is. */
const TOLD_EVERY = 2;

/**
 * Goes through a match: everything that moves shares the volts of the pack step by step, the electrical side settled at
 * once, the mechanical marched together. An arrival ends the step that reaches it. Yields the share gone through.
 */
export function* marchMatch(
  robot: RobotOnPack,
  script: MatchScript,
  { start, step: longest = STEP }: MatchOptions = {},
): Generator<number, MatchResult> {
  const length = lengthOf(script);
  const pack = new PackNow(robot.pack, start);
  const lanes = robot.lanes.map((on, i) => new LaneNow(on, startOf(start, i)));
  const goes = new GoesNow(script, lanes, length);
  const watch = new VoltsWatch(lanes);
  const step = new Step(lanes);
  const edges = [...script.draws.flatMap(({ from, to = Infinity }) => [from, to]), length].sort((a, b) => a - b);
  const shared = { rest: 0, resistance: pack.resistance + robot.pack.mainResistance };

  let [time, stands, now, told] = [0, 0, 0, 0];
  let guess: number | undefined;
  const drawnBy = (lane: LaneNow, i: number, volts: number, at: number): number =>
    lane.drawnAt(volts, step.places[i]!, step.speeds[i]!, at);
  // Asked several times a step: no room is made for it anew.
  const drawnAt = (volts: number): number => {
    let sum = stands;
    for (let i = 0; i < lanes.length; i++) sum += drawnBy(lanes[i]!, i, volts, now);
    return sum;
  };
  const settle = (at: number): SettledPack => {
    now = at;
    return settleShared(shared, drawnAt, guess);
  };
  const rest = (i: number): void => {
    lanes[i]!.rest(time);
    guess = undefined;
  };

  while (time < length - SHORTEST) {
    const [over, begun] = [goes.endByClock(time), goes.beginDue(time, pack.mainTripsAt !== undefined)];
    if (over || begun) guess = undefined;
    stands = standingAt(script, time);
    shared.rest = robot.pack.restAt(pack.charge);
    step.reset();
    const before = settle(time);
    guess = before.collapsed ? undefined : before.volts;
    lanes.forEach((lane, i) => {
      lane.current = drawnBy(lane, i, before.volts, time);
      lane.motorCurrent = motorCurrentOf(lane, before.volts, time);
      lane.peak = Math.max(lane.peak, lane.current);
    });
    watch.see(time, before, shared.rest, pack, stands);

    const pace = lanes.reduce((least, lane) => Math.min(least, paceOf(lane, longest)), CALM);
    const next = Math.min(goes.next, edges.find((edge) => edge > time + SHORTEST) ?? length, ...lanes.map(endOf));
    let h = Math.max(SHORTEST, Math.min(pace, next - time));
    const advance = () => step.advance(time, h, before.volts, (at) => settle(at).volts);
    advance();
    for (let again = 0; again < 3; again++) {
      const share = step.firstEvent(h);
      if (share >= 1 - 1e-9) break;
      h = Math.max(SHORTEST, h * share);
      advance();
    }
    const after = settle(time + h);
    lanes.forEach((lane, i) => {
      const current = drawnBy(lane, i, after.volts, time + h);
      if (lane.mover && lane.moves) {
        lane.mover.place = step.places[i]!;
        lane.mover.speed = step.speeds[i]!;
        lane.mover.heed(lane.mover.place * (1 + NEARLY), lane.mover.speed * (1 + NEARLY));
      }
      lane.count(time, h, current, motorCurrentOf(lane, after.volts, time + h), [before.volts, after.volts]);
    });
    pack.count(time, h, before, after, shared.rest, stands);
    time += h;

    lanes.forEach((lane, i) => {
      if (pack.mainTripsAt !== undefined || lane.tripsAt !== undefined) {
        if (!lane.mover && !lane.timed) return;
        goes.end(i, 'tripped', time);
        rest(i);
      } else if (lane.due && lane.mover) {
        const { mover } = lane;
        if (hasArrived(lane, mover.place * (1 + NEARLY), mover.speed * (1 + NEARLY))) {
          goes.arrive(i, time);
          guess = undefined;
        } else if (mover.runsPast(travelOf(lane))) {
          goes.end(i, 'ran past', time);
          rest(i);
        } else if (mover.brakes && mover.speed <= 0) mover.tell(mover.command, time);
        else if (stuck(lane, time)) {
          goes.end(i, 'stalled', time);
          rest(i);
        }
      }
      if (time - lane.warmedAt >= WARM_EVERY) lane.warm(time);
    });
    if (time - told > TOLD_EVERY) {
      told = time;
      yield time / length;
    }
  }
  const { charge, taken, flowed, energy, standing, wire, mainHeat, mainPeak, mainTripsAt } = pack;
  return {
    length,
    goes: goes.cutOff(time),
    lanes: lanes.map((lane) => lane.result()),
    ...watch.result(),
    main: robot.pack.main && { peak: mainPeak, tripsAt: mainTripsAt },
    charge: taken,
    flowed,
    left: robot.pack.capacity === undefined ? undefined : charge,
    energy,
    standing,
    wire,
    end: {
      charge,
      lumps: lanes.map(({ lumps }) => lumps),
      branches: lanes.map(({ branchHeat }) => branchHeat),
      main: mainHeat,
    },
  };
}

/** The whole match at once. */
export function simulateMatch(robot: RobotOnPack, script: MatchScript, options: MatchOptions = {}): MatchResult {
  return atOnce(marchMatch(robot, script, options));
}

const startOf = (start: MatchStart | undefined, i: number) => ({
  lumps: start?.lumps[i],
  branch: start?.branches[i] ?? 0,
});

const standingAt = ({ draws }: MatchScript, time: number): number =>
  draws.reduce((sum, { current, from, to = Infinity }) => (time >= from && time < to ? sum + current : sum), 0);

const motorCurrentOf = ({ mover }: LaneNow, volts: number, time: number): number =>
  mover ? mover.at(volts, mover.place, mover.speed, time).motorCurrent : 0;

const travelOf = ({ job }: LaneNow): number => (job?.kind === 'moved' ? (job.asked.travel ?? Infinity) : Infinity);

/** When a lane is over by the clock, s. */
const endOf = ({ until, timed }: LaneNow): number => Math.min(until, timed ? timed.since + timed.run.time : Infinity);

/** How long a step it may take: what goes steadily, or stands and holds, needs no short ones. */
function paceOf({ mover, moves, timed }: LaneNow, longest: number): number {
  if (timed) return TIMED_STEP;
  if (!mover || !moves) return CALM;
  const steady = mover.speed > 0 && Math.abs(mover.pull.acceleration) * longest < STEADY * mover.speed;
  return steady ? STEADY_STEPS * longest : longest;
}

/** Pushing at something that does not move, for as long as its job lasts. */
function stuck({ mover, began, job }: LaneNow, time: number): boolean {
  if (!mover || job?.kind !== 'moved' || mover.speed > 0) return false;
  const { time: asked, every } = job.asked;
  return mover.pull.acceleration <= 0 && time - began >= Math.min(asked, every);
}
