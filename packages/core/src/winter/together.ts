import type { WinteringQuestion } from '@yellow-cell/contract';
import type { BoxView, CompartmentView } from '../yard/boxView.ts';
import type { AutumnLine } from './autumn.ts';
import { beesOfSeams } from './cluster.ts';
import type { WinterSeason } from './preparation.ts';
import { lossOf, roomOf, type WayWinter, wallsOf } from './wayWinter.ts';
import type { YardWay } from './yardWay.ts';

type Together = WinteringQuestion['together'][number];

/** Two that winter side by side over a divider, whoever they are: less is lost of both. */
export function company(
  ways: readonly (readonly YardWay[])[],
  winters: readonly (readonly (WayWinter | undefined)[])[],
  season: WinterSeason,
): Together[] {
  const housed = ways.flatMap((some, colony) =>
    some.flatMap((way, option) => {
      const winter = winters[colony]?.[option];
      return way.at && winter ? [{ way, at: way.at, winter, colony, option }] : [];
    }),
  );
  return housed.flatMap((a) =>
    housed.flatMap((b): Together[] => {
      if (b.colony <= a.colony || a.at.box.box.id !== b.at.box.box.id) return [];
      if (Math.abs(a.at.room.position - b.at.room.position) !== 1) return [];
      const gain = gainOf(a.way, a.winter, b.way, season) + gainOf(b.way, b.winter, a.way, season);
      return gain > LEAST_GAIN
        ? [{ a: { colony: a.colony, option: a.option }, b: { colony: b.colony, option: b.option }, gain }]
        : [];
    }),
  );
}
const LEAST_GAIN = 0.005;

/** How much less likely a colony is lost with another beside it; where two may be, each counts for half at most. */
function gainOf(way: YardWay, alone: WayWinter, other: YardWay, season: WinterSeason): number {
  const own = way.at && roomOf(way.at.box, way.at.room);
  if (!own || !other.at || alone.loss === 0) return 0;
  const { constants } = season;
  const ua_WK = wallsOf(own, way.act, way.line, constants, other.at.room.position);
  const pitch_mm = own.compartment.frames[0]?.format.pitch_mm ?? 0;
  const company_kg = beesOfSeams(other.line.seams ?? 0, pitch_mm, constants.litresPerKg);
  const { loss } = lossOf({ ...alone.plan, ua_WK, company_kg }, way.line.stores_kg, pitch_mm, season);
  const between = own.room.position > 0 && own.room.position < own.box.compartments.length - 1;
  return Math.min(Math.max(0, alone.loss - loss), between ? alone.loss / 2 : alone.loss);
}

/** Walls that touch lose nothing: of two boxes pushed together, the rooms on either side of the joint. */
export function pushed(
  ways: readonly (readonly YardWay[])[],
  winters: readonly (readonly (WayWinter | undefined)[])[],
  beside: readonly (readonly [BoxView, BoxView])[],
  season: WinterSeason,
): Together[] {
  const joints = (box: BoxView): number => beside.filter((pair) => pair.includes(box)).length;
  const housed = ways.flatMap((some, colony) =>
    some.flatMap((way, option) => {
      const winter = winters[colony]?.[option];
      return way.row && winter ? [{ way, winter, colony, option }] : [];
    }),
  );
  const gain = ({ way, winter }: (typeof housed)[number], place: 0 | 1): number => {
    const own = way.at && roomOf(way.at.box, way.at.room);
    if (!own || winter.loss === 0) return 0;
    const ua_WK = wallsOf(own, way.act, way.line, season.constants, undefined, { boxes: 2, place });
    const { loss } = lossOf({ ...winter.plan, ua_WK }, way.line.stores_kg, winter.pitch_mm, season);
    return Math.min(Math.max(0, winter.loss - loss), winter.loss / joints(own.box));
  };
  const of = (box: BoxView, at: (rooms: readonly CompartmentView[]) => CompartmentView | undefined) =>
    housed.filter(({ way: { line } }) => line.box === box && line.room === at(box.compartments));
  return beside.flatMap(([left, right]) =>
    of(left, (rooms) => rooms.at(-1)).flatMap((a) =>
      of(right, (rooms) => rooms[0]).flatMap((b): Together[] => {
        const both = gain(a, 0) + gain(b, 1);
        return both > LEAST_GAIN
          ? [
              {
                a: { colony: a.colony, option: a.option },
                b: { colony: b.colony, option: b.option },
                gain: both,
              },
            ]
          : [];
      }),
    ),
  );
}

/** Whom a way is pushed together with, of the ways that were chosen: their boxes' labels. */
export const pushedWith = ({ row = [], line }: YardWay, chosen: readonly YardWay[]): string[] => [
  ...new Set(
    chosen.flatMap((other) =>
      other.row?.includes(line.box) && row.includes(other.line.box) ? [other.line.box.box.label] : [],
    ),
  ),
];

/** Who is joined by another has more bees to winter with. */
export function reinforced(
  ways: readonly (readonly YardWay[])[],
  winters: readonly (readonly (WayWinter | undefined)[])[],
  {
    pairs,
    index,
    season,
  }: { pairs: readonly Together[]; index: ReadonlyMap<AutumnLine, number>; season: WinterSeason },
): Together[] {
  // What company saves already is not saved again: no more than all of a loss.
  const saved = (colony: number, option: number): number =>
    Math.max(
      0,
      ...pairs
        .filter(({ a, b }) => [a, b].some((at) => at.colony === colony && at.option === option))
        .map(({ gain }) => gain),
    );
  return ways.flatMap((some, colony) =>
    some.flatMap((way, option) => {
      const target = way.into === undefined ? undefined : index.get(way.into);
      if (target === undefined) return [];
      return (ways[target] ?? []).flatMap((of, at): Together[] => {
        const winter = winters[target]?.[at];
        if (!winter || winter.loss === 0 || of.act === 'combine') return [];
        const pitch_mm =
          of.line.box.model.compartments[of.line.room.position]?.frames[0]?.format.pitch_mm ?? 0;
        const bees_kg =
          winter.plan.bees_kg + beesOfSeams(way.line.seams ?? 0, pitch_mm, season.constants.litresPerKg);
        const { loss } = lossOf({ ...winter.plan, bees_kg }, winter.stores_kg, winter.pitch_mm, season);
        const gain = Math.min(winter.loss - loss, winter.loss - saved(target, at));
        return gain > LEAST_GAIN ? [{ a: { colony, option }, b: { colony: target, option: at }, gain }] : [];
      });
    }),
  );
}
