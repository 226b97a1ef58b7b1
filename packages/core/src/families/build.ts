import type { Body, DesignContent, Family, Length } from '@yellow-cell/contract';
import { withProposedEntrances } from '../box/entrances.ts';
import { newDesign } from '../box/newDesign.ts';
import { withBody, withLayers, withPart } from '../box/parts.ts';
import { EXCLUDER_SLOT_MM, emptyBody, excluderSheet, MESH_MM, mm } from '../box/plainParts.ts';
import { bodiesOf, mainBody } from '../box/stack.ts';
import { standardBody, standardDesign } from '../box/standardDesign.ts';
import { withPrinted } from '../box/withPrinted.ts';
import { observation } from './observation.ts';

/** A sound design of each family to start from; each passes its own checks. Lengths in mm. */
const TEN = mm(373);
const FIVE: Length = { mm: 190.5, typed: '7 1/2"' };
const DEEP = 'langstroth-deep';

export const familyDesigns: Readonly<Record<Family, () => DesignContent>> = {
  nucleus: () =>
    standardDesign({ format: DEEP, insideWidth: FIVE, thickness: mm(9.5), frames: [5], family: 'nucleus' }),
  twoWayNucleus: () =>
    standardDesign({
      format: DEEP,
      insideWidth: mm(166),
      thickness: mm(4),
      frames: [2, 2],
      family: 'twoWayNucleus',
    }),
  twoWayBody: () =>
    standardDesign({
      format: DEEP,
      insideWidth: TEN,
      thickness: mm(6),
      frames: [5, 5],
      family: 'twoWayBody',
    }),
  threeWay: () => standardDesign({ format: DEEP, thickness: mm(9.5), frames: [3, 3, 3], family: 'threeWay' }),
  fourWay,
  donorHolding,
  allInOne,
  starter,
  quarter,
  smallFormat: () => smallFormat(),
  foldedSheet,
  observation: () => observation('display'),
  bank,
  changer,
  followerReduced,
};

export const familyDesign = (family: Family): DesignContent => familyDesigns[family]();

function uses(design: DesignContent, ...use: Body['bays'][number]['use'][]): DesignContent {
  const body = mainBody(design);
  return body.bays.reduce(
    (now, { id }, index) => withPart(now, id, { use: use[index] ?? 'nothing' }),
    design,
  );
}

/** In a ten-frame body four only fit with thin boards and little slack (handbook 9): the design says so. */
function fourWay(): DesignContent {
  const design = standardDesign({
    format: DEEP,
    insideWidth: TEN,
    thickness: mm(3.2),
    frames: [3, 2, 2, 3],
    family: 'fourWay',
  });
  const reason = 'Four fit a ten-frame body only so: thin boards, little slack. Lift slowly.';
  const overrules = mainBody(design).bays.map(({ id }) => ({ check: `slack:care:${id}`, reason }));
  return { ...design, overrules };
}

/** Six frames as three and three, a window of excluder in the divider, the queen's side on vent. */
function donorHolding(): DesignContent {
  const plain = standardDesign({
    format: DEEP,
    insideWidth: mm(240),
    thickness: mm(9.5),
    frames: [3, 3],
    family: 'donorHolding',
  });
  const held = uses(plain, 'held', 'stores');
  const board = mainBody(held).boards[0]?.id ?? '';
  const fitted = withPart(held, board, {
    kind: 'excluder',
    slot: EXCLUDER_SLOT_MM,
    window: { width: mm(200), height: mm(120) },
  });
  const queens = mainBody(fitted).entrances.filter(({ side }) => side === 'front');
  return queens.reduce((now, { id }) => withPart(now, id, { state: 'vent' }), fitted);
}

/** The whole partition an excluder; donor and brood at the left, grafts at the right. */
function allInOne(): DesignContent {
  const plain = uses(
    standardDesign({ format: DEEP, insideWidth: TEN, thickness: mm(6), frames: [5, 5], family: 'allInOne' }),
    'colony',
    'grafts',
  );
  const { boards, bays } = mainBody(plain);
  const fitted = withPart(plain, boards[0]?.id ?? '', { kind: 'excluder', slot: EXCLUDER_SLOT_MM });
  return withPart(fitted, bays[1]?.frames[1]?.id ?? '', { holds: 'grafts' });
}

