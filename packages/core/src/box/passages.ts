import {
  type Block,
  common,
  cutAll,
  isReal,
  largestFree,
  lengthOf,
  meets,
  type Rect,
  type Span,
} from '../geometry/block.ts';
import {
  CLOSER_MM,
  CLOSER_SLOT_MM,
  holeBlock,
  type PlacedBoard,
  type PlacedOpening,
  rebatesOf,
  type Solids,
  windowOf,
} from './solids.ts';
import type { Space } from './spaces.ts';
import type { PlacedBody, PlacedSheet, Stack } from './stack.ts';

/** Why a passage is there. */
export type PassageReason =
  | 'under'
  | 'over'
  | 'rebate'
  | 'end'
  | 'groove'
  | 'slots'
  | 'entrance'
  | 'joint'
  | 'hole'
  | 'cheek';
/** An opening between two spaces: the widest thing that passes is `gap_mm` thick. Derived, never stored. */
export interface Passage {
  between: readonly [string, string];
  gap_mm: number;
  reason: PassageReason;
  /** The part that leaves it open. */
  part: string;
  at: Block;
  /** By a bee escape: they go down by it and not back. */
  down?: true;
}

export function passagesOf(stack: Stack, spaces: readonly Space[], { boards, openings }: Solids): Passage[] {
  return [
    ...boards.flatMap((board) => boardPassages(board, spaces, openings, clearanceAt(board, boards, stack))),
    ...stack.bodies.flatMap((body) => cheekPassages(body, spaces)),
    ...openings.flatMap((opening) => throughCheek(opening, spaces)),
    ...jointPassages(stack, spaces, boards),
  ].filter(({ gap_mm }) => gap_mm > 1e-9);
}

function boardPassages(
  placed: PlacedBoard,
  spaces: readonly Space[],
  openings: readonly PlacedOpening[],
  beyond: Beyond,
): Passage[] {
  const own = spaces.filter(({ body, column }) => column && body?.body.id === placed.body.body.id);
  const left = own.find(({ column }) => column?.right?.board.id === placed.board.id);
  const right = own.find(({ column }) => column?.left?.board.id === placed.board.id);
  if (!left || !right) return [];
  const passage = (reason: PassageReason, gap_mm: number, at: Block): Passage => ({
    between: [left.id, right.id],
    gap_mm,
    reason,
    part: placed.board.id,
    at,
  });
  const { board, groove, x, y, z, body } = placed;
  const slotted = board.slot === null ? [] : [passage('slots', board.slot, windowOf(board, placed))];
  const play = groove.depth.mm > 0 ? groove.play.mm / 2 : 0;
  const beside: Block = { x: [x[0] - play, x[1] + play], y: [y[0] - play, body.inside.y[0]], z };
  const across = openings
    .filter((opening) => opening.body.body.id === body.body.id)
    .flatMap((opening) =>
      acrossBoard(opening, placed).map(({ gap, at }) => ({
        ...passage('entrance', gap, at),
        part: opening.id,
      })),
    );
  return [
    ...aroundBoard(placed, beyond).map(({ reason, rect, side }) =>
      passage(reason, side, { x, y: rect.u, z: rect.v }),
    ),
    ...slotted,
    passage('groove', play, beside),
    ...throughGroove(placed, openings).map(({ gap, at }) => passage('groove', gap, at)),
    ...across,
  ];
}

/** Room that a neighbouring storey's board leaves at an open joint, over and under a board of this one, in mm. */
interface Beyond {
  up: number;
  down: number;
}

/** Boards over one another that both fall short of an open joint leave the sum of both free. */
function clearanceAt({ x, z, body }: PlacedBoard, boards: readonly PlacedBoard[], { sheets }: Stack): Beyond {
  const open = (joint: number) =>
    !sheets.some(({ block }) => near(block.z[0], joint) || near(block.z[1], joint));
  const [low, high] = [body.z[0], body.z[1]];
  const over = boards.filter((other) => near(other.body.z[0], high) && meets(other.x, x));
  const under = boards.filter((other) => near(other.body.z[1], low) && meets(other.x, x));
  const up = z[1] < high && open(high) ? over.map((other) => other.z[0] - high) : [];
  const down = z[0] > low && open(low) ? under.map((other) => low - other.z[1]) : [];
  return {
    up: up.length === 0 ? 0 : Math.max(0, Math.min(...up)),
    down: down.length === 0 ? 0 : Math.max(0, Math.min(...down)),
  };
}

