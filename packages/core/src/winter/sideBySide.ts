import type { DesignContent, Sheet } from '@yellow-cell/contract';
import { type Compartment, deriveBox } from '../box/model.ts';
import { withoutPart, withPart } from '../box/parts.ts';
import { coverSheet, mm } from '../box/plainParts.ts';
import { bodiesOf } from '../box/stack.ts';
import type { Constants } from '../constants/registry.ts';
import { highHoles, overBars, withStates, withUpperVents } from '../warmth/arrangements.ts';
import { boxAtRest } from '../warmth/boxPhysics.ts';
import type { Conditions } from '../warmth/conditions.ts';
import type { Row } from '../warmth/row.ts';
import type { WaterVerdict } from '../warmth/water.ts';
import { type End, fitCavity } from './cavity.ts';
import { beesOfSeams, clusterWatts, seamsOfBees } from './cluster.ts';
import {
  type Band,
  bandOf,
  expectedMonths,
  forecastWinter,
  PLAN_RUNS,
  type WinterMonth,
} from './forecast.ts';
import { uaOf } from './uaOf.ts';

/** Bees in other rooms of a box. */
export interface Neighbour {
  bays: readonly string[];
  seams: number;
}
/** One colony in all the ways in which it could be wintered. */
export interface SideBySide {
  /** Its box as it stands, and the bays of its room. */
  design: DesignContent;
  bays: readonly string[];
  seams: number;
  stores_kg: number | undefined;
  /** Who lives in the same box. */
  neighbours: readonly Neighbour[];
  /** Where its box stands pushed together with others. */
  row?: Row;
  /** Frames that it keeps once it is reduced, and the end that they are kept at. */
  keeps: number;
  end: End;
  /** Free rooms at hand, one of each design. */
  rooms: readonly {
    name: string;
    design: DesignContent;
    bays: readonly string[];
    neighbours: readonly Neighbour[];
  }[];
  months: readonly WinterMonth[];
  since_d: number;
  constants: Constants;
}
export interface MonthBeside {
  name: string;
  used_kg: number;
  water: WaterVerdict;
}
/** How a winter goes in one of the ways, fed to what it needs there and a third more. */
export interface WayBeside {
  name: string;
  /** What speaks for it, and against. */
  why: string;
  frames: number;
  litres: number;
  ua_WK: number;
  need_kg: number;
  /** Sugar is wanted for so much of stores more than there are; undefined where these are not known. */
  short_kg: number | undefined;
  /** Share of winters in which it dwindles, fed as it is: who starves is a question of feed alone. */
  dwindled: number;
  /** Bees in spring as seams, 5, 50 and 95 of a hundred winters. */
  spring_seams: Band;
  months: readonly MonthBeside[];
}

const FOAM_MM = 40;
const WRAP_MM = 10;
const ROW: Row = { boxes: 5, place: 2 };

interface Way extends Pick<WayBeside, 'name' | 'why'> {
  design: DesignContent;
  room: Compartment;
  insulation_mm?: number;
  row?: Row;
  /** Those of its own box where it is wintered in another. */
  neighbours?: readonly Neighbour[];
}

/**
 * The same colony in its box as it stands and in every other way that it could be wintered: reduced, its vents by
 * school, wrapped, in a row, as a pair, in a free room; with its use and its water month by month (handbook 7,
 * arrangement; requirement 95). Schools are shown with their reasons, none is imposed.
 */
export function sideBySide(asked: SideBySide): WayBeside[] {
  return waysOf(asked).map((way) => played(way, asked));
}

function waysOf(asked: SideBySide): Way[] {
  const { design, bays, seams, keeps, end, neighbours, rooms, constants } = asked;
  const room = roomIn(design, bays);
  if (!room) return [];
  const fit = keeps < room.frames.length ? fitCavity(design, room, keeps, end) : { why: '' };
  const reduced = 'room' in fit ? { design: fit.design, room: fit.room } : undefined;
  const insulation_mm = constants.winterInsulation_mm;
  const best: Best = reduced
    ? { ...reduced, insulation_mm, suffix: ', cavity reduced' }
    : { design, room, suffix: '' };
  const beside = freeBeside(design, room, neighbours);
  return [
    { name: 'As it stands', why: 'Nothing is opened.', design, room },
    ...(reduced ? reducedWays(reduced, insulation_mm) : []),
    ...openingWays(best),
    ...cladWays(best),
    ...(beside
      ? [
          {
            design,
            room,
            name: 'As a pair, a colony as strong as it beside it',
            why: 'They warm each other over one divider; parted in time in spring.',
            neighbours: [...neighbours, { bays: beside, seams }],
          },
        ]
      : []),
    ...rooms.flatMap((free): Way[] => {
      const own = roomIn(free.design, free.bays);
      const { design: other, neighbours: there } = free;
      return own
        ? [
            {
              name: `In ${free.name}`,
              why: 'A free room at hand.',
              design: other,
              room: own,
              neighbours: there,
            },
          ]
        : [];
    }),
  ];
}

