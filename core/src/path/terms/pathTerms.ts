import { jobKindOf } from '../job/table.js';
import { cellRestVoltage } from '../../models/pack/restVoltage.js';
import type { PowerPath } from '../powerpath/path.js';
import { add, cos, div, found, min, mul, named, num, pow, sqrt, sub, type Expression } from '../worked/expression.js';
import { figureOf, knows } from '../worked/leaf.js';

export { figureOf } from '../worked/leaf.js';

/** The recurring terms of the formulas, each as a named step built from a path's figures. */

export const motorsOf = (path: PowerPath): Expression => named('n', 'motors in all', 'number', num(path.motors));

const onSheet = (path: PowerPath): boolean => 'motor.stallTorque' in path.figures;
const byTurns = (path: PowerPath): boolean => 'motor.turns' in path.figures;

/** Turns, and length where it is known, over the reference's. */
function overReference(path: PowerPath, turns: number): Expression {
  const ratio = div(figureOf(path, 'motor.turns'), figureOf(path, 'motor.referenceTurns'));
  const winding = turns === 1 ? ratio : pow(ratio, turns);
  if (!knows(path, 'motor.referenceLength')) return winding;
  return mul(winding, div(figureOf(path, 'motor.canLength'), figureOf(path, 'motor.referenceLength')));
}

function kvOf(path: PowerPath): Expression {
  if (!byTurns(path)) return figureOf(path, 'motor.kv');
  return named('K_v', 'Kv by its turns', 'kv', div(figureOf(path, 'motor.referenceKv'), overReference(path, 1)));
}

/** I0, or what the turns make of the reference's. */
export function freeCurrentOf(path: PowerPath): Expression {
  const of = byTurns(path)
    ? named(
        'I_{0,N}',
        'free current by its turns',
        'current',
        div(figureOf(path, 'motor.referenceFreeCurrent'), overReference(path, 1)),
      )
    : figureOf(path, 'motor.freeCurrent');
  if (!isTimed(path)) return of;
  return named('I_{0,\\delta}', 'free current, timed ahead', 'current', div(of, cos(figureOf(path, 'drive.timing'))));
}

/**
 * R = Vr/Is, or as given.
 *
 * @example valueOf(resistanceOf(path)) //=> 0.1017
 */
export function resistanceOf(path: PowerPath): Expression {
  const of = onSheet(path)
    ? div(figureOf(path, 'motor.ratedVoltage'), figureOf(path, 'motor.stallCurrent'))
    : byTurns(path)
      ? mul(figureOf(path, 'motor.referenceResistance'), overReference(path, 2))
      : figureOf(path, 'motor.resistance');
  return named('R', 'motor resistance', 'resistance', of);
}

export function torqueConstantOf(path: PowerPath): Expression {
  const of = onSheet(path)
    ? div(
        figureOf(path, 'motor.stallTorque'),
        sub(figureOf(path, 'motor.stallCurrent'), figureOf(path, 'motor.freeCurrent')),
      )
    : div(num(1), kvOf(path));
  return named('K_t', 'torque constant', 'torque constant', timed(path, of));
}

export function backEmfConstantOf(path: PowerPath): Expression {
  const of = onSheet(path)
    ? div(
        sub(figureOf(path, 'motor.ratedVoltage'), mul(figureOf(path, 'motor.freeCurrent'), resistanceOf(path))),
        figureOf(path, 'motor.freeSpeed'),
      )
    : div(num(1), kvOf(path));
  return named('K_e', 'back-EMF constant', 'back-EMF constant', timed(path, of));
}

/** Kt and Ke go with the cosine of how far the motor is timed ahead. */
const timed = (path: PowerPath, of: Expression): Expression =>
  isTimed(path) ? mul(of, cos(figureOf(path, 'drive.timing'))) : of;
const isTimed = (path: PowerPath): boolean => (path.figures['drive.timing']?.value ?? 0) !== 0;

/** Ke·ω, and what brushes drop where the motor's figures do not contain it. */
export function voltsAgainstOf(path: PowerPath, speed: Expression): Expression {
  const emf = mul(backEmfConstantOf(path), speed);
  return 'motor.brushDrop' in path.figures ? add(emf, figureOf(path, 'motor.brushDrop')) : emf;
}

/** R' = R + Ron */
export const loopOf = (path: PowerPath): Expression =>
  named(
    "R'",
    'motor and controller resistance',
    'resistance',
    add(resistanceOf(path), figureOf(path, 'controller.resistance')),
  );

export function packResistanceOf(path: PowerPath): Expression {
  const { series, parallel } = path.pack.figures;
  return named(
    'R_p',
    'pack resistance',
    'resistance',
    add(
      mul(div(num(series), num(parallel)), figureOf(path, 'pack.cellResistance')),
      figureOf(path, 'pack.leadResistance'),
    ),
  );
}

