/** How much one document may hold. */
export interface Limits {
  /** What it is called in a sentence. */
  readonly name: string;
  /** Lists and objects inside each other. */
  readonly depth: number;
  /** Keys, and values of lists. */
  readonly values: number;
  /** Lists and objects in all: each costs many times its bytes. */
  readonly objects: number;
}

const [QUOTE, BACKSLASH, COMMA, COLON] = [0x22, 0x5c, 0x2c, 0x3a];
const [OPEN, OPEN_LIST, CLOSE, CLOSE_LIST] = [0x7b, 0x5b, 0x7d, 0x5d];

/**
 * What is too much in a text of JSON, as a sentence; nothing where all of it is within the limits. Bytes are counted before
 * anything is made of them: thousands of lists inside each other, or a million keys, cost no more than their bytes.
 */
export function beyond(bytes: Uint8Array, { name, depth, values, objects }: Limits): string | undefined {
  let [inside, counted, opened] = [0, 0, 0];
  for (let i = 0; i < bytes.length; i++)
    switch (bytes[i]) {
      case QUOTE:
        for (i++; i < bytes.length && bytes[i] !== QUOTE; i++) if (bytes[i] === BACKSLASH) i++;
        break;
      case OPEN:
      case OPEN_LIST:
        if (++inside > depth) return `${name} is nested deeper than ${depth}`;
        if (++opened > objects) return `${name} holds more than ${objects} lists and objects`;
        break;
      case CLOSE:
      case CLOSE_LIST:
        inside--;
        break;
      case COMMA:
      case COLON:
        if (++counted > values) return `${name} holds more than ${values} keys and values`;
    }
  return undefined;
}
