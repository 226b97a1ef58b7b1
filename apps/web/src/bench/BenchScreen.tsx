import { useSuspenseQuery } from '@tanstack/react-query';
import type { DesignContent, Layout } from '@yellow-cell/contract';
import { boxFromAbove, deriveBox, designProblems, withCompartments, withEqualSlack } from '@yellow-cell/core';
import { useCallback, useMemo, useRef, useState } from 'react';
import { useParams } from 'react-router';
import { designQuery } from '../app/queries.ts';
import { BenchSheet } from './BenchSheet.tsx';
import { BenchSlip } from './BenchSlip.tsx';
import { LayoutStrip } from './LayoutStrip.tsx';
import { draftOf, useDraft } from './useDraft.ts';

export function BenchScreen() {
  const { design = 'new' } = useParams();
  return design === 'new' ? <Board key="new" id="new" /> : <SavedBoard key={design} id={design} />;
}

function SavedBoard({ id }: { id: string }) {
  const { data } = useSuspenseQuery(designQuery(id));
  return <Board id={id} saved={data} />;
}

/** The drawing board: a large sheet, and the slip with every figure of the design. */
function Board({ id, saved }: { id: string; saved?: Parameters<typeof useDraft>[1] }) {
  const desk = useDraft(id, saved);
  const { content } = desk.draft;
  const problems = useMemo(() => designProblems(content), [content]);
  // A draft kept through a reload may be impossible from the start: then the box is drawn at equal slack, or as it was saved.
  const possible = useRef<DesignContent>(undefined);
  possible.current ??= firstPossible([content, withEqualSlack(content), draftOf(saved).content]);
  if (problems.length === 0) possible.current = content;
  const shown = possible.current;
  const model = useMemo(() => deriveBox(shown), [shown]);
  const drawing = useMemo(() => boxFromAbove(model), [model]);
  const [chosen, setChosen] = useState<string>();
  const { edit } = desk;
  const become = useCallback(
    ({ frames, thickness_mm }: Layout) => edit((now) => withCompartments(now, frames, { mm: thickness_mm })),
    [edit],
  );
  return (
    <main className="flex h-full flex-col overflow-y-auto lg:flex-row lg:overflow-hidden">
      <h1 className="sr-only">Bench: {desk.draft.name || 'new design'}</h1>
      <div className="flex min-w-0 flex-1 flex-col lg:h-full">
        <BenchSheet
          drawing={drawing}
          model={model}
          design={content}
          stale={problems.length > 0}
          chosen={chosen}
          onChoose={setChosen}
          onEdit={desk.edit}
        />
        <LayoutStrip design={shown} onChoose={become} />
      </div>
      <BenchSlip
        desk={desk}
        model={model}
        problems={problems}
        saved={saved}
        chosen={chosen}
        onChoose={setChosen}
      />
    </main>
  );
}

function firstPossible(designs: readonly DesignContent[]): DesignContent {
  const found = designs.find((design) => designProblems(design).length === 0);
  if (!found) throw new Error('Neither the draft nor what was saved can be drawn.');
  return found;
}
