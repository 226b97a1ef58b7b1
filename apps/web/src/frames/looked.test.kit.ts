import type { CombSide } from '@yellow-cell/contract';
import { BOX, bays, id, slots, told } from '../yard/onScreen.test.kit.tsx';

/** Bees in the first room of the box, and frames of it that were looked through. */
export const of = { box: BOX, colony: id(11) };
export const bees = (queen: 'none' | 'unknown') =>
  told('stocked', '2026-05-20', {
    ...of,
    bays: bays.slice(0, 1),
    frames: { sealedBrood: 1, stores: 1, drawn: 1 },
    shakes: 2,
    openBrood: false,
    ...(queen === 'none' ? {} : { queen }),
  });
export const looked = (frame: number, at: number, left: CombSide, right = left) =>
  told('frameAudited', '2026-06-01', {
    ...of,
    frame: id(frame),
    slot: slots[at] as string,
    sides: [left, right],
  });
