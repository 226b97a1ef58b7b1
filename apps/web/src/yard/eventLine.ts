import type { EventKind, LogEvent, Payload } from '@yellow-cell/contract';
import {
  boardNames,
  capital,
  cellsToWords,
  compassPoint,
  conditionWords,
  confidenceWords,
  countOf,
  failWords,
  fateWords,
  feedWords,
  holdsWords,
  layerName,
  listOf,
  playbooks,
  purposeWords,
  roles,
  shortCheckWords,
  showDay,
  showTime,
  stepOf,
  troubleWords,
  winterAct,
  type YardState,
} from '@yellow-cell/core';
import { entranceWords } from './entranceWords.ts';

/** What is needed to name what an entry speaks of. */
export type Names = Pick<YardState, 'boxes' | 'rounds'>;

/** An entry in a few words; read at a box, it begins with the one that it is about where that is another. */
export function eventLine(
  event: Pick<LogEvent, 'kind' | 'payload' | 'zone'>,
  names: Names,
  readAt?: string,
): string {
  const line = lines[event.kind] as ((payload: unknown, names: Names, zone: string) => string) | undefined;
  if (!line) return `Entry of a newer version of the program (${event.kind})`;
  const { box } = event.payload as { box?: string };
  const other = box !== undefined && readAt !== undefined && box !== readAt;
  return `${other ? `${labelOf(names, box)}: ` : ''}${line(event.payload, names, event.zone)}`;
}

const labelOf = ({ boxes }: Names, id: string): string => boxes.get(id)?.label ?? 'another box';

function stepTitle(
  { box, run: id, step }: { box: string; run: string; step: string },
  { boxes }: Names,
): string {
  const run = boxes.get(box)?.runs?.find((each) => each.id === id);
  return (run && stepOf(run.playbook, step)?.title) ?? step;
}

