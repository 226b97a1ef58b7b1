import type { LogEvent } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { bodiesOf } from '../box/stack.ts';
import { plusDays } from '../calendar/days.ts';
import { seededRandom } from '../random.ts';
import { apart, type Beside, thingsOf, toldIn, wholeIn } from './apart.ts';
import { chronicle, fold } from './fold.ts';
import { foldLog } from './foldLog.ts';
import { bays, known, threeWayDesign, told, YARD } from './story.test.kit.ts';

const BOXES = ['box-1', 'box-2', 'box-3'];
const SEEDS = Array.from({ length: 10 }, (_, index) => index + 1);
const slots = threeWayDesign()
  .versions.flatMap(({ content }) => bodiesOf(content))
  .flatMap((body) => body.bays.flatMap(({ frames }) => frames.map(({ id }) => id)));

const built = BOXES.flatMap((box, index) => [
  told('boxBuilt', '2026-04-01', { box, label: `B${index + 1}`, design: 'design-1', version: 1 }),
  told('boxPlaced', '2026-04-02', {
    box,
    yard: YARD,
    stand: String(index),
    east_m: index,
    north_m: 1,
    bearing_deg: 180,
  }),
]);

/** Three boxes that share bees, queens and combs, by chance; much of it cannot be. */
function storyBy(seed: number): LogEvent[] {
  const random = seededRandom(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const colonies = Array.from({ length: 8 }, (_, index) => `colony-${seed}-${index}`);
  const queens = ['queen-1', 'queen-2', 'queen-3'];
  const frames = ['frame-1', 'frame-2', 'frame-3'];
  const place = () => (random() < 0.8 ? { box: pick(BOXES), slot: pick(slots) } : null);
  return [
    ...built,
    ...Array.from({ length: 140 }, (_, step) => {
      const on = plusDays('2026-05-01', Math.floor(step / 2));
      const more = { hour: 8 + (step % 2) * 8 };
      const of = { box: pick(BOXES), colony: pick(colonies) };
      const made = [
        () =>
          told(
            'stocked',
            on,
            {
              ...of,
              bays: [pick(bays)],
              frames: { sealedBrood: 1, stores: 1, drawn: 1 },
              shakes: 1,
              openBrood: false,
              giver: { box: pick(BOXES), colony: pick(colonies) },
            },
            more,
          ),
        () => told('cellGiven', on, { ...of, attempt: `attempt-${seed}-${step}` }, more),
        () => told('eggsSeen', on, of, more),
        () => told('queenGiven', on, { ...of, queen: pick(queens), what: 'mated', caged: false }, more),
        () => told('queenTaken', on, { ...of, to: 'aside', beesRemain: true }, more),
        () => told('combined', on, { ...of, intoBox: pick(BOXES), into: pick(colonies) }, more),
        () => told('colonyMoved', on, { ...of, toBox: pick(BOXES), bays: [pick(bays)] }, more),
        () =>
          told(
            'framesMoved',
            on,
            { moves: [{ frame: pick(frames), from: place(), to: place(), turned: false }], purpose: 'other' },
            more,
          ),
      ];
      return pick(made)();
    }),
  ];
}

/** Tells all boxes, each apart, and keeps what each was like before events that are about several. */
function tellAll(events: readonly LogEvent[]) {
  const before = new Map<string, Set<string>>();
  const run = apart({
    known,
    isOwn: () => true,
    boxesWith: (thing) => [...(before.get(thing) ?? [])],
    besideOf: () => undefined,
    sign: (text) => text,
  });
  const impossible: string[] = [];
  for (const { event, on } of chronicle(events)) {
    for (const { thing, box } of toldIn(event)) before.set(thing, (before.get(thing) ?? new Set()).add(box));
    if (run.tell(event, on) !== undefined) impossible.push(event.id);
  }
  return { run, impossible };
}

const about = (events: readonly LogEvent[], box: string, beside: readonly Beside[]) =>
  events.filter(
    ({ id, subjects }) =>
      subjects.some((subject) => subject.id === box) ||
      beside.some((each) => each.event === id && each.box === box),
  );

describe('boxes told apart', () => {
  it.each(SEEDS)('say what all of them say, told together (%i)', (seed) => {
    const events = storyBy(seed);
    const together = fold(known, events);
    const { run, impossible } = tellAll(events);
    expect(impossible).toEqual(together.toSettle.map(({ event }) => event.id));
    expect(impossible.length).toBeGreaterThan(20);
    expect(run.beside.length).toBeGreaterThan(20);
    for (const box of BOXES) expect(run.wholeOf(box)).toEqual(wholeIn(together, box));
  });

  it.each(SEEDS)('need of the others only what they were like before (%i)', (seed) => {
    const events = storyBy(seed);
    const together = fold(known, events);
    const { beside } = tellAll(events).run;
    for (const box of BOXES) {
      const others = beside.filter((each) => each.box !== box);
      const alone = foldLog(known, [{ of: [box], events: about(events, box, beside), beside: others }]);
      expect(wholeIn(alone, box)).toEqual(wholeIn(together, box));
    }
  });

  it('name the other box where they make something else of it than they did', () => {
    const bee = { bays: [bays[0] ?? ''], frames: { sealedBrood: 1, stores: 1, drawn: 1 }, shakes: 1 };
    const [a, b, joined] = [
      told('stocked', '2026-05-01', { box: 'box-1', colony: 'a', ...bee, openBrood: false }),
      told('stocked', '2026-05-01', { box: 'box-2', colony: 'b', ...bee, openBrood: false }),
      told('combined', '2026-05-04', { box: 'box-1', colony: 'a', intoBox: 'box-2', into: 'b' }),
    ];
    const { beside } = tellAll([...built, a, b, joined]).run;
    const again = (own: readonly LogEvent[]) => {
      const run = apart({
        known,
        isOwn: (box) => box === 'box-1',
        boxesWith: () => [],
        besideOf: (event, box) => beside.find((each) => each.event === event && each.box === box),
        sign: (text) => text,
      });
      for (const { event, on } of chronicle(own)) run.tell(event, on);
      return [...run.wanted];
    };
    expect(again([...built.slice(0, 2), a, joined])).toEqual([]);
    // Without its own bees it cannot join any: the other was told that it did.
    expect(again([...built.slice(0, 2), joined])).toEqual(['box-2']);
  });

  it('look for things elsewhere, but not for a mother, nor for bees that are named with their box', () => {
    const given = told('queenGiven', '2026-05-01', {
      box: 'box-1',
      colony: 'a',
      queen: 'q',
      what: 'mated',
      caged: true,
      mother: { queen: 'm' },
      from: { box: 'box-2', colony: 'b' },
    });
    expect(thingsOf(given)).toEqual(['a', 'q']);
    expect(toldIn(given)).toEqual([
      { thing: 'a', box: 'box-1' },
      { thing: 'q', box: 'box-1' },
      { thing: 'q', box: 'box-2' },
    ]);
  });
});
