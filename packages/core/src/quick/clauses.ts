import type { DayNamed } from './days.ts';
import { type Fact, isQuestion } from './fact.ts';
import type { PlaceKnown } from './placeNames.ts';
import type { Piece } from './tile.ts';

/** A box that a clause speaks of, with its rooms as they were typed. */
export interface BoxSaid {
  box: PlaceKnown;
  rooms: { typed: string; piece: Piece }[];
  all: boolean;
  piece: Piece | undefined;
}
/** Facts of some rooms on one day. */
export interface Clause {
  boxes: BoxSaid[];
  facts: { fact: Fact; piece: Piece }[];
  days: { named: DayNamed; piece: Piece }[];
}

/** What was said of where: each place that is named after something was said begins a clause of its own. */
export function clausesOf(pieces: readonly Piece[], here: PlaceKnown | undefined): Clause[] {
  const clauses: Clause[] = [];
  let current: Clause = { boxes: [], facts: [], days: [] };
  const begin = (): void => {
    clauses.push(current);
    current = { boxes: [], facts: [], days: [] };
  };
  let box = here;
  for (const piece of pieces) {
    if (piece.is === 'place') {
      const { place } = piece;
      const completes = place.is !== 'box' && current.boxes.length === 1 && isBare(current.boxes[0]);
      if (current.boxes.length > 0 && current.facts.length > 0 && !completes) begin();
      if (place.is === 'box') {
        const [first] = current.boxes;
        if (first && first.piece === undefined && current.boxes.length === 1 && current.facts.length === 0) {
          // “west b7”: the room was named before its box.
          box = place.box;
          current.boxes = [{ ...first, box, piece }];
          continue;
        }
        box = place.box;
        current.boxes.push({ box, rooms: [], all: false, piece });
        continue;
      }
      const last = current.boxes.at(-1) ?? (box && { box, rooms: [], all: false, piece: undefined });
      if (!last) {
        current.boxes.push({
          box: NOWHERE,
          rooms: place.is === 'room' ? [{ typed: place.typed, piece }] : [],
          all: place.is === 'all',
          piece: undefined,
        });
        continue;
      }
      if (current.boxes.length === 0) current.boxes.push(last);
      if (place.is === 'all') last.all = true;
      else last.rooms.push({ typed: place.typed, piece });
    } else if (piece.is === 'said' && !isQuestion(piece.said)) {
      for (const fact of piece.said) current.facts.push({ fact, piece });
    } else if (piece.is === 'day') current.days.push({ named: piece.named, piece });
  }
  clauses.push(current);
  return clauses;
}
/** “b7 eggs w”: the room comes after what was seen in it. */
const isBare = (said: BoxSaid | undefined): boolean => said?.rooms.length === 0 && !said.all;

/** Stands where a room is named and no box is. */
export const NOWHERE: PlaceKnown = { label: '', compartments: [], dividers: 0 };
