/** What a place is, as the finder names it beside the label. */
type PlaceKind = 'question' | 'desk' | 'room' | 'figure' | 'mechanism' | 'trial' | 'part' | 'word' | 'page' | 'action';

/** Something that can be gone to, or done. */
export interface Place {
  /** Says what it is beyond one plan: `motor.kv`, `ask:counts`, `room:match`. Its other names are kept under it. */
  readonly key: string;
  readonly label: string;
  readonly kind: PlaceKind;
  /** The address in the program; of an action, its name after `#`. */
  readonly path: string;
  /** Where it is, where its label does not say so: the mechanism and its link. */
  readonly where?: string;
}

/** An address with what is asked for behind it; what is not given is left out. */
export function address(path: string, query: Readonly<Record<string, string | undefined>> = {}): string {
  const asked = Object.entries(query).filter((entry): entry is [string, string] => entry[1] !== undefined);
  return asked.length === 0 ? path : `${path}?${new URLSearchParams(asked).toString()}`;
}
