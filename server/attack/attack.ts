/** What came of an attack. */
interface Outcome {
  /** What was tried, counted. */
  readonly tried: string;
  /** What was seen: times, refusals, how much was saved. */
  readonly seen: string;
  /** What should not have happened; nothing where the server held. */
  readonly broken: readonly string[];
  /** What took longer than it may on a machine that does nothing else. */
  readonly slow?: readonly string[];
}

/** How much of an attack is made. */
type Scale = 'short' | 'long';

/** A way to harm a running server, repeatable and with an end. */
export interface Attack {
  readonly name: string;
  /** What it goes for: a save that is lost, somebody let in, everybody kept waiting. */
  readonly aims: string;
  run(scale: Scale): Promise<Outcome>;
}

export const pick = <T>(list: readonly T[], roll: () => number): T => list[Math.floor(roll() * list.length)]!;

/** The time that this share of them stays under, ms, as text. */
export const within = (times: readonly number[], share: number): number =>
  Math.round([...times].sort((a, b) => a - b)[Math.min(times.length - 1, Math.floor(share * times.length))] ?? 0);
