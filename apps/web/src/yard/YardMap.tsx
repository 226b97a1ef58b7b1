import { Lasso, Move } from 'lucide-react';
import { type ComponentType, lazy, Suspense, useEffect, useMemo, useState } from 'react';
import { useAsOf } from '../app/now.ts';
import { Compass } from '../drawing/Compass.tsx';
import { useSize } from '../parts/useSize.ts';
import { useStable } from '../parts/useStable.ts';
import { ArrangeBar } from './ArrangeBar.tsx';
import type { MapGesturesProps } from './MapGestures.tsx';
import type { MapLassoProps } from './MapLasso.tsx';
import { MapNearer } from './MapNearer.tsx';
import { mapPlan, PER_METRE, stacksOf, turnedTo } from './mapPlan.ts';
import { SeveralBar } from './SeveralBar.tsx';
import { SignKey } from './SignKey.tsx';
import { SmallBox } from './SmallBox.tsx';
import { useArrange } from './useArrange.ts';
import { useChoice } from './useChoice.ts';
import { type OnMap, useMapKeys } from './useMapKeys.ts';
import { NEARER, useMapZoom } from './useMapZoom.ts';
import type { YardView } from './useYard.ts';
import { LABEL_SIZE, YardBox } from './YardBox.tsx';

/** Drawn no larger than this; below the other, signs and labels cannot be read, and boxes are drawn by their rooms alone. */
const LARGEST = 1.15;
const READABLE = 0.3;
/** Labels are no smaller than this on screen, in pixels. */
const LEAST_LABEL = 10;
/** Beyond the window boxes are not drawn; the farthest that one reaches from its middle, in sheet units. */
const REACH = 120;

/** Where they cannot be fetched the map stands there all the same, with its buttons and keys. */
const MapGestures = lazy(async (): Promise<{ default: ComponentType<MapGesturesProps> }> => {
  const loaded = await import('./MapGestures.tsx').catch(() => undefined);
  return { default: loaded?.MapGestures ?? (() => null) };
});

const MapLasso = lazy(async (): Promise<{ default: ComponentType<MapLassoProps> }> => {
  const loaded = await import('./MapLasso.tsx').catch(() => undefined);
  return { default: loaded?.MapLasso ?? (() => null) };
});
const NOBODY: ReadonlySet<string> = new Set();

