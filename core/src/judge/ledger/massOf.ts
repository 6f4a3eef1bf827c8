import type { PartCopy } from '../../plan/document/part.js';
import { currentChoice, trainsOf, type Mechanism, type Plan } from '../../plan/document/plan.js';
import type { Quantity, Source } from '../../plan/document/quantity.js';
import { piecesOf } from '../../plan/document/stockOf.js';
import { estimatedStageMass } from './stageMass.js';

/** A mass with how far off it may be, kg. */
export interface SpreadMass {
  readonly mass: number;
  /** ±, of independent parts by the root of their squares. */
  readonly spread: number;
  /** Of the mass: what is only estimated. */
  readonly estimated: number;
  /** Motors whose mass nobody said. */
  readonly missing: readonly string[];
}

/** What a mass may be off by, by where it was read. */
const OFF_BY: Readonly<Record<Source, number>> = {
  measured: 0.005,
  sheet: 0.03,
  typed: 0.03,
  typical: 0.2,
  estimated: 0.2,
};
/** Wheels worked out from teeth and width. */
const DRAWN_OFF_BY = 0.3;

export const NOTHING: SpreadMass = { mass: 0, spread: 0, estimated: 0, missing: [] };

const isGuess = (source: Source): boolean => source === 'estimated' || source === 'typical';

/** So many pieces of one kind: alike, so they are off together. */
export const weighed = ({ si, source }: Quantity, pieces = 1): SpreadMass => ({
  mass: pieces * si,
  spread: pieces * si * OFF_BY[source],
  estimated: isGuess(source) ? pieces * si : 0,
  missing: [],
});

export const together = (masses: readonly SpreadMass[]): SpreadMass => ({
  mass: masses.reduce((sum, { mass }) => sum + mass, 0),
  spread: Math.hypot(...masses.map(({ spread }) => spread)),
  estimated: masses.reduce((sum, { estimated }) => sum + estimated, 0),
  missing: masses.flatMap(({ missing }) => missing),
});

/** What a mechanism weighs, by what it is made of. */
export interface MechanismMass {
  readonly motors: SpreadMass;
  readonly controllers: SpreadMass;
  readonly train: SpreadMass;
  readonly structure: SpreadMass;
  readonly all: SpreadMass;
}

/**
 * What a mechanism weighs as its choice in force is: motors or servos, controllers, wheels by their teeth and width, and
 * what was typed of its structure.
 *
 * @example massOf(plan, mast).motors.mass //=> 1.15
 */
export function massOf(plan: Plan, mechanism: Mechanism): MechanismMass {
  const { drive, stages } = currentChoice(mechanism);
  const [motor, ...others] = piecesOf(drive).map(([id, pieces]) => partMass(plan.parts[id], pieces));
  // A controller rarely says its mass, and weighs little; without the motor's there is none to tell.
  const controllers = together(others.map((one) => ({ ...one, missing: [] })));
  const trains = trainsOf(drive);
  const train = together(
    stages.map((stage): SpreadMass => {
      if (stage.mass) return weighed(stage.mass, trains);
      const drawn = trains * (estimatedStageMass(stage) ?? 0);
      return { mass: drawn, spread: drawn * DRAWN_OFF_BY, estimated: drawn, missing: [] };
    }),
  );
  const structure = mechanism.structure ? weighed(mechanism.structure) : NOTHING;
  const motors = motor ?? NOTHING;
  return { motors, controllers, train, structure, all: together([motors, controllers, train, structure]) };
}

const partMass = (copy: PartCopy | undefined, pieces: number): SpreadMass => {
  if (!copy) return NOTHING;
  return copy.part.mass ? weighed(copy.part.mass, pieces) : { ...NOTHING, missing: [copy.part.name] };
};
