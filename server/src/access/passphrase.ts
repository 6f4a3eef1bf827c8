import { randomBytes, scrypt, timingSafeEqual, type ScryptOptions } from 'node:crypto';
import { promisify } from 'node:util';

/** What is kept of a passphrase: enough to know it again, not enough to know it. */
export interface Hash {
  readonly salt: string;
  readonly hash: string;
  readonly cost: number;
}

export const SHORTEST = 10;
export const LONGEST = 200;

/** scrypt's N with r = 8, p = 1: some 32 MB and a tenth of a second for each guess. */
const COST = 2 ** 15;
const BYTES = 32;

const derive = promisify<string, Buffer, number, ScryptOptions, Buffer>(scrypt);
const derived = (text: string, salt: Buffer, cost: number): Promise<Buffer> =>
  derive(text.normalize('NFKC'), salt, BYTES, { N: cost, r: 8, p: 1, maxmem: 256 * 8 * cost });

export async function hashOf(passphrase: string): Promise<Hash> {
  const salt = randomBytes(16);
  const hash = await derived(passphrase, salt, COST);
  return { salt: salt.toString('base64'), hash: hash.toString('base64'), cost: COST };
}

export async function matches(passphrase: string, { salt, hash, cost }: Hash): Promise<boolean> {
  const known = Buffer.from(hash, 'base64');
  const given = await derived(passphrase, Buffer.from(salt, 'base64'), cost);
  return known.length === given.length && timingSafeEqual(known, given);
}
