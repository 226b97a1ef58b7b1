import type { DesignContent, Entrance, FitAnswer, FitQuestion, Problem } from '@yellow-cell/contract';
import { refuse } from '../problems.ts';
import { fit, fitProblems } from './fit.ts';

/** An axis-aligned solid, in mm on the design's axes. */
export interface Solid {
  id: string;
  x: readonly [number, number];
  y: readonly [number, number];
  z: readonly [number, number];
}
export interface FrameSolid extends Solid {
  /** Ends of the top bar with its lugs, along y. */
  bar: readonly [number, number];
}
export interface BoardSolid extends Solid {
  groove: string;
  kind: DesignContent['boards'][number]['kind'];
}
/** A space for frames between two neighbouring boundaries: the bays between the boards that stand. */
export interface Compartment {
  bays: readonly string[];
  x: readonly [number, number];
  frames: readonly FrameSolid[];
  entrances: readonly Entrance[];
  fit: FitAnswer['compartments'][number];
}
/** What a design is in space. Drawing, checks and all later models read this, never the parameters. */
export interface BoxModel {
  inside: { width: number; length: number; depth: number };
  wall: number;
  walls: readonly Solid[];
  boards: readonly BoardSolid[];
  compartments: readonly Compartment[];
}

/** Derives the box from its design with all its boards standing. Throws `ProblemsError` where the design cannot be. */
export function deriveBox(design: DesignContent): BoxModel {
  refuse(designProblems(design));
  const { insideWidth, insideLength, depth, wall } = design;
  const inside = { width: insideWidth.mm, length: insideLength.mm, depth: depth.mm };
  const answer = fit(fitQuestionOf(design));
  const boards = standingBoards(design).map(
    (board, index): BoardSolid => ({
      id: board.id,
      groove: board.groove,
      kind: board.kind,
      x: span(answer.dividers[index]?.at_mm ?? 0, board.thickness.mm),
      y: [0, inside.length],
      z: [0, inside.depth],
    }),
  );
  const groups = compartmentBays(design);
  const compartments = groups.map((bays, index): Compartment => {
    const x = [boards[index - 1]?.x[1] ?? 0, boards[index]?.x[0] ?? inside.width] as const;
    const ids = bays.map(({ id }) => id);
    return {
      bays: ids,
      x,
      frames: placeFrames(
        design,
        bays.flatMap(({ frames }) => frames),
        x,
      ),
      entrances: design.entrances.filter(({ bay }) => ids.includes(bay)),
      fit: answer.compartments[index] as FitAnswer['compartments'][number],
    };
  });
  return { inside, wall: wall.mm, walls: wallSolids(inside, wall.mm), boards, compartments };
}

/** The same question that a shell or another program would ask of `fit`. */
export function fitQuestionOf(design: DesignContent): FitQuestion {
  const { format } = design;
  return {
    insideWidth_mm: design.insideWidth.mm,
    pitch_mm: format.pitch_mm,
    frames: compartmentBays(design).map((bays) =>
      bays.reduce((count, { frames }) => count + frames.length, 0),
    ),
    dividers: standingBoards(design).map(({ thickness, groove }) => ({
      thickness_mm: thickness.mm,
      at_mm: design.grooves.find(({ id }) => id === groove)?.at.mm ?? 0,
    })),
    ...(format.hung ? { hung: true, barWidth_mm: format.barWidth_mm } : {}),
  };
}

/** Bays grouped into compartments: a groove without a board joins its neighbours. */
export function compartmentBays(design: DesignContent): DesignContent['bays'][] {
  const closed = new Set(design.boards.map(({ groove }) => groove));
  const groups: DesignContent['bays'][] = [];
  design.bays.forEach((bay, index) => {
    const groove = design.grooves[index - 1];
    const current = groups.at(-1);
    if (current && groove && !closed.has(groove.id)) current.push(bay);
    else groups.push([bay]);
  });
  return groups;
}

function standingBoards(design: DesignContent): DesignContent['boards'] {
  return design.grooves.flatMap((groove) => design.boards.filter((board) => board.groove === groove.id));
}

/** Everything that keeps a design from being built as data: parts that name missing parts, boards that overlap. */
export function designProblems(design: DesignContent): Problem[] {
  const problems: Problem[] = [];
  const say = (path: string, sentence: string, value?: unknown) => problems.push({ path, sentence, value });
  const ids = [...design.grooves, ...design.boards, ...design.bays, ...design.entrances]
    .map(({ id }) => id)
    .concat(design.bays.flatMap(({ frames }) => frames));
  const twice = ids.find((id, index) => ids.indexOf(id) !== index);
  if (twice) say('', `The part id ${twice} is used twice.`, twice);
  if (design.bays.length !== design.grooves.length + 1) {
    say(
      'bays',
      `${design.grooves.length} grooves make ${design.grooves.length + 1} bays, not ${design.bays.length}.`,
    );
  }
  design.boards.forEach((board, index) => {
    if (!design.grooves.some(({ id }) => id === board.groove))
      say(`boards.${index}.groove`, 'The divider stands in no groove.', board.groove);
    if (design.boards.findIndex(({ groove }) => groove === board.groove) !== index) {
      say(`boards.${index}.groove`, 'Two dividers stand in one groove.', board.groove);
    }
  });
  design.entrances.forEach((entrance, index) => {
    if (!design.bays.some(({ id }) => id === entrance.bay))
      say(`entrances.${index}.bay`, 'The entrance opens into no bay.', entrance.bay);
  });
  if (problems.length > 0) return problems;
  return fitProblems(fitQuestionOf(design)).map((problem) => ({
    ...problem,
    path: designPath(design, problem.path),
  }));
}

/** The place in the design of a problem that `fit` named in its own question. */
function designPath(design: DesignContent, path: string): string {
  const board = standingBoards(design)[Number(/^dividers\.(\d+)\./.exec(path)?.[1])];
  const groove = design.grooves.findIndex(({ id }) => id === board?.groove);
  return groove === -1 ? path : `grooves.${groove}.at`;
}

function wallSolids({ width, length, depth }: BoxModel['inside'], wall: number): Solid[] {
  const z = [0, depth] as const;
  return [
    { id: 'front', x: [-wall, width + wall], y: [-wall, 0], z },
    { id: 'back', x: [-wall, width + wall], y: [length, length + wall], z },
    { id: 'left', x: [-wall, 0], y: [0, length], z },
    { id: 'right', x: [width, width + wall], y: [0, length], z },
  ];
}

/** Frames stand at their pitch, set to the middle of their compartment, along the cavity. */
function placeFrames(
  { format, insideLength, depth }: DesignContent,
  slots: readonly string[],
  x: readonly [number, number],
): FrameSolid[] {
  const middle = (x[0] + x[1]) / 2;
  const centre = insideLength.mm / 2;
  const top = depth.mm;
  return slots.map((id, index) => ({
    id,
    x: around(middle + (index - (slots.length - 1) / 2) * format.pitch_mm, format.barWidth_mm),
    y: around(centre, format.bodyLength_mm),
    bar: around(centre, format.topBar_mm),
    z: [Math.max(0, top - format.depth_mm), top],
  }));
}

const span = (start: number, size: number): [number, number] => [start, start + size];
const around = (centre: number, size: number): [number, number] => [centre - size / 2, centre + size / 2];
