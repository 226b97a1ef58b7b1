import type { LogEvent } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { apart, type Beside, thingsOf } from './apart.ts';
import { chronicle, fold } from './fold.ts';
import { asOneYard, foldLog } from './foldLog.ts';
import { built, linkedStory } from './linkedStory.test.kit.ts';
import type { YardState } from './state.ts';
import { bays, known, told } from './story.test.kit.ts';
import { FOLLOWING, FULL_YARD, NOW } from './tell/fullYard.test.kit.ts';
import { wholeIn } from './whole.ts';

const BOXES = ['box-1', 'box-2', 'box-3'];
const SEEDS = Array.from({ length: 10 }, (_, index) => index + 1);

/** Tells all boxes, each apart, and keeps what each was like before events that are about several. */
function tellAll(events: readonly LogEvent[]) {
  const run = apart({ known, isOwn: () => true, besideOf: () => [], sign: (text) => text });
  const impossible = chronicle(events).flatMap(({ event, on }) =>
    run.tell(event, on) === undefined ? [] : [event.id],
  );
  return { run, impossible };
}

/** Its own entries, those that it stands beside, and those of the season, which are of no box. */
const about = (events: readonly LogEvent[], box: string, beside: readonly Beside[]) =>
  events.filter(
    ({ id, subjects }) =>
      subjects.every(({ kind }) => kind !== 'box') ||
      subjects.some((subject) => subject.id === box) ||
      beside.some((each) => each.event === id && each.box === box),
  );

/** What a box is of itself, told from its own story and what others were like. */
const aloneIn = (events: readonly LogEvent[], beside: readonly Beside[], box: string, asOf?: string) =>
  foldLog(
    known,
    [{ of: [box], events: about(events, box, beside), beside: beside.filter((each) => each.box !== box) }],
    asOf,
  );

describe('boxes told apart', () => {
  it.each(SEEDS)('say what all of them say, told together (%i)', (seed) => {
    const events = linkedStory(seed);
    const together = fold(known, events);
    const { run, impossible } = tellAll(events);
    expect(impossible).toEqual(together.toSettle.map(({ event }) => event.id));
    expect(run.beside.length).toBeGreaterThan(60);
    for (const box of BOXES) expect(run.wholeOf(box)).toEqual(wholeIn(together, box));
  });

  it.each(SEEDS)('need of the others only what they were like before (%i)', (seed) => {
    const events = linkedStory(seed);
    const together = fold(known, events);
    const { beside } = tellAll(events).run;
    for (const box of BOXES)
      expect(wholeIn(aloneIn(events, beside, box), box)).toEqual(wholeIn(together, box));
  });

  it.each(SEEDS)('told each alone and put side by side, are what they are together (%i)', (seed) => {
    const events = linkedStory(seed);
    const together = fold(known, events);
    const { beside } = tellAll(events).run;
    const alone = asOneYard([...BOXES, 'box-beyond'].map((box) => aloneIn(events, beside, box)));
    for (const box of BOXES) expect(wholeIn(alone, box)).toEqual(wholeIn(together, box));
    const toldIn = ({ story }: YardState) => story.map(({ id }) => id).sort();
    const leftIn = ({ toSettle }: YardState) => toSettle.map(({ event }) => event.id).sort();
    expect(toldIn(alone)).toEqual(toldIn(together));
    expect(leftIn(alone)).toEqual(leftIn(together));
  });

  it.each(SEEDS.slice(0, 3))(
    'tell a day of the past as they tell it together, with that day (%i)',
    (seed) => {
      const events = linkedStory(seed);
      const { beside } = tellAll(events).run;
      const days = [...new Set(chronicle(events).map(({ on }) => on))].filter((_, index) => index % 9 === 0);
      for (const day of days)
        for (const box of BOXES)
          expect(wholeIn(aloneIn(events, beside, box, day), box), day).toEqual(
            wholeIn(fold(known, events, day), box),
          );
    },
  );

  it('say of whatever follows in a full yard what they say together', () => {
    const boxes = ['box-1', 'box-2', 'box-3', 'box-4', 'box-new'];
    for (const [kind, payload] of FOLLOWING) {
      const events = [...FULL_YARD, told(kind, NOW, payload as never)];
      const together = fold(known, events);
      const { run, impossible } = tellAll(events);
      const why = `${kind} ${JSON.stringify(payload)}`;
      expect(impossible, why).toEqual(together.toSettle.map(({ event }) => event.id));
      for (const box of boxes) {
        expect(run.wholeOf(box), why).toEqual(wholeIn(together, box));
        expect(wholeIn(aloneIn(events, run.beside, box), box), why).toEqual(wholeIn(together, box));
      }
    }
  });

  it('name the other box where they make something else of it than they did', () => {
    const bee = { bays: [bays[0] ?? ''], frames: { sealedBrood: 1, stores: 1, drawn: 1 }, shakes: 1 };
    const [a, b, joined] = [
      told('stocked', '2026-05-01', { box: 'box-1', colony: 'a', ...bee, openBrood: false }),
      told('stocked', '2026-05-01', { box: 'box-2', colony: 'b', ...bee, openBrood: false }),
      told('combined', '2026-05-04', { box: 'box-1', colony: 'a', intoBox: 'box-2', into: 'b' }),
    ];
    const { beside } = tellAll([...built(BOXES), a, b, joined]).run;
    const again = (own: readonly LogEvent[]) => {
      const run = apart({
        known,
        isOwn: (box) => box === 'box-1',
        besideOf: (event) => beside.filter((each) => each.event === event),
        sign: (text) => text,
      });
      for (const { event, on } of chronicle(own)) run.tell(event, on);
      return [...run.wanted];
    };
    expect(again([...built(['box-1']), a, joined])).toEqual([]);
    // Without its own bees it cannot join any: the other was told that it did.
    expect(again([...built(['box-1']), joined])).toEqual(['box-2']);
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
    expect(thingsOf(given).map(({ id }) => id)).toEqual(['a', 'q']);
  });
});
