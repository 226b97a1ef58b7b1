import type { DesignContent } from '@yellow-cell/contract';
import { showLength } from '../units/length.ts';
import { compartmentBays } from './model.ts';

/** What changed from one design content to another, one plain sentence each; empty where nothing that is said did. */
export function designChanges(before: DesignContent, after: DesignContent): string[] {
  const lengths = (['insideWidth', 'insideLength', 'depth', 'wall'] as const).flatMap((field) =>
    changed(LENGTH_NAMES[field], mm(before[field].mm), mm(after[field].mm)),
  );
  return [
    ...changed('The frame format', before.format.name, after.format.name),
    ...lengths,
    ...changed('The frames', framesOf(before), framesOf(after)),
    ...changed('The divider thickness', thicknesses(before), thicknesses(after)),
    ...changed('The dividers', places(before), places(after)),
    ...changed('The entrances', sides(before), sides(after)),
  ];
}

const LENGTH_NAMES = {
  insideWidth: 'The inside width',
  insideLength: 'The inside length',
  depth: 'The depth',
  wall: 'The wall',
} as const;

const mm = (value: number): string => showLength(value, 'mm');
const framesOf = (design: DesignContent): string =>
  compartmentBays(design)
    .map((bays) => bays.reduce((count, { frames }) => count + frames.length, 0))
    .join('/');
const places = ({ grooves }: DesignContent): string =>
  grooves.length === 0 ? 'none' : `at ${grooves.map(({ at }) => mm(at.mm)).join(', ')}`;
const thicknesses = ({ boards }: DesignContent): string =>
  [...new Set(boards.map(({ thickness }) => mm(thickness.mm)))].join(', ') || 'none';
const sides = ({ entrances }: DesignContent): string => entrances.map(({ side }) => side).join(', ');

function changed(what: string, before: string, after: string): string[] {
  return before === after ? [] : [`${what}: ${before} became ${after}.`];
}
