import type { BeltProfile, BrushKind, GearMaterial, ShaftMaterial } from './materials.js';
import type { Quantity } from './quantity.js';

/** What its case keeps out. */
export type Sealing = 'open' | 'dust and splashes' | 'under water';

/** Where it lives long: sand and swarf end open bearings, brushes and gears. */
export type DirtStood = 'clean only' | 'some dirt' | 'any dirt';

interface PartBase {
  readonly name: string;
  readonly mass?: Quantity;
  /** In whatever money the team counts in. */
  readonly price?: Quantity;
  /** How many lie on the shelf already: they cost nothing more. */
  readonly owned?: number;
  /** Bought used: its magnets and brushes are not those of the sheet for certain. */
  readonly secondHand?: boolean;
  readonly sealing?: Sealing;
  readonly dirt?: DirtStood;
  /** File or page of the data sheet its figures were read from. */
  readonly sheet?: string;
  readonly note?: string;
}

/** Data-sheet form: four numbers at one rated voltage. A stated resistance or Kv is only cross-checked. */
export interface MotorSheetData {
  readonly form: 'sheet';
  readonly ratedVoltage?: Quantity;
  readonly freeSpeed?: Quantity;
  readonly freeCurrent?: Quantity;
  readonly stallTorque?: Quantity;
  readonly stallCurrent?: Quantity;
  readonly statedResistance?: Quantity;
  readonly statedKv?: Quantity;
}

/** Velocity-constant form, usual for brushless motors. Kv is in rad/s per volt inside. */
export interface MotorKvData {
  readonly form: 'kv';
  readonly kv?: Quantity;
  readonly resistance?: Quantity;
  readonly freeCurrent?: Quantity;
}

/**
 * Turns with a frame reference, usual for brushed cans: what one winding of the same frame measures.
 * Kv goes with 1/(turns·length), resistance with turns²·length, free current with Kv.
 */
export interface MotorTurnsData {
  readonly form: 'turns';
  readonly turns?: Quantity;
  readonly canLength?: Quantity;
  readonly referenceTurns?: Quantity;
  readonly referenceLength?: Quantity;
  readonly referenceKv?: Quantity;
  readonly referenceResistance?: Quantity;
  readonly referenceFreeCurrent?: Quantity;
}

export type ShaftForm = 'round' | 'flat' | 'keyed' | 'hexagon' | 'toothed';

export interface MotorPart extends PartBase {
  readonly kind: 'motor';
  readonly type: 'brushed' | 'brushless';
  readonly data: MotorSheetData | MotorKvData | MotorTurnsData;
  readonly freeCurrentPerSpeed?: Quantity;
  readonly rotorInertia?: Quantity;
  readonly canDiameter?: Quantity;
  /** Of its can, without the shaft. */
  readonly length?: Quantity;
  readonly continuousCurrent?: Quantity;
  readonly windingLimit?: Quantity;
  /** Most volts it stands, where its sheet or the person says. */
  readonly highestVoltage?: Quantity;
  /** Fastest its rotor may turn. */
  readonly highestSpeed?: Quantity;
  /** Torque with which its magnets hold it in place, unpowered. */
  readonly detentTorque?: Quantity;
  readonly polePairs?: number;
  /** Slots of the stator, or bars of the commutator. */
  readonly slots?: number;
  /** Gear inside a hub motor: electrical turns per turn of the shaft are pole pairs times this. */
  readonly internalGear?: Quantity;
  readonly brushes?: BrushKind;
  /** Of a pair of brushes, V; a sheet's four numbers contain it already. */
  readonly brushDrop?: Quantity;
  /** How long they last at the steady current and the free speed. */
  readonly brushLife?: Quantity;
  readonly winding?: 'machine' | 'hand';
  /** Whether its rotor was balanced: then it may turn faster. */
  readonly balanced?: boolean;
  /** How its three phases are joined. */
  readonly joined?: 'star' | 'delta';
  /** Whether it tells the controller where its rotor stands. */
  readonly sensors?: boolean;
  /** Timed for one sense of rotation, or for both. */
  readonly rotation?: 'either' | 'clockwise' | 'anticlockwise';
  readonly shaftDiameter?: Quantity;
  readonly shaftForm?: ShaftForm;
  /** Pattern of its mounting holes, in the words of its drawing. */
  readonly mount?: string;
  /** A gearmotor's sheet may speak of the gearbox's output: then its losses are in the figures already. */
  readonly figuresAt?: 'shaft' | 'output';
}

