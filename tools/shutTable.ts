import type { NewDesign } from '@yellow-cell/contract';
import {
  boxPhysics,
  type CompartmentPhysics,
  defaultConstants,
  heatOf,
  usualConditions,
} from '@yellow-cell/core';

/** Boxes of the demo that are worked through, shut. */
const BOXES = [
  'Four-way, ten-frame body',
  'Three-way, ten-frame body',
  'Two-way, ten-frame body',
  'Five-frame nucleus',
  'Two-way nucleus',
  'Small-format two-way',
];
const OUTSIDE_C = 22;

/** Rooms of the demo's boxes with alarmed bees and brood, flight entrances closed, for docs/models.md: each pair of rooms that are alike once. */
export function shutTable(designs: readonly NewDesign[]): string {
  const conditions = usualConditions(
    { outside_C: OUTSIDE_C, bees: 'alarmed', brood: true },
    defaultConstants,
  );
  const rows = BOXES.flatMap((box) => {
    const content = designs.find(({ name }) => name === box)?.version.content;
    if (!content) throw new Error(`The demo has no ${box}.`);
    const seen = new Set<string>();
    return boxPhysics(content, conditions).compartments.flatMap((room) => {
      const figures = figuresOf(room);
      const key = figures.join();
      if (seen.has(key)) return [];
      seen.add(key);
      return [`| ${[box, room.name.toLowerCase(), ...figures].join(' | ')} |`];
    });
  });
  return [
    '| box | room | bees, kg | heat, W | walls, W/K | 36 °C | 38 °C | at last | 4 %, 8 % CO₂ |',
    `|${'---|'.repeat(9)}`,
    ...rows,
  ].join('\n');
}

function figuresOf({ bees_kg, ua_WK, shut }: CompartmentPhysics): string[] {
  const [fans, danger] = shut.minutesTo.map(({ minutes }) => minutesOf(minutes));
  const stale = shut.breath.minutesTo.map(({ minutes }) => minutesOf(minutes)).join(', ');
  return [
    bees_kg.toFixed(2),
    (bees_kg * heatOf('alarmed', defaultConstants)).toFixed(0),
    ua_WK.toFixed(2),
    fans ?? '',
    danger ?? '',
    `${Math.round(shut.steady_C)} °C`,
    stale,
  ];
}
const minutesOf = (minutes: number | null): string =>
  minutes === null ? 'never' : `${Math.round(minutes)} min`;
