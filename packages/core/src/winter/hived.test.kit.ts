import type { DesignContent, LogEvent } from '@yellow-cell/contract';
import { deriveBox } from '../box/model.ts';
import type { Known } from '../yard/state.ts';
import { told, YARD } from '../yard/story.test.kit.ts';

/** One design by the id `d`, and a yard. */
export const knownOf = (content: DesignContent, name = 'Ten frames'): Known => ({
  designs: new Map([
    [
      'd',
      {
        id: 'd',
        name,
        versions: [{ id: 'v', number: 1, content, note: '', savedAt: '', savedBy: '' }],
      },
    ],
  ]),
  yards: new Set([YARD]),
});

interface Hived {
  box: string;
  colony: string;
  label: string;
  east_m: number;
}
const FIRST: Hived = { box: 'b', colony: 'a', label: 'B1', east_m: 1 };

/** A box of that design, its front to the south. */
export const placed = ({ box, label, east_m }: Omit<Hived, 'colony'>): LogEvent[] => [
  told('boxBuilt', '2026-04-01', { box, label, design: 'd', version: 1 }),
  told('boxPlaced', '2026-04-02', { box, yard: YARD, stand: label, east_m, north_m: 1, bearing_deg: 180 }),
];

/** The same with a colony in its first room since June; box `b` with colony `a` where it is not said. */
export function hived(content: DesignContent, queen = true, as = FIRST): LogEvent[] {
  const [room] = deriveBox(content).compartments;
  const { box, colony } = as;
  return [
    ...placed(as),
    told('stocked', '2026-06-01', {
      box,
      colony,
      bays: [...(room?.bays ?? [])],
      frames: { sealedBrood: 2, stores: 2, drawn: 6 },
      shakes: 2,
      openBrood: false,
      ...(queen ? { queen: 'laying' as const } : {}),
    }),
  ];
}
