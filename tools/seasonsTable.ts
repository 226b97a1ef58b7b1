import type { NewDesign } from '@yellow-cell/contract';
import {
  beesInSeason,
  boxPhysics,
  type Doing,
  defaultConstants,
  meanOn,
  usualConditions,
} from '@yellow-cell/core';

const MONTHS = ['Jan', 'Apr', 'Jul', 'Oct'] as const;
const MONTH_DAYS = ['01-15', '04-15', '07-15', '10-15'] as const;
const PLACES = [
  ['48° N', 48],
  ['41° S', -41.3],
] as const;
const DOES: Readonly<Record<Doing, string>> = {
  chills: 'too cold',
  clusters: 'cluster',
  warms: 'warm brood',
  rests: 'rest',
  fans: 'fan',
  carriesWater: 'carry water',
  overheats: 'too hot',
};

/** What the fullest room of each design is like in four months of two places, for docs/models.md: air beside the bees, W/kg that they give, what they do, and water, in the cold under a clear night. */
export function seasonsTable(designs: readonly NewDesign[]): string {
  const head = PLACES.flatMap(([place]) => MONTHS.map((month) => `${place} ${month}`));
  const rows = designs.map(({ name, version: { content } }) =>
    [
      name,
      ...PLACES.flatMap(([, latitude_deg]) =>
        MONTH_DAYS.map((day) => {
          const outside_C = meanOn(undefined, `2026-${day}`, latitude_deg);
          const season = beesInSeason(outside_C, defaultConstants);
          const { compartments } = boxPhysics(content, {
            ...usualConditions({ outside_C, ...season }, defaultConstants),
            clearNight: !season.brood,
          });
          const [room] = compartments.toSorted((a, b) => b.bees_kg - a.bees_kg);
          if (!room) return '';
          const perKg = Math.round(room.bees.heat_W / room.bees_kg);
          const water = { dry: '', runsDown: ', runs', drips: ', drips' }[room.water.verdict];
          return `${Math.round(room.inside_C)} °C, ${perKg}, ${DOES[room.bees.does]}${water}`;
        }),
      ),
    ].join(' | '),
  );
  return [
    `| ${['design', ...head].join(' | ')} |`,
    `|${'---|'.repeat(head.length + 1)}`,
    ...rows.map((row) => `| ${row} |`),
  ].join('\n');
}
