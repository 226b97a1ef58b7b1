import type { BoxState, DesignContent } from '@yellow-cell/contract';
import { bayPartedBy, withHandPlaces } from '../../box/handPlace.ts';
import { withBody, withPart } from '../../box/parts.ts';
import { hasBody, idsIn, type Layer, withLayerAt, withoutLayer } from '../../box/stackMoves.ts';
import type { Day } from '../../calendar/days.ts';
import { drawnDesign, livingIn } from '../compartments.ts';
import { partBay, regroup, settleRooms } from '../regroup.ts';
import { cannotStand, carry } from './carryLayer.ts';
import { standingBox, stillUpon, type Tellers, type Telling, wholly } from './telling.ts';

type StackKind = 'layerPut' | 'layerTaken' | 'floorSet' | 'roofSet' | 'cheeksSet' | 'boardAdded';

/** A box as it stands is a stack of things: each move of the drawing board, on the live box (decision 17). */
export const stackTellers: Tellers<StackKind> = {
  layerPut(telling, { payload }, on) {
    const box = standingBox(telling.boxes, payload.box, on);
    if (typeof box === 'string') return box;
    const design = drawnDesign(telling.known.designs, box);
    if (!design) return unknownDrawing(box);
    if (payload.from === undefined) {
      if (idsIn(payload.layer).some((id) => design.layers.flatMap(idsIn).includes(id)))
        return `A part of that name stands in box ${box.label} already.`;
      return stand(telling, box, withLayerAt(design, payload.layer, payload.at), on);
    }
    const giver = standingBox(telling.boxes, payload.from, on);
    if (typeof giver === 'string') return giver;
    const found = giver.off?.find(({ layer }) => layer.id === payload.layer.id);
    if (!found) return `That part does not lie beside box ${giver.label}.`;
    return wholly(telling, () => {
      telling.boxes.set(giver.id, { ...giver, off: (giver.off ?? []).filter((each) => each !== found) });
      return carry(telling, giver.id, box.id, found.layer, payload.at, on);
    });
  },

  layerTaken(telling, { payload }, on) {
    const box = standingBox(telling.boxes, payload.box, on);
    if (typeof box === 'string') return box;
    const design = drawnDesign(telling.known.designs, box);
    const layer = design?.layers.find(({ id }) => id === payload.layer);
    if (!design || !layer) return `Box ${box.label} has no such part in its stack.`;
    const rest = withoutLayer(design, layer.id);
    if (payload.to) {
      if (payload.to.box === box.id) return `That part stands in box ${box.label} already.`;
      const to = standingBox(telling.boxes, payload.to.box, on);
      if (typeof to === 'string') return to;
      const { to: target, parted } = payload;
      return wholly(telling, () => {
        telling.boxes.set(box.id, { ...box, changed: rest });
        const problem = carry(telling, box.id, to.id, layer, target.at, on, parted);
        return problem ?? leaveBehind(telling, box.id, on);
      });
    }
    if (!hasBody(rest)) return `Box ${box.label} would be without a body: take it apart instead.`;
    const bays = baysIn(layer);
    if (livingIn(telling.colonies, box).some(({ home }) => home.every((bay) => bays.includes(bay))))
      return `Bees of box ${box.label} live in it: set it on another box, or build a box of it.`;
    const problem = stand(telling, { ...box, off: [...(box.off ?? []), { layer, since: on }] }, rest, on);
    return problem;
  },

  floorSet: (telling, { payload }, on) =>
    change(telling, payload.box, on, (design) => ({ ...design, floor: payload.floor })),
  roofSet: (telling, { payload }, on) =>
    change(telling, payload.box, on, (design) => ({ ...design, roof: payload.roof })),
  cheeksSet: (telling, { payload }, on) =>
    change(telling, payload.box, on, (design, box) =>
      design.layers.some(({ id, kind }) => id === payload.body && kind === 'body')
        ? withPart(design, payload.body, { cheeks: payload.cheeks })
        : `Box ${box.label} has no such body.`,
    ),

  boardAdded(telling, { payload }, on) {
    const { body, board, at_mm, framesLeft, bay } = payload;
    let parted: string | undefined;
    const problem = change(
      telling,
      payload.box,
      on,
      (design, box) => {
        if (!design.layers.some(({ id, kind }) => id === body && kind === 'body'))
          return `Box ${box.label} has no such body.`;
        if (design.layers.flatMap(idsIn).some((id) => id === board.id || id === board.groove || id === bay))
          return `A part of that name stands in box ${box.label} already.`;
        const fitted = withBody(design, body, (now) => ({ ...now, boards: [...now.boards, board] }));
        const place = { board: board.id, groove: board.groove, bay, at_mm, framesLeft };
        const found = bayPartedBy(fitted, place);
        if ('problem' in found) return `Box ${box.label}: ${found.problem}`;
        parted = found.bay;
        return withHandPlaces(fitted, [place]);
      },
      (box) => {
        if (parted !== undefined) partBay(telling, box, parted, bay);
      },
    );
    return problem;
  },
};

