/** The little of the units library that is used here; it ships no types that resolve. */
interface Unit {
  readonly value: number;
  to(units: string): Unit;
}
interface UnitFactory {
  (text: string): Unit;
  (value: number, units: string): Unit;
  config(options: { definitions: { units: Record<string, { value: string; prefixes?: 'SHORT' }> } }): UnitFactory;
}
declare const unitmath: UnitFactory;
export default unitmath;
