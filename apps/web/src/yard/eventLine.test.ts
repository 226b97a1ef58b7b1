import type { Entry } from '@yellow-cell/contract';
import type { YardState } from '@yellow-cell/core';
import { statusLine } from '@yellow-cell/core';
import { describe, expect, it } from 'vitest';
import { eventLine } from './eventLine.ts';

const state = {
  boxes: new Map([['box-2', { id: 'box-2', label: 'B2' }]]),
  rounds: new Map([['round-1', { id: 'round-1', number: 3, donor: 'Sable' }]]),
} as unknown as YardState;

const line = (kind: Entry['kind'], payload: object) =>
  eventLine({ kind, payload } as unknown as Entry, state);
const stocked = (frames: object, more: object = {}) =>
  line('stocked', {
    frames: { sealedBrood: 0, stores: 0, drawn: 0, ...frames },
    shakes: 0,
    openBrood: false,
    ...more,
  });

describe('an entry in a few words', () => {
  it.each([
    ['boxBuilt', { label: 'B7' }, 'Built as B7'],
    ['boxPlaced', { stand: '2', bearing_deg: 182 }, 'Placed on stand 2, front to the south'],
    ['cellGiven', { round: 'round-1' }, 'Ripe cell given from round 3, Sable'],
    ['cellGiven', {}, 'Ripe cell given'],
    ['cellGiven', { round: 'unknown' }, 'Ripe cell given'],
    ['patternScored', { pattern_pct: 92 }, 'Pattern 92 %'],
    ['failed', { reason: 'queenKilled' }, 'Failed: queen killed on introduction'],
    ['queenTaken', { to: 'bank', beesRemain: true }, 'Queen taken: to the bank'],
    ['queenTaken', { to: 'colony', beesRemain: false }, 'Queen taken: to a colony, with her bees'],
    ['combined', { box: 'box-1', intoBox: 'box-2' }, 'Combined with B2'],
    ['combined', { box: 'box-2', intoBox: 'box-2' }, 'Combined with a neighbour'],
    ['combined', { box: 'box-2', intoBox: 'box-2', also: { box: 'box-2' } }, 'Combined with two neighbours'],
    ['combined', { box: 'box-1', intoBox: 'box-2', also: { box: 'box-2' } }, 'Combined with B2'],
    [
      'combined',
      { box: 'box-1', intoBox: 'box-2', also: { box: 'box-1' } },
      'Combined with B2 and another box',
    ],
    ['combined', { intoBox: 'elsewhere' }, 'Combined with another box'],
  ] as const)('%s %j', (kind, payload, words) => {
    expect(line(kind, payload)).toBe(words);
  });

  it('begins with the box that it is about where it is read at another', () => {
    const event = { kind: 'combined', payload: { box: 'box-2', intoBox: 'box-1' } } as unknown as Entry;
    expect(eventLine(event, state, 'box-1')).toBe('B2: Combined with another box');
    expect(eventLine(event, state, 'box-2')).toBe('Combined with another box');
  });

  it('says of stocking only what was put in', () => {
    expect(stocked({ sealedBrood: 1, stores: 1, drawn: 1 }, { shakes: 1 })).toBe(
      'Stocked: 1 sealed brood, 1 stores, 1 drawn, 1 shake',
    );
    expect(stocked({}, { shakes: 2 })).toBe('Stocked: 2 shakes');
    expect(stocked({})).toBe('Stocked: bees');
    expect(stocked({ sealedBrood: 2 }, { openBrood: true })).toBe(
      'Stocked: 2 sealed brood; open brood among it',
    );
  });
});

describe('a status in words', () => {
  it('says since when, where that is known', () => {
    const room = { role: 'mating', queens: [], status: 'virgin', since: '2026-05-28' } as const;
    expect(statusLine(room)).toBe('virgin since 28 May 2026');
    expect(statusLine({ ...room, role: 'empty', status: 'empty', since: null })).toBe('empty');
    expect(statusLine({ ...room, role: 'donor', status: 'queenright' })).toBe(
      'donor: queenright since 28 May 2026',
    );
    expect(statusLine({ ...room, role: 'flying', shares: 'West' })).toBe('flying side, its queen in West');
    expect(statusLine({ ...room, role: 'bank' })).toBe('bank, 0 queens');
  });
});