interface Around {
  reason: PassageReason;
  rect: Rect;
  side: number;
}

/** What stays free of the whole cross-section, walls and rebates and all, where a board stands. */
function aroundBoard({ body, board, y, z }: PlacedBoard, { up, down }: Beyond): Around[] {
  const { inside, outside } = body;
  const room: Span = [body.room[0] - down, body.room[1] + up];
  const inset = body.body.cheeks?.inset.mm ?? 0;
  const shelf = body.z[1] - (body.body.rebate?.depth.mm ?? 0);
  const clear: Span = [inside.y[0] + inset, inside.y[1] - inset];
  const ends: Rect[] = [
    { u: [outside.y[0], clear[0]], v: room },
    { u: [clear[1], outside.y[1]], v: room },
  ];
  const rebates = rebatesOf(body).map(({ y: u, z: v }): Rect => ({ u, v }));
  const walls = ends.flatMap((end) => withoutRects(end, rebates));
  const ears = board.ears ? rebates : [];
  const filled: Rect[] = [...walls, { u: y, v: z }, ...ears];
  const zones: readonly (readonly [PassageReason, Rect])[] = [
    ['under', { u: clear, v: [room[0], z[0]] }],
    ['over', { u: clear, v: [z[1], room[1]] }],
    ['rebate', { u: [outside.y[0], clear[0]], v: [shelf, room[1]] }],
    ['rebate', { u: [clear[1], outside.y[1]], v: [shelf, room[1]] }],
    ['end', { u: [clear[0], Math.max(clear[0], y[0])], v: z }],
    ['end', { u: [Math.min(clear[1], y[1]), clear[1]], v: z }],
  ];
  const found = zones.flatMap(([reason, zone]): Around[] => {
    if (!isReal(zone.u) || !isReal(zone.v)) return [];
    const free = largestFree(zone, filled);
    return free ? [{ reason, ...free }] : [];
  });
  // A way that opens over two zones at once may be wider than in either.
  const whole = largestFree({ u: outside.y, v: room }, filled);
  const widest = Math.max(0, ...found.map(({ side }) => side));
  const first = found[0];
  if (whole && first && whole.side > widest + 1e-9) found.push({ ...whole, reason: first.reason });
  return found;
}

function withoutRects(rect: Rect, holes: readonly Rect[]): Rect[] {
  const flat = ({ u, v }: Rect): Block => ({ x: u, y: v, z: [0, 1] });
  return cutAll([flat(rect)], holes.map(flat)).map(({ x, y }) => ({ u: x, v: y }));
}

/** A hole drilled across a board's line: bees go round the board's end inside the wall. */
function acrossBoard(opening: PlacedOpening, placed: PlacedBoard): { gap: number; at: Block }[] {
  const { side } = opening.opening;
  if (side !== 'front' && side !== 'back') return [];
  const left = placed.x[0] - opening.x[0];
  const right = opening.x[1] - placed.x[1];
  const height = lengthOf(common(opening.z, placed.body.room));
  const past = side === 'front' ? placed.y[0] - opening.y[0] : opening.y[1] - placed.y[1];
  if (left <= 0 || right <= 0 || past <= 0 || height <= 0) return [];
  return [{ gap: Math.min(left, right, past, height), at: { x: opening.x, y: opening.y, z: opening.z } }];
}

/** Holes that break into a groove on both sides of its board: bees go from one to the other behind the board's end. */
function throughGroove(
  { body, groove, x, y }: PlacedBoard,
  openings: readonly PlacedOpening[],
): { gap: number; at: Block }[] {
  const depth = groove.depth.mm;
  if (depth <= 0) return [];
  const cut: Span = [x[0] - groove.play.mm / 2, x[1] + groove.play.mm / 2];
  const { inside } = body;
  const ends = [
    ['front', [inside.y[0] - depth, y[0]]],
    ['back', [y[1], inside.y[1] + depth]],
  ] as const;
  return ends.flatMap(([side, behind]) => {
    const holes = openings.filter(({ opening, body: of }) => of === body && opening.side === side);
    const widest = (reach: (hole: Span) => number) =>
      Math.max(
        0,
        ...holes
          .filter((hole) => hole.x[0] <= cut[1] && hole.x[1] >= cut[0])
          .map((hole) => Math.min(reach(hole.x), lengthOf(common(hole.z, body.room)))),
      );
    const [left, right] = [widest((hole) => x[0] - hole[0]), widest((hole) => hole[1] - x[1])];
    const at: Block = { x: cut, y: [...behind], z: body.room };
    return [{ gap: Math.min(left, right, lengthOf(behind)), at }];
  });
}

