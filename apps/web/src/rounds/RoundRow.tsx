import { countOf, type Day, later, plusDays, type RipeDay, type RoundView, showDay } from '@yellow-cell/core';
import { Fragment, type KeyboardEvent, type PointerEvent, useRef } from 'react';
import { useSay } from '../app/units.ts';
import { useLog } from '../app/useLog.ts';
import { StatusSign } from '../drawing/StatusSign.tsx';
import type { DayScale } from './dayScale.ts';
import { planMoved } from './planMoved.ts';
import type { Moved } from './useRearing.ts';

interface RoundRowProps {
  view: RoundView;
  top: number;
  height: number;
  width: number;
  scale: DayScale;
  today: Day;
  chosen: boolean;
  moved: Moved | undefined;
  ripe: RipeDay | undefined;
  onChoose: () => void;
  onMove: (moved: Moved | undefined) => void;
}

/** A round along its days: what is done solid, what is expected open, windows as bars; a planned graft can be moved. */
export function RoundRow({
  view,
  top,
  height,
  width,
  scale,
  today,
  chosen,
  moved,
  ripe,
  onChoose,
  onMove,
}: RoundRowProps) {
  const say = useSay();
  const { round, days, cells, queens, open, missed, lost_d } = view;
  const y = 34;
  const line = (from: Day, to: Day) => {
    const [a, b] = [scale.x(from), scale.x(to)];
    // Of a graft that was missed nothing has happened.
    const split = missed ? a : Math.min(Math.max(scale.x(today), a), b);
    return (
      <>
        <line x1={a} x2={split} y1={y} y2={y} stroke="var(--ink)" strokeWidth={4} />
        <line x1={split} x2={b} y1={y} y2={y} stroke="var(--soft)" strokeWidth={1.2} />
      </>
    );
  };
  const window = ([from, to]: readonly [Day, Day]) => (
    <rect
      x={scale.x(from)}
      y={y - 6}
      width={Math.max(3, scale.x(to) - scale.x(from))}
      height={12}
      rx={6}
      fill="var(--glow)"
      stroke="var(--comb-line)"
      strokeWidth={0.8}
    />
  );
  /** Days without flying weather put off what is still open: dashed behind its window. */
  const late_d = open > 0 ? lost_d : 0;
  const putOff = ([, to]: readonly [Day, Day]) =>
    late_d > 0 && (
      <rect
        x={scale.x(to)}
        y={y - 6}
        width={scale.x(plusDays(to, late_d)) - scale.x(to)}
        height={12}
        rx={6}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1}
        strokeDasharray="2 2"
      >
        <title>{`Put off by ${countOf(late_d, 'day')} without flying weather`}</title>
      </rect>
    );
  const name = `Round ${round.number}${missed ? ', not grafted' : round.planned ? ', planned' : ''}`;
  return (
    <g transform={`translate(0 ${top})`}>
      <rect width={width} height={height} fill={chosen || moved ? 'var(--glow)' : 'transparent'} />
      <line x2={width} stroke="var(--hairline)" />
      <g
        role="button"
        tabIndex={0}
        aria-pressed={chosen}
        aria-label={`${name}, ${round.donor}, grafted ${say(showDay(round.graftedOn, today))}`}
        className="cursor-pointer outline-none [&:focus-visible>rect]:stroke-[var(--ink)]"
        onClick={onChoose}
        onKeyDown={(event: KeyboardEvent) => {
          if (event.key !== 'Enter' && event.key !== ' ') return;
          event.preventDefault();
          onChoose();
        }}
      >
        <rect x={8} y={4} width={96} height={height - 8} fill="transparent" strokeWidth={2} />
        <text x={20} y={27} fontSize={13} fontWeight={700} fill="var(--ink)">
          Round {round.number}
        </text>
        <text x={20} y={43} fontSize={11.5} fill={missed ? 'var(--danger)' : 'var(--soft)'}>
          {missed ? 'not grafted' : `${round.planned ? 'planned, ' : ''}${round.donor}`}
        </text>
      </g>
      {line(days.graft, days.take[1])}
      {[days.flights, days.eggs, days.take].map((each) => (
        <Fragment key={each[0]}>
          {putOff(each)}
          {window(each)}
        </Fragment>
      ))}
      <Sign
        x={scale.x(days.ripe)}
        y={y}
        status="cellGiven"
        title={`ripe ${say(showDay(days.ripe, today))}`}
      />
      <Sign
        x={scale.x(days.flights[0])}
        y={y}
        status="virgin"
        title={`flies from ${say(showDay(days.flights[0], today))}`}
      />
      <Sign
        x={scale.x(days.eggs[0])}
        y={y}
        status="laying"
        title={`eggs from ${say(showDay(days.eggs[0], today))}`}
      />
      <Sign
        x={scale.x(days.take[0])}
        y={y}
        status="proven"
        title={`ready from ${say(showDay(days.take[0], today))}`}
      />
      <Count x={scale.x(days.graft)} text={String(round.grafts)} />
      {!missed && (
        <Count x={scale.x(days.ripe)} text={round.accepted || view.outcome ? String(cells) : `${cells}?`} />
      )}
      {queens > 0 && <Count x={scale.x(days.eggs[0])} text={String(queens)} />}
      <Graft
        view={view}
        x={scale.x(days.graft)}
        y={y}
        scale={scale}
        today={today}
        moved={moved}
        onMove={onMove}
      />
      {moved && (
        <text x={scale.x(days.take[1]) + 12} y={y - 4} fontSize={12} fill="var(--ink)">
          <tspan fontWeight={700}>Moved to {say(showDay(moved.graftOn, today))}.</tspan>
          {ripe && ripe.over > 0 ? ` ${countOf(ripe.over, 'cell finds', 'cells find')} no room.` : ''}
        </text>
      )}
    </g>
  );
}

