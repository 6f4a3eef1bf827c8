import { rigLines, truthOf, type Expected, type TrialKind } from '@rough-gear/core';
import { api } from '../../../api/client.js';

/** Where lines come from: text in pieces of any size, until it ends or is stopped. */
export interface RigSource {
  /** It ends where it is whole: a last line without an end is one. A line that broke off may have cut a number short. */
  readonly whole?: true;
  /** Runs until the line has ended; throws where it breaks. */
  run(take: (piece: string) => void, stop: AbortSignal): Promise<void>;
}

/** A browser's serial port, as far as it is used here. */
interface SerialPort {
  open(options: { baudRate: number }): Promise<void>;
  close(): Promise<void>;
  readonly readable: ReadableStream<Uint8Array> | null;
}
interface SerialNavigator {
  readonly serial?: { requestPort(): Promise<SerialPort> };
}
const serial = () => (navigator as SerialNavigator).serial;
export const hasSerial = (): boolean => serial() !== undefined;
const BAUD = 115_200;

async function readAll(
  stream: ReadableStream<Uint8Array>,
  take: (piece: string) => void,
  stop: AbortSignal,
): Promise<void> {
  const reader = stream.getReader();
  const decoder = new TextDecoder();
  const cancel = () => void reader.cancel().catch(() => undefined);
  stop.addEventListener('abort', cancel);
  try {
    for (;;) {
      const { value, done } = await reader.read();
      if (done) return;
      take(decoder.decode(value, { stream: true }));
    }
  } finally {
    stop.removeEventListener('abort', cancel);
    reader.releaseLock();
  }
}

/** The port that the person chooses in the browser's own list. */
export const serialSource: RigSource = {
  async run(take, stop) {
    const port = await serial()!.requestPort();
    await port.open({ baudRate: BAUD });
    try {
      if (port.readable) await readAll(port.readable, take, stop);
    } finally {
      await port.close();
    }
  },
};

/** A rig on the server's machine, at the port its settings name. */
export const localSource: RigSource = {
  async run(take, stop) {
    const response = await api.rigLines(stop);
    if (!response.ok) {
      const problem = (await response.json()) as { detail?: string; title: string };
      throw new Error([problem.title, problem.detail].filter(Boolean).join(': '));
    }
    if (response.body) await readAll(response.body, take, stop);
  },
};

/** A file that a logger or a microcontroller wrote. */
export const fileSource = (file: File): RigSource => ({
  whole: true,
  run: (take, stop) => readAll(file.stream(), take, stop),
});

/** The rig that ships, in the page itself: its own true values about those expected; so many times as fast as the clock. */
export const simulatedSource = (
  kind: TrialKind,
  expected: Expected,
  seed: number,
  speed: number,
  inertia: number | undefined,
): RigSource => ({
  async run(take, stop) {
    const began = performance.now();
    for (const { at, text } of rigLines(
      kind,
      truthOf(expected, seed),
      inertia === undefined ? { seed } : { seed, inertia },
    )) {
      const wait = began + (at * 1000) / speed - performance.now();
      if (wait > 0) await new Promise((resolve) => setTimeout(resolve, wait));
      if (stop.aborted) return;
      take(`${text}\n`);
    }
  },
});
