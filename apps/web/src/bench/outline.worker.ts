import { readOutline } from '@yellow-cell/files/outline';
import { expose } from 'comlink';

/** Readers of drawings beside the page: whatever a file holds, the page stays usable. */
const reader = { read: (text: string) => readOutline(text) };

export type OutlineReader = typeof reader;
expose(reader);
