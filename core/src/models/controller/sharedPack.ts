/** A pack as everything on it shares it. */
export interface SharedPack {
  /** At rest, at its charge, V. */
  readonly rest: number;
  /** Pack and whatever wire all of them share, Ω. */
  readonly resistance: number;
}

/** What all that hangs on the pack draws together at its volts, A; what is returned counts negative. */
export type DrawnAt = (volts: number) => number;

export interface SettledPack {
  /** Where the shared wire ends, V. */
  readonly volts: number;
  readonly current: number;
  /** No volts carry what is asked: the pack falls together, and what is given is the nearest to it. */
  readonly collapsed: boolean;
}

/** Volts to which it is settled. */
const NEAR = 1e-7;
const LOOKS = 48;
const TRIES = 10;

/**
 * The highest volts at which the pack gives what is asked of it at those volts: V = Voc − R·I(V). What is held by its
 * pack-side limit takes a fixed current, what is held by its motor-side limit takes more as the volts fall.
 *
 * @param guess volts a moment ago, where nothing has been switched since
 * @example settleShared({ rest: 12, resistance: 0.02 }, () => 50) //=> { volts: 11, current: 50, collapsed: false }
 */
export function settleShared({ rest, resistance }: SharedPack, drawnAt: DrawnAt, guess?: number): SettledPack {
  // What was drawn at the volts that were looked at last: an answer is mostly those, and is not asked for again.
  let [looked, drawn] = [NaN, 0];
  const over = (volts: number): number => {
    [looked, drawn] = [volts, drawnAt(volts)];
    return rest - resistance * drawn - volts;
  };
  const found = (volts: number, collapsed = false): SettledPack => ({
    volts,
    current: volts === looked ? drawn : drawnAt(volts),
    collapsed,
  });
  if (guess !== undefined) {
    const near = secant(over, guess);
    if (near !== undefined) return found(near);
  }
  // From above: there nothing is left over, unless something returns current.
  const top = rest + resistance * Math.max(0, -drawnAt(rest)) * 1.2;
  let [high, atHigh] = [top, over(top)];
  if (atHigh >= 0) return found(top);
  let best = { volts: top, over: atHigh };
  for (let i = 1; i <= LOOKS; i++) {
    const low = top * (1 - i / (LOOKS + 1));
    const atLow = over(low);
    if (atLow >= 0) return found(between(over, low, atLow, high, atHigh));
    if (atLow > best.over) best = { volts: low, over: atLow };
    [high, atHigh] = [low, atLow];
  }
  return found(best.volts, true);
}

/** From volts that were right a moment ago; only where the answer is as steady as theirs was. */
function secant(over: DrawnAt, guess: number): number | undefined {
  let [before, atBefore] = [guess, over(guess)];
  if (Math.abs(atBefore) < NEAR) return before;
  let now = guess + 0.9 * atBefore;
  for (let i = 0; i < TRIES; i++) {
    const atNow = over(now);
    const slope = (atNow - atBefore) / (now - before);
    // More left over at higher volts: that is the lower of two answers, which no pack stays at.
    if (!(slope < 0)) return undefined;
    if (Math.abs(atNow) < NEAR) return now;
    [before, atBefore] = [now, atNow];
    now -= atNow / slope;
    if (!(now > 0)) return undefined;
  }
  return undefined;
}

/** Regula falsi, the end that stays halved (Illinois). */
function between(over: DrawnAt, from: number, atFrom: number, to: number, atTo: number): number {
  let [low, atLow, high, atHigh] = [from, atFrom, to, atTo];
  let side = 0;
  for (let i = 0; i < 60; i++) {
    const now = (low * atHigh - high * atLow) / (atHigh - atLow);
    const atNow = over(now);
    if (Math.abs(atNow) < NEAR || high - low < NEAR * 1e-3) return now;
    if (atNow > 0) {
      [low, atLow] = [now, atNow];
      if (side === 1) atHigh /= 2;
      side = 1;
    } else {
      [high, atHigh] = [now, atNow];
      if (side === -1) atLow /= 2;
      side = -1;
    }
  }
  return low;
}
