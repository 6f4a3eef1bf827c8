import { RigReader, type RigReading } from '@rough-gear/contract/bench';
import { trialSheet, type TrialKind } from '@rough-gear/core';
import { computed, onUnmounted, ref, shallowRef } from 'vue';
import type { RigSource } from './rigSources.js';

/** What ends a trial by itself. SI; absent is no limit. */
export interface LiveLimits {
  readonly current?: number;
  readonly seconds?: number;
  readonly temperature?: number;
}

/** One line as it came: by the rig's clock, or by this one where the rig has none. */
export interface LiveSample {
  readonly time: number;
  readonly at: RigReading['at'];
}

/** A line that is silent for so long, ms, is said to be. */
const SILENT_AFTER = 1500;
/** A reading is meant over so many of the last lines. */
const MEANT_OVER = 8;
const MOST_KEPT = 200_000;
const TICK = 250;

/** A live line: read, watched, and stopped by hand or by a limit. What came stays, whatever becomes of the line. */
export function useLive(
  kind: () => TrialKind,
  limits: () => LiveLimits,
  eachLine: (readings: readonly RigReading['at'][]) => void,
) {
  const samples = shallowRef<readonly LiveSample[]>([]);
  const problems = shallowRef<readonly string[]>([]);
  const running = ref(false);
  const silent = ref(false);
  const ended = ref('');
  const zero = shallowRef<Readonly<Record<string, number>>>({});
  const marks = shallowRef<readonly number[]>([]);
  let stopper: AbortController | undefined;
  let came = 0;
  let began = 0;
  let buffer: LiveSample[] = [];

  const latest = computed(() => samples.value.at(-1));
  const rate = computed(() => {
    const last = samples.value.slice(-20);
    const span = last.length > 1 ? last.at(-1)!.time - last[0]!.time : 0;
    return span > 0 ? (last.length - 1) / span : 0;
  });

  /** What a reading is without what stood there at nothing. */
  const zeroed = (at: RigReading['at']): RigReading['at'] =>
    Object.fromEntries(Object.entries(at).map(([key, value]) => [key, value - (zero.value[key] ?? 0)]));

  function over(sample: LiveSample): string | undefined {
    const { current, seconds, temperature } = limits();
    if (current !== undefined && (sample.at['current'] ?? 0) > current) return 'the current went over its limit';
    if (temperature !== undefined && (sample.at['temperature'] ?? -Infinity) > temperature) return 'it became too hot';
    if (seconds !== undefined && sample.time - ((samples.value[0] ?? buffer[0])?.time ?? sample.time) > seconds)
      return 'its time was over';
    return undefined;
  }

  async function start(source: RigSource): Promise<void> {
    if (running.value) return;
    stopper = new AbortController();
    const { signal } = stopper;
    const reader = new RigReader(kind());
    samples.value = [];
    problems.value = [];
    marks.value = [];
    buffer = [];
    ended.value = '';
    running.value = true;
    silent.value = false;
    began = came = performance.now();
    const watching = setInterval(() => {
      silent.value = performance.now() - came > SILENT_AFTER;
      show();
    }, TICK);
    try {
      await source.run((piece) => take(reader.push(piece)), signal);
      if (!signal.aborted && source.whole) take(reader.end());
      ended.value ||= 'The line has ended.';
    } catch (problem) {
      if (!signal.aborted) ended.value = `The line broke: ${(problem as Error).message}. What had come is kept.`;
    } finally {
      clearInterval(watching);
      running.value = false;
      silent.value = false;
      show();
    }
  }

  function show(): void {
    if (buffer.length === 0) return;
    samples.value = [...samples.value, ...buffer].slice(-MOST_KEPT);
    buffer = [];
  }

  function take(read: { readonly readings: readonly RigReading[]; readonly problems: readonly string[] }): void {
    if (stopper?.signal.aborted) return;
    came = performance.now();
    if (read.problems.length > 0) problems.value = [...problems.value, ...read.problems];
    const fresh: RigReading['at'][] = [];
    let why: string | undefined;
    for (const { time, at } of read.readings) {
      const sample = { time: time ?? (performance.now() - began) / 1000, at: zeroed(at) };
      buffer.push(sample);
      fresh.push(sample.at);
      why = over(sample);
      if (why !== undefined) break;
    }
    // A file comes in pieces of thousands of lines: they are put into the table together.
    if (fresh.length > 0 && trialSheet(kind()).live === 'each line') eachLine(fresh);
    if (why !== undefined) {
      show();
      ended.value = `Stopped: ${why}.`;
      stopper?.abort();
      return;
    }
    if (read.readings.length > 0 && samples.value.length === 0) show();
  }

  function stop(): void {
    if (!running.value) return;
    ended.value = 'Stopped by hand.';
    stopper?.abort();
  }

  /** The mean of the last lines: what stands there now. */
  function standing(): RigReading['at'] | undefined {
    show();
    const last = samples.value.slice(-MEANT_OVER);
    const first = last[0];
    if (!first) return undefined;
    return Object.fromEntries(
      Object.keys(first.at).map((key) => {
        const values = last.flatMap(({ at }) => at[key] ?? []);
        return [key, values.reduce((sum, value) => sum + value, 0) / values.length];
      }),
    );
  }

  /** From now on what stands there counts as nothing. */
  function setZero(): void {
    const now = standing();
    if (now)
      zero.value = Object.fromEntries(Object.entries(now).map(([key, value]) => [key, value + (zero.value[key] ?? 0)]));
  }

  const mark = (): void => {
    const at = latest.value?.time;
    if (at !== undefined) marks.value = [...marks.value, at];
  };

  onUnmounted(() => stopper?.abort());
  return { samples, problems, running, silent, ended, latest, rate, marks, start, stop, standing, setZero, mark };
}
