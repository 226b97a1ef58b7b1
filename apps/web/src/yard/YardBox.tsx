import type { BoxState } from '@yellow-cell/contract';
import { type Compartment, isDue, roleSign, roomShare, showDay, statusLine } from '@yellow-cell/core';
import { type KeyboardEvent, type MouseEvent, memo } from 'react';
import { useSay } from '../app/units.ts';
import { BoxShapes } from '../drawing/BoxShapes.tsx';
import { EntranceArrows } from '../drawing/EntranceArrows.tsx';
import { centreOf, rectOf, standing } from '../drawing/place.ts';
import { SharedSign, StatusSign } from '../drawing/StatusSign.tsx';
import type { BoxView, CompartmentView } from './useYard.ts';

/** Sheet units for a mm of box; a glass wall longer than any hive is drawn smaller, or it would lie over its neighbours. */
const BOX_SCALE = 0.235;
const LONGEST_MM = 640;
export const boxScale = ({ x, y }: BoxView['drawing']): number =>
  BOX_SCALE * Math.min(1, LONGEST_MM / Math.max(x[1] - x[0], y[1] - y[0]));
export const LABEL_SIZE = 14;
/** A front that looks south is drawn without turning. */
const UNTURNED_DEG = 180;

export const turnOf = ({ place }: BoxState): number => (place?.bearing_deg ?? UNTURNED_DEG) - UNTURNED_DEG;

interface YardBoxProps {
  view: BoxView;
  x: number;
  y: number;
  /** With those of the boxes that it stands on, where it stands on some. */
  label?: string;
  labelSize?: number;
  isChosen: boolean;
  /** False where the tab key passes its rooms by. */
  isTabbed?: boolean;
  /** A bay of the compartment that is chosen of it. */
  bay: string | undefined;
  onChoose: (box: string, bay?: string) => void;
}

/** A box as it stands: to scale where it is no longer than a hive, turned to its bearing, each compartment with its sign, which stays upright. */
export const YardBox = memo(function YardBox(props: YardBoxProps) {
  const { view, x, y, isChosen, bay, onChoose } = props;
  const { box, drawing, model, compartments } = view;
  const { label = box.label, labelSize = LABEL_SIZE, isTabbed = true } = props;
  const turn = turnOf(box);
  const placing = standing(boxScale(drawing), drawing);
  const occupied = new Set(
    compartments.filter(({ status }) => status !== 'empty').flatMap(({ bays }) => bays),
  );
  const frameFill = framesOfEmpty(model.compartments, occupied);
  const low = lowestPoint(drawing, turn);
  return (
    <g transform={`translate(${x} ${y})`}>
      <g transform={`rotate(${turn})`}>
        <g className="cursor-pointer" onClick={() => onChoose(box.id)} aria-hidden>
          <BoxShapes
            drawing={drawing}
            placing={placing}
            line={0.8}
            fillOf={({ role, id }) => {
              if (role === 'wall') return 'var(--wood)';
              if (role === 'divider') return 'var(--wood-line)';
              if (role === 'frame') return frameFill.has(id) ? 'var(--cavity)' : 'var(--comb)';
              if (
                role === 'compartment' &&
                isChosen &&
                compartments.some((each) => each.bays.includes(id) && each.bays.includes(bay ?? ''))
              )
                return 'var(--yellow)';
              if (
                role === 'compartment' &&
                compartments.some((each) => each.bays.includes(id) && isDue(each))
              )
                return 'var(--glow)';
              return undefined;
            }}
          />
        </g>
        <EntranceArrows model={model} placing={placing} />
        {compartments.map((compartment, index) => {
          const room = model.compartments[index];
          if (!room) return null;
          const area = roomShare(placing.rect(rectOf(room.x, room.block.y)), model.compartments, index);
          return (
            <Room
              key={compartment.position}
              view={view}
              compartment={compartment}
              area={area}
              turn={turn}
              isTabbed={isTabbed}
              chosen={isChosen && compartment.bays.includes(bay ?? '')}
              onChoose={() => onChoose(box.id, compartment.bays[0])}
            />
          );
        })}
      </g>
      <text
        y={low + 11 + labelSize}
        textAnchor="middle"
        fontSize={labelSize}
        fontWeight={700}
        fill="var(--ink)"
        textDecoration={isChosen ? 'underline' : undefined}
      >
        {label}
      </text>
    </g>
  );
});

