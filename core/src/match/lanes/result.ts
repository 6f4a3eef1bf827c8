import type { DipOf } from '../../judge/ledger/robotRung.js';
import type { Lumps } from '../../models/motor/heat.js';

/** How a go of a match ended. */
export type GoOutcome =
  | 'arrived'
  /** Pushed as long as its job lasts and came no further. */
  | 'stalled'
  /** Its brakes did not hold what pushed it. */
  | 'ran past'
  /** Its breaker let go. */
  | 'tripped'
  /** The match ended before it did. */
  | 'cut off'
  /** It never began: its lane was busy until the end, or its breaker had let go. */
  | 'never begun';

export interface GoResult {
  readonly lane: number;
  readonly go: string;
  readonly job?: string;
  readonly planned: number;
  readonly began?: number;
  readonly ended?: number;
  readonly outcome: GoOutcome;
  /** Seconds it may take by its job; absent where it has no such time. */
  readonly wanted?: number;
  /** Seconds it takes with the pack to itself. */
  readonly alone?: number;
}

/** What one lane took and went through. */
export interface LaneResult {
  readonly mechanism: string;
  readonly name: string;
  /** At the pack's terminals, J; what came back taken off. */
  readonly energy: number;
  /** Of the whole lane at the pack, A. */
  readonly peak: number;
  /** Hottest winding and its limit, °C; absent without thermal figures. */
  readonly heat?: { readonly peak: number; readonly limit: number; readonly ambient: number; readonly end: Lumps };
  readonly branch?: { readonly peak: number; readonly tripsAt?: number };
  readonly lacking?: string;
}

/** The instant at which something that needs volts has the least room. */
export interface Dip {
  readonly of: DipOf;
  /** The controller's mechanism. */
  readonly lane?: number;
  readonly time: number;
  /** Volts there, where it gives up, and where it would be with nothing drawn. */
  readonly volts: number;
  readonly floor: number;
  readonly rest: number;
  /** Times the current of that instant until the floor: (Voc − Vfloor)/(Voc − V). */
  readonly multiple: number;
  /** Who was on, the greatest draw first: lanes by number, and −1 for all that stands. */
  readonly who: readonly number[];
}

/** The match as drawn: a moment a row. */
export interface MatchSamples {
  readonly times: readonly number[];
  /** At the pack's terminals. */
  readonly volts: readonly number[];
  readonly current: readonly number[];
  /** Of each lane, and last of all that stands. */
  readonly lanes: readonly (readonly number[])[];
  /** Volts there would be with nothing drawn, and charge taken until then, A·s by the capacity law. */
  readonly rest: readonly number[];
  readonly taken: readonly number[];
  /** Heat of the main breaker and of the hottest branch's, 1 trips; winding of each lane, °C, 0 where it is not known. */
  readonly mainHeat: readonly number[];
  readonly branchHeat: readonly number[];
  readonly windings: readonly (readonly number[])[];
}

export interface MatchResult {
  readonly length: number;
  readonly goes: readonly GoResult[];
  readonly lanes: readonly LaneResult[];
  readonly samples: MatchSamples;
  /** Least first. */
  readonly dips: readonly Dip[];
  /** Stretches with volts under a floor: what gave up, when, and who was on. */
  readonly brownOuts: readonly {
    readonly of: DipOf;
    readonly lane?: number;
    readonly from: number;
    readonly to: number;
  }[];
  /** No volts carried what was asked. */
  readonly collapsedAt?: number;
  readonly main?: { readonly peak: number; readonly tripsAt?: number };
  /** A·s as the pack's capacity law counts them, and as they flowed. */
  readonly charge: number;
  readonly flowed: number;
  /** Share of the capacity left at the end; absent where the capacity is not known. */
  readonly left?: number;
  /** At the terminals, J; of that what boards, lights and the like took, and what the shared wire kept. */
  readonly energy: number;
  readonly standing: number;
  readonly wire: number;
  readonly leastVolts: { readonly volts: number; readonly time: number };
  readonly peakCurrent: { readonly current: number; readonly time: number };
  /** Where every pack, winding and breaker stands at the end, for the next match. */
  readonly end: MatchStart;
}

/** How a match begins: charge, and what is still warm. */
export interface MatchStart {
  readonly charge: number;
  readonly lumps: readonly (Lumps | undefined)[];
  readonly branches: readonly number[];
  readonly main: number;
}
