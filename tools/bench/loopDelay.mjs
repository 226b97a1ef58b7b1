// Loaded into the server that is measured: how long its event loop was held, told in a file whenever it is asked by a signal.
import { writeFileSync } from 'node:fs';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { isMainThread } from 'node:worker_threads';

const file = process.env.YC_LOOP_FILE;
if (isMainThread && file) {
  const RESOLUTION_MS = 5;
  const delay = monitorEventLoopDelay({ resolution: RESOLUTION_MS });
  delay.enable();
  process.on('SIGUSR2', () => {
    const ms = (nanoseconds) => nanoseconds / 1e6 - RESOLUTION_MS;
    writeFileSync(file, JSON.stringify({ most_ms: ms(delay.max), p99_ms: ms(delay.percentile(99)) }));
    delay.reset();
  });
}