/** Stands and boxes from above, north up. While it is being arranged, boxes are dragged, turned and stacked. */
export function YardMap({ view }: { view: YardView }) {
  const [ref, size] = useSize<HTMLDivElement>({ width: 900, height: 640 });
  const { box: chosen, bay, choose } = useChoice();
  const { isToday } = useAsOf();
  const [doing, setDoing] = useState<'looking' | 'arranging' | 'choosing'>('looking');
  const arranging = doing === 'arranging';
  const [several, setSeveral] = useState(NOBODY);
  const plan = useMemo(() => mapPlan(view.boxes), [view.boxes]);
  const { place } = plan;
  const scale = Math.min(LARGEST, size.width / plan.width, size.height / plan.height);
  const shift = {
    x: Math.max(0, (size.width - plan.width * scale) / 2),
    y: Math.max(0, (size.height - plan.height * scale) / 2),
  };
  const zoom = useMapZoom(size, LARGEST / scale);
  const { at } = zoom;
  const drawn = scale * at.k;
  const arrange = useArrange(view, arranging, PER_METRE * drawn);
  const stacks = useMemo(() => stacksOf(view.boxes), [view.boxes]);
  const onScreen = (spot: { x: number; y: number }) => ({
    x: (shift.x + spot.x * scale) * at.k + at.x,
    y: (shift.y + spot.y * scale) * at.k + at.y,
  });
  /** Whether any of a box lies in the window, or with `whole` all of it. */
  const isSeen = (spot: { x: number; y: number }, whole = false) => {
    const { x, y } = onScreen(spot);
    const reach = REACH * drawn * (whole ? -1 : 1);
    return x > -reach && x < size.width + reach && y > -reach && y < size.height + reach;
  };
  const places = stacks.map(
    ({ top, below }): OnMap => ({ box: top.box.id, ...place((below.at(-1) ?? top).box.place) }),
  );
  const bring = (spot: OnMap) => {
    if (at.k > 1 && !isSeen(spot, true)) zoom.centreOn(shift.x + spot.x * scale, shift.y + spot.y * scale);
  };
  useInSight(chosen, () => {
    const spot = places.find(({ box }) => box === chosen);
    if (spot && !isSeen(spot)) bring(spot);
  });
  const isFar = drawn < READABLE && !arranging;
  const isDrawn = (spot: OnMap) => isFar || isSeen(spot);
  // So small, a box is no target for a thumb: what lies under it is looked at nearer first.
  const pressFar = useStable((box: string) => {
    const spot = places.find((each) => each.box === box);
    if (spot && window.matchMedia('(pointer: coarse)').matches)
      zoom.zoomBy((2 * READABLE) / drawn, onScreen(spot));
    else choose(box);
  });
  const { tabbed, ...keys } = useMapKeys(places, chosen, zoom, isDrawn, bring);
  const labelSize = Math.max(LABEL_SIZE, Math.round(LEAST_LABEL / drawn));
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
          className={`absolute inset-0 block ${arranging || at.k > 1 ? 'touch-none' : '[touch-action:pan-x_pan-y]'}`}
          {...arrange.onSheet}
          {...keys}
        >
          <rect
            width={size.width}
            height={size.height}
            fill="transparent"
            onClick={() => choose()}
            aria-hidden
          />
          <g transform={`translate(${at.x + shift.x * at.k} ${at.y + shift.y * at.k}) scale(${drawn})`}>
            {stacks.map(({ top, below }) => {
              const spot = arrange.spotOf(below.at(-1) ?? top);
              const where = place(spot);
              const isChosen = top.box.id === chosen;
              if (isFar)
                return (
                  <SmallBox
                    key={top.box.id}
                    view={top}
                    {...where}
                    isChosen={isChosen}
                    isTabbed={top.box.id === tabbed}
                    onChoose={pressFar}
                  />
                );
              if (!isSeen(where)) return null;
              return (
                <g
                  key={top.box.id}
                  data-box={top.box.id}
                  onPointerDown={(event) => arrange.onTake(event, below.at(-1) ?? top)}
                  className={arranging ? 'cursor-move' : undefined}
                >
                  <YardBox
                    view={turnedTo(top, spot?.bearing_deg)}
                    {...where}
                    label={[top, ...below].map(({ box }) => box.label).join(' / ')}
                    labelSize={labelSize}
                    isChosen={isChosen}
                    isTabbed={top.box.id === tabbed}
                    bay={isChosen ? bay : undefined}
                    onChoose={choose}
                  />
                </g>
              );
            })}
          </g>
          <g transform={`translate(${size.width - 38} 46)`}>
            <Compass latitude_deg={view.yard.latitude_deg} />
          </g>
        </svg>
        {doing === 'choosing' && (
          <Suspense>
            <MapLasso
              stands={stacks.map(({ top, below }, index) => ({
                boxes: [top, ...below].map(({ box }) => box.id),
                ...onScreen(places[index] ?? { x: 0, y: 0 }),
              }))}
              chosen={several}
              onChoose={setSeveral}
            />
          </Suspense>
        )}
        <Suspense>
          <MapGestures sheet={ref} zoom={zoom} moves={doing === 'looking'} />
        </Suspense>
        {LARGEST / scale > NEARER && doing !== 'choosing' && <MapNearer zoom={zoom} />}
        {isToday && view.boxes.length > 0 && doing !== 'choosing' && (
          <div className="no-print absolute bottom-3 right-5 flex max-w-[75%] flex-wrap items-center justify-end gap-2 rounded-lg bg-sheet/90 p-1">
            {!arranging && (
              <button
                type="button"
                className="button min-h-9 px-2 py-0.5 font-normal max-lg:min-h-12"
                onClick={() => setDoing('choosing')}
              >
                <Lasso size={16} aria-hidden /> Choose several
              </button>
            )}
            <button
              type="button"
              aria-pressed={arranging}
              className={`button min-h-9 px-2 py-0.5 max-lg:min-h-12 ${arranging ? 'bg-glow' : 'font-normal'}`}
              onClick={() => setDoing(arranging ? 'looking' : 'arranging')}
            >
              <Move size={16} aria-hidden /> {arranging ? 'Done arranging' : 'Arrange'}
            </button>
          </div>
        )}
        {view.more && (
          <button type="button" className="button no-print absolute bottom-3 left-44" onClick={view.more}>
            Show more boxes
          </button>
        )}
      </div>
      {doing === 'choosing' ? (
        <SeveralBar
          yard={view.yard.id}
          boxes={view.boxes}
          chosen={several}
          onNone={() => setSeveral(NOBODY)}
          onDone={() => setDoing('looking')}
        />
      ) : (
        <SignKey boxes={view.boxes} />
      )}
    </div>
  );
}

/** Whoever is chosen elsewhere is brought into sight, once. */
function useInSight(chosen: string | undefined, bring: () => void): void {
  const bringIt = useStable(bring);
  // biome-ignore lint/correctness/useExhaustiveDependencies: it is brought into sight when it is chosen, and may be moved out again
  useEffect(() => bringIt(), [chosen]);
}
