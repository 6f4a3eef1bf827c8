import { refused, taken, type Read } from '../read.js';
import { beyond, type Limits } from './limits.js';

/** The value that a body is as JSON. */
export function jsonOf(bytes: Uint8Array, limits: Limits): Read<unknown> {
  const tooMuch = beyond(bytes, limits);
  if (tooMuch !== undefined) return refused(413, 'That is more than is read here', { detail: `${tooMuch}.` });
  try {
    return taken(JSON.parse(new TextDecoder().decode(bytes)));
  } catch (problem) {
    return refused(400, 'The body is not JSON', { detail: (problem as Error).message });
  }
}