interface RoomProps {
  view: BoxView;
  compartment: CompartmentView;
  area: { x: number; y: number; width: number; height: number };
  turn: number;
  isTabbed: boolean;
  chosen: boolean;
  onChoose: () => void;
}

/** One compartment: pressed or reached by keyboard, it is chosen. */
function Room({ view, compartment, area, turn, isTabbed, chosen, onChoose }: RoomProps) {
  const say = useSay();
  const { x, y } = centreOf(area);
  const due = isDue(compartment);
  const sign = Math.min(1.25, Math.max(0.75, area.width / 22));
  const disc = 9.5 * sign;
  const dot = Math.min(5, 4.2 * sign);
  return (
    <g
      role="button"
      tabIndex={isTabbed ? 0 : -1}
      aria-pressed={chosen}
      aria-label={`${view.box.label} ${compartment.name}: ${say(statusLine(compartment))}`}
      className="group cursor-pointer outline-none"
      onClick={(event: MouseEvent) => {
        event.stopPropagation();
        onChoose();
      }}
      onKeyDown={(event: KeyboardEvent) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        onChoose();
      }}
    >
      <title>{`${view.box.label} ${compartment.name}: ${say(statusLine(compartment))}${compartment.first ? `. ${compartment.first.title}, expected ${say(showDay(compartment.first.expected))}` : ''}`}</title>
      <rect x={area.x} y={area.y} width={area.width} height={area.height} fill="transparent" />
      <rect
        x={area.x}
        y={area.y}
        width={area.width}
        height={area.height}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={chosen ? 2.5 : 2}
        className={chosen ? '' : 'opacity-0 group-focus-visible:opacity-100'}
      />
      <g transform={`translate(${x} ${y}) rotate(${-turn})`}>
        <circle r={disc} fill="var(--slip)" stroke="var(--hairline)" strokeWidth={0.8} />
        <g transform={`scale(${sign * 0.86})`}>
          {compartment.shares === undefined ? <StatusSign status={compartment.status} /> : <SharedSign />}
        </g>
        {roleSign(compartment) && (
          <text
            y={disc + 9}
            textAnchor="middle"
            fontSize={9.5}
            fontWeight={700}
            fill="var(--ink)"
            stroke="var(--slip)"
            strokeWidth={2.6}
            paintOrder="stroke"
          >
            {roleSign(compartment)}
          </text>
        )}
        {due && (
          <circle
            cx={disc * 0.8}
            cy={-disc * 0.85}
            r={dot}
            fill={compartment.urgency === 'overdue' ? 'var(--danger)' : 'var(--yellow)'}
            stroke="var(--ink)"
            strokeWidth={1.2}
          />
        )}
      </g>
    </g>
  );
}

function framesOfEmpty(compartments: readonly Compartment[], occupied: ReadonlySet<string>): Set<string> {
  return new Set(
    compartments
      .filter(({ bays }) => !bays.some((bay) => occupied.has(bay)))
      .flatMap(({ frames }) => frames.map(({ id }) => id)),
  );
}

/** How far below its middle a turned box reaches, for its label. */
function lowestPoint(drawing: BoxView['drawing'], turn_deg: number): number {
  const turn = (turn_deg * Math.PI) / 180;
  const scale = boxScale(drawing);
  const half = {
    x: ((drawing.x[1] - drawing.x[0]) / 2) * scale,
    y: ((drawing.y[1] - drawing.y[0]) / 2) * scale,
  };
  return Math.abs(half.x * Math.sin(turn)) + Math.abs(half.y * Math.cos(turn));
}
