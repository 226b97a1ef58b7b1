import type { DesignContent, Fitting, Joint } from '@yellow-cell/contract';
import { bodiesOf, sheetsOf } from '../box/stack.ts';
import { printsIt } from './print.ts';

/** A screw or nail at each corner about every so many mm of height, and one at each end. */
const SCREW_EVERY_MM = 60;

/** What is bought and not cut, one of each by its name. */
export const fittingNames = {
  disc: 'Entrance disc',
  slide: 'Entrance slide',
  mark: 'Entrance mark',
  tunnel: 'Entrance tunnel through a cheek',
  latch: 'Latch',
  strap: 'Strap',
  transportScrew: 'Transport screw',
  screw: 'Screw 4 × 45',
  hinge: 'Door hinge',
  handle: 'Handle',
  jar: 'Feeding jar',
  escape: 'Bee escape',
  tape: 'Roll of seam tape',
  guide: 'Guide for frame feet',
  plate: 'Number plate',
} as const;

/** What a box wants of them. */
export function fittingsOf(design: DesignContent, joint: Joint): Fitting[] {
  const bodies = bodiesOf(design);
  const entrances = bodies.flatMap((body) => body.entrances);
  const joints = bodies.length - 1 + (design.floor.fixed ? 0 : 1);
  const screws =
    joint === 'box' || design.folding || printsIt(design)
      ? 0
      : bodies.reduce((sum, { depth }) => sum + 4 * (Math.ceil(depth.mm / SCREW_EVERY_MM) + 1), 0);
  const holes = sheetsOf(design).flatMap((sheet) => sheet.holes);
  const wanted: readonly (readonly [keyof typeof fittingNames, number])[] = [
    ['disc', entrances.filter(({ shape }) => shape === 'round').length],
    ['slide', entrances.filter(({ shape }) => shape === 'slot').length],
    ['mark', entrances.filter(({ mark }) => mark !== null).length],
    ['tunnel', entrances.filter(({ tunnel }) => tunnel).length],
    ['latch', design.fastenings.includes('latches') ? 2 * Math.max(0, joints) : 0],
    ['strap', design.fastenings.includes('strap') ? 1 : 0],
    ['transportScrew', design.fastenings.includes('screws') ? 4 * Math.max(1, joints) : 0],
    ['screw', screws],
    ['hinge', bodies.reduce((sum, { doors, glass }) => sum + (doors ? 2 * glass.length : 0), 0)],
    ['handle', 2 * bodies.filter(({ bays }) => bays.some(({ frames }) => frames.length > 0)).length],
    ...(['jar', 'escape'] as const).map(
      (closer) => [closer, holes.filter(({ closedBy }) => closedBy === closer).length] as const,
    ),
    ['tape', design.folding ? 1 : 0],
    ['guide', design.folding ? 2 : 0],
    ['plate', 1],
  ];
  return wanted
    .filter(([, count]) => count > 0)
    .map(([key, count]) => ({ key, name: fittingNames[key], count }));
}
