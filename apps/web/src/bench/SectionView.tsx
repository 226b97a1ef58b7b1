import { boxInSection } from '@yellow-cell/core';
import { useMemo, useState } from 'react';
import { BoxShapes } from '../drawing/BoxShapes.tsx';
import { rectOf } from '../drawing/place.ts';
import { BoardHandle } from './BoardHandle.tsx';
import { GapLights } from './GapLights.tsx';
import { SectionMarks } from './PhysicsMarks.tsx';
import { paperGrid } from './paperGrid.ts';
import { pressedId, type SheetProps, shapeLook } from './sheet.ts';
import { useView } from './useView.ts';

const MARGIN = { left: 24, right: 24, top: 40, bottom: 30 };

/** The box cut open, across the frames or along them: floors, lips, boards and covers, and the gaps between them. */
export function SectionView(props: SheetProps) {
  const { model, onChoose, chosen, onPressSpace } = props;
  const [view, setView] = useState<'across' | 'along'>('across');
  // Along the frames it is cut through what is chosen, so that a board shows its ends and ears.
  const at = useMemo(() => {
    if (view === 'across') return undefined;
    const board = model.boards.find(({ board: each }) => each.id === chosen);
    const frame = model.frames.find(({ id }) => id === chosen) ?? model.frames[0];
    const span = board?.x ?? frame?.x;
    return span ? (span[0] + span[1]) / 2 : undefined;
  }, [view, model, chosen]);
  const drawing = useMemo(() => boxInSection(model, view, at), [model, view, at]);
  const { ref, size, placing } = useView(drawing, MARGIN);
  const ground = placing.rect(rectOf(drawing.x, [0, 0]));
  return (
    <div
      ref={ref}
      className="relative min-h-72 min-w-0 overflow-hidden border-hairline lg:min-h-0 lg:border-l"
      style={{ background: paperGrid }}
    >
      <div className="absolute top-1.5 left-3 z-10 flex items-center gap-1 text-sm">
        <strong>Cut</strong>
        {(['across', 'along'] as const).map((each) => (
          <button
            key={each}
            type="button"
            aria-pressed={view === each}
            className={`rounded px-1.5 py-0.5 ${view === each ? 'font-bold underline decoration-yellow decoration-[3px] underline-offset-4' : 'text-soft hover:text-ink'}`}
            onClick={() => setView(each)}
          >
            {each} the frames
          </button>
        ))}
      </div>
      <svg
        width={size.width}
        height={size.height}
        role="group"
        aria-label={`The box cut ${view} the frames`}
        className="absolute inset-0 block"
      >
        <BoxShapes
          drawing={drawing}
          placing={placing}
          {...shapeLook(props)}
          onPress={(shape) => {
            if (onPressSpace && (shape.role === 'compartment' || shape.role === 'void'))
              onPressSpace(shape.id);
            else if (!onPressSpace) onChoose(pressedId(shape));
          }}
        />
        <path
          d={`M${ground.x - 16} ${ground.y}h12M${ground.x + ground.width + 4} ${ground.y}h12`}
          stroke="var(--soft)"
        />
        <GapLights
          model={props.resting}
          placing={placing}
          u={view === 'across' ? 'x' : 'y'}
          v="z"
          level={undefined}
        />
        {props.layer && view === 'across' && (
          <SectionMarks layer={props.layer} model={model} placing={placing} />
        )}
        {view === 'across' &&
          model.boards.map((board, index) => (
            <BoardHandle
              key={board.board.id}
              board={board}
              number={index + 1}
              area={placing.rect(rectOf(board.x, board.z))}
              placing={placing}
              lies={false}
              {...props}
            />
          ))}
      </svg>
    </div>
  );
}
