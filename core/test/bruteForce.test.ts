import { describe, expect, it } from 'vitest';
import {
  bendingStress,
  resolveDcPath,
  evaluateMechanism,
  situationOf,
  type Plan,
  type DcPath,
  type Rung,
} from '../src/index.js';
import { plainPlan, mechanismOf, typed, withChange } from './demo.js';

/**
 * The ladder against a search that knows nothing of it: the load is ramped up in a motion worked out here,
 * from voltages and resistances alone, and whatever breaks first, breaks. Nothing of limits/ is used.
 */

interface Moment {
  readonly motorCurrent: number;
  readonly supplyCurrent: number;
  readonly packVoltage: number;
}

/** What flows while one motor pulls a torque at a speed: by halving the duty, from Kirchhoff's laws. */
function flows(path: DcPath, torque: number, omega: number): Moment | undefined {
  const { motor, controllerResistance, supplyResistance, restVoltage, greatestDuty } = path.drive;
  const wanted = torque / motor.torqueConstant + motor.freeCurrent + motor.freeCurrentPerSpeed * omega;
  const at = (duty: number): Moment => {
    const current =
      (duty * restVoltage - motor.backEmfConstant * omega) /
      (motor.resistance + controllerResistance + duty * duty * supplyResistance);
    return {
      motorCurrent: current,
      supplyCurrent: duty * current,
      packVoltage: restVoltage - supplyResistance * duty * current,
    };
  };
  if (at(greatestDuty).motorCurrent < wanted) return undefined;
  let [low, high] = [0, greatestDuty];
  for (let i = 0; i < 100; i++) {
    const middle = (low + high) / 2;
    if (at(middle).motorCurrent < wanted) low = middle;
    else high = middle;
  }
  return at(high);
}

/** Heat of a breaker after pushing a time, in plain steps. */
function heatAfter(current: number, holds: number, tau: number, seconds: number, start: number): number {
  let heat = start;
  const steps = 4000;
  for (let i = 0; i < steps; i++) heat += ((current / holds) ** 2 - heat) * (seconds / steps / tau);
  return heat;
}

/** Everything that is broken while the output pulls `times` the job's own force. */
function broken(path: DcPath, situation: 'starting' | 'working', times: number): readonly string[] {
  const { drive, train, radius, load, asked, main, branch, controller, pack, motor, rope } = path;
  const v = situation === 'working' ? asked.speed : 0;
  const a = situation === 'starting' ? asked.acceleration : 0;
  const places = Array.from({ length: 401 }, (_, i) => ((asked.travel ?? 0) * i) / 400);
  const own = Math.max(...places.map((q) => load.force(q, v) + load.inertia(q) * a));
  const demand =
    own * (situation === 'starting' ? asked.shock : 1) + (situation === 'working' ? (asked.recovery ?? 0) : 0);
  const force = times * demand;
  const lever = train.total / radius;
  const torque = force / (drive.motors * lever * train.efficiency) + drive.rotorInertia * lever * a;
  const omega = v * lever;
  const found: string[] = [];
  if (load.traction !== undefined && force > load.traction) found.push('slip');
  if (rope && force > rope.strength / (rope.knotted ? 10 : 5)) found.push('rope');
  found.push(...brokenStages(path, force, omega));
  const moment = flows(path, torque, omega);
  if (!moment) return [...found, 'volts'];
  const each = moment.supplyCurrent;
  const all = drive.motors * each + pack.others;
  if (moment.motorCurrent > (drive.statorLimit ?? Infinity)) found.push('stator');
  if (each > (drive.supplyLimit ?? Infinity)) found.push('supply');
  // Cells, boards and controller each feel the wires up to them.
  const wire = main?.wireResistance ?? 0;
  const open = drive.restVoltage + (pack.resistance + wire) * pack.others;
  const atCells = open - pack.resistance * (pack.others + drive.motors * each);
  const atBoards = atCells - wire * (pack.others + drive.motors * each);
  if (atCells < pack.floor || atBoards < pack.brownOut || moment.packVoltage < controller.lowestVoltage)
    found.push('brown-out');
  if (all > pack.dischargeLimit) found.push('discharge');
  if (situation === 'working' && moment.motorCurrent > motor.continuousCurrent / Math.sqrt(asked.dutyShare))
    found.push('continuous');
  // The breakers carry the job's own working current before, over its share of the time.
  const before = flows(
    path,
    Math.max(...places.map((q) => load.force(q, asked.speed))) / (drive.motors * lever * train.efficiency),
    asked.speed * lever,
  );
  const seconds = situation === 'working' ? asked.workingSeconds : a > 0 ? asked.speed / a : asked.time;
  const trips = (name: string, protection: typeof main, share: number, others: number) => {
    if (!protection?.breaker) return;
    const carried = before?.supplyCurrent ?? drive.restVoltage / (2 * drive.supplyResistance);
    const holds = protection.breaker.rated * protection.breaker.holdMultiple;
    const start = Math.min(1, asked.dutyShare * ((share * carried + others) / holds) ** 2);
    if (heatAfter(share * each + others, holds, protection.breaker.timeConstant, seconds, start) >= 1) found.push(name);
  };
  trips('branch-breaker', branch, branch.together ? drive.motors : 1, 0);
  trips('main-breaker', main, drive.motors, pack.others);
  return found;
}

