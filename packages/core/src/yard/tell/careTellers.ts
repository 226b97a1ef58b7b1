import type { Day } from '../../calendar/days.ts';
import { sugarIn } from '../../feed/feeds.ts';
import { ofColony, present, standingBox, type Tellers, without } from './telling.ts';

type CareKind =
  | 'strengthSeen'
  | 'wildCellsSearched'
  | 'mitesCounted'
  | 'treated'
  | 'troubleSeen'
  | 'fed'
  | 'stripsPut'
  | 'stripsOut'
  | 'coverSet'
  | 'outingLeft'
  | 'outingReturned'
  | 'suspected'
  | 'suspicionSettled'
  | 'workPutOff'
  | 'noted'
  | 'stung';

/** Counts kept with the colony as it stands; the rest stays in the log. */
const COUNTS_KEPT = 12;

/** Care and observations that change no status. */
export const careTellers: Tellers<CareKind> = {
  strengthSeen: ofColony((colony, { seams, broodFrames }, on) => ({
    ...colony,
    ...(seams === undefined
      ? {}
      : { strength: { on, seams }, counts: [...(colony.counts ?? []), { on, seams }].slice(-COUNTS_KEPT) }),
    ...(broodFrames === undefined ? {} : { broodSeen: { on, frames: broodFrames } }),
  })),

  wildCellsSearched: ofColony((colony, { found, left }, on) => ({
    ...colony,
    searched: { on, found, ...present({ left }) },
  })),

  mitesCounted: ofColony((colony, { method, mites, bees, days }, on) => ({
    ...colony,
    mites: [...(colony.mites ?? []), { on, method, mites, ...present({ bees, days }) }].slice(-COUNTS_KEPT),
  })),

  treated: ofColony((colony, _, on) => ({ ...colony, treatedOn: on })),

  troubleSeen: ofColony((colony, { trouble, over }, on) => {
    const others = (colony.troubles ?? []).filter((each) => each.trouble !== trouble);
    return { ...colony, troubles: over ? others : [...others, { trouble, on }] };
  }),

  fed: ofColony((colony, { feed, amount_kg }, on) => ({
    ...colony,
    fed: { on, feed, amount_kg },
    ...(colony.winter
      ? { winter: { ...colony.winter, fed_kg: colony.winter.fed_kg + sugarIn(feed, amount_kg) } }
      : {}),
  })),

  stripsPut: ofColony((colony, { product, outBy, batch }, on, _, { id }) =>
    outBy <= on
      ? 'Strips come out after the day they are put in.'
      : {
          ...colony,
          strips: [...(colony.strips ?? []), { id, on, product, outBy, ...present({ batch }) }],
          treatedOn: on,
        },
  ),

  // Bees may be gone, and the strips still hang in their combs: nothing but this ends them.
  stripsOut(telling, { payload }, on) {
    const box = standingBox(telling.boxes, payload.box, on);
    if (typeof box === 'string') return box;
    const colony = telling.colonies.get(payload.colony);
    const strips = colony?.strips ?? [];
    const left = payload.strips === undefined ? [] : strips.filter(({ id }) => id !== payload.strips);
    if (!colony || left.length === strips.length) return 'No such strips are in that compartment.';
    const { strips: _, ...rest } = colony;
    telling.colonies.set(colony.id, left.length > 0 ? { ...rest, strips: left } : rest);
    return undefined;
  },

  coverSet: ofColony((colony, { on: covered }, on) =>
    covered ? without(colony, 'coverOffOn') : { ...colony, coverOffOn: colony.coverOffOn ?? on },
  ),

  outingLeft: ofColony((colony, { place, backBy }, on, _, { zone }) =>
    colony.outing
      ? `These bees are out already, at “${colony.outing.place}”.`
      : { ...colony, outing: { on, place, backBy, zone } },
  ),

  outingReturned: ofColony((colony) =>
    colony.outing ? without(colony, 'outing') : 'These bees are not out.',
  ),

  suspected: ofColony((colony, { suspicion, what, confidence }, on) => ({
    ...colony,
    suspicions: [
      ...(colony.suspicions ?? []).filter(({ id }) => id !== suspicion),
      { id: suspicion, what, on, ...present({ confidence }) },
    ],
  })),

  suspicionSettled: ofColony((colony, { suspicion }) => {
    const left = (colony.suspicions ?? []).filter(({ id }) => id !== suspicion);
    if (left.length === (colony.suspicions ?? []).length) return 'There is no such suspicion here.';
    return { ...colony, suspicions: left };
  }),

  workPutOff: ofColony((colony, { work, key, until }, on: Day) => {
    if (until !== null && until <= on) return 'Work is put off to a day that is still to come.';
    const others = (colony.putOff ?? []).filter((each) => each.work !== work || each.key !== key);
    return { ...colony, putOff: [...others, { work, until, ...present({ key }) }] };
  }),

  noted({ boxes, colonies }, { payload }, on) {
    const box = standingBox(boxes, payload.box, on);
    if (typeof box === 'string') return box;
    return payload.colony === undefined || colonies.has(payload.colony)
      ? undefined
      : 'The note is about a colony that does not exist.';
  },

  stung({ boxes }, { payload }, on) {
    const box = standingBox(boxes, payload.box, on);
    return typeof box === 'string' ? box : undefined;
  },
};
