import type { Measures } from '@yellow-cell/contract';
import { inMeasures, METRIC } from '@yellow-cell/core';
import { createContext, useCallback, useContext } from 'react';

/** How measures are shown; asked for by every figure on a drawing, so it comes by context and not by query. */
export const MeasuresContext = createContext<Measures>(METRIC);
export const useMeasures = (): Measures => useContext(MeasuresContext);
export const useUnits = (): Measures['length'] => useMeasures().length;

/** Puts a sentence or a day of the program's into the breeder's measures. Whatever core says to a person passes here. */
export function useSay(): (sentence: string) => string {
  const measures = useMeasures();
  return useCallback((sentence) => inMeasures(sentence, measures), [measures]);
}
