/** Teeth as typed: "18 → 48", "18 48", "18/48"; a colon is understood too, and said. */
export type TeethRead =
  | { readonly ok: true; readonly driver: number; readonly driven: number; readonly colon: boolean }
  | { readonly ok: false; readonly reason: string };

const LEAST = 6;
const MOST = 400;

/** Reads "driver → driven". With a colon it reads as a ratio does, driven to driver: 35:12 slows down. */
export function readTeeth(text: string): TeethRead {
  const match = /^\s*(\d+)\s*(→|->|=>|>|:|\/|,|\s)\s*(\d+)\s*$/.exec(text);
  if (!match) return { ok: false, reason: `“${text.trim()}” is not understood; for example 18 → 48` };
  const [first, second] = [Number(match[1]), Number(match[3])];
  for (const teeth of [first, second]) {
    if (teeth < LEAST || teeth > MOST)
      return { ok: false, reason: `${teeth} teeth are not allowed: ${LEAST} to ${MOST} are` };
  }
  const colon = match[2] === ':';
  // A ratio slows down; 11:38 would speed up, and is as likely a small wheel that drives a large one.
  if (colon && first < second)
    return { ok: false, reason: `which of the two drives: ${first} → ${second}, or ${second} → ${first}?` };
  return colon
    ? { ok: true, driver: second, driven: first, colon }
    : { ok: true, driver: first, driven: second, colon };
}
