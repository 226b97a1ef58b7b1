import { describe, expect, it } from 'vitest';
import { BOX, bays, built, id, TODAY, told, viewOf, YARD } from './onScreen.test.kit.tsx';
import { tellUnsent } from './tellYard.ts';

const COLONY = id(7);
const known = { designs: viewOf(built).designs, yards: new Set([YARD]) };
const parcel = (...events: ReturnType<typeof told>[]) => ({
  id: events[0]?.id ?? '',
  title: '',
  entries: events,
});
const stocked = told('stocked', '2026-05-01', {
  box: BOX,
  colony: COLONY,
  bays: bays.slice(0, 1),
  frames: { sealedBrood: 1, stores: 1, drawn: 1 },
  shakes: 1,
  openBrood: false,
});
const fed = told('fed', '2026-05-02', { box: BOX, colony: COLONY, feed: 'syrup11', amount_kg: 0.5 });

describe('a yard with what is not sent yet', () => {
  const { state } = viewOf(built);
  const tell = (parcels: Parameters<typeof tellUnsent>[2], sent: readonly string[] = [], on = TODAY) =>
    tellUnsent(state, known, parcels, new Set(sent), on).colonies.get(COLONY);

  it('has it, in the order in which it happened, and up to the day shown', () => {
    expect(tell([parcel(fed), parcel(stocked)])?.fed).toEqual({
      on: '2026-05-02',
      feed: 'syrup11',
      amount_kg: 0.5,
    });
    expect(tell([parcel(stocked), parcel(fed)], [], '2026-05-01')?.fed).toBeUndefined();
    expect(tell([])).toBeUndefined();
  });

  it('tells a parcel no second time of which the server has told any already', () => {
    expect(tell([parcel(stocked, fed)], [fed.id])).toBeUndefined();
    expect(tell([parcel(stocked), parcel(fed)], [fed.id])).toMatchObject({ id: COLONY, box: BOX });
    expect(tell([parcel(stocked), parcel(fed)], [fed.id])?.fed).toBeUndefined();
  });
});
