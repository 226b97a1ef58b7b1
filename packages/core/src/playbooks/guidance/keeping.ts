import { syrup, WILD_CELLS } from './amounts.ts';
import { hasBees, noFreeQueen } from './checks.ts';
import { serves } from './facts.ts';
import type { Guidance } from './guidance.ts';

export const bank: Guidance = {
  against: ({ room }) =>
    room.colony ? undefined : 'A bank is a full body of bees; there are none in this room.',
  steps: {
    noQueen: {
      how: 'Eight frames of bees. Look over every frame and the walls; a free queen, or a virgin, ends the caged ones.',
      where: 'No queen walks free in it.',
      skipped: 'A free queen has the cages starved or stung through.',
      against: noFreeQueen,
      facts: serves('bank'),
    },
    brood: {
      how: 'A frame about to emerge and some open brood; each frame shaken clean and searched.',
      skipped: 'Nurses age in a fortnight, and a wild cell emerges unseen.',
      ...WILD_CELLS,
    },
    room: {
      how: 'In the room of two frames, brood on both sides of it.',
      skipped: 'At the edge the outer cages are left cold.',
    },
    wait: {
      how: 'Let them feel that they have none; then they feed every queen that calls.',
      skipped: 'Bees that still smell their queen bite at the cages.',
    },
    caged: {
      how: '40 to 60 in a frame, mesh towards the bees, each with a retreat and its place: enter each by “Queen given”, with her cage.',
      at: 'room',
      where: 'Every queen in a cage, the caps shut.',
      skipped: 'Without a place in the record none is found again.',
      against: ({ room, now, constants }) => {
        const old = room.queens.filter(
          ({ since }) => Date.parse(now) - Date.parse(since) > constants.bankAge_d * 86_400_000,
        ).length;
        return old > 0
          ? `${old === 1 ? 'A queen has' : `${old} queens have`} been in this bank for more than ${constants.bankAge_d} days: the oldest go first.`
          : undefined;
      },
    },
    feed: {
      how: 'Thin syrup or fondant, little and steadily.',
      skipped: 'The outer queens are fed last.',
      ...syrup(1),
    },
    reload: {
      how: 'About to emerge, searched on both sides for a queen, eggs and cells; a spent comb out.',
      at: 'frames',
      where: 'The giver’s queen in her own box.',
      skipped: 'Nurses age, and queens in the cages lose weight.',
      against: hasBees,
    },
    search: {
      how: 'Every frame, also the one that came last.',
      skipped: 'One virgin ends a bank.',
      wrong:
        'A virgin is loose: take the cages out at once, into another bank or warm with attendants, and find her.',
      ...WILD_CELLS,
    },
    empty: {
      how: 'Oldest first; no attendants for a hand-over nearby, attendants and candy for the post. Enter each as taken.',
      at: 'room',
      skipped: 'Queens that stay are lost to the record.',
    },
    queenright: {
      how: 'A ripe cell, a queen, or joined to others within the week.',
      skipped: 'Without queen and brood workers begin to lay.',
      facts: serves('growing'),
    },
  },
};

export const quarters: Guidance = {
  steps: {
    walls: {
      how: 'Look along each inner wall from below: it stands on a wall or a strip, nowhere over open space.',
      skipped: 'A mini wall over a gap leaks bees, warmth and queens.',
    },
    set: {
      how: 'One by one, smoke between, queens’ boxes last. Enter what was put on, on the box.',
      at: 'box',
      skipped: 'What stands where is not known to the record.',
      caution: 'Four boxes of combs are heavy together: lift them singly.',
    },
    between: {
      how: 'Above the brood body, with a full super over them, foundation is drawn soonest.',
      skipped: 'On top alone they are drawn later, if at all.',
    },
    queen: {
      how: 'By sight or eggs. With an excluder above the body, she is below.',
      skipped: 'A queen in a quarter box is lifted away with it.',
    },
    drawn: {
      how: 'Lift one lid only, and look down.',
      skipped: 'Boxes that come off too early go back on.',
    },
    lifted: {
      how: 'Bees shaken down, each box closed at once.',
      skipped: 'They stay for the season.',
    },
    kept: {
      how: 'Bee-tight, cool, one role: stores. They stock compartments in the next round.',
      skipped: 'Open stores are robbed in an hour.',
      facts: serves('stores'),
    },
  },
};
