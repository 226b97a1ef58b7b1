import type { Units } from '@yellow-cell/contract';
import { createContext, useContext } from 'react';

/** How lengths are shown; asked for by every figure on a drawing, so it comes by context and not by query. */
export const UnitsContext = createContext<Units>('mm');
export const useUnits = (): Units => useContext(UnitsContext);
