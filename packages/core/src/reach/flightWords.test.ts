import type { EntranceState, Side } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { flightWords } from './flightWords.ts';

const doors = (...all: readonly (readonly [Side, EntranceState])[]) =>
  all.map(([side, state]) => ({ opening: { side, state } }));

describe('where a room flies to', () => {
  it('is by the entrances that let workers out, each side once, turned with the box', () => {
    expect(flightWords(doors(['front', 'open'], ['front', 'reduced']), 180)).toBe('flies south');
    expect(flightWords(doors(['front', 'open'], ['left', 'workersOnly']), 0)).toBe('flies north and east');
    expect(flightWords(doors(['front', 'closed'], ['back', 'open']), 180)).toBe('flies north');
  });

  it('is nowhere where all are shut or on vent, and unsaid without an entrance', () => {
    expect(flightWords(doors(['front', 'vent'], ['back', 'closed']), 180)).toBe('no flight of its own');
    expect(flightWords([], 180)).toBeUndefined();
  });
});
