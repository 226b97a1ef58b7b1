import type { Design, LogEvent } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { bayIdsOf, bodiesOf } from '../box/stack.ts';
import { standardDesign } from '../box/standardDesign.ts';
import { compartmentsOf } from './compartments.ts';
import { fold } from './fold.ts';
import { bays, begun, known, stockedIn, threeWayDesign, told, workOf } from './story.test.kit.ts';
import { changeWarnings } from './warn/passages.ts';

const body = threeWayDesign().versions.flatMap(({ content }) => bodiesOf(content))[0];
if (!body) throw new Error('No body.');
const [left, right] = body.boards.map(({ id }) => id) as [string, string];
const stocked = (on: string, colony: string, at: number) => stockedIn(colony, at, on);
const pulled = (on: string, board: string, stands = false) =>
  told('dividerSet', on, { box: 'box-1', board, stands });
const turned = (on: string, entrance: string, state: 'open' | 'vent') =>
  told('entranceSet', on, { box: 'box-1', entrance, state });
const on = (events: readonly LogEvent[], day: string) => {
  const state = fold(known, events, day);
  const box = state.boxes.get('box-1');
  if (!box) throw new Error('No box.');
  return { state, box, compartments: compartmentsOf(state, known.designs, box) };
};
// A cell given on 10 May in the first compartment, whose queen lays by the 24th; bees alone in the second.
const story = [
  ...begun('2026-05-10'),
  told('eggsSeen', '2026-05-24', { box: 'box-1', colony: 'colony-1' }),
  stocked('2026-05-20', 'colony-2', 1),
];

describe('a divider pulled', () => {
  it('makes two compartments one, and the colony whose queen is surer keeps its name and history', () => {
    const before = on(story, '2026-05-30');
    expect(before.compartments.map(({ status }) => status)).toEqual(['laying', 'stocked', 'empty']);
    const after = on([...story, pulled('2026-05-28', left)], '2026-05-30');
    expect(after.compartments.map(({ status, frames }) => [status, frames])).toEqual([
      ['laying', 6],
      ['empty', 3],
    ]);
    expect(after.state.colonies.get('colony-2')?.ended).toEqual({ on: '2026-05-28', how: 'combined' });
    expect(after.compartments[0]?.colony).toMatchObject({ id: 'colony-1', combinedOn: '2026-05-28' });
    expect(on([...story, pulled('2026-05-28', left)], '2026-05-27').compartments).toHaveLength(3);
    // What the record says of the attempt does not change with the divider.
    expect(after.state.attempts.get('attempt-1')).toMatchObject({ frames: 3, bays: bays.slice(0, 1) });
  });

  it('and set again leaves the bees on the larger side, and comes to the same if it is withdrawn', () => {
    const out = pulled('2026-05-28', left);
    const again = on([...story, out, pulled('2026-05-29', left, true)], '2026-05-30');
    expect(again.compartments.map(({ status }) => status)).toEqual(['laying', 'empty', 'empty']);
    const withdrawn = told('withdrawn', '2026-05-30', {}, { corrects: out.id });
    expect(on([...story, out, withdrawn], '2026-05-30').compartments).toEqual(
      on(story, '2026-05-30').compartments,
    );
  });

  it('cannot be pulled twice, nor one that the design has not', () => {
    const settle = (event: LogEvent) =>
      fold(known, [...story, pulled('2026-05-28', left), event], '2026-05-30').toSettle;
    expect(settle(pulled('2026-05-29', left))[0]?.sentence).toContain('is out already');
    expect(settle(pulled('2026-05-29', 'board-99'))[0]?.sentence).toContain('no divider');
    expect(settle(turned('2026-05-29', 'entrance-99', 'open'))[0]?.sentence).toContain('no entrance');
  });

  it('is warned about before: colonies that join, a queen that meets a cell, and nothing where nobody lives', () => {
    const { state, box } = on(story, '2026-05-30');
    const said = (board: string) =>
      changeWarnings(state, known.designs, box, { kind: 'divider', board, stands: false });
    expect(said(left)[0]?.sentence).toContain('2 colonies (laying and stocked');
    expect(said(right)).toEqual([]);
    const both = on(
      [...story, told('cellGiven', '2026-05-25', { box: 'box-1', colony: 'colony-2', attempt: 'a2' })],
      '2026-05-26',
    );
    const kinds = changeWarnings(both.state, known.designs, both.box, {
      kind: 'divider',
      board: left,
      stands: false,
    }).map(({ kind }) => kind);
    expect(kinds).toContain('queenMeetsCell');
  });

  it('lets a cell beside a queen be warned about too', () => {
    const { state, box } = on([...story, pulled('2026-05-28', right)], '2026-05-30');
    expect(changeWarnings(state, known.designs, box, { kind: 'cell', colony: 'colony-2' })).toEqual([]);
    expect(
      changeWarnings(state, known.designs, box, { kind: 'cell', colony: 'colony-1' }).map(({ kind }) => kind),
    ).toContain('queenMeetsCell');
  });
});

