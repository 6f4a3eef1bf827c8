import type { Mechanism, Plan } from '../../plan/document/plan.js';

/** Figures that went through a file are the same to this. */
const SAME = 1e-9;

type Json = Readonly<Record<string, unknown>>;

const isRecord = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isQuantity = (value: unknown): value is { si: number; as: string } => isRecord(value) && 'si' in value;
const hasIds = (value: unknown): value is readonly Json[] =>
  Array.isArray(value) && value.every((one) => isRecord(one) && typeof one['id'] === 'string');

/** "statorLimit" reads "stator limit"; what a plan calls a thing otherwise stands here. */
const NAMES: Readonly<Record<string, string>> = {
  driven: 'driven teeth',
  driver: 'driving teeth',
  every: 'once every',
  node: 'supply',
  data: '',
  part: '',
  output: '',
  drive: '',
};
const nameOf = (key: string): string => NAMES[key] ?? key.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);

const titleOf = (one: Json, at: number): string =>
  typeof one['name'] === 'string' ? one['name'] : `${String(one['kind'] ?? 'entry')} ${at + 1}`;

const shown = (value: unknown): string =>
  isQuantity(value) ? value.as : typeof value === 'boolean' ? (value ? 'yes' : 'no') : String(value);

/**
 * What somebody did between two states of a plan, a line each, in the words of the plan itself: "Mast lift, Raise a crate,
 * mass: 20 kg → 25 kg". Values read as they were typed. Empty where nothing changed.
 *
 * @example changedBetween(plan, plan) //=> []
 */
export function changedBetween(before: Plan, after: Plan): readonly string[] {
  const lines: string[] = [];
  const say = (where: readonly string[], what: string): void => {
    const place = where.filter((word) => word !== '').join(', ');
    lines.push(place === '' ? what : `${place}: ${what}`);
  };

  function records(a: Json, b: Json, where: readonly string[]): void {
    for (const key of new Set([...Object.keys(a), ...Object.keys(b)]))
      if (key !== 'id' && key !== 'format' && key !== 'version') values(a[key], b[key], [...where, nameOf(key)]);
  }

  function lists(a: readonly Json[], b: readonly Json[], where: readonly string[]): void {
    const inside = where.slice(0, -1);
    const known = new Map(a.map((one) => [one['id'], one]));
    b.forEach((one, i) => {
      const was = known.get(one['id']);
      known.delete(one['id']);
      const title = titleOf(one, i);
      if (!was) say(inside, `${title} added`);
      else if (was['kind'] !== one['kind']) say([...inside, title], `${String(was['kind'])} → ${String(one['kind'])}`);
      else records(was, one, [...inside, title]);
    });
    for (const gone of known.values()) say(inside, `${titleOf(gone, a.indexOf(gone))} removed`);
    const kept = (list: readonly Json[], other: readonly Json[]) =>
      list.map(({ id }) => id).filter((id) => other.some((one) => one['id'] === id));
    if (kept(a, b).join() !== kept(b, a).join()) say(where, 'put in another order');
  }

  function values(a: unknown, b: unknown, where: readonly string[]): void {
    if (a === b || JSON.stringify(a) === JSON.stringify(b)) return;
    if (isQuantity(a) && isQuantity(b)) {
      if (Math.abs(a.si - b.si) > SAME * Math.max(Math.abs(a.si), Math.abs(b.si))) say(where, `${a.as} → ${b.as}`);
      else say(where, `${b.as}, from another source`);
    } else if (hasIds(a) && hasIds(b)) lists(a, b, where);
    else if (isRecord(a) && isRecord(b) && !isQuantity(a) && !isQuantity(b)) records(a, b, where);
    else if (a === undefined && (isQuantity(b) || !isRecord(b)))
      say(where, `set to ${Array.isArray(b) ? 'a list' : shown(b)}`);
    else if (b === undefined && (isQuantity(a) || !isRecord(a)))
      say(where, `${Array.isArray(a) ? 'a list' : shown(a)} taken away`);
    else if (isRecord(a) || isRecord(b) || Array.isArray(b)) say(where, 'changed');
    else say(where, `${shown(a)} → ${shown(b)}`);
  }

  const { mechanisms: was, parts, ...rest } = before;
  const { mechanisms: is, parts: otherParts, ...otherRest } = after;
  lists(was.map(inWords), is.map(inWords), ['mechanisms']);
  for (const id of new Set([...Object.keys(parts), ...Object.keys(otherParts)])) {
    const [a, b] = [parts[id], otherParts[id]];
    if (!a) say([], `${b!.part.name} taken off the shelf`);
    else if (!b) say([], `${a.part.name} no longer used`);
    else if (a.part.name !== b.part.name) say([], `${a.part.name} → ${b.part.name}`);
    else records(a.part as unknown as Json, b.part as unknown as Json, [b.part.name]);
  }
  records(rest as unknown as Json, otherRest as unknown as Json, []);
  return lines;
}

/** A mechanism whose choice in force is told by its name, and no longer by an id. */
const inWords = (mechanism: Mechanism): Json => ({
  ...mechanism,
  current: undefined,
  'in force': mechanism.choices.find(({ id }) => id === mechanism.current)?.name ?? mechanism.current,
});
