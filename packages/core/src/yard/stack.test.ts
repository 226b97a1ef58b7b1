import { type Body, type DesignContent, type Entry, Family, type LogEvent } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { designProblems } from '../box/designProblems.ts';
import { withHandPlaces } from '../box/handPlace.ts';
import { type BoxModel, deriveBox } from '../box/model.ts';
import { withBody } from '../box/parts.ts';
import { coverSheet, emptyBody, mm, tightBoard } from '../box/plainParts.ts';
import { bodiesOf } from '../box/stack.ts';
import { idsIn, withLayerAt, withoutLayer } from '../box/stackMoves.ts';
import { plusDays } from '../calendar/days.ts';
import { defaultConstants } from '../constants/registry.ts';
import { familyDesign } from '../families/build.ts';
import { designOf, livingIn } from './compartments.ts';
import { fold } from './fold.ts';
import type { Known } from './state.ts';
import { told, YARD } from './story.test.kit.ts';
import { warningsOf } from './warn/warnings.ts';

const START = '2026-05-01';
const day = (count: number) => plusDays(START, count);
const families = Family.options;

const known: Known = {
  designs: new Map(
    families.map((family) => {
      const version = {
        id: family,
        number: 1,
        content: familyDesign(family),
        note: '',
        savedAt: '',
        savedBy: '',
      };
      return [family, { id: family, name: family, versions: [version] }];
    }),
  ),
  yards: new Set([YARD]),
};
const built = (box: string, family: Family): LogEvent[] => [
  told('boxBuilt', day(-9), { box, label: box, design: family, version: 1 }),
  told('boxPlaced', day(-8), { box, yard: YARD, stand: '1', east_m: 1, north_m: 1, bearing_deg: 180 }),
];
const hived = (box: string, family: Family, colony: string, room = 0): LogEvent =>
  told('stocked', day(0), {
    box,
    colony,
    bays: [...(deriveBox(familyDesign(family)).compartments[room]?.bays ?? [])],
    frames: { sealedBrood: 1, stores: 1, drawn: 1 },
    shakes: 1,
    openBrood: false,
    queen: 'laying',
  });
const shape = ({ spaces, passages, compartments }: BoxModel) => ({
  spaces: spaces.map(({ id, kind, block }) => [id, kind, block]),
  passages: passages.map(({ between, gap_mm, reason }) => [between, gap_mm, reason]),
  compartments: compartments.map(({ bays, frames }) => [bays, frames.map(({ id }) => id)]),
});

/** A move of the bench and the same on the live box: one pure function, one entry. */
interface Move {
  bench: (design: DesignContent) => DesignContent;
  entry: Pick<Entry, 'kind' | 'payload'>;
}
const excluder = (id: string) =>
  coverSheet(id, { what: 'excluder', each: false, slot: 4.2, thickness: mm(2) });
const super_ = (first: Body, id: string): Body => ({
  ...emptyBody(`body-${id}`, `bay-${id}`, first),
  bays: [{ id: `bay-${id}`, frames: [{ id: `slot-${id}`, holds: 'comb' }], format: null, use: 'colony' }],
});

function moveOf(design: DesignContent, what: number, at: number, id: string): Move {
  const [first] = bodiesOf(design);
  const body = first as Body;
  const top = Math.min(1 + at, design.layers.length);
  const layers = [
    super_(body, id),
    excluder(`sheet-${id}`),
    { ...emptyBody(`rim-${id}`, `bay-${id}`, body), rebate: null, depth: mm(60) },
  ];
  const layer = layers[what % 3] as (typeof layers)[number];
  const off = design.layers.at(-1);
  switch (true) {
    case what < 3:
      return {
        bench: (now) => withLayerAt(now, layer, top),
        entry: { kind: 'layerPut', payload: { box: 'a', layer, at: top } },
      };
    case what === 3 && off !== undefined && design.layers.length > 1:
      return {
        bench: (now) => withoutLayer(now, off?.id ?? ''),
        entry: { kind: 'layerTaken', payload: { box: 'a', layer: off?.id ?? '' } },
      };
    case what === 4: {
      const floor = { ...design.floor, kind: 'mesh' as const, mesh: 2.5 };
      return {
        bench: (now) => ({ ...now, floor }),
        entry: { kind: 'floorSet', payload: { box: 'a', floor } },
      };
    }
    case what === 5: {
      const roof = { ...design.roof, room: mm(30) };
      return { bench: (now) => ({ ...now, roof }), entry: { kind: 'roofSet', payload: { box: 'a', roof } } };
    }
    default: {
      const groove = `groove-${id}`;
      const board = {
        ...tightBoard(`board-${id}`, groove, mm(9.5), design.floor.lip.mm),
        kind: 'follower' as const,
      };
      const place = { board: board.id, groove, bay: `bay-${id}`, at_mm: 40 + at * 35, framesLeft: 1 };
      return {
        bench: (now) =>
          withHandPlaces(
            withBody(now, body.id, (each) => ({ ...each, boards: [...each.boards, board] })),
            [place],
          ),
        entry: {
          kind: 'boardAdded',
          payload: { box: 'a', body: body.id, board, at_mm: place.at_mm, framesLeft: 1, bay: place.bay },
        },
      };
    }
  }
}