/** Shut, on a mesh floor, with a feeder and the graft bar. */
function starter(): DesignContent {
  const plain = standardDesign({
    format: DEEP,
    insideWidth: FIVE,
    thickness: mm(9.5),
    frames: [5],
    family: 'starter',
  });
  const body = mainBody(plain);
  const [, , bar, , feeder] = body.bays[0]?.frames ?? [];
  const held = [bar, feeder].reduce(
    (now, slot, index) => (slot ? withPart(now, slot.id, { holds: index === 0 ? 'grafts' : 'feeder' }) : now),
    uses(plain, 'grafts'),
  );
  const shut = mainBody(held).entrances.reduce((now, { id }) => withPart(now, id, { state: 'closed' }), held);
  return { ...shut, floor: { ...shut.floor, kind: 'mesh', mesh: MESH_MM } };
}

/** Four quarter boxes stand on a full body 460 × 460 outside, walls on walls. */
function quarter(): DesignContent {
  const national = standardBody('national-deep');
  const wall = mm(45);
  const base = newDesign({
    ...national,
    insideWidth: mm(370),
    insideLength: mm(370),
    wall,
    thickness: mm(9.5),
    frames: [10],
    family: 'quarter',
  });
  const small = { ...national, insideWidth: mm(194), insideLength: mm(194), depth: mm(165), wall: mm(18) };
  const format = {
    ...national.format,
    id: 'quarter',
    name: 'Quarter frame',
    topBar_mm: 213,
    bodyLength_mm: 178,
    depth_mm: 150,
    pitch_mm: 35,
  };
  return withLayers({ ...base, family: 'quarter' }, (layers, ids) => {
    const quarters = [0, 1, 2, 3].map((index): Body => {
      const body = emptyBody(ids.next('body'), ids.next('bay'), { ...small, format });
      const [x, y] = [index % 2, Math.floor(index / 2)];
      const bay = body.bays[0] as Body['bays'][number];
      return {
        ...body,
        name: `Quarter ${index + 1}`,
        offset: { x: mm(-wall.mm + 18 + x * 230), y: mm(-wall.mm + 18 + y * 230) },
        beside: index > 0,
        bays: [
          {
            ...bay,
            use: 'stores',
            frames: Array.from({ length: 5 }, () => ({ id: ids.next('slot'), holds: 'comb' as const })),
          },
        ],
      };
    });
    const [first, ...rest] = layers;
    return first
      ? [{ ...first, ...(first.kind === 'body' ? { name: 'Full body' } : {}) } as Body, ...quarters, ...rest]
      : layers;
  });
}

/** A cavity of 300 × 300 × 210 on a tray with mesh, four and three frames. */
function smallFormat(): DesignContent {
  const design = standardDesign({
    format: 'warre-size',
    insideWidth: mm(300),
    thickness: mm(3),
    frames: [4, 3],
    family: 'smallFormat',
  });
  return withPrinted(
    { ...design, floor: { ...design.floor, kind: 'tray', mesh: MESH_MM } },
    { width: mm(350), length: mm(350) },
  );
}

/** Corrugated plastic, mesh windows at both ends, one cut-out door. */
function foldedSheet(): DesignContent {
  const plain = standardDesign({
    format: DEEP,
    insideWidth: FIVE,
    thickness: mm(9.5),
    frames: [5],
    family: 'foldedSheet',
  });
  const body = mainBody(plain);
  const folded = withBody(plain, body.id, (now, ids) => ({
    ...now,
    material: 'corrugated',
    entrances: now.entrances
      .slice(0, 1)
      .map((door) => ({ ...door, state: 'closed', shape: 'slot', width: mm(80), tall: mm(15) })),
    vents: (['front', 'back'] as const).map((side) => ({
      id: ids.next('vent'),
      side,
      along: mm(now.insideWidth.mm / 2),
      height: mm(150),
      width: mm(120),
      tall: mm(60),
      mesh: MESH_MM,
    })),
  }));
  return {
    ...folded,
    floor: { ...folded.floor, fixed: true },
    folding: { seamsTaped: true, marked: true, guided: true },
  };
}

