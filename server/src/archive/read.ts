import type { Readable } from 'node:stream';
import { Unzip, UnzipInflate } from 'fflate';
import { HttpProblem } from '../http/problem.js';

/** One file of an archive as it comes out. */
export interface ArchiveFile {
  readonly name: string;
  readonly text: string;
}

/** No file of an archive is larger than this, unpacked: one that says so is no archive of this program's. */
const LARGEST = 256e6;

/** The files of an archive, one after the other as they arrive: no more than one is held. Throws where it is no archive. */
export async function* filesOf(stream: Readable): AsyncGenerator<ArchiveFile> {
  const done: ArchiveFile[] = [];
  const unzip = new Unzip((file) => {
    const chunks: Uint8Array[] = [];
    let size = 0;
    file.ondata = (problem, chunk, last) => {
      if (problem) throw broken(problem.message);
      size += chunk.length;
      if (size > LARGEST) throw broken(`${file.name.slice(0, 80)} is larger than any file of an archive`);
      chunks.push(chunk);
      if (last) done.push({ name: file.name, text: Buffer.concat(chunks).toString('utf8') });
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  let any = false;
  for await (const chunk of stream) {
    push(unzip, chunk as Uint8Array, false);
    any ||= done.length > 0;
    yield* done.splice(0);
  }
  push(unzip, new Uint8Array(0), true);
  any ||= done.length > 0;
  yield* done.splice(0);
  if (!any) throw broken('it holds no file');
}

function push(unzip: Unzip, chunk: Uint8Array, last: boolean): void {
  try {
    unzip.push(chunk, last);
  } catch (problem) {
    throw problem instanceof HttpProblem ? problem : broken((problem as Error).message);
  }
}

const broken = (why: string): HttpProblem =>
  new HttpProblem(422, 'This is no archive of this program, or only a part of one', { detail: why });