describe('a box as it stands', () => {
  it('is what the bench makes of the same drawing by the same moves, and its parts keep their names', () => {
    let done = 0;
    fc.assert(
      fc.property(
        fc.constantFrom(...families),
        fc.array(fc.tuple(fc.integer({ min: 0, max: 6 }), fc.integer({ min: 0, max: 4 })), { maxLength: 6 }),
        (family, list) => {
          let design = familyDesign(family);
          const events = [...built('a', family)];
          list.forEach(([what, at], index) => {
            const { bench, entry } = moveOf(design, what, at, `n${index}`);
            const next = bench(design);
            events.push(told(entry.kind, day(index + 1), entry.payload as never));
            const refused = fold(known, events).toSettle.length > 0;
            const cannot = designProblems(next).length > 0;
            // The live box refuses what the bench shows as impossible, and a board where none can be set.
            if (refused) events.pop();
            else design = next;
            if (cannot) expect(refused).toBe(true);
            if (!refused) done += 1;
          });
          const box = fold(known, events).boxes.get('a');
          const stands = box && designOf(known.designs, box);
          expect(stands && shape(deriveBox(stands))).toEqual(shape(deriveBox(design)));
          const ids = (stands?.layers ?? []).flatMap(idsIn);
          expect(new Set(ids).size).toBe(ids.length);
        },
      ),
      { numRuns: 120 },
    );
    expect(done).toBeGreaterThan(100);
  });
});

const upper = (id: string): Body => ({
  ...super_(bodiesOf(familyDesign('nucleus'))[0] as Body, id),
  name: 'Second storey',
});
const body0 = (): Body => bodiesOf(familyDesign('nucleus'))[0] as Body;
const second = [
  ...built('a', 'nucleus'),
  ...built('b', 'nucleus'),
  hived('a', 'nucleus', 'bees'),
  told('layerPut', day(1), { box: 'a', layer: excluder('sheet-x'), at: 1 }),
  told('layerPut', day(2), { box: 'a', layer: upper('up'), at: 2 }),
];

const said = (events: readonly LogEvent[], act: Pick<Entry, 'kind' | 'payload'>) =>
  warningsOf(
    {
      state: fold(known, events),
      designs: known.designs,
      on: day(9),
      weather: new Map(),
      constants: defaultConstants,
      yard: { latitude_deg: 48 },
    },
    act as never,
  )
    .map(({ sentence }) => sentence)
    .join(' ');

