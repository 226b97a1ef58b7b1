import { endOfDay, type QuickAct } from '@yellow-cell/core';
import type { Draft } from '../app/useLog.ts';

/** What a line enters, with the hour at which it happened: what was seen on an earlier day is told of its end. */
export const draftsOf = (acts: readonly QuickAct[], zone: string): Draft[] =>
  acts.map(({ on, ...act }) => ({ ...act, ...(on ? { at: endOfDay(on, zone) } : {}) }) as Draft);
