import { useGesture } from '@use-gesture/react';
import type { RefObject } from 'react';
import type { MapZoom } from './useMapZoom.ts';

export interface MapGesturesProps {
  sheet: RefObject<HTMLDivElement | null>;
  zoom: MapZoom;
  /** False while boxes themselves are dragged. */
  moves: boolean;
}

/** A turn of the wheel that brings the map twice as near, in pixels. */
const WHEEL_TWICE = 300;

/** Wheel and two fingers look nearer, and what is looked at nearer is drawn along. */
export function MapGestures({ sheet, zoom, moves }: MapGesturesProps) {
  const pointIn = (x: number, y: number) => {
    const { left = 0, top = 0 } = sheet.current?.getBoundingClientRect() ?? {};
    return { x: x - left, y: y - top };
  };
  useGesture(
    {
      onWheel: ({ event, delta: [, down], ctrlKey }) => {
        if (ctrlKey) return;
        event.preventDefault();
        zoom.zoomBy(2 ** (-down / WHEEL_TWICE), pointIn(event.clientX, event.clientY));
      },
      onPinch: ({ origin: [x, y], movement: [times], memo = 1, first }) => {
        if (!first) zoom.zoomBy(times / memo, pointIn(x, y));
        return times;
      },
      onDrag: ({ delta: [dx, dy], pinching, cancel, tap }) => {
        if (pinching) return cancel();
        if (moves && !tap) zoom.moveBy(dx, dy);
      },
    },
    {
      target: sheet,
      eventOptions: { passive: false },
      drag: { filterTaps: true, enabled: moves && zoom.at.k > 1 },
    },
  );
  return null;
}
