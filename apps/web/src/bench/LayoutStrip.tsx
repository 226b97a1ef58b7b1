import type { Body, DesignContent, Layout } from '@yellow-cell/contract';
import {
  type Becoming,
  become,
  becomings,
  bodiesOf,
  countOf,
  framesIn,
  type NewBody,
  newDesign,
  showLength,
  withBody,
} from '@yellow-cell/core';
import { type KeyboardEvent, memo, useMemo, useState } from 'react';
import { useUnits } from '../app/units.ts';
import { BoxThumb } from '../drawing/BoxThumb.tsx';
import { useLayouts } from './useLayouts.ts';

const SHOWN = 24;

interface LayoutStripProps {
  design: DesignContent;
  body: string;
  onChoose: (layout: Layout) => void;
  onEdit: (move: (design: DesignContent) => DesignContent) => void;
}

/** What else this body could be: layouts as small boxes, best first; or what it becomes when its own dividers are pulled. */
export function LayoutStrip(props: LayoutStripProps) {
  const [pulling, setPulling] = useState(false);
  const body = bodiesOf(props.design).find(({ id }) => id === props.body);
  if (!body || body.bays.every(({ frames }) => frames.length === 0)) return null;
  return (
    <section
      aria-label="Layouts of this body"
      className="no-print shrink-0 border-t border-hairline bg-paper px-4 pt-1.5 pb-2"
    >
      <div className="flex flex-wrap items-baseline gap-x-4">
        {[false, true].map((each) => (
          <button
            key={String(each)}
            type="button"
            aria-pressed={pulling === each}
            className={
              pulling === each
                ? 'font-head font-bold underline decoration-yellow decoration-[3px] underline-offset-[5px]'
                : 'text-soft hover:text-ink'
            }
            onClick={() => setPulling(each)}
          >
            {each ? 'Pulling its dividers' : 'Layouts of this body'}
          </button>
        ))}
        {pulling ? <Becomings {...props} of={body} /> : <Found of={body} onChoose={props.onChoose} />}
      </div>
    </section>
  );
}

function walk(event: KeyboardEvent<HTMLUListElement>) {
  const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
  if (step === undefined) return;
  event.preventDefault();
  const buttons = [...event.currentTarget.querySelectorAll('button')];
  const next = buttons[buttons.indexOf(document.activeElement as HTMLButtonElement) + step];
  next?.focus();
}

