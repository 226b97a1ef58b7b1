import { countOf } from '../../say/words.ts';
import { syrup, WILD_CELLS } from './amounts.ts';
import { CARRIED_ON, COUNT, grafted, tooMany } from './cells.ts';
import { hasBees, isShut, noFreeQueen, queenKnown } from './checks.ts';
import { both, queenSeen, serves, turned } from './facts.ts';
import type { Counts, Fact, Guidance, Guide, Scene, Tally } from './guidance.ts';
import { beesForCells, cellsOfBees, starterBees } from './starterBees.ts';

const STINGS =
  'Shaken bees sting: veil, gloves, smoke at hand. Whoever has reacted before keeps away or works under a doctor’s advice.';

/** Both sides of the frames that go in with stores. */
const FRAMES_IN = 3;
const sides: Tally = {
  marks: () =>
    Array.from({ length: FRAMES_IN }, (_, index) =>
      ['one side', 'the other'].map((side) => ({
        mark: `${index + 1} ${side}`,
        title: `Frame ${index + 1}, ${side}`,
      })),
    ).flat(),
  said: (_, counts) => `${Object.keys(counts).length} of ${2 * FRAMES_IN} sides signed: no egg, no larva.`,
  lacks: (_, counts) => {
    const open = 2 * FRAMES_IN - Object.keys(counts).length;
    return open > 0
      ? `${countOf(open, 'side is', 'sides are')} not signed yet: from one young larva they raise a queen of their own.`
      : undefined;
  },
  refuses: (_, counts, mark) => (counts[mark] ? 'This side is signed already.' : undefined),
};

const beesOf = ({ room, constants }: Scene, { frame = 0, shake = 0 }: Counts): number =>
  starterBees({ frames: frame, shakes: shake }, room.seam_kg, constants);

const bees: Tally = {
  marks: () => [
    { mark: 'shake', title: 'A frame shaken in' },
    { mark: 'frame', title: 'A frame put in with its bees' },
  ],
  said: (scene, counts) => {
    const { shake = 0, frame = 0 } = counts;
    const kg = beesOf(scene, counts);
    return `${countOf(shake, 'frame')} shaken, ${frame} put in: about ${kg.toFixed(1)} kg of bees; ${beesWanted(scene).toFixed(1)} kg are wanted.`;
  },
  lacks: (scene, counts) => {
    const { constants, run } = scene;
    const { cells = 0 } = run;
    const kg = beesOf(scene, counts);
    if (cells > constants.starterMost)
      return `A closed starter takes ${constants.starterMost} cells at most; ${cells} want a second one.`;
    if (kg + 1e-9 >= beesWanted(scene)) return undefined;
    return kg + 1e-9 < constants.starterBees_kg
      ? `A starter wants at least ${constants.starterBees_kg} kg of bees, however few its cells.`
      : `${cells} cells want ${beesWanted(scene).toFixed(1)} kg; these start ${countOf(cellsOfBees(kg, constants), 'cell')}.`;
  },
};
const beesWanted = ({ run, constants }: Scene): number => beesForCells(run.cells ?? 0, constants);

/** What was counted goes into the record as bees in the room, once, where none were there. */
function stocked({ view, room, run, fresh }: Scene): Fact[] {
  if (room.colony) return [];
  const said = (mark: string) =>
    (run.marks ?? []).filter((each) => each.step === 'bees' && each.mark === mark).length;
  return [
    {
      kind: 'stocked',
      payload: {
        box: view.box.id,
        colony: fresh(),
        bays: [...room.bays],
        frames: { sealedBrood: 0, stores: FRAMES_IN, drawn: Math.min(20, said('frame')) },
        shakes: Math.min(40, said('shake')),
        openBrood: false,
      },
    },
  ];
}

