import { parentPort } from 'node:worker_threads';
import { Unpacker } from '../archive/unpacker.js';

/** A thread for one archive: a small file may hold more than a program can bear. */
const unpacker = new Unpacker();
parentPort?.on('message', (piece: Uint8Array | null) => parentPort?.postMessage(unpacker.push(piece)));
