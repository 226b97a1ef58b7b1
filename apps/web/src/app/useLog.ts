import { useSuspenseQuery } from '@tanstack/react-query';
import type { Entry, EventKind, Payload } from '@yellow-cell/contract';
import { kindVersionOf } from '@yellow-cell/contract/subjects';
import { endOfDay } from '@yellow-cell/core';
import { useRef } from 'react';
import { useToast } from '../parts/Toast.tsx';
import { nextOnDevice } from './device.ts';
import { newId } from './ids.ts';
import { nowFrom, useAsOf } from './now.ts';
import { type Delivery, deliver } from './outbox.ts';
import { sessionQuery } from './queries.ts';

/** What a person enters; the rest of the envelope is added here. */
export type Draft = {
  [K in EventKind]: {
    kind: K;
    payload: Payload<K>;
    note?: string | undefined;
    corrects?: string;
    /** Where another entry names it. */
    id?: string;
    /** When it happened, where that is not now. */
    at?: string;
  };
}[EventKind];

export const draft = <K extends EventKind>(kind: K, payload: Payload<K>, note?: string): Draft =>
  ({ kind, payload, note }) as Draft;

/** Takes an entry back; it stays in the record. */
export const withdrawal = (id: string): Draft => ({ kind: 'withdrawn', payload: {}, corrects: id });

/** Logs entries as one act that can be undone; while another day is shown, they are entered for the end of that day. */
export function useLog(): (
  title: string,
  drafts: readonly Draft[],
  /** True of what is counted: each press is one more, however fast. */
  counts?: boolean,
) => Promise<Delivery> {
  const { data: session, dataUpdatedAt } = useSuspenseQuery(sessionQuery);
  const { on, isToday, zone } = useAsOf();
  const toast = useToast();
  const { person } = session.settings;
  const last = useRef<{ act: string; at: number; delivery: Promise<Delivery> }>(undefined);

  const entriesOf = (drafts: readonly Draft[]): Entry[] => {
    const occurredAt = isToday ? nowFrom(session.now, dataUpdatedAt) : endOfDay(on, zone);
    return drafts.map(({ kind, payload, note, corrects, at, id }) => {
      const entry = {
        id: id ?? newId(),
        kind,
        kindVersion: kindVersionOf(kind),
        occurredAt: at ?? occurredAt,
        zone,
        person,
        ...nextOnDevice(),
        payload,
      };
      return { ...entry, ...(note ? { note } : {}), ...(corrects ? { corrects } : {}) } as Entry;
    });
  };

  const send = async (title: string, entries: Entry[], undo?: () => Promise<void>): Promise<Delivery> => {
    // Told at once, in place of the last message, whose undo would now be of the wrong entry.
    toast({ text: title, undo });
    const delivery = await deliver({ id: newId(), title, entries });
    if (delivery.state === 'refused') toast({ text: delivery.problems[0]?.sentence ?? `${title}: refused.` });
    if (delivery.state === 'kept')
      toast({ text: `${title}: kept on this device until the server answers.`, undo });
    return delivery;
  };

  return (title, drafts, counts = false) => {
    const before = last.current;
    const act = actOf(title, drafts);
    if (!counts && before?.act === act && performance.now() - before.at < SAME_PRESS_MS)
      return before.delivery;
    const entries = entriesOf(drafts);
    const withdrawals = entries.map(({ id }) => withdrawal(id)).reverse();
    const delivery = send(title, entries, async () => {
      last.current = undefined;
      await send(`Undone: ${title}`, entriesOf(withdrawals));
    });
    last.current = { act, at: performance.now(), delivery };
    return delivery;
  };
}

/** What an act says, whatever ids were newly drawn for it. */
const actOf = (title: string, drafts: readonly Draft[]): string =>
  title + JSON.stringify(drafts).replace(/[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}/g, '');

/** The same act again within this time is a second tap of the same press: nobody does it twice so fast. */
const SAME_PRESS_MS = 700;
