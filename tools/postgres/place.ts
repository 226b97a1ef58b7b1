import { createHash } from 'node:crypto';
import { homedir } from 'node:os';
import { join } from 'node:path';
import { root } from '../root.ts';

/** Where this checkout's data lives by default: outside the repository, and apart from other checkouts'. */
export function defaultDataDir(purpose = ''): string {
  const mark = createHash('sha256').update(root).digest('hex').slice(0, 12) + (purpose && `-${purpose}`);
  if (process.getuid?.() === 0) return join('/var/lib/yellow-cell', mark);
  return join(process.env.XDG_STATE_HOME ?? join(homedir(), '.local', 'state'), 'yellow-cell', mark);
}
