import { type Body, DesignContent, type Family } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { withCompartments } from '../box/editDesign.ts';
import { mirrored, turned } from '../box/mirror.test.kit.ts';
import { deriveBox } from '../box/model.ts';
import { withBody, withoutPart, withPart } from '../box/parts.ts';
import { mm } from '../box/plainParts.ts';
import { bodiesOf, mainBody, sheetsOf } from '../box/stack.ts';
import { familyDesign, familyDesigns } from '../families/build.ts';
import { families } from '../families/families.ts';
import { observation } from '../families/observation.ts';
import { checkDesign } from './check.ts';
import { fixesOf } from './fixesOf.test.kit.ts';

const failing = (design: DesignContent) =>
  checkDesign(design).filter(({ holds, overruled }) => !holds && overruled === null);
const kindsOf = (design: DesignContent): string[] =>
  [...new Set(failing(design).map(({ kind }) => kind))].sort();
const main = (design: DesignContent, change: (body: Body) => Body) =>
  withBody(design, mainBody(design).id, change);
const first = <T>(list: readonly T[]): T => list[0] as T;

describe('a sound design of each family', () => {
  it.each(
    Object.entries({
      ...familyDesigns,
      'observation, lifting': () => observation('lifting'),
      'observation, wall': () => observation('wall'),
      'observation, two columns': () => observation('columns'),
    }),
  )('%s passes its checks, and its own schema', (_, make) => {
    expect(failing(make()).map(({ sentence }) => sentence)).toEqual([]);
    expect(DesignContent.safeParse(make()).success).toBe(true);
  });

  it('has checks that no other family has', () => {
    const all = families.map(
      ({ family }) => [family, new Set(checkDesign(familyDesign(family)).map(({ kind }) => kind))] as const,
    );
    for (const { family, own } of families) {
      const [mine, others] = [
        all.filter(([each]) => each === family),
        all.filter(([each]) => each !== family),
      ];
      for (const kind of own.checks) {
        expect(
          mine.every(([, kinds]) => kinds.has(kind)),
          `${family} has ${kind}`,
        ).toBe(true);
        expect(
          others.every(([, kinds]) => !kinds.has(kind)),
          `only ${family} has ${kind}`,
        ).toBe(true);
      }
    }
    expect(new Set(families.map(({ own }) => own.part)).size).toBe(families.length);
    expect(new Set(families.map(({ own }) => own.space)).size).toBe(families.length);
  });
});

/** For each family its broken twin: what was done to it, and every check that must then fail. */
const twins: Readonly<
  Record<Family, readonly [(design: DesignContent) => DesignContent, readonly string[]]>
> = {
  nucleus: [
    (design) => main(design, (body) => ({ ...body, depth: mm(252) })),
    ['gap-underFrames', 'storeyStacks'],
  ],
  twoWayNucleus: [
    (design) =>
      mainBody(design).entrances.reduce((now, { id }) => withPart(now, id, { side: 'front' }), design),
    ['oppositeEnds', 'toldApart'],
  ],
  twoWayBody: [(design) => withCompartments(design, [6, 3], mm(9.5)), ['pairAlike', 'slack']],
  threeWay: [
    (design) => ({ ...design, floor: { ...design.floor, lip: mm(19.5) } }),
    ['boardCloses', 'gap-underFrames', 'twoQueens'],
  ],
  fourWay: [
    (design) => withPart(design, mainBody(design).grooves[1]?.id ?? '', { at: mm(146) }),
    ['holeAcross', 'converts', 'servesOne', 'slack', 'twoQueens'],
  ],
  donorHolding: [
    (design) => withPart(design, first(mainBody(design).boards).id, { slot: 5, ears: false }),
    ['boardCloses', 'excluderSlot', 'heldEntrance', 'heldInside', 'workersPass'],
  ],
  allInOne: [
    (design) => withPart(design, first(mainBody(design).boards).id, { down: mm(0) }),
    ['boardCloses', 'queenMeetsGrafts'],
  ],
  starter: [
    (design) => ({ ...design, floor: { ...design.floor, kind: 'solid', mesh: null } }),
    ['starterAir'],
  ],
  quarter: [
    (design) => withPart(design, bodiesOf(design)[4]?.id ?? '', { insideWidth: mm(140) }),
    ['closedJoint', 'fourMakeOne', 'slack'],
  ],
  smallFormat: [(design) => ({ ...design, bed: { width: mm(300), length: mm(300) } }), ['printBed']],
  foldedSheet: [
    (design) => ({ ...design, folding: { seamsTaped: false, marked: false, guided: false } }),
    ['foldMarked', 'framesGuided', 'seamsTaped'],
  ],
  observation: [
    (design) => withPart(design, first(first(sheetsOf(design)).holes).id, { closedBy: 'nothing' }),
    ['heldEntrance', 'heldInside', 'viewing'],
  ],
  bank: [(design) => withPart(design, first(mainBody(design).bays).id, { use: 'colony' }), ['noFreeQueen']],
  changer: [
    (design) =>
      withPart(
        withPart(design, mainBody(design).id, { cheeks: { inset: mm(40), thickness: mm(34.5) } }),
        first(sheetsOf(design)).id,
        { fits: 'British National deep' },
      ),
    ['cheeksFit', 'excluderFormat', 'gap-frameEnd'],
  ],
  followerReduced: [
    (design) =>
      withPart(
        withPart(design, first(mainBody(design).boards).id, { ends: mm(8) }),
        first(mainBody(design).entrances).id,
        { along: mm(300) },
      ),
    ['boardCloses', 'servesOne', 'voidShut'],
  ],
};

