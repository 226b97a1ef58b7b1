import type { DesignContent, Layout } from '@yellow-cell/contract';
import { type NewBody, newDesign, showLength } from '@yellow-cell/core';
import { type KeyboardEvent, memo, useMemo } from 'react';
import { useUnits } from '../app/units.ts';
import { BoxThumb } from '../drawing/BoxThumb.tsx';
import { useLayouts } from './useLayouts.ts';

const SHOWN = 24;

interface LayoutStripProps {
  design: DesignContent;
  onChoose: (layout: Layout) => void;
}

/** What else this body could be: layouts as small boxes, best first; choosing one redraws the box. */
export function LayoutStrip({ design, onChoose }: LayoutStripProps) {
  const found = useLayouts(design);
  const thickness = design.boards[0]?.thickness.mm;
  const body = useBody(design);
  const ways = useMemo(() => waysToDivide(found ?? [], thickness), [found, thickness]);
  const current = `${design.boards[0]?.thickness.mm ?? 0} ${design.bays.map(({ frames }) => frames.length).join('/')}`;
  const walk = (event: KeyboardEvent<HTMLUListElement>) => {
    const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    const buttons = [...event.currentTarget.querySelectorAll('button')];
    const next = buttons[buttons.indexOf(document.activeElement as HTMLButtonElement) + step];
    next?.focus();
  };
  return (
    <section
      aria-label="Layouts of this body"
      className="shrink-0 border-t border-hairline bg-paper px-4 pt-2 pb-3"
    >
      <h2 className="text-base">
        Layouts of this body{' '}
        <span className="font-sans text-sm font-normal text-soft">
          {found
            ? `${found.length} fit, in ${ways.length} ${ways.length === 1 ? 'way' : 'ways'} of dividing it · best first`
            : 'working them out…'}
        </span>
      </h2>
      {found?.length === 0 && (
        <p className="py-2 text-soft">
          No number of compartments leaves frames a usable slack in this width.
        </p>
      )}
      <ul className="mt-1 flex gap-2 overflow-x-auto p-1" onKeyDown={walk}>
        {ways.slice(0, SHOWN).map((layout) => {
          const key = `${layout.frames.length === 1 ? 0 : layout.thickness_mm} ${layout.frames.join('/')}`;
          return (
            <Choice
              key={`${layout.thickness_mm} ${key}`}
              layout={layout}
              body={body}
              chosen={key === current}
              onChoose={onChoose}
            />
          );
        })}
      </ul>
    </section>
  );
}

/** One layout for each row of frames: with the boards as they are where they serve, else with those that serve best. */
function waysToDivide(found: readonly Layout[], thickness_mm: number | undefined): Layout[] {
  const ways = new Map<string, Layout>();
  for (const layout of found) {
    const key = layout.frames.join('/');
    if (!ways.has(key) || layout.thickness_mm === thickness_mm) ways.set(key, layout);
  }
  return [...ways.values()].sort((a, b) => b.score - a.score);
}

type Body = Omit<NewBody, 'frames' | 'thickness'>;

/** The body without its dividers: the same object for as long as only those are moved, so that nothing is drawn anew. */
function useBody({ format, insideWidth, insideLength, depth, wall }: DesignContent): Body {
  return useMemo(
    () => ({ format, insideWidth, insideLength, depth, wall }),
    [format, insideWidth, insideLength, depth, wall],
  );
}

interface ChoiceProps {
  layout: Layout;
  body: Body;
  chosen: boolean;
  onChoose: (layout: Layout) => void;
}

const Choice = memo(function Choice({ layout, body, chosen, onChoose }: ChoiceProps) {
  const units = useUnits();
  const { frames, thickness_mm, slack_mm, why } = layout;
  const drawn = useMemo(
    () => newDesign({ ...body, frames, thickness: { mm: thickness_mm } }),
    [body, frames, thickness_mm],
  );
  return (
    <li>
      <button
        type="button"
        aria-pressed={chosen}
        title={why}
        className={`w-41 rounded-lg border-2 px-1.5 pt-1 pb-0.5 text-left text-sm ${chosen ? 'border-yellow bg-glow' : 'border-hairline bg-slip hover:bg-glow'}`}
        onClick={() => onChoose(layout)}
      >
        <BoxThumb design={drawn} width={148} height={70} />
        <strong className="block">{frames.join(' / ')}</strong>
        <span className="block whitespace-nowrap text-soft">
          {frames.length === 1 ? 'whole' : showLength(thickness_mm, units)} · slack{' '}
          {showLength(slack_mm, units)}
        </span>
      </button>
    </li>
  );
});
