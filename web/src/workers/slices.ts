/** One kind of question to a worker: worked out step by step, each step giving what is known so far. */
export interface Question<Args extends readonly unknown[], Told, End> {
  /** What must be loaded before the first step, which is given it in front of what is asked. */
  readonly ready?: () => Promise<unknown>;
  readonly steps: (...args: Args) => Generator<Told, End>;
  /** What is known is told no more often than this, ms. */
  readonly tellEvery?: number;
  /** It may take so long, ms; what is answered then, from what was told last. */
  readonly within?: number;
  readonly late?: (last: Told) => End;
  /** What is answered when it is stopped; nothing where it is absent. */
  readonly stopped?: (last: Told) => End;
  /** Questions of one group stop each other; a kind is its own group where none is named. */
  readonly group?: string;
}

/** A question of whatever arguments and answers: what stands in a table. */
interface AnyQuestion {
  readonly ready?: () => Promise<unknown>;
  readonly steps: (...args: never[]) => Generator<unknown, unknown>;
  readonly tellEvery?: number;
  readonly within?: number;
  readonly late?: (last: never) => unknown;
  readonly stopped?: (last: never) => unknown;
  readonly group?: string;
}
export type Questions = Readonly<Record<string, AnyQuestion>>;

type AskedWith<Asked, Args extends readonly unknown[]> = Asked extends { readonly ready: unknown }
  ? Args extends readonly [unknown, ...infer Rest]
    ? Rest
    : never
  : Args;
type AnswerOf<Asked> =
  Asked extends Question<infer Args, infer Told, infer End>
    ? (
        ...given: [...AskedWith<Asked, Args>, told?: (told: Told) => void]
      ) => Promise<Asked extends { readonly stopped: unknown } ? End : End | undefined>
    : never;

/** A table of questions as it is asked: what comes last may be a listener that is told how far it is. */
export type Answers<Table extends Questions> = { readonly [Kind in keyof Table]: AnswerOf<Table[Kind]> } & {
  /** Stops what is being worked out of a kind. */
  readonly stop: (kind: keyof Table) => void;
};

/** After so long messages come in between two steps, ms: a newer question, or a stop. */
const SLICE = 50;
const breathe = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

/**
 * Answers questions in slices of time. A newer question of the same kind stops the older one, which then gives `undefined`
 * or what its table says. Nothing depends on how long a step takes but when others are heard.
 */
export function answering<Table extends Questions>(table: Table): Answers<Table> {
  const newest = new Map<string, number>();
  const next = (group: string): number => {
    const mine = (newest.get(group) ?? 0) + 1;
    newest.set(group, mine);
    return mine;
  };

  async function answer(kind: string, given: readonly unknown[]): Promise<unknown> {
    const asked = table[kind] as unknown as Question<readonly unknown[], unknown, unknown>;
    const { ready, steps, group = kind, within = Infinity, tellEvery = SLICE, late, stopped } = asked;
    const mine = next(group);
    // Arguments are plain data: what can be called is whoever wants to be told.
    const last = given.at(-1);
    const told = typeof last === 'function' ? (last as (told: unknown) => void) : undefined;
    const asking = told ? given.slice(0, -1) : given;
    const going = ready ? steps(await ready(), ...asking) : steps(...asking);
    const began = performance.now();
    let [breathed, toldAt, toldLast]: [number, number, unknown] = [began, -Infinity, undefined];
    for (;;) {
      const step = going.next();
      if (step.done) return step.value;
      const now = performance.now();
      if (now - breathed < SLICE) continue;
      // The same again is no news.
      if (step.value !== toldLast && now - toldAt >= tellEvery) {
        [toldAt, toldLast] = [now, step.value];
        told?.(step.value);
      }
      await breathe();
      if (mine !== newest.get(group)) return stopped?.(step.value);
      if (performance.now() - began > within) return late?.(step.value);
      breathed = performance.now();
    }
  }

  const answers = Object.fromEntries(
    Object.keys(table).map((kind) => [kind, (...given: readonly unknown[]) => answer(kind, given)]),
  );
  const stop = (kind: string): void => void next(table[kind]?.group ?? kind);
  return { ...answers, stop } as Answers<Table>;
}
