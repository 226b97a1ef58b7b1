import { useSuspenseQuery } from '@tanstack/react-query';
import type { Entry, EntryOf, EventKind } from '@yellow-cell/contract';
import { instantOf } from '@yellow-cell/core';
import { useToast } from '../parts/Toast.tsx';
import { nextOnDevice } from './device.ts';
import { newId } from './ids.ts';
import { nowFrom, useAsOf, useZone } from './now.ts';
import { type Delivery, deliver } from './outbox.ts';
import { sessionQuery } from './queries.ts';

/** What a person enters; the rest of the envelope is added here. */
export type Draft = {
  [K in EventKind]: { kind: K; payload: EntryOf<K>['payload']; note?: string | undefined; corrects?: string };
}[EventKind];

export const draft = <K extends EventKind>(kind: K, payload: EntryOf<K>['payload'], note?: string): Draft =>
  ({ kind, payload, note }) as Draft;

/** Logs entries as one act that can be undone; while another day is shown, they are entered for that day's noon. */
export function useLog(): (title: string, drafts: readonly Draft[]) => Promise<Delivery> {
  const { data: session, dataUpdatedAt } = useSuspenseQuery(sessionQuery);
  const zone = useZone();
  const { on, isToday } = useAsOf();
  const toast = useToast();
  const { person } = session.settings;

  const send = async (title: string, drafts: readonly Draft[]) => {
    const occurredAt = isToday ? nowFrom(session.now, dataUpdatedAt) : instantOf(on, 12, 0, zone);
    const entries = drafts.map(
      ({ kind, payload, note, corrects }) =>
        ({
          id: newId(),
          kind,
          kindVersion: 1,
          occurredAt,
          zone,
          person,
          ...nextOnDevice(),
          payload,
          ...(note ? { note } : {}),
          ...(corrects ? { corrects } : {}),
        }) as Entry,
    );
    return { entries, delivery: await deliver({ id: newId(), title, entries }) };
  };

  return async (title, drafts) => {
    toast({ text: `${title}…` }); // takes the place of the last message, whose undo would now be of the wrong entry
    const { entries, delivery } = await send(title, drafts);
    if (delivery.state === 'stored') {
      const undo = entries
        .map(({ id }): Draft => ({ kind: 'withdrawn', payload: {}, corrects: id }))
        .reverse();
      toast({
        text: title,
        undo: async () => {
          const undone = await send(`Undo: ${title}`, undo);
          toast({
            text:
              undone.delivery.state === 'refused'
                ? (undone.delivery.problems[0]?.sentence ?? 'It could not be undone.')
                : `Undone: ${title}`,
          });
        },
      });
    }
    if (delivery.state === 'refused') toast({ text: delivery.problems[0]?.sentence ?? `${title}: refused.` });
    if (delivery.state === 'kept') toast({ text: `${title}: kept on this device until the server answers.` });
    return delivery;
  };
}