describe('a storey', () => {
  it('put on over an excluder is another room of the colony, and what is taken off lies beside the box', () => {
    const state = fold(known, second);
    expect(state.toSettle).toEqual([]);
    expect(state.colonies.get('bees')?.bays).toContain('bay-up');
    expect(state.colonies.get('bees')?.home).not.toContain('bay-up');
    const off = fold(known, [...second, told('layerTaken', day(3), { box: 'a', layer: 'body-up' })]);
    expect(off.toSettle).toEqual([]);
    expect(off.boxes.get('a')?.off).toMatchObject([{ layer: { id: 'body-up' }, since: day(3) }]);
    expect(off.colonies.get('bees')?.bays).not.toContain('bay-up');
    const back = fold(known, [
      ...second,
      told('layerTaken', day(3), { box: 'a', layer: 'body-up' }),
      told('layerPut', day(4), { box: 'b', layer: upper('up'), at: 1, from: 'a' }),
    ]);
    expect(back.toSettle).toEqual([]);
    expect(back.boxes.get('a')?.off).toEqual([]);
    expect(back.boxes.get('b')?.changed?.layers.map(({ id }) => id)).toContain('body-up');
  });

  it('that goes to another box takes its frames, bees and queen along; its parts are called anew where their names are taken', () => {
    const [body] = bodiesOf(familyDesign('nucleus'));
    const slot = body?.bays[0]?.frames[1]?.id ?? '';
    const story = [
      ...second.slice(0, 5),
      told('layerPut', day(1), { box: 'a', layer: upper('up'), at: 0 }),
      told('queenRecorded', day(3), { box: 'a', colony: 'bees', queen: 'q' }),
      told('queenSeen', day(3), { box: 'a', colony: 'bees', queen: 'q', seen: true, slot }, { hour: 10 }),
      told(
        'frameAudited',
        day(3),
        { box: 'a', colony: 'bees', frame: 'f', slot, sides: [{ sealed: 1 }, {}] },
        { hour: 11 },
      ),
      told('layerTaken', day(4), { box: 'a', layer: body?.id ?? '', to: { box: 'b', at: 1 } }),
    ];
    const state = fold(known, story);
    expect(state.toSettle).toEqual([]);
    const bees = state.colonies.get('bees');
    expect(bees?.box).toBe('b');
    const [a, b] = ['a', 'b'].map((id) => state.boxes.get(id));
    const bOwn = b && designOf(known.designs, b);
    const ids = (bOwn?.layers ?? []).flatMap(idsIn);
    expect(new Set(ids).size).toBe(ids.length);
    for (const bay of bees?.home ?? []) expect(ids).toContain(bay);
    const frame = state.frames.get('f')?.at;
    expect(frame?.box).toBe('b');
    expect(ids).toContain(frame?.slot);
    expect(state.queens.get('q')).toMatchObject({ box: 'b', sightings: [{ slot: frame?.slot }] });
    expect(a && designOf(known.designs, a)?.layers.map(({ id }) => id)).not.toContain(body?.id);
  });

  it('makes a box of its own, and one that gave its last body is none any more', () => {
    const made = told('boxBuilt', day(5), {
      box: 'c',
      label: 'c',
      design: 'nucleus',
      version: 1,
      of: { box: 'a', layers: ['body-up'] },
    });
    const two = fold(known, [...second, made]);
    expect(two.toSettle).toEqual([]);
    expect(two.boxes.get('c')?.changed?.layers.map(({ id }) => id)).toEqual(['body-up']);
    const [body] = bodiesOf(familyDesign('nucleus'));
    const one = fold(known, [
      ...built('a', 'nucleus'),
      ...built('b', 'nucleus'),
      hived('a', 'nucleus', 'bees'),
      told('layerTaken', day(1), { box: 'a', layer: body?.id ?? '', to: { box: 'b', at: 1 } }),
    ]);
    expect(one.toSettle).toEqual([]);
    expect(one.boxes.get('a')?.takenApartOn).toBe(day(1));
    expect(one.colonies.get('bees')?.box).toBe('b');
  });

  describe('of a colony that lives in both', () => {
    const [body] = bodiesOf(familyDesign('nucleus'));
    const lower = body?.bays.map(({ id }) => id) ?? [];
    const both = [
      ...built('a', 'nucleus'),
      ...built('b', 'nucleus'),
      told('layerPut', day(-1), { box: 'a', layer: upper('up'), at: 1 }),
      told('stocked', day(0), {
        box: 'a',
        colony: 'bees',
        bays: [...lower, 'bay-up'],
        frames: { sealedBrood: 1, stores: 1, drawn: 1 },
        shakes: 1,
        openBrood: false,
        queen: 'laying',
      }),
      told('stripsPut', day(1), { box: 'a', colony: 'bees', product: 'S', outBy: day(40) }, { id: 'strips' }),
    ];
    const off = told('layerTaken', day(4), {
      box: 'a',
      layer: 'body-up',
      to: { box: 'b', at: 1 },
      parted: 'others',
    });
    it('parts it: those with the queen keep their name, of the others nothing is known; strips are with both', () => {
      const stays = fold(known, [...both, off]);
      expect(stays.toSettle).toEqual([]);
      expect(stays.colonies.get('bees')).toMatchObject({ box: 'a', home: lower, status: 'queenright' });
      expect(stays.colonies.get('others')).toMatchObject({
        box: 'b',
        home: ['bay-up'],
        status: 'unknown',
        beesOf: 'bees',
        strips: [{ id: 'strips' }],
      });
      const seen = told('queenSeen', day(3), { box: 'a', colony: 'bees', seen: true, bay: 'bay-up' });
      const goes = fold(known, [...both, seen, off]);
      expect(goes.colonies.get('bees')).toMatchObject({ box: 'b', home: ['bay-up'], status: 'queenright' });
      expect(goes.colonies.get('others')).toMatchObject({ box: 'a', home: lower, status: 'unknown' });
    });
    it('says so before', () => {
      expect(said(both, { kind: 'layerTaken', payload: off.payload })).toContain('are parted');
    });
  });

  it('keeps how it stood: what was pulled, turned, emptied and served goes along, and leaves the box behind', () => {
    const second_ = {
      ...upper('up'),
      entrances: body0()
        .entrances.slice(0, 1)
        .map((each) => ({ ...each, id: 'door-up' })),
    };
    const story = [
      ...built('a', 'nucleus'),
      ...built('b', 'nucleus'),
      told('layerPut', day(1), { box: 'a', layer: second_, at: 1 }),
      told('entranceSet', day(2), { box: 'a', entrance: 'door-up', state: 'closed' }),
      told('slotSet', day(2), { box: 'a', slot: 'slot-up', holds: 'feeder' }),
      told('roleSet', day(2), { box: 'a', role: 'stores', bays: ['bay-up'] }),
      told('layerTaken', day(3), { box: 'a', layer: 'body-up', to: { box: 'b', at: 1 } }),
    ];
    const state = fold(known, story);
    expect(state.toSettle).toEqual([]);
    const [a, b] = ['a', 'b'].map((id) => state.boxes.get(id));
    expect(b?.entranceStates).toEqual({ 'door-up': 'closed' });
    expect(b?.slots).toEqual({ 'slot-up': 'feeder' });
    expect(b?.roles).toMatchObject([{ role: 'stores', bays: ['bay-up'] }]);
    expect(a?.entranceStates).toEqual({});
    expect(a?.slots).toEqual({});
  });

  it('that bees live in is not laid aside, and a refusal leaves everything as it was', () => {
    const [body] = bodiesOf(familyDesign('nucleus'));
    const story = [...second, told('layerTaken', day(3), { box: 'a', layer: body?.id ?? '' })];
    const state = fold(known, story);
    expect(state.toSettle[0]?.sentence).toContain('live in it');
    const wrong = [
      ...second,
      told('layerTaken', day(3), { box: 'a', layer: 'body-up', to: { box: 'nowhere', at: 1 } }),
    ];
    expect(fold(known, wrong).boxes).toEqual(fold(known, second).boxes);
  });
});

