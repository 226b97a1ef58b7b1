import type { Body, DesignContent, Slot } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { withCompartmentCount, withFramesIn } from '../box/editDesign.ts';
import { deriveBox } from '../box/model.ts';
import { withBody, withLayers, withPart } from '../box/parts.ts';
import { coverSheet, emptyBody, mm, paneOf } from '../box/plainParts.ts';
import { bodiesOf, mainBody, sheetsOf } from '../box/stack.ts';
import { familyDesign } from '../families/build.ts';
import { families } from '../families/families.ts';
import { observation } from '../families/observation.ts';
import { checkDesign } from './check.ts';
import { fixesOf } from './fixesOf.test.kit.ts';
import { inWords } from './passageRules.ts';

const main = (design: DesignContent, change: (body: Body) => Body) =>
  withBody(design, mainBody(design).id, change);
const board = (design: DesignContent, patch: Parameters<typeof withPart>[2]) =>
  withPart(design, mainBody(design).boards[0]?.id ?? '', patch);
const door = (design: DesignContent, patch: Parameters<typeof withPart>[2], index = 0) =>
  withPart(design, mainBody(design).entrances[index]?.id ?? '', patch);
const bay = (design: DesignContent, patch: Parameters<typeof withPart>[2], index = 0) =>
  withPart(design, mainBody(design).bays[index]?.id ?? '', patch);
const two = () => familyDesign('twoWayBody');
const nucleus = () => familyDesign('nucleus');

/** An empty storey of a width on a nucleus of 190 mm, its left inside edges in a line. */
const underWide = (insideWidth: Body['insideWidth']): DesignContent =>
  withLayers(
    main(nucleus(), (body) => ({ ...body, insideWidth: mm(190) })),
    (layers, ids) => {
      const [first, ...rest] = layers as [Body];
      return [first, emptyBody(ids.next('body'), ids.next('bay'), { ...first, insideWidth }), ...rest];
    },
  );

/** The same with combs where something else hung. */
const ofCombs = (design: DesignContent, instead: Slot['holds']): DesignContent =>
  main(design, (body) => ({
    ...body,
    bays: body.bays.map((each) => ({
      ...each,
      frames: each.frames.map((slot) => (slot.holds === instead ? { ...slot, holds: 'comb' } : slot)),
    })),
  }));

