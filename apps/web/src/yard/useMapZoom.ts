import { useCallback, useState } from 'react';

/** How near the map is looked at: `k` times as near as where all of it is seen, and moved by so many pixels. */
export interface Nearness {
  k: number;
  x: number;
  y: number;
}
export interface MapZoom {
  at: Nearness;
  /** Times nearer, about a point of the sheet in pixels; its middle where none is named. */
  zoomBy: (times: number, about?: { x: number; y: number }) => void;
  moveBy: (dx: number, dy: number) => void;
  /** Brings a point of the whole map to the middle. */
  centreOn: (x: number, y: number) => void;
  whole: () => void;
}

/** A press of a button or a key looks so much nearer. */
export const NEARER = 1.6;
const WHOLE: Nearness = { k: 1, x: 0, y: 0 };

/** Looking nearer at a sheet, which never leaves the window with an edge. `nearest` is the most that is of use. */
export function useMapZoom({ width, height }: { width: number; height: number }, nearest: number): MapZoom {
  const [wanted, setAt] = useState(WHOLE);
  const within = useCallback(
    ({ k, x, y }: Nearness): Nearness => {
      const near = Math.min(nearest, Math.max(1, k));
      return {
        k: near,
        x: Math.min(0, Math.max(width * (1 - near), x)),
        y: Math.min(0, Math.max(height * (1 - near), y)),
      };
    },
    [width, height, nearest],
  );
  const at = within(wanted);
  return {
    at,
    zoomBy: (times, about = { x: width / 2, y: height / 2 }) =>
      setAt((now) => {
        const from = within(now);
        const k = Math.min(nearest, Math.max(1, from.k * times));
        // What lies under the point stays there.
        const by = k / from.k;
        return within({ k, x: about.x - (about.x - from.x) * by, y: about.y - (about.y - from.y) * by });
      }),
    moveBy: (dx, dy) =>
      setAt((now) => {
        const from = within(now);
        return within({ ...from, x: from.x + dx, y: from.y + dy });
      }),
    centreOn: (x, y) =>
      setAt((now) => {
        const { k } = within(now);
        return within({ k, x: width / 2 - x * k, y: height / 2 - y * k });
      }),
    whole: () => setAt(WHOLE),
  };
}