function wireOf(path: PowerPath, where: 'main' | 'branch'): Expression {
  const diameter = mul(num(0.000127), {
    op: 'pow',
    args: [num(92), div(sub(num(36), figureOf(path, `${where}.gauge`)), num(39))],
  });
  return named(
    `R_{${where}}`,
    `${where} wire, both ways`,
    'resistance',
    div(
      mul(num(1.724e-8), num(2), figureOf(path, `${where}.length`)),
      mul(num(Math.PI / 4), pow(named(`d_{${where}}`, `${where} wire diameter`, 'length', diameter), 2)),
    ),
  );
}

const hasWire = (path: PowerPath, where: string): boolean => `${where}.gauge` in path.figures;

/** A wire and the plugs along it. */
function runOf(path: PowerPath, where: 'main' | 'branch'): Expression {
  const plugs = mul(figureOf(path, `${where}.connectors`), figureOf(path, `${where}.connectorResistance`));
  return add(wireOf(path, where), plugs);
}

/** Pack and main wire: what all consumers have in common, Ω. */
export function sharedResistanceOf(path: PowerPath): Expression {
  return hasWire(path, 'main') ? add(packResistanceOf(path), runOf(path, 'main')) : packResistanceOf(path);
}

/** Rs: what one motor feels in front of its controller. */
export function supplyResistanceOf(path: PowerPath): Expression {
  const shared = mul(motorsOf(path), sharedResistanceOf(path));
  const branch = hasWire(path, 'branch') ? runOf(path, 'branch') : num(0);
  const of = add(shared, path.branch.together ? mul(motorsOf(path), branch) : branch);
  return named('R_s', 'supply resistance as one motor feels it', 'resistance', of);
}

/**
 * Voc, lowered by what the rest of the robot draws.
 *
 * @example valueOf(restVoltageOf(path)) //=> 12.24
 */
export function restVoltageOf(path: PowerPath): Expression {
  const { chemistry, series } = path.pack.figures;
  const cell = found(
    'V_{cell}',
    'cell at rest',
    'voltage',
    cellRestVoltage(chemistry, path.pack.charge),
    `the ${chemistry} table at a charge of ${path.pack.charge}`,
  );
  return named(
    'V_{oc}',
    'pack at rest',
    'voltage',
    sub(mul(num(series), cell), mul(sharedResistanceOf(path), figureOf(path, 'pack.others'))),
  );
}

/**
 * G, the product of the stages.
 *
 * @example valueOf(totalOf(path)) //=> 9
 */
export function totalOf(path: PowerPath): Expression {
  const ratios = path.stages.map((stage): Expression => {
    if (stage.kind === 'ratio' || stage.kind === 'planetary') return figureOf(path, `stage.${stage.id}.ratio`);
    if (stage.kind === 'screw') return div(num(2 * Math.PI), figureOf(path, `stage.${stage.id}.lead`));
    if (stage.kind === 'worm') return div(num(stage.teeth), num(stage.starts));
    return div(num(stage.driven, 'driven teeth'), num(stage.driver, 'driver teeth'));
  });
  return named('G', 'total reduction', 'ratio', ratios.length === 0 ? num(1) : mul(...ratios));
}

/**
 * η forwards, the output's own loss included.
 *
 * @example valueOf(efficiencyOf(path)) //=> 0.8664
 */
export function efficiencyOf(path: PowerPath): Expression {
  return named(
    '\\eta',
    'efficiency of the train',
    'share',
    efficiencyProduct(
      path,
      (eta) => eta,
      (screw) => screw.efficiency,
    ),
  );
}

/** ηb when the load drives: 2 − 1/η of each. */
export function backEfficiencyOf(path: PowerPath): Expression {
  const back = (eta: Expression): Expression => ({ op: 'max', args: [num(0), sub(num(2), div(num(1), eta))] });
  return named(
    '\\eta_b',
    'efficiency when the load drives',
    'share',
    efficiencyProduct(path, back, (screw) => screw.backEfficiency),
  );
}

function efficiencyProduct(
  path: PowerPath,
  of: (eta: Expression) => Expression,
  ofScrew: (stage: { efficiency: number; backEfficiency: number }) => number,
): Expression {
  const stages = path.stages.map((stage, i): Expression => {
    const key = `stage.${stage.id}.efficiency`;
    if (key in path.figures) return of(figureOf(path, key));
    return found(
      `\\eta_{${i + 1}}`,
      'screw or worm',
      'share',
      ofScrew(path.train.stages[i]!),
      'from lead angle and friction',
    );
  });
  const output = 'output.efficiency' in path.figures ? [of(figureOf(path, 'output.efficiency'))] : [];
  const all = [...stages, ...output];
  return all.length === 0 ? num(1) : mul(...all);
}

const radiusOf = (path: PowerPath): Expression => termsOf(path).radius(path);

/**
 * G/r
 *
 * @example valueOf(leverOf(path)) //=> 409.1
 */
export const leverOf = (path: PowerPath): Expression => div(totalOf(path), radiusOf(path));

const termsOf = (path: PowerPath) => jobKindOf(path.job.kind).terms;

