import { type Remote, wrap } from 'comlink';
import type { BenchWorker } from './bench.worker.ts';

let worker: Remote<BenchWorker> | undefined;

/** One worker beside the page, started when it is first asked. */
export function benchWorker(): Remote<BenchWorker> {
  worker ??= wrap<BenchWorker>(new Worker(new URL('./bench.worker.ts', import.meta.url), { type: 'module' }));
  return worker;
}
