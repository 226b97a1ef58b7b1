import type { DesignContent, Entrance, FitAnswer, Format, Length, Side } from '@yellow-cell/contract';
import { fit, fitProblems } from './fit.ts';
import { compartmentBays, fitQuestionOf } from './model.ts';
import { DESIGN_SCHEMA_VERSION_NOW } from './schemaVersion.ts';

/**
 * The drawing board's moves, each a pure function from design to design. Parts keep their ids through
 * every edit, and an id once given is not given again (`lastPart` counts them).
 */
export interface NewBody {
  format: Format;
  insideWidth: Length;
  insideLength: Length;
  depth: Length;
  wall: Length;
  thickness: Length;
  frames: readonly number[];
}

const ENTRANCE_MM = 25;
/** Each compartment on its own side as far as sides reach (handbook 9, entrances). */
const SIDES: Readonly<Record<number, readonly Side[]>> = {
  1: ['front'],
  2: ['front', 'back'],
  3: ['left', 'front', 'right'],
  4: ['left', 'front', 'back', 'right'],
};

export function newDesign({ frames, thickness, ...body }: NewBody): DesignContent {
  const empty: DesignContent = {
    schemaVersion: DESIGN_SCHEMA_VERSION_NOW,
    ...body,
    lastPart: 1,
    grooves: [],
    boards: [],
    bays: [{ id: 'bay-1', frames: [] }],
    entrances: [],
  };
  return withCompartments(empty, frames, thickness);
}

/** As many compartments as `frames` has numbers, all dividers `thickness`, at places of equal slack. */
export function withCompartments(
  design: DesignContent,
  frames: readonly number[],
  thickness: Length,
): DesignContent {
  const ids = partIds(design.lastPart);
  const bays = frames.map((count, index) => {
    const bay = design.bays[index] ?? { id: ids.next('bay'), frames: [] };
    return {
      ...bay,
      frames: Array.from({ length: count }, (_, slot) => bay.frames[slot] ?? ids.next('slot')),
    };
  });
  const grooves = bays
    .slice(1)
    .map((_, index) => design.grooves[index] ?? { id: ids.next('groove'), at: { mm: 0 } });
  const boards = grooves.map(({ id }) => {
    const old = design.boards.find(({ groove }) => groove === id);
    return old
      ? { ...old, thickness }
      : { id: ids.next('board'), groove: id, kind: 'tight' as const, thickness };
  });
  const sameCount = design.bays.length === bays.length && design.entrances.length > 0;
  const entrances = sameCount
    ? design.entrances
    : bays.map(({ id }, index) => newEntrance(ids.next('entrance'), id, sideFor(index, bays.length)));
  return withEqualSlack({ ...design, bays, grooves, boards, entrances, lastPart: ids.last() });
}

/** Moves every divider so that all compartments have the same slack. Where that cannot be, they stand at equal widths. */
export function withEqualSlack(design: DesignContent): DesignContent {
  const places = equalPlaces(design);
  const grooves = design.grooves.map((groove, index) => ({
    ...groove,
    at: { mm: places[index]?.at_mm ?? 0 },
  }));
  return withEntrancesCentred({ ...design, grooves });
}

/** True where all dividers stand at equal slack already. */
export function hasEqualSlack(design: DesignContent): boolean {
  const places = equalPlaces(design);
  return design.grooves.every(
    ({ at }, index) => Math.abs(at.mm - (places[index]?.at_mm ?? 0)) < SAME_PLACE_MM,
  );
}
/** Typed places are rounded to what a rule can show; nearer than this is the same place. */
const SAME_PLACE_MM = 0.05;

function equalPlaces(design: DesignContent): FitAnswer['dividers'] {
  const question = fitQuestionOf(design);
  const dividers = question.dividers.map(({ thickness_mm }) => ({ thickness_mm }));
  if (fitProblems({ ...question, dividers }).length === 0) return fit({ ...question, dividers }).dividers;
  const step = question.insideWidth_mm / question.frames.length;
  return dividers.map(({ thickness_mm }, index) => ({
    at_mm: (index + 1) * step - thickness_mm / 2,
    thickness_mm,
  }));
}

/** Sets one divider's face nearer x = 0. The place may be impossible; `designProblems` then says by how much. */
export function withDividerAt(design: DesignContent, board: string, at: Length): DesignContent {
  const groove = design.boards.find(({ id }) => id === board)?.groove;
  const grooves = design.grooves.map((each) => (each.id === groove ? { ...each, at } : each));
  return withEntrancesCentred({ ...design, grooves });
}

/** The places, in mm, that a divider can take without leaving its neighbours any overlap. */
export function dividerRange(design: DesignContent, board: string): readonly [number, number] {
  const { dividers } = fitQuestionOf(design);
  const index = design.grooves.findIndex(
    ({ id }) => id === design.boards.find((each) => each.id === board)?.groove,
  );
  const before = dividers[index - 1];
  const room = (dividers[index + 1]?.at_mm ?? design.insideWidth.mm) - (dividers[index]?.thickness_mm ?? 0);
  const least = before ? (before.at_mm ?? 0) + before.thickness_mm : 0;
  return [least + LEAST_COMPARTMENT_MM, room - LEAST_COMPARTMENT_MM];
}
const LEAST_COMPARTMENT_MM = 0.5;

export function withEntranceSide(design: DesignContent, entrance: string, side: Side): DesignContent {
  const entrances = design.entrances.map((each) => (each.id === entrance ? { ...each, side } : each));
  return withEntrancesCentred({ ...design, entrances });
}

/** The sides that a compartment touches: both ends always, left and right for the outer ones only. */
export function sidesOf(index: number, count: number): Side[] {
  return [
    'front',
    'back',
    ...(index === 0 ? (['left'] as const) : []),
    ...(index === count - 1 ? (['right'] as const) : []),
  ];
}

function withEntrancesCentred(design: DesignContent): DesignContent {
  const entrances = design.entrances.map((entrance) => ({
    ...entrance,
    along: { mm: middleOf(design, entrance) },
  }));
  return { ...design, entrances };
}

function middleOf(design: DesignContent, { bay, side }: Entrance): number {
  if (side === 'left' || side === 'right') return design.insideLength.mm / 2;
  const groups = compartmentBays(design);
  const index = groups.findIndex((bays) => bays.some(({ id }) => id === bay));
  const { dividers } = fitQuestionOf(design);
  const left = dividers[index - 1];
  const start = left ? (left.at_mm ?? 0) + left.thickness_mm : 0;
  return (start + (dividers[index]?.at_mm ?? design.insideWidth.mm)) / 2;
}

const newEntrance = (id: string, bay: string, side: Side): Entrance => ({
  id,
  bay,
  side,
  along: { mm: 0 },
  diameter: { mm: ENTRANCE_MM },
});

const sideFor = (index: number, count: number): Side =>
  SIDES[count]?.[index] ?? (index % 2 === 0 ? 'front' : 'back');

function partIds(last: number) {
  let count = last;
  return { next: (kind: string) => `${kind}-${++count}`, last: () => count };
}
