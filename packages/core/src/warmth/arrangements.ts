import type { DesignContent, Sheet } from '@yellow-cell/contract';
import { withVentAdded } from '../box/entrances.ts';
import { deriveBox } from '../box/model.ts';
import { withPart } from '../box/parts.ts';
import { coverSheet, mm } from '../box/plainParts.ts';
import { bodiesOf } from '../box/stack.ts';
import { type BoxPhysics, boxPhysics } from './boxPhysics.ts';
import type { Conditions } from './conditions.ts';

/** A change to a box that a breeder could make, to be compared before it is made. */
export interface Arrangement {
  key: string;
  name: string;
  design: DesignContent;
  conditions: Conditions;
}
export interface Arranged extends Arrangement {
  physics: BoxPhysics;
  /** All compartments together: what the bees give and burn, what the walls lose for a kelvin, water a day; minutes shut in until the first passes 38 °C. */
  heat_W: number;
  stores_kgMonth: number;
  walls_WK: number;
  condensate_gDay: number;
  drips: boolean;
  minutes: number | null;
}

const FOAM_WALL_MM = 40;
const INSULATION_MM = 30;

/** What this box could be like: each change alone, and the box as it is drawn first. */
export const arrangements = (design: DesignContent, conditions: Conditions): Arranged[] =>
  arrangementsOf(design, conditions).map(arranged);

/** The same before anything is worked out. */
export function arrangementsOf(design: DesignContent, conditions: Conditions): Arrangement[] {
  const asDrawn: Arrangement = { key: 'drawn', name: 'As drawn', design, conditions };
  const bodies = bodiesOf(design);
  const high = highHoles(design);
  const holes = bodies.flatMap(({ entrances }) => entrances).filter(({ state }) => state !== 'closed');
  const reduced = bodies.some(({ boards }) => boards.some(({ kind }) => kind === 'follower'));
  const all: (Arrangement | undefined)[] = [
    asDrawn,
    high.length > 0 && high.length < holes.length
      ? { ...asDrawn, key: 'highShut', name: 'High holes closed', design: withStates(design, high, 'closed') }
      : undefined,
    high.length === 0
      ? { ...asDrawn, key: 'upperVent', name: 'An upper vent with mesh', design: withUpperVents(design) }
      : undefined,
    {
      ...asDrawn,
      key: 'reduced',
      name: 'Entrances reduced',
      design: withStates(
        design,
        holes.map(({ id }) => id),
        'reduced',
      ),
    },
    design.roof.kind === 'insulated'
      ? undefined
      : {
          ...asDrawn,
          key: 'roof',
          name: `${FOAM_WALL_MM} mm of foam on the cover`,
          design: { ...design, roof: { ...design.roof, kind: 'insulated', thickness: mm(FOAM_WALL_MM) } },
        },
    {
      ...asDrawn,
      key: 'foil',
      name: 'Foil-bubble over the bars',
      design: {
        ...design,
        layers: overBars(design.layers, coverSheet('foil-trial', { what: 'foil', thickness: mm(4) })),
      },
    },
    {
      ...asDrawn,
      key: 'walls',
      name: `${FOAM_WALL_MM} mm foam walls`,
      design: bodies.reduce(
        (now, { id }) => withPart(now, id, { wall: mm(FOAM_WALL_MM), material: 'foam', lining: null }),
        design,
      ),
    },
    {
      ...asDrawn,
      key: 'pushed',
      name: 'Two boxes pushed together',
      conditions: { ...conditions, row: { boxes: 2, place: 0 } },
    },
    {
      ...asDrawn,
      key: 'row',
      name: 'Amid a row of five',
      conditions: { ...conditions, row: { boxes: 5, place: 2 } },
    },
    reduced
      ? {
          ...asDrawn,
          key: 'follower',
          name: `${INSULATION_MM} mm behind the follower`,
          conditions: { ...conditions, insulation_mm: INSULATION_MM },
        }
      : undefined,
    conditions.sun
      ? { ...asDrawn, key: 'shade', name: 'In the shade', conditions: { ...conditions, sun: undefined } }
      : undefined,
    conditions.sun && conditions.sun.paint !== 'white'
      ? {
          ...asDrawn,
          key: 'white',
          name: 'Painted white',
          conditions: { ...conditions, sun: { ...conditions.sun, paint: 'white' } },
        }
      : undefined,
  ];
  return all.filter((each) => each !== undefined);
}

function arranged(each: Arrangement): Arranged {
  const physics = boxPhysics(each.design, each.conditions);
  const { compartments } = physics;
  const { danger_C } = each.conditions.constants;
  const minutes = compartments.flatMap(({ shut }) =>
    shut.minutesTo.filter(({ limit_C }) => limit_C === danger_C).map((found) => found.minutes),
  );
  const passed = minutes.filter((found) => found !== null);
  return {
    ...each,
    physics,
    heat_W: compartments.reduce((sum, { bees }) => sum + bees.heat_W, 0),
    stores_kgMonth: compartments.reduce((sum, { stores_kgMonth }) => sum + stores_kgMonth, 0),
    walls_WK: compartments.reduce((sum, { sharedUa_WK }) => sum + sharedUa_WK, 0),
    condensate_gDay: compartments.reduce((sum, { water }) => sum + water.condensate_gDay, 0),
    drips: compartments.some(({ water }) => water.verdict === 'drips'),
    minutes: passed.length > 0 ? Math.min(...passed) : null,
  };
}

/** On the uppermost body, under what lies there already. */
export function overBars(layers: DesignContent['layers'], sheet: Sheet): DesignContent['layers'] {
  const at = layers.findLastIndex(({ kind }) => kind === 'body') + 1;
  return layers.toSpliced(at, 0, sheet);
}

export const highHoles = (design: DesignContent): string[] =>
  bodiesOf(design).flatMap(({ entrances, depth }) =>
    entrances
      .filter(({ height, state }) => state !== 'closed' && height.mm > depth.mm / 2)
      .map(({ id }) => id),
  );

/** One for each compartment of the uppermost body with frames. */
export function withUpperVents(design: DesignContent): DesignContent {
  const top = bodiesOf(design).findLast(({ bays }) => bays.some(({ frames }) => frames.length > 0));
  if (!top) return design;
  const firstBays = deriveBox(design).compartments.flatMap(({ bays }) =>
    bays.slice(0, 1).filter((id) => top.bays.some((bay) => bay.id === id)),
  );
  return firstBays.reduce((now, bay) => withVentAdded(now, top.id, bay), design);
}

/**
 * Cures of a drip, the surest first: dry before running down, less water before more, then less heat. A box that
 * does not drip keeps the order of its changes.
 */
export function surestFirst(all: readonly Arranged[]): readonly Arranged[] {
  const [drawn, ...changes] = all;
  if (!drawn?.drips) return all;
  return [
    drawn,
    ...changes.toSorted(
      (a, b) =>
        Number(a.drips) - Number(b.drips) || a.condensate_gDay - b.condensate_gDay || a.heat_W - b.heat_W,
    ),
  ];
}

export const withStates = (
  design: DesignContent,
  ids: readonly string[],
  state: 'closed' | 'reduced',
): DesignContent => ids.reduce((now, id) => withPart(now, id, { state }), design);
