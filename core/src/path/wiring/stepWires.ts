import type { DriverPart, StepperPart, StepServoPart } from '../../plan/document/part.js';
import type { StepPath } from '../powerpath/stepPath.js';
import { signalFit } from '../../models/signal/optoInput.js';
import { resistorAtLeast, transistorStage } from '../../models/signal/transistorStage.js';
import { amount, say } from '../../plan/words/phrase.js';
import { wire, type Wire } from './wire.js';

/** At a pin that listens to a line from outside: a resistor in it and a capacitor to ground, against static. */
const GUARD = { resistor: 1000, capacitor: 100e-9 };
/** Electrolytic at a driver's supply, µF for each ampere of a phase. */
const RESERVOIR = 100;

/** The two coils of a stepper, and how its half coils are joined. */
function coilWires(part: StepperPart, driver: string, motor: string): readonly Wire[] {
  const { leads = 4, wiring = 'series' } = part;
  return ['1', '2'].flatMap((coil) => {
    const joined =
      leads === 4
        ? undefined
        : wiring === 'half coil'
          ? leads === 6
            ? 'from the middle tap; its third wire left open, insulated'
            : 'one half; the ends of the other left open, insulated'
          : wiring === 'series'
            ? leads === 6
              ? 'the middle tap left open, insulated'
              : 'end of one half joined to the start of the other'
            : 'starts of both halves joined, ends of both joined';
    return [
      wire('motor', `${driver}, coil ${coil} start`, `${motor}, coil ${coil} start`, { with: joined }),
      wire('motor', `${driver}, coil ${coil} end`, `${motor}, coil ${coil} end`),
    ];
  });
}

/** One line from a pin to an input of the driver, with what lies between them. */
function lineWires(path: StepPath, pin: string, input: string): readonly Wire[] {
  const { board, driver, signalStage } = path;
  if (path.lacks.signal) return [wire('signal', pin, `${input} +`), wire('ground', 'board, ground', `${input} −`)];
  if (signalStage === 'transistor') {
    const stage = transistorStage(driver.input, board, board.feedVoltage);
    return [
      wire('signal', pin, `transistor for ${input}, gate`, {
        with: say`${amount(stage.gateResistor, 'input resistance')} in it; ${amount(stage.pullDown, 'input resistance')} from the gate to ground`,
      }),
      wire('ground', `transistor for ${input}, source`, 'board, ground'),
      wire('signal', `transistor for ${input}, drain`, `${input} −`),
      wire('plus', 'board, feed', `${input} +`, {
        with: stage.seriesResistor > 0 ? say`${amount(stage.seriesResistor, 'input resistance')} in it` : undefined,
      }),
    ];
  }
  const series = signalFit(driver.input, board).seriesResistor;
  const resistor =
    signalStage === 'resistor' && series > 0
      ? say`${amount(resistorAtLeast(series), 'input resistance')} in it`
      : undefined;
  return [wire('signal', pin, `${input} +`, { with: resistor }), wire('ground', 'board, ground', `${input} −`)];
}

/** A driver for each motor, the board in front of them all, and the line back. */
export function stepWires(
  path: StepPath,
  motor: StepperPart | StepServoPart,
  driver: DriverPart,
  driverOf: (i: number) => string,
  motorOf: (i: number) => string,
): readonly Wire[] {
  const twoLines = driver.pulseForm === 'one line a direction';
  return Array.from({ length: path.motors }, (_, i) => {
    const at = driverOf(i);
    const reservoir = RESERVOIR * path.step.setCurrent;
    return [
      ...(motor.kind === 'stepper'
        ? coilWires(motor, at, motorOf(i))
        : [
            wire('motor', `${at}, motor plug`, `${motorOf(i)}, motor plug`),
            wire('sensor', `${motorOf(i)}, encoder plug`, `${at}, encoder plug`),
          ]),
      ...lineWires(path, 'board, pulse pin', `${at}, ${twoLines ? 'forwards' : 'pulse'}`),
      ...lineWires(
        path,
        `board, ${twoLines ? 'second pulse' : 'direction'} pin`,
        `${at}, ${twoLines ? 'backwards' : 'direction'}`,
      ),
      ...(path.enable.wired ? lineWires(path, 'board, enable pin', `${at}, enable`) : []),
      ...(driver.alarm
        ? [
            wire('sensor', `${at}, alarm`, 'board, alarm pin', {
              with: path.lacks.signal
                ? undefined
                : say`${amount(transistorStage(path.driver.input, path.board, path.board.feedVoltage).alarmPullUp, 'input resistance')} from the pin’s side to its supply; ${amount(GUARD.resistor, 'input resistance')} in it and ${amount(GUARD.capacitor, 'capacitance')} from the pin to ground, against static`,
            }),
            wire('ground', `${at}, alarm ground`, 'board, ground'),
          ]
        : []),
      ...(reservoir > 0
        ? [
            wire('plus', `${at}, supply +`, `${at}, supply −`, {
              with: `a capacitor of ${Math.ceil(reservoir / 10) * 10} µF or more, close by, for half as many volts again`,
            }),
          ]
        : []),
    ];
  }).flat();
}
