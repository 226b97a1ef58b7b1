import { countOf } from '../../say/words.ts';
import type { Fact, Guide, Scene } from './guidance.ts';

/** The round that the cells are of, where it is known. */
const roundOf = ({ state, run }: Scene) =>
  run.round === undefined ? undefined : state.rounds.get(run.round);

/** A round that was planned is grafted now; one that stands in the record already is left. */
export function grafted(scene: Scene): Fact[] {
  const round = roundOf(scene);
  if (!round?.planned) return [];
  const { id, number, donor, donorQueen, grafts } = round;
  return [
    { kind: 'grafted', payload: { round: id, number, donor, grafts, ...(donorQueen ? { donorQueen } : {}) } },
  ];
}

/** Why so many cannot have been taken on. */
function cannotBe(scene: Scene): string | undefined {
  const round = roundOf(scene);
  if (!round || scene.amount === undefined) return undefined;
  if (round.planned) return `Round ${round.number} is not grafted yet in the record: its count is not kept.`;
  return scene.amount > round.grafts
    ? `Round ${round.number} has ${countOf(round.grafts, 'graft')}: ${scene.amount} cannot have been taken on, and are not kept.`
    : undefined;
}

/** Those that were taken on, counted. */
function counted(scene: Scene): Fact[] {
  const round = roundOf(scene);
  return round && scene.amount !== undefined && cannotBe(scene) === undefined
    ? [{ kind: 'cellsAccepted', payload: { round: round.id, accepted: scene.amount } }]
    : [];
}

/** So many cells of a round, into a finisher. */
const moved = (round: string, cells: number, where: string | undefined): Fact => ({
  kind: 'cellsMoved',
  payload: { round, cells, to: 'finisher', ...(where ? { where } : {}) },
});

/** Counted, and carried on to the finisher. */
function toFinisher(scene: Scene): Fact[] {
  const { run, amount, words } = scene;
  const count = counted(scene);
  return count.length === 0 || run.round === undefined || !amount
    ? count
    : [...count, moved(run.round, amount, words)];
}

/** The round’s cells that are told of nowhere else yet, into this box. */
export function toFinisherHere(scene: Scene): Fact[] {
  const round = roundOf(scene);
  const cells = round?.accepted?.cells;
  if (!round || !cells || round.moved?.some(({ to }) => to === 'finisher')) return [];
  return [moved(round.id, cells, `${scene.view.box.label} ${scene.room.name}`)];
}

/** More cells than such bees start, or feed, well. */
export const tooMany =
  (most: (scene: Pick<Scene, 'constants'>) => number, what: string) =>
  (scene: Pick<Scene, 'constants'> & { cells?: number }): string | undefined =>
    scene.cells !== undefined && scene.cells > most(scene)
      ? `${what} takes ${most(scene)} cells at most; ${scene.cells} are asked of it.`
      : undefined;

const TAKEN = { label: 'Cells taken on', least: 0, most: 1_000, ofRound: true } as const;
export const COUNT: Guide = {
  how: 'Lift the bar, brush no cell, and count the cups with a rim of new wax and a floating larva.',
  skipped: 'The round goes on with a guess, and its rooms are planned by it.',
  amount: TAKEN,
  against: cannotBe,
  facts: counted,
};
/** What carrying them on asks, and enters. */
export const CARRIED_ON = {
  amount: TAKEN,
  words: { label: 'Into which finisher' },
  against: cannotBe,
  facts: toFinisher,
} as const satisfies Partial<Guide>;
