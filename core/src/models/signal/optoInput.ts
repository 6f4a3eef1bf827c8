/** The light-emitting half of an opto-isolated input. SI. */
export interface OptoInput {
  readonly ledForward: number;
  /** The resistor inside. */
  readonly inputResistance: number;
  /** Least current at which it switches for certain. */
  readonly needCurrent: number;
  /** Signal level it is made for. */
  readonly ratedSignal: number;
}

/** What a pin gives: its level and the most current it may. */
export interface SignalPin {
  readonly signalVoltage: number;
  readonly pinCurrent: number;
}

/**
 * I = (Vsig − Vf)/Rin through the input, A; 0 where the level is under the diode's.
 *
 * @example optoCurrent({ ledForward: 1.2, inputResistance: 270, needCurrent: 0.007, ratedSignal: 5 }, 3.3) //=> 0.007778
 */
export const optoCurrent = ({ ledForward, inputResistance }: OptoInput, signal: number): number =>
  Math.max(0, (signal - ledForward) / inputResistance);

/** What a pin and an input make together. */
export interface SignalFit {
  readonly current: number;
  readonly enoughLight: boolean;
  readonly pinCanGive: boolean;
  /**
   * Resistor in series that brings the current of a higher level back to what the rated one draws:
   * (Vsig − Vf)/I − Rin; 0 where none is needed.
   */
  readonly seriesResistor: number;
}

/**
 * Whether a pin drives an opto input, and what is between where its level is higher than rated.
 *
 * @example signalFit({ ledForward: 1.2, inputResistance: 270, needCurrent: 0.007, ratedSignal: 5 }, { signalVoltage: 5, pinCurrent: 0.02 }) //=> { current: 0.01407, enoughLight: true, pinCanGive: true, seriesResistor: 0 }
 */
export function signalFit(input: OptoInput, { signalVoltage, pinCurrent }: SignalPin): SignalFit {
  const current = optoCurrent(input, signalVoltage);
  const rated = optoCurrent(input, input.ratedSignal);
  const series =
    signalVoltage > input.ratedSignal ? (signalVoltage - input.ledForward) / rated - input.inputResistance : 0;
  return {
    current,
    enoughLight: current >= input.needCurrent,
    pinCanGive: current <= pinCurrent,
    seriesResistor: Math.max(0, series),
  };
}
