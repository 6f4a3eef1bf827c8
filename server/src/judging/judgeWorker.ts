import { parentPort } from 'node:worker_threads';
import { judge, type Depth } from './judge.js';

/** A thread of its own: a plan that takes long to judge keeps nobody waiting but the list. */
parentPort?.on('message', ([text, depth]: readonly [string, Depth]) => parentPort?.postMessage(judge(text, depth)));
