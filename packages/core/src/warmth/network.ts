import type { DesignContent, FaceKind, Side, WarmthQuestion } from '@yellow-cell/contract';
import type { BoxModel } from '../box/model.ts';
import type { Space } from '../box/spaces.ts';
import type { Constants } from '../constants/registry.ts';
import { common, isReal, lengthOf } from '../geometry/block.ts';
import {
  boardLayer,
  floorLayers,
  followerLayers,
  type Layer,
  layerOf,
  roofLayers,
  seenThrough,
  sheetLayer,
  wallLayers,
} from './materials.ts';
import { OUTSIDE } from './warmth.ts';

/** A face of a space, towards the outside or a neighbour; by it heat goes and water condenses. */
export interface HeatFace {
  between: [string, string];
  area_m2: number;
  kind: FaceKind;
  layers: Layer[];
  /** What it is, for words and drawing. */
  part: 'wall' | 'pane' | 'cover' | 'floor' | 'divider' | 'follower' | 'cheek';
  side?: Side;
  /** A pane lets the sun in: one with nothing before it, or one whose doors stand open. */
  glazed?: 'bare' | 'doors';
}
/** Air that mixes freely over an open joint, in m³/s. */
const OPEN_JOINT = 0.005;
const MM2_PER_M2 = 1e6;

export interface HeatNetwork {
  faces: HeatFace[];
  flows: NonNullable<WarmthQuestion['flows']>;
}

/** Faces of every space of a box, from the derived model: walls, covers, floors, boards between neighbours (handbook 3, network). */
export function heatNetwork(
  design: DesignContent,
  model: BoxModel,
  constants: Constants,
  insulation_mm = 0,
): HeatNetwork {
  const faces = model.spaces.flatMap((space) => [
    ...sideFaces(space, model, constants),
    ...endFaces(space, model, constants),
    ...floorFaces(space, design, constants),
  ]);
  const upward = model.spaces.flatMap((space) => topFaces(space, design, model, constants));
  return {
    faces: [
      ...faces,
      ...upward.flatMap(({ face }) => face ?? []),
      ...boardFaces(model, insulation_mm, constants),
    ],
    flows: upward.flatMap(({ flow }) => flow ?? []),
  };
}

export const GROUND = 'the ground';
/** A floor that lies on the earth sees the earth, not the air. */
export const onGround = ({ faces, flows }: HeatNetwork, constants: Constants): HeatNetwork => ({
  flows,
  faces: faces.map((face) =>
    face.part === 'floor'
      ? {
          ...face,
          between: [face.between[0], GROUND],
          // The solver puts a film of air on either side; the earth has none.
          layers: [...face.layers, layerOf(constants.earth_R - constants.rsiFloor)],
        }
      : face,
  ),
});

const m2 = (a: number, b: number): number => (a * b) / MM2_PER_M2;

function outer(space: Space, side: Side, area_m2: number, constants: Constants): HeatFace {
  const body = space.body?.body;
  const pane = body?.glass.includes(side) ?? false;
  return {
    between: [space.id, OUTSIDE],
    area_m2,
    kind: 'wall',
    layers: body ? wallLayers(body, side, constants) : [boardLayer(12, constants)],
    part: pane ? 'pane' : 'wall',
    side,
    ...(pane ? { glazed: body?.doors ? ('doors' as const) : ('bare' as const) } : {}),
  };
}

/** Left and right walls, where no board stands between. */
function sideFaces(space: Space, { stack }: BoxModel, constants: Constants): HeatFace[] {
  const { block, column } = space;
  const area = m2(lengthOf(block.y), lengthOf(block.z));
  if (space.kind === 'cheek') return cheekSides(space, stack.bodies, constants);
  if (space.kind === 'roof')
    return (['left', 'right'] as const).map((side) => outer(space, side, area, constants));
  return [
    ...(column?.left ? [] : [outer(space, 'left', area, constants)]),
    ...(column?.right ? [] : [outer(space, 'right', area, constants)]),
  ];
}

const bodyOf = (space: Space, bodies: BoxModel['stack']['bodies']) =>
  bodies.find(({ body }) => space.id === `${body.id}-front` || space.id === `${body.id}-back`);

function cheekSides(space: Space, bodies: BoxModel['stack']['bodies'], constants: Constants): HeatFace[] {
  const placed = bodyOf(space, bodies);
  if (!placed) return [];
  const held: Space = { ...space, body: placed };
  const area = m2(lengthOf(space.block.y), lengthOf(space.block.z));
  const side: Side = space.id.endsWith('-front') ? 'front' : 'back';
  return [
    outer(held, 'left', area, constants),
    outer(held, 'right', area, constants),
    outer(held, side, m2(lengthOf(space.block.x), lengthOf(space.block.z)), constants),
  ];
}

