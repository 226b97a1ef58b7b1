import { countOf } from '../../say/words.ts';
import { syrup, WILD_CELLS } from './amounts.ts';
import { canFly, firstOf, hasBees, isShut, queenKnown } from './checks.ts';
import { cameHome, eggsSeen, holesClosed, left, queenSeen, queenSeenAbove, serves, turned } from './facts.ts';
import type { Guidance } from './guidance.ts';

const LIFT =
  'A full deep body weighs 35 to 40 kg: over 20 kg two people or a barrow, straps on before it moves.';

export const formatChange: Guidance = {
  steps: {
    below: {
      how: 'Cheeks fill the body to the old frame’s width and length, a bee space all round.',
      skipped: 'Combs are built into the open space.',
      facts: serves('changing'),
    },
    above: {
      how: 'Foundation edge to edge, no excluder yet, walls on walls. Enter the body as put on, on the box.',
      at: 'box',
      skipped: 'The clock of the change begins with it.',
      caution: LIFT,
    },
    syrup: {
      how: '1:1, all along, also in a flow: wax is built on it.',
      skipped: 'Foundation stays as it is, or is gnawed.',
      ...syrup(2.5),
    },
    drawn: {
      how: 'Ten to fourteen days. Lift the lid, look between the two middle frames.',
      skipped: 'On bare foundation she is put where she cannot lay.',
      wrong: 'Not drawn: feed on, put one old comb of brood above to draw them up.',
    },
    queenUp: {
      how: 'Find her below, put her on a drawn comb above; an excluder that fits the new body between.',
      where: 'The queen above, seen there before the lid goes on.',
      skipped: 'She lays on below, and the old combs never run empty.',
      against: queenKnown,
      facts: queenSeenAbove,
    },
    entrance: {
      how: 'A hole in the rim or body above the excluder: drones above cannot pass it.',
      skipped: 'Drones die in the excluder, and block it.',
    },
    hatched: {
      how: '21 days for workers, 24 for drones, from the day that she went up. Look: nothing sealed below.',
      skipped: 'Brood is thrown away with the comb.',
      wrong: 'Eggs below: she is there, or two queens are. Find out before anything goes.',
    },
    taken: {
      at: 'box',
      how: 'Shake its bees before the entrance, its combs to the melter or to stores.',
      skipped: 'Old combs stay with them.',
      caution: LIFT,
    },
    delivered: {
      atDusk: true,
      how: 'On the new frames alone, strapped, at dusk.',
      where: 'The queen with them.',
      skipped: 'It stays here.',
      against: queenKnown,
      facts: serves('growing'),
    },
  },
};

export const carrying: Guidance = {
  steps: {
    rules: {
      how: 'Inspection, registration and movement rules differ by country: the inspector or vet decides. The carrier’s own rules for live animals too.',
      skipped: 'Disease travels with combs, and a load may be stopped.',
    },
    frames: {
      how: 'Guides at their feet, a follower screwed or wedged; nothing moves when it is tilted.',
      skipped: 'A frame that swings crushes bees, and her.',
    },
    dusk: {
      atDusk: true,
      how: 'After flight, or before dawn. Within 3 km fliers go home: leave a box to catch them, or go beyond 5 km.',
      skipped: 'Fliers are left behind.',
      against: hasBees,
      facts: turned('closed'),
      shut: 'travel',
      shuts: true,
    },
    flaps: {
      how: 'Air on two sides at least, as a load beside it may cover one.',
      skipped: 'Without air they smother within the hour.',
      against: isShut,
      shut: 'travel',
    },
    strapped: {
      how: 'Floor, body and roof in one strap, label with “live bees” and this side up.',
      skipped: 'It opens on the first kerb.',
      caution: `${LIFT} Bees in vehicles: secured, ventilated, insured.`,
    },
    left: {
      how: 'In shade, no stop in the sun, water at hand.',
      skipped: 'Nobody knows since when they are shut.',
      words: { label: 'Where to' },
      home: true,
      against: firstOf(hasBees, isShut),
      facts: left,
      shut: 'travel',
    },
    arrived: {
      how: 'A sprinkle of water on the mesh, a look at the frames through it.',
      skipped: 'Whether they live is not on record.',
      wrong:
        'A frame broke or she is lost: enter it here, take a picture for the sender, and take the comb out.',
      at: 'frames',
      ...cameHome,
    },
    opened: {
      atDusk: true,
      how: 'On its stand, at dusk, a branch before the entrance.',
      skipped: 'Shut for more than three days they want feed, water and air.',
      facts: turned('open'),
    },
  },
};

