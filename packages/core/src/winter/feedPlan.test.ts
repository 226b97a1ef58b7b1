import type { LogEvent } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deriveBox } from '../box/model.ts';
import { standardDesign } from '../box/standardDesign.ts';
import { type Day, daysBetween, plusDays } from '../calendar/days.ts';
import { defaultConstants } from '../constants/registry.ts';
import { STORES_OF, STORES_OF_SUGAR, SYRUPS } from '../feed/feeds.ts';
import { boxViews } from '../yard/boxView.ts';
import { fold } from '../yard/fold.ts';
import { told, YARD } from '../yard/story.test.kit.ts';
import { autumnList } from './autumn.ts';
import { estimatedWinter } from './estimatedClimate.ts';
import { feedPlan, stripsOf } from './feedPlan.ts';
import { winterAhead } from './forecast.ts';
import { hived, knownOf } from './hived.test.kit.ts';
import { fullSide } from './reduce.ts';

const content = standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames: [10] });
const [room] = deriveBox(content).compartments;
const known = knownOf(content);
const ON = '2026-10-05';
const of = { box: 'b', colony: 'a' };
const planned = (sugar_kg: number, on: Day = ON) =>
  told('winterPlanned', on, { ...of, act: 'feed', sugar_kg });
const fed = (amount_kg: number) => told('fed', ON, { ...of, feed: 'syrup21', amount_kg }, { hour: 20 });

function asked(events: readonly LogEvent[], on: Day = ON, months = estimatedWinter()) {
  const constants = defaultConstants;
  const state = fold(known, [...hived(content), ...events]);
  expect(state.toSettle).toEqual([]);
  const boxes = boxViews(state, known, YARD, constants, { on, today: on });
  const lines = autumnList(state, boxes, { on, ...winterAhead(months, on, 48), constants });
  return { plan: feedPlan(state, boxes, lines, { on, months, constants }), lines };
}
const FEEDER_KG = defaultConstants.feederHolds_l * SYRUPS.syrup21.sugar_kgPerLitre;
const syrup = (events: readonly LogEvent[]) =>
  asked(events).plan.visits.filter(({ feed }) => feed === 'syrup21');

