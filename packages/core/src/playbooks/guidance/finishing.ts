import { syrup, WILD_CELLS } from './amounts.ts';
import { toFinisherHere, tooMany } from './cells.ts';
import { firstOf, hasBees } from './checks.ts';
import { serves } from './facts.ts';
import type { Guidance } from './guidance.ts';

export const finisher: Guidance = {
  against: (scene) =>
    scene.room.colony
      ? tooMany(({ constants }) => constants.finisherMost, 'A finisher')(scene)
      : 'A finisher is a strong colony; there are no bees in this room.',
  steps: {
    queen: {
      how: 'Below an excluder, or beside a tight divider. See her there.',
      where: 'The queen apart from the cells.',
      skipped: 'She tears them down.',
      facts: serves('finisher'),
    },
    brood: {
      how: 'Frames of open brood up, to both sides of the bar: nurses follow it.',
      skipped: 'Without young brood beside them few nurses come to the cells.',
    },
    search: {
      how: 'Every frame above, shaken clean.',
      skipped: 'A wild virgin tears the cells down.',
      ...WILD_CELLS,
    },
    cells: {
      how: 'Upright, shielded from sun and wind, between the frames of open brood.',
      skipped: 'Started cells are left cold.',
      against: firstOf(hasBees, ({ run, constants }) =>
        (run.cells ?? 0) > constants.finisherMost
          ? `It feeds ${constants.finisherMost} well; ${run.cells} are too many.`
          : undefined,
      ),
      facts: toFinisherHere,
    },
    feed: {
      how: 'A litre or so of thin syrup a day while nothing flows.',
      skipped: 'Cells of a hungry finisher are small, their queens too.',
      ...syrup(1.2),
    },
    care: {
      how: 'Young brood and eggs up, emptied combs and old brood down; search each frame as it passes.',
      skipped: 'Nurses go where young brood is, and wild cells ripen unseen.',
      ...WILD_CELLS,
    },
    out: {
      how: 'On the tenth day from the graft: to the rooms, the incubator, or under cages.',
      skipped: 'The first that emerges tears the others down.',
    },
    rest: {
      how: 'A week without cells and without giving, or brood from others.',
      skipped: 'Worn out, it feeds the next batch poorly.',
      facts: serves('growing'),
    },
  },
};
