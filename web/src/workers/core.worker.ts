import { concludeTrial, traceGoes, trialsWorthDoing } from '@rough-gear/core';
import { expose } from 'comlink';
import { headlines, QUESTIONS, twice } from './questions.js';
import { answering } from './slices.js';

/** What is answered in one step: it is over before anybody could stop it. */
const AT_ONCE = {
  evaluate: headlines,
  /** What a trial came to: a long log is fitted beside the screen. */
  conclude: concludeTrial,
  judgedTwice: twice,
  /** Why goes were not as predicted. */
  trace: traceGoes,
  worthDoing: trialsWorthDoing,
};

const worker = { ...AT_ONCE, ...answering(QUESTIONS) };

/** What runs beside the screen. */
export type CoreWorker = typeof worker;

// The page hands over the channel in which its calls already wait.
addEventListener('message', ({ data }: MessageEvent<MessagePort>) => expose(worker, data), { once: true });
