/** Leads that screws are sold in, m a turn. */
export const SCREW_LEADS: readonly number[] = [1, 1.25, 1.5, 2, 3, 4, 5, 8, 10, 12, 16, 20].map((mm) => mm / 1000);

/** A hair, so that a lead that is sold is the next to itself. */
const HAIR = 1e-9;

/**
 * The next lead that is sold on one side of another: the greatest that is no greater, or the least that is no less.
 *
 * @example nextLead(0.0045, 'down') //=> 0.004
 */
export const nextLead = (lead: number, side: 'up' | 'down'): number | undefined =>
  side === 'down'
    ? SCREW_LEADS.findLast((one) => one <= lead * (1 + HAIR))
    : SCREW_LEADS.find((one) => one >= lead * (1 - HAIR));
