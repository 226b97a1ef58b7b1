import type { Body, DesignContent } from '@yellow-cell/contract';
import { showLength } from '../units/length.ts';
import { bayGroups, placesIn } from './columns.ts';
import { paneOf } from './plainParts.ts';

/** What changed from one design content to another, one plain sentence each; empty where nothing that is said did. */
export function designChanges(before: DesignContent, after: DesignContent): string[] {
  const ids = new Set([...before.layers, ...after.layers].map(({ id }) => id));
  return [
    ...changed('The family', before.family, after.family),
    ...changed('The floor', floorOf(before), floorOf(after)),
    ...[...ids].flatMap((id) => layerChanges(before, after, id)),
    ...changed('The roof', roofOf(before), roofOf(after)),
    ...changed('The fastenings', before.fastenings.join(', '), after.fastenings.join(', ')),
    ...changed('Checks let stand', String(before.overrules.length), String(after.overrules.length)),
    ...changed('Limits of its own', JSON.stringify(before.limits), JSON.stringify(after.limits)),
  ];
}

function layerChanges(before: DesignContent, after: DesignContent, id: string): string[] {
  const [old, now] = [before, after].map(({ layers }) => layers.find((layer) => layer.id === id));
  const title = titleOf(after, id) || titleOf(before, id);
  if (!now) return [`${title} is gone.`];
  if (!old) return [`${title} is new.`];
  if (old.kind === 'sheet' || now.kind === 'sheet') {
    return JSON.stringify(old) === JSON.stringify(now) ? [] : [`${title} changed.`];
  }
  return bodyChanges(old, now, title === 'The body' ? 'The' : `${title}: the`);
}

function bodyChanges(before: Body, after: Body, the: string): string[] {
  const lengths = (['insideWidth', 'insideLength', 'depth', 'wall'] as const).flatMap((field) =>
    changed(`${the} ${LENGTH_NAMES[field]}`, mm(before[field].mm), mm(after[field].mm)),
  );
  return [
    ...changed(`${the} frame format`, before.format.name, after.format.name),
    ...lengths,
    ...changed(`${the} frames`, framesOf(before), framesOf(after)),
    ...changed(`${the} divider kinds`, kinds(before), kinds(after)),
    ...changed(`${the} divider thickness`, thicknesses(before), thicknesses(after)),
    ...changed(`${the} dividers`, places(before), places(after)),
    ...changed(`${the} reach of the dividers`, reaches(before), reaches(after)),
    ...entranceChanges(before, after, the),
    ...changed(`${the} vents`, String(before.vents.length), String(after.vents.length)),
    ...changed(`${the} cheeks`, cheeks(before), cheeks(after)),
    ...changed(`${the} rebate`, rebate(before), rebate(after)),
    ...changed(`${the} material`, made(before), made(after)),
    ...changed(`${the} panes`, panes(before), panes(after)),
  ];
}

/** How many came, went, or were moved, turned or marked anew. */
function entranceChanges({ entrances: before }: Body, { entrances: after }: Body, the: string): string[] {
  const was = new Map(before.map((entrance) => [entrance.id, JSON.stringify(entrance)]));
  const is = new Map(after.map((entrance) => [entrance.id, JSON.stringify(entrance)]));
  const count = (ids: Iterable<string>, keep: (id: string) => boolean) => [...ids].filter(keep).length;
  const told = [
    [count(is.keys(), (id) => !was.has(id)), 'new'],
    [count(was.keys(), (id) => !is.has(id)), 'gone'],
    [count(is.keys(), (id) => was.has(id) && was.get(id) !== is.get(id)), 'changed'],
  ] as const;
  const words = told.filter(([number]) => number > 0).map(([number, word]) => `${number} ${word}`);
  return words.length === 0 ? [] : [`${the} entrances: ${words.join(', ')}.`];
}

const LENGTH_NAMES = {
  insideWidth: 'inside width',
  insideLength: 'inside length',
  depth: 'depth',
  wall: 'wall',
} as const;

function titleOf({ layers }: DesignContent, id: string): string {
  const at = layers.findIndex((layer) => layer.id === id);
  const layer = layers[at];
  if (!layer) return '';
  if (layer.kind === 'sheet') return `The ${layer.what} sheet in layer ${at + 1}`;
  if (layer.name) return `The body “${layer.name}”`;
  return layers.filter(({ kind }) => kind === 'body').length === 1
    ? 'The body'
    : `The body in layer ${at + 1}`;
}

const mm = (value: number): string => showLength(value, 'mm');
const made = ({ material, lining }: Body): string =>
  lining ? `${material}, ${mm(lining.thickness.mm)} of ${lining.material} in it` : material;
function panes(body: Body): string {
  if (body.glass.length === 0) return 'none';
  const { material, thickness } = paneOf(body);
  return `${material} of ${mm(thickness.mm)} at ${body.glass.join(', ')}${body.doors ? ', behind doors' : ''}`;
}
const framesOf = (body: Body): string => bayGroups(body).map(placesIn).join('/');
const kinds = ({ boards }: Body): string => boards.map(({ kind }) => kind).join(', ') || 'none';
const places = ({ grooves }: Body): string =>
  grooves.length === 0 ? 'none' : `at ${grooves.map(({ at }) => mm(at.mm)).join(', ')}`;
const thicknesses = ({ boards }: Body): string =>
  [...new Set(boards.map(({ thickness }) => mm(thickness.mm)))].join(', ') || 'none';
const reaches = ({ boards }: Body): string =>
  boards
    .map(({ down, up, ears }) => `${mm(down.mm)} below, ${mm(up.mm)} above${ears ? ', ears' : ''}`)
    .join('; ') || 'none';
const cheeks = (body: Body): string => (body.cheeks ? mm(body.cheeks.inset.mm) : 'none');
const rebate = (body: Body): string =>
  body.rebate ? `${mm(body.rebate.width.mm)} × ${mm(body.rebate.depth.mm)}` : 'none';
const floorOf = ({ floor }: DesignContent): string => `${floor.kind}, lip ${mm(floor.lip.mm)}`;
const roofOf = ({ roof }: DesignContent): string => `${roof.kind}, room ${mm(roof.room.mm)}`;

function changed(what: string, before: string, after: string): string[] {
  return before === after ? [] : [`${what}: ${before} became ${after}.`];
}
