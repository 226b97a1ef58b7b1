import { createHash } from 'node:crypto';
import { pipeline, type Readable } from 'node:stream';
import { createGzip } from 'node:zlib';
import { pack } from 'tar-stream';
import { countLines, linesOf } from '../../store/archive.ts';
import type { Store } from '../../store/database.ts';
import type { Context } from '../context.ts';
import { FORMAT_VERSION, KINDS, MANIFEST, type Manifest, type Tell } from './manifest.ts';

/** So many lines make a file of the archive: small enough to be checked before any of them is written back. */
const LINES = 5_000;

/**
 * All that a breeder has, as one compressed archive: the log, designs, yards, figures, register and readings, as of one
 * moment. Read rows are not in it: they are made anew from the log.
 */
export function backup(context: Context, tell: Tell = () => undefined): Readable {
  const archive = pack();
  const zipped = createGzip();
  // Whoever reads hears of a failure from the stream that they have.
  pipeline(archive as never, zipped, () => undefined);
  context
    .snapshot((store) => fill(store, archive, context, tell))
    .then(() => archive.finalize())
    .catch((error: Error) => zipped.destroy(error));
  return zipped;
}

async function fill(
  store: Store,
  archive: ReturnType<typeof pack>,
  { breeder, clock }: Context,
  tell: Tell,
): Promise<void> {
  const files: Manifest['files'] = [];
  const add = (name: string, text: string) =>
    new Promise<void>((resolve, reject) => {
      archive.entry({ name }, text, (error) => (error ? reject(error) : resolve()));
    });
  const counts: Record<string, number> = {};
  for (const kind of KINDS) counts[kind] = await countLines(store, kind);
  const of = Object.values(counts).reduce((sum, count) => sum + count, 0);
  let done = 0;
  for (const kind of KINDS) {
    let number = 0;
    for await (const lines of linesOf(store, kind, LINES)) {
      const name =
        kind === 'breeder' ? 'breeder.json' : `${kind}-${String(++number).padStart(6, '0')}.ndjson`;
      const text = `${lines.join('\n')}\n`;
      await add(name, text);
      const sha256 = createHash('sha256').update(text).digest('hex');
      files.push({ name, lines: lines.length, bytes: Buffer.byteLength(text), sha256 });
      done += lines.length;
      tell({ done, of });
    }
  }
  const manifest: Manifest = {
    yellowCell: 'backup',
    formatVersion: FORMAT_VERSION,
    madeAt: clock.realNow(),
    breeder,
    counts,
    files,
  };
  await add(MANIFEST, `${JSON.stringify(manifest, null, 2)}\n`);
}