/** What the tyres carry. Throws of a job where nothing can slip. */
export function carriedOf(path: PowerPath): Expression {
  const carried = termsOf(path).carried?.(path);
  if (!carried) throw new Error(`nothing slips at ${path.job.kind}`);
  return carried;
}

/** The load without friction at a place of q, with what pushes on it from outside while it is held. */
export function holdForceOf(path: PowerPath, place: number): Expression {
  const own = termsOf(path).hold(path, place);
  const figure = turns(path) ? 'job.heldAgainstTurn' : 'job.heldAgainst';
  if (!knows(path, figure)) return own;
  const side = knows(path, 'output.loadPerRope')
    ? mul(figureOf(path, figure), figureOf(path, 'output.loadPerRope'))
    : figureOf(path, figure);
  return path.load.holdForce(place) < 0 ? sub(own, side) : add(own, side);
}

/** What resists while moving, at a place of q. */
export function resistingOf(path: PowerPath, place: number): Expression {
  const own = termsOf(path).resisting(path, place);
  if (!path.dragged) return own;
  const { count, force } = path.dragged;
  const how = `Kt·(I0 + I1·ω) of ${count}, through the train from its load end`;
  return add(own, found('F_{dr}', 'motors that only turn along', turns(path) ? 'torque' : 'force', force, how));
}

/** What resists while working, the way back after a go included. */
export function workingOfLoad(path: PowerPath, place: number): Expression {
  const { recovery } = termsOf(path);
  return recovery ? add(resistingOf(path, place), recovery(path)) : resistingOf(path, place);
}

export function inertiaOf(path: PowerPath): Expression {
  const own = termsOf(path).inertia(path);
  if (!path.dragged) return own;
  const dimension = turns(path) ? 'inertia' : 'mass';
  return add(own, found('M_{dr}', 'rotors that only turn along', dimension, path.dragged.inertia, 'n·J·(G/r)²'));
}

const turns = (path: PowerPath): boolean => path.load.unit === 'rad';

/** Typed figures are the load's own; on a rope that moves more than itself they are divided by k. */
function typedOf(path: PowerPath, key: string): Expression | undefined {
  if (!knows(path, key)) return undefined;
  return knows(path, 'output.loadPerRope')
    ? div(figureOf(path, key), figureOf(path, 'output.loadPerRope'))
    : figureOf(path, key);
}

export function askedSpeedOf(path: PowerPath): Expression {
  const { travel, target } = termsOf(path);
  const say = (of: Expression) => named('v', 'speed the job needs', turns(path) ? 'speed' : 'velocity', of);
  if (target) return say(target(path));
  if (!travel) return say(figureOf(path, 'job.pushSpeed'));
  if (path.asked.pulses === 'ramp') {
    const wanted = rampSpeedOf(path);
    return say(min(wanted, sqrt(mul(rampAccelerationOf(path, wanted), travel(path)))));
  }
  return say(
    typedOf(path, turns(path) ? 'job.turnSpeed' : 'job.speed') ?? div(travel(path), figureOf(path, 'job.time')),
  );
}

export function askedAccelerationOf(path: PowerPath): Expression {
  const { travel, target } = termsOf(path);
  const say = (of: Expression) =>
    named('a', 'acceleration the job needs', turns(path) ? 'angular acceleration' : 'acceleration', of);
  if (target) return say(div(target(path), figureOf(path, 'job.time')));
  if (!travel || path.asked.pulses === 'at once') return say(num(0));
  if (path.asked.pulses === 'ramp') return say(rampAccelerationOf(path, rampSpeedOf(path)));
  const typed = typedOf(path, turns(path) ? 'job.turnAcceleration' : 'job.acceleration');
  return say(typed ?? div(mul(num(2), travel(path)), pow(figureOf(path, 'job.time'), 2)));
}

/** Along a ramp, a third of the time each goes into speeding up, going and slowing down: v = 1.5·s/t. */
function rampSpeedOf(path: PowerPath): Expression {
  const typed = typedOf(path, turns(path) ? 'job.turnSpeed' : 'job.speed');
  return typed ?? div(mul(num(1.5), termsOf(path).travel!(path)), figureOf(path, 'job.time'));
}

/** a = 3·v/t */
function rampAccelerationOf(path: PowerPath, speed: Expression): Expression {
  const typed = typedOf(path, turns(path) ? 'job.turnAcceleration' : 'job.acceleration');
  return typed ?? div(mul(num(3), speed), figureOf(path, 'job.time'));
}

/** Seconds the working situation lasts. */
export function workingSecondsOf(path: PowerPath): Expression {
  return jobKindOf(path.job.kind).workingSeconds?.(path) ?? figureOf(path, 'job.time');
}

export function dutyShareOf(path: PowerPath): Expression {
  return named('\\delta', 'share of the time at work', 'share', {
    op: 'min',
    args: [num(1), div(workingSecondsOf(path), figureOf(path, 'job.every'))],
  });
}
