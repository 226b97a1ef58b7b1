import type { ReadOutline } from '@yellow-cell/files/outline';
import { wrap } from 'comlink';
import type { OutlineReader } from './outline.worker.ts';

const MOST_MS = 10_000;

/** Outlines in a drawing, read by a worker of its own that ends with the reading, or when it takes too long. */
export async function readDrawing(text: string): Promise<ReadOutline> {
  const worker = new Worker(new URL('./outline.worker.ts', import.meta.url), { type: 'module' });
  const late = new Promise<ReadOutline>((resolve) => {
    const sentence = 'The drawing takes too long to read; keep the outline alone and simplify it.';
    setTimeout(() => resolve({ ok: false, problems: [{ path: '', sentence }] }), MOST_MS);
  });
  const broken = new Promise<ReadOutline>((resolve) => {
    worker.onerror = () =>
      resolve({ ok: false, problems: [{ path: '', sentence: 'The drawing could not be read.' }] });
  });
  try {
    return await Promise.race([wrap<OutlineReader>(worker).read(text), late, broken]);
  } finally {
    worker.terminate();
  }
}
