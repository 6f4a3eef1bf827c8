import { bisect } from '../../models/numbers/bisect.js';
import { packResistance, packRestVoltage, type PackFigures } from '../../models/pack/pack.js';
import type { Plan } from '../../plan/document/plan.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';

/** What two readings tell of a pack. */
export interface PackTold {
  /** 0…1 */
  readonly charge: number;
  /** Above what a full one has, or under what an empty one has: hot off the charger, or not this pack. */
  readonly beyond?: 'full' | 'empty';
  /** Of cells, leads and plugs, Ω; absent without a reading under load. */
  readonly resistance?: number;
  /** That over what it is when new. */
  readonly aged?: number;
  /** It dips so much deeper than a new one that it is worth a trial: cells age, and plugs wear. */
  readonly worn?: boolean;
}

/** The pack as every mechanism has it; `undefined` where the plan does not know it, or has no mechanism yet. */
export function robotPack(plan: Plan): PackFigures | undefined {
  const mechanism = plan.mechanisms.find(({ jobs }) => jobs.length > 0);
  const path = mechanism && resolvePath(plan, mechanism, mechanism.jobs[0]!.id);
  return path && !path.lacks.pack ? path.pack.figures : undefined;
}

/** So many times the resistance of a new one. */
const WORN_FROM = 1.5;
/**
 * Charge from the volts at rest, and resistance from how far they fall under a load: an old pack dips deeper.
 *
 * @param rest V, some minutes after the last load
 * @param loaded V under the load, and the load, A
 * @throws RangeError where volts rise under the load, or there is none
 * @example packTold(pack, 25.2).charge //=> 1
 */
export function packTold(
  pack: PackFigures,
  rest: number,
  loaded?: { readonly voltage: number; readonly current: number },
): PackTold {
  const beyond = rest > packRestVoltage(pack, 1) ? 'full' : rest < packRestVoltage(pack, 0) ? 'empty' : undefined;
  const [, enough] = bisect(0, 1, (share) => packRestVoltage(pack, share) < rest);
  // A flat stretch of the curve has many charges: the middle of them would be as good.
  const charge = beyond === 'full' ? 1 : beyond === 'empty' ? 0 : enough;
  if (!loaded) return { charge, beyond };
  if (!(loaded.current > 0) || loaded.voltage > rest)
    throw new RangeError(
      'under a load the volts fall: a load of more than 0 A and fewer volts than at rest are wanted',
    );
  const resistance = (rest - loaded.voltage) / loaded.current;
  const fresh = packResistance(pack);
  if (!(fresh > 0)) return { charge, beyond, resistance };
  const aged = resistance / fresh;
  return { charge, beyond, resistance, aged, worn: aged > WORN_FROM };
}
