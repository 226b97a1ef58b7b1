import { Move } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useAsOf } from '../app/now.ts';
import { Compass } from '../drawing/Compass.tsx';
import { useSize } from '../parts/useSize.ts';
import { ArrangeBar } from './ArrangeBar.tsx';
import { SignKey } from './SignKey.tsx';
import { useArrange } from './useArrange.ts';
import { useChoice } from './useChoice.ts';
import type { BoxView, YardView } from './useYard.ts';
import { YardBox } from './YardBox.tsx';

/** Sheet units for a metre between stands; the boxes themselves are drawn larger, to be read and pressed. */
const PER_METRE = 68;
const PAD = { side: 96, top: 92, bottom: 112 };

/** Stands and boxes from above, north up. While it is being arranged, boxes are dragged, turned and stacked. */
export function YardMap({ view }: { view: YardView }) {
  const [ref, size] = useSize<HTMLDivElement>({ width: 900, height: 640 });
  const { choose } = useChoice();
  const { isToday } = useAsOf();
  const [arranging, setArranging] = useState(false);
  const spread = useMemo(() => spreadOf(view.boxes), [view.boxes]);
  const place = (spot: { east_m: number; north_m: number } | undefined) => ({
    x: PAD.side + ((spot?.east_m ?? 0) - spread.west) * PER_METRE,
    y: PAD.top + (spread.north - (spot?.north_m ?? 0)) * PER_METRE,
  });
  const wide = PAD.side * 2 + (spread.east - spread.west) * PER_METRE;
  const high = PAD.top + PAD.bottom + (spread.north - spread.south) * PER_METRE;
  const scale = Math.min(1.15, size.width / wide, size.height / high);
  const shift = {
    x: Math.max(0, (size.width - wide * scale) / 2),
    y: Math.max(0, (size.height - high * scale) / 2),
  };
  const arrange = useArrange(view, arranging, PER_METRE * scale);
  const stacks = useMemo(() => stacksOf(view.boxes), [view.boxes]);
  return (
    <div className="flex h-full flex-col">
      {arranging && (
        <div className="no-print flex min-h-11 flex-wrap items-center gap-2 bg-sheet px-5 pb-1.5">
          <ArrangeBar view={view} arrange={arrange} />
        </div>
      )}
      <div
        ref={ref}
        className="relative min-h-72 flex-1 overflow-hidden"
        style={{ background: 'var(--meadow)' }}
      >
        <svg
          width={size.width}
          height={size.height}
          role="group"
          aria-label={`${view.yard.name} from above`}
          className={`absolute inset-0 block ${arranging ? 'touch-none' : ''}`}
          {...arrange.onSheet}
        >
          <rect
            width={size.width}
            height={size.height}
            fill="transparent"
            onClick={() => choose()}
            aria-hidden
          />
          <g transform={`translate(${shift.x} ${shift.y}) scale(${scale})`}>
            {stacks.map(({ top, below }) => {
              const spot = arrange.spotOf(below.at(-1) ?? top);
              return (
                <g
                  key={top.box.id}
                  onPointerDown={(event) => arrange.onTake(event, below.at(-1) ?? top)}
                  className={arranging ? 'cursor-move' : undefined}
                >
                  <YardBox
                    view={turnedTo(top, spot?.bearing_deg)}
                    at={place(spot)}
                    under={below.map(({ box }) => box.label)}
                  />
                </g>
              );
            })}
          </g>
          <g transform={`translate(${size.width - 38} 46)`}>
            <Compass latitude_deg={view.yard.latitude_deg} />
          </g>
        </svg>
        {isToday && view.boxes.length > 0 && (
          <div className="no-print absolute bottom-3 right-5 flex max-w-[75%] flex-wrap items-center justify-end gap-2 rounded-lg bg-sheet/90 p-1">
            <button
              type="button"
              aria-pressed={arranging}
              className={`button min-h-9 px-2 py-0.5 ${arranging ? 'bg-glow' : 'font-normal'}`}
              onClick={() => setArranging(!arranging)}
            >
              <Move size={16} aria-hidden /> {arranging ? 'Done arranging' : 'Arrange'}
            </button>
          </div>
        )}
        {view.more && (
          <button type="button" className="button no-print absolute bottom-3 left-5" onClick={view.more}>
            Show more boxes
          </button>
        )}
      </div>
      <SignKey boxes={view.boxes} />
    </div>
  );
}

/** What is drawn of a stack is its top; the boxes under it are named from above down. */
function stacksOf(boxes: readonly BoxView[]): { top: BoxView; below: BoxView[] }[] {
  const byId = new Map(boxes.map((each) => [each.box.id, each]));
  const carries = new Set(boxes.flatMap(({ box }) => box.onto ?? []));
  return boxes
    .filter(({ box }) => !carries.has(box.id))
    .map((top) => {
      const below: BoxView[] = [];
      for (let each = top.box.onto; each; each = byId.get(each)?.box.onto) {
        const found = byId.get(each);
        if (!found) break;
        below.push(found);
      }
      return { top, below };
    });
}

/** The same box while it is being turned. */
function turnedTo(view: BoxView, bearing_deg: number | undefined): BoxView {
  const { place } = view.box;
  if (!place || bearing_deg === undefined || bearing_deg === place.bearing_deg) return view;
  return { ...view, box: { ...view.box, place: { ...place, bearing_deg } } };
}

function spreadOf(boxes: readonly BoxView[]): { west: number; east: number; south: number; north: number } {
  const east = boxes.map(({ box }) => box.place?.east_m ?? 0);
  const north = boxes.map(({ box }) => box.place?.north_m ?? 0);
  if (boxes.length === 0) return { west: 0, east: 1, south: 0, north: 1 };
  return {
    west: Math.min(...east),
    east: Math.max(...east),
    south: Math.min(...north),
    north: Math.max(...north),
  };
}
