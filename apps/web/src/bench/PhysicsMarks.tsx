import { type BoxModel, type BoxPhysics, isEntrance } from '@yellow-cell/core';
import type { ReactNode } from 'react';
import { useSay } from '../app/units.ts';
import { centreOf, type Placing, rectOf } from '../drawing/place.ts';
import { heatTone, showC, twoFigures } from './heat.ts';

export interface PhysicsLayer {
  kind: 'air' | 'warmth';
  physics: BoxPhysics;
}

interface MarksProps {
  layer: PhysicsLayer;
  model: BoxModel;
  placing: Placing;
}

/** On the cut: temperatures of spaces and inner surfaces, and where water forms. */
export function SectionMarks({ layer, model, placing }: MarksProps) {
  const say = useSay();
  const { kind, physics } = layer;
  return (
    <g pointerEvents="none">
      {kind === 'warmth' &&
        physics.surfaces.flatMap((surface) => surfaceLine(surface, model, placing, say) ?? [])}
      {kind === 'warmth' &&
        physics.compartments.map(({ spaces, water }) => {
          const space = model.spaces.find(({ id }) => id === spaces[0]);
          if (!space || water.verdict === 'dry') return null;
          const area = placing.rect(rectOf(space.block.x, space.block.z));
          const places = dropPlaces(water.verdict === 'drips', space, area);
          return places.map(([x = 0, y = 0]) => (
            <Drop key={`${spaces[0]}-${x}-${y}`} x={x} y={y} bad={water.verdict === 'drips'} />
          ));
        })}
      {physics.compartments.map(({ spaces, inside_C, air }) => {
        const space = model.spaces.find(({ id }) => id === spaces[0]);
        if (!space) return null;
        const area = placing.rect(rectOf(space.block.x, space.block.z));
        const { x, y } = centreOf(area);
        const text = kind === 'warmth' ? say(showC(inside_C)) : `${twoFigures(air.flow_m3s * 1_000)} L/s`;
        return <Plate key={spaces[0]} x={x} y={y} text={text} room={area.width} />;
      })}
    </g>
  );
}

/** Under the cover where it drips; down the side wall where it runs, or at the foot of the ends for a room in the middle. */
function dropPlaces(
  drips: boolean,
  { column }: BoxModel['spaces'][number],
  area: { x: number; y: number; width: number; height: number },
): [number, number][] {
  if (drips) return [0.3, 0.5, 0.7].map((share) => [area.x + area.width * share, area.y + 12]);
  const at = !column?.left ? area.x + 7 : !column.right ? area.x + area.width - 7 : undefined;
  if (at === undefined) return [[area.x + area.width / 2, area.y + area.height - 12]];
  return [0.3, 0.55, 0.8].map((share) => [at, area.y + area.height * share]);
}

/** An inner surface as a line of its tone, where the cut meets it. */
function surfaceLine(
  { face, surface_C }: BoxPhysics['surfaces'][number],
  model: BoxModel,
  placing: Placing,
  say: (words: string) => string,
): ReactNode {
  const space = model.spaces.find(({ id }) => id === face.between[0]);
  const where = face.part === 'cover' || face.part === 'floor' ? face.part : face.side;
  if (!space || (where !== 'left' && where !== 'right' && where !== 'cover' && where !== 'floor'))
    return undefined;
  const { x, z } = space.block;
  const { x: across, z: up } = {
    left: { x: [x[0], x[0]] as const, z },
    right: { x: [x[1], x[1]] as const, z },
    cover: { x, z: [z[1], z[1]] as const },
    floor: { x, z: [z[0], z[0]] as const },
  }[where];
  const line = placing.rect(rectOf(across, up));
  return (
    <line
      key={`${space.id}-${where}`}
      x1={line.x}
      y1={line.y}
      x2={line.x + line.width}
      y2={line.y + line.height}
      stroke={heatTone(surface_C)}
      strokeWidth={5}
    >
      <title>{say(`${where}, inner surface ${showC(surface_C)}`)}</title>
    </line>
  );
}

/** On the rolled-out sides: air goes in at low holes and out at high ones, the broader the more. */
export function SideArrows({
  layer,
  model,
  area,
  opening,
  side,
}: {
  layer: PhysicsLayer;
  model: BoxModel;
  area: { x: number; y: number; width: number; height: number };
  opening: string;
  side: 'in' | 'out' | 'both';
}) {
  const door = model.openings.filter(isEntrance).find(({ id }) => id === opening);
  const compartment = layer.physics.compartments.find(({ spaces }) =>
    door?.serves.some(({ space }) => spaces.includes(space)),
  );
  if (!compartment || compartment.air.flow_m3s <= 0 || door?.opening.state === 'closed') return null;
  const { x, y } = centreOf(area);
  const wide = Math.min(9, 2 + Math.sqrt(compartment.air.flow_m3s * 1e6) * 0.55);
  const d =
    side === 'out'
      ? `M${x} ${y - 6}v-14m-${wide} ${wide}l${wide} -${wide} ${wide} ${wide}`
      : `M${x} ${y + 20}v-14m-${wide} ${wide}l${wide} -${wide} ${wide} ${wide}`;
  return (
    <path
      d={side === 'both' ? `M${x - 12} ${y}h24m-${wide} -${wide}l${wide} ${wide} -${wide} ${wide}` : d}
      fill="none"
      stroke="var(--ink)"
      strokeWidth={wide / 2.2}
      pointerEvents="none"
    />
  );
}

function Drop({ x, y, bad }: { x: number; y: number; bad: boolean }) {
  return (
    <path
      d={`M${x} ${y - 8}c6 8 6 11 0 12c-6 -1 -6 -4 0 -12z`}
      fill={bad ? 'var(--danger)' : 'var(--soft)'}
      stroke="var(--ink)"
      strokeWidth={0.7}
    />
  );
}

function Plate({ x, y, text, room }: { x: number; y: number; text: string; room: number }) {
  const wide = text.length * 6.8 + 8;
  const turned = wide > room + 14;
  return (
    <g transform={`translate(${x} ${y}) ${turned ? 'rotate(-90)' : ''}`}>
      <rect
        x={-wide / 2}
        y={-11}
        width={wide}
        height={20}
        rx={4}
        fill="var(--slip)"
        fillOpacity={0.92}
        stroke="var(--hairline)"
      />
      <text textAnchor="middle" y={4} fontSize={12.5} fontWeight={700} fill="var(--ink)">
        {text}
      </text>
    </g>
  );
}
