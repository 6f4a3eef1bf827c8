import { evaluate, SITUATIONS, type Plan } from '../../src/index.js';
import { demoPlan } from '../demo.js';
import { WORKSHOP } from '../workshop/plans.js';

/** The plans whose results must stay what they were. */
export const GOLDEN_PLANS: Readonly<Record<string, Plan>> = {
  heron: demoPlan('heron'),
  limpet: demoPlan('limpet'),
  ...WORKSHOP,
};

const RUN = [
  'time',
  'place',
  'endSpeed',
  'topSpeed',
  'peakMotorCurrent',
  'rmsMotorCurrent',
  'peakSupplyCurrent',
  'peakReturned',
  'leastPackVoltage',
  'packEnergy',
  'windingTemperature',
  'breakerHeat',
] as const;

/** Every number core gives of a plan's rungs, checks, runs and links, by where it stands. */
export function numbersOf(plan: Plan): Readonly<Record<string, number>> {
  const found: Record<string, number> = {};
  const put = (place: string, value: number | undefined): void => {
    if (value !== undefined && Number.isFinite(value)) found[place] = value;
  };
  for (const mechanism of evaluate(plan).mechanisms)
    for (const job of mechanism.jobs) {
      const at = `${mechanism.id}/${job.jobId}`;
      for (const id of SITUATIONS) {
        put(`${at}/${id}/demand`, job.ladders[id].demand);
        for (const rung of job.ladders[id].rungs) put(`${at}/${id}/${rung.id}`, rung.capacity);
      }
      for (const check of job.checks) put(`${at}/${check.id}`, check.multiple);
      for (const link of job.links) {
        put(`${at}/link ${link.id}/there`, link.key?.there.value);
        put(`${at}/link ${link.id}/passes`, link.passes?.value);
        put(`${at}/link ${link.id}/used`, link.used);
      }
      for (const name of RUN) put(`${at}/run/${name}`, job.run?.[name]);
      put(`${at}/run/follows`, job.run?.follows?.multiple);
    }
  return found;
}
