import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The top of the checkout. */
export const root = dirname(dirname(fileURLToPath(import.meta.url)));
