import { syrup } from './amounts.ts';
import { canFly, firstOf, hasBees, isShut, queenKnown } from './checks.ts';
import { both, cameHome, left, queenSeen, serves, turned } from './facts.ts';
import type { Guidance, Tally } from './guidance.ts';

const GLASS = 'Sun behind glass heats a box in minutes: shade at every stop, and look in often. Edges cut.';
const PUBLIC =
  'Glass latched and screwed, children behind it; the rules of the place and the inspector decide. Know the signs of allergy, and call emergency services.';

/** Frames that are up now: those lifted, less those that are back. */
const up: Tally = {
  marks: () => [
    { mark: 'up', title: 'One is up' },
    { mark: 'back', title: 'Back to its number' },
  ],
  said: (_, { up: lifted = 0, back = 0 }) => `${lifted - back} up now, ${back} shown.`,
  lacks: (_, { up: lifted = 0, back = 0 }) =>
    lifted > back ? `${lifted - back} still up: back to the same number and way round first.` : undefined,
  refuses: ({ constants }, { up: lifted = 0, back = 0 }, mark) => {
    if (mark === 'back') return lifted > back ? undefined : 'None is up.';
    return lifted - back >= constants.liftMost
      ? `${constants.liftMost} are up already: one goes back first.`
      : undefined;
  },
};

export const shownFrame: Guidance = {
  steps: {
    day: {
      how: 'Up to about 18 °C, no sun on the glass. Hours, not overnight.',
      skipped: 'Warm glass kills in less than an hour.',
      caution: PUBLIC,
      shut: 'outing',
    },
    queen: {
      how: 'A mark is seen through glass. She stays on her own frame.',
      where: 'The queen on the frame that goes up.',
      skipped: 'She may stay below, and nobody sees her.',
      against: queenKnown,
      facts: queenSeen,
    },
    up: {
      how: 'With brood on it, into the glazed top; the excluder below keeps her there.',
      at: 'frames',
      where: 'The queen above the excluder.',
      skipped: 'She walks down into the dark.',
    },
    rest: {
      how: 'The frames beside their gap, the filler in the place of hers.',
      skipped: 'Frames that swing crush bees, and her.',
    },
    latched: {
      how: 'All entrances shut, vents and mesh floor open. Shut when all are home, or leave a small colony to catch the fliers.',
      skipped: 'They leave the box on the way, or smother.',
      caution: GLASS,
      against: hasBees,
      facts: both(serves('shown'), turned('closed')),
      shut: 'outing',
      shuts: true,
    },
    left: {
      how: 'In shade, level, strapped. Home before its hour.',
      skipped: 'Nobody is reminded to bring them home.',
      words: { label: 'Where' },
      home: true,
      against: firstOf(hasBees, isShut),
      facts: left,
      shut: 'outing',
    },
    shown: {
      how: 'Damp and beard on the glass: home at once. A hand on the glass tells first.',
      skipped: 'What happened there is not on record.',
      wrong: 'They pant or hang at the mesh: dark, cool, water on the outside, home.',
      shut: 'outing',
      caution: PUBLIC,
    },
    home: {
      how: 'On its own stand, the front as before; the entrance open at once, so that those who slept out rejoin.',
      skipped: 'Shut in overnight they suffer.',
      ...cameHome,
      facts: both(turned('open'), cameHome.facts),
    },
    order: {
      how: 'Her frame down to its place and way round, the filler out, the glazed top off.',
      at: 'frames',
      where: 'The queen on her frame, seen going down.',
      skipped: 'The order of the nest is upset, and she may be left in the top.',
      against: canFly,
      facts: queenSeen,
    },
  },
};

export const lifting: Guidance = {
  steps: {
    numbered: {
      how: 'Nine frames of ten, each numbered, so that lifted ones do not rub.',
      skipped: 'What comes up goes down in another place.',
    },
    catch: {
      how: 'Of the same stock, so of one scent: it takes in those who fly home meanwhile.',
      skipped: 'Fliers come home to nothing.',
    },
    carried: {
      how: 'Vents open, strapped, level.',
      skipped: 'Say how it came there instead.',
      caution: 'A full body weighs 35 to 40 kg: two people or a barrow.',
      words: { label: 'Where' },
      home: true,
      against: hasBees,
      facts: both(turned('closed'), left),
      shut: 'outing',
      shuts: true,
    },
    screwed: {
      how: 'All screws, before anything else is opened.',
      skipped: 'The tray is the only lid: drawn before the top is on, the bees are out among people.',
      caution: PUBLIC,
    },
    drawn: {
      how: 'Once the top is screwed. The closer goes into the slot in the same movement.',
      skipped: 'Without the closer they leave by the slot.',
      against: ({ run }) =>
        run.steps.screwed?.skipped === undefined
          ? undefined
          : 'The top was not screwed on: do not draw the tray.',
      facts: serves('shown'),
    },
    lift: {
      how: 'Slowly and level, a second hook for a heavy end, out of full sun. Two at most are up.',
      skipped: 'Say that none was shown.',
      wrong: 'A frame is stuck: leave it. Bees run on the glass: stop, and let them settle.',
      caution: GLASS,
      tally: up,
      shut: 'outing',
    },
    trayIn: {
      how: 'All frames down and counted, the tray in, the closer out.',
      skipped: 'With the top off they are open.',
    },
    topOff: {
      how: 'Only once the tray is in, away from people.',
      skipped: 'The top stays on for the way home: then say so.',
      against: ({ run }) =>
        run.steps.trayIn && run.steps.trayIn.skipped === undefined
          ? undefined
          : 'The tray is not in: taken off now, the top leaves them open.',
    },
    home: {
      how: 'Its own stand, front as before, entrance open. The small colony goes beside it, or is joined.',
      skipped: 'They stay shut.',
      ...cameHome,
      facts: both(turned('open'), cameHome.facts),
    },
  },
};

export const standingGlass: Guidance = {
  against: ({ room }) => (room.colony ? 'Bees are recorded behind this glass already.' : undefined),
  steps: {
    aired: {
      how: 'No smell left of oil or varnish; a bee space at every pane; screws and latches tried.',
      skipped: 'Fumes harm them, and a loose pane frees them.',
    },
    feeder: {
      how: 'A float, or straw, over the whole surface.',
      skipped: 'They drown in an open feeder.',
    },
    dusk: {
      atDusk: true,
      how: 'With their queen and at least three combs of brood and stores; enter them by “Stock it”, or move the colony.',
      at: 'room',
      where: 'The queen with them, seen.',
      skipped: 'By day half of them fly back.',
      against: hasBees,
    },
    doors: {
      how: 'Insulated doors on both sides, opened only while someone looks.',
      skipped: 'In the light they build across the panes, and lose their warmth.',
      facts: serves('shown'),
    },
    opened: {
      how: 'The lower block with its landing, free of grass, people out of the flight line.',
      skipped: 'Shut in behind glass they overheat.',
      against: canFly,
    },
    look: {
      how: 'Room for a frame, stores at the edge, eggs, drops on the glass.',
      skipped: 'A small colony behind glass starves or swarms within weeks.',
      ...syrup(0),
    },
    out: {
      how: 'Into an insulated box while days still reach 15 °C.',
      skipped: 'Behind glass few come through a winter.',
    },
  },
};
