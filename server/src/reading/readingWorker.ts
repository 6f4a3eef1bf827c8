import { parentPort } from 'node:worker_threads';
import { answer, type Question, type Questions } from './questions.js';

/** A thread of its own: what is large, or made to take long, keeps nobody waiting but whoever sent it. */
parentPort?.on('message', ([question, about]: [Question, Parameters<Questions[Question]>]) =>
  parentPort?.postMessage(answer(question, about)),
);
