import { useMemo } from 'react';
import { Compass } from '../drawing/Compass.tsx';
import { useSize } from '../parts/useSize.ts';
import { SignKey } from './SignKey.tsx';
import { useChoice } from './useChoice.ts';
import type { BoxView, YardView } from './useYard.ts';
import { YardBox } from './YardBox.tsx';

/** Sheet units for a metre between stands; the boxes themselves are drawn larger, to be read and pressed. */
const PER_METRE = 68;
const PAD = { side: 96, top: 92, bottom: 112 };

/** Stands and boxes from above, north up. */
export function YardMap({ view }: { view: YardView }) {
  const [ref, size] = useSize<HTMLDivElement>({ width: 900, height: 640 });
  const { choose } = useChoice();
  const spread = useMemo(() => spreadOf(view.boxes), [view.boxes]);
  const place = (box: BoxView['box']) => ({
    x: PAD.side + ((box.place?.east_m ?? 0) - spread.west) * PER_METRE,
    y: PAD.top + (spread.north - (box.place?.north_m ?? 0)) * PER_METRE,
  });
  const wide = PAD.side * 2 + (spread.east - spread.west) * PER_METRE;
  const high = PAD.top + PAD.bottom + (spread.north - spread.south) * PER_METRE;
  const scale = Math.min(1.15, size.width / wide, size.height / high);
  const shift = {
    x: Math.max(0, (size.width - wide * scale) / 2),
    y: Math.max(0, (size.height - high * scale) / 2),
  };
  return (
    <div className="flex h-full flex-col">
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
          className="absolute inset-0 block"
        >
          <rect
            width={size.width}
            height={size.height}
            fill="transparent"
            onClick={() => choose()}
            aria-hidden
          />
          <g transform={`translate(${shift.x} ${shift.y}) scale(${scale})`}>
            {view.boxes.map((each) => (
              <YardBox key={each.box.id} view={each} at={place(each.box)} />
            ))}
          </g>
          <g transform={`translate(${size.width - 38} 46)`}>
            <Compass latitude_deg={view.yard.latitude_deg} />
          </g>
        </svg>
        {view.more && (
          <button type="button" className="button absolute bottom-3 left-5" onClick={view.more}>
            Show more boxes
          </button>
        )}
      </div>
      <SignKey />
    </div>
  );
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