/** Where the rebate is cut wider than the cheek is thick, the void behind is open above. */
function cheekPassages({ body, inside, z }: PlacedBody, spaces: readonly Space[]): Passage[] {
  const { cheeks, rebate } = body;
  if (!cheeks || !rebate) return [];
  const open = rebate.width.mm - cheeks.thickness.mm;
  if (open <= 0) return [];
  const inset = cheeks.inset.mm;
  const rooms = spaces.filter(({ column, body: of }) => column && of?.body.id === body.id);
  return (['front', 'back'] as const).flatMap((side) =>
    spaces
      .filter(({ id }) => id === `${body.id}-${side}`)
      .flatMap((space) =>
        rooms.map((room): Passage => {
          const face = side === 'front' ? inside.y[0] + inset : inside.y[1] - inset;
          const y: Span =
            side === 'front'
              ? [face - rebate.width.mm, face - cheeks.thickness.mm]
              : [face + cheeks.thickness.mm, face + rebate.width.mm];
          return {
            between: [space.id, room.id],
            gap_mm: Math.min(open, rebate.depth.mm),
            reason: 'cheek',
            part: body.id,
            at: { x: room.block.x, y, z: [z[1] - rebate.depth.mm, z[1]] },
          };
        }),
      ),
  );
}

/** A hole drilled through wall and cheek opens the void between them too, but for one in a tunnel. */
function throughCheek({ id, opening, body, x, y, z }: PlacedOpening, spaces: readonly Space[]): Passage[] {
  const behind = spaces.find((space) => space.id === `${body.body.id}-${opening.side}`);
  if (!behind || ('state' in opening && opening.tunnel)) return [];
  const rooms = spaces.filter(
    ({ column, block, body: of }) => column && of?.body.id === body.body.id && meets(block.x, x),
  );
  return rooms.map(({ id: room, block }) => ({
    between: [behind.id, room],
    gap_mm: Math.min(lengthOf(common(block.x, x)), lengthOf(common(block.z, z))),
    reason: 'entrance',
    part: id,
    at: { x, y, z },
  }));
}

/** An opening through what lies at a joint: everything where nothing lies there, else slots and holes. */
interface Through extends Block {
  gap: number;
  reason: PassageReason;
  part: string;
  down?: true;
}

function jointPassages(
  { sheets }: Stack,
  spaces: readonly Space[],
  boards: readonly PlacedBoard[],
): Passage[] {
  const found: Passage[] = [];
  const lows = new Set(spaces.map(({ block }) => block.z[1]));
  for (const z of lows) {
    const below = spaces.filter(({ block }) => near(block.z[1], z));
    const pile = sheetsFrom(sheets, z);
    const top = pile.at(-1)?.block.z[1] ?? z;
    const above = spaces.filter(({ block }) => near(block.z[0], top));
    const ways = throughPile(pile);
    for (const low of below)
      for (const high of above)
        for (const way of ways) {
          const y = common(common(low.block.y, high.block.y), way.y);
          const own = common(common(low.block.x, high.block.x), way.x);
          if (!isReal(own) || !isReal(y)) continue;
          const through = (x: Span, clear: number) => Math.min(way.gap, lengthOf(x), lengthOf(y), clear);
          const wider = joins(low, 'above', boards).flatMap((under) =>
            joins(high, 'below', boards).map((over) =>
              through(common(common(under.x, over.x), way.x), clearOf(under, over, pile.length === 0)),
            ),
          );
          found.push({
            between: [low.id, high.id],
            gap_mm: Math.max(through(own, ANYTHING), ...wider),
            reason: way.reason,
            part: way.part || (high.body?.body.id ?? high.id),
            at: { x: own, y, z: [z, top] },
            ...(way.down ? { down: true } : {}),
          });
        }
    const [lowest, highest] = [pile[0], pile.at(-1)];
    if (lowest) found.push(...acrossHoles(lowest, below, boards, 'below'));
    if (highest) found.push(...acrossHoles(highest, above, boards, 'above'));
  }
  return found;
}

/** How far a space reaches across at a joint, by itself or over a board of its that falls short of it, with the height that is clear there. */
interface Reach {
  x: Span;
  clear: number;
  over: 'left' | 'right' | null;
}

/** A board that falls short below and one beyond it above leave the sum of both free where nothing lies between. */
const clearOf = (under: Reach, over: Reach, open: boolean): number =>
  open && under.over && over.over && under.over !== over.over
    ? under.clear + over.clear
    : Math.min(under.clear, over.clear);

