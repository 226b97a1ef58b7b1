import { Maximize, ZoomIn, ZoomOut } from 'lucide-react';
import { type MapZoom, NEARER } from './useMapZoom.ts';

/** Looking nearer by button, and back to all of it. */
export function MapNearer({ zoom }: { zoom: MapZoom }) {
  const buttons = [
    ['Nearer', ZoomIn, () => zoom.zoomBy(NEARER)],
    ['Farther', ZoomOut, () => zoom.zoomBy(1 / NEARER)],
    ['The whole yard', Maximize, zoom.whole],
  ] as const;
  return (
    <div className="no-print absolute bottom-3 left-5 flex rounded-lg bg-sheet/90 p-1">
      {buttons.map(([name, Icon, onPress]) => (
        <button
          key={name}
          type="button"
          aria-label={name}
          title={name}
          disabled={name !== 'Nearer' && zoom.at.k === 1}
          className="flex size-11 items-center justify-center rounded hover:bg-glow disabled:opacity-40"
          onClick={onPress}
        >
          <Icon size={20} aria-hidden />
        </button>
      ))}
    </div>
  );
}
