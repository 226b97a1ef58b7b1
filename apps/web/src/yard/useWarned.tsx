import { type Warning, warningsOf } from '@yellow-cell/core';
import { type ReactNode, useState } from 'react';
import type { Delivery } from '../app/outbox.ts';
import { type Draft, useLog } from '../app/useLog.ts';
import type { YardView } from './useYard.ts';
import { Warned } from './Warned.tsx';

interface Pending {
  title: string;
  drafts: readonly Draft[];
  warnings: readonly Warning[];
}

/**
 * Logs entries; where something speaks against them, it is said first, and they are kept only with a reason.
 * `asking` is what to show meanwhile; `onDelivered` hears what became of them.
 */
export function useWarned(
  view: YardView,
  onDelivered?: (delivery: Delivery) => void,
): { send: (title: string, drafts: readonly Draft[]) => Promise<void>; asking: ReactNode } {
  const log = useLog();
  const [pending, setPending] = useState<Pending>();
  const keep = async (title: string, drafts: readonly Draft[]) => {
    const delivery = await log(title, drafts);
    onDelivered?.(delivery);
  };
  return {
    send: async (title, drafts) => {
      const warnings = drafts.flatMap((each) => warningsOf(view, each));
      if (warnings.length > 0) setPending({ title, drafts, warnings });
      else await keep(title, drafts);
    },
    asking: pending && (
      <Warned
        warnings={pending.warnings}
        onKeep={async (reason) => {
          await keep(
            pending.title,
            pending.drafts.map((each) => withReason(each, reason)),
          );
          setPending(undefined);
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
