import { DueKind, EventKind, Role } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { deriveBox } from '../../box/model.ts';
import { plusDays } from '../../calendar/days.ts';
import { defaultConstants } from '../../constants/registry.ts';
import { familyDesign } from '../../families/build.ts';
import { knownOf, placed } from '../../winter/hived.test.kit.ts';
import { boxViews } from '../boxView.ts';
import { compartmentsOf, type StandingCompartment } from '../compartments.ts';
import { fold } from '../fold.ts';
import { told, YARD } from '../story.test.kit.ts';
import { warningsOf } from '../warn/warnings.ts';
import { metIn, raisesIn, roles } from './roles.ts';

const START = '2026-05-01';
const day = (count: number) => plusDays(START, count);
const BOX = 'box-1';

/** A box of a family with its rooms from the left, and the story of those put into them. */
function boxOf(family: Parameters<typeof familyDesign>[0]) {
  const content = familyDesign(family);
  const known = knownOf(content, family);
  const rooms = deriveBox(content).compartments;
  const built = placed({ box: BOX, label: 'D1', east_m: 1 });
  const stock = (colony: string, room: number, on = day(0), queen?: 'laying' | 'unknown') =>
    told('stocked', on, {
      box: BOX,
      colony,
      bays: [...(rooms[room]?.bays ?? [])],
      frames: { sealedBrood: 1, stores: 1, drawn: 1 },
      shakes: 1,
      openBrood: false,
      ...(queen ? { queen } : {}),
    });
  const tell = (...events: ReturnType<typeof told>[]) => fold(known, [...built, ...events]);
  const roomsOf = (state: ReturnType<typeof tell>): StandingCompartment[] => {
    const box = state.boxes.get(BOX);
    if (!box) throw new Error('no box');
    return compartmentsOf(state, known.designs, box);
  };
  const dueOf = (state: ReturnType<typeof tell>, on: string) =>
    boxViews(state, known, YARD, defaultConstants, { on, today: on })[0]?.compartments.map(({ due }) =>
      due.map(({ kind }) => kind),
    );
  return { known, rooms, stock, tell, roomsOf, dueOf };
}

describe('the table of roles', () => {
  it('says of every role and every kind of entry whether it is offered, warned about or silent, and never two of them', () => {
    for (const role of Role.options) {
      const row = roles[role];
      expect(row.offers.filter((kind) => row.warns[kind] !== undefined)).toEqual([]);
      expect(new Set(row.offers).size).toBe(row.offers.length);
      for (const kind of [...row.offers, ...Object.keys(row.warns)])
        expect(EventKind.options).toContain(kind);
      const met = EventKind.options.map((kind) => metIn(role, kind));
      expect(met.filter((each) => each === 'offered')).toHaveLength(row.offers.length);
      expect(met.filter((each) => each === 'warned')).toHaveLength(Object.keys(row.warns).length);
    }
  });

  it('raises nothing of mating where nothing mates, and everywhere takes strips out', () => {
    const NOT_MATING = [
      'donor',
      'flying',
      'starter',
      'finisher',
      'bank',
      'father',
      'shown',
      'changing',
      'stores',
    ] as const;
    for (const role of NOT_MATING) {
      for (const kind of ['giveCell', 'checkOpening', 'lookForEggs', 'declareFailed', 'harvest'] as const)
        expect([role, kind, raisesIn(role, kind)]).toEqual([role, kind, false]);
      expect(metIn(role, 'cellGiven')).toBe(role === 'shown' ? 'silent' : 'warned');
    }
    for (const role of [...Role.options, 'empty'] as const) expect(raisesIn(role, 'stripsOut')).toBe(true);
    for (const kind of DueKind.options)
      expect(
        Role.options.filter((role) => raisesIn(role, kind)),
        kind,
      ).not.toEqual([]);
  });

  it('feeds no starter and opens none', () => {
    for (const kind of ['refillFeed', 'feedShut', 'feedWeak', 'openEntrance'] as const)
      expect(raisesIn('starter', kind)).toBe(false);
  });
});

describe('what a room serves as', () => {
  it.each([
    ['threeWay', ['mating', 'mating', 'mating']],
    ['nucleus', ['mating']],
    ['starter', ['starter']],
    ['bank', ['bank']],
    ['changer', ['changing']],
    ['observation', ['shown']],
    ['followerReduced', ['wintering']],
    ['foldedSheet', ['growing']],
  ] as const)('is proposed by its design: %s', (family, expected) => {
    const { stock, tell, roomsOf, rooms } = boxOf(family);
    const state = tell(...rooms.map((_, index) => stock(`c${index}`, index)));
    expect(
      roomsOf(state)
        .flatMap(({ role, colony }) => (colony ? [role] : []))
        .slice(0, expected.length),
    ).toEqual([...expected]);
  });

  it('is as a person says from then on, for a room or for the whole box', () => {
    const { stock, tell, roomsOf, rooms } = boxOf('threeWay');
    const state = tell(
      stock('a', 0),
      stock('b', 1),
      told('roleSet', day(1), { box: BOX, role: 'father' }),
      told('roleSet', day(2), { box: BOX, role: 'growing', bays: [...(rooms[1]?.bays ?? [])] }),
    );
    expect(roomsOf(state).map(({ role }) => role)).toEqual(['father', 'growing', 'empty']);
  });

  it('a donor’s box becomes a mating box once a cell is given in it', () => {
    const { stock, tell, roomsOf } = boxOf('donorHolding');
    const cell = told('cellGiven', day(3), { box: BOX, colony: 'a', attempt: 't' });
    expect(roomsOf(tell(stock('a', 0), cell))[0]?.role).toBe('mating');
  });
});