describe('the broken twin', () => {
  it.each(families.map(({ family }) => family))('of %s fails just the checks it should', (family) => {
    const [breakIt, expected] = twins[family];
    expect(kindsOf(breakIt(familyDesign(family)))).toEqual([...expected].sort());
  });

  it('of each is mended by what its checks offer', () => {
    const lines = families.flatMap(({ family }) =>
      fixesOf(`${family} `, twins[family][0](familyDesign(family))),
    );
    return expect([...lines, ''].join('\n')).toMatchFileSnapshot('./said/twinFixes.txt');
  });
});

describe('a fix', () => {
  it('is offered only where, once applied, its check is gone and nothing as bad has come', () => {
    const rank = ['danger', 'fault', 'care', 'note'];
    let offered = 0;
    for (const { family } of families) {
      const broken = twins[family][0](familyDesign(family));
      const before = checkDesign(broken).filter(({ holds }) => !holds);
      for (const { key, fix, severity } of before) {
        if (!fix) continue;
        offered += 1;
        const after = checkDesign(fix.design).filter(({ holds }) => !holds);
        expect(after.map((check) => check.key)).not.toContain(key);
        const fresh = after.filter(
          (check) =>
            !before.some(
              (old) =>
                old.kind === check.kind &&
                (check.places.length === 0 || old.places.some((place) => check.places.includes(place))),
            ),
        );
        expect(fresh.filter((check) => rank.indexOf(check.severity) <= rank.indexOf(severity))).toEqual([]);
      }
    }
    expect(offered).toBeGreaterThan(15);
  });

  it('makes a board deeper by the height of the lip it missed', () => {
    const design = familyDesign('donorHolding');
    const short = withPart(design, first(mainBody(design).boards).id, { down: mm(0) });
    const check = failing(short).find(({ kind }) => kind === 'boardCloses');
    expect(check?.sentence).toContain('A queen can walk under the divider: 10 mm');
    expect(check?.fix?.label).toBe('Make it 10 mm deeper');
    expect(failing(check?.fix?.design ?? short)).toEqual([]);
  });
});

