import { createServer, connect, type AddressInfo, type Socket } from 'node:net';
import { setTimeout as sleep } from 'node:timers/promises';
import type { Attack } from './attack.js';
import { newFolder, Target } from './server.js';

/** What may be added to the memory of a server that hands on far more than is taken from it, bytes: at first, and then. */
const [MOST_AT_FIRST, MOST_GROWTH] = [150e6, 30e6];
const LINE = Buffer.from('0.123456,12.345678,45.678901\n'.repeat(2000));

const megabytes = (bytes: number): number => Math.round(bytes / 1e6);

/** A rig that sends as fast as it can while whoever listens does not read. */
export const flood: Attack = {
  name: 'a flood from a rig',
  aims: 'memory grows until the server falls over',
  async run(scale) {
    const [listeners, seconds] = scale === 'long' ? [10, 20] : [4, 2];
    let sent = 0;
    const pour = (socket: Socket): void => {
      socket.on('error', () => undefined);
      const more = (): void => {
        while (socket.writable && socket.write(LINE)) sent += LINE.length;
      };
      socket.on('drain', more);
      more();
    };
    const rig = createServer(pour);
    await new Promise<void>((resolve) => rig.listen(0, '127.0.0.1', resolve));
    const target = await Target.start(newFolder(), { ROUGH_GEAR_RIG: String((rig.address() as AddressInfo).port) });
    await target.timed('/health');
    const { memory: before } = await target.measured();
    const sockets = Array.from({ length: listeners }, () => {
      const socket = connect(target.port, '127.0.0.1');
      socket.on('error', () => undefined);
      socket.write(`GET /api/rig/lines HTTP/1.1\r\nHost: 127.0.0.1:${target.port}\r\n\r\n`);
      // Nothing listens for data: nothing is read.
      return socket.pause();
    });
    await sleep(1000);
    const { memory: first } = await target.measured();
    let most = first;
    for (let i = 0; i < seconds * 2; i++) {
      await sleep(500);
      most = Math.max(most, (await target.measured()).memory);
    }
    const broken: string[] = [];
    const slow: string[] = [];
    const [atFirst, growth] = [first - before, most - first];
    if (atFirst > MOST_AT_FIRST || growth > MOST_GROWTH)
      broken.push(`${megabytes(atFirst)} and then ${megabytes(growth)} MB were added to its memory`);
    if ((await target.timed('/health')) > 1000 && scale === 'long') slow.push('health took more than a second');
    for (const socket of sockets) socket.destroy();
    await target.dispose();
    rig.close();
    return {
      tried: `${listeners} that do not read, ${seconds} s`,
      seen: `${megabytes(sent)} MB were poured, ${megabytes(atFirst)} and then ${megabytes(growth)} MB added`,
      broken,
      slow,
    };
  },
};