describe('one colony in two rooms', () => {
  const donor = boxOf('donorHolding');
  const state = donor.tell(donor.stock('a', 0, day(0), 'laying'));
  const [hers, flying] = donor.roomsOf(state);

  it('is reckoned once, where its queen is; her bees fly from the other', () => {
    expect([hers?.role, flying?.role]).toEqual(['donor', 'flying']);
    expect([hers?.colony?.id, flying?.colony?.id]).toEqual(['a', 'a']);
    expect([hers?.shares, flying?.shares]).toEqual([undefined, hers?.name]);
    expect(state.colonies.get('a')?.shutOn).toBeUndefined();
    expect(donor.dueOf(state, day(2))).toEqual([[], []]);
    expect(donor.dueOf(state, day(5))?.[1]).toEqual([]);
    expect(donor.dueOf(state, day(4))?.[0]).toEqual(['donorComb']);
  });

  it('follows its queen to the room that she is seen in', () => {
    const [bay] = flying?.bays ?? [];
    const seen = told('queenSeen', day(1), { box: BOX, colony: 'a', bay: bay ?? '', seen: true });
    const rooms = donor.roomsOf(donor.tell(donor.stock('a', 0, day(0), 'laying'), seen));
    expect(rooms.map(({ shares }) => shares)).toEqual([rooms[1]?.name, undefined]);
  });

  it('is warned of a cell on either side, and takes frames in both', () => {
    const situation = {
      state,
      designs: donor.known.designs,
      on: day(3),
      weather: new Map(),
      constants: defaultConstants,
      yard: { latitude_deg: 48 },
    };
    const cell = { box: BOX, colony: 'a', attempt: 't' };
    const said = (bay?: string) =>
      warningsOf(situation, { kind: 'cellGiven', payload: { ...cell, ...(bay ? { bay } : {}) } })
        .map(({ sentence }) => sentence)
        .join(' ');
    expect(said()).toContain('The donor is here.');
    expect(said(flying?.bays[0])).toMatch(/bees of the donor beside them.*Only an excluder parts/);
    const more = donor.tell(donor.stock('a', 0, day(0), 'laying'), donor.stock('a', 1, day(1)));
    expect(more.toSettle).toEqual([]);
    expect(more.colonies.get('a')).toMatchObject({ status: 'queenright', stockedOn: day(0) });
  });

  it('gives a room up to bees that are put into it', () => {
    const both = donor.tell(donor.stock('a', 0, day(0), 'laying'), donor.stock('b', 1, day(1)));
    expect(both.toSettle).toEqual([]);
    expect(donor.roomsOf(both).map(({ colony }) => colony?.id)).toEqual(['a', 'b']);
    expect(both.colonies.get('a')?.bays).toEqual(both.colonies.get('a')?.home);
  });

  it('is shut in only where no room of it has a way out', () => {
    const { rooms } = donor;
    const shut = rooms
      .flatMap(({ entrances }) => entrances.filter(({ opening }) => opening.state === 'open'))
      .map(({ id }) => id)
      .map((entrance) => told('entranceSet', day(2), { box: BOX, entrance, state: 'vent' }));
    const [last, ...all] = shut;
    expect(donor.tell(donor.stock('a', 0), ...all).colonies.get('a')?.shutOn).toBeUndefined();
    expect(
      donor.tell(donor.stock('a', 0), ...all, last as (typeof shut)[number]).colonies.get('a')?.shutOn,
    ).toBe(day(2));
  });
});

