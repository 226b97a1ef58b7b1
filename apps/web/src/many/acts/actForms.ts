import type { ManyAct } from '@yellow-cell/core';
import type { UseActForm } from './actForm.ts';
import { useCovers, useFed, useStripsIn, useStripsOut } from './care.tsx';
import { useCell, useOpened, useVirgin } from './cells.tsx';
import { useEggs, useMark, usePattern, useTaken } from './queens.tsx';
import { useOpen, useShut, useStock } from './stocking.tsx';

/** Each act’s form is a hook; a screen keeps to one act for as long as it stands. */
export const actForms: Readonly<Record<ManyAct, UseActForm>> = {
  stock: useStock,
  cell: useCell,
  virgin: useVirgin,
  opened: useOpened,
  eggs: useEggs,
  pattern: usePattern,
  mark: useMark,
  taken: useTaken,
  feed: useFed,
  stripsIn: useStripsIn,
  stripsOut: useStripsOut,
  open: useOpen,
  shut: useShut,
  covers: useCovers,
};
