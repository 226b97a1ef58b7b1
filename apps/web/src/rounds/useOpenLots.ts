import { useQuery } from '@tanstack/react-query';
import type { Lot } from '@yellow-cell/contract';
import { isOpen } from '@yellow-cell/core';
import { useMemo } from 'react';
import { useAsOf } from '../app/now.ts';
import { rearingQuery } from '../app/queries.ts';
import { useWithUnsent } from './useWithUnsent.ts';

/** Lots of which queens are still to be handed over, with what this device has not sent yet; none until they are known. */
export function useOpenLots(): readonly Lot[] {
  const { today } = useAsOf();
  const { data, dataUpdatedAt } = useQuery(rearingQuery(today));
  const season = useWithUnsent(data, dataUpdatedAt);
  return useMemo(() => (season?.lots ?? []).filter((lot) => isOpen(lot, today)), [season, today]);
}
