import type { LineMeasures } from '@yellow-cell/contract';
import type { Day } from '../calendar/days.ts';
import type { PlaceNames } from './placeNames.ts';
import type { Token } from './tokens.ts';

/** All that is known where a line is read. */
export interface Source {
  line: string;
  tokens: readonly Token[];
  /** The day on which it is typed. */
  on: Day;
  measures: LineMeasures;
  names: PlaceNames;
  /** True of a word that the grammar knows. */
  isWord: (text: string) => boolean;
}
