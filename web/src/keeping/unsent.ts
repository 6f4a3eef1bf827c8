import { keptUnder, setAside } from './keeping.js';
import { isOpen, windowName } from './windows.js';

/** What a window has not sent, as it is kept: under what, of which plan or trial, and whose. */
export interface Unsent<Value> {
  readonly key: string;
  /** Of the plan or trial. */
  readonly of: string;
  readonly value: Value;
  /** This window's, from before it was loaded again. */
  readonly own: boolean;
  /** The window is open beside this one, and sends it itself. */
  readonly open: boolean;
}

export type UnsentKind = 'plan' | 'trial' | 'diary';

/** Where this window keeps what it has not sent. */
export const unsentKey = async (kind: UnsentKind, of: string): Promise<string> =>
  `unsent:${kind}:${of}:${await windowName()}`;

/**
 * What windows of this browser have not sent of a kind; of one plan or trial, or of all. What `read` makes nothing of is
 * set aside as it stands, so that a person decides what becomes of it.
 */
export async function unsentOf<Value>(
  kind: UnsentKind,
  read: (found: unknown) => Value | undefined,
  of = '',
): Promise<readonly Unsent<Value>[]> {
  const own = await windowName();
  const found = await keptUnder(`unsent:${kind}:${of}${of === '' ? '' : ':'}`);
  const all = await Promise.all(
    found.map(async ([key, kept]): Promise<Unsent<Value> | undefined> => {
      const [, , id = '', window = ''] = key.split(':');
      const open = window !== own && (await isOpen(window));
      const value = read(kept);
      if (value !== undefined) return { key, of: id, value, own: window === own, open };
      if (!open) await setAside(key, kept);
      return undefined;
    }),
  );
  return all.filter((one) => one !== undefined);
}
