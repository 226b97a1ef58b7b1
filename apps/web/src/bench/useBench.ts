import type { DesignContent } from '@yellow-cell/contract';
import {
  type BoxModel,
  bodiesOf,
  deriveBox,
  designProblems,
  mainBody,
  withEqualSlack,
} from '@yellow-cell/core';
import { useMemo, useRef, useState } from 'react';
import { type DraftDesk, draftOf } from './useDraft.ts';

export interface Bench {
  /** What is drawn: the draft, or the last of it that could be. */
  design: DesignContent;
  model: BoxModel;
  problems: ReturnType<typeof designProblems>;
  body: string;
  setBody: (id: string) => void;
}

/** The draft as a box in space; while what is typed cannot be, the last that could. */
export function useBench(desk: DraftDesk, saved: Parameters<typeof draftOf>[0]): Bench {
  const { content } = desk.draft;
  const problems = useMemo(() => designProblems(content), [content]);
  // A draft kept through a reload may be impossible from the start: then the box is drawn at equal slack, or as it was saved.
  const possible = useRef<DesignContent>(undefined);
  possible.current ??= firstPossible([content, withEqualSlack(content), draftOf(saved).content]);
  if (problems.length === 0) possible.current = content;
  const design = possible.current;
  const model = useMemo(() => deriveBox(design), [design]);
  const [wanted, setBody] = useState<string>();
  const body = bodiesOf(design).find(({ id }) => id === wanted)?.id ?? mainBody(design).id;
  return { design, model, problems, body, setBody };
}

function firstPossible(designs: readonly DesignContent[]): DesignContent {
  const found = designs.find((design) => designProblems(design).length === 0);
  if (!found) throw new Error('Neither the draft nor what was saved can be drawn.');
  return found;
}
