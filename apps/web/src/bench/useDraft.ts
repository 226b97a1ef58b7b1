import type { Design, DesignContent } from '@yellow-cell/contract';
import { standardDesign } from '@yellow-cell/core';
import { useCallback, useEffect, useState } from 'react';
import { keep, readKept } from '../app/kept.ts';

/** The drawing on the bench: kept on this device with every change, until it is saved or thrown away. */
export interface Draft {
  name: string;
  content: DesignContent;
  /** The version it was drawn from; none for a new design. */
  basedOn?: number;
}

export interface DraftDesk {
  draft: Draft;
  changed: boolean;
  change(next: Partial<Draft>): void;
  edit(move: (content: DesignContent) => DesignContent): void;
  /** Starts again from what was saved. */
  reset(to?: Draft): void;
}

export function useDraft(id: string, saved: Design | undefined): DraftDesk {
  const key = `yc-bench-${id}`;
  const [draft, setDraft] = useState<Draft>(() => readKept<Draft>(key) ?? draftOf(saved));
  const [changed, setChanged] = useState(() => readKept(key) !== undefined);
  useEffect(() => {
    keep(key, changed ? draft : undefined);
  }, [key, changed, draft]);
  const change = (next: Partial<Draft>) => {
    setDraft((before) => ({ ...before, ...next }));
    setChanged(true);
  };
  const edit = useCallback((move: (content: DesignContent) => DesignContent) => {
    setDraft((before) => ({ ...before, content: move(before.content) }));
    setChanged(true);
  }, []);
  return {
    draft,
    changed,
    change,
    edit,
    reset: (to = draftOf(saved)) => {
      setDraft(to);
      setChanged(false);
    },
  };
}

export function draftOf(saved: Design | undefined): Draft {
  const latest = saved?.versions.at(-1);
  if (!saved || !latest) return { name: '', content: firstDesign() };
  return { name: saved.name, content: latest.content, basedOn: latest.number };
}

/** A new drawing starts as a ten-frame body in three, the usual choice (handbook 9). */
function firstDesign(): DesignContent {
  return standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames: [3, 3, 3] });
}
