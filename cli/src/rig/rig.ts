import { createServer, type Server } from 'node:net';
import { rigLines, TRIAL_KINDS, trialSheet, truthOf, type TrialKind } from '@rough-gear/core';

export interface RigSettings {
  readonly kind: TrialKind;
  readonly seed: number;
  readonly port: number;
  /** How many times as fast as the clock. */
  readonly speed: number;
}

const USE = `npm run rig -- [${TRIAL_KINDS.join('|')}] [seed] [times as fast]; ROUGH_GEAR_RIG is its port, 4170 otherwise`;
const MOST_SPEED = 100;

/**
 * What is asked of the simulated rig.
 *
 * @throws Error with one line that says what is allowed
 */
export function rigSettings(args: readonly string[], environment: NodeJS.ProcessEnv): RigSettings {
  const [kind = 'free-run', seed = '1', speed = '1', ...more] = args;
  const port = Number(environment['ROUGH_GEAR_RIG'] ?? 4170);
  if (!TRIAL_KINDS.includes(kind as TrialKind) || more.length > 0) throw new Error(`usage: ${USE}`);
  if (!/^\d{1,9}$/.test(seed)) throw new Error(`seed: ${seed} is no whole number`);
  if (!(Number(speed) > 0 && Number(speed) <= MOST_SPEED))
    throw new Error(`speed: ${speed} is not between 0 and ${MOST_SPEED}`);
  if (!(Number.isInteger(port) && port >= 0 && port < 65536)) throw new Error(`ROUGH_GEAR_RIG: ${port} is no port`);
  return { kind: kind as TrialKind, seed: Number(seed), port, speed: Number(speed) };
}

/** Serves the rig's lines to whoever connects on this machine: each from the beginning. */
export function serveRig({ kind, seed, speed }: Omit<RigSettings, 'port'>): Server {
  const truth = truthOf({}, seed);
  return createServer((socket) => {
    socket.setNoDelay(true);
    socket.write(`# simulated rig: ${trialSheet(kind).name.toLowerCase()}, seed ${seed}\n`);
    const lines = rigLines(kind, truth, { seed });
    const began = Date.now();
    let timer: ReturnType<typeof setTimeout> | undefined;
    const next = (): void => {
      const { value, done } = lines.next();
      if (done) return void socket.end();
      const wait = began + (value.at * 1000) / speed - Date.now();
      timer = setTimeout(
        () => {
          socket.write(`${value.text}\n`);
          next();
        },
        Math.max(0, wait),
      );
    };
    next();
    socket.once('close', () => clearTimeout(timer));
    // Whoever goes away in the middle takes nothing with them.
    socket.once('error', () => clearTimeout(timer));
  });
}
