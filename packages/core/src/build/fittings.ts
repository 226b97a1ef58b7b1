import type { DesignContent, Fitting, Joint } from '@yellow-cell/contract';
import { bodiesOf, sheetsOf } from '../box/stack.ts';

/** A screw or nail at each corner about every so many mm of height, and one at each end. */
const SCREW_EVERY_MM = 60;

/** What is bought and not cut. */
export function fittingsOf(design: DesignContent, joint: Joint): Fitting[] {
  const bodies = bodiesOf(design);
  const entrances = bodies.flatMap((body) => body.entrances);
  const joints = bodies.length - 1 + (design.floor.fixed ? 0 : 1);
  const screws =
    joint === 'box' || design.folding
      ? 0
      : bodies.reduce((sum, { depth }) => sum + 4 * (Math.ceil(depth.mm / SCREW_EVERY_MM) + 1), 0);
  const wanted: readonly (readonly [string, string, number])[] = [
    ['disc', 'Entrance disc', entrances.filter(({ shape }) => shape === 'round').length],
    ['slide', 'Entrance slide', entrances.filter(({ shape }) => shape === 'slot').length],
    ['mark', 'Entrance mark', entrances.filter(({ mark }) => mark !== null).length],
    ['latch', 'Latch', design.fastenings.includes('latches') ? 2 * Math.max(0, joints) : 0],
    ['strap', 'Strap', design.fastenings.includes('strap') ? 1 : 0],
    ['transportScrew', 'Transport screw', design.fastenings.includes('screws') ? 4 * Math.max(1, joints) : 0],
    ['screw', 'Screw 4 × 45', screws],
    [
      'hinge',
      'Door hinge',
      bodies.reduce((sum, { doors, glass }) => sum + (doors ? 2 * glass.length : 0), 0),
    ],
    [
      'handle',
      'Handle',
      2 * bodies.filter(({ bays }) => bays.some(({ frames }) => frames.length > 0)).length,
    ],
    [
      'jar',
      'Feeding jar',
      sheetsOf(design)
        .flatMap(({ holes }) => holes)
        .filter(({ closedBy }) => closedBy === 'jar').length,
    ],
    ['tape', 'Roll of seam tape', design.folding ? 1 : 0],
    ['guide', 'Guide for frame feet', design.folding ? 2 : 0],
    ['plate', 'Number plate', 1],
  ];
  return wanted.filter(([, , count]) => count > 0).map(([key, name, count]) => ({ key, name, count }));
}