const lines: { [K in EventKind]: (payload: Payload<K>, names: Names, zone: string) => string } = {
  boxBuilt: ({ label, of }, names) =>
    `Built as ${label}${of ? `, of a body of ${labelOf(names, of.box)}` : ''}`,
  boxPlaced: ({ stand, bearing_deg }) =>
    `Placed on stand ${stand}, front to the ${compassPoint(bearing_deg)}`,
  boxStacked: ({ onto }, names) => (onto ? `Set on ${labelOf(names, onto)}` : 'Taken down from its stack'),
  boxTakenApart: () => 'Taken apart',
  roleSet: ({ role }) => `Serves now as: ${roles[role].name}`,
  buildTicked: ({ step, done }) => `Build: ${step} ${done ? 'done' : 'taken back'}`,
  boxInspected: ({ condition, missing }) =>
    `Looked at: ${conditionWords[condition]}${missing ? `, missing ${missing}` : ''}`,
  layerPut: ({ layer, from }, names) =>
    `${layerName(layer)} put on${from ? `, from ${labelOf(names, from)}` : ''}`,
  layerTaken: ({ to }, names) =>
    to ? `A part of the stack set on ${labelOf(names, to.box)}` : 'A part of the stack taken off',
  floorSet: ({ floor }) => `Floor exchanged: ${floor.kind}`,
  roofSet: ({ roof }) => `Roof exchanged: ${roof.kind}`,
  cheeksSet: ({ cheeks }) => (cheeks ? 'Cheeks put in' : 'Cheeks taken out'),
  boardAdded: ({ board }) => `${boardNames[board.kind]} put in`,
  dividerSet: ({ stands }) => (stands ? 'Divider set' : 'Divider pulled'),
  boardMoved: () => 'Board moved to another place',
  boardPlaced: ({ at_mm }) => `Board set by hand at ${Math.round(at_mm)} mm`,
  slotSet: ({ holds }) => `In a frame’s place: ${holdsWords[holds]}`,
  entranceSet: ({ state }) => `Entrance turned to ${entranceWords[state]}`,
  ventSet: ({ open }) => (open ? 'Vent opened' : 'Vent shut'),
  holeSet: ({ closedBy }) =>
    closedBy === 'nothing' ? 'Hole in the cover left open' : `On the hole: ${closedBy}`,
  weighed: ({ weight_kg, felt }) => `${felt ? 'Hefted at about' : 'Weighed'} ${weight_kg} kg`,
  temperatureRead: ({ inside_C }) => `${inside_C} °C inside`,
  stocked: stockedLine,
  cellGiven: ({ round }, names) => `Ripe cell given${roundOf(round, names)}`,
  cellOpened: () => 'Cell seen opened',
  eggsSeen: () => 'Eggs seen',
  patternScored: ({ pattern_pct }) => `Pattern ${pattern_pct} %`,
  failed: ({ reason }) => `Failed: ${failWords[reason]}`,
  combined: ({ box, intoBox, also }, names) => {
    const into = [intoBox, ...(also ? [also.box] : [])];
    if (into.every((id) => id === box)) return `Combined with ${also ? 'two neighbours' : 'a neighbour'}`;
    return `Combined with ${listOf([...new Set(into.map((id) => labelOf(names, id)))])}`;
  },
  colonyMoved: ({ toBox }, names) => `Moved into ${labelOf(names, toBox)}`,
  strengthSeen: ({ seams, broodFrames }) =>
    [
      ...(seams === undefined ? [] : [`${countOf(seams, 'seam')} of bees`]),
      ...(broodFrames === undefined ? [] : [`${countOf(broodFrames, 'frame')} of brood`]),
    ].join(', '),
  wildCellsSearched: ({ found, left = 0 }) =>
    [
      found === 0 && left === 0 ? 'Searched: no wild cells' : '',
      found > 0 ? `${countOf(found, 'wild cell')} found and torn down` : '',
      left > 0 ? `${countOf(left, 'wild cell')} left` : '',
    ]
      .filter(Boolean)
      .join(', '),
  mitesCounted: ({ method, mites, bees, days }) =>
    method === 'drop'
      ? `${countOf(mites, 'mite')} dropped in ${countOf(days ?? 1, 'day')}`
      : `${countOf(mites, 'mite')} on ${countOf(bees ?? 1, 'bee')}, by ${method}`,
  treated: ({ product, batch }) => `Treated: ${product}${batch ? `, batch ${batch}` : ''}`,
  introductionSeen: ({ what }) =>
    ({ candy: 'Candy being eaten', released: 'Queen out of the cage', refused: 'Queen refused' })[what],
  troubleSeen: ({ trouble, over }) => `${capital(troubleWords[trouble])} ${over ? 'over' : 'seen'}`,
  fed: ({ amount_kg, feed }) => `Fed ${amount_kg} kg of ${feedWords[feed]}`,
  stripsPut: ({ product, outBy, batch }) =>
    `${product}${batch ? `, batch ${batch}` : ''} put in, out by ${showDay(outBy)}`,
  stripsOut: () => 'Strips taken out',
  coverSet: ({ on }) => (on ? 'Cover back on' : 'Cover off'),
  outingLeft: ({ place, backBy }, _, zone) => `Out at “${place}”, home by ${showTime(backBy, zone)}`,
  outingReturned: () => 'Home again',
  suspected: ({ what, confidence }) =>
    `Suspected: ${what}${confidence ? ` (${confidenceWords[confidence]})` : ''}`,
  suspicionSettled: ({ confirmed }) => (confirmed ? 'Suspicion confirmed' : 'Suspicion dropped'),
  workPutOff: ({ until }) => (until ? `Put off to ${showDay(until)}` : 'Dismissed'),
  noted: () => 'Note',
  stung: ({ who, stings }) => `${who}: ${countOf(stings, 'sting')}`,
  queenGiven: ({ what, caged, round }, names) =>
    `${what === 'virgin' ? 'Virgin' : 'Mated queen'} given${caged ? ', caged' : ''}${roundOf(round, names)}`,
  queenRecorded: ({ name, birthYear }) =>
    `Queen recorded${name ? `: ${name}` : ''}${birthYear ? `, born ${birthYear}` : ''}`,
  queenSeen: ({ seen }) => (seen ? 'Queen seen' : 'Queen looked for, not seen'),
  queenMarked: ({ colour, number, clipped }) =>
    [colour ? `Queen marked ${colour}${number ? ` ${number}` : ''}` : 'Queen', clipped ? 'clipped' : '']
      .filter(Boolean)
      .join(', '),
  queenTaken: ({ to, beesRemain, backBy }) =>
    `Queen taken: ${fateWords[to]}${backBy ? `, back by ${showDay(backBy)}` : ''}${beesRemain ? '' : ', with her bees'}`,
  frameAudited: () => 'Frame looked through',
  framesMoved: ({ moves, purpose }) =>
    `${countOf(moves.length, 'frame')} ${moves.every(({ to }) => to === null) ? 'taken out' : 'moved'} ${purpose === 'other' ? '' : purposeWords[purpose]}`.trim(),
  winterPlanned: (plan) =>
    [
      `Winter planned: ${winterAct(plan) || { leave: 'left alone', feed: 'fed' }[plan.act as 'leave' | 'feed'] || plan.act}`,
      plan.sugar_kg > 0 ? `${plan.sugar_kg.toFixed(1)} kg of sugar` : '',
    ]
      .filter(Boolean)
      .join(', '),
  winterPrepared: () => 'Prepared for winter as planned',
  winterDropped: () => 'Plan for winter dropped',
  shortChecked: ({ did }) => `Short check: ${did.map((each) => shortCheckWords[each]).join(', ')}`,
  roundPlanned: ({ number, graftOn, grafts }) =>
    `Round ${number} planned: ${countOf(grafts, 'graft')} on ${showDay(graftOn)}`,
  roundDropped: () => 'Plan of a round dropped',
  lotWanted: ({ name, queens, by }) => `Wanted: ${countOf(queens, 'queen')} by ${showDay(by)} (${name})`,
  lotDropped: () => 'No more wanted',
  grafted: ({ number }) => `Round ${number} grafted`,
  cellsAccepted: ({ round, accepted }, names) =>
    `${countOf(accepted, 'cell')} accepted${roundOf(round, names)}`,
  cellsMoved: ({ round, cells, to, where }, names) =>
    `${countOf(cells, 'cell')} ${cellsToWords[to]}${where ? `, ${where}` : ''}${roundOf(round, names)}`,
  combToDonor: ({ round }, names) => `Drawn comb to the donor${roundOf(round, names)}`,
  incubatorRead: ({ round, temperature_C, humidity_pct }, names) =>
    `Incubator at ${temperature_C.toFixed(1)} °C${humidity_pct === undefined ? '' : `, air ${humidity_pct} %`}${roundOf(round, names)}`,
  weatherRecorded: () => 'Weather',
  bloomSeen: ({ plant, what }) => `${plant}: ${what === 'mown' ? 'mown' : `bloom ${what}`}`,
  trialBegun: ({ question }) => `Trial begun: ${question}`,
  trialEnded: ({ answer }) => `Trial ended${answer ? `: ${answer}` : ''}`,
  playbookBegun: ({ playbook }) => `Begun: ${playbooks[playbook]?.title ?? playbook}`,
  stepTicked: (step, names) => `Step done: ${stepTitle(step, names)}`,
  stepSkipped: (step, names) => `Step left out: ${stepTitle(step, names)} (${step.reason})`,
  stepMarked: ({ mark }) => `Counted: ${mark}`,
  playbookEnded: ({ done, reason }) =>
    done ? 'Worked to its end' : `Given up${reason ? `: ${reason}` : ''}`,
  withdrawn: () => 'Withdrawn',
};

function stockedLine({ frames, shakes, openBrood, queen }: Payload<'stocked'>): string {
  const parts = [
    [frames.sealedBrood, 'sealed brood'],
    [frames.stores, 'stores'],
    [frames.drawn, 'drawn'],
  ] as const;
  const list = parts.filter(([count]) => count > 0).map(([count, what]) => `${count} ${what}`);
  const shaken = shakes > 0 ? [countOf(shakes, 'shake')] : [];
  return `Stocked: ${[...list, ...shaken].join(', ') || 'bees'}${openBrood ? '; open brood among it' : ''}${queen === 'laying' ? '; with their queen' : queen === 'unknown' ? '; their queen not known' : ''}`;
}

function roundOf(round: string | undefined, { rounds }: Names): string {
  const found = round === undefined ? undefined : rounds.get(round);
  return found ? ` from round ${found.number}, ${found.donor}` : '';
}
