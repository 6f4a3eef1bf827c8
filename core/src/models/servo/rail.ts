/** One servo on a rail: what it draws idle, moving its load, and stalled. */
export interface RailServo {
  readonly name: string;
  readonly idle: number;
  readonly moving: number;
  readonly stalled: number;
  /** Highest volts it stands; guessed from the highest it is rated at where its sheet does not say. */
  readonly highestVoltage: number;
  readonly guessed?: boolean;
}

/** A rail: its volts without load, what lies in front of it, and what it gives. Absent limits are not known. */
export interface RailSupply {
  readonly voltage: number;
  readonly resistance: number;
  readonly continuous?: number;
  readonly burst?: number;
}

export interface RailBudget {
  readonly idle: number;
  readonly moving: number;
  readonly stalled: number;
  /** Volts with everything idle, moving, stalled. */
  readonly voltsIdle: number;
  readonly voltsMoving: number;
  readonly voltsStalled: number;
  /** Servos that may stall together, the greediest first, while the others move; all of them where the burst allows. */
  readonly mayStall: readonly string[];
  /** How many of them, counted from the greediest. */
  readonly stallsAllowed: number;
  /** The least of the servos' highest volts, and whose it is. */
  readonly weakest?: { readonly name: string; readonly highestVoltage: number };
}

/** What two full cells give at most, and what a servo that is made for them is rated at, V. */
const TWO_CELLS_FULL = 8.5;
const TWO_CELLS_RATED = 7;

/**
 * Whether a servo is asked about and not judged: rated at what two cells give, without highest volts in its sheet, on no more
 * than two full cells. Such servos are run straight on them, and only the sheet knows whether this one stands it.
 *
 * @example askedAbout({ highestVoltage: 7.4, guessed: true }, 8.4) //=> true
 */
export const askedAbout = (
  { highestVoltage, guessed }: Pick<RailServo, 'highestVoltage' | 'guessed'>,
  full: number,
): boolean => guessed === true && highestVoltage < full && highestVoltage >= TWO_CELLS_RATED && full <= TWO_CELLS_FULL;

/**
 * All servos of a rail on one budget. Which may stall together is asked in the worst order: the ones that draw
 * most first, as many as the burst current bears while all the others move.
 */
export function railBudget(servos: readonly RailServo[], { voltage, resistance, burst }: RailSupply): RailBudget {
  const sum = (of: (servo: RailServo) => number): number => servos.reduce((total, servo) => total + of(servo), 0);
  const [idle, moving, stalled] = [sum((s) => s.idle), sum((s) => s.moving), sum((s) => s.stalled)];
  const greediest = [...servos].sort((a, b) => b.stalled - b.moving - (a.stalled - a.moving));
  const mayStall: string[] = [];
  let drawn = moving;
  for (const servo of greediest) {
    drawn += servo.stalled - servo.moving;
    if (burst !== undefined && drawn > burst) break;
    mayStall.push(servo.name);
  }
  const weakest = [...servos].sort((a, b) => a.highestVoltage - b.highestVoltage)[0];
  const volts = (current: number): number => voltage - resistance * current;
  return {
    idle,
    moving,
    stalled,
    voltsIdle: volts(idle),
    voltsMoving: volts(moving),
    voltsStalled: volts(stalled),
    mayStall,
    stallsAllowed: mayStall.length,
    weakest: weakest ? { name: weakest.name, highestVoltage: weakest.highestVoltage } : undefined,
  };
}

/**
 * Reversing at full speed, back-EMF and volts add: for a moment about twice the stall current.
 *
 * @example reversingCurrent(2.4) //=> 4.8
 */
export const reversingCurrent = (stallCurrent: number): number => 2 * stallCurrent;
