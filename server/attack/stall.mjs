// Loaded into a server that is attacked: how long its main thread stood still, and how much memory it holds, on request.
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { isMainThread } from 'node:worker_threads';

if (isMainThread && process.send) {
  const delay = monitorEventLoopDelay({ resolution: 2 });
  delay.enable();
  // A moment later: what stood still just now is counted when its own timer comes to its turn.
  process.on('message', () =>
    setTimeout(() => {
      process.send({ stall: delay.max / 1e6, memory: process.memoryUsage.rss() });
      delay.reset();
    }, 20),
  );
  process.channel.unref();
}
