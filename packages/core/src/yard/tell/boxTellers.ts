import type { BoxState } from '@yellow-cell/contract';
import { designProblems } from '../../box/designProblems.ts';
import { bayPartedBy } from '../../box/handPlace.ts';
import { bodyWith } from '../../box/parts.ts';
import { bayIdsOf, baysOf, bodiesOf, sheetsOf } from '../../box/stack.ts';
import type { Day } from '../../calendar/days.ts';
import { designOf, drawnDesign, livingIn } from '../compartments.ts';
import { partBay, regroup, settleRooms } from '../regroup.ts';
import { firstOf } from '../things.ts';
import { madeOf } from './stackTellers.ts';
import { ofBox, present, standingBox, stillUpon, type Tellers, type Telling, wholly } from './telling.ts';

type BoxKind =
  | 'boxBuilt'
  | 'boxPlaced'
  | 'boxStacked'
  | 'boxTakenApart'
  | 'roleSet'
  | 'buildTicked'
  | 'boxInspected'
  | 'dividerSet'
  | 'boardMoved'
  | 'boardPlaced'
  | 'slotSet'
  | 'entranceSet'
  | 'ventSet'
  | 'holeSet'
  | 'weighed'
  | 'temperatureRead';

/** Weights kept with the box as it stands; the rest stays in the log. */
const WEIGHTS_KEPT = 8;

export const boxTellers: Tellers<BoxKind> = {
  boxBuilt(telling, { payload }, on) {
    const { boxes, known } = telling;
    if (boxes.has(payload.box)) return `Box ${payload.label} was already built.`;
    const design = known.designs.get(payload.design);
    if (!design) return `Box ${payload.label} names a design that does not exist.`;
    if (!design.versions.some(({ number }) => number === payload.version))
      return `“${design.name}” has no version ${payload.version}.`;
    const { box: id, of, parted, ...rest } = payload;
    const box: BoxState = { id, ...rest, builtOn: on };
    if (!of) {
      boxes.set(id, box);
      return undefined;
    }
    return wholly(telling, () => {
      boxes.set(id, box);
      return madeOf(telling, box, of, on, parted);
    });
  },

  boxPlaced(telling, { payload: { box: id, ...spot } }, on) {
    const box = standingBox(telling.boxes, id, on);
    if (typeof box === 'string') return box;
    if (!telling.known.yards.has(spot.yard))
      return `Box ${box.label} was put into a yard that does not exist.`;
    const { onto: _, ...alone } = box;
    place(telling, alone, { ...spot, since: on });
    return undefined;
  },

  boxStacked(telling, { payload: { box: id, onto } }, on) {
    const box = standingBox(telling.boxes, id, on);
    if (typeof box === 'string') return box;
    const { onto: _, ...alone } = box;
    if (onto === null) {
      if (!box.onto) return `Box ${box.label} stands on no other box.`;
      telling.boxes.set(id, alone);
      return undefined;
    }
    const below = standingBox(telling.boxes, onto, on);
    if (typeof below === 'string') return below;
    for (
      let each: BoxState | undefined = below;
      each;
      each = each.onto ? telling.boxes.get(each.onto) : undefined
    )
      if (each.id === id) return `Box ${below.label} stands on box ${box.label} itself.`;
    const crowded = firstOf(telling.boxes, (other) => other.onto === onto && other.id !== id);
    if (crowded) return `Box ${crowded.label} stands on box ${below.label} already.`;
    const stacked = { ...alone, onto };
    telling.boxes.set(id, stacked);
    if (below.place) place(telling, stacked, { ...below.place, since: on });
    return undefined;
  },

  boxTakenApart: ofBox((box, _, on, telling) => {
    if (livingIn(telling.colonies, box).length > 0) return `Box ${box.label} still holds bees.`;
    return stillUpon(telling, box.id) ?? { ...box, takenApartOn: on };
  }),

  roleSet(telling, { payload, occurredAt, zone }, on) {
    const box = standingBox(telling.boxes, payload.box, on);
    if (typeof box === 'string') return box;
    const drawn = drawnDesign(telling.known.designs, box);
    const has = drawn ? bayIdsOf(drawn) : [];
    if (payload.bays?.some((bay) => !has.includes(bay))) return `Box ${box.label} has no such room.`;
    const set = { role: payload.role, since: on, at: occurredAt, zone, ...present({ bays: payload.bays }) };
    telling.boxes.set(box.id, { ...box, roles: [...(box.roles ?? []), set] });
    return undefined;
  },

  buildTicked: ofBox((box, { step, done }, on) => {
    const { [step]: _, ...others } = box.buildSteps ?? {};
    return { ...box, buildSteps: done ? { ...others, [step]: on } : others };
  }),

  boxInspected: ofBox((box, { finish, condition, missing }, on) => ({
    ...box,
    inspected: { on, finish, condition, missing },
  })),

  dividerSet: (telling, event, on) =>
    ofBox<'dividerSet'>((box, { board, stands }, on) => {
      if (!hasPart(telling, box, 'board', board)) return `Box ${box.label} has no divider of that name.`;
      const pulled = box.pulled ?? [];
      if (!pulled.includes(board) === stands)
        return `That divider of box ${box.label} ${stands ? 'stands' : 'is out'} already.`;
      const next = {
        ...box,
        pulled: toggled(pulled, board, !stands),
        ...(stands ? {} : { pulledOn: on }),
      };
      return (stands && unsound(telling, next)) || next;
    })(telling, event, on) ?? settleBees(telling, event.payload.box, on),

  boardMoved: (telling, event, on) =>
    ofBox<'boardMoved'>((box, { board, groove }) => {
      const drawn = drawnDesign(telling.known.designs, box);
      const body = drawn && bodyWith(drawn, board);
      if (!body?.grooves.some(({ id }) => id === groove))
        return `Box ${box.label} has no such place for that board.`;
      if ((box.pulled ?? []).includes(board)) return `That board of box ${box.label} is out; set it first.`;
      const standsIn = (each: { id: string; groove: string }) => box.grooves?.[each.id] ?? each.groove;
      const other = body.boards.find(
        (each) => each.id !== board && !(box.pulled ?? []).includes(each.id) && standsIn(each) === groove,
      );
      if (other) return `Another board stands in that place of box ${box.label}.`;
      const next = { ...box, grooves: { ...box.grooves, [board]: groove } };
      return unsound(telling, next) ?? next;
    })(telling, event, on) ?? settleBees(telling, event.payload.box, on),

  boardPlaced: (telling, event, on) =>
    ofBox<'boardPlaced'>((box, { box: _, ...place }) => {
      const drawn = drawnDesign(telling.known.designs, box);
      const parted = drawn && bayPartedBy(drawn, place);
      if (!parted) return `Nothing is known of how box ${box.label} is drawn.`;
      if ('problem' in parted) return `Box ${box.label}: ${parted.problem}`;
      const next = {
        ...box,
        places: [...(box.places ?? []), place],
        grooves: { ...box.grooves, [place.board]: place.groove },
        ...(box.pulled ? { pulled: toggled(box.pulled, place.board, false) } : {}),
      };
      const problem = unsound(telling, next);
      if (problem) return problem;
      partBay(telling, next, parted.bay, place.bay);
      return next;
    })(telling, event, on) ?? settleBees(telling, event.payload.box, on),

  slotSet: ofBox((box, { slot, holds }, _, telling) => {
    const drawn = drawnDesign(telling.known.designs, box);
    if (!drawn || !baysOf(drawn).some(({ frames }) => frames.some(({ id }) => id === slot)))
      return `Box ${box.label} has no such place for a frame.`;
    const stands = firstOf(telling.frames, ({ at }) => at?.box === box.id && at.slot === slot) !== undefined;
    if (stands && holds === 'feeder')
      return `A frame stands in that place of box ${box.label}: take it out first.`;
    return { ...box, slots: { ...box.slots, [slot]: holds } };
  }),

  entranceSet: (telling, event, on) =>
    ofBox<'entranceSet'>((box, { entrance, state }) =>
      hasPart(telling, box, 'entrance', entrance)
        ? { ...box, entranceStates: { ...box.entranceStates, [entrance]: state } }
        : `Box ${box.label} has no entrance of that name.`,
    )(telling, event, on) ?? settleBees(telling, event.payload.box, on),

  ventSet: ofBox((box, { vent, open }, _, telling) =>
    hasPart(telling, box, 'vent', vent)
      ? { ...box, ventsShut: toggled(box.ventsShut ?? [], vent, !open) }
      : `Box ${box.label} has no vent of that name.`,
  ),

  holeSet: (telling, event, on) =>
    ofBox<'holeSet'>((box, { hole, closedBy }) =>
      hasPart(telling, box, 'hole', hole)
        ? { ...box, holes: { ...box.holes, [hole]: closedBy } }
        : `Box ${box.label} has no hole of that name in a cover.`,
    )(telling, event, on) ?? settleBees(telling, event.payload.box, on),

  weighed: ofBox((box, { weight_kg, felt }, on) => ({
    ...box,
    weights: [...(box.weights ?? []), { on, weight_kg, felt }].slice(-WEIGHTS_KEPT),
  })),

  temperatureRead: ofBox((box, { inside_C }, on) => ({ ...box, temperature: { on, inside_C } })),
};

