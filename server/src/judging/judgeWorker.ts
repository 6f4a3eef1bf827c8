import { parentPort } from 'node:worker_threads';
import { judge } from './judge.js';

/** A thread of its own: a plan that takes long to judge keeps nobody waiting but the list. */
parentPort?.on('message', (text: string) => parentPort?.postMessage(judge(text)));
