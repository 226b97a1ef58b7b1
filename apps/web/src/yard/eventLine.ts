import type { Entry } from '@yellow-cell/contract';
import {
  compassPoint,
  conditionWords,
  failWords,
  fateWords,
  feedWords,
  showDay,
  type YardState,
} from '@yellow-cell/core';
import { entranceWords } from './entranceWords.ts';

/** An entry in a few words. */
export function eventLine(event: Entry, state: YardState): string {
  switch (event.kind) {
    case 'boxBuilt':
      return `Built as ${event.payload.label}`;
    case 'boxPlaced':
      return `Placed on stand ${event.payload.stand}, front to the ${compassPoint(event.payload.bearing_deg)}`;
    case 'boxTakenApart':
      return 'Taken apart';
    case 'dividerSet':
      return event.payload.stands ? 'Divider set' : 'Divider pulled';
    case 'entranceSet':
      return `Entrance turned to ${entranceWords[event.payload.state]}`;
    case 'fed':
      return `Fed ${event.payload.amount_kg} kg of ${feedWords[event.payload.feed]}`;
    case 'stripsPut':
      return `${event.payload.product} put in, out by ${showDay(event.payload.outBy)}`;
    case 'stripsOut':
      return 'Strips taken out';
    case 'workPutOff':
      return event.payload.until ? `Put off to ${showDay(event.payload.until)}` : 'Dismissed';
    case 'boxInspected':
      return `Looked at: ${conditionWords[event.payload.condition]}${event.payload.missing ? `, missing ${event.payload.missing}` : ''}`;
    case 'buildTicked':
      return event.payload.done
        ? `Build: ${event.payload.step} done`
        : `Build: ${event.payload.step} taken back`;
    case 'stocked':
      return stockedLine(event.payload);
    case 'cellGiven':
      return `Ripe cell given${roundOf(event.payload.round, state)}`;
    case 'cellOpened':
      return 'Cell seen opened';
    case 'eggsSeen':
      return 'Eggs seen';
    case 'patternScored':
      return `Pattern ${event.payload.pattern_pct} %`;
    case 'failed':
      return `Failed: ${failWords[event.payload.reason]}`;
    case 'queenTaken':
      return `Queen taken: ${fateWords[event.payload.to]}${event.payload.beesRemain ? '' : ', with her bees'}`;
    case 'combined':
      return `Combined with ${state.boxes.get(event.payload.intoBox)?.label ?? 'another box'}`;
    case 'noted':
      return 'Note';
    case 'grafted':
      return `Round ${event.payload.number} grafted`;
    case 'weatherRecorded':
      return 'Weather';
    case 'withdrawn':
      return 'Withdrawn';
  }
}

function stockedLine({ frames, shakes, openBrood }: Extract<Entry, { kind: 'stocked' }>['payload']): string {
  const parts = [
    [frames.sealedBrood, 'sealed brood'],
    [frames.stores, 'stores'],
    [frames.drawn, 'drawn'],
  ] as const;
  const list = parts.filter(([count]) => count > 0).map(([count, what]) => `${count} ${what}`);
  const shaken = shakes > 0 ? [`${shakes} ${shakes === 1 ? 'shake' : 'shakes'}`] : [];
  return `Stocked: ${[...list, ...shaken].join(', ') || 'bees'}${openBrood ? '; open brood among it' : ''}`;
}

function roundOf(round: string | undefined, state: YardState): string {
  const found = round === undefined ? undefined : state.rounds.get(round);
  return found ? ` from round ${found.number}, ${found.donor}` : '';
}
