/** When a go begins, s from the start of the match. */
export type When =
  | { readonly kind: 'at'; readonly time: number }
  /** Again and again. */
  | { readonly kind: 'every'; readonly time: number; readonly from: number; readonly to: number }
  /** So long after another go has ended, or together with it where it says so. */
  | { readonly kind: 'after' | 'with'; readonly go: string; readonly wait: number };

/** One thing a mechanism does in a match: a job of its own, or a drive base that just drives. */
export interface Go {
  readonly id: string;
  readonly when: When;
  /** The job that is done; its length is what the simulation finds. */
  readonly job?: string;
  /** Driving steadily: so fast, so long. m/s, s. */
  readonly cruise?: { readonly speed: number; readonly seconds: number };
}

/** A mechanism through the match. */
export interface Lane {
  readonly mechanism: string;
  readonly goes: readonly Go[];
}

/** Boards, lights, radio, pumps: what stands and draws. */
export interface StandingDraw {
  readonly id: string;
  readonly name: string;
  /** A */
  readonly current: number;
  readonly from: number;
  /** To the end of the match where absent. */
  readonly to?: number;
}

/** A part of a match with a name of the team's own. */
export interface MatchPart {
  readonly name: string;
  readonly seconds: number;
}

/** What the robot does in a match, lane by lane. */
export interface MatchScript {
  readonly id: string;
  readonly name: string;
  /** Whether the robot is judged by it. */
  readonly counts: boolean;
  readonly parts: readonly MatchPart[];
  readonly lanes: readonly Lane[];
  readonly draws: readonly StandingDraw[];
}

/** How long a script goes on, s. */
export const lengthOf = ({ parts }: Pick<MatchScript, 'parts'>): number =>
  parts.reduce((sum, { seconds }) => sum + seconds, 0);

/**
 * A script that ends after so many seconds, its last part cut.
 *
 * @example lengthOf(cutTo(plan.scripts[0], 20)) //=> 20
 */
export function cutTo(script: MatchScript, seconds: number): MatchScript {
  let left = seconds;
  const parts = script.parts.flatMap((part) => {
    const kept = Math.min(left, part.seconds);
    left -= kept;
    return kept > 0 ? [{ ...part, seconds: kept }] : [];
  });
  return { ...script, parts };
}
