import type { Figure } from '../figures/figure.js';
import { GRAVITY } from '../load/gravity.js';
import { cellRestVoltage } from '../pack/restVoltage.js';
import type { PowerPath } from '../powerpath/path.js';
import { add, cos, div, fig, found, mul, named, num, pow, sin, sub, type Expression } from './expression.js';

/** The recurring terms of the formulas, each as a named step built from a path's figures. */

/** A figure of the path as a leaf. Throws where the path has none of that key. */
export function figureOf(path: PowerPath, key: string): Expression {
  const figure: Figure | undefined = path.figures[key];
  if (!figure) throw new Error(`this path has no figure ${key}`);
  return fig(figure);
}

export const motorsOf = (path: PowerPath): Expression => named('n', 'motors in all', 'number', num(path.drive.motors));

const onSheet = (path: PowerPath): boolean => 'motor.stallTorque' in path.figures;

/** R = Vr/Is, or as given. */
export function resistanceOf(path: PowerPath): Expression {
  const of = onSheet(path)
    ? div(figureOf(path, 'motor.ratedVoltage'), figureOf(path, 'motor.stallCurrent'))
    : figureOf(path, 'motor.resistance');
  return named('R', 'motor resistance', 'resistance', of);
}

export function torqueConstantOf(path: PowerPath): Expression {
  const of = onSheet(path)
    ? div(
        figureOf(path, 'motor.stallTorque'),
        sub(figureOf(path, 'motor.stallCurrent'), figureOf(path, 'motor.freeCurrent')),
      )
    : div(num(1), figureOf(path, 'motor.kv'));
  return named('K_t', 'torque constant, N·m/A', 'number', of);
}

export function backEmfConstantOf(path: PowerPath): Expression {
  const of = onSheet(path)
    ? div(
        sub(figureOf(path, 'motor.ratedVoltage'), mul(figureOf(path, 'motor.freeCurrent'), resistanceOf(path))),
        figureOf(path, 'motor.freeSpeed'),
      )
    : div(num(1), figureOf(path, 'motor.kv'));
  return named('K_e', 'back-EMF constant, V·s/rad', 'number', of);
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

function sharedOf(path: PowerPath): Expression {
  return hasWire(path, 'main') ? add(packResistanceOf(path), wireOf(path, 'main')) : packResistanceOf(path);
}

/** Rs: what one motor feels in front of its controller. */
export function supplyResistanceOf(path: PowerPath): Expression {
  const shared = mul(motorsOf(path), sharedOf(path));
  const branch = hasWire(path, 'branch') ? wireOf(path, 'branch') : num(0);
  const of = add(shared, path.branch.together ? mul(motorsOf(path), branch) : branch);
  return named('R_s', 'supply resistance as one motor feels it', 'resistance', of);
}

/** Voc, lowered by what the rest of the robot draws. */
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
    sub(mul(num(series), cell), mul(sharedOf(path), figureOf(path, 'pack.others'))),
  );
}

/** G, the product of the stages. */
export function totalOf(path: PowerPath): Expression {
  const ratios = path.stages.map((stage): Expression => {
    if (stage.kind === 'ratio' || stage.kind === 'planetary') return figureOf(path, `stage.${stage.id}.ratio`);
    if (stage.kind === 'screw') return div(num(2 * Math.PI), figureOf(path, `stage.${stage.id}.lead`));
    if (stage.kind === 'worm') return div(num(stage.teeth), num(stage.starts));
    return div(num(stage.driven, 'driven teeth'), num(stage.driver, 'driver teeth'));
  });
  return named('G', 'total reduction', 'ratio', ratios.length === 0 ? num(1) : mul(...ratios));
}

/** η forwards, the output's own loss included. */
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

const radiusKey = (path: PowerPath): string =>
  'output.drumRadius' in path.figures ? 'output.drumRadius' : 'output.wheelRadius';

export const radiusOf = (path: PowerPath): Expression => figureOf(path, radiusKey(path));

/** G/r */
export const leverOf = (path: PowerPath): Expression => div(totalOf(path), radiusOf(path));

const weightOf = (path: PowerPath, massKey: string): Expression => mul(figureOf(path, massKey), num(GRAVITY));

/** The load without friction, on q. */
export function holdForceOf(path: PowerPath): Expression {
  if (path.job.kind === 'raise') {
    return mul(
      figureOf(path, 'output.loadPerRope'),
      sub(mul(weightOf(path, 'job.mass'), sin(figureOf(path, 'job.slope'))), figureOf(path, 'job.counterforce')),
    );
  }
  return mul(weightOf(path, 'output.mass'), sin(figureOf(path, 'job.slope')));
}

/** What resists while moving, on q. */
export function resistingOf(path: PowerPath): Expression {
  if (path.job.kind === 'raise') {
    const k = figureOf(path, 'output.loadPerRope');
    return add(holdForceOf(path), mul(k, figureOf(path, 'job.friction')));
  }
  const rolling = mul(
    weightOf(path, 'output.mass'),
    figureOf(path, 'output.rollingResistance'),
    cos(figureOf(path, 'job.slope')),
  );
  const terms = [holdForceOf(path), rolling];
  return path.job.kind === 'push' ? add(...terms, figureOf(path, 'job.push')) : add(...terms);
}

export function inertiaOf(path: PowerPath): Expression {
  if (path.job.kind !== 'raise') return figureOf(path, 'output.mass');
  return mul(pow(figureOf(path, 'output.loadPerRope'), 2), figureOf(path, 'job.mass'));
}

/** Travel on q: metres of rope for a lift. */
function travelOf(path: PowerPath): Expression {
  const distance = figureOf(path, 'job.distance');
  return path.job.kind === 'raise' ? div(distance, figureOf(path, 'output.loadPerRope')) : distance;
}

export function askedSpeedOf(path: PowerPath): Expression {
  if (path.job.kind === 'push') return named('v', 'speed the job needs', 'velocity', figureOf(path, 'job.pushSpeed'));
  const typed = path.figures['job.speed']?.value;
  const k = path.job.kind === 'raise' ? [figureOf(path, 'output.loadPerRope')] : [];
  const of =
    typed === undefined
      ? div(travelOf(path), figureOf(path, 'job.time'))
      : k[0]
        ? div(figureOf(path, 'job.speed'), k[0])
        : figureOf(path, 'job.speed');
  return named('v', 'speed the job needs', 'velocity', of);
}

export function askedAccelerationOf(path: PowerPath): Expression {
  if (path.job.kind === 'push') return named('a', 'acceleration the job needs', 'acceleration', num(0));
  const typed = path.figures['job.acceleration']?.value;
  const of =
    typed === undefined
      ? div(mul(num(2), travelOf(path)), pow(figureOf(path, 'job.time'), 2))
      : path.job.kind === 'raise'
        ? div(figureOf(path, 'job.acceleration'), figureOf(path, 'output.loadPerRope'))
        : figureOf(path, 'job.acceleration');
  return named('a', 'acceleration the job needs', 'acceleration', of);
}

export function dutyShareOf(path: PowerPath): Expression {
  return named('\\delta', 'share of the time at work', 'share', {
    op: 'min',
    args: [num(1), div(figureOf(path, 'job.time'), figureOf(path, 'job.every'))],
  });
}
