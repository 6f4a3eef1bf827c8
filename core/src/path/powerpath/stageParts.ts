import type { BeltProfile } from '../../plan/document/materials.js';
import type { TakeUp } from '../../plan/document/stage.js';

/** The shaft a stage drives, where its size is given. */
export interface ShaftParts {
  readonly form: 'round' | 'hexagon' | 'keyed';
  readonly size: number;
  readonly allowable: number;
  readonly overhang: number;
  /** Outside diameter of its bearings. */
  readonly bearing: number;
}

interface PartsBase {
  readonly id: string;
  readonly index: number;
  readonly shaft: ShaftParts | undefined;
  readonly bore: number | undefined;
  readonly drivenBore: number | undefined;
  /** rad, as seen from the driving shaft. */
  readonly direction: number;
  readonly plane: number;
  /** Distance of the two shafts; NaN where a figure it needs is missing. */
  readonly centre: number;
  /** Radii at which the wheels pull: pitch circles. */
  readonly driverRadius: number;
  readonly drivenRadius: number;
}

interface WheelParts extends PartsBase {
  readonly driver: number;
  readonly driven: number;
  /** Module of gears, pitch of a chain or belt. */
  readonly pitch: number;
}

export interface GearParts extends WheelParts {
  readonly kind: 'teeth';
  readonly idler: number | undefined;
  readonly face: number;
  readonly allowable: number;
}

/** What goes round both wheels: how long it is, and the centre at which it would lie taut. */
export interface RunParts extends WheelParts {
  readonly takeUp: TakeUp;
  /** Links, or teeth of the belt; fractional where nobody has chosen a belt yet. */
  readonly length: number;
  readonly tautCentre: number;
  /** False where it is too short to go round both wheels: then they are taken as touching. */
  readonly reaches: boolean;
  /** The centre that is wanted, where somebody said. */
  readonly wantedCentre: number | undefined;
  /** Pull of the slack strand, or of a strand at rest. */
  readonly tension: number;
  readonly strength: number;
}

export interface ChainParts extends RunParts {
  readonly kind: 'chain';
  readonly wear: number;
  readonly plate: number;
  readonly toothAllowable: number;
  readonly massPerLength: number;
}

export interface BeltParts extends RunParts {
  readonly kind: 'belt';
  readonly chosen: boolean;
  readonly profile: BeltProfile;
  readonly width: number;
  readonly belts: number;
  /** What there is for them beside the wheels; absent where nobody said. */
  readonly room: number | undefined;
  readonly idler: boolean;
  /** Typical pull of all belts side by side; NaN where the pitch has none. */
  readonly ratedPull: number;
}

export interface BoxParts extends PartsBase {
  readonly kind: 'ratio' | 'planetary' | 'worm' | 'screw';
  readonly ratedTorque: number | undefined;
  readonly across: number;
}

/** One stage with everything that strength, room and drawing ask of it. */
export type StageParts = GearParts | ChainParts | BeltParts | BoxParts;
