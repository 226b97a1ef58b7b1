import { CircleHelp, TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';

/** A caution or a check: one sentence, its sign in front. */
export function Notice({ kind, children }: { kind: 'danger' | 'ask'; children: ReactNode }) {
  const Sign = kind === 'danger' ? TriangleAlert : CircleHelp;
  return (
    <div className="flex gap-2 border-b border-hairline py-2">
      <Sign
        size={18}
        aria-hidden
        className={`mt-0.5 shrink-0 ${kind === 'danger' ? 'text-danger' : 'text-soft'}`}
      />
      <div>{children}</div>
    </div>
  );
}
