import { FigureCollector } from '../figures/collector.js';
import type { ControllerPart, MotorPart } from '../plan/part.js';
import { currentChoice, type Mechanism, type Plan } from '../plan/plan.js';
import { trainOf } from '../reduction/train.js';
import type { PowerPath } from './path.js';
import { resolveJob } from './resolveJob.js';
import { resolveMotor } from './resolveMotor.js';
import { resolveStage } from './resolveStages.js';
import { partOf, resolveSupply } from './resolveSupply.js';

/**
 * Puts one job of a mechanism's current choice together: every figure with its source, what is
 * missing by need, and the numbers the models compute with. Throws only where the document refers
 * to something that is not in it; a missing figure is never an error.
 */
export function resolvePath(plan: Plan, mechanism: Mechanism, jobId: string): PowerPath {
  const collect = new FigureCollector();
  const choice = currentChoice(mechanism);
  const jobIndex = mechanism.jobs.findIndex((job) => job.id === jobId);
  const job = mechanism.jobs[jobIndex];
  if (!job) throw new Error(`mechanism ${mechanism.name} has no job ${jobId}`);
  const mechanismAt = ['mechanisms', plan.mechanisms.indexOf(mechanism)];
  const choiceAt = [...mechanismAt, 'choices', mechanism.choices.indexOf(choice)];

  const motors = choice.drive.motors;
  const supply = resolveSupply(plan, choice.drive.node, motors, collect);
  const motorPart = partOf(plan, choice.drive.motor, 'motor');
  const controller = resolveController(plan, choice.drive, motorPart.type, choiceAt, collect);
  const motor = resolveMotor(motorPart, ['parts', choice.drive.motor, 'part'], collect);
  const stages = choice.stages.map((stage, i) => resolveStage(stage, [...choiceAt, 'stages', i], collect));
  const at = { job: [...mechanismAt, 'jobs', jobIndex], output: [...choiceAt, 'output'] };
  const { radius, outputEfficiency, load, asked, rope } = resolveJob(job, choice.output, at, collect);
  const output = { ratio: 1, efficiency: outputEfficiency, backEfficiency: Math.max(0, 2 - 1 / outputEfficiency) };

  return {
    mechanismId: mechanism.id,
    mechanismKind: mechanism.kind,
    job,
    figures: collect.figures(),
    lacks: collect.lacks(),
    drive: {
      motor: motor.constants,
      motors,
      rotorInertia: motor.rotorInertia,
      controllerResistance: controller.resistance,
      restVoltage: supply.restVoltage,
      supplyResistance: supply.supplyResistance,
      greatestDuty: controller.greatestDuty,
      ...(controller.statorLimit === undefined ? {} : { statorLimit: controller.statorLimit }),
      ...(controller.supplyLimit === undefined ? {} : { supplyLimit: controller.supplyLimit }),
    },
    pack: supply.pack,
    ...(supply.main ? { main: supply.main } : {}),
    branch: supply.branch,
    controller,
    motor: { ...motor, type: motorPart.type, polePairs: motorPart.polePairs },
    stages: choice.stages,
    train: trainOf([...stages, output]),
    radius,
    load,
    asked,
    holder: (choice.output.kind === 'drum' ? choice.output.holder : undefined) ?? 'nothing',
    ...(rope ? { rope } : {}),
  };
}

function resolveController(
  plan: Plan,
  drive: Mechanism['choices'][number]['drive'],
  type: MotorPart['type'],
  choiceAt: readonly (string | number)[],
  collect: FigureCollector,
) {
  const part: ControllerPart = partOf(plan, drive.controller, 'controller');
  const at = ['parts', drive.controller, 'part'];
  const driveAt = [...choiceAt, 'drive'];
  return {
    resistance: collect.take('controller.resistance', part.resistance, [...at, 'resistance']),
    statorLimit: collect.takeOptional('controller.statorLimit', drive.statorLimit ?? part.statorLimit, [
      ...driveAt,
      'statorLimit',
    ]),
    supplyLimit: collect.takeOptional('controller.supplyLimit', drive.supplyLimit ?? part.supplyLimit, [
      ...driveAt,
      'supplyLimit',
    ]),
    lowestVoltage: collect.take('controller.lowestVoltage', part.lowestVoltage, [...at, 'lowestVoltage']),
    highestVoltage: collect.take('controller.highestVoltage', part.highestVoltage, [...at, 'highestVoltage']),
    greatestDuty: collect.take('controller.greatestDuty', part.greatestDuty, [...at, 'greatestDuty']),
    // A brushed motor has no electrical speed, and lacks nothing without that limit.
    erpmLimit: type === 'brushless' ? collect.take('controller.erpmLimit', part.erpmLimit, [...at, 'erpmLimit']) : NaN,
    drives: part.drives,
  };
}
