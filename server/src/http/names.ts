import { hostname, networkInterfaces } from 'node:os';

const LOOPBACK = ['localhost', '127.0.0.1', '::1'];

/** Whether nobody but this machine can reach an address. */
export const isLoopback = (host: string): boolean => LOOPBACK.includes(host.toLowerCase()) || host.startsWith('127.');

/** An address of the sixth version stands in brackets wherever a port may follow it. */
export const bracketed = (host: string): string => (host.includes(':') ? `[${host}]` : host);

/** The names a server answers to: its own address, or all of this machine's, and those it was given. */
export function namesOf(host: string, given: readonly string[]): ReadonlySet<string> {
  const all = host === '0.0.0.0' || host === '::';
  const own = all
    ? [
        hostname(),
        `${hostname()}.local`,
        ...Object.values(networkInterfaces()).flatMap((list) => (list ?? []).map(({ address }) => address)),
      ]
    : [host];
  return new Set([...LOOPBACK, ...own, ...given].map((name) => bracketed(name.toLowerCase())));
}
