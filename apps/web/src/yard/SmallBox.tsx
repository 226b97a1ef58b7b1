import { isDue, roomShare, statusLine } from '@yellow-cell/core';
import { memo } from 'react';
import { useSay } from '../app/units.ts';
import { rectOf, standing } from '../drawing/place.ts';
import type { BoxView, CompartmentView } from './useYard.ts';
import { boxScale, turnOf } from './YardBox.tsx';

interface SmallBoxProps {
  view: BoxView;
  x: number;
  y: number;
  isChosen: boolean;
  /** True where the tab key comes to it. */
  isTabbed: boolean;
  onChoose: (box: string) => void;
}

/** A box of a map seen from so far that nothing but its rooms, and which of them is due, can be told; one button. */
export const SmallBox = memo(function SmallBox({ view, x, y, isChosen, isTabbed, onChoose }: SmallBoxProps) {
  const say = useSay();
  const { box, drawing, model, compartments } = view;
  const placing = standing(boxScale(drawing), drawing);
  const whole = placing.rect(rectOf(drawing.x, drawing.y));
  const words = compartments.map((each) => `${each.name} ${statusLine(each)}`).join(', ');
  return (
    <g
      role="button"
      data-box={box.id}
      tabIndex={isTabbed ? 0 : -1}
      aria-pressed={isChosen}
      aria-label={say(`${box.label}: ${words}`)}
      className="group cursor-pointer outline-none"
      transform={`translate(${x} ${y}) rotate(${turnOf(box)})`}
      onClick={(event) => {
        event.stopPropagation();
        onChoose(box.id);
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        onChoose(box.id);
      }}
    >
      <title>{say(`${box.label}: ${words}`)}</title>
      <rect {...whole} fill="var(--wood)" stroke="var(--wood-line)" strokeWidth={3} />
      {compartments.map((room, index) => {
        const place = model.compartments[index];
        if (!place) return null;
        const area = roomShare(placing.rect(rectOf(place.x, place.block.y)), model.compartments, index);
        return <rect key={room.position} {...area} fill={fillOf(room)} stroke="var(--wood-line)" />;
      })}
      <rect
        {...whole}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={14}
        className={isChosen ? '' : 'opacity-0 group-focus-visible:opacity-100'}
      />
    </g>
  );
});

const fillOf = (room: CompartmentView): string => {
  if (isDue(room)) return room.urgency === 'overdue' ? 'var(--danger)' : 'var(--yellow)';
  return room.status === 'empty' ? 'var(--cavity)' : 'var(--comb)';
};
