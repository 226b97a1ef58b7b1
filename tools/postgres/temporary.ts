import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Cluster, startCluster } from './cluster.ts';

/** A database in a folder of its own that is thrown away on `close`: for tests, pictures and benchmarks. */
export async function temporaryCluster(durable = false): Promise<Cluster> {
  const above = mkdtempSync(join(tmpdir(), 'yellow-cell-'));
  chmodSync(above, 0o755); // mkdtemp closes it to others, and root hands the database to another user
  const cluster = await startCluster(join(above, 'cluster'), { durable });
  return {
    ...cluster,
    close() {
      cluster.close();
      rmSync(above, { recursive: true, force: true });
    },
  };
}
