import type { DesignContent, LogEvent } from '@yellow-cell/contract';
import { deriveBox } from '../box/model.ts';
import type { Known } from '../yard/state.ts';
import { told, YARD } from '../yard/story.test.kit.ts';

/** One design by the name `d`, and a yard. */
export const knownOf = (content: DesignContent): Known => ({
  designs: new Map([
    [
      'd',
      {
        id: 'd',
        name: 'Ten frames',
        versions: [{ id: 'v', number: 1, content, note: '', savedAt: '', savedBy: '' }],
      },
    ],
  ]),
  yards: new Set([YARD]),
});

/** Box `b` of that design, its front to the south, with colony `a` in its first room since June. */
export function hived(content: DesignContent, queen = true): LogEvent[] {
  const [room] = deriveBox(content).compartments;
  return [
    told('boxBuilt', '2026-04-01', { box: 'b', label: 'B1', design: 'd', version: 1 }),
    told('boxPlaced', '2026-04-02', {
      box: 'b',
      yard: YARD,
      stand: '1',
      east_m: 1,
      north_m: 1,
      bearing_deg: 180,
    }),
    told('stocked', '2026-06-01', {
      box: 'b',
      colony: 'a',
      bays: [...(room?.bays ?? [])],
      frames: { sealedBrood: 2, stores: 2, drawn: 6 },
      shakes: 2,
      openBrood: false,
      ...(queen ? { queen: 'laying' as const } : {}),
    }),
  ];
}