/** What is done to a sound box, and the check that must speak, with the words that it must use. */
const broken: readonly (readonly [string, () => DesignContent, RegExp])[] = [
  [
    'twoQueens',
    () => board(two(), { kind: 'open', down: mm(0) }),
    /Two queens can meet in (Left and Right|Right and Left)/,
  ],
  ['queenMeetsGrafts', () => board(familyDesign('allInOne'), { ears: false }), /reach the grafts/],
  ['virginBehindExcluder', () => board(two(), { kind: 'excluder', slot: 4.2 }), /a virgin slips through/],
  [
    'boardCloses',
    () => board(two(), { ears: false }),
    /Queens?|A queen can walk through the lug rebate past the divider: 4.7 mm/,
  ],
  [
    'boardCloses',
    () =>
      main(two(), (body) => ({
        ...body,
        grooves: body.grooves.map((groove) => ({ ...groove, play: mm(12) })),
      })),
    /through the groove of the divider: 6 mm/,
  ],
  [
    'holeAcross',
    () => door(two(), { side: 'front', along: mm(186.5) }),
    /lies across a board between Left and Right/,
  ],
  [
    'printedStuff',
    () => main(familyDesign('smallFormat'), (body) => ({ ...body, material: 'pine' })),
    /a body is drawn of another material/,
  ],
  [
    'heldInside',
    () => board(familyDesign('donorHolding'), { up: mm(-8) }),
    /The queen held in Left can walk to Right/,
  ],
  [
    'heldEntrance',
    () => door(familyDesign('donorHolding'), { state: 'open' }),
    /An entrance of Left is open/,
  ],
  [
    'betweenColonies',
    () => board(two(), { kind: 'dummy', slot: null }),
    /leaves both one colony: two queens meet/,
  ],
  [
    'screenTouch',
    () => board(two(), { kind: 'screen', slot: 2.5, thickness: mm(2) }),
    /Queens can touch through the single screen/,
  ],
  [
    'hasFlight',
    () =>
      mainBody(two())
        .entrances.slice(0, 2)
        .reduce((now, { id }) => withPart(now, id, { state: 'closed' }), two()),
    /No flight entrance serves Left/,
  ],
  ['servesOne', () => door(two(), { side: 'front', along: mm(186.5) }), /both colonies use it/],
  ['servesOne', () => door(familyDesign('followerReduced'), { along: mm(300) }), /opens into no compartment/],
  ['holeInWall', () => door(nucleus(), { height: mm(-6) }), /runs 8.5 mm past the edge of its wall|runs/],
  [
    'toldApart',
    () =>
      mainBody(two())
        .entrances.slice(2)
        .reduce((now, { id }) => withPart(now, id, { side: 'front', mark: null }), two()),
    /easily taken for one another/,
  ],
  ['vaporiserFits', () => ({ ...nucleus(), vaporiser: mm(40) }), /the vaporiser needs 40 mm/],
  [
    'slack',
    () => main(nucleus(), (body) => ({ ...body, insideWidth: mm(172) })),
    /The frames need 2.5 mm more than there is/,
  ],
  [
    'slack',
    () => main(nucleus(), (body) => ({ ...body, insideWidth: mm(176) })),
    /Only 1.5 mm to spare: frames jam/,
  ],
  ['slack', () => main(nucleus(), (body) => ({ ...body, insideWidth: mm(230) })), /one more frame fits/],
  [
    'framesFit',
    () => main(nucleus(), (body) => ({ ...body, insideLength: mm(440) })),
    /8 mm longer than the inside/,
  ],
  ['framesFit', () => main(nucleus(), (body) => ({ ...body, depth: mm(220) })), /deeper than the body/],
  ['boardDepth', () => board(two(), { down: mm(14) }), /reaches 4 mm deeper/],
  [
    'lugsRest',
    () => main(nucleus(), (body) => ({ ...body, rebate: { width: mm(7), depth: mm(16) } })),
    /The ledge is 7 mm wide; the lugs need 9.5 mm/,
  ],
  [
    'behindLugs',
    () => main(nucleus(), (body) => ({ ...body, wall: mm(15) })),
    /Only 5.5 mm of wall stays behind/,
  ],
  [
    'nominalSize',
    () => main(nucleus(), (body) => ({ ...body, insideLength: { mm: 460, typed: '460' } })),
    /460 is near 18 in, which is 457.2 mm/,
  ],
  ['excluderSlot', () => board(familyDesign('allInOne'), { slot: 5 }), /slots of 5 mm: a queen passes/],
  ['excluderSlot', () => board(familyDesign('allInOne'), { slot: 3.9 }), /workers do not pass reliably/],
  [
    'shouldersPass',
    () => withPart(observation('wall'), mainBody(observation('wall')).id, { insideWidth: mm(36) }),
    /leave the frame's shoulders 1.1 mm/,
  ],
  [
    'gap-frameEnd',
    () => main(nucleus(), (body) => ({ ...body, insideLength: mm(475) })),
    /13.5 mm at the ends of the frames, over 9.5 mm: bees build in it/,
  ],
  [
    'gap-aboveFrames',
    () => main(nucleus(), (body) => ({ ...body, rebate: { width: mm(9.5), depth: mm(27) } })),
    /17.5 mm above the frames, over 13 mm/,
  ],
  [
    'gap-underFrames',
    () => ({ ...nucleus(), floor: { ...nucleus().floor, lip: mm(30) } }),
    /35.5 mm under the frames, over 22 mm/,
  ],
  [
    'gap-pane',
    () => withPart(observation('wall'), mainBody(observation('wall')).id, { insideWidth: mm(36) }),
    /the pane cuts bees off their comb/,
  ],
  [
    'gap-paneToPane',
    () => withPart(observation('wall'), mainBody(observation('wall')).id, { insideWidth: mm(50) }),
    /50 mm from pane to pane, over 44 mm/,
  ],
  [
    'gap-joint',
    () =>
      withLayers(nucleus(), (layers, ids) => {
        const [first, ...rest] = layers as [Body];
        const frames = [{ id: ids.next('slot'), holds: 'comb' as const }];
        const upper = {
          ...emptyBody(ids.next('body'), ids.next('bay'), { ...first, depth: mm(260) }),
          rebate: first.rebate,
        };
        return [first, { ...upper, bays: upper.bays.map((each) => ({ ...each, frames })) }, ...rest];
      }),
    /between the frames of two bodies, over 13 mm/,
  ],
  [
    'closedJoint',
    () =>
      withPart(familyDesign('quarter'), bodiesOf(familyDesign('quarter'))[2]?.id ?? '', {
        offset: { x: mm(233), y: mm(-27) },
      }),
    /leaves a strip/,
  ],
  ['closedJoint', () => underWide(mm(373)), /hangs over it, open below by a strip of 16[34]/],
  [
    'sideBySide',
    () =>
      withPart(familyDesign('quarter'), bodiesOf(familyDesign('quarter'))[1]?.id ?? '', {
        offset: { x: mm(0), y: mm(-27) },
      }),
    /stand 27 mm in each other/,
  ],
  [
    'feederShared',
    () => {
      const design = { ...two(), roof: { ...two().roof, room: mm(60) } };
      const holes = [90, 280].map((x, index) => ({
        id: `hole-${index}`,
        x: mm(x),
        y: mm(200),
        width: mm(40),
        length: mm(40),
        closedBy: 'nothing' as const,
      }));
      return withPart(design, sheetsOf(design)[0]?.id ?? '', { holes, thickness: mm(10) });
    },
    /opens to Left and Right: one tray joins them/,
  ],
  ['ownCovers', () => withPart(two(), sheetsOf(two())[0]?.id ?? '', { each: false }), /lie under one cover/],
  [
    'excluderFormat',
    () => withPart(familyDesign('changer'), sheetsOf(familyDesign('changer'))[0]?.id ?? '', { fits: '' }),
    /has no format/,
  ],
  [
    'dronesOut',
    () =>
      mainBody(familyDesign('changer')).entrances.reduce(
        (now, { id }) => withPart(now, id, { state: 'workersOnly' }),
        familyDesign('changer'),
      ),
    /Drones below the excluder have no way out/,
  ],
  [
    'stripsClose',
    () => ({ ...nucleus(), floor: { ...nucleus().floor, strips: [mm(100), mm(91)] } }),
    /191 mm, the inside width is 190.5 mm: 0.5 mm too much/,
  ],
  ['fastened', () => ({ ...nucleus(), fastenings: [] }), /Nothing holds the stack together/],
  ['innerCover', () => ({ ...nucleus(), layers: nucleus().layers.slice(0, 1) }), /no inner cover/],
  [
    'paneInWall',
    () => {
      const shown = familyDesign('observation');
      const glazed = bodiesOf(shown).find(({ glass }) => glass.length > 0);
      return withPart(shown, glazed?.id ?? '', {
        pane: { material: 'plastic', thickness: mm((glazed?.wall.mm ?? 0) - 5.9) },
      });
    },
    /leave 5.9 mm of the wall/,
  ],
  ['starterFed', () => bay(familyDesign('starter'), { frames: [] }), /No feeder/],
  ['starterFed', () => ofCombs(familyDesign('starter'), 'feeder'), /No feeder/],
  ['graftBar', () => bay(familyDesign('starter'), { frames: [] }), /no place for the graft bar/],
  ['graftBar', () => ofCombs(familyDesign('starter'), 'grafts'), /no place for the graft bar/],
  ['bankPlace', () => ofCombs(familyDesign('bank'), 'bank'), /There is no bank frame/],
  ['starterShut', () => door(familyDesign('starter'), { state: 'open' }), /bees fly home/],
  [
    'excluderPartition',
    () => board(familyDesign('allInOne'), { window: { width: mm(100), height: mm(100) } }),
    /no whole excluder/,
  ],
  [
    'flyingSide',
    () =>
      mainBody(familyDesign('donorHolding'))
        .entrances.slice(2)
        .reduce((now, { id }) => withPart(now, id, { state: 'closed' }), familyDesign('donorHolding')),
    /The flying side is shut/,
  ],
  [
    'bankPlace',
    () =>
      main(familyDesign('bank'), (body) => ({
        ...body,
        bays: body.bays.map((each) => ({
          ...each,
          frames: each.frames.map((slot, index) => ({
            ...slot,
            holds: index === 0 ? ('bank' as const) : ('comb' as const),
          })),
        })),
      })),
    /does not stand in the middle/,
  ],
  [
    'doorBetween',
    () =>
      withPart(familyDesign('changer'), bodiesOf(familyDesign('changer'))[1]?.id ?? '', { entrances: [] }),
    /no entrance of its own/,
  ],
  [
    'viewing',
    () => withPart(observation('lifting'), mainBody(observation('lifting')).id, { insideWidth: mm(316) }),
    /none can be lifted through a fixed top/,
  ],
  [
    'viewing',
    () =>
      bodiesOf(observation('wall')).reduce(
        (now, { id }) => withPart(now, id, { doors: false }),
        observation('wall'),
      ),
    /have no doors/,
  ],
];

