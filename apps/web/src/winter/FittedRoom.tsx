import { useDraggable, useDroppable } from '@dnd-kit/core';
import { countOf, type PreparedFrame } from '@yellow-cell/core';
import { GripVertical } from 'lucide-react';
import { useSay } from '../app/units.ts';
import { Said } from '../parts/Said.tsx';
import { Slider } from '../parts/Slider.tsx';
import { Cavity } from './Cavity.tsx';
import { CombStrip } from './CombStrip.tsx';
import { BEYOND, FOLLOWER } from './kept.ts';
import type { Preparing } from './usePreparation.ts';

/** The room fitted to its bees: the frames that stay in their new order, the follower, what is behind it. */
export function FittedRoom({ name, preparing }: { name: string; preparing: Preparing }) {
  const say = useSay();
  const { preparation, arrangement, warm, change, reset } = preparing;
  if (!preparation) return null;
  const { frames, asItIs, fitted, follower } = preparation;
  const kept = frames.filter(({ to }) => to !== null).sort((a, b) => (a.to ?? 0) - (b.to ?? 0));
  const empty = asItIs.frames - kept.length;
  const stands = arrangement.follower && follower !== undefined && !('why' in follower);
  const void_ = empty > 0 && (
    <Void frames={empty} follower={stands} insulation_mm={arrangement.insulation_mm} end={arrangement.end} />
  );
  return (
    <div className="min-w-0 flex-1">
      <Cavity
        title="For winter"
        figures={say(`${countOf(fitted.frames, 'frame')} · ${fitted.litres.toFixed(0)} l`)}
        sunAt={warm?.end}
        sun={warm ? `sun side, ${warm.words}` : ''}
      >
        {arrangement.end === 'right' && void_}
        <ol aria-label={`Frames of ${name} for winter`}>
          {kept.map((frame) => (
            <Kept key={frame.slot.slot} frame={frame} />
          ))}
        </ol>
        {arrangement.end === 'left' && void_}
      </Cavity>
      <div className="no-print mt-2 flex flex-wrap items-center gap-x-4 gap-y-1 text-sm">
        <label className="flex min-h-8 items-center gap-2 max-lg:min-h-12">
          <input
            type="checkbox"
            checked={arrangement.follower}
            onChange={({ target }) => change({ follower: target.checked })}
          />
          Follower
        </label>
        <label className="flex min-h-8 items-center gap-2">
          Bees at the{' '}
          <select
            className="field !min-h-8 w-auto !py-0 max-lg:!min-h-12"
            value={arrangement.end}
            onChange={({ target }) => change({ end: target.value as 'left' | 'right' })}
          >
            <option value="left">left</option>
            <option value="right">right</option>
          </select>
        </label>
        <button type="button" className="min-h-8 underline max-lg:min-h-12" onClick={reset}>
          As the rules have it
        </button>
      </div>
      {stands && (
        <div className="no-print max-w-60">
          <Slider
            label="Insulation behind it"
            words={say(`${arrangement.insulation_mm} mm`)}
            least={0}
            most={150}
            step={10}
            value={arrangement.insulation_mm}
            onChange={(insulation_mm) => change({ insulation_mm })}
          />
        </div>
      )}
    </div>
  );
}

function Kept({ frame: { slot, turned, stores_kg, to } }: { frame: PreparedFrame }) {
  const say = useSay();
  const data = { name: `frame ${slot.number}` };
  const { setNodeRef: dropRef, isOver } = useDroppable({ id: slot.slot, data });
  const { setNodeRef, listeners, attributes, transform, isDragging } = useDraggable({ id: slot.slot, data });
  const sides = slot.frame?.audit?.sides;
  return (
    <li ref={dropRef} className={`mb-[3px] ${isOver ? 'bg-glow' : ''}`}>
      <div
        ref={setNodeRef}
        className={`flex items-center gap-1.5 ${isDragging ? 'relative z-10 bg-slip shadow-lg' : ''}`}
        style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
      >
        <button
          type="button"
          className="flex min-h-6 w-10 shrink-0 touch-none items-center max-lg:min-h-12"
          aria-label={`Frame ${slot.number}, place ${to}: carry`}
          {...attributes}
          {...listeners}
        >
          <GripVertical size={14} aria-hidden />
          <strong className="text-sm">{slot.number}</strong>
        </button>
        <CombStrip
          sides={sides && turned ? [sides[1], sides[0]] : sides}
          label={`Frame ${slot.number}${turned ? ', turned round' : ''}`}
        />
        <span className="w-16 shrink-0 text-right text-sm">
          {turned ? '↻ ' : ''}
          {stores_kg === undefined ? '?' : say(`${stores_kg.toFixed(1)} kg`)}
        </span>
      </div>
    </li>
  );
}

interface VoidProps {
  frames: number;
  follower: boolean;
  insulation_mm: number;
  end: 'left' | 'right';
}

/** What the frames that go out leave: behind a follower, or beside the bees. */
function Void({ frames, follower, insulation_mm, end }: VoidProps) {
  const { setNodeRef, isOver } = useDroppable({ id: BEYOND, data: { name: 'what comes out' } });
  const board = follower && <Board />;
  return (
    <div ref={setNodeRef} className={isOver ? 'bg-glow' : ''}>
      {end === 'left' && board}
      <p
        className="flex items-center justify-center px-2 text-center text-sm text-soft"
        style={{
          minHeight: `${Math.max(2, frames * 1.5)}rem`,
          ...(follower && insulation_mm > 0
            ? { background: 'repeating-linear-gradient(45deg, transparent 0 6px, var(--hairline) 6px 7px)' }
            : {}),
        }}
      >
        <span className="bg-[var(--cavity)] px-1">
          {follower ? (
            insulation_mm > 0 ? (
              <Said>Follower, {insulation_mm} mm of insulation behind it</Said>
            ) : (
              'Follower, nothing behind it'
            )
          ) : (
            `${countOf(frames, 'place')} empty, no follower`
          )}
        </span>
      </p>
      {end === 'right' && board}
    </div>
  );
}

/** The follower, to be carried to where a frame stands: that one and those beyond it come out. */
function Board() {
  const { setNodeRef, listeners, attributes, transform, isDragging } = useDraggable({
    id: FOLLOWER,
    data: { name: 'the follower' },
  });
  return (
    <button
      ref={setNodeRef}
      type="button"
      aria-label="Follower: carry"
      className={`flex min-h-6 w-full touch-none items-center max-lg:min-h-12 ${isDragging ? 'relative z-10' : ''}`}
      style={transform ? { transform: `translate(0, ${transform.y}px)` } : undefined}
      {...attributes}
      {...listeners}
    >
      <GripVertical size={14} aria-hidden className="no-print shrink-0" />
      <span className="h-2.5 flex-1 border border-ink bg-[var(--wood-line)]" />
    </button>
  );
}