const unknownDrawing = ({ label }: BoxState): string => `Nothing is known of how box ${label} is drawn.`;
const baysIn = (layer: Layer): string[] => (layer.kind === 'body' ? layer.bays.map(({ id }) => id) : []);

/** Changes the stack of one box. */
function change(
  telling: Telling,
  id: string,
  on: Day,
  make: (design: DesignContent, box: BoxState) => DesignContent | string,
  before?: (box: BoxState) => void,
): string | undefined {
  const box = standingBox(telling.boxes, id, on);
  if (typeof box === 'string') return box;
  const design = drawnDesign(telling.known.designs, box);
  const next = design && make(design, box);
  if (next === undefined) return unknownDrawing(box);
  return typeof next === 'string' ? next : stand(telling, box, next, on, before);
}

/** The box with this stack; who lives with whom then, or why it cannot stand so. */
function stand(
  telling: Telling,
  box: BoxState,
  stack: DesignContent,
  on: Day,
  before?: (box: BoxState) => void,
): string | undefined {
  // Places set by hand are part of the stack from now on.
  const { places: _, ...rest } = box;
  const next: BoxState = { ...rest, changed: stack };
  const problem = cannotStand(telling, next);
  if (problem) return problem;
  telling.boxes.set(box.id, next);
  before?.(next);
  regroup(telling, next, on);
  settleRooms(telling, telling.boxes.get(box.id) ?? next, on);
  return undefined;
}

/** After its last body went to another box, a box is no box any more. */
function leaveBehind(telling: Telling, id: string, on: Day): string | undefined {
  const box = telling.boxes.get(id);
  if (!box?.changed || hasBody(box.changed)) return undefined;
  const { changed: _, ...rest } = box;
  telling.boxes.set(id, { ...rest, takenApartOn: on });
  return stillUpon(telling, id);
}

/** Layers of one box make a new one, on its own floor and under its own roof. */
export function madeOf(
  telling: Telling,
  box: BoxState,
  of: { box: string; layers: readonly string[] },
  on: Day,
  parted: string | undefined,
): string | undefined {
  const giver = standingBox(telling.boxes, of.box, on);
  if (typeof giver === 'string') return giver;
  const own = drawnDesign(telling.known.designs, box);
  const design = drawnDesign(telling.known.designs, giver);
  const layers = design?.layers.filter(({ id }) => of.layers.includes(id)) ?? [];
  if (!own || !design || layers.length < of.layers.length || !layers.some(({ kind }) => kind === 'body'))
    return `Box ${giver.label} has no such body to build a box of.`;
  telling.boxes.set(box.id, { ...box, changed: { ...own, layers: [] } });
  for (const [at, layer] of layers.entries()) {
    const now = telling.boxes.get(giver.id) ?? giver;
    const stack = drawnDesign(telling.known.designs, now) ?? design;
    telling.boxes.set(giver.id, { ...now, changed: withoutLayer(stack, layer.id) });
    const problem = carry(telling, giver.id, box.id, layer, at, on, parted);
    if (problem) return problem;
  }
  return leaveBehind(telling, giver.id, on);
}
