import { type Warning, warningsOf } from '@yellow-cell/core';
import { type ReactNode, useState } from 'react';
import type { Delivery } from '../app/outbox.ts';
import { type Draft, useLog } from '../app/useLog.ts';
import type { YardView } from './useYard.ts';
import { Warned } from './Warned.tsx';

type Delivered = (delivery: Delivery) => void;
interface Pending {
  title: string;
  drafts: readonly Draft[];
  onDelivered: Delivered | undefined;
  warnings: readonly Warning[];
}

/** Tells whether something is asked first; else once the entries were delivered. */
export type Send = (
  title: string,
  drafts: readonly Draft[],
  onDelivered?: Delivered,
) => Promise<'asked' | 'delivered'>;

/**
 * Logs entries; where something speaks against them, it is said first, and they are kept only with a reason.
 * `asking` is what to show meanwhile; `onDelivered` hears what became of these entries.
 */
export function useWarned(view: YardView): { send: Send; asking: ReactNode } {
  const log = useLog();
  const [pending, setPending] = useState<Pending>();
  const keep = async (title: string, drafts: readonly Draft[], onDelivered: Delivered | undefined) => {
    const delivery = await log(title, drafts);
    onDelivered?.(delivery);
  };
  return {
    send: async (title, drafts, onDelivered) => {
      const warnings = drafts.flatMap((each) => warningsOf(view, each));
      if (warnings.length > 0) {
        setPending({ title, drafts, onDelivered, warnings });
        return 'asked';
      }
      await keep(title, drafts, onDelivered);
      return 'delivered';
    },
    asking: pending && (
      <Warned
        warnings={pending.warnings}
        onKeep={async (reason) => {
          setPending(undefined);
          await keep(
            pending.title,
            pending.drafts.map((each) => withReason(each, reason)),
            pending.onDelivered,
          );
        }}
        onCancel={() => setPending(undefined)}
      />
    ),
  };
}

const withReason = (each: Draft, reason: string): Draft => ({
  ...each,
  note: each.note ? `${each.note} ${reason}` : reason,
});