const graftsIn: Guide = {
  how: 'Tap the bees down, lift the cover, hang the bar into its place between pollen and nectar, close. Work quickly: larvae dry in minutes.',
  where: 'No queen and no ripe cell among these bees.',
  skipped: 'Without the grafts nothing is started.',
  against: noFreeQueen,
  facts: grafted,
};
/** Beside a queen behind her partition. */
const { against: _, ...graftsHere } = graftsIn;
export const closedStarter: Guidance = {
  against: (scene) =>
    scene.room.colony
      ? 'Bees are recorded in this room: a closed starter is made up of shaken bees, in an empty one.'
      : tooMany(({ constants }) => constants.starterMost, 'A closed starter')(scene),
  steps: {
    frames: {
      how: 'Pollen and nectar on both sides of the place for the bar, a further frame of nectar at the wall, a feeder that fills without opening.',
      skipped: 'Nurses that have no pollen feed no larvae.',
    },
    search: {
      how: 'Hold each side to the light, the sun behind you, and look into the cells to the floor. Sign it once it is clean.',
      skipped: 'From one young larva they raise a queen of their own, and leave the grafts.',
      wrong: 'A frame with eggs or larvae goes back to a colony with a queen; take another.',
      tally: sides,
    },
    bees: {
      how: 'From frames of open brood, one or several colonies, their queens found and put aside first. One or two sharp shakes each; count aloud.',
      where: 'The givers’ queens are in their own boxes, seen or caged.',
      skipped: 'Too few bees start too few cells, and feed them poorly.',
      wrong: 'A queen that was shaken in ends the batch: sieve the bees through an excluder, and begin anew.',
      caution: STINGS,
      tally: bees,
      facts: stocked,
    },
    closed: {
      how: 'Shut all entrances, mesh open below or at the side, into the dark at 15 to 20 °C. The clock runs from now.',
      skipped: 'Bees that fly go home, and take few grafts.',
      wrong: 'Roaring and wet glass: too warm. Colder, darker, more air at once.',
      against: hasBees,
      facts: both(serves('starter'), turned('closed')),
      shut: 'starter',
      shuts: true,
    },
    grafts: {
      ...graftsIn,
      wrong:
        'Too early they do not know yet that they have no queen; too late they suffer. Grafts that cannot come: open the box at dusk and give them a queen or brood.',
    },
    syrup: {
      how: 'Thin syrup, from one end, so that none runs onto bees or bar. It is the last thing before the lid.',
      skipped: 'Shut in they cannot forage, and feed no larvae on an empty stomach.',
      ...syrup(1),
    },
    moved: {
      how: 'About a day after it was closed: count the cups with a rim of wax, carry the bar upright, shielded from sun and wind, beside open brood.',
      where: 'The finisher’s queen is behind her excluder.',
      skipped: 'A shut starter feeds them for about a day only.',
      wrong: 'Few taken on: a queen or larvae among them, too few or too old bees, dried grafts.',
      ...CARRIED_ON,
    },
    second: {
      how: 'Bees that are still young take a second batch a day or so later; feed again. Otherwise leave it out, with that as the reason.',
      skipped: 'Nothing is lost: they are tipped out as they are.',
      against: isShut,
    },
    tipped: {
      how: 'Onto a board before the finisher, towards evening: its crowd joins there. Enter them as combined with it.',
      at: 'room',
      against: ({ room }) =>
        room.colony
          ? 'In the record these bees still are here: combine them with those that they joined.'
          : undefined,
      skipped: 'Shut in any longer they die.',
      wrong: 'Fighting at the entrance: smoke, and spray thin syrup.',
    },
    rest: {
      how: 'Note who gave. They are left alone for their rest, or get brood, before they give again.',
      skipped: 'Givers that are shaken again go down, and their queens with them.',
    },
  },
};

export const flyingStarter: Guidance = {
  against: (scene) =>
    scene.room.colony
      ? tooMany(({ constants }) => constants.flyingStarterMost, 'A flying starter')(scene)
      : 'A flying starter is a strong colony; there are no bees in this room.',
  steps: {
    queenAside: {
      how: 'Find her, cage her or shut her with two frames below an excluder and a sheet. The rest crowd above.',
      where: 'She is known to be out of this room.',
      skipped: 'With their queen among them they start nothing.',
      against: noFreeQueen,
      facts: serves('starter'),
    },
    brood: {
      how: 'Frames of eggs and young larvae go away from the bar, or to others; sealed brood and pollen stay.',
      skipped: 'They raise queens of their own on young brood, rather than the grafts.',
    },
    feed: {
      how: 'A little thin syrup, daily without a flow.',
      skipped: 'Without a flow they feed few larvae.',
      ...syrup(1),
    },
    grafts: { ...graftsIn, caution: STINGS },
    counted: COUNT,
    search: {
      how: 'Every frame, shaken clean: wild cells hide at the lower edge and in corners.',
      skipped: 'A wild virgin emerges first, and tears the cells down.',
      ...WILD_CELLS,
    },
    moved: {
      how: 'Upright and shielded, beside open brood of the finisher. Or they are sealed here.',
      skipped: 'Say where they stayed instead.',
      ...CARRIED_ON,
    },
    queenBack: {
      how: 'Once no cell is left: she goes back in her cage, or the sheet above her comes out.',
      where: 'No cell and no virgin among these bees.',
      skipped: 'Bees without queen and brood turn to laying workers in three weeks.',
    },
  },
};

export const allInOne: Guidance = {
  against: (scene) =>
    scene.room.colony
      ? tooMany(({ constants }) => constants.allInOneMost, 'An all-in-one box')(scene)
      : 'An all-in-one box is a strong colony; there are no bees in this room.',
  steps: {
    queen: {
      how: 'See her, and see her on her side, before the partition goes down.',
      where: 'The queen on her own side of the excluder.',
      skipped: 'Beside the grafts she tears them down.',
      against: queenKnown,
      facts: queenSeen,
    },
    brood: {
      how: 'Open brood on her side, sealed brood and pollen on the side of the grafts.',
      skipped: 'Nurses stay with the brood, and away from the grafts.',
    },
    shutOff: {
      how: 'A closed sheet in the partition: the side of the grafts feels itself queenless.',
      skipped: 'They know of their queen, and take few.',
    },
    feed: {
      how: 'Thin syrup and pollen; with frost at night, insulated.',
      skipped: 'Early in the year there is no flow to feed larvae on.',
      ...syrup(0.5),
    },
    grafts: { ...graftsHere, where: 'The queen behind the closed sheet.' },
    counted: COUNT,
    opened: {
      how: 'Out with the sheet: workers pass through the excluder to finish the cells.',
      where: 'The queen still on her side.',
      skipped: 'One half cannot warm and feed them in a cold night.',
    },
    search: {
      how: 'Both sides, every frame.',
      skipped: 'A wild virgin tears the cells down.',
      ...WILD_CELLS,
    },
    out: {
      how: 'On the tenth day from the graft, upright, unjolted, warm.',
      skipped: 'The first that emerges tears the others down.',
    },
  },
};
