import type { LogEvent } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { deriveBox } from '../box/model.ts';
import { standardDesign } from '../box/standardDesign.ts';
import type { Day } from '../calendar/days.ts';
import { defaultConstants } from '../constants/registry.ts';
import { takeRate } from '../mating/takeRate.ts';
import { fold } from '../yard/fold.ts';
import { told, YARD } from '../yard/story.test.kit.ts';
import { estimatedWinter } from './estimatedClimate.ts';
import { knownOf } from './hived.test.kit.ts';
import { winterLosses } from './losses.ts';

const content = standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames: [10] });
const [room] = deriveBox(content).compartments;
const known = knownOf(content);

/** A box with a colony of its own name. */
const box = (id: string, since: Day = '2026-06-01'): LogEvent[] => [
  told('boxBuilt', '2026-04-01', { box: id, label: id.toUpperCase(), design: 'd', version: 1 }),
  told('boxPlaced', '2026-04-02', {
    box: id,
    yard: YARD,
    stand: id,
    east_m: 1,
    north_m: 1,
    bearing_deg: 180,
  }),
  told('stocked', since, {
    box: id,
    colony: `in ${id}`,
    bays: [...(room?.bays ?? [])],
    frames: { sealedBrood: 2, stores: 2, drawn: 6 },
    shakes: 2,
    openBrood: false,
    queen: 'laying',
  }),
];
const of = (id: string) => ({ box: id, colony: `in ${id}` });
const dies = (id: string, on: Day) => told('failed', on, { ...of(id), reason: 'starved' });
const seams = (id: string, count: number, on: Day = '2026-10-10') =>
  told('strengthSeen', on, { ...of(id), seams: count });

function losses(events: readonly LogEvent[], on: Day = '2027-04-20') {
  const state = fold(known, [...events]);
  expect(state.toSettle).toEqual([]);
  const names = (id: string) => known.designs.get(id)?.name ?? '';
  const asked = { on, months: estimatedWinter(), latitude_deg: 48, constants: defaultConstants };
  return winterLosses(state, YARD, names, asked);
}
const group = (all: ReturnType<typeof losses>, name: string) => all.groups.find((each) => each.name === name);

describe('how a winter went', () => {
  const four = ['a', 'b', 'c', 'd'].flatMap((id) => box(id));

  it('counts from December to the end of winter: who died before, or after, is of another time', () => {
    const all = losses([
      ...four,
      dies('a', '2026-11-30'),
      dies('b', '2026-12-01'),
      dies('c', '2027-04-01'),
      dies('d', '2027-04-02'),
    ]);
    expect(all).toMatchObject({ from: '2026-12-01', to: '2027-04-01', lived: 1, lost: 2 });
    expect(losses([...four, dies('b', '2027-01-20')], '2027-01-19')).toMatchObject({ lived: 4, lost: 0 });
    expect(losses([...four, ...box('e', '2026-12-01')])).toMatchObject({ lived: 4, lost: 0 });
  });

  it('is the winter before until colonies count as wintered again', () => {
    const events = [...four, dies('a', '2027-01-10')];
    for (const on of ['2027-05-20', '2027-09-30', '2027-10-01', '2027-11-30'])
      expect([on, losses(events, on)]).toMatchObject([on, { from: '2026-12-01', lived: 3, lost: 1 }]);
    expect(losses(events, '2027-12-01')).toMatchObject({ from: '2027-12-01', lived: 3, lost: 0 });
  });

  it('counts who was joined to another as lost, and who was sold with her bees not at all', () => {
    const joined = told('combined', '2027-02-20', { ...of('a'), intoBox: 'b', into: 'in b' });
    expect(losses([...four, joined])).toMatchObject({ lived: 3, lost: 1 });
  });

  it('tells designs, strengths in autumn and arrangements apart, each with what is known of its rate', () => {
    const planned = told('winterPlanned', '2026-10-12', { ...of('a'), act: 'reduce', sugar_kg: 0 });
    const prepared = told('winterPrepared', '2026-10-13', of('a'));
    const later = told('winterPrepared', '2026-12-02', of('b'));
    const all = losses([
      ...four,
      seams('a', 3.9),
      seams('b', 4),
      seams('c', 6),
      // In spring it is stronger; in autumn it was not.
      seams('c', 9, '2027-04-10'),
      planned,
      prepared,
      told('winterPlanned', '2026-11-12', { ...of('b'), act: 'pair', sugar_kg: 0 }),
      later,
      dies('a', '2027-02-01'),
    ]);
    expect(group(all, 'under 4 seams')).toMatchObject({ lived: 0, lost: 1 });
    expect(group(all, '4 to 6 seams')).toMatchObject({ lived: 1, lost: 0 });
    expect(group(all, '6 seams or more')).toMatchObject({ lived: 1, lost: 0 });
    expect(group(all, 'not counted')).toMatchObject({ lived: 1, lost: 0 });
    expect(group(all, 'reduced')).toMatchObject({ lived: 0, lost: 1 });
    expect(group(all, 'as it stood')).toMatchObject({ lived: 3, lost: 0 });
    expect(group(all, 'Ten frames')).toMatchObject(takeRate(3, 1, defaultConstants.intervalShare));
  });
});