describe('every rule', () => {
  it('lets a storey hang over by less than its walls are thick, and mends by setting it what can be covered', () => {
    const joint = (width: number) =>
      checkDesign(underWide(mm(width))).find(({ kind, holds }) => kind === 'closedJoint' && !holds);
    const wall = mainBody(nucleus()).wall.mm;
    expect(joint(190 + wall)).toBeUndefined();
    expect(joint(190 + wall + 2)?.figure).toBeCloseTo(2, 9);
    const mended = joint(190 + wall + 2)?.fix?.design;
    expect(
      mended && checkDesign(mended).filter(({ kind, holds }) => kind === 'closedJoint' && !holds),
    ).toEqual([]);
    expect(joint(373)?.fix).toBeNull();
  });
  it.each(broken)('%s speaks where it should (%#)', (kind, make, words) => {
    const said = checkDesign(make()).filter((check) => check.kind === kind && !check.holds);
    expect(said.map(({ sentence }) => sentence).join('\n')).toMatch(words);
    for (const { sentence, figure, limit, places } of said) {
      expect(sentence).toMatch(/[.!]$/);
      if (limit) expect(figure).not.toBeNull();
      expect(places.every((place) => place !== 'undefined')).toBe(true);
    }
  });

  it('offers fixes that change what they say, and nothing beside it', () => {
    const lines = broken.flatMap(([kind, make], at) =>
      fixesOf(`${at} `, make(), (check) => check.kind === kind),
    );
    return expect([...lines, ''].join('\n')).toMatchFileSnapshot('./said/fixes.txt');
  });

  it('is tried here, or among the broken twins of the families', () => {
    const tried = new Set(broken.map(([kind]) => kind));
    const twins = [
      'storeyStacks',
      'oppositeEnds',
      'pairAlike',
      'converts',
      'workersPass',
      'starterAir',
      'fourMakeOne',
      'printBed',
      'foldMarked',
      'seamsTaped',
      'framesGuided',
      'noFreeQueen',
      'cheeksFit',
      'voidShut',
    ];
    // Nothing that is meant to live in a bay is a ripe cell or drones: who-can-go-where tries those. Slots are only numbered.
    const elsewhere = ['queenMeetsCell', 'dronesShutIn', 'slotsNumbered', 'middleEnd', 'doorEach'];
    const kinds = new Set(
      families.flatMap(({ family }) => checkDesign(familyDesign(family)).map(({ kind }) => kind)),
    );
    expect(
      [...kinds].filter((kind) => !tried.has(kind) && !twins.includes(kind) && !elsewhere.includes(kind)),
    ).toEqual([]);
  });

  it('lets a board that is meant to be open, or a dummy, be so', () => {
    const design = board(familyDesign('followerReduced'), {
      kind: 'dummy',
      up: mm(-7),
      down: mm(-7),
      ends: mm(7),
      ears: false,
    });
    expect(checkDesign(design).find(({ kind }) => kind === 'boardCloses')).toMatchObject({
      holds: true,
      sentence: expect.stringContaining('as it should'),
    });
  });

  it('counts an inner sheet with a lid for each as covers of their own', () => {
    const design = withLayers(two(), (layers, ids) => [
      ...layers.filter(({ kind }) => kind === 'body'),
      coverSheet(ids.next('sheet')),
    ]);
    expect(checkDesign(design).find(({ kind }) => kind === 'ownCovers')?.holds).toBe(true);
  });
});

