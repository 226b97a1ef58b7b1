import type { LogEvent } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { mm, tightBoard } from '../box/plainParts.ts';
import { mainBody } from '../box/stack.ts';
import { familyDesign } from '../families/build.ts';
import { hived, knownOf } from '../winter/hived.test.kit.ts';
import { fold } from './fold.ts';
import { told } from './story.test.kit.ts';

const design = familyDesign('bank');
const body = mainBody(design);
const [bay] = body.bays;
if (!bay) throw new Error('No bay.');
const OF = { box: 'b', colony: 'a' };

/** Three of its nine frames stay left of the board. */
const parted = told('boardAdded', '2026-06-09', {
  box: 'b',
  body: body.id,
  board: tightBoard('new', 'place', mm(6), design.floor.lip.mm),
  at_mm: 3 * body.format.pitch_mm + 2,
  framesLeft: 3,
  bay: 'beyond',
});
const after = (...events: readonly LogEvent[]) => {
  const state = fold(knownOf(design), [...hived(design), ...events]);
  expect(state.toSettle).toEqual([]);
  return state.colonies.get('a');
};

describe('a bay that a board parts', () => {
  it('keeps the queen where she was seen on a frame, else where more of its combs hang', () => {
    const known = told('queenRecorded', '2026-06-02', { ...OF, queen: 'q', name: 'Sable' });
    const seen = (at: object) => told('queenSeen', '2026-06-05', { ...OF, queen: 'q', seen: true, ...at });
    const on = (place: number) => seen({ slot: bay.frames[place]?.id });
    expect(after(known, on(2), parted)).toMatchObject({ queenIn: bay.id, home: [bay.id] });
    expect(after(known, on(3), parted)).toMatchObject({ queenIn: 'beyond', home: ['beyond'] });
    expect(after(known, seen({ bay: bay.id }), parted)).toMatchObject({
      queenIn: 'beyond',
      home: ['beyond'],
    });
    expect(after(parted)?.home).toEqual(['beyond']);
  });

  it('is two for bees that are gone as well: what they left may hang in either', () => {
    const strips = told('stripsPut', '2026-06-04', { ...OF, product: 'Strips', outBy: '2026-08-01' });
    const gone = told('failed', '2026-06-06', { ...OF, reason: 'absconded' });
    const left = after(strips, gone, parted);
    expect(left?.ended?.on).toBe('2026-06-06');
    expect(left?.bays).toEqual([bay.id, 'beyond']);
  });
});
