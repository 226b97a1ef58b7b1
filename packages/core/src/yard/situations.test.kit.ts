import type { LogEvent, Payload } from '@yellow-cell/contract';
import { plusDays } from '../calendar/days.ts';
import type { Weather } from './due/expectation.ts';
import { begun, OF, stockedIn, told, weatherOf } from './story.test.kit.ts';

/** The day on which the cell of these stories is given. */
export const CELL = '2026-05-10';
const day = (count: number) => plusDays(CELL, count);
const IN = { box: 'box-1', colony: 'colony-1' };
const weather = (
  from: number,
  hours: readonly number[],
  more: { max_C?: number; min_C?: number } = {},
): Weather => new Map(weatherOf(day(from), hours).map((each) => [each.date, { ...each, ...more }]));
const every = (hours: number, days: number): number[] => new Array(days).fill(hours);

const cell = begun(CELL);
const stocked = cell.slice(0, -1);
const opened = told('cellOpened', day(3), OF);
const eggs = told('eggsSeen', day(14), OF);
const laying = [...cell, opened, eggs];
const pattern = (pct: number) => told('patternScored', day(24), { ...OF, pattern_pct: pct });
const seams = (on: number, count: number) => told('strengthSeen', day(on), { ...IN, seams: count });
const role = (name: 'bank' | 'donor' | 'starter' | 'finisher' | 'wintering' | 'growing') =>
  told('roleSet', day(1), { box: 'box-1', role: name });
const trouble = (kind: Payload<'troubleSeen'>['trouble']) =>
  told('troubleSeen', day(5), { ...IN, trouble: kind, over: false });
const strips = told('stripsPut', day(5), { ...IN, product: 'Strips', outBy: day(47) }, { id: 'strips' });
const taken = told('queenTaken', day(36), { ...OF, to: 'sold', beesRemain: true });

/** What one compartment has been through, and the weather since. */
export const SITUATIONS: readonly (readonly [string, readonly LogEvent[], Weather?])[] = [
  ['stocked, without a cell', stocked],
  [
    'stocked with open brood',
    [...stocked.slice(0, -1), stockedIn('colony-1', 0, day(-1), { openBrood: true })],
  ],
  ['a ripe cell given', cell],
  ['a virgin', [...cell, opened]],
  ['a virgin that could not fly for five days', [...cell, opened], weather(6, [0, 0, 0, 0, 0, 4])],
  ['a virgin, and nothing flies any more', [...cell, opened], weather(6, every(0, 20))],
  ['laying', laying],
  ['a pattern scored', [...laying, pattern(92)]],
  ['a poor pattern scored', [...laying, pattern(60)]],
  ['her queen taken', [...laying, pattern(92), taken]],
  ['failed', [...cell, told('failed', day(20), { ...OF, reason: 'virginLost' })]],
  [
    'her queen put aside',
    [...laying, told('queenTaken', day(20), { ...OF, to: 'aside', beesRemain: true, backBy: day(23) })],
  ],
  [
    'a caged queen given',
    [...stocked, told('queenGiven', day(5), { ...IN, queen: 'm', what: 'mated', caged: true })],
  ],
  ['fed while shut', [...cell, told('fed', day(2), { ...IN, feed: 'syrup11', amount_kg: 0.9 })]],
  ['a patty', [...cell, told('fed', day(2), { ...IN, feed: 'patty', amount_kg: 0.3 })]],
  ['strips in', [...laying, strips]],
  [
    'mites over the limit',
    [...laying, told('mitesCounted', day(20), { ...IN, method: 'sugar', bees: 300, mites: 12 })],
  ],
  ['a cover off', [...cell, told('coverSet', day(5), { ...IN, on: false })]],
  [
    'an outing',
    [...cell, told('outingLeft', day(5), { ...IN, place: 'School', backBy: `${day(5)}T15:00:00Z` })],
  ],
  ['a suspicion', [...cell, told('suspected', day(5), { ...IN, suspicion: 's', what: 'A drone layer?' })]],
  ['wasps', [...cell, trouble('wasps')]],
  ['robbing', [...cell, trouble('robbing')]],
  ['crowded', [...laying, seams(20, 3)]],
  ['weak', [...laying, seams(20, 1)]],
  ['small, and three days without flight', cell, weather(5, [3, 0, 0, 0])],
  ['small, in a cool autumn', [...laying, seams(20, 1)], weather(10, every(0, 20), { max_C: 11 })],
  ['small, and a frost', [...laying, seams(20, 1)], weather(20, [3, 3], { min_C: -2 })],
  [
    'wintering, and it grows warm',
    [...laying, role('wintering'), seams(20, 3)],
    weather(10, every(3, 20), { max_C: 19 }),
  ],
  ['wintering, not seen', [...laying, role('wintering')]],
  ['a bank', [...stocked, role('bank')]],
  ['a donor', [...laying, role('donor')]],
  ['a starter', [...stocked, role('starter')]],
  ['a finisher', [...laying, role('finisher')]],
  ['growing', [...laying, role('growing'), seams(20, 3)]],
];
