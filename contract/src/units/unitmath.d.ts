/** The little of the units library that is used here; it ships no types that resolve. */
declare module 'unitmath' {
  interface Unit {
    readonly value: number;
    to(units: string): Unit;
  }
  interface UnitFactory {
    (text: string): Unit;
    (value: number, units: string): Unit;
    config(options: { definitions: { units: Record<string, { value: string }> } }): UnitFactory;
  }
  const unitmath: UnitFactory;
  export default unitmath;
}
