import type { BoxView } from './useYard.ts';

/** Sheet units for a metre between stands; the boxes themselves are drawn larger, to be read and pressed. */
export const PER_METRE = 68;
const PAD = { side: 96, top: 92, bottom: 112 };

/** Where boxes lie on the map, in its own units, and how large it is. */
export interface MapPlan {
  width: number;
  height: number;
  place: (spot: { east_m: number; north_m: number } | undefined) => { x: number; y: number };
}

export function mapPlan(boxes: readonly BoxView[]): MapPlan {
  const { west, east, south, north } = spreadOf(boxes);
  return {
    width: PAD.side * 2 + (east - west) * PER_METRE,
    height: PAD.top + PAD.bottom + (north - south) * PER_METRE,
    place: (spot) => ({
      x: PAD.side + ((spot?.east_m ?? 0) - west) * PER_METRE,
      y: PAD.top + (north - (spot?.north_m ?? 0)) * PER_METRE,
    }),
  };
}

/** What is drawn of a stack is its top; the boxes under it are named from above down. */
export function stacksOf(boxes: readonly BoxView[]): { top: BoxView; below: BoxView[] }[] {
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
export function turnedTo(view: BoxView, bearing_deg: number | undefined): BoxView {
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
