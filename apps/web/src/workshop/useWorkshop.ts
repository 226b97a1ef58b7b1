import { useSuspenseQuery } from '@tanstack/react-query';
import type { KeptWorkshop, Workshop } from '@yellow-cell/contract';
import { workshopQuery } from '../app/queries.ts';

/** What the shed has and pays, the same object until it changes. */
export const useWorkshop = (): Workshop => useSuspenseQuery({ ...workshopQuery, select: unversioned }).data;

const unversioned = ({ version: _, ...workshop }: KeptWorkshop): Workshop => workshop;