describe('a board moved to another place of the design', () => {
  const halves = standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames: [2, 2, 2, 2] });
  const design = {
    ...threeWayDesign(),
    versions: [{ ...threeWayDesign().versions[0], content: halves }],
  } as Design;
  const four = { ...known, designs: new Map([[design.id, design]]) };
  const [b1, b2, b3, b4] = bayIdsOf(halves) as [string, string, string, string];
  const [, second = '', third = ''] = bodiesOf(halves).flatMap(({ boards }) => boards.map(({ id }) => id));
  const grooves = bodiesOf(halves).flatMap((each) => each.grooves.map(({ id }) => id));
  const in2 = (own: readonly string[], colony: string, day: string) =>
    stockedIn(colony, 0, day, { bays: [...own] });
  const built = told('boxBuilt', '2026-05-01', { box: 'box-1', label: 'B1', design: design.id, version: 1 });

  it('past frames of its neighbour leaves each colony where most of its frames are', () => {
    // Third board out: the right colony has four frames in two bays; the second board then moves one bay to the right.
    const events = [
      built,
      pulled('2026-05-02', third),
      in2([b1], 'west', '2026-05-03'),
      in2([b2], 'middle', '2026-05-03'),
      in2([b3, b4], 'east', '2026-05-03'),
      told('boardMoved', '2026-05-05', { box: 'box-1', board: second, groove: grooves[2] as string }),
    ];
    const state = fold(four, events);
    expect(state.toSettle).toEqual([]);
    expect([...state.colonies.values()].map(({ id, bays: own, ended }) => [id, own, ended])).toEqual([
      ['west', [b1], undefined],
      ['middle', [b2, b3], undefined],
      ['east', [b4], undefined],
    ]);
  });
});

describe('an entrance turned', () => {
  const front = body.entrances.filter(({ side }) => side === 'front').map(({ id }) => id);
  it('to vent on every hole shuts a colony in: due to be opened in one to three days, and a warning before', () => {
    const [low, high] = front as [string, string];
    const { state, box } = on([...story, turned('2026-05-29', low, 'vent')], '2026-05-29');
    expect(state.colonies.get('colony-2')?.shutOn).toBeUndefined();
    expect(
      changeWarnings(state, known.designs, box, { kind: 'entrance', entrance: high, state: 'vent' }).map(
        ({ kind }) => kind,
      ),
    ).toEqual(['noFlight']);
    const shut = on(
      [...story, turned('2026-05-29', low, 'vent'), turned('2026-05-29', high, 'vent')],
      '2026-05-31',
    );
    expect(shut.state.colonies.get('colony-2')?.shutOn).toBe('2026-05-29');
    const due = workOf(shut.state, 'colony-2').find(({ kind }) => kind === 'openEntrance');
    expect(due).toMatchObject({
      from: '2026-05-30',
      to: '2026-06-01',
      reason: expect.stringContaining('Nothing is recorded as fed'),
    });
    const opened = on(
      [
        ...story,
        turned('2026-05-29', low, 'vent'),
        turned('2026-05-29', high, 'vent'),
        turned('2026-05-30', low, 'open'),
      ],
      '2026-05-31',
    );
    expect(opened.state.colonies.get('colony-2')?.shutOn).toBeUndefined();
  });
});

describe('feed and strips', () => {
  it('are due again by what was given, and out by their label, until they are out', () => {
    const of = { box: 'box-1', colony: 'colony-2' };
    const events = [
      ...story,
      told('fed', '2026-05-25', { ...of, feed: 'syrup11', amount_kg: 0.9 }),
      told('stripsPut', '2026-05-25', { ...of, product: 'Strips', outBy: '2026-07-06' }),
    ];
    const due = (all: readonly LogEvent[], day: string) =>
      workOf(fold(known, all, day), 'colony-2').map(({ kind, expected }) => [kind, expected]);
    expect(due(events, '2026-05-26')).toEqual(
      expect.arrayContaining([
        ['refillFeed', '2026-05-30'],
        ['stripsOut', '2026-07-06'],
      ]),
    );
    const out = [...events, told('stripsOut', '2026-07-01', of)];
    expect(due(out, '2026-07-02').map(([kind]) => kind)).not.toContain('stripsOut');
    expect(
      fold(known, [...story, told('stripsOut', '2026-06-01', of)], '2026-06-02').toSettle[0]?.sentence,
    ).toContain('No such strips');
    const early = told('stripsPut', '2026-05-25', { ...of, product: 'S', outBy: '2026-05-20' });
    expect(fold(known, [...story, early], '2026-06-02').toSettle[0]?.sentence).toContain('after the day');
  });
});

it('strips stay due where frames are added to the bees that have them', () => {
  const of = { box: 'box-1', colony: 'colony-2' };
  const strips = told('stripsPut', '2026-05-25', { ...of, product: 'Strips', outBy: '2026-07-06' });
  const state = fold(known, [...story, strips, stocked('2026-05-27', 'colony-2', 1)], '2026-05-28');
  expect(state.toSettle).toEqual([]);
  expect(workOf(state, 'colony-2').map(({ kind }) => kind)).toContain('stripsOut');
});

describe('work', () => {
  const of = { box: 'box-1', colony: 'colony-1' };
  const due = (all: readonly LogEvent[], day: string) => workOf(fold(known, all, day), 'colony-1');
  it('put off waits for its day, dismissed is gone, and another status has work of its own', () => {
    const kinds = (all: readonly LogEvent[]) => due(all, '2026-06-02').map(({ kind, from }) => [kind, from]);
    expect(kinds(story)).toContainEqual(['scorePattern', '2026-06-02']);
    const later = told('workPutOff', '2026-05-30', { ...of, work: 'scorePattern', until: '2026-06-06' });
    expect(kinds([...story, later])).toContainEqual(['scorePattern', '2026-06-06']);
    const never = told('workPutOff', '2026-05-30', { ...of, work: 'scorePattern', until: null });
    expect(kinds([...story, never]).map(([kind]) => kind)).not.toContain('scorePattern');
    const scored = told('patternScored', '2026-06-01', { ...of, pattern_pct: 90 });
    expect(
      fold(known, [...story, never, scored], '2026-06-02').colonies.get('colony-1')?.putOff,
    ).toBeUndefined();
    const past = told('workPutOff', '2026-05-30', { ...of, work: 'harvest', until: '2026-05-01' });
    expect(fold(known, [...story, past], '2026-06-02').toSettle[0]?.sentence).toContain('still to come');
  });
});
