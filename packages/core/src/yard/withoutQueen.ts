import type { Status } from '@yellow-cell/contract';

/** Bees that have neither a queen nor a cell: they are joined to others before feed or room is spent on them. */
export const withoutQueen = (status: Status): boolean => status === 'stocked' || status === 'failed';