function joins({ block, column }: Space, at: 'above' | 'below', boards: readonly PlacedBoard[]): Reach[] {
  const found: Reach[] = [{ x: block.x, clear: ANYTHING, over: null }];
  for (const standing of [column?.left, column?.right]) {
    const placed = boards.find(({ board }) => board.id === standing?.board.id);
    if (!placed) continue;
    const clear = at === 'above' ? block.z[1] - placed.z[1] : placed.z[0] - block.z[0];
    const over = standing === column?.left ? 'left' : 'right';
    const x: Span = over === 'left' ? [placed.x[0] - clear, block.x[1]] : [block.x[0], placed.x[1] + clear];
    if (clear > 0) found.push({ x, clear, over });
  }
  return found;
}

const near = (a: number, b: number): boolean => Math.abs(a - b) < 1e-9;

function sheetsFrom(sheets: readonly PlacedSheet[], z: number): PlacedSheet[] {
  const pile: PlacedSheet[] = [];
  let at = z;
  for (
    let next = sheets.find(({ block }) => near(block.z[0], at));
    next;
    next = sheets.find(({ block }) => near(block.z[0], at))
  ) {
    pile.push(next);
    at = next.block.z[1];
  }
  return pile;
}

const ANYTHING = Number.POSITIVE_INFINITY;
const EVERYWHERE: Span = [-ANYTHING, ANYTHING];
const HOLE_GAP = { nothing: ANYTHING, ...CLOSER_SLOT_MM } as const;

function throughPile(pile: readonly PlacedSheet[]): Through[] {
  const open: Through = { x: EVERYWHERE, y: EVERYWHERE, z: [0, 0], gap: ANYTHING, reason: 'joint', part: '' };
  return pile.reduce<Through[]>(
    (ways, { sheet, block }) => {
      const through: Through[] = sheet.holes.map((hole) => ({
        ...holeBlock(hole, block),
        gap: HOLE_GAP[hole.closedBy],
        reason: 'hole',
        part: hole.id,
        ...(hole.closedBy === 'escape' ? { down: true } : {}),
      }));
      if (sheet.slot !== null) through.push({ ...block, gap: sheet.slot, reason: 'slots', part: sheet.id });
      return ways.flatMap((way) =>
        through.flatMap((each): Through[] => {
          const [x, y] = [common(way.x, each.x), common(way.y, each.y)];
          if (!isReal(x) || !isReal(y)) return [];
          const narrower = each.gap <= way.gap;
          return [
            {
              x,
              y,
              z: each.z,
              gap: Math.min(way.gap, each.gap),
              reason: narrower ? each.reason : way.reason,
              part: narrower ? each.part : way.part,
              ...(way.down || each.down ? { down: true } : {}),
            },
          ];
        }),
      );
    },
    [open],
  );
}

/** A hole over a board's edge: bees go round it inside the thickness of the sheet. */
function acrossHoles(
  { sheet, block }: PlacedSheet,
  spaces: readonly Space[],
  boards: readonly PlacedBoard[],
  from: 'below' | 'above',
): Passage[] {
  return sheet.holes.flatMap((hole) => {
    const at = holeBlock(hole, block);
    const ceiling = block.z[1] - (hole.closedBy === 'nothing' ? 0 : CLOSER_MM);
    if (hole.closedBy === 'plug' || (from === 'above' && hole.closedBy !== 'nothing')) return [];
    return boards.flatMap((placed): Passage[] => {
      const touches = near(
        from === 'below' ? placed.body.z[1] : placed.body.z[0],
        from === 'below' ? block.z[0] : block.z[1],
      );
      if (!touches) return [];
      const left = spaces.find(({ column }) => column?.right?.board.id === placed.board.id);
      const right = spaces.find(({ column }) => column?.left?.board.id === placed.board.id);
      const sides = [placed.x[0] - at.x[0], at.x[1] - placed.x[1]];
      const past = from === 'below' ? ceiling - placed.z[1] : placed.z[0] - block.z[0];
      const along = lengthOf(common(at.y, left?.block.y ?? at.y));
      if (!left || !right || !sides.every((side) => side > 0) || along <= 0) return [];
      return [
        {
          between: [left.id, right.id],
          gap_mm: Math.min(...sides, past, along),
          reason: 'hole',
          part: hole.id,
          at,
        },
      ];
    });
  });
}
