import { useSuspenseQuery } from '@tanstack/react-query';
import type { Units } from '@yellow-cell/contract';
import { sessionQuery } from './queries.ts';

export const useUnits = (): Units => useSuspenseQuery(sessionQuery).data.settings.units;
