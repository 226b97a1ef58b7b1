/** A box that a line may name, with its rooms as they are called. */
export interface PlaceKnown {
  label: string;
  compartments: readonly string[];
  /** How many dividers may be pulled and set, from the left. */
  dividers: number;
  /** Of its rooms, those that bees live in; “all” means these. Left out, it means every room. */
  living?: readonly string[];
}
export interface PlaceNames {
  byLabel: ReadonlyMap<string, PlaceKnown>;
  /** Every name of a room, once. */
  rooms: readonly string[];
}

export function placeNames(places: readonly PlaceKnown[]): PlaceNames {
  return {
    byLabel: new Map(places.map((place) => [squash(place.label), place])),
    rooms: [...new Set(places.flatMap(({ compartments }) => compartments))],
  };
}

/** As a label is compared: the case and doubled spaces do not matter. */
export const squash = (label: string): string => label.trim().toLowerCase().replaceAll(/\s+/g, ' ');
