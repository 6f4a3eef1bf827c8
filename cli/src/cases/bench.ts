import { fitCoastDown, fitFreeRun, fitPack, type FreeRunReading } from '@rough-gear/core';
import type { Got } from './got.js';

/** Reference cases of what is measured on the bench. */

interface PackGiven {
  readonly readings: readonly { readonly current: number; readonly voltage: number }[];
}
interface FreeRunGiven {
  readonly resistance: number;
  readonly readings: readonly FreeRunReading[];
}
interface CoastDownGiven {
  readonly inertia: number;
  readonly readings: readonly { readonly time: number; readonly speed: number }[];
}

export const BENCH = {
  'fit-pack': ({ readings }: PackGiven): Got => {
    const { restVoltage, resistance } = fitPack(readings);
    return { restVoltage: restVoltage.value, resistance: resistance.value };
  },
  'fit-free-run': ({ resistance, readings }: FreeRunGiven): Got => {
    const { backEmfConstant, freeCurrent, freeCurrentPerSpeed } = fitFreeRun(resistance, readings);
    return {
      backEmfConstant: backEmfConstant.value,
      freeCurrent: freeCurrent.value,
      freeCurrentPerSpeed: freeCurrentPerSpeed.value,
    };
  },
  'fit-coast-down': ({ inertia, readings }: CoastDownGiven): Got => {
    const { frictionTorque, viscousDrag, startSpeed } = fitCoastDown(inertia, readings);
    return {
      frictionTorque: frictionTorque.value,
      viscousDrag: viscousDrag.value,
      startSpeed: startSpeed.value,
    };
  },
};
