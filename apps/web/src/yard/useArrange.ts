import type { BoxState } from '@yellow-cell/contract';
import { type PointerEvent, useState } from 'react';
import { draft, useLog } from '../app/useLog.ts';
import type { BoxView, YardView } from './useYard.ts';

type Place = NonNullable<BoxState['place']>;

export interface Arrange {
  /** Where a box is drawn now: while it is dragged or turned, not yet where it stands. */
  spotOf: (view: BoxView) => Place | undefined;
  onTake: (event: PointerEvent, view: BoxView) => void;
  onSheet: {
    onPointerMove?: (event: PointerEvent) => void;
    onPointerUp?: () => void;
    onPointerLeave?: () => void;
  };
  /** The box last taken, to be turned or nudged. */
  taken: BoxView | undefined;
  turn: (by_deg: number) => void;
  nudge: (east_m: number, north_m: number) => void;
  stack: (onto: string | null) => void;
}

/** To a tenth of a metre: nearer than that nobody sets a stand by eye. */
const round = (metres: number): number => Math.round(Math.min(2_000, Math.max(0, metres)) * 10) / 10;

/** Boxes moved on the plan by hand; each move is an entry like any other, and can be undone. */
export function useArrange(view: YardView, arranging: boolean, perMetre: number): Arrange {
  const log = useLog();
  const [taken, setTaken] = useState<string>();
  const [drag, setDrag] = useState<{
    box: string;
    x: number;
    y: number;
    place: Place;
    dx: number;
    dy: number;
  }>();
  const found = view.boxes.find(({ box }) => box.id === taken);

  const put = ({ box }: BoxView, place: Place) => {
    const { since: _, ...spot } = place;
    void log(`${box.label} moved`, [draft('boxPlaced', { box: box.id, ...spot })]);
  };
  const dragged = (): Place | undefined =>
    drag && {
      ...drag.place,
      east_m: round(drag.place.east_m + drag.dx / perMetre),
      north_m: round(drag.place.north_m - drag.dy / perMetre),
    };
  const drop = () => {
    const place = dragged();
    const box = view.boxes.find((each) => each.box.id === drag?.box);
    if (box && place && drag && Math.hypot(drag.dx, drag.dy) > 4) put(box, place);
    setDrag(undefined);
  };
  return {
    spotOf: ({ box }) => (drag?.box === box.id ? dragged() : box.place),
    onTake: (event, { box }) => {
      if (!arranging || !box.place) return;
      event.preventDefault();
      setTaken(box.id);
      setDrag({ box: box.id, x: event.clientX, y: event.clientY, place: box.place, dx: 0, dy: 0 });
    },
    onSheet: drag
      ? {
          onPointerMove: ({ clientX, clientY }) =>
            setDrag({ ...drag, dx: clientX - drag.x, dy: clientY - drag.y }),
          onPointerUp: drop,
          onPointerLeave: drop,
        }
      : {},
    taken: found,
    turn: (by_deg) => {
      const place = found?.box.place;
      if (found && place) put(found, { ...place, bearing_deg: (place.bearing_deg + by_deg + 360) % 360 });
    },
    nudge: (east_m, north_m) => {
      const place = found?.box.place;
      if (found && place)
        put(found, {
          ...place,
          east_m: round(place.east_m + east_m),
          north_m: round(place.north_m + north_m),
        });
    },
    stack: (onto) => {
      if (found)
        void log(`${found.box.label} ${onto ? 'set on another box' : 'taken down'}`, [
          draft('boxStacked', { box: found.box.id, onto }),
        ]);
    },
  };
}