describe('feed for a yard before winter', () => {
  it('is given by rounds, as much as a feeder takes at once, days apart, and comes to what was planned', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 30, noNaN: true }), (sugar_kg) => {
        const { visits, buy } = asked([planned(sugar_kg)]).plan;
        const all = visits.reduce((sum, visit) => sum + visit.sugar_kg, 0);
        expect(all).toBeGreaterThan(sugar_kg - 0.1);
        expect(all).toBeLessThan(sugar_kg + 1e-9);
        const [liquid, solid] = [buy.sugar_kg, buy.fondant_kg * (STORES_OF.fondant / STORES_OF_SUGAR)];
        expect(liquid + solid).toBeCloseTo(all, 9);
        expect(buy.water_l).toBeCloseTo(liquid / 2, 9);
        expect(buy.syrup_l * SYRUPS.syrup21.sugar_kgPerLitre).toBeCloseTo(liquid, 9);
        visits.forEach((visit, index) => {
          expect(daysBetween(ON, visit.on)).toBe(index * defaultConstants.feedVisits_d);
          for (const portion of visit.portions)
            if (visit.feed === 'syrup21') expect(portion.sugar_kg).toBeLessThanOrEqual(FEEDER_KG + 1e-9);
        });
      }),
      { numRuns: 40 },
    );
  });

  it('leaves out what was fed already, and what is not worth a visit', () => {
    expect(syrup([planned(FEEDER_KG * 2)])).toHaveLength(2);
    const fed_kg = FEEDER_KG / (SYRUPS.syrup21.sugar_kgPerLitre / SYRUPS.syrup21.kgPerLitre);
    expect(syrup([planned(FEEDER_KG * 2), fed(fed_kg)])).toHaveLength(1);
    expect(asked([planned(0.09)]).plan.visits).toEqual([]);
    expect(asked([planned(0.11)]).plan.visits).toHaveLength(1);
  });

  it('is liquid until days are too cold for it by the climate, and fondant after', () => {
    const until = asked([]).plan.liquidUntil ?? '';
    expect(until > '2026-10-15' && until < '2026-11-01').toBe(true);
    for (const { on, feed } of asked([planned(30)]).plan.visits)
      expect(feed).toBe(on <= until ? 'syrup21' : 'fondant');
    expect(asked([planned(2, '2026-12-10')], '2026-12-10').plan.visits[0]?.feed).toBe('fondant');
    expect(asked([planned(2, '2027-03-10')], '2027-03-10').plan.visits[0]?.feed).toBe('fondant');
    const mild = estimatedWinter().map((month) => ({ ...month, outside_C: 12 }));
    expect(asked([planned(30)], ON, mild).plan.liquidUntil).toBeUndefined();
    // Where the month is as cold as its middle at the limit, that is the day.
    const cooling = estimatedWinter().map((month, index) => ({ ...month, outside_C: 8.001 - index * 4 }));
    expect(Math.abs(daysBetween('2026-10-16', asked([], ON, cooling).plan.liquidUntil ?? ''))).toBeLessThan(
      2,
    );
  });

  const slot = room?.frames[9]?.id ?? '';
  const stores = (share: number, more = {}) =>
    told('frameAudited', '2026-09-20', {
      ...of,
      frame: 'f',
      slot,
      sides: [{ stores: share, ...more }, { stores: share }],
    });
  const out = told('framesMoved', '2026-09-21', {
    moves: [{ frame: 'f', from: { box: 'b', slot }, to: null, turned: false }],
    purpose: 'reduce',
  });
  const side_kg = fullSide(room?.frames[0]?.format ?? ({} as never), defaultConstants);

  it('takes stores combs that lie at hand first, heavy enough and without brood, to who lacks it', () => {
    const { combs, visits } = asked([stores(0.9), out, planned(5)]).plan;
    expect(combs).toEqual([expect.objectContaining({ stores_kg: expect.closeTo(1.8 * side_kg, 9) })]);
    const given = visits.reduce((sum, { sugar_kg }) => sum + sugar_kg, 0);
    expect(given).toBeCloseTo(5 - (1.8 * side_kg) / STORES_OF_SUGAR, 6);
    const light = defaultConstants.storesComb_kg / side_kg / 2;
    expect(asked([stores(light - 0.01), out, planned(5)]).plan.combs).toEqual([]);
    expect(asked([stores(light + 0.01), out, planned(5)]).plan.combs).toHaveLength(1);
    expect(asked([stores(0.8, { sealed: 0.1 }), out, planned(5)]).plan.combs).toEqual([]);
    expect(asked([stores(0.9), planned(5)]).plan.combs).toEqual([]);
    // Of two the heavier is handed out first, and what it brings is not brought twice.
    const other = room?.frames[8]?.id ?? '';
    const lighter = [
      told(
        'frameAudited',
        '2026-09-20',
        {
          ...of,
          frame: 'g',
          slot: other,
          sides: [{ stores: 0.5 }, { stores: 0.5 }],
        },
        { hour: 9 },
      ),
      told(
        'framesMoved',
        '2026-09-21',
        {
          moves: [{ frame: 'g', from: { box: 'b', slot: other }, to: null, turned: false }],
          purpose: 'reduce',
        },
        { hour: 9 },
      ),
    ];
    const two = asked([...lighter, stores(0.9), out, planned(5)]).plan.combs;
    expect(two.map(({ frame }) => frame.id)).toEqual(['f', 'g']);
    // Who lacks less than half of what is in it is fed instead.
    expect(asked([stores(0.9), out, planned((0.85 * side_kg) / STORES_OF_SUGAR)]).plan.combs).toEqual([]);
  });
});

describe('strips', () => {
  it('are listed by the day they are to be out, and who had none for a season is named', () => {
    const put = told('stripsPut', '2026-08-25', { ...of, product: 'Strips', outBy: '2026-10-06' });
    const { lines } = asked([put]);
    expect(stripsOf(lines, ON, defaultConstants)).toMatchObject({
      outBy: [{ product: 'Strips', outBy: '2026-10-06' }],
      untreated: [],
    });
    const after = plusDays('2026-08-25', defaultConstants.untreated_d);
    expect(stripsOf(lines, after, defaultConstants).untreated).toHaveLength(0);
    expect(stripsOf(lines, plusDays(after, 1), defaultConstants).untreated).toHaveLength(1);
    expect(stripsOf(asked([]).lines, ON, defaultConstants).untreated).toHaveLength(1);
  });
});