/** Eight frames with the bank frame in their middle, in the room of two. */
function bank(): DesignContent {
  const plain = standardDesign({
    format: DEEP,
    insideWidth: TEN,
    thickness: mm(9.5),
    frames: [9],
    family: 'bank',
  });
  const held = uses(plain, 'bank');
  const middle = mainBody(held).bays[0]?.frames[4]?.id ?? '';
  return withPart(held, middle, { holds: 'bank' });
}

/** National frames below between cheeks, Langstroth deep above, a fitted excluder between. */
function changer(): DesignContent {
  const large = standardBody(DEEP);
  const small = standardBody('national-deep').format;
  const inset = (large.insideLength.mm - 370) / 2;
  const usual = newDesign({ ...large, thickness: mm(9.5), frames: [10], family: 'changer' });
  const plain = { ...usual, floor: { ...usual.floor, lip: mm(0) } };
  const lower = mainBody(plain);
  const ledge = (small.topBar_mm - 370) / 2 + 0.5;
  const cheeked = withPart(plain, lower.id, {
    name: 'Old format',
    cheeks: { inset: mm(inset), thickness: mm(ledge + 3) },
    rebate: { width: mm(ledge), depth: mm(16) },
  });
  const narrowed = withBody(cheeked, lower.id, (body) => ({
    ...body,
    bays: body.bays.map((bay) => ({ ...bay, format: small, use: 'bees' as const })),
  }));
  const stacked = withLayers(narrowed, (layers, ids) => {
    const excluder = excluderSheet(ids.next('sheet'), large.format);
    const body = emptyBody(ids.next('body'), ids.next('bay'), large);
    const bay = body.bays[0] as Body['bays'][number];
    const upper: Body = {
      ...body,
      name: 'New format',
      bays: [
        {
          ...bay,
          use: 'colony',
          frames: Array.from({ length: 10 }, () => ({ id: ids.next('slot'), holds: 'comb' as const })),
        },
      ],
    };
    const [first, ...rest] = layers;
    return first ? [first, excluder, upper, ...rest] : layers;
  });
  const upper = bodiesOf(stacked)[1];
  const drilled = upper ? withProposedEntrances(stacked, upper.id) : stacked;
  // Below through a side wall, where no cheek stands; above at an end: nobody mistakes one for the other.
  return mainBody(drilled).entrances.reduce(
    (now, { id }) => withPart(now, id, { side: 'left', along: mm(large.insideLength.mm / 2) }),
    drilled,
  );
}

/** Six frames against the left wall, a follower that closes on four edges, the rest empty for the winter. */
function followerReduced(): DesignContent {
  const plain = standardDesign({
    format: DEEP,
    insideWidth: TEN,
    thickness: mm(12),
    frames: [6],
    family: 'followerReduced',
  });
  const body = mainBody(plain);
  const at = 6 * body.format.pitch_mm + 12;
  const reduced = withBody(plain, body.id, (now, ids) => {
    const groove = { id: ids.next('groove'), at: mm(at), depth: mm(0), play: mm(0) };
    return {
      ...now,
      grooves: [groove],
      boards: [
        {
          id: ids.next('board'),
          groove: groove.id,
          kind: 'follower' as const,
          thickness: mm(12),
          up: mm(0),
          down: mm(plain.floor.lip.mm),
          ends: mm(0),
          ears: true,
          slot: null,
          window: null,
        },
      ],
      bays: [...now.bays, { id: ids.next('bay'), frames: [], format: null, use: 'nothing' as const }],
    };
  });
  return withProposedEntrances(reduced, body.id);
}