/** Front and back: the wall, or the cheek with its void. */
function endFaces(space: Space, { spaces }: BoxModel, constants: Constants): HeatFace[] {
  if (space.kind === 'cheek') return [];
  const area = m2(lengthOf(space.block.x), lengthOf(space.block.z));
  const body = space.body?.body;
  return (['front', 'back'] as const).map((side): HeatFace => {
    const cheek = body?.cheeks ? spaces.find(({ id }) => id === `${body.id}-${side}`) : undefined;
    if (!cheek) return outer(space, side, area, constants);
    return {
      between: [space.id, cheek.id],
      area_m2: area,
      kind: 'inner',
      layers: [boardLayer(body?.cheeks?.thickness.mm ?? 20, constants)],
      part: 'cheek',
      side,
    };
  });
}

function floorFaces(space: Space, design: DesignContent, constants: Constants): HeatFace[] {
  if (space.block.z[0] > 1e-9) return [];
  const area = m2(lengthOf(space.block.x), lengthOf(space.block.y));
  return [
    {
      between: [space.id, OUTSIDE],
      area_m2: area,
      kind: 'floor',
      layers: floorLayers(design, constants),
      part: 'floor',
    },
  ];
}

/** What lies over a space: sheets and the spaces above them, or the roof and the sky; nothing at all where storeys are open. */
function topFaces(
  space: Space,
  design: DesignContent,
  { stack, spaces }: BoxModel,
  constants: Constants,
): { face?: HeatFace; flow?: HeatNetwork['flows'][number] }[] {
  if (space.kind === 'cheek') return [];
  const { block } = space;
  const pile = stack.sheets
    .filter(({ block: sheet }) => sheet.z[0] >= block.z[1] - 1e-9)
    .sort((a, b) => a.block.z[0] - b.block.z[0]);
  const lying: typeof pile = [];
  let z = block.z[1];
  for (const each of pile) {
    if (Math.abs(each.block.z[0] - z) > 1e-9) break;
    lying.push(each);
    z = each.block.z[1];
  }
  const layers = lying.map(({ sheet }) => sheetLayer(sheet, constants));
  const above = spaces.filter((other) => other.id !== space.id && Math.abs(other.block.z[0] - z) < 1e-9);
  const found: { face?: HeatFace; flow?: HeatNetwork['flows'][number] }[] = [];
  for (const other of above) {
    const [x, y] = [common(block.x, other.block.x), common(block.y, other.block.y)];
    if (!isReal(x) || !isReal(y)) continue;
    if (layers.length === 0) found.push({ flow: { between: [space.id, other.id], flow_m3s: OPEN_JOINT } });
    else
      found.push({
        face: {
          between: [space.id, other.id],
          area_m2: m2(lengthOf(x), lengthOf(y)),
          kind: 'inner',
          layers,
          part: 'cover',
        },
      });
  }
  if (found.length > 0) return found;
  const roof = space.kind === 'roof' || Math.abs(z - stack.top) < 1e-9 ? roofLayers(design, constants) : [];
  const all = [...layers, ...roof];
  const area = m2(lengthOf(block.x), lengthOf(block.y));
  return [
    {
      face: {
        between: [space.id, OUTSIDE],
        area_m2: area,
        kind: 'cover',
        layers: all.length > 0 ? all : [boardLayer(3, constants)],
        part: 'cover',
        // Sun through a glazed roof falls into the room right under it, or by a mesh; a sheet that lies below is warmed itself.
        ...(roof.length > 0 && design.roof.kind === 'glazed' && lying.every(({ sheet }) => seenThrough(sheet))
          ? { glazed: 'bare' as const }
          : {}),
      },
    },
  ];
}

/** Each board once, between its two neighbours. */
function boardFaces({ boards, spaces }: BoxModel, insulation_mm: number, constants: Constants): HeatFace[] {
  return boards.flatMap(({ board, y, z }): HeatFace[] => {
    const left = spaces.find(({ column }) => column?.right?.board.id === board.id);
    const right = spaces.find(({ column }) => column?.left?.board.id === board.id);
    if (!left || !right) return [];
    const follower = board.kind === 'follower';
    return [
      {
        between: [left.id, right.id],
        area_m2: m2(lengthOf(y), lengthOf(z)),
        kind: 'inner',
        layers: follower
          ? followerLayers(board.thickness.mm, insulation_mm, constants)
          : [boardLayer(board.thickness.mm, constants)],
        part: follower ? 'follower' : 'divider',
      },
    ];
  });
}