/** Teeth, chains, belts and shafts, each by its own plain mechanics, from the output's force backwards. */
function brokenStages(path: DcPath, force: number, omega: number): readonly string[] {
  const found: string[] = [];
  const { stages } = path.train;
  let torque = (force * path.radius) / stages.at(-1)!.efficiency;
  for (let i = path.stageParts.length - 1; i >= 0; i--) {
    const parts = path.stageParts[i]!;
    const { ratio, efficiency } = stages[i]!;
    const behind = torque;
    torque /= ratio * efficiency;
    if (parts.shaft) {
      // Bending by the wheel's pull beside its bearing, and torsion; the hexagon by its own formula too.
      const bending = parts.drivenRadius > 0 ? (behind / parts.drivenRadius) * parts.shaft.overhang : 0;
      const round = (16 * Math.hypot(behind, bending)) / (Math.PI * parts.shaft.size ** 3);
      const stress = parts.shaft.form === 'hexagon' ? Math.max(round, behind / (0.188 * parts.shaft.size ** 3)) : round;
      if (stress > parts.shaft.allowable) found.push('shaft');
    }
    const first = i === 0 ? torque / path.motors : torque;
    if (parts.kind === 'teeth') {
      const speed = omega / stages.slice(0, i).reduce((total, stage) => total * stage.ratio, 1);
      const over = [parts.driver, parts.driven].some((teeth) => {
        const own = { module: parts.pitch, teeth, face: parts.face };
        return bendingStress(own, (first * teeth) / parts.driver, (speed * parts.driver) / teeth) > parts.allowable;
      });
      if (over) found.push('tooth');
    } else if (parts.kind === 'chain') {
      const pull = torque / parts.driverRadius;
      if (pull > parts.strength) found.push('chain-snap');
      // Tooth by tooth, what is left of the pull; the slack strand must hold the rest.
      const wrap = Math.PI - 2 * Math.asin((parts.drivenRadius - parts.driverRadius) / parts.centre);
      const angle = ((17.5 - 64 / parts.driver + (parts.wear / 0.03) * (17.5 - 56 / parts.driver)) * Math.PI) / 180;
      let left = pull;
      for (let tooth = 1; tooth <= (parts.driver * wrap) / (2 * Math.PI); tooth++)
        left *= Math.sin(angle) / Math.sin(angle + (2 * Math.PI) / parts.driver);
      if (left > parts.tension) found.push('chain-skip');
    } else if (parts.kind === 'belt') {
      const pull = torque / parts.driverRadius;
      if (parts.tension - pull / 2 < 0) found.push('belt-skip');
      if (pull > parts.ratedPull) found.push('belt-shear');
    } else if ('ratedTorque' in parts && parts.ratedTorque !== undefined) {
      if (behind / (i === 0 ? path.motors : 1) > parts.ratedTorque) found.push('gearbox');
    }
  }
  return found;
}

/** Ramps the load up until something breaks, then finds the very point by halving. */
function rampedUp(
  path: DcPath,
  situation: 'starting' | 'working',
  breaks = (found: readonly string[]): boolean => found.length > 0,
) {
  let high = 0.02;
  while (!breaks(broken(path, situation, high))) high *= 1.15;
  let low = high / 1.15;
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2;
    if (!breaks(broken(path, situation, middle))) low = middle;
    else high = middle;
  }
  return { multiple: high, first: broken(path, situation, high * (1 + 1e-9)) };
}

/** The first of what breaks, then the second: whatever is not out of the way yet. */
const heron = plainPlan('heron');
const known = withChange(heron, ['parts', 'motor-2', 'part', 'data', 'resistance'], typed(0.042));
const PLANS: readonly (readonly [name: string, plan: Plan])[] = [
  ['the demo', known],
  ['a small breaker', withChange(known, ['parts', 'breaker-2', 'part', 'rated'], typed(10))],
  ['a weak rope', withChange(known, ['mechanisms', 1, 'choices', 0, 'output', 'ropeStrength'], typed(1100))],
  ['a tired pack', withChange(known, ['parts', 'pack-1', 'part', 'cellResistance'], typed(0.012))],
  ['little grip', withChange(known, ['mechanisms', 0, 'choices', 0, 'output', 'grip'], typed(0.5))],
  [
    'limits far up',
    withChange(
      withChange(known, ['parts', 'controller-1', 'part', 'statorLimit'], typed(300)),
      ['parts', 'controller-1', 'part', 'supplyLimit'],
      typed(200),
    ),
  ],
  ['Limpet', plainPlan('limpet')],
];

