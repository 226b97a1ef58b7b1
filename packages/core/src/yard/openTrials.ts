import type { LogEvent, Payload } from '@yellow-cell/contract';
import { effective } from './order.ts';

/** Trials that were begun and have not ended, the last first. */
export function openTrials(events: readonly LogEvent[]): Payload<'trialBegun'>[] {
  const open = new Map<string, Payload<'trialBegun'>>();
  for (const { event } of effective(events)) {
    if (event.kind === 'trialBegun') open.set(event.payload.trial, event.payload);
    if (event.kind === 'trialEnded') open.delete(event.payload.trial);
  }
  return [...open.values()].reverse();
}