describe('a box of glass', () => {
  it('has its walls made as thick as its panes and rails want', () => {
    const design = observation('wall');
    const [body] = bodiesOf(design).filter(({ glass }) => glass.length > 0);
    const thin = withPart(design, body?.id ?? '', { wall: mm(paneOf(body as Body).thickness.mm + 5.9) });
    const found = checkDesign(thin).find(({ kind, holds }) => kind === 'paneInWall' && !holds);
    expect(found?.figure).toBeCloseTo(5.9, 9);
    const mended = checkDesign(found?.fix?.design ?? thin).find(
      ({ kind, places }) => kind === 'paneInWall' && places[0] === body?.id,
    );
    expect(mended).toMatchObject({ holds: true, figure: 6 });
  });

  it('that is fixed at its top keeps one place free, and says so at the frame that fills it', () => {
    // No panes: a whole box whose top is fixed.
    const design = { ...familyDesign('nucleus'), family: 'observation' as const };
    const body = mainBody(design);
    const room = Math.floor(body.insideWidth.mm / body.format.pitch_mm);
    const said = (frames: number) =>
      checkDesign(withFramesIn(design, body.bays[0]?.id ?? '', frames)).find(
        ({ kind, sentence }) => kind === 'viewing' && /fixed top/.test(sentence),
      )?.sentence;
    expect(said(room - 1)).toMatch(/each can be lifted through the fixed top/);
    expect(said(room)).toMatch(/none can be lifted through a fixed top/);
  });
});

it('ids in a sentence become names, also where one begins like another', () => {
  const design = withCompartmentCount(familyDesign('threeWay'), 3);
  const model = deriveBox(design);
  const spaces = model.compartments.map(({ spaces: [first = ''] }) => first);
  const longer = `${spaces[0]}1`;
  const named = { ...model, spaces: [...model.spaces, { ...model.spaces[0], id: longer, name: 'Loft' }] };
  const scene = { design, model: named } as unknown as Parameters<typeof inWords>[0];
  expect(inWords(scene, [spaces[0] ?? '', longer], `${longer} and ${spaces[0]}`)).toBe('Loft and Left');
});