export const joining: Guidance = {
  against: ({ room }) => (room.colony ? undefined : 'There are no bees in this room to keep it.'),
  steps: {
    keeper: {
      how: 'The better pattern stays. The other goes to a bank, a colony, or is culled: enter her as taken.',
      at: 'room',
      where: 'One queen left among those who are joined.',
      skipped: 'They fight it out, and the better may lose.',
      against: ({ room }) =>
        room.queens.length > 1 ? `${room.queens.length} queens are known to be in this room.` : undefined,
    },
    covers: {
      how: 'One lid at a time, each looked under before it is laid aside.',
      skipped: 'A queen walks across, or is lost under a lid.',
    },
    pulled: {
      how: 'Towards evening, slowly, straight up; frames pushed together, broods beside one another. Enter the board as pulled, on the box.',
      at: 'box',
      where: 'The queen that stays on a comb in the middle.',
      against: ({ view }) =>
        (view.box.pulled ?? []).length > 0 ? undefined : 'No board of this box is recorded as pulled.',
      skipped: 'They stay two.',
      wrong: 'They fight: smoke, thin syrup, a sheet of paper where the board was.',
    },
    holes: {
      how: 'One colony defends one entrance: plug those of the part that gave way.',
      skipped: 'Robbers come in by the back.',
      facts: holesClosed,
    },
    fed: {
      how: 'A little, inside, at dusk.',
      skipped: 'In a dearth they rob one another.',
      ...syrup(0.5),
    },
    look: {
      how: 'After a week: bees that dislike the new smell raise a wild cell. Take it down, look again.',
      skipped: 'A wild virgin may supersede the queen that was chosen.',
      ...WILD_CELLS,
    },
  },
};

export const parting: Guidance = {
  against: ({ room }) => (room.colony ? undefined : 'There are no bees in this room to part.'),
  steps: {
    strength: {
      how: 'Count the seams of each from above, on a mild day.',
      skipped: 'Two that are too small dwindle both.',
      against: ({ room: { colony }, constants: { smallSeams } }) => {
        const seams = colony?.strength?.seams;
        if (seams === undefined) return 'Their seams were not counted.';
        return seams < smallSeams
          ? `${countOf(seams, 'seam')} only when they were counted last; below ${smallSeams} a colony is small.`
          : undefined;
      },
    },
    queen: {
      how: 'See her, or know by eggs on which side she is.',
      where: 'Each queen on her own side.',
      skipped: 'One part is without a queen, and nobody knows which.',
      against: queenKnown,
      facts: queenSeen,
    },
    board: {
      how: 'Down into its groove, tight at both ends, above and below. Enter it as set, on the box.',
      at: 'box',
      against: ({ room, run }) =>
        room.bays.length < run.bays.length || run.bays.length === 1
          ? undefined
          : 'No board is recorded as set in this room since this was begun.',
      skipped: 'They stay one.',
    },
    entrance: {
      how: 'On different sides, marked unlike.',
      skipped: 'A part that cannot fly is shut in; two that look alike drift together.',
      against: canFly,
    },
    fed: {
      how: 'A frame of stores each, or thin syrup.',
      skipped: 'The weaker part starves in the first cold week.',
      ...syrup(1),
    },
    look: {
      how: 'Eggs in both after a week; the one without gets a cell or a queen.',
      skipped: 'A part without a queen is seen too late.',
      facts: eggsSeen,
    },
  },
};
