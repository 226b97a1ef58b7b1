import type { PlaybookName } from '@yellow-cell/contract';
import type { Playbooks, Step } from './playbook.ts';

const STARTING = 'Starting cells';

/** The special roles of handbook 8 and 5, from the empty box to the end. */
export const playbooks: Playbooks = {
  holding: {
    title: 'Hold a donor',
    why: 'A queen confined where her youngest larvae are at hand for grafting, fed by bees that fly.',
    roles: ['donor', 'flying'],
    families: ['donorHolding', 'twoWayBody', 'twoWayNucleus'],
    source: 'Donor in a holding box',
    steps: [
      { id: 'combs', title: 'Three combs on her side, one of them drawn and empty' },
      { id: 'stores', title: 'Stores and pollen on the flying side' },
      { id: 'donorIn', title: 'The donor goes in' },
      { id: 'pass', title: 'See that workers pass, and she does not' },
      { id: 'feed', title: 'Feed the flying side' },
      { id: 'comb', title: 'Youngest larvae out, an empty drawn comb in', every: 'donorComb_d' },
      { id: 'back', title: 'Give her back, or leave her here', waits: true },
    ],
  },
  closedStarter: {
    title: 'Closed starter',
    why: 'Crowded bees without a queen or brood, shut in for some hours, take on many grafts at once.',
    roles: ['starter'],
    families: ['starter', 'foldedSheet'],
    ofEmpty: true,
    ofCells: true,
    source: 'Closed starter',
    steps: [
      { id: 'frames', title: 'Two frames of nectar and pollen, one of nectar, room for the grafts' },
      { id: 'search', title: 'No egg and no larva: sign each side' },
      { id: 'bees', title: 'Bees in, counted aloud' },
      { id: 'closed', title: 'Close it: dark, cool, air from below' },
      {
        id: 'grafts',
        title: 'The grafts go in',
        clock: { after: 'closed', from: 'starterGraftFrom_h', to: 'starterGraftTo_h' },
        pressing: true,
      },
      { id: 'syrup', title: 'Syrup last, poured from one end' },
      {
        id: 'moved',
        title: 'Cells that were taken on go to the finisher',
        clock: { after: 'closed', to: 'starter_d' },
        pressing: true,
      },
      { id: 'second', title: 'A second batch, or none', clock: { after: 'grafts', from: 'starterSecond_d' } },
      {
        id: 'tipped',
        title: 'Tip the bees out before a finisher',
        clock: { after: 'second', to: 'starterSecond_d' },
      },
      { id: 'rest', title: 'Those who gave bees rest' },
    ],
  },
  flyingStarter: {
    title: 'Queenless starter that flies',
    why: 'A strong colony made queenless takes on one or two batches, and flies meanwhile.',
    roles: ['starter'],
    families: ['twoWayBody', 'nucleus'],
    ofCells: true,
    source: STARTING,
    steps: [
      { id: 'queenAside', title: 'Its queen is put aside, or shut off below' },
      { id: 'brood', title: 'No young brood beside the place of the grafts' },
      { id: 'feed', title: 'Feed it' },
      { id: 'grafts', title: 'The grafts go in', clock: { after: 'queenAside', from: 'starterGraftFrom_h' } },
      { id: 'counted', title: 'Count those that were taken on', clock: { after: 'grafts', from: 'taken_d' } },
      {
        id: 'search',
        title: 'Search it for wild cells',
        clock: { after: 'queenAside', to: 'finisherCare_d' },
      },
      { id: 'moved', title: 'Cells go to the finisher' },
      { id: 'queenBack', title: 'Its queen goes back' },
    ],
  },
  allInOne: {
    title: 'All in one box',
    why: 'One strong colony starts and finishes a few cells; its queen stays behind a partition. Early, with frost at night.',
    roles: ['finisher'],
    families: ['allInOne'],
    ofCells: true,
    source: STARTING,
    steps: [
      { id: 'queen', title: 'The queen is on her side, known to be there' },
      { id: 'brood', title: 'Brood behind the partition, pollen beside the grafts' },
      { id: 'shutOff', title: 'Her side is closed off for a day' },
      { id: 'feed', title: 'Feed the other side' },
      { id: 'grafts', title: 'The grafts go in', clock: { after: 'shutOff', from: 'starterGraftFrom_h' } },
      { id: 'counted', title: 'Count those that were taken on', clock: { after: 'grafts', from: 'taken_d' } },
      {
        id: 'opened',
        title: 'Open the partition to workers again',
        clock: { after: 'grafts', from: 'taken_d', to: 'finisherCare_d' },
      },
      { id: 'search', title: 'Search both sides for wild cells', every: 'finisherCare_d' },
      {
        id: 'out',
        title: 'Ripe cells go out',
        clock: { after: 'grafts', to: 'cellToRipe_d' },
        pressing: true,
      },
    ],
  },
  finisher: {
    title: 'Finisher',
    why: 'A colony at swarming strength feeds the cells that were started until they are sealed or ripe.',
    roles: ['finisher'],
    families: ['allInOne', 'twoWayBody'],
    ofCells: true,
    source: 'Finishing',
    steps: [
      { id: 'queen', title: 'The queen is kept from the cells' },
      { id: 'brood', title: 'Open brood beside the place of the cells' },
      { id: 'search', title: 'Search it for wild cells' },
      { id: 'cells', title: 'The cells go in' },
      { id: 'feed', title: 'Feed it daily without a flow', every: 'finisherFeed_d' },
      { id: 'care', title: 'Young brood up, old brood down, wild cells out', every: 'finisherCare_d' },
      {
        id: 'out',
        title: 'Ripe cells go out, upright and warm',
        clock: { after: 'cells', to: 'cellToRipe_d' },
        pressing: true,
      },
      { id: 'rest', title: 'It rests, or gets brood' },
    ],
  },
  bank: {
    title: 'Queen bank',
    why: 'Nurses without a free queen keep caged, mated queens until they are wanted.',
    roles: ['bank'],
    families: ['bank'],
    source: 'Bank',
    steps: [
      { id: 'noQueen', title: 'No free queen: every frame is looked through' },
      { id: 'brood', title: 'Open brood and brood about to emerge, searched for wild cells' },
      { id: 'room', title: 'The bank frame in the middle, in the room of two' },
      { id: 'wait', title: 'A day without a queen', clock: { after: 'noQueen', from: 'queenless_d' } },
      { id: 'caged', title: 'The cages go in, each with its place' },
      { id: 'feed', title: 'Feed it' },
      { id: 'reload', title: 'A frame of brood about to emerge', every: 'bankBrood_d' },
      { id: 'search', title: 'Search it for wild cells', every: 'bankSearch_d' },
      { id: 'empty', title: 'The last queen is out', waits: true },
      { id: 'queenright', title: 'Give its bees a queen, or join them' },
    ],
  },
  shownFrame: {
    title: 'Show a frame above a nucleus',
    why: 'One frame with its queen behind glass for some hours, the rest of her bees below.',
    roles: ['shown', 'mating', 'growing'],
    families: ['observation', 'nucleus'],
    source: 'Display frame on a nucleus',
    steps: [
      { id: 'day', title: 'A cool day, shade at both ends, permission of the place' },
      { id: 'queen', title: 'Find and mark her' },
      { id: 'up', title: 'Her frame goes up, the excluder below it' },
      { id: 'rest', title: 'Two or three frames stay below, a filler so that nothing rocks' },
      { id: 'latched', title: 'Glass latched, entrance shut, mesh floor open' },
      { id: 'left', title: 'They leave' },
      { id: 'shown', title: 'Shown: shade, and nobody opens it' },
      { id: 'home', title: 'Home again, the entrance open', pressing: true },
      { id: 'order', title: 'Frames back in order, the same way round' },
    ],
  },
  lifting: {
    title: 'Lift frames to be seen',
    why: 'Numbered frames of a strong colony are lifted behind glass one or two at a time.',
    roles: ['shown'],
    families: ['observation'],
    source: 'Lifting observation',
    steps: [
      { id: 'numbered', title: 'Frames are numbered, one is left out' },
      { id: 'catch', title: 'A small colony of the same stock takes the stand' },
      { id: 'carried', title: 'Shut it and carry it: two people or a barrow' },
      { id: 'screwed', title: 'Screw the glazed top on' },
      { id: 'drawn', title: 'Draw the tray, put the closer into its slot' },
      {
        id: 'lift',
        title: 'Lift slowly, level, back to the same number',
        clock: { after: 'drawn', to: 'liftMost_min' },
      },
      {
        id: 'trayIn',
        title: 'The tray in, the closer out',
        clock: { after: 'drawn', to: 'liftMost_min' },
        pressing: true,
      },
      { id: 'topOff', title: 'The top off' },
      { id: 'home', title: 'Back on its stand, the small colony beside it' },
    ],
  },
  standingGlass: {
    title: 'Standing glazed hive',
    why: 'Bees that live behind glass, seen for a season.',
    roles: ['shown'],
    families: ['observation'],
    ofEmpty: true,
    source: 'Standing glazed wall',
    steps: [
      { id: 'aired', title: 'Its finish has aired, glass is fast, vents are open' },
      { id: 'feeder', title: 'A float in the feeder' },
      { id: 'dusk', title: 'Bees move in at dusk' },
      { id: 'doors', title: 'Doors shut when nobody looks' },
      { id: 'opened', title: 'The flight entrance is open' },
      { id: 'look', title: 'Look: room, stores, queen, damp on the glass', every: 'standingLook_d' },
      { id: 'out', title: 'They move out before winter', waits: true },
    ],
  },
  formatChange: {
    title: 'Change the frame',
    why: 'A colony moves from the old frame onto the new one above it, and is delivered on that alone.',
    roles: ['changing', 'growing'],
    families: ['changer'],
    wanted: 'To be delivered on',
    source: 'Changing format',
    steps: [
      { id: 'below', title: 'The old frames below, narrowed by the cheeks' },
      { id: 'above', title: 'The new body with foundation above' },
      { id: 'syrup', title: 'Thin syrup all along', every: 'standingLook_d' },
      {
        id: 'drawn',
        title: 'The two middle frames above are drawn',
        clock: { after: 'above', from: 'drawnFrom_d', to: 'drawnTo_d' },
      },
      { id: 'queenUp', title: 'Find the queen, put her above, the excluder between' },
      { id: 'entrance', title: 'The upper body has an entrance of its own' },
      {
        id: 'hatched',
        title: 'Workers and drones below have emerged',
        clock: { after: 'queenUp', from: 'emptyDrones_d' },
      },
      { id: 'taken', title: 'The old body goes' },
      { id: 'delivered', title: 'Deliver the new one alone', waits: true },
    ],
  },
  quarters: {
    title: 'Quarter boxes onto a full body',
    why: 'Four small boxes side by side on one body: to get their combs drawn, or to move a colony down.',
    roles: ['growing', 'mating', 'stores'],
    families: ['quarter'],
    source: 'Quarter boxes',
    steps: [
      { id: 'walls', title: 'Walls land on walls' },
      { id: 'set', title: 'Four boxes side by side on the body' },
      { id: 'between', title: 'Between the brood and a full super, it is quicker' },
      { id: 'queen', title: 'Where the queen is, is known', clock: { after: 'set', to: 'standingLook_d' } },
      {
        id: 'drawn',
        title: 'Combs are drawn, or the colony has gone down',
        clock: { after: 'set', from: 'drawnFrom_d' },
      },
      { id: 'lifted', title: 'Lift them off one by one', waits: true },
      { id: 'kept', title: 'Boxes of sealed stores are kept closed' },
    ],
  },
  carrying: {
    title: 'Carry or send a nucleus',
    why: 'A shut box on the way: air, a firm load, and an end before they suffer.',
    roles: ['mating', 'growing', 'wintering'],
    families: ['nucleus', 'twoWayNucleus', 'foldedSheet', 'smallFormat'],
    source: 'Posting or carrying a nucleus',
    steps: [
      { id: 'rules', title: 'The rules of both places, and papers' },
      { id: 'frames', title: 'Frames guided, none can swing' },
      { id: 'dusk', title: 'Shut it when all are home' },
      { id: 'flaps', title: 'Mesh flaps open, every seam taped' },
      { id: 'strapped', title: 'Strapped, the weight known' },
      { id: 'left', title: 'They leave' },
      { id: 'arrived', title: 'They arrive: shade, and level', pressing: true },
      { id: 'opened', title: 'Open it at dusk', clock: { after: 'dusk', to: 'openTo_d' }, pressing: true },
    ],
  },
  joining: {
    title: 'Pull compartments together',
    why: 'The boards come out one after the other, and one colony keeps the room.',
    roles: ['mating', 'growing', 'wintering'],
    families: ['twoWayNucleus', 'twoWayBody', 'threeWay', 'fourWay', 'quarter'],
    source: 'Combining',
    steps: [
      { id: 'keeper', title: 'Which queen stays is decided, the other is out' },
      { id: 'covers', title: 'Neighbours covered, lids looked under' },
      { id: 'pulled', title: 'The board out, their combs together' },
      { id: 'holes', title: 'Close the holes of the part that gave way' },
      { id: 'fed', title: 'Feed them' },
      {
        id: 'look',
        title: 'Look for a wild cell, and for the queen',
        clock: { after: 'pulled', from: 'afterCombining_d' },
      },
    ],
  },
  parting: {
    title: 'Part a pair in spring',
    why: 'Two that wintered over a divider, or one that fills its box, get rooms of their own.',
    roles: ['wintering', 'growing', 'mating'],
    families: ['twoWayNucleus', 'twoWayBody', 'threeWay', 'fourWay', 'followerReduced'],
    source: 'Reducing: after',
    steps: [
      { id: 'strength', title: 'Both are strong enough, days are mild' },
      { id: 'queen', title: 'Where each queen is, is known' },
      { id: 'board', title: 'The board stands, tight on all sides' },
      { id: 'entrance', title: 'Each has an entrance of its own' },
      { id: 'fed', title: 'Stores on both sides' },
      { id: 'look', title: 'Eggs in both', clock: { after: 'board', from: 'partedLook_d' } },
    ],
  },
};

export const stepOf = (playbook: PlaybookName, id: string) =>
  playbooks[playbook].steps.find((step) => step.id === id);

/** The playbooks as Markdown, for docs/models.md; a test holds the two together. */
export function playbookTable(): string {
  const rows = Object.values(playbooks).map(
    ({ title, steps, source }) =>
      `| ${title} | ${steps.map((step) => step.title + timesOf(step)).join(' → ')} | ${source} |`,
  );
  return ['| playbook | steps | source |', '|---|---|---|', ...rows].join('\n');
}

function timesOf({ clock, every }: Step): string {
  if (every) return ` (every ${every})`;
  const { from, to } = clock ?? {};
  if (!from && !to) return '';
  return ` (${[from && `from ${from}`, to && `by ${to}`].filter(Boolean).join(', ')})`;
}