/** Of its cells; a bench supply has none, and holds the volts it is set to. */
export type Chemistry = 'lipo' | 'liion' | 'lifepo4' | 'nimh' | 'lead' | 'alkaline' | 'bench';

export interface PackPart extends PartBase {
  readonly kind: 'pack';
  readonly chemistry: Chemistry;
  readonly series: number;
  readonly parallel: number;
  /** What a bench supply is set to; cells have volts of their own. */
  readonly voltage?: Quantity;
  /** Charge of the whole pack, in ampere-seconds inside. */
  readonly capacity?: Quantity;
  readonly cellResistance?: Quantity;
  readonly leadResistance?: Quantity;
  readonly dischargeLimit?: Quantity;
  readonly chargeLimit?: Quantity;
  /** k of the capacity law, for lead. */
  readonly capacityExponent?: Quantity;
  /** Share of the charge that is sensibly used. */
  readonly usable?: Quantity;
}

/** How a brushless controller finds its feet: by sensors, by stepping blindly up to speed, or by a bump. */
export type StartStyle = 'sensors' | 'forced' | 'bump';

export interface ControllerPart extends PartBase {
  readonly kind: 'controller';
  readonly drives: readonly ('brushed' | 'brushless')[];
  readonly resistance?: Quantity;
  /** Motor-side (stator) limit per motor; absent means the controller has none. */
  readonly statorLimit?: Quantity;
  /** Pack-side (supply) limit per motor; absent means the controller has none. */
  readonly supplyLimit?: Quantity;
  /** What it carries for ever, per motor, on the motor's side. */
  readonly continuousCurrent?: Quantity;
  /** Share of volts times amperes that its switching turns into heat. */
  readonly switching?: Quantity;
  readonly lowestVoltage?: Quantity;
  readonly highestVoltage?: Quantity;
  readonly greatestDuty?: Quantity;
  readonly erpmLimit?: Quantity;
  /** The same two limits for braking, per motor. */
  readonly brakeLimit?: Quantity;
  readonly returnLimit?: Quantity;
  readonly startStyle?: StartStyle;
  /** Least electrical speed it keeps in step; the start style's typical one where absent. */
  readonly leastErpm?: Quantity;
  /** Least step of its duty: what a brushed motor creeps by. */
  readonly dutyStep?: Quantity;
  readonly regulatorVoltage?: Quantity;
  readonly regulatorContinuous?: Quantity;
  readonly regulatorBurst?: Quantity;
}

export interface BreakerPart extends PartBase {
  readonly kind: 'breaker';
  readonly type: 'snap' | 'main' | 'fuse';
  readonly rated?: Quantity;
  readonly holdMultiple?: Quantity;
  readonly timeConstant?: Quantity;
}

/** How the half coils of a motor with six or eight wires are joined. */
export type CoilWiring = 'series' | 'parallel' | 'half coil';

/** How a driver takes the current of a phase down: shorted through its switches, against the supply, or first so and then so. */
export type Decay = 'slow' | 'mixed' | 'fast';

/** A two-phase stepping motor. */
export interface StepperPart extends PartBase {
  readonly kind: 'stepper';
  /** Of one phase as it is wired. */
  readonly phaseResistance?: Quantity;
  readonly phaseInductance?: Quantity;
  /** r.m.s. of one phase. */
  readonly ratedCurrent?: Quantity;
  /** Both phases on, at the rated current. */
  readonly holdingTorque?: Quantity;
  readonly detentTorque?: Quantity;
  readonly rotorInertia?: Quantity;
  /** 200 for steps of 1.8°. */
  readonly stepsPerTurn?: number;
  /** Wires that come out of it: 4, 6 or 8. */
  readonly leads?: 4 | 6 | 8;
  /** How six or eight of them are joined; the figures are those of this wiring. */
  readonly wiring?: CoilWiring;
  readonly shaftDiameter?: Quantity;
  readonly shaftForm?: ShaftForm;
  readonly mount?: string;
}

