import { parentPort } from 'node:worker_threads';
import type { Question, Questions } from './questions.js';
import { answer } from './reader.js';

/** A thread of its own: what is large, or made to take long, keeps nobody waiting but whoever sent it. */
parentPort?.on('message', ([question, about]: [Question, Parameters<Questions[Question]>]) =>
  parentPort?.postMessage(answer(question, about)),
);
