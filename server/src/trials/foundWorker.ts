import { parentPort } from 'node:worker_threads';
import type { Trial } from '@rough-gear/core';
import { foundOf } from './foundOf.js';

/** A thread of its own: a long log keeps nobody waiting but who closed it. */
parentPort?.once('message', (text: string) => parentPort?.postMessage(foundOf(JSON.parse(text) as Trial)));