/** A servo motor that takes pulses like a stepper, but knows where it stands. */
export interface StepServoPart extends PartBase {
  readonly kind: 'step-servo';
  readonly ratedVoltage?: Quantity;
  readonly ratedTorque?: Quantity;
  readonly ratedSpeed?: Quantity;
  readonly peakTorque?: Quantity;
  readonly topSpeed?: Quantity;
  readonly rotorInertia?: Quantity;
  /** Lines of its encoder; four counts to a line. */
  readonly encoderLines?: number;
  /** Share of the electrical power that reaches its shaft. */
  readonly efficiency?: Quantity;
  readonly shaftDiameter?: Quantity;
  readonly shaftForm?: ShaftForm;
  readonly mount?: string;
}

/** One setting and the switches that make it: '1' on, '0' off, the first switch first. */
export interface SwitchRow {
  /** Micro-steps, or amperes as the part counts them. */
  readonly value: number;
  readonly on: string;
}

export type EnableInput = 'runs when left open' | 'runs when driven';

/** The driver between pulses and motor. */
export interface DriverPart extends PartBase {
  readonly kind: 'driver';
  readonly drives: 'stepper' | 'step-servo';
  readonly lowestVoltage?: Quantity;
  readonly highestVoltage?: Quantity;
  /** Greatest current of one phase, r.m.s. */
  readonly mostCurrent?: Quantity;
  /** Whether its current switches count peaks of the sine or r.m.s. */
  readonly counts?: 'peak' | 'rms';
  /** Micro-steps of a full step (of a servo: commanded steps of a turn) and their switches. */
  readonly stepSwitches: readonly SwitchRow[];
  /** Any count may be set, by software or a knob; the table then lists the usual ones. */
  readonly freeSteps?: boolean;
  /** Current settings and their switches; none where it is set otherwise. */
  readonly currentSwitches?: readonly SwitchRow[];
  /** Numbers of the switches on the case, first of the two tables and then of the other. */
  readonly stepSwitchFrom?: number;
  readonly currentSwitchFrom?: number;
  /** Volts at its trimmer where the current is set to the most, in place of switches. */
  readonly trimmerVolts?: Quantity;
  /** Pulses per second it follows. */
  readonly pulseLimit?: Quantity;
  readonly leastPulse?: Quantity;
  /** Its opto inputs: the diode's volts, the resistor behind it, the current it wants and the level it is made for. */
  readonly inputForward?: Quantity;
  readonly inputResistance?: Quantity;
  readonly inputCurrent?: Quantity;
  readonly inputRated?: Quantity;
  /** How pulses tell direction: a second line for it, or one line a direction. */
  readonly pulseForm?: 'step and direction' | 'one line a direction';
  /** Whether it has an alarm line back. */
  readonly alarm?: boolean;
  /** Encoder counts of following error at which it alarms. */
  readonly followingError?: Quantity;
  /** Its enable input, where it has one: what the driver does with nothing on it. */
  readonly enable?: EnableInput;
  /** How it takes the current of a phase down, and whether it damps a rotor that swings by itself. */
  readonly decay?: Decay;
  readonly damps?: boolean;
}

/** The board whose pins command drivers and servos. */
export interface BoardPart extends PartBase {
  readonly kind: 'board';
  readonly pinVoltage?: Quantity;
  /** Most a pin may give. */
  readonly pinCurrent?: Quantity;
  readonly pulseLimit?: Quantity;
  /** Volts it has to feed an input from, beside its pins. */
  readonly feedVoltage?: Quantity;
  /** Of a timer chip that makes the pulses: the resistor above, the one below at both ends of its knob, its capacitor. */
  readonly timerUpper?: Quantity;
  readonly timerLower?: Quantity;
  readonly timerLowerMost?: Quantity;
  readonly timerCapacitor?: Quantity;
  /** Of a board for servos: outputs, the least change of a pulse, what its terminals carry and the volts they stand. */
  readonly channels?: number;
  readonly pulseStep?: Quantity;
  readonly servoCurrent?: Quantity;
  readonly servoVoltage?: Quantity;
}

/** One line of a servo's sheet; a linear servo's is a force and a speed along its line. */
export interface ServoPoint {
  readonly voltage?: Quantity;
  readonly stallTorque?: Quantity;
  readonly stallForce?: Quantity;
  readonly speed?: Quantity;
  readonly velocity?: Quantity;
  readonly stallCurrent?: Quantity;
}

export type ServoGears = 'plastic' | 'reinforced resin' | 'brass' | 'aluminium' | 'steel' | 'titanium';
export type ServoBearing = 'bush' | 'metal bush' | 'one ball bearing' | 'two ball bearings';
export type ServoCase = 'plastic' | 'part metal' | 'metal';

