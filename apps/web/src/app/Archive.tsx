import { Download, Upload } from 'lucide-react';
import { useRef, useState } from 'react';
import { Notice } from '../parts/Notice.tsx';
import { queries } from './queries.ts';
import { saveBlob } from './saveFile.ts';

interface Told {
  done?: number;
  of?: number;
  problem?: string;
  restored?: true;
}

/** All that is recorded, out as one file and back into an empty place. */
export function Archive() {
  const [said, setSaid] = useState('');
  const [problem, setProblem] = useState('');
  const working = useRef<AbortController>(undefined);
  const [busy, setBusy] = useState(false);

  const work = async (begin: (signal: AbortSignal) => Promise<void>) => {
    working.current = new AbortController();
    setBusy(true);
    setProblem('');
    try {
      await begin(working.current.signal);
    } catch (error) {
      setSaid('');
      const stopped = error instanceof DOMException && error.name === 'AbortError';
      setProblem(stopped ? 'Stopped; nothing was changed.' : (error as Error).message);
    }
    setBusy(false);
  };

  const save = (signal: AbortSignal) =>
    keepBackup(signal, (bytes) => setSaid(`${megabytes(bytes)} so far…`)).then((bytes) =>
      setSaid(`Saved: ${megabytes(bytes)}. Keep it on another machine.`),
    );
  const restore = (file: File) => async (signal: AbortSignal) => {
    setSaid('Checking the file…');
    await restoreFrom(file, signal, ({ done = 0, of = 0 }) =>
      setSaid(`${done.toLocaleString('en')} of ${of.toLocaleString('en')} lines…`),
    );
    setSaid('Restored.');
    await queries.invalidateQueries();
  };

  return (
    <section aria-labelledby="archive" className="mb-3 border-t border-hairline pt-3">
      <h3 id="archive" className="eyebrow mt-0">
        Backup
      </h3>
      <p className="text-sm text-soft">
        One file with the log, designs, yards, figures, register and readings. It is restored into an empty
        place only, and checked whole before anything is written.
      </p>
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <button type="button" className="button" disabled={busy} onClick={() => void work(save)}>
          <Download size={17} aria-hidden /> Save a backup
        </button>
        <label className={`button cursor-pointer ${busy ? 'pointer-events-none opacity-50' : ''}`}>
          <Upload size={17} aria-hidden /> Restore one
          <input
            type="file"
            accept=".gz,application/gzip"
            className="sr-only"
            disabled={busy}
            onChange={({ target }) => {
              const [file] = target.files ?? [];
              if (file) void work(restore(file));
              target.value = '';
            }}
          />
        </label>
        {busy && (
          <button type="button" className="button" onClick={() => working.current?.abort()}>
            Stop
          </button>
        )}
        <span role="status">{said}</span>
      </div>
      {problem && (
        <Notice kind="danger">
          <p role="alert">{problem}</p>
        </Notice>
      )}
    </section>
  );
}

const megabytes = (bytes: number): string => `${(bytes / 1e6).toFixed(1)} MB`;

async function keepBackup(signal: AbortSignal, tell: (bytes: number) => void): Promise<number> {
  const answer = await answered('/api/backup', { signal });
  const name = /filename="([^"]+)"/.exec(answer.headers.get('content-disposition') ?? '')?.[1];
  const parts: Uint8Array<ArrayBuffer>[] = [];
  let bytes = 0;
  for await (const part of chunksOf(answer)) {
    parts.push(part);
    bytes += part.length;
    tell(bytes);
  }
  saveBlob(name ?? 'yellow-cell.tar.gz', new Blob(parts, { type: 'application/gzip' }));
  return bytes;
}

/** The server tells how far it is, a line of JSON each time; the last says how it ended. */
async function restoreFrom(file: File, signal: AbortSignal, tell: (told: Told) => void): Promise<void> {
  const answer = await answered('/api/restore', {
    method: 'POST',
    body: file,
    headers: { 'content-type': 'application/gzip' },
    signal,
  });
  const decoder = new TextDecoder();
  let text = '';
  let last: Told = {};
  for await (const part of chunksOf(answer)) {
    text += decoder.decode(part, { stream: true });
    const lines = text.split('\n');
    text = lines.pop() ?? '';
    for (const line of lines) {
      last = JSON.parse(line) as Told;
      tell(last);
    }
  }
  if (!last.restored)
    throw new Error(last.problem ?? 'The connection ended before it was done; look what is there.');
}

async function answered(path: string, init: RequestInit): Promise<Response> {
  const answer = await fetch(path, init).catch((error: Error) => {
    if (error.name === 'AbortError') throw error;
    throw new Error('The server does not answer.');
  });
  if (answer.ok) return answer;
  const details = (await answer.json().catch(() => undefined)) as { detail?: string } | undefined;
  throw new Error(details?.detail ?? `The server answered ${answer.status}.`);
}

async function* chunksOf({ body }: Response): AsyncGenerator<Uint8Array<ArrayBuffer>> {
  const reader = body?.getReader();
  for (;;) {
    const read = await reader?.read();
    if (!read || read.done) return;
    yield read.value;
  }
}
