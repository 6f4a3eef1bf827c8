import type { Need } from '../../../plan/figures/figure.js';
import type { StepPath } from '../../../path/powerpath/stepPath.js';
import { div, mul, named, pow, sub, type Expression } from '../../../path/worked/expression.js';
import {
  askedAccelerationOf,
  backEfficiencyOf,
  efficiencyOf,
  figureOf,
  leverOf,
  motorsOf,
} from '../../../path/terms/pathTerms.js';
import type { Limit } from '../limit.js';
import type { Situation, SituationId } from '../situation.js';

/** What a limit of a motor that takes pulses says of itself; capacity and working follow from its torque. */
interface StepSpec extends Omit<Limit<StepPath>, 'electric' | 'needs' | 'capacity' | 'working' | 'link'> {
  /** Torque of one motor at which the limit is reached, N·m. */
  torque(path: StepPath, situation: Situation): number;
  torqueWorking(path: StepPath, situation: Situation): Expression;
}

const BASE: readonly Need[] = ['motor', 'driver', 'pack', 'wiring', 'train', 'output', 'load'];

function needsOf(situation: SituationId): readonly Need[] {
  if (situation === 'holding') return BASE;
  return situation === 'starting' ? [...BASE, 'job', 'rotor'] : [...BASE, 'job'];
}

/** Makes a rung of a motor torque: n·T·(G/r)·η, less what speeds up the rotors; where the load pushes back n·T·(G/r)/ηb. */
export function stepLimit({ torque, torqueWorking, ...spec }: StepSpec): Limit<StepPath> {
  return {
    ...spec,
    link: 'motor',
    electric: false,
    needs: needsOf,
    capacity: (path, situation) => forceOf(path, situation, torque(path, situation)),
    working: (path, situation) => forceWorking(path, situation, torqueWorking(path, situation)),
  };
}

function forceOf({ train, radius, motors, step }: StepPath, situation: Situation, torque: number): number {
  const lever = train.total / radius;
  if (situation.back) return train.backEfficiency === 0 ? Infinity : (motors * torque * lever) / train.backEfficiency;
  const driving = motors * torque * lever * train.efficiency;
  if (situation.id === 'working') return driving;
  return driving - motors * step.rotorInertia * lever * lever * train.efficiency * situation.acceleration;
}

function forceWorking(path: StepPath, situation: Situation, torque: Expression): Expression {
  const force = path.load.unit === 'm' ? 'force' : 'torque';
  if (situation.back)
    return named(
      'C',
      'what it can hold',
      force,
      div(mul(motorsOf(path), torque, leverOf(path)), backEfficiencyOf(path)),
    );
  const driving = mul(motorsOf(path), torque, leverOf(path), efficiencyOf(path));
  if (situation.id === 'working') return named('C', 'what it can pull', force, driving);
  const inertia = figureOf(path, path.step.kind === 'stepper' ? 'stepper.rotorInertia' : 'stepServo.rotorInertia');
  const rotors = mul(motorsOf(path), inertia, pow(leverOf(path), 2), efficiencyOf(path), askedAccelerationOf(path));
  return named('C', 'what it can pull', force, sub(driving, rotors));
}
