// The worker as it is run from source, where the thread has to learn TypeScript first; the built one needs no such thing.
import { register } from 'tsx/esm/api';

register();
const { default: work } = await import('./worker.ts');
export default work;
