import type { BeltProfile, GearMaterial, ShaftMaterial } from './materials.js';
import type { Quantity } from './quantity.js';

/** The shaft that a stage drives. */
export interface StageShaft {
  readonly form: 'round' | 'hexagon' | 'keyed';
  /** Diameter, or width across the hexagon's flats. */
  readonly size?: Quantity;
  readonly material?: ShaftMaterial;
  /** From the nearest bearing to the wheel that pulls on it. */
  readonly overhang?: Quantity;
  /** Outside of its bearings: what is bored for them. */
  readonly bearing?: Quantity;
}

interface StageBase {
  readonly id: string;
  readonly name?: string;
  /** Efficiency driving forwards, 0…1; the kind's typical value where absent. */
  readonly efficiency?: Quantity;
  /** Bore of the driving wheel, on the shaft in front; of the first stage, on the motor's. */
  readonly bore?: Quantity;
  /** Pattern of the holes a motor is screwed to. */
  readonly mount?: string;
  readonly shaft?: StageShaft;
  /** Bore of the driven wheel, on the shaft it turns. */
  readonly drivenBore?: Quantity;
  /** Where the driven shaft lies as seen from the driving one: 0 to the right, a quarter turn up. */
  readonly direction?: Quantity;
  /** The plane its wheels turn in, counted from the motor; the stage's own number where absent. */
  readonly plane?: number;
  /** Name of the stock its wheels come from. */
  readonly stock?: string;
  /** Of its wheels and what runs between them; not counted where absent. */
  readonly mass?: Quantity;
  readonly price?: Quantity;
}

/** A ratio that is known as one number, such as a gearbox bought whole. */
export interface RatioStage extends StageBase {
  readonly kind: 'ratio';
  readonly ratio?: Quantity;
  /** What its sheet lets the output carry. */
  readonly ratedTorque?: Quantity;
  /** Across its case: the room it takes. */
  readonly across?: Quantity;
}

export interface PlanetaryStage extends StageBase {
  readonly kind: 'planetary';
  readonly ratio?: Quantity;
  readonly ratedTorque?: Quantity;
  readonly across?: Quantity;
}

/** Two wheels with teeth: `driver` teeth drive `driven` teeth. */
interface TwoWheels extends StageBase {
  readonly driver: number;
  readonly driven: number;
  /** Chain and belt: from tooth to tooth. Gears: the module. */
  readonly pitch?: Quantity;
  /** Width of the teeth, or of one belt. */
  readonly face?: Quantity;
}

export interface GearStage extends TwoWheels {
  readonly kind: 'teeth';
  readonly material?: GearMaterial;
  /** Teeth of a wheel between the two: it turns the sense round and bridges the way, nothing else. */
  readonly idler?: number;
}

/** How the slack of a chain or belt is taken up. */
export type TakeUp = 'fixed' | 'slide' | 'tensioner';

export interface ChainStage extends TwoWheels {
  readonly kind: 'chain';
  /** Links of the chain; the nearest even count to the centre where absent. */
  readonly links?: number;
  /** Distance of the shafts that is wanted; the links decide what it becomes. */
  readonly centre?: Quantity;
  readonly takeUp?: TakeUp;
  /** Breaking strength; that of the pitch's size where absent. */
  readonly strength?: Quantity;
  readonly wear?: Quantity;
  /** Pull of the slack strand: a tensioner's, or the strand's own weight. */
  readonly tension?: Quantity;
  readonly material?: ShaftMaterial;
}

export interface BeltStage extends TwoWheels {
  readonly kind: 'belt';
  /** Teeth of the belt. */
  readonly beltTeeth?: number;
  readonly centre?: Quantity;
  readonly takeUp?: TakeUp;
  readonly profile?: BeltProfile;
  /** Belts side by side. */
  readonly belts?: number;
  /** Room there is beside the wheels for the belt and what guides it. */
  readonly room?: Quantity;
  /** Pull of one strand at rest. */
  readonly tension?: Quantity;
  /** Breaking strength of one belt's cords. */
  readonly strength?: Quantity;
  /** A plain wheel that presses on the slack strand's back beside the small wheel: more teeth in mesh. */
  readonly idler?: boolean;
}

export type ToothedStage = GearStage | ChainStage | BeltStage;

/** Worm and wheel: starts of the worm, teeth of the wheel, lead angle and friction decide the losses. */
export interface WormStage extends StageBase {
  readonly kind: 'worm';
  readonly starts: number;
  readonly teeth: number;
  readonly leadAngle?: Quantity;
  readonly flankAngle?: Quantity;
  readonly friction?: Quantity;
  readonly ratedTorque?: Quantity;
  readonly across?: Quantity;
}

export type NutMaterial = 'bronze' | 'plastic' | 'steel' | 'rolling balls';

/** Lead screw: lead per turn, all starts counted; the output is then a force on the nut. */
export interface ScrewStage extends StageBase {
  readonly kind: 'screw';
  /** What its nut is of: with the screw's steel it says what friction is usual. */
  readonly nut?: NutMaterial;
  readonly lead?: Quantity;
  /** Where the flanks bear. With the lead it makes the lead angle, and so the losses. */
  readonly pitchDiameter?: Quantity;
  readonly flankAngle?: Quantity;
  readonly friction?: Quantity;
}

export type Stage = RatioStage | ToothedStage | PlanetaryStage | WormStage | ScrewStage;
export type StageKind = Stage['kind'];

/**
 * Two wheels with teeth, whatever runs between them.
 *
 * @example isToothed(currentChoice(mast).stages[0]) //=> true
 */
export const isToothed = (stage: Stage): stage is ToothedStage =>
  stage.kind === 'teeth' || stage.kind === 'chain' || stage.kind === 'belt';