describe('a bank', () => {
  const { stock, tell, roomsOf, dueOf } = boxOf('bank');
  const given = (queen: string, on: number, cage: string) =>
    told('queenGiven', day(on), { box: BOX, colony: 'a', queen, what: 'mated', caged: true, cage });
  const taken = (queen: string | undefined, on: number) =>
    told('queenTaken', day(on), {
      box: BOX,
      colony: 'a',
      to: 'sold',
      beesRemain: true,
      ...(queen ? { queen } : {}),
    });
  const two = [stock('a', 0), given('q1', 1, 'A1'), given('q2', 2, 'A2')];
  const bankRoom = (state: ReturnType<typeof tell>) =>
    roomsOf(state).find(({ shares, colony }) => colony && shares === undefined);

  it('keeps many queens, each with her cage and the day she came, and its bees stay without one', () => {
    const room = bankRoom(tell(...two));
    expect(room?.queens).toMatchObject([
      { id: 'q1', cage: 'A1', since: day(1), caged: true },
      { id: 'q2', cage: 'A2', since: day(2), caged: true },
    ]);
    expect(room?.status).toBe('stocked');
    expect(dueOf(tell(...two), day(5))?.flat()).toEqual([]);
    expect(dueOf(tell(...two), day(6))?.flat()).toEqual(['reloadBank']);
  });

  it('gives up one of them by name, and keeps the others', () => {
    expect(tell(...two, taken(undefined, 3)).toSettle.map(({ sentence }) => sentence)).toEqual([
      'Several queens live there: which of them is taken?',
    ]);
    const state = tell(...two, taken('q1', 3));
    expect(bankRoom(state)?.queens.map(({ id }) => id)).toEqual(['q2']);
    expect(bankRoom(state)?.status).toBe('stocked');
    expect(state.queens.get('q1')?.gone).toEqual({ on: day(3), to: 'sold' });
  });

  it('takes no free queen without a word, and one that stands elsewhere only from there', () => {
    const situation = {
      state: tell(...two),
      designs: boxOf('bank').known.designs,
      on: day(3),
      weather: new Map(),
      constants: defaultConstants,
      yard: { latitude_deg: 48 },
    };
    const free = { box: BOX, colony: 'a', queen: 'q9', what: 'mated', caged: false } as const;
    const said = warningsOf(situation, { kind: 'queenGiven', payload: free }).map(({ sentence }) => sentence);
    expect(said.join(' ')).toContain('A free queen among the cages');
    // She is in it already, and would be twice.
    expect(tell(...two, given('q1', 3, 'B1')).toSettle[0]?.sentence).toContain('is in box D1');
  });

  it('does not give back who was sold, died or was culled', () => {
    const again = tell(...two, taken('q1', 3), given('q1', 4, 'B1'));
    expect(again.toSettle[0]?.sentence).toContain('sold');
  });
});

describe('a closed starter', () => {
  const { known, rooms, stock, tell } = boxOf('starter');
  const state = tell(stock('a', 0));
  const said = (act: Parameters<typeof warningsOf>[1]) =>
    warningsOf(
      {
        state,
        designs: known.designs,
        on: day(0),
        weather: new Map(),
        constants: defaultConstants,
        yard: { latitude_deg: 48 },
      },
      act,
    )
      .map(({ sentence }) => sentence)
      .join(' ');
  const entrance = rooms[0]?.entrances[0]?.id ?? '';
  const turn = (to: 'open' | 'closed' | 'vent') =>
    said({ kind: 'entranceSet', payload: { box: BOX, entrance, state: to } });
  it('is warned of being opened, and not of being shut', () => {
    expect(turn('open')).toContain('shut on purpose');
    expect(turn('closed')).not.toContain('shut on purpose');
    expect(turn('vent')).not.toContain('shut on purpose');
  });
  it('is not fed before its grafts, nor given a cell or a queen', () => {
    const feed = { box: BOX, colony: 'a', feed: 'syrup11', amount_kg: 1 } as const;
    expect(said({ kind: 'fed', payload: feed })).toContain('once its grafts are in');
    expect(said({ kind: 'cellGiven', payload: { box: BOX, colony: 'a', attempt: 't' } })).toContain(
      'tears them down',
    );
    const queen = { box: BOX, colony: 'a', queen: 'q', what: 'mated', caged: true } as const;
    expect(said({ kind: 'queenGiven', payload: queen })).toContain('start no grafts');
  });
  it('runs by the clock from when it was closed', () => {
    const closed = told('roleSet', day(0), { box: BOX, role: 'starter' }, { hour: 11 });
    const now = tell(stock('a', 0), closed);
    const work = boxViews(now, known, YARD, defaultConstants, { on: day(0), today: day(0) })[0]
      ?.compartments[0]?.due[0];
    expect(work).toMatchObject({ kind: 'workStarter', by: `${day(1)}T09:00:00.000Z` });
    expect(work?.reason).toContain('at 11:00: grafts in between 13:00 and 15:00');
    const late = (at: string) =>
      boxViews(now, known, YARD, defaultConstants, { on: day(1), today: day(1), now: at })[0]?.compartments[0]
        ?.urgency;
    expect([late(`${day(1)}T08:59:00.000Z`), late(`${day(1)}T09:01:00.000Z`)]).toEqual(['due', 'overdue']);
  });
});

describe('several queens at once', () => {
  const { stock, tell, roomsOf } = boxOf('nucleus');
  const recorded = (queen: string) => told('queenRecorded', day(1), { box: BOX, colony: 'a', queen });
  it('are told apart: one gone leaves the other, and none only when none is left', () => {
    const two = [stock('a', 0, day(0), 'laying'), recorded('q1'), recorded('q2')];
    const take = (queen: string, on: number) =>
      told('queenTaken', day(on), { box: BOX, colony: 'a', queen, to: 'culled', beesRemain: true });
    expect(roomsOf(tell(...two, take('q1', 2)))[0]).toMatchObject({
      status: 'queenright',
      queens: [{ id: 'q2' }],
    });
    expect(roomsOf(tell(...two, take('q1', 2), take('q2', 3)))[0]?.status).toBe('stocked');
  });
});
