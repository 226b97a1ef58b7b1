import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import { type MapZoom, NEARER } from './useMapZoom.ts';

/** A box of the map and where it is drawn, in the map's own units. */
export interface OnMap {
  box: string;
  x: number;
  y: number;
}

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

export interface MapKeys {
  onKeyDown: (event: KeyboardEvent) => void;
  onFocus: (event: { target: EventTarget }) => void;
  /** The box that the tab key comes to: hundreds of others are reached from it by arrows. */
  tabbed: string | undefined;
}

/** Arrows walk from box to box; plus, minus and 0 look nearer, farther and at all of it. `bring` makes a box seen. */
export function useMapKeys(
  places: readonly OnMap[],
  chosen: string | undefined,
  zoom: MapZoom,
  isDrawn: (place: OnMap) => boolean,
  bring: (place: OnMap) => void,
): MapKeys {
  const [last, setLast] = useState<string>();
  const [wanted, setWanted] = useState<string>();
  const sheet = useRef<Element>(undefined);
  // What comes into sight is drawn first, and has the focus then.
  useEffect(() => {
    const found = wanted && sheet.current?.querySelector<SVGElement>(`[data-box="${wanted}"]`);
    if (!found) return;
    (found.matches('[role="button"]') ? found : found.querySelector<SVGElement>('[role="button"]'))?.focus();
    setWanted(undefined);
  });
  const known = (box: string | undefined) => places.find((place) => place.box === box);
  return {
    tabbed: [known(last), known(chosen), ...places].find((place) => place && isDrawn(place))?.box,
    onFocus: ({ target }) => {
      const place = known(boxAt(target));
      if (!place || place.box === last) return;
      setLast(place.box);
      // What is pressed is seen, and must not move away under the hand.
      if ((target as Element).matches(':focus-visible')) bring(place);
    },
    onKeyDown: (event) => {
      const by = ARROWS[event.key];
      const from = known(boxAt(event.target));
      const to = by && from && nextTo(from, places, by);
      if (to) {
        event.preventDefault();
        sheet.current = event.currentTarget;
        bring(to);
        setWanted(to.box);
      }
      if (event.key === '+') zoom.zoomBy(NEARER);
      if (event.key === '-') zoom.zoomBy(1 / NEARER);
      if (event.key === '0') zoom.whole();
    },
  };
}

const boxAt = (target: EventTarget): string | undefined =>
  (target as Element).closest('[data-box]')?.getAttribute('data-box') ?? undefined;

/** The nearest in a direction: what lies aside counts for farther than it is. */
export function nextTo(
  from: OnMap,
  places: readonly OnMap[],
  [right, down]: readonly [number, number],
): OnMap | undefined {
  const reach = (place: OnMap): number => {
    const [dx, dy] = [place.x - from.x, place.y - from.y];
    const along = dx * right + dy * down;
    const aside = Math.abs(dx * down) + Math.abs(dy * right);
    return along > 0 && aside <= along ? along + 2 * aside : Number.POSITIVE_INFINITY;
  };
  const [nearest] = places
    .map((place) => ({ place, far: reach(place) }))
    .filter(({ far }) => far < Number.POSITIVE_INFINITY)
    .sort((a, b) => a.far - b.far);
  return nearest?.place;
}
