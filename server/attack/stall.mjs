// Loaded into a server that is attacked: how long its main thread stood still, and how much memory it holds, on request.
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { isMainThread } from 'node:worker_threads';

if (isMainThread && process.send) {
  const delay = monitorEventLoopDelay({ resolution: 2 });
  delay.enable();
  process.on('message', () => {
    process.send({ stall: delay.max / 1e6, memory: process.memoryUsage.rss() });
    delay.reset();
  });
  process.channel.unref();
}
