import { gap } from './gap.ts';
import type { Passage } from './passages.ts';
import type { Space } from './spaces.ts';

/** Rooms for frames that are one compartment: one above another, or in columns that a rim joins (handbook 2, family 12). */
export interface Storeys {
  spaces: readonly Space[];
  /** Rims that open to it and to no other compartment: bees cross there, and come in by their entrances. */
  rims: readonly Space[];
}

/** From below, as the bodies stand in the stack. `framed` are the rooms for frames of each body, those parted by a dummy only together. */
export function storeysOf(
  framed: readonly (readonly Space[])[],
  spaces: readonly Space[],
  passages: readonly Passage[],
): Storeys[] {
  const open = passages.filter(
    ({ reason, gap_mm }) => reason === 'joint' && gap({ gap_mm }).passes.includes('queen'),
  );
  const joins = (a: readonly Space[], b: readonly Space[]): boolean =>
    open.some(({ between }) => holds(a, between) && holds(b, between));
  const rims = spaces.filter(({ kind }) => kind === 'rim');
  const stacked = stackedRooms(framed, joins);
  const crossed = rims
    .filter(isWhole)
    .reduce<readonly (readonly Space[])[]>((groups, rim) => joinedBy(rim, groups, joins), stacked);
  return crossed.map((group) => ({
    spaces: spaces.filter((space) => group.includes(space)),
    rims: rims.filter((rim) => {
      const into = crossed.filter((each) => joins([rim], each));
      return into.length === 1 && into[0] === group;
    }),
  }));
}

const holds = (group: readonly Space[], ids: readonly string[]): boolean =>
  group.some(({ id }) => ids.includes(id));
const isWhole = ({ column }: Space): boolean => !column?.left && !column?.right;

type Joins = (a: readonly Space[], b: readonly Space[]) => boolean;

/** Rooms one above another with nothing between them are one compartment; with a sheet or an excluder they are two. */
function stackedRooms(framed: readonly (readonly Space[])[], joins: Joins): Space[][] {
  const groups: Space[][] = [];
  for (const group of framed) {
    const under = groups.find((lower) => joins(lower, group));
    if (under) under.push(...group);
    else groups.push([...group]);
  }
  return groups;
}

/** Bodies without a divider that open into the same rim are one compartment; over a divided body the rim is a fault that the checks name. */
function joinedBy(rim: Space, groups: readonly (readonly Space[])[], joins: Joins): (readonly Space[])[] {
  const at = groups.filter((group) => group.every(isWhole) && joins([rim], group));
  const [first, ...more] = at;
  if (!first || more.length === 0) return [...groups];
  return groups.flatMap((group) => (group === first ? [at.flat()] : at.includes(group) ? [] : [group]));
}