describe('what is judged', () => {
  it('is the same for a box seen in a mirror, and for one turned round', () => {
    const told = (design: DesignContent) =>
      checkDesign(design)
        .map(
          ({ kind, severity, holds, figure }) =>
            `${kind} ${severity} ${holds} ${figure === null ? '' : figure.toFixed(6)}`,
        )
        .sort();
    for (const { family } of families) {
      for (const design of [familyDesign(family), twins[family][0](familyDesign(family))]) {
        expect(told(mirrored(design))).toEqual(told(design));
        expect(told(turned(design))).toEqual(told(design));
        const reach = ({ passages }: ReturnType<typeof deriveBox>) =>
          passages
            .map(({ between, gap_mm, reason }) =>
              [
                [...between]
                  .map((id) => id.replace(/-(front|back)$/, ''))
                  .sort()
                  .join(),
                gap_mm.toFixed(6),
                reason,
              ].join(' '),
            )
            .sort();
        expect(reach(deriveBox(turned(design)))).toEqual(reach(deriveBox(design)));
      }
    }
  });

  it('keeps what was overruled, with its reason, behind what is still open', () => {
    const design = familyDesign('fourWay');
    const all = checkDesign(design);
    const overruled = all.filter(({ overruled: reason }) => reason !== null);
    expect(overruled.map(({ kind }) => kind)).toEqual(['slack', 'slack', 'slack', 'slack']);
    expect(checkDesign({ ...design, overrules: [] })[0]?.kind).toBe('slack');
  });

  it('goes by the limits that the design sets itself, within their range', () => {
    const design = familyDesign('twoWayBody');
    const kinds = (limits: Record<string, number>) => kindsOf({ ...design, limits });
    expect(kinds({ slackTight: 9.5 })).toEqual(['slack']);
    expect(kinds({ slackTight: 1_000 })).toEqual([]);
    expect(kinds({ endMost: 8 })).toEqual(['gap-frameEnd']);
  });

  it('finds every leak of a board that is left out at one edge', () => {
    const edges = fc.record({
      up: fc.double({ min: -12, max: 0, noNaN: true }),
      short: fc.double({ min: 0, max: 12, noNaN: true }),
      ends: fc.double({ min: 0, max: 8, noNaN: true }),
    });
    fc.assert(
      fc.property(edges, ({ up, short, ends }) => {
        const design = familyDesign('threeWay');
        const board = first(mainBody(design).boards).id;
        const changed = withPart(
          main(design, (body) => ({
            ...body,
            grooves: body.grooves.map((groove) => ({ ...groove, depth: mm(0) })),
          })),
          board,
          { up: mm(up), down: mm(10 - short), ends: mm(ends) },
        );
        const widest = Math.max(-up, short, ends);
        const found = checkDesign(changed).find(
          ({ kind, places }) => kind === 'boardCloses' && places[0] === board,
        );
        expect(found?.figure).toBeCloseTo(widest, 6);
        expect(found?.holds).toBe(widest < 4.1);
      }),
      { numRuns: 60 },
    );
  });

  it('says which compartment no entrance serves, and drills it one', () => {
    const design = familyDesign('threeWay');
    const [a, b] = deriveBox(design).compartments[1]?.entrances ?? [];
    const shut = withoutPart(withoutPart(design, a?.id ?? ''), b?.id ?? '');
    const check = failing(shut).find(({ kind }) => kind === 'hasFlight');
    expect(check?.sentence).toBe('No flight entrance serves Middle.');
    expect(failing(check?.fix?.design ?? shut).map(({ kind }) => kind)).not.toContain('hasFlight');
  });
});

describe('an entrance through a cheek', () => {
  const through = (tunnel: boolean) =>
    main(familyDesign('changer'), (body) => ({
      ...body,
      entrances: body.entrances.map((each, index) =>
        index === 0 ? { ...each, side: 'front' as const, tunnel } : each,
      ),
    }));
  const across = (design: DesignContent) =>
    checkDesign(design).filter(({ kind, holds }) => kind === 'holeAcross' && !holds);

  it('wants a tunnel, not a plug, and is right with one', () => {
    const [found, ...more] = across(through(false));
    expect(more).toEqual([]);
    expect(found).toMatchObject({
      severity: 'care',
      fix: { label: 'Lead it through the cheek in a tunnel' },
    });
    const mended = found?.fix?.design;
    expect(mended && across(mended)).toEqual([]);
    expect(across(through(true))).toEqual([]);
    // It still lets them fly, and the room behind the cheek is nobody's.
    const { openings, passages } = deriveBox(through(true));
    expect(openings.find(({ opening }) => opening.side === 'front')?.serves).toHaveLength(1);
    expect(
      passages.filter(
        ({ reason, between }) => reason === 'entrance' && between.some((id) => id.endsWith('-front')),
      ),
    ).toEqual([]);
  });
});
