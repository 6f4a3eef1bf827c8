import { optoCurrent, type OptoInput } from './optoInput.js';

/** The nearest values that resistors come in, two to a step of the twelve-step series, Ω. */
const SERIES = [10, 12, 15, 18, 22, 27, 33, 39, 47, 56, 68, 82] as const;

/**
 * The next resistor of the twelve-step series at or above a value, Ω.
 *
 * @example resistorAtLeast(511) //=> 560
 */
export function resistorAtLeast(value: number): number {
  if (!(value > 10)) return 10;
  const decade = 10 ** Math.floor(Math.log10(value) - 1 + 1e-12);
  const found = SERIES.find((step) => step * decade >= value * (1 - 1e-9));
  return found === undefined ? 10 * decade * 10 : found * decade;
}

/** A small n-channel transistor that pulls the input down to ground while the pin drives its gate. */
export interface TransistorStage {
  /** Between pin and gate: holds the gate's charging current under what the pin may give. */
  readonly gateResistor: number;
  /** From gate to ground: off while the board starts up. */
  readonly pullDown: number;
  /** Between the transistor and an input fed from `feed`; 0 where the input's own is enough. */
  readonly seriesResistor: number;
  /** What the input then draws. */
  readonly inputCurrent: number;
  /** From the alarm output to the board's own supply: the line back. */
  readonly alarmPullUp: number;
}

/** Pull-down on the gate: a hundred times the usual gate resistor takes next to nothing from the level. */
const PULL_DOWN = 100_000;
/** What an open-collector alarm output sinks when it is on, and still pulls the line low. */
const ALARM_SINK = 0.0005;

/**
 * The stage for a pin that cannot drive an input itself: the input hangs on `feed` (V), the transistor
 * closes its way to ground. Source: Ohm's law, Horowitz and Hill, The Art of Electronics, chapter 3.
 */
export function transistorStage(
  input: OptoInput,
  pin: { readonly signalVoltage: number; readonly pinCurrent: number },
  feed: number,
): TransistorStage {
  const rated = optoCurrent(input, input.ratedSignal);
  const series = feed > input.ratedSignal ? (feed - input.ledForward) / rated - input.inputResistance : 0;
  const seriesResistor = series > 0 ? resistorAtLeast(series) : 0;
  return {
    gateResistor: resistorAtLeast(pin.signalVoltage / pin.pinCurrent),
    pullDown: PULL_DOWN,
    seriesResistor,
    inputCurrent: Math.max(0, (feed - input.ledForward) / (input.inputResistance + seriesResistor)),
    alarmPullUp: resistorAtLeast(pin.signalVoltage / ALARM_SINK),
  };
}