/** The box that changes are made to, each by itself: reduced where it can be. */
interface Best {
  design: DesignContent;
  room: Compartment;
  insulation_mm?: number;
  suffix: string;
}

const reducedWays = (reduced: Pick<Way, 'design' | 'room'>, insulation_mm: number): Way[] => [
  {
    ...reduced,
    name: 'Reduced',
    why: 'A cavity of its own size is less to warm; a follower alone holds little.',
  },
  {
    ...reduced,
    insulation_mm,
    name: `Reduced, ${insulation_mm} mm behind the follower`,
    why: 'The board is no colder than a wall.',
  },
];

/** One change to the best box, where its room is still there. */
function changed(
  { insulation_mm, room, suffix }: Best,
  name: string,
  why: string,
  design: DesignContent,
): Way[] {
  const own = roomIn(design, room.bays);
  return own
    ? [{ name: `${name}${suffix}`, why, design, room: own, ...(insulation_mm ? { insulation_mm } : {}) }]
    : [];
}

/** Vents by the school that is not the box's own, and a smaller entrance. */
function openingWays(best: Best): Way[] {
  const { design } = best;
  const bodies = bodiesOf(design);
  const vents = bodies.flatMap((body) => body.vents.map(({ id }) => id));
  const entrances = bodies.flatMap((body) => body.entrances.filter(({ state }) => state !== 'closed'));
  const open = entrances.flatMap(({ id, state }) => (state === 'open' ? [id] : []));
  // The only way out stays one.
  const high = highHoles(design).length < entrances.length ? highHoles(design) : [];
  return [
    ...(vents.length > 0 || high.length > 0
      ? changed(
          best,
          'Closed above',
          'One school: shut above, one low entrance, no warmth lost; it wants a warm lid, or it drips.',
          withStates(vents.reduce(withoutPart, design), high, 'closed'),
        )
      : changed(
          best,
          'Cracked above',
          'The other school: damp air leaves by an upper vent, and warmth with it.',
          withUpperVents(design),
        )),
    ...(open.length > 0
      ? changed(
          best,
          'Entrance reduced',
          'Less to guard, mice and wind kept out.',
          withStates(design, open, 'reduced'),
        )
      : []),
  ];
}

/** What is laid on, around, or beside it. */
function cladWays(best: Best): Way[] {
  const { design, suffix, ...own } = best;
  const wrapped = bodiesOf(design).reduce(
    (now, { id, lining }) =>
      lining ? now : withPart(now, id, { lining: { material: 'foam', thickness: mm(WRAP_MM) } }),
    design,
  );
  return [
    ...(design.roof.kind === 'insulated'
      ? []
      : changed(
          best,
          `${FOAM_MM} mm of foam on the cover`,
          'The lid becomes the warmest side: water forms elsewhere.',
          { ...design, roof: { ...design.roof, kind: 'insulated', thickness: mm(FOAM_MM) } },
        )),
    ...changed(best, 'Foil-bubble over the bars', 'Light and cheap; it lies on the bars all winter.', {
      ...design,
      layers: overBars(design.layers, foil()),
    }),
    ...changed(
      best,
      'Wrapped',
      'As much as 10 mm of foam around; it shades the sun that warms it, too.',
      wrapped,
    ),
    {
      ...own,
      design,
      name: `Amid a row of five${suffix}`,
      why: 'Walls that touch lose nothing; bees drift, and all are reached from behind.',
      row: ROW,
    },
  ];
}

const foil = (): Sheet => coverSheet('foil in winter', { what: 'foil', thickness: mm(4) });
const roomIn = (design: DesignContent, bays: readonly string[]): Compartment | undefined =>
  deriveBox(design).compartments.find((room) => room.bays.some((bay) => bays.includes(bay)));

/** A room over a divider in which nobody lives. */
function freeBeside(
  design: DesignContent,
  room: Compartment,
  neighbours: readonly Neighbour[],
): readonly string[] | undefined {
  const all = deriveBox(design).compartments.filter(({ frames }) => frames.length > 0);
  const at = all.findIndex(({ bays }) => bays.join() === room.bays.join());
  const lived = new Set(neighbours.flatMap(({ bays }) => bays));
  const free = [all[at - 1], all[at + 1]].find((each) => each && !each.bays.some((bay) => lived.has(bay)));
  return free?.bays;
}

