/** What servos of a purpose usually are: a line to see whether a figure is out of the way, never a verdict. */
export interface UsualServo {
  readonly id: string;
  readonly text: string;
  /** Of the machine at the most, kg, where the purpose is told by it. */
  readonly upTo?: number;
  /** Stall torque, N·m. */
  readonly least: number;
  readonly most: number;
  /** Seconds for 60° at most, without load. */
  readonly slowest: number;
}

/** Ours, from robots and model vehicles of these sizes; the work itself decides. */
export const USUAL_SERVOS: readonly UsualServo[] = [
  { id: 'flap', text: 'a flap, a latch, a sensor’s tilt', least: 0.1, most: 0.3, slowest: 0.15 },
  { id: 'grip', text: 'a grip for small things', least: 0.4, most: 1, slowest: 0.2 },
  { id: 'steer-2', text: 'steering of a vehicle', upTo: 2, least: 0.3, most: 0.8, slowest: 0.2 },
  { id: 'steer-5', text: 'steering of a vehicle', upTo: 5, least: 0.9, most: 2, slowest: 0.18 },
  { id: 'steer-15', text: 'steering of a vehicle', upTo: 15, least: 2, most: 4.5, slowest: 0.2 },
  { id: 'crawl', text: 'steering of a slow climber, wheels against rock', least: 2, most: 4.5, slowest: 0.3 },
  { id: 'leg-3', text: 'a leg of a walker', upTo: 3, least: 1, most: 2, slowest: 0.2 },
  { id: 'leg-8', text: 'a leg of a walker', upTo: 8, least: 2.5, most: 5, slowest: 0.2 },
  { id: 'arm', text: 'the shoulder of an arm of half a metre', least: 2, most: 6, slowest: 0.25 },
];

/**
 * The purpose a kind of mechanism has as a rule.
 *
 * @example usualFor('leg').id //=> 'leg-3'
 */
export function usualFor(mechanism: string): UsualServo {
  const id = mechanism === 'leg' ? 'leg-3' : mechanism === 'arm' ? 'arm' : mechanism === 'grip' ? 'grip' : 'flap';
  return USUAL_SERVOS.find((one) => one.id === id)!;
}