/** Why a box cannot stand so: boards that would run into one another or through a wall. */
function unsound({ known }: Telling, next: BoxState): string | undefined {
  const design = designOf(known.designs, next);
  const [problem] = design ? designProblems(design) : [];
  return problem && `Box ${next.label} cannot stand so. ${problem.sentence}`;
}

/** Puts a box somewhere, and with it whatever stands on it. */
function place(telling: Telling, box: BoxState, spot: NonNullable<BoxState['place']>): void {
  telling.boxes.set(box.id, { ...box, ...present({ place: spot }) });
  for (const upon of [...telling.boxes.values()]) if (upon.onto === box.id) place(telling, upon, spot);
}

/** After a board or a disc has moved: who lives with whom, and who is shut in. */
function settleBees(telling: Telling, id: string, on: Day): undefined {
  const box = telling.boxes.get(id);
  if (!box) return;
  regroup(telling, box, on);
  settleRooms(telling, box, on);
}

function hasPart(
  { known }: Telling,
  box: BoxState,
  kind: 'board' | 'entrance' | 'vent' | 'hole',
  id: string,
): boolean {
  const drawn = drawnDesign(known.designs, box);
  if (!drawn) return false;
  const bodies = bodiesOf(drawn);
  const parts = {
    board: () => bodies.flatMap(({ boards }) => boards),
    entrance: () => bodies.flatMap(({ entrances }) => entrances),
    vent: () => bodies.flatMap(({ vents }) => vents),
    hole: () => sheetsOf(drawn).flatMap(({ holes }) => holes),
  }[kind]();
  return parts.some((part) => part.id === id);
}

/** In a list of ids kept in order, so that the same parts give the same list. */
const toggled = (list: readonly string[], id: string, isIn: boolean): string[] => {
  const others = list.filter((each) => each !== id);
  return isIn ? [...others, id].sort() : others;
};
