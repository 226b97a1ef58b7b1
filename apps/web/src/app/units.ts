import type { Units } from '@yellow-cell/contract';
import { showLength } from '@yellow-cell/core';
import { createContext, useContext } from 'react';

/** How lengths are shown; asked for by every figure on a drawing, so it comes by context and not by query. */
export const UnitsContext = createContext<Units>('mm');
export const useUnits = (): Units => useContext(UnitsContext);

/** Core's sentences give lengths in mm; here they are read in the units that the breeder chose. */
export function lengthsIn(sentence: string, units: Units): string {
  if (units === 'mm') return sentence;
  return sentence.replace(/(\d+(?:\.\d+)?) mm\b/g, (_, figure: string) => showLength(Number(figure), units));
}
