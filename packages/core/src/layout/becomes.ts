import type { Body, FitAnswer } from '@yellow-cell/contract';
import { placesIn } from '../box/columns.ts';
import { fitOf, fitVerdict } from '../box/fit.ts';
import { meets, type Span, sized } from '../geometry/block.ts';

/** What a body could become with the grooves it has: one set of dividers, standing or pulled. */
export interface Becoming {
  /** Ids of the grooves that hold a divider, in order; those pulled against how the body stands now, and those put in. */
  standing: readonly string[];
  pulled: readonly string[];
  added: readonly string[];
  compartments: readonly (FitAnswer['compartments'][number] & { bays: readonly string[] })[];
  /** Entrances to close, so that each compartment keeps those of the part it grows from (requirement 8). */
  close: readonly string[];
  /** True where every compartment's frames stand tight, right or loose. */
  sound: boolean;
}

/** More grooves than this have too many sets to list. */
const MOST_GROOVES = 10;
const USUAL_BOARD_MM = 9.5;
const GOOD: readonly FitAnswer['compartments'][number]['verdict'][] = ['tight', 'right', 'loose'];

/** Every set of dividers in the grooves that a body has; the one that stands now first, then by what changes least. */
export function becomings(body: Body): Becoming[] {
  const grooves = body.grooves.slice(0, MOST_GROOVES);
  const now = new Set(body.boards.map(({ groove }) => groove));
  const sets = Array.from({ length: 2 ** grooves.length }, (_, bits) =>
    grooves.filter((_, index) => (bits >> index) % 2 === 1).map(({ id }) => id),
  );
  const changes = (set: readonly string[]) =>
    grooves.filter(({ id }) => now.has(id) !== set.includes(id)).length;
  return sets
    .sort((a, b) => changes(a) - changes(b) || b.length - a.length)
    .map((set) =>
      becoming(
        body,
        grooves.map(({ id }) => id),
        new Set(set),
        now,
      ),
    );
}

function becoming(
  body: Body,
  grooves: readonly string[],
  standing: ReadonlySet<string>,
  now: ReadonlySet<string>,
): Becoming {
  const groups = groupedBays(body, standing);
  const compartments = groups.map((group, index) => {
    const left = index === 0 ? 0 : (group[0]?.x[0] ?? 0);
    const right = index === groups.length - 1 ? body.insideWidth.mm : (group.at(-1)?.x[1] ?? 0);
    const own = group.reduce((sum, { frames }) => sum + frames, 0);
    return { ...mostFrames(right - left, own, body), bays: group.map(({ id }) => id) };
  });
  return {
    standing: grooves.filter((id) => standing.has(id)),
    pulled: grooves.filter((id) => now.has(id) && !standing.has(id)),
    added: grooves.filter((id) => !now.has(id) && standing.has(id)),
    compartments,
    close: groups.flatMap((group) => holesToClose(body, group, now)),
    sound: compartments.every(({ verdict }) => GOOD.includes(verdict)),
  };
}

/** Bays that no standing board parts, from x = 0. */
function groupedBays(body: Body, standing: ReadonlySet<string>): BayRoom[][] {
  const groups: BayRoom[][] = [];
  bayRooms(body).forEach((bay, index) => {
    const before = body.grooves[index - 1]?.id ?? '';
    const last = groups.at(-1);
    if (last && !standing.has(before)) last.push(bay);
    else groups.push([bay]);
  });
  return groups;
}

/** Entrances to close once only the boards in these grooves stand: those of the parts that give way to another. */
export function holesAfterPulling(body: Body, standing: ReadonlySet<string>): string[] {
  const now = new Set(body.boards.map(({ groove }) => groove));
  return groupedBays(body, standing).flatMap((group) => holesToClose(body, group, now));
}

interface BayRoom {
  id: string;
  x: Span;
  frames: number;
  entrances: readonly string[];
}

/** Each elementary bay between the places of the boards, with its frames and the holes that open into it. */
function bayRooms(body: Body): BayRoom[] {
  const boards = body.grooves.map(({ id, at }) =>
    sized(
      at.mm,
      body.boards.find(({ groove }) => groove === id)?.thickness.mm ??
        body.boards[0]?.thickness.mm ??
        USUAL_BOARD_MM,
    ),
  );
  return body.bays.map((bay, index) => {
    const x: Span = [boards[index - 1]?.[1] ?? 0, boards[index]?.[0] ?? body.insideWidth.mm];
    const entrances = body.entrances.filter(({ side, along, width }) => {
      if (side === 'left') return index === 0;
      if (side === 'right') return index === body.bays.length - 1;
      return meets([along.mm - width.mm / 2, along.mm + width.mm / 2], x);
    });
    return { id: bay.id, x, frames: placesIn([bay]), entrances: entrances.map(({ id }) => id) };
  });
}

/** The frames that were there, and as many more as leave room to lift. */
function mostFrames(width: number, own: number, body: Body): FitAnswer['compartments'][number] {
  let fit = fitOf(width, own, body.format);
  while (fit.oneMoreFits && own > 0) fit = fitOf(width, fit.frames + 1, body.format);
  return { ...fit, verdict: fitVerdict(fit.slack_mm) };
}

/** Parts that stand apart now and would be one: the one with most frames keeps its holes. */
function holesToClose(body: Body, group: readonly BayRoom[], now: ReadonlySet<string>): string[] {
  const parts: BayRoom[][] = [];
  for (const bay of group) {
    const index = body.bays.findIndex(({ id }) => id === bay.id);
    const apart = now.has(body.grooves[index - 1]?.id ?? '');
    const last = parts.at(-1);
    if (last && !apart) last.push(bay);
    else parts.push([bay]);
  }
  if (parts.length < 2) return [];
  const frames = (part: readonly BayRoom[]) => part.reduce((sum, bay) => sum + bay.frames, 0);
  const kept = parts.reduce((most, part) => (frames(part) > frames(most) ? part : most));
  const keeps = new Set(kept.flatMap(({ entrances }) => entrances));
  return [
    ...new Set(
      parts.filter((part) => part !== kept).flatMap((part) => part.flatMap(({ entrances }) => entrances)),
    ),
  ].filter((id) => !keeps.has(id));
}

/** Pulls and puts in the dividers that a becoming names, and closes the holes it lists. */
export function become(body: Body, { pulled, close }: Becoming): Body {
  return {
    ...body,
    boards: body.boards.filter(({ groove }) => !pulled.includes(groove)),
    entrances: body.entrances.map((entrance) =>
      close.includes(entrance.id) ? { ...entrance, state: 'closed' } : entrance,
    ),
  };
}