function Found({ of: body, onChoose }: Pick<LayoutStripProps, 'onChoose'> & { of: Body }) {
  const { found, done } = useLayouts(body);
  const thickness = body.boards[0]?.thickness.mm;
  const plain = usePlain(body);
  const ways = useMemo(() => waysToDivide(found, thickness), [found, thickness]);
  const current = `${thickness ?? 0} ${framesIn(body).join('/')}`;
  return (
    <>
      <span className="text-sm text-soft" role="status">
        {found.length === 0 && !done
          ? 'working them out…'
          : `${found.length} fit, in ${countOf(ways.length, 'way')} of dividing it · best first${done ? '' : ' · more come'}`}
      </span>
      {found.length === 0 && done && (
        <p className="w-full py-2 text-soft">
          No number of compartments leaves frames a usable slack in this width.
        </p>
      )}
      <ul className="flex w-full gap-2 overflow-x-auto p-1" onKeyDown={walk}>
        {ways.slice(0, SHOWN).map((layout) => {
          const key = `${layout.frames.length === 1 ? 0 : layout.thickness_mm} ${layout.frames.join('/')}`;
          return (
            <Choice
              key={`${layout.thickness_mm} ${key}`}
              layout={layout}
              plain={plain}
              chosen={key === current}
              onChoose={onChoose}
            />
          );
        })}
      </ul>
    </>
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

type Plain = Omit<NewBody, 'frames' | 'thickness' | 'family'>;

/** The body without its dividers: the same object for as long as only those are moved, so that nothing is drawn anew. */
function usePlain({ format, insideWidth, insideLength, depth, wall }: Body): Plain {
  const key = JSON.stringify([format, insideWidth.mm, insideLength.mm, depth.mm, wall.mm]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key holds all of them
  return useMemo(() => ({ format, insideWidth, insideLength, depth, wall }), [key]);
}

interface ChoiceProps {
  layout: Layout;
  plain: Plain;
  chosen: boolean;
  onChoose: (layout: Layout) => void;
}

const CARD = 'w-38 shrink-0 rounded-lg border-2 px-1.5 pt-1 pb-0.5 text-left text-sm';

const Choice = memo(function Choice({ layout, plain, chosen, onChoose }: ChoiceProps) {
  const units = useUnits();
  const { frames, thickness_mm, slack_mm, why } = layout;
  const drawn = useMemo(
    () => newDesign({ ...plain, frames, thickness: { mm: thickness_mm } }),
    [plain, frames, thickness_mm],
  );
  return (
    <li>
      <button
        type="button"
        aria-pressed={chosen}
        title={why}
        className={`${CARD} ${chosen ? 'border-yellow bg-glow' : 'border-hairline bg-slip hover:bg-glow'}`}
        onClick={() => onChoose(layout)}
      >
        <BoxThumb design={drawn} width={136} height={56} />
        <strong className="block">{frames.join(' / ')}</strong>
        <span className="block whitespace-nowrap text-xs text-soft">
          {frames.length === 1 ? 'whole' : showLength(thickness_mm, units)} · slack{' '}
          {showLength(slack_mm, units)}
        </span>
      </button>
    </li>
  );
});

/** Every set of its dividers, what each leaves, and the holes to close at the change (one press does it). */
function Becomings({ of: body, design, onEdit }: LayoutStripProps & { of: Body }) {
  const all = useMemo(() => becomings(body).filter(({ added }) => added.length === 0), [body]);
  if (body.boards.length === 0) return <p className="w-full py-2 text-soft">There is no divider to pull.</p>;
  return (
    <>
      <span className="text-sm text-soft">
        {all.length - 1} other sets of the {body.boards.length} dividers; holes to close are shut with them
      </span>
      <ul className="flex w-full gap-2 overflow-x-auto p-1" onKeyDown={walk}>
        {all.map((each) => (
          <li key={each.standing.join()}>
            <BecomingCard each={each} body={body} design={design} onEdit={onEdit} />
          </li>
        ))}
      </ul>
    </>
  );
}

function BecomingCard({
  each,
  body,
  design,
  onEdit,
}: {
  each: Becoming;
  body: Body;
  design: DesignContent;
  onEdit: LayoutStripProps['onEdit'];
}) {
  const units = useUnits();
  const drawn = useMemo(() => withBody(design, body.id, (now) => become(now, each)), [design, body.id, each]);
  const now = each.pulled.length === 0;
  const sides = each.close.map((id) => body.entrances.find((entrance) => entrance.id === id)?.side ?? '');
  return (
    <button
      type="button"
      aria-pressed={now}
      disabled={now}
      title={`${each.close.length === 0 ? 'No hole to close' : `Close ${each.close.length} holes: ${[...new Set(sides)].join(', ')}`}`}
      className={`${CARD} ${now ? 'border-yellow bg-glow' : 'border-hairline bg-slip hover:bg-glow'}`}
      onClick={() => onEdit(() => drawn)}
    >
      <BoxThumb design={drawn} width={136} height={56} />
      <strong className="block">{each.compartments.map(({ frames }) => frames).join(' / ')}</strong>
      <span className="block whitespace-nowrap text-xs text-soft">
        {now
          ? 'as it stands'
          : `close ${each.close.length} holes · ${showLength(Math.min(...each.compartments.map(({ slack_mm }) => slack_mm)), units)}`}
      </span>
    </button>
  );
}