/** At rest it breaks at so much of the force; at the speed or the acceleration that it reaches, at all of it. */
function fallsShort(path: DcPath, situation: 'starting' | 'working', { id, multiple, shortfall }: Rung): void {
  const at =
    shortfall!.kind === 'stalls'
      ? { [situation === 'working' ? 'speed' : 'acceleration']: 0 }
      : { [shortfall!.kind === 'too slow' ? 'speed' : 'acceleration']: Object.values(shortfall!)[1] as number };
  const slower: DcPath = { ...path, asked: { ...path.asked, ...at } };
  const ramped = rampedUp(slower, situation, (found) => found.includes(id));
  const wanted =
    situation === 'working' ? situationOf(path, situation).demand / situationOf(slower, situation).demand : 1;
  const share = shortfall!.kind === 'stalls' ? multiple! : 1;
  expect(Math.abs(ramped.multiple / (share * wanted) - 1), id).toBeLessThan(2e-3);
}

describe('what gives first', () => {
  it.each(PLANS)('%s: a ramped load breaks the same first, at the same multiple', (_name, plan) => {
    let compared = 0;
    for (const mechanism of plan.mechanisms) {
      for (const job of evaluateMechanism(plan, mechanism).jobs) {
        for (const situation of ['starting', 'working'] as const) {
          const ladder = job.ladders[situation];
          if (ladder.idle || !ladder.first || ladder.first.id === 'buckling') continue;
          const path = resolveDcPath(plan, mechanismOf(plan, mechanism.id), job.jobId);
          // A load that drives from its start on is held, not pulled.
          if (situationOf(path, situation).back) continue;
          if (ladder.first.shortfall) {
            fallsShort(path, situation, ladder.first);
            continue;
          }
          const ramped = rampedUp(path, situation);
          const said = `${mechanism.name}, ${job.name}, ${situation}`;
          expect(ramped.first, said).toContain(ladder.first.id);
          expect(Math.abs(ramped.multiple / ladder.first.multiple! - 1), said).toBeLessThan(2e-3);
          compared++;
        }
      }
    }
    expect(compared).toBeGreaterThan(4);
  });

  it('what falls short stalls at the share of the force, or moves at the share of the speed, that it says', () => {
    const kinds = new Set<string>();
    for (const mass of [26, 30, 34, 38, 42, 46, 55, 70, 90, 120])
      for (const time of [0.6, 1.6, 4]) {
        const job = ['mechanisms', 1, 'jobs', 0];
        const plan = withChange(withChange(known, [...job, 'mass'], typed(mass)), [...job, 'time'], typed(time));
        const path = resolveDcPath(plan, mechanismOf(plan, 'lift'), 'raise');
        const { ladders } = evaluateMechanism(plan, mechanismOf(plan, 'lift')).jobs[0]!;
        for (const situation of ['starting', 'working'] as const)
          for (const rung of ladders[situation].rungs) {
            // What the volts do not reach is looked at by itself.
            if (!rung.shortfall || !['volts', 'supply', 'stator'].includes(rung.id)) continue;
            kinds.add(`${rung.id} ${rung.shortfall.kind}`);
            fallsShort(path, situation, rung);
          }
      }
    expect([...kinds].sort()).toEqual([
      'stator stalls',
      'stator starts slowly',
      'supply stalls',
      'supply starts slowly',
      'supply too slow',
      'volts stalls',
      'volts starts slowly',
      'volts too slow',
    ]);
  });

  it('breaks the rungs in the ladder’s own order', () => {
    for (const id of ['lift', 'drive', 'climb', 'intake']) {
      const mechanism = mechanismOf(known, id);
      const path = resolveDcPath(known, mechanism, mechanism.jobs[0]!.id);
      const { rungs } = evaluateMechanism(known, mechanism).jobs[0]!.ladders.working;
      const reachable = rungs.filter((rung) => !rung.outOfReach && rung.multiple !== undefined);
      const ceiling = reachable.find((rung) => rung.id === 'volts')?.multiple ?? Infinity;
      for (const rung of reachable.filter(
        ({ multiple, id: one }) => multiple! < ceiling * 0.999 && one !== 'buckling',
      )) {
        expect(broken(path, 'working', rung.multiple! * 1.003), `${id} above ${rung.id}`).toContain(rung.id);
        expect(broken(path, 'working', rung.multiple! * 0.997), `${id} below ${rung.id}`).not.toContain(rung.id);
      }
    }
  });
});
