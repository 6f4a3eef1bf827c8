import {
  beltRun,
  bendingStress,
  chainRun,
  gearCentre,
  screwBackEfficiency,
  screwEfficiency,
  selfHolding,
  tangentialForce,
  UNDERCUT_UNDER,
} from '@rough-gear/core';
import type { Got } from './got.js';

interface Run {
  readonly pitch: number;
  readonly driverTeeth: number;
  readonly drivenTeeth: number;
  readonly centre: number;
}

/** The family of reductions: gears, chain, belt, screw and worm. */
export const REDUCTION = {
  'chain-run': ({ pitch, driverTeeth, drivenTeeth, centre }: Run): Got => {
    const run = chainRun(pitch, driverTeeth, drivenTeeth, centre);
    return {
      lengthInPitches: run.lengthInPitches,
      evenBelow: run.below?.links ?? null,
      centreForEvenBelow: run.below?.centre ?? null,
      evenAbove: run.above.links,
      centreForEvenAbove: run.above.centre,
      speedRipple: run.ripple,
    };
  },
  'belt-run': ({ pitch, driverTeeth, drivenTeeth, centre, stockTeeth }: Run & { stockTeeth: number[] }): Got => {
    const run = beltRun(pitch, driverTeeth, drivenTeeth, centre, stockTeeth);
    return {
      lengthInPitches: run.lengthInPitches,
      shorter: run.shorter?.teeth ?? null,
      centreForShorter: run.shorter?.centre ?? null,
      longer: run.longer?.teeth ?? null,
      centreForLonger: run.longer?.centre ?? null,
      wrapOnSmall: run.wrapOnSmall,
      teethInMesh: run.teethInMesh,
    };
  },
  'gear-pair': (given: {
    module: number;
    pinionTeeth: number;
    wheelTeeth: number;
    faceWidth: number;
    pinionTorque: number;
    pinionSpeed: number;
  }): Got => {
    const { module, pinionTeeth, wheelTeeth, faceWidth: face, pinionTorque, pinionSpeed } = given;
    // Without losses the wheel turns slower and stronger by the same ratio.
    const ratio = wheelTeeth / pinionTeeth;
    return {
      centre: gearCentre(module, pinionTeeth, wheelTeeth),
      tangentialForce: tangentialForce(pinionTorque, module, pinionTeeth),
      pinionBendingStress: bendingStress({ module, teeth: pinionTeeth, face }, pinionTorque, pinionSpeed),
      wheelBendingStress: bendingStress({ module, teeth: wheelTeeth, face }, pinionTorque * ratio, pinionSpeed / ratio),
      pinionUndercut: pinionTeeth < UNDERCUT_UNDER,
    };
  },
  'screw-or-worm': (given: { leadAngle: number; friction: number; flankAngle: number }): Got => ({
    efficiency: screwEfficiency(given.leadAngle, given.friction, given.flankAngle),
    backEfficiency: screwBackEfficiency(given.leadAngle, given.friction, given.flankAngle),
    holdsByItself: selfHolding(given.leadAngle, given.friction, given.flankAngle).answer === 'stays',
  }),
};