/** A position servo: motor, gears, sensor and controller in one case. */
export interface ServoPart extends PartBase {
  readonly kind: 'servo';
  readonly motion: 'joint' | 'continuous' | 'linear';
  readonly points: readonly ServoPoint[];
  readonly idleCurrent?: Quantity;
  readonly runningCurrent?: Quantity;
  /** Highest volts it stands; its highest point where absent. */
  readonly highestVoltage?: Quantity;
  /** Angle from the shortest to the longest pulse; of a linear one its stroke. */
  readonly travel?: Quantity;
  readonly stroke?: Quantity;
  readonly shortestPulse?: Quantity;
  readonly longestPulse?: Quantity;
  /** Change of pulse it does not answer. */
  readonly deadband?: Quantity;
  /** Play of its gears at the horn. */
  readonly slop?: Quantity;
  readonly signal?: 'digital' | 'analogue';
  readonly motor?: 'brushed' | 'coreless' | 'brushless';
  readonly gears?: ServoGears;
  readonly caseMaterial?: ServoCase;
  /** Of its output shaft; a plain bush is of plastic. */
  readonly bearing?: ServoBearing;
  /** How far its horn is pushed away at its full torque before it answers with all of it. */
  readonly yields?: Quantity;
  /** What the motor inside stands, °C. */
  readonly windingLimit?: Quantity;
  /** A spare set of its gears. */
  readonly gearSetPrice?: Quantity;
  /** Of its case, without ears and shaft. */
  readonly caseLength?: Quantity;
  readonly caseWidth?: Quantity;
  readonly caseHeight?: Quantity;
  /** Teeth of the spline that carries the horn. */
  readonly splineTeeth?: number;
  /** Stages of the gears inside, driven over driver, motor first. */
  readonly inside?: readonly { readonly driver: number; readonly driven: number }[];
  /** Of the motor inside. */
  readonly rotorInertia?: Quantity;
}

/** Wheels or belts of one kind that are sold in a list of sizes. */
export interface SeriesPart extends PartBase {
  readonly kind: 'series';
  readonly of: 'gears' | 'sprockets' | 'pulleys' | 'belts' | 'planetary';
  /** Gears: the module; sprockets, pulleys and belts: from tooth to tooth. */
  readonly pitch?: Quantity;
  /** Width of the teeth or of the belt. */
  readonly face?: Quantity;
  readonly bore?: Quantity;
  /** Teeth that are sold; of belts their lengths in teeth, of planetary gearboxes their ratios. */
  readonly sizes: readonly number[];
  readonly material?: GearMaterial | ShaftMaterial;
  readonly profile?: BeltProfile;
  /** Mass and price are those of the smallest; price grows by this with every tooth more, mass with the square. */
  readonly pricePerTooth?: Quantity;
  /** What a planetary gearbox may carry at its output. */
  readonly ratedTorque?: Quantity;
}

/** Wire by the metre. */
export interface WirePart extends PartBase {
  readonly kind: 'wire';
  readonly gauge?: Quantity;
  /** What its insulation is made for, °C. */
  readonly insulation?: Quantity;
}

/** Roller chain by the length; mass and price are those of a metre. */
export interface ChainPart extends PartBase {
  readonly kind: 'chain';
  readonly pitch?: Quantity;
  /** Pull at which it breaks; the size's own where absent. */
  readonly strength?: Quantity;
}

export type Part =
  | MotorPart
  | PackPart
  | ControllerPart
  | BreakerPart
  | StepperPart
  | StepServoPart
  | DriverPart
  | BoardPart
  | ServoPart
  | SeriesPart
  | WirePart
  | ChainPart;
export type PartKind = Part['kind'];

/** Every kind of part there is. */
export const PART_KINDS = Object.keys({
  motor: true,
  pack: true,
  controller: true,
  breaker: true,
  stepper: true,
  'step-servo': true,
  driver: true,
  board: true,
  servo: true,
  series: true,
  wire: true,
  chain: true,
} satisfies Record<PartKind, true>) as readonly PartKind[];

/** A plan carries copies of its parts, so that it stands without the shelf it took them from. */
export interface PartCopy {
  readonly part: Part;
  readonly shelfId?: string;
  readonly shelfRevision?: number;
  readonly copiedAt?: string;
}
