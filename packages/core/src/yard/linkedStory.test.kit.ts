import type { Body, EntryOf, EventKind, LogEvent } from '@yellow-cell/contract';
import { emptyBody } from '../box/plainParts.ts';
import { bodiesOf } from '../box/stack.ts';
import { plusDays } from '../calendar/days.ts';
import { seededRandom } from '../random.ts';
import { chronicle, fold, foldOn } from './fold.ts';
import { bays, DESIGN, known, threeWayDesign, told, YARD } from './story.test.kit.ts';

export { DESIGN, YARD };

const [first] = threeWayDesign().versions.flatMap(({ content }) => bodiesOf(content));
const slots = first?.bays.flatMap(({ frames }) => frames.map(({ id }) => id)) ?? [];
const boards = first?.boards.map(({ id }) => id) ?? [];
const grooves = first?.grooves.map(({ id }) => id) ?? [];
/** A storey of its own, with a room and its combs. */
const upper = (id: string): Body => {
  const body = emptyBody(id, `bay-${id}`, first as Body);
  const bays = body.bays.map((bay) => ({ ...bay, frames: combs(id, first?.bays[0]?.frames.length ?? 3) }));
  return { ...body, bays };
};
const combs = (id: string, count: number) =>
  Array.from({ length: count }, (_, index) => ({ id: `slot-${id}-${index}`, holds: 'comb' as const }));

const spotBy = (step: number) => ({
  yard: YARD,
  stand: String(step),
  east_m: step,
  north_m: 1,
  bearing_deg: 90,
});

/** Boxes of a linked story, built and placed. */
export const built = (boxes: readonly string[]): LogEvent[] =>
  boxes.flatMap((box, index) => [
    told('boxBuilt', '2026-04-01', { box, label: `B${index + 1}`, design: DESIGN, version: 1 }),
    told('boxPlaced', '2026-04-02', { box, ...spotBy(index) }),
  ]);

/** Three boxes that share bees, queens, combs and storeys, by chance: mostly of what is there, and some of it cannot be. Things bear the names that `call` gives them. */
export function linkedStory(seed: number, call: (name: string) => string = (name) => name): LogEvent[] {
  const random = seededRandom(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const named = (kind: string, count: number) =>
    Array.from({ length: count }, (_, index) => call(`${kind}-${index + 1}`));
  const boxes = named('box', 3);
  const [colonies, queens, frames] = [named('colony', 12), named('queen', 6), named('frame', 3)];
  const events = built(boxes);
  let state = fold(known, events);
  const bees = (): { box: string; colony: string } => {
    const living = [...state.colonies.values()].filter(({ ended }) => !ended);
    const one = random() < 0.85 && living.length > 0 ? pick(living) : undefined;
    return one ? { box: one.box, colony: one.id } : { box: pick(boxes), colony: pick(colonies) };
  };
  const queenAt = () => {
    const living = [...state.queens.values()].filter(({ gone }) => !gone);
    const one = random() < 0.8 && living.length > 0 ? pick(living) : undefined;
    return { queen: one?.id ?? pick(queens), from: one ? { box: one.box, colony: one.colony } : bees() };
  };
  const roomIn = (box: string): string => {
    const layers = state.boxes.get(box)?.changed?.layers ?? [];
    const added = layers.flatMap((layer) => (layer.kind === 'body' ? layer.bays.map(({ id }) => id) : []));
    return pick([...bays, ...added]);
  };
  const storeyOf = (box: string): string =>
    pick(state.boxes.get(box)?.changed?.layers.map(({ id }) => id) ?? ['none']);
  for (let step = 0; step < STEPS; step++) {
    const on = plusDays('2026-05-01', Math.floor(step / 2));
    const more = { hour: 8 + (step % 2) * 8 };
    const [of, other, { queen, from }] = [bees(), bees(), queenAt()];
    const [box, onto] = [pick(boxes), pick(boxes)];
    const [frame, slot] = [pick(frames), pick(slots)];
    const seen = random() < 0.5;
    const at = state.frames.get(frame)?.at ?? null;
    const moves = [{ frame, from: at, to: seen || !at ? { box: onto, slot } : null, turned: seen }];
    const beyond = call('box-beyond');
    const parted = call(`parted-${step}`);
    const layer = upper(`up-${step}`);
    const say = <K extends EventKind>(kind: K, payload: EntryOf<K>['payload']) =>
      (() => told(kind, on, payload, more)) as () => LogEvent;
    const shared = [
      say('stocked', { ...stock(box, pick(colonies), roomIn(box)), giver: other }),
      say('stocked', { ...stock(of.box, of.colony, roomIn(of.box)), giver: other }),
      say('queenGiven', { ...of, queen, what: 'mated', caged: seen, from }),
      say('queenTaken', { ...from, queen, to: 'bank', beesRemain: true, bank: other }),
      say('combined', { ...of, intoBox: other.box, into: other.colony }),
      say('colonyMoved', { ...of, toBox: box, bays: [roomIn(box)] }),
      say('boxStacked', { box, onto: random() < 0.7 ? onto : null }),
      say('layerPut', { box, layer, at: 1 }),
      say('layerTaken', { box, layer: storeyOf(box), to: { box: onto, at: 1 }, parted }),
      say('framesMoved', { moves, purpose: 'other' }),
      say('cellGiven', { ...of, attempt: call(`attempt-${step}`) }),
      say('queenGiven', { ...of, queen: pick(queens), what: 'virgin', caged: false }),
      say('queenTaken', { ...from, queen, to: 'aside', beesRemain: true, backBy: plusDays(on, 5) }),
      say('failed', { ...of, reason: pick(['robbed', 'virginLost'] as const) }),
    ];
    const alone = [
      say('eggsSeen', of),
      say('patternScored', { ...of, pattern_pct: 80 }),
      say('roleSet', { box, role: pick(['bank', 'mating'] as const) }),
      say('boxPlaced', { box, ...spotBy(step) }),
      say('queenSeen', { ...of, seen }),
      say('dividerSet', { box, board: pick(boards), stands: seen }),
      say('boardMoved', { box, board: pick(boards), groove: pick(grooves) }),
      say('boardPlaced', {
        box,
        board: pick(boards),
        at_mm: Math.round(random() * 370),
        framesLeft: Math.floor(random() * 4),
        groove: `groove-${step}`,
        bay: `bay-${step}`,
      }),
      say('slotSet', { box, slot, holds: seen ? 'feeder' : 'comb' }),
      say('strengthSeen', { ...of, seams: Math.round(random() * 5) }),
      say('fed', { ...of, feed: 'syrup11', amount_kg: 0.5 }),
      say('frameAudited', { ...of, frame, slot: pick(slots), sides: [{ sealed: 0.5 }, {}] }),
      say('boxBuilt', {
        box: beyond,
        label: 'B9',
        design: DESIGN,
        version: 1,
        of: { box, layers: [storeyOf(box)] },
        parted,
      }),
      say('boxTakenApart', { box: beyond }),
    ];
    const event = pick(random() < 0.75 ? shared : alone)();
    events.push(event);
    state = foldOn(state, known, chronicle([event]));
  }
  return events;
}
const STEPS = 160;

const stock = (box: string, colony: string, bay: string) => ({
  box,
  colony,
  bays: [bay],
  frames: { sealedBrood: 1, stores: 1, drawn: 1 },
  shakes: 1,
  openBrood: false,
});
