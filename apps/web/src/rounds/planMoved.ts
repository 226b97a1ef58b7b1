import type { Round } from '@yellow-cell/contract';
import { type Draft, draft } from '../app/useLog.ts';

/** A planned round as it is, on another day. */
export const planMoved = ({ id, number, donor, donorQueen, grafts }: Round, graftOn: string): Draft =>
  draft('roundPlanned', { round: id, number, donor, grafts, graftOn, ...(donorQueen ? { donorQueen } : {}) });
