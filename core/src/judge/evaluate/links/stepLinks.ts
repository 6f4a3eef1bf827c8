import { SITUATION_NEEDS } from '../../limits/situation.js';
import { counted } from '../../../plan/words/show.js';
import type { Operating } from '../../../path/powerpath/operating.js';
import { workingFlow } from '../../limits/workingFlow.js';
import { lacksOf, motorSpeed } from '../../../path/powerpath/path.js';
import { pulsesPerTurn, type StepPath } from '../../../path/powerpath/stepPath.js';
import { amperes, loadLinks, supplyLinks, type Judged, type Link } from './link.js';

/** The links of a path with a motor that takes pulses. */
export function stepLinks(path: StepPath, by: Judged): readonly Link[] {
  const flow = flowOf(path);
  const { step, motors } = path;
  const rate = (motorSpeed(path, path.commanded.speed) * pulsesPerTurn(path)) / (2 * Math.PI);
  const open = step.kind === 'stepper';
  return [
    ...supplyLinks(path, flow),
    {
      id: 'controller',
      kind: 'controller',
      title: 'Driver',
      detail: open
        ? `${step.microsteps === 1 ? 'full steps' : `${step.microsteps} micro-steps`}`
        : `${counted(step.stepsPerTurn, 'pulse')} a turn`,
      key: Number.isFinite(rate) ? { there: { value: rate, dimension: 'rate' }, join: '', word: 'pulses' } : undefined,
      passes: flow && open ? amperes(step.setCurrent) : undefined,
    },
    {
      id: 'motor',
      kind: 'motor',
      title: open
        ? motors === 1
          ? 'Stepper'
          : `${motors} steppers`
        : motors === 1
          ? 'Step servo'
          : `${motors} step servos`,
      detail: open ? 'open loop' : 'closed loop, alarms',
      key: flow && { there: { value: flow.motorSpeed, dimension: 'speed' }, join: '' },
      passes: flow && { value: flow.motorTorque * motors, dimension: 'torque' },
    },
    ...loadLinks(path, by, flow),
  ];
}

function flowOf(path: StepPath): Operating | undefined {
  const needs = [...SITUATION_NEEDS.working, 'motor', 'driver', 'pack', 'wiring', 'train'] as const;
  if (lacksOf(path, needs).length > 0) return undefined;
  return workingFlow(path);
}
