import type { Constants } from '../registry.ts';

/** What is reckoned with figures, by a name, in such a way that answers can be compared. */
export type Reckonings = Readonly<Record<string, (constants: Constants) => unknown>>;
