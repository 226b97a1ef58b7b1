import type { Design, DesignContent, Family } from '@yellow-cell/contract';
import { familyDesign, rightlyNamed } from '@yellow-cell/core';
import { useCallback, useEffect, useReducer } from 'react';
import { keepSoon, readKept } from '../app/kept.ts';

/** The drawing on the bench: kept on this device with every change, until it is saved or thrown away. */
export interface Draft {
  name: string;
  content: DesignContent;
  /** The version it was drawn from; none for a new design. */
  basedOn?: number;
}

export interface History {
  past: Draft[];
  draft: Draft;
  future: Draft[];
  changed: boolean;
  /** Moves of one drag or one field follow each other into one step. */
  last: { tag: string; at: number };
}

type Step =
  | { kind: 'change'; to: (draft: Draft) => Draft; tag: string; at: number }
  | { kind: 'undo' }
  | { kind: 'redo' }
  | { kind: 'reset'; to: Draft; changed: boolean };

const SAME_STEP_MS = 1_500;
const MOST_STEPS = 200;

export interface DraftDesk {
  draft: Draft;
  changed: boolean;
  change(next: Partial<Draft>): void;
  /** `tag` names what is being moved, so that one drag is one step to undo. */
  edit(move: (content: DesignContent) => DesignContent, tag?: string): void;
  undo: (() => void) | undefined;
  redo: (() => void) | undefined;
  /** Starts again from what was saved, or from something else that is then not saved yet. */
  reset(to?: Draft, changed?: boolean): void;
}

export function useDraft(id: string, saved: Design | undefined): DraftDesk {
  const key = `yc-draft-${id}`;
  const [history, step] = useReducer(stepped, undefined, (): History => {
    const kept = readKept<Draft>(key);
    const usable = kept?.content.schemaVersion === 2 ? kept : undefined;
    return begun(usable ?? draftOf(saved), usable !== undefined);
  });
  const { draft, changed, past, future } = history;
  useEffect(() => {
    keepSoon(key, changed ? draft : undefined);
  }, [key, changed, draft]);
  const edit = useCallback((move: (content: DesignContent) => DesignContent, tag = '') => {
    step({
      kind: 'change',
      to: (before) => ({ ...before, content: rightlyNamed(before.content, move(before.content)) }),
      tag,
      at: Date.now(),
    });
  }, []);
  return {
    draft,
    changed,
    change: (next) =>
      step({
        kind: 'change',
        to: (before) => ({ ...before, ...next }),
        tag: Object.keys(next).join(),
        at: Date.now(),
      }),
    edit,
    undo: past.length > 0 ? () => step({ kind: 'undo' }) : undefined,
    redo: future.length > 0 ? () => step({ kind: 'redo' }) : undefined,
    reset: (to = draftOf(saved), isChanged = false) => step({ kind: 'reset', to, changed: isChanged }),
  };
}

export const begun = (draft: Draft, changed: boolean): History => ({
  past: [],
  draft,
  future: [],
  changed,
  last: { tag: '', at: 0 },
});

export function stepped(history: History, step: Step): History {
  const { past, draft, future, last } = history;
  switch (step.kind) {
    case 'reset':
      return begun(step.to, step.changed);
    case 'undo': {
      const before = past.at(-1);
      return before
        ? {
            ...history,
            past: past.slice(0, -1),
            draft: before,
            future: [draft, ...future],
            changed: true,
            last: { tag: '', at: 0 },
          }
        : history;
    }
    case 'redo': {
      const [after, ...rest] = future;
      return after
        ? {
            ...history,
            past: [...past, draft],
            draft: after,
            future: rest,
            changed: true,
            last: { tag: '', at: 0 },
          }
        : history;
    }
    case 'change': {
      const next = step.to(draft);
      const same = step.tag !== '' && step.tag === last.tag && step.at - last.at < SAME_STEP_MS;
      return {
        past: same ? past : [...past, draft].slice(-MOST_STEPS),
        draft: next,
        future: [],
        changed: true,
        last: { tag: step.tag, at: step.at },
      };
    }
  }
}

export function draftOf(saved: Design | undefined): Draft {
  const latest = saved?.versions.at(-1);
  if (!saved || !latest) return newDraft('threeWay');
  return { name: saved.name, content: latest.content, basedOn: latest.number };
}

export const newDraft = (family: Family): Draft => ({ name: '', content: familyDesign(family) });