describe('what a move brings about', () => {
  it('is said before: colonies that become one, bees shut in, and two queens that can meet', () => {
    const both = [...second, ...built('d', 'nucleus'), hived('d', 'nucleus', 'others')];
    const [body] = bodiesOf(familyDesign('nucleus'));
    const onto = { box: 'd', layer: body?.id ?? '', to: { box: 'a', at: 1 } };
    expect(said(both, { kind: 'layerTaken', payload: onto })).toMatch(
      /become.* one with the other in a.*|Two queens can meet/,
    );
    const off = { box: 'a', layer: 'sheet-x' };
    expect(said(second, { kind: 'layerTaken', payload: off })).toBe('');
  });

  it('and frames that find no place', () => {
    const big = [
      ...built('w', 'twoWayBody'),
      hived('w', 'twoWayBody', 'bees'),
      ...built('n', 'twoWayNucleus'),
    ];
    const [room] = deriveBox(familyDesign('twoWayNucleus')).compartments;
    const move = { box: 'w', colony: 'bees', toBox: 'n', bays: [...(room?.bays ?? [])] };
    const slots = deriveBox(familyDesign('twoWayBody')).compartments[0]?.frames.map(({ id }) => id) ?? [];
    const left = slots.slice(room?.frames.length).map((slot, index) => ({ frame: `f${index}`, slot }));
    expect(left.length).toBeGreaterThan(0);
    expect(said(big, { kind: 'colonyMoved', payload: { ...move, left } })).toContain('find no place there');
    const state = fold(known, [...big, told('colonyMoved', day(2), { ...move, left })]);
    expect(state.toSettle).toEqual([]);
    expect([...state.frames.values()].map(({ at, out }) => [at, out?.from.slot])).toEqual(
      left.map(({ slot }) => [null, slot]),
    );
    expect(livingIn(state.colonies, state.boxes.get('n') as never)).toHaveLength(1);
    // What was out before finds no place on account of nothing that is told later.
    const [home] = deriveBox(familyDesign('twoWayBody')).compartments;
    const back = { box: 'n', colony: 'bees', toBox: 'w', bays: [...(home?.bays ?? [])] };
    const moved = [...big, told('colonyMoved', day(2), { ...move, left })];
    expect(said(moved, { kind: 'colonyMoved', payload: back })).not.toContain('no place there');
  });
});