const Sign = ({
  x,
  y,
  status,
  title,
}: {
  x: number;
  y: number;
  status: 'cellGiven' | 'virgin' | 'laying' | 'proven';
  title: string;
}) => (
  <g transform={`translate(${x} ${y})`}>
    <title>{title}</title>
    <circle r={10} fill="var(--sheet)" />
    <StatusSign status={status} />
  </g>
);

const Count = ({ x, text }: { x: number; text: string }) => (
  <text x={x} y={17} fontSize={12} fontWeight={700} textAnchor="middle" fill="var(--ink)">
    {text}
  </text>
);

/** The cup that a larva is put into; of a plan it is a handle, dragged or stepped by a day with the arrows. */
function Graft({
  view: { round },
  x,
  y,
  scale,
  today,
  moved,
  onMove,
}: Pick<RoundRowProps, 'view' | 'scale' | 'today' | 'moved' | 'onMove'> & { x: number; y: number }) {
  const say = useSay();
  const log = useLog();
  const dragging = useRef(false);
  const keeping = useRef(false);
  const shape = (
    <path
      d="M-5 -6V0A5 5 0 0 0 5 0V-6M0 -2.4v0.2"
      fill="none"
      stroke="var(--ink)"
      strokeWidth={2.2}
      strokeLinecap="round"
    />
  );
  if (!round.planned)
    return (
      <g transform={`translate(${x} ${y})`}>
        <circle r={10} fill="var(--sheet)" />
        {shape}
      </g>
    );
  // A plan lies ahead: it is moved to today at the earliest.
  const moveTo = (graftOn: Day) => onMove({ round: round.id, graftOn: later(graftOn, today) });
  const keep = () => {
    if (!moved || keeping.current) return;
    keeping.current = true;
    void log(`Round ${round.number} moved to ${say(showDay(moved.graftOn))}`, [
      planMoved(round, moved.graftOn),
    ]).finally(() => {
      keeping.current = false;
      onMove(undefined);
    });
  };
  const at = ({ clientX, currentTarget }: PointerEvent<SVGGElement>): Day => {
    const left = currentTarget.ownerSVGElement?.getBoundingClientRect().left ?? 0;
    return scale.dayAt(clientX - left);
  };
  return (
    <g
      transform={`translate(${x} ${y})`}
      role="slider"
      tabIndex={0}
      aria-label={`Graft of round ${round.number}`}
      aria-valuetext={say(showDay(round.graftedOn))}
      aria-valuenow={Math.round(Date.parse(round.graftedOn) / 86_400_000)}
      className="cursor-ew-resize touch-none outline-none [&:focus-visible>rect]:stroke-[3]"
      onPointerDown={(event) => {
        dragging.current = true;
        event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerMove={(event) => {
        if (dragging.current) moveTo(at(event));
      }}
      onPointerUp={() => {
        dragging.current = false;
        keep();
      }}
      onPointerCancel={() => {
        dragging.current = false;
        onMove(undefined);
      }}
      onKeyDown={(event) => {
        const step = { ArrowLeft: -1, ArrowRight: 1, PageDown: -7, PageUp: 7 }[event.key];
        if (step !== undefined) {
          event.preventDefault();
          moveTo(plusDays(round.graftedOn, step));
        } else if (event.key === 'Enter') keep();
        else if (event.key === 'Escape') onMove(undefined);
      }}
      onBlur={() => {
        if (!dragging.current) keep();
      }}
    >
      <rect
        x={-20}
        y={-14}
        width={40}
        height={28}
        rx={12}
        fill="var(--yellow)"
        stroke="var(--ink)"
        strokeWidth={1.4}
      />
      {shape}
      <path
        d="M-13 -3.5 -16 0 -13 3.5M13 -3.5 16 0 13 3.5"
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1.6}
      />
    </g>
  );
}
