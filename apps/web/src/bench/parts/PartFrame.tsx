import type { BoxModel } from '@yellow-cell/core';
import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import type { DraftDesk } from '../useDraft.ts';

export interface PartFieldsProps {
  desk: DraftDesk;
  model: BoxModel;
  id: string;
  onChoose: (id: string | undefined) => void;
}

/** Around the figures of one part: what it is, a way to take it out, and done. */
export function PartFrame({
  title,
  children,
  onChoose,
  onRemove,
}: {
  title: string;
  children: ReactNode;
  onChoose: PartFieldsProps['onChoose'];
  onRemove?: () => void;
}) {
  return (
    <section data-part-fields aria-label={title} className="-mx-2 mb-2 rounded-lg bg-glow px-3 py-2">
      <div className="flex items-center justify-between gap-2">
        <h2 className="text-base">{title}</h2>
        <span className="flex gap-2">
          {onRemove && (
            <button
              type="button"
              className="p-1"
              aria-label={`Take out ${title.toLowerCase()}`}
              title="Take out (Delete)"
              onClick={onRemove}
            >
              <Trash2 size={17} aria-hidden />
            </button>
          )}
          <button type="button" className="text-sm underline" onClick={() => onChoose(undefined)}>
            done
          </button>
        </span>
      </div>
      {children}
    </section>
  );
}
