import { Unzip, UnzipInflate } from 'fflate';
import { readArchiveFile, type FileRead } from './reading.js';

/** No file of an archive is larger than this, unpacked: one that says so is no archive of this program's. */
const LARGEST = 256e6;

/** Takes an archive apart as it arrives, and reads its files one after the other: no more than one is held. */
export class Unpacker {
  private readonly read: FileRead[] = [];
  private readonly unzip = new Unzip((file) => {
    const chunks: Uint8Array[] = [];
    let size = 0;
    file.ondata = (problem, chunk, last) => {
      if (problem) throw problem;
      size += chunk.length;
      if (size > LARGEST) throw new Error(`${file.name.slice(0, 80)} is larger than any file of an archive`);
      chunks.push(chunk);
      if (last) this.read.push(readArchiveFile(file.name, Buffer.concat(chunks), this.first));
      this.first &&= !last;
    };
    file.start();
  });
  private first = true;

  constructor() {
    this.unzip.register(UnzipInflate);
  }

  /** What is whole after another piece; after the last one, which is nothing, whether there was anything. */
  push(piece: Uint8Array | null): readonly FileRead[] {
    try {
      this.unzip.push(piece ?? new Uint8Array(0), piece === null);
    } catch (problem) {
      return [{ is: 'no archive', detail: (problem as Error).message }];
    }
    if (piece === null && this.first) return [{ is: 'no archive', detail: 'it holds no file' }];
    return this.read.splice(0);
  }
}
