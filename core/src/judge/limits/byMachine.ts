/** A rule of each machine that has it, and of one at least: one that no machine has is asked for by the compiler. */
export type ByMachine<Dc, Step, Servo> =
  | { readonly dc: Dc; readonly step?: Step; readonly servo?: Servo }
  | { readonly dc?: Dc; readonly step: Step; readonly servo?: Servo }
  | { readonly dc?: Dc; readonly step?: Step; readonly servo: Servo };

/** The rules of each machine, in the order of the table. */
export function machineLists<Dc, Step, Servo>(table: Readonly<Record<string, ByMachine<Dc, Step, Servo>>>) {
  const all = Object.values(table);
  const there = <Rule>(rule: Rule | undefined): readonly Rule[] => (rule === undefined ? [] : [rule]);
  return {
    dc: all.flatMap(({ dc }) => there(dc)),
    step: all.flatMap(({ step }) => there(step)),
    servo: all.flatMap(({ servo }) => there(servo)),
  };
}

/** Of motors that turn a shaft, whether they take volts or pulses. */
export const turning = <Rule>(rule: Rule): { readonly dc: Rule; readonly step: Rule } => ({ dc: rule, step: rule });

/** Of every machine. */
export const all = <Rule>(rule: Rule): { readonly dc: Rule; readonly step: Rule; readonly servo: Rule } => ({
  ...turning(rule),
  servo: rule,
});
