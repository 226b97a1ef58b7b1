import type { Family } from '@yellow-cell/contract';

/** The fifteen families (handbook 2): what each is for, what is its own, and where practitioners differ (handbook 9). */
export interface FamilyCard {
  family: Family;
  name: string;
  purpose: string;
  school: string;
  /** What no other family has. */
  own: { part: string; space: string; checks: readonly string[] };
}

const card = (
  family: Family,
  name: string,
  purpose: string,
  school: string,
  part: string,
  space: string,
  ...checks: string[]
): FamilyCard => ({ family, name, purpose, school, own: { part, space, checks } });

export const families: readonly FamilyCard[] = [
  card(
    'nucleus',
    'Five-frame nucleus',
    'One small colony, alone or two storeys high',
    'Four to five frames become a colony; two or three are cheaper in bees',
    'floor and cover that fit every storey',
    'room for a second storey',
    'storeyStacks',
  ),
  card(
    'twoWayNucleus',
    'Two-way nucleus',
    'Two queens to mate in five frames’ width',
    'Two frames are quick and cheap in bees, but leave no room to put right a weak one',
    'divider that lifts out of a narrow body',
    'halves of two frames',
    'oppositeEnds',
  ),
  card(
    'twoWayBody',
    'Two-way full body',
    'Two colonies to mate, or to winter as a pair',
    'Pairs over a divider warm each other; others reduce each alone',
    'floor with an entrance each side',
    'halves of four or five frames',
    'pairAlike',
  ),
  card(
    'threeWay',
    'Three-way full body',
    'Three queens to mate, room to swap frames',
    'The default here: three frames are enough to correct and to winter',
    'middle room between two dividers',
    'a compartment that touches no side wall',
    'middleEnd',
  ),
  card(
    'fourWay',
    'Four-way full body',
    'Four queens; becomes five and five, then a plain ten',
    'Only fits with thin dividers and tight frames',
    'outer dividers that are pulled first',
    'two inner compartments of two frames',
    'converts',
  ),
  card(
    'donorHolding',
    'Donor holding box',
    'Keeps the donor confined while her colony does other work',
    'Held beside flying bees, or above them for a day or two',
    'excluder set into the divider',
    'the queen’s shut side',
    'workersPass',
    'flyingSide',
  ),
  card(
    'allInOne',
    'All-in-one rearing box',
    'Starts and finishes cells beside the donor’s brood',
    'One strong colony for all, or a starter and a finisher apart',
    'partition that is an excluder throughout',
    'the grafts’ side',
    'excluderPartition',
    'doorEach',
  ),
  card(
    'starter',
    'Shake-in starter',
    'Crowded, queenless bees that start the grafts',
    'Closed for a day, or an open starter in a full colony',
    'graft bar',
    'hanging room over a mesh floor',
    'starterAir',
    'starterFed',
    'graftBar',
    'starterShut',
  ),
  card(
    'quarter',
    'Quarter-footprint box',
    'Four stand on one body, as supers or mating boxes',
    'Two storeys high they winter; others unite them',
    'quarter bodies side by side',
    'four rooms on one level',
    'fourMakeOne',
  ),
  card(
    'smallFormat',
    'Small-format box',
    'Mates queens with little; also from a printer',
    'Fewest bees for a queen; needs the most care',
    'parts printed on a heated bed, tray below',
    'room over the sliding tray',
    'printBed',
  ),
  card(
    'foldedSheet',
    'Folded sheet nucleus',
    'Carries or posts a small colony',
    'Returned, or sold with the bees',
    'folded sheet with taped seams',
    'room between mesh windows',
    'foldMarked',
    'seamsTaped',
    'framesGuided',
  ),
  card(
    'observation',
    'Observation box',
    'Shows bees and queen behind glass',
    'One shown frame, a whole box with a lifting top, or a standing wall of one or two columns',
    'panes',
    'room between two panes',
    'viewing',
  ),
  card(
    'bank',
    'Queen bank',
    'Keeps caged mated queens among nurses',
    'Attendants outside the cages at home, inside for the post',
    'bank frame in the room of two',
    'room around the cages',
    'bankPlace',
    'noFreeQueen',
  ),
  card(
    'changer',
    'Two-format changer',
    'Moves a colony from a smaller frame to a larger',
    'Bees draw the large combs above, or the old combs are cut in',
    'end cheeks',
    'voids behind the cheeks',
    'cheeksFit',
    'doorBetween',
  ),
  card(
    'followerReduced',
    'Follower-reduced body',
    'Winters few frames in a large body',
    'A tight follower for winter, a dummy in season',
    'follower that closes on four edges',
    'void behind the follower',
    'voidShut',
  ),
];

export const familyName = (family: Family): string =>
  families.find((each) => each.family === family)?.name ?? family;
