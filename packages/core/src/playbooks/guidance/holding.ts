import { syrup } from './amounts.ts';
import { both, eggsSeen, queenSeen, serves } from './facts.ts';
import type { Guidance } from './guidance.ts';

export const holding: Guidance = {
  steps: {
    combs: {
      how: 'Two of brood and one drawn and empty, where she will lay next.',
      skipped: 'Without room she lays nowhere, or twice.',
    },
    stores: {
      how: 'On the side that flies, so that she is fed through the excluder.',
      skipped: 'The small side starves before it is seen.',
    },
    donorIn: {
      how: 'Run her in from above, or let her walk from her comb. Cover the other half first.',
      where: 'The donor on her own side, seen there before you close.',
      skipped: 'Nothing says where she is.',
      wrong: 'Not seen: look at lid, gloves and the ground; then wait for eggs, and do not close on a guess.',
      facts: both(serves('donor'), queenSeen),
    },
    pass: {
      how: 'Watch for a few minutes: workers through the excluder, air on her side.',
      skipped: 'Where they do not pass she starves with bees an arm’s length away.',
      wrong: 'Widen or clean the excluder; a side without flight is never left shut.',
    },
    feed: {
      how: 'At once, on the flying side. Shut on vent only while wasps are about, for two or three days.',
      skipped: 'A small colony that was moved forages little.',
      ...syrup(0.5),
    },
    comb: {
      how: 'The frame of youngest larvae out to be grafted, an empty drawn comb in its place. For a graft on a day, the empty comb goes in four days before.',
      at: 'frames',
      where: 'She is known, on another frame, before this one leaves: look at gloves, lid and frame.',
      skipped: 'She runs out of room, and larvae are of no known age.',
      facts: eggsSeen,
    },
    back: {
      how: 'Above or below an excluder of her own colony, and free the next day. Her box takes a ripe cell next, and becomes a mating box.',
      skipped: 'She stays here: then it is a colony of its own, and is fed and wintered as one.',
    },
  },
};
