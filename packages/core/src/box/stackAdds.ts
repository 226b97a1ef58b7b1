import type { Body, DesignContent } from '@yellow-cell/contract';
import { withRimDivided } from './divideRim.ts';
import { type PartIds, withLayers } from './parts.ts';
import { coverSheet, emptyBody, excluderSheet, mm } from './plainParts.ts';
import { bodiesOf, mainBody } from './stack.ts';

/** What is laid onto a stack comes to lie where it belongs: bodies and rims under the inner cover, an excluder between two bodies, a cover on top. */

type Layers = DesignContent['layers'];

/** A further storey like the uppermost with frames: its boards, frames, panes and cheeks over those below; entrances are cut where they are wanted. */
export const withStorey = (design: DesignContent): DesignContent => underCover(design, storeyLike);

const RIM_MM = 60;
/** A rim without frames, to feed in or to give room above; parted as the body below it. */
export function withRim(design: DesignContent, depth_mm = RIM_MM): DesignContent {
  const before = new Set(bodiesOf(design).map(({ id }) => id));
  const added = underCover(design, (like, ids) => ({
    ...emptyBody(ids.next('body'), ids.next('bay'), like),
    name: 'Rim',
    material: like.material,
    depth: mm(depth_mm),
    offset: like.offset,
    beside: like.beside,
    rebate: null,
  }));
  return bodiesOf(added)
    .filter(({ id, beside }) => !before.has(id) && !beside)
    .reduce((next, { id }) => withRimDivided(next, id), added);
}

/** Under the uppermost body with frames where there are two, else on the only one. */
export const withExcluder = (design: DesignContent): DesignContent =>
  withLayers(design, (layers, ids) => {
    const storeys = layers.flatMap((layer, index) => (hasFrames(layer) && !layer.beside ? [index] : []));
    const at = storeys.length > 1 ? (storeys.at(-1) ?? 0) : (storeys[0] ?? 0) + 1;
    return [
      ...layers.slice(0, at),
      excluderSheet(ids.next('sheet'), mainBody(design).format),
      ...layers.slice(at),
    ];
  });

export const withCover = (design: DesignContent): DesignContent =>
  withLayers(design, (layers, ids) => [...layers, coverSheet(ids.next('sheet'))]);

const hasFrames = (layer: Layers[number]): layer is Body =>
  layer.kind === 'body' && layer.bays.some(({ frames }) => frames.length > 0);

/** Bodies like those of the uppermost level with frames, of which four may stand side by side, on the uppermost body. */
function underCover(design: DesignContent, make: (like: Body, ids: PartIds) => Body): DesignContent {
  return withLayers(design, (layers, ids) => {
    const at = layers.findLastIndex(({ kind }) => kind === 'body') + 1;
    return [...layers.slice(0, at), ...topLevel(layers).map((like) => make(like, ids)), ...layers.slice(at)];
  });
}

function topLevel(layers: Layers): Body[] {
  const from = layers.findLastIndex((layer) => hasFrames(layer) && !layer.beside);
  const rest = layers.slice(Math.max(0, from));
  const level = rest.findIndex((layer, index) => index > 0 && !(layer.kind === 'body' && layer.beside));
  return rest.slice(0, level === -1 ? undefined : level).filter((layer) => layer.kind === 'body');
}

function storeyLike(like: Body, ids: PartIds): Body {
  const id = ids.next('body');
  const grooves = like.grooves.map((groove) => ({ ...groove, id: ids.next('groove') }));
  const grooveOf = (old: string): string =>
    grooves[like.grooves.findIndex((each) => each.id === old)]?.id ?? old;
  return {
    ...like,
    id,
    name: '',
    grooves,
    // What reached over the lip of a floor stands on the board below it instead.
    boards: like.boards.map((board) => ({
      ...board,
      id: ids.next('board'),
      groove: grooveOf(board.groove),
      down: mm(-board.up.mm),
    })),
    bays: like.bays.map((bay) => ({
      ...bay,
      id: ids.next('bay'),
      frames: bay.frames.map((slot) => ({ ...slot, id: ids.next('slot') })),
    })),
    entrances: [],
    vents: [],
  };
}
