import { wireCoils } from '../../path/edits/coils.js';
import { judgedOver } from '../../judge/evaluate/judgedOver.js';
import type { Headline } from '../../judge/evaluate/mechanism.js';
import { motorSpeed } from '../../path/powerpath/path.js';
import { applyChanges, type Change } from '../../plan/document/change.js';
import type { CoilWiring } from '../../plan/document/part.js';
import { mechanismById } from '../../plan/document/place.js';
import type { Plan } from '../../plan/document/plan.js';
import { cornerSpeed, lastSpeed, pullOut } from '../../models/stepper/pullOut.js';
import { wiringsOf } from '../../models/stepper/coilWiring.js';
import { designOf } from './place.js';

/** The same stepper with its half coils joined one way, on this mechanism. */
export interface CoilWiringRow {
  readonly wiring: CoilWiring;
  /** None for the way it is wired. */
  readonly changes: readonly Change[];
  readonly headline: Headline;
  /** r.m.s. of one phase: what warms it as much, and what the driver here is set to. */
  readonly ratedCurrent: number;
  readonly setCurrent: number;
  /** N·m at rest, and at the speed of the job, rad/s of the motor. */
  readonly atRest: number;
  readonly atJob: number;
  /** rad/s: flat up to here, and nothing left from there. */
  readonly corner: number;
  readonly last: number;
}

/** Every way a stepper of six or eight wires can be joined; empty for four, and for a step servo. */
export function coilWirings(plan: Plan, mechanismId: string, jobId: string): readonly CoilWiringRow[] {
  const { choice, choiceAt } = designOf(plan, mechanismId);
  const { drive } = choice;
  const part = drive.kind === 'step' ? plan.parts[drive.motor]?.part : undefined;
  if (drive.kind !== 'step' || part?.kind !== 'stepper' || !part.leads || part.leads === 4) return [];
  return wiringsOf(part.leads).map((wiring): CoilWiringRow => {
    const as = wiring === (part.wiring ?? 'series');
    // Another wiring has another current: what was set for the old one is no choice for it.
    const changes = as ? [] : [...wireCoils(plan, drive.motor, wiring), { at: [...choiceAt, 'drive', 'setCurrent'] }];
    const changed = applyChanges(plan, changes);
    const { headline, path } = judgedOver(changed, mechanismById(changed, mechanismId), jobId);
    if (path.machine !== 'step' || path.step.motor.loop !== 'open') throw new Error(`${part.name} is no stepper`);
    const { figures } = path.step.motor;
    return {
      wiring,
      changes,
      headline,
      ratedCurrent: figures.ratedCurrent,
      setCurrent: figures.setCurrent,
      atRest: pullOut(figures, 0),
      atJob: pullOut(figures, motorSpeed(path, path.commanded.speed)),
      corner: cornerSpeed(figures),
      last: lastSpeed(figures),
    };
  });
}