/** The winter of one way: its odds, and month by month its use and where its water forms. */
function played(way: Way, asked: SideBySide): WayBeside {
  const { design, room, insulation_mm = 0 } = way;
  const { constants, months, since_d, stores_kg: known_kg } = asked;
  const neighbours = way.neighbours ?? asked.neighbours;
  const row = way.row ?? (way.neighbours ? undefined : asked.row);
  const lived = new Set(neighbours.flatMap(({ bays }) => bays));
  const pitch_mm = room.frames[0]?.format.pitch_mm ?? 0;
  const ua_WK = uaOf(design, room, lived, constants, insulation_mm, row) ?? 0;
  const kgOf = (seams: number): number => beesOfSeams(seams, pitch_mm, constants.litresPerKg);
  const bees_kg = kgOf(asked.seams);
  const company_kg = companyOf(design, room, neighbours, kgOf);
  const plan = { bees_kg, ua_WK, company_kg, months, since_d };
  const course = expectedMonths(plan, constants);
  const need_kg = course.reduce((sum, { used_kg }) => sum + used_kg, 0);
  const carry_kg = need_kg / constants.winterTakes;
  const forecast = forecastWinter(
    { ...plan, stores_kg: Math.max(carry_kg, known_kg ?? 0) },
    constants,
    PLAN_RUNS,
  );
  return {
    name: way.name,
    why: way.why,
    frames: room.frames.length,
    litres: room.measures.litres,
    ua_WK,
    need_kg,
    short_kg: known_kg === undefined ? undefined : Math.max(0, carry_kg - known_kg),
    dwindled: forecast.dwindled,
    spring_seams: bandOf(
      Float64Array.from(forecast.spring_kg, (kg) => seamsOfBees(kg, pitch_mm, constants.litresPerKg)),
    ),
    months: months.map(({ name, outside_C }, index): MonthBeside => {
      const alive_kg = course[index]?.bees_kg ?? bees_kg;
      const living = [
        ...neighbours.map(({ bays, seams }) => ({ bays, kg: kgOf(seams) })),
        { bays: room.bays, kg: alive_kg },
      ];
      return {
        name,
        used_kg: course[index]?.used_kg ?? 0,
        water: waterOf({ ...way, row }, living, { outside_C, ua_WK, alive_kg }, constants),
      };
    }),
  };
}

/** Of bees that live over a divider beside it, in kg. */
function companyOf(
  design: DesignContent,
  room: Compartment,
  neighbours: readonly Neighbour[],
  kgOf: (seams: number) => number,
): number {
  const all = deriveBox(design).compartments.filter(({ frames }) => frames.length > 0);
  const at = all.findIndex(({ bays }) => bays.join() === room.bays.join());
  return [all[at - 1], all[at + 1]].reduce((sum, each) => {
    const there = neighbours.find(({ bays }) => each?.bays.some((bay) => bays.includes(bay)));
    return sum + (there ? kgOf(there.seams) : 0);
  }, 0);
}

/** Where the water of a cluster forms in a month, under a clear night sky. */
function waterOf(
  {
    design,
    room,
    insulation_mm = 0,
    row,
  }: Pick<Way, 'design' | 'room' | 'insulation_mm'> & { row: Row | undefined },
  living: readonly { bays: readonly string[]; kg: number }[],
  { outside_C, ua_WK, alive_kg }: { outside_C: number; ua_WK: number; alive_kg: number },
  constants: Constants,
): WaterVerdict {
  const watts = clusterWatts(
    alive_kg,
    ua_WK,
    constants.surface_C - outside_C,
    constants.litresPerKg,
    constants,
  );
  const bees_kg = Object.fromEntries(
    deriveBox(design).compartments.map(({ spaces, bays }) => [
      spaces[0] ?? '',
      living.find((each) => each.bays.some((bay) => bays.includes(bay)))?.kg ?? 0,
    ]),
  );
  const conditions: Conditions = {
    outside_C,
    outside_RH: constants.outside_RH,
    bees_kg,
    heat_Wkg: constants.least_Wkg,
    spends_Wkg: alive_kg > 0 ? watts / alive_kg : 0,
    brood: false,
    clearNight: true,
    insulation_mm,
    row,
    constants,
  };
  const own = boxAtRest(design, conditions).compartments.find(({ bays }) =>
    bays.some((bay) => room.bays.includes(bay)),
  );
  return own?.water.verdict ?? 'dry';
}
