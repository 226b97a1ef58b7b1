import type { EntranceState, Feed, Role } from '@yellow-cell/contract';
import { LETS_OUT } from '../../reach/reach.ts';
import { countOf } from '../../say/words.ts';
import type { CompartmentView } from '../../yard/boxView.ts';
import { attemptOf, inRoom } from '../../yard/inRoom.ts';
import type { Fact, Guide, Scene } from './guidance.ts';

/** The room's colony, as entries name it; without bees there is nothing to tell. */
const ofColony = ({ view, room }: Scene) => (room.colony ? inRoom(view.box, room) : undefined);

export function fed(feed: Feed, usual_kg: number) {
  return (scene: Scene): Fact[] => {
    const colony = ofColony(scene);
    const { amount: amount_kg = usual_kg } = scene;
    return colony && amount_kg > 0 ? [{ kind: 'fed', payload: { ...colony, feed, amount_kg } }] : [];
  };
}

/** The room serves from now on as this, where it did not already. */
export const serves =
  (role: Role) =>
  ({ view, room }: Scene): Fact[] =>
    room.role === role
      ? []
      : [{ kind: 'roleSet', payload: { box: view.box.id, role, bays: [...room.bays] } }];

/** Every flight entrance of the room turned; one that is so already is left. */
export const turned =
  (state: EntranceState) =>
  ({ view, room }: Scene): Fact[] =>
    (view.model.compartments[room.position]?.entrances ?? [])
      .filter(
        ({ opening }) => LETS_OUT[opening.state].includes('worker') !== LETS_OUT[state].includes('worker'),
      )
      .map(({ id }): Fact => ({ kind: 'entranceSet', payload: { box: view.box.id, entrance: id, state } }));

export const queenSeen = (scene: Scene): Fact[] => seenIn(scene);

/** She was seen in the highest of the rooms that her bees live in. */
export const queenSeenAbove = (scene: Scene): Fact[] => {
  const { view, room } = scene;
  const floor = ({ position }: CompartmentView) => view.model.compartments[position]?.block.z[0] ?? 0;
  const [highest] = view.compartments
    .filter(({ colony }) => colony && colony.id === room.colony?.id)
    .sort((a, b) => floor(b) - floor(a));
  return seenIn(scene, highest?.bays[0]);
};

function seenIn(scene: Scene, bay?: string): Fact[] {
  const colony = ofColony(scene);
  const [queen] = scene.view.compartments.flatMap((room) =>
    room.colony?.id === scene.room.colony?.id ? room.queens : [],
  );
  const who = { ...(queen ? { queen: queen.id } : {}), ...(bay === undefined ? {} : { bay }) };
  return colony ? [{ kind: 'queenSeen', payload: { ...colony, seen: true, ...who } }] : [];
}

export const eggsSeen = (scene: Scene): Fact[] => {
  const colony = ofColony(scene);
  return colony ? [{ kind: 'eggsSeen', payload: colony }] : [];
};

/** As many as were counted aloud within the step as `cell`. */
export const searched =
  (found: (scene: Scene) => number) =>
  (scene: Scene): Fact[] => {
    const colony = ofColony(scene);
    return colony ? [{ kind: 'wildCellsSearched', payload: { ...colony, found: found(scene) } }] : [];
  };

export const left = (scene: Scene): Fact[] => {
  const colony = ofColony(scene);
  return colony && !scene.room.colony?.outing
    ? [{ kind: 'outingLeft', payload: { ...colony, place: scene.words || 'away', backBy: scene.backBy } }]
    : [];
};

const returned = (scene: Scene): Fact[] => {
  const colony = ofColony(scene);
  return colony && scene.room.colony?.outing ? [{ kind: 'outingReturned', payload: colony }] : [];
};

/** What is entered of those who did not all come home alive, by what was chosen. */
const deaths: Readonly<Record<string, (of: ReturnType<typeof inRoom>) => Fact>> = {
  queen: (of) => ({ kind: 'queenTaken', payload: { ...of, to: 'died', beesRemain: true } }),
  bees: (of) => ({ kind: 'failed', payload: { ...of, reason: 'smothered' } }),
};

function died(scene: Scene): Fact[] {
  const colony = ofColony(scene);
  const death = deaths[scene.choice ?? ''];
  return colony && death ? [death({ ...colony, ...attemptOf(scene.room) })] : [];
}

/** Home again, and what was lost on the way. */
export const cameHome = {
  choice: {
    label: 'How they came',
    options: [
      { key: 'well', label: 'Alive, and quiet' },
      { key: 'queen', label: 'The queen is dead' },
      { key: 'bees', label: 'The bees are dead' },
    ],
  },
  amount: { label: 'Combs that broke', usual: 0, least: 0, most: 40 },
  facts: (scene: Scene): Fact[] => [...returned(scene), ...combsBroke(scene), ...died(scene)],
} satisfies Pick<Guide, 'choice' | 'amount' | 'facts'>;

function combsBroke(scene: Scene): Fact[] {
  const { amount = 0, view, room } = scene;
  if (!room.colony || amount <= 0) return [];
  const payload = { box: view.box.id, colony: room.colony.id };
  return [{ kind: 'noted', payload, note: `${countOf(amount, 'comb')} broke on the way.` }];
}

/** Holes of the part that gave way, closed. */
export const holesClosed = ({ view, room }: Scene): Fact[] =>
  room.openHoles.map(
    (entrance): Fact => ({
      kind: 'entranceSet',
      payload: { box: view.box.id, entrance, state: 'closed' },
    }),
  );

/** The facts of several. */
export const both =
  (...each: readonly ((scene: Scene) => readonly Fact[])[]) =>
  (scene: Scene): Fact[] =>
    each.flatMap((facts) => facts(scene));
