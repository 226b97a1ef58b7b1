import type { Entry, LogEvent, PlaybookName } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { deriveBox } from '../box/model.ts';
import { defaultConstants } from '../constants/registry.ts';
import { familyDesign } from '../families/build.ts';
import { chronicle, fold, foldOn } from '../yard/fold.ts';
import { told } from '../yard/story.test.kit.ts';
import type { Scene } from './guidance/guidance.ts';
import { guidances } from './guidance/guidances.ts';
import { beesForCells, cellsOfBees, starterBees } from './guidance/starterBees.ts';
import { BEGUN } from './playbook.ts';
import { playbooks } from './playbooks.ts';
import { countsOf, openSteps, phaseOf, progressOf } from './progress.ts';
import { span_ms } from './span.ts';
import { at, BOX, begin, day, names, stage, tickOf, viewOf } from './stage.test.kit.ts';

describe('every playbook', () => {
  it.each(names)('%s is guided at each of its steps, and its clocks run from what is there', (name) => {
    const { steps } = playbooks[name];
    expect(Object.keys(guidances[name].steps).sort()).toEqual(steps.map(({ id }) => id).sort());
    steps.forEach(({ id, clock, every }, index) => {
      const before = [BEGUN, ...steps.slice(0, index).map((each) => each.id)];
      if (clock) expect(before, id).toContain(clock.after);
      for (const figure of [clock?.from, clock?.to, every])
        if (figure) expect(span_ms(figure, defaultConstants), `${id} ${figure}`).toBeGreaterThan(0);
    });
  });

  it.each(names)(
    '%s is played to its end: every tick and all that it enters is taken, each changes what stands',
    (name) => {
      const { known, bays, events } = stage(name);
      const story = [...events, begin(name, bays)];
      playbooks[name].steps.forEach(({ id }, index) => {
        const before = fold(known, story).boxes.get(BOX);
        const { facts, tick } = tickOf(known, story, id, index + 1);
        story.push(tick, ...facts);
        const state = fold(known, story);
        expect(
          state.toSettle.map(({ sentence }) => sentence),
          id,
        ).toEqual([]);
        expect(state.boxes.get(BOX), id).not.toEqual(before);
      });
      story.push(told('playbookEnded', day(40), { box: BOX, run: 'run', done: true }));
      const { run } = viewOf(known, story, day(40));
      expect(run.ended).toMatchObject({ done: true });
      expect(openSteps(run, defaultConstants)).toEqual([]);
      expect(
        fold(known, [...story, told('stepTicked', day(41), { box: BOX, run: 'run', step: 'feed' })]).toSettle,
      ).toHaveLength(1);
    },
  );

  it.each(names)('%s skipped throughout keeps its reasons, and each step says what that brings', (name) => {
    const { known, bays, events } = stage(name);
    const story = [...events, begin(name, bays)];
    for (const { id } of playbooks[name].steps) {
      expect(guidances[name].steps[id]?.skipped).toMatch(/^[A-Z].{10,}\.$/);
      story.push(told('stepSkipped', day(1), { box: BOX, run: 'run', step: id, reason: `not ${id}` }));
    }
    const state = fold(known, story);
    expect(state.toSettle).toEqual([]);
    const { run } = viewOf(known, story, day(1));
    expect(progressOf(run, defaultConstants).every(({ is }) => is === 'skipped')).toBe(true);
    expect(run.steps[playbooks[name].steps[0]?.id ?? '']?.skipped).toContain('not ');
  });
});

describe('a run', () => {
  const { known, bays, events } = stage('closedStarter');
  const story = (...more: LogEvent[]) => [...events, begin('closedStarter', bays), ...more];
  const ticked = (step: string, count: number, hour = 9) =>
    told('stepTicked', day(count), { box: BOX, run: 'run', step }, { hour });
  const settle = (...more: LogEvent[]) =>
    fold(known, story(...more)).toSettle.map(({ sentence }) => sentence);

  it('has one present step, in order; what was taken back is to be done again', () => {
    const frames = ticked('frames', 0);
    const is = (...more: LogEvent[]) =>
      progressOf(viewOf(known, story(...more), day(1)).run, defaultConstants).map((each) => each.is);
    expect(is()).toEqual(['now', ...new Array(9).fill('later')]);
    expect(is(frames, ticked('search', 0))).toEqual(['done', 'done', 'now', ...new Array(7).fill('later')]);
    expect(is(frames, told('withdrawn', day(0), {}, { corrects: frames.id }))).toEqual(is());
    // Whatever is told out of order, the first that is open is the present one.
    expect(is(ticked('search', 0))).toEqual(['now', 'done', ...new Array(8).fill('later')]);
  });

  it('refuses what cannot be: twice, of no such step, of no such room, of what was not begun', () => {
    expect(settle(ticked('frames', 0), ticked('frames', 0))[0]).toContain('was told already');
    expect(settle(ticked('dance', 0))[0]).toContain('no such step');
    expect(settle(begin('closedStarter', bays))[0]).toContain('was begun there already');
    expect(
      settle(told('playbookBegun', day(0), { box: BOX, run: 'x', playbook: 'bank', bays: ['none'] }))[0],
    ).toContain('no such room');
    expect(settle(told('stepTicked', day(0), { box: BOX, run: 'y', step: 'frames' }))[0]).toContain(
      'Nothing of the kind',
    );
    const ended = told('playbookEnded', day(1), { box: BOX, run: 'run', done: false, reason: 'rain' });
    expect(settle(ended, begin('closedStarter', bays))[0]).toContain('was begun there already');
    expect(
      settle(
        ended,
        told('playbookBegun', day(2), { box: BOX, run: 'again', playbook: 'closedStarter', bays }),
      ),
    ).toEqual([]);
  });

  it('runs its clock from the step before: two hours to four after it was closed, to the minute', () => {
    const { run } = viewOf(known, story(ticked('closed', 0, 10)), day(0));
    const grafts =
      progressOf(run, defaultConstants).find(({ step }) => step.id === 'grafts') ?? ({} as never);
    // Ten o’clock in Vienna in May is eight in UTC.
    expect(grafts).toMatchObject({ from: at(0, 10), to: at(0, 12) });
    expect(phaseOf(grafts, `${day(0)}T09:59:59.000Z`)).toBe('early');
    expect([at(0, 10), at(0, 12)].map((now) => phaseOf(grafts, now))).toEqual(['open', 'open']);
    expect(phaseOf(grafts, `${day(0)}T12:00:01.000Z`)).toBe('late');
    const slow = progressOf(run, { ...defaultConstants, starterGraftFrom_h: 2.5 });
    expect(slow.find(({ step }) => step.id === 'grafts')?.from).toBe(`${day(0)}T10:30:00.000Z`);
  });

  it('does again what comes round, so long after the last time', () => {
    const bank = stage('bank');
    const reload = (count: number) =>
      told('stepTicked', day(count), { box: BOX, run: 'run', step: 'reload' });
    const before = ['noQueen', 'brood', 'room', 'wait', 'caged', 'feed'].map((step) =>
      told('stepTicked', day(1), { box: BOX, run: 'run', step }),
    );
    const openOf = (...more: LogEvent[]) =>
      openSteps(
        viewOf(bank.known, [...bank.events, begin('bank', bank.bays), ...before, ...more], day(9)).run,
        defaultConstants,
      ).map(({ step, from }) => [step.id, from?.slice(0, 10)]);
    expect(openOf()).toEqual([['reload', undefined]]);
    expect(openOf(reload(2))).toEqual([
      ['reload', day(9)],
      ['search', undefined],
    ]);
    expect(openOf(reload(2), reload(8))).toEqual([
      ['reload', day(15)],
      ['search', undefined],
    ]);
  });
});

describe('the next step as work', () => {
  const work = (name: PlaybookName, more: (bays: string[]) => LogEvent[], on = day(1)) => {
    const { known, bays, events } = stage(name);
    const { room } = viewOf(known, [...events, begin(name, bays), ...more(bays)], on);
    return room.expectations.filter(({ kind }) => kind === 'nextStep' || kind === 'workStarter');
  };
  const ticked =
    (...steps: string[]) =>
    () =>
      steps.map((step) => told('stepTicked', day(0), { box: BOX, run: 'run', step }));

  it('is due as soon as the one before it is done, for a day, and by its clock to the hour', () => {
    expect(work('bank', () => [])).toMatchObject([
      { key: 'run noQueen', title: playbooks.bank.steps[0]?.title, from: day(0), to: day(1) },
    ]);
    expect(work('bank', ticked('noQueen', 'brood', 'room'))).toMatchObject([
      { key: 'run wait', from: day(1), to: day(2) },
    ]);
    expect(work('formatChange', ticked('below', 'above', 'syrup'))).toMatchObject([
      { key: 'run syrup', from: day(7) },
      { key: 'run drawn', from: day(10), to: day(14), by: at(14, 7) },
    ]);
  });

  it('leaves a starter that is led to its playbook, and asks for nothing that waits, nor of what has ended', () => {
    const bees = (bays: string[]) =>
      told('stocked', day(0), {
        box: BOX,
        colony: 's',
        bays,
        frames: { sealedBrood: 0, stores: 3, drawn: 0 },
        shakes: 9,
        openBrood: false,
      });
    const role = (bays: string[]) => told('roleSet', day(0), { box: BOX, role: 'starter', bays });
    const led = work('closedStarter', (bays) => [
      bees(bays),
      role(bays),
      ...ticked('frames', 'search', 'bees', 'closed')(),
    ]);
    expect(led.map(({ kind, pressing }) => [kind, pressing])).toEqual([['nextStep', true]]);
    const ended = told('playbookEnded', day(0), { box: BOX, run: 'run', done: false, reason: 'rain' });
    expect(work('closedStarter', (bays) => [bees(bays), role(bays), ended]).map(({ kind }) => kind)).toEqual([
      'workStarter',
    ]);
    const all = playbooks.standingGlass.steps.slice(0, 5).map(({ id }) => id);
    expect(
      work('standingGlass', (bays) => [bees(bays), ...ticked(...all, 'look')()]).map(({ key }) => key),
    ).toEqual(['run look']);
  });
});

describe('what is counted and checked', () => {
  it('is of a starter 25 cells for each half kilogram, 1.8 kg at least, 120 cells at most', () => {
    expect(cellsOfBees(1.8, defaultConstants)).toBe(90);
    expect(cellsOfBees(1.79, defaultConstants)).toBe(0);
    expect(cellsOfBees(2.4, defaultConstants)).toBe(120);
    expect(cellsOfBees(5, defaultConstants)).toBe(120);
    expect(beesForCells(90, defaultConstants)).toBeCloseTo(1.8, 9);
    expect(beesForCells(10, defaultConstants)).toBe(1.8);
    expect(beesForCells(120, defaultConstants)).toBeCloseTo(2.4, 9);
    // A deep frame carries 0.26 kg; shaken, 85 % of it.
    expect(starterBees({ frames: 2, shakes: 4 }, 0.26, defaultConstants)).toBeCloseTo(0.52 + 4 * 0.221, 9);
  });

  const starter = stage('closedStarter');
  const bars = (
    name: PlaybookName,
    step: string,
    marks: readonly string[],
    more: Partial<Scene> = {},
    cells = 30,
  ) => {
    const { known, bays, events } = name === 'closedStarter' ? starter : stage(name);
    const story = [
      ...events,
      begin(name, bays, cells),
      ...marks.map((mark) => told('stepMarked', day(0), { box: BOX, run: 'run', step, mark })),
    ];
    const { guide, scene, facts } = tickOf(known, story, step, 1, more);
    const counts = countsOf(scene.run, step);
    return {
      lacks: guide?.tally?.lacks(scene, counts),
      said: guide?.tally?.said(scene, counts),
      refuses: (mark: string) => guide?.tally?.refuses?.(scene, counts, mark),
      against: guide?.against?.(scene),
      facts,
    };
  };

  it('wants every side of the frames that go in signed, each once', () => {
    const sides = ['1 one side', '1 the other', '2 one side', '2 the other', '3 one side', '3 the other'];
    expect(bars('closedStarter', 'search', sides.slice(1)).lacks).toMatch(/^1 side is not signed/);
    expect(bars('closedStarter', 'search', sides).lacks).toBeUndefined();
    expect(bars('closedStarter', 'search', sides).refuses('2 the other')).toContain('signed already');
  });

  it('counts a mark once that is told by the server and by the device that sent it', () => {
    const mark = (id: string) =>
      told('stepMarked', day(0), { box: BOX, run: 'run', step: 'bees', mark: 'shake' }, { id });
    const before = fold(starter.known, [
      ...starter.events,
      begin('closedStarter', starter.bays),
      mark('one'),
      mark('two'),
    ]);
    const after = foldOn(before, starter.known, chronicle([mark('one'), mark('two'), mark('three')]));
    const marks = [...after.boxes.values()].flatMap(({ runs = [] }) =>
      runs.flatMap((run) => run.marks ?? []),
    );
    expect(marks.map(({ entry }) => entry).sort()).toEqual(['one', 'three', 'two']);
  });

  it('wants bees by weight, and puts those counted into the record', () => {
    const shakes = (count: number) => new Array<string>(count).fill('shake');
    // The starter's frames are of its own format: what one shake gives is told by the room.
    const seam = viewOf(starter.known, [...starter.events, begin('closedStarter', starter.bays)], day(0)).room
      .seam_kg;
    const enough = Math.ceil(1.8 / (seam * defaultConstants.shaken) - 1e-9);
    expect(bars('closedStarter', 'bees', shakes(enough - 1)).lacks).toContain('at least 1.8 kg');
    expect(bars('closedStarter', 'bees', shakes(enough)).lacks).toBeUndefined();
    expect(bars('closedStarter', 'bees', shakes(enough), {}, 120).lacks).toContain('120 cells want 2.4 kg');
    expect(bars('closedStarter', 'bees', shakes(20), {}, 121).lacks).toContain('120 cells at most');
    const [stocked] = bars('closedStarter', 'bees', [...shakes(9), 'frame']).facts as unknown as Entry[];
    expect(stocked?.payload).toMatchObject({ shakes: 9, frames: { stores: 3, drawn: 1 } });
  });

  it('lets no more than two frames be up, and none be up at the end', () => {
    expect(bars('lifting', 'lift', ['up']).refuses('up')).toBeUndefined();
    expect(bars('lifting', 'lift', ['up', 'up']).refuses('up')).toContain('2 are up');
    expect(bars('lifting', 'lift', ['up', 'up', 'back']).refuses('up')).toBeUndefined();
    expect(bars('lifting', 'lift', ['up', 'back']).refuses('back')).toContain('None is up');
    expect(bars('lifting', 'lift', ['up']).lacks).toContain('still up');
    expect(bars('lifting', 'lift', ['up', 'back']).lacks).toBeUndefined();
  });

  it('keeps no count that cannot be, and says so; what was counted is carried on', () => {
    const asked = (amount: number, ...more: LogEvent[]) => {
      const { known, bays, events } = starter;
      const story = [...events, begin('closedStarter', bays), ...more];
      const { guide, scene, facts } = tickOf(known, story, 'moved', 3, { amount, words: 'A1' });
      return [guide?.against?.(scene)?.slice(0, 24), facts.map(({ kind }) => kind)];
    };
    const graft = told('grafted', day(2), { round: 'r', number: 4, donor: 'Sable', grafts: 30 });
    expect(asked(20)).toEqual(['Round 4 is not grafted y', []]);
    expect(asked(30, graft)).toEqual([undefined, ['cellsAccepted', 'cellsMoved']]);
    expect(asked(31, graft)).toEqual(['Round 4 has 30 grafts: 3', []]);
    expect(asked(0, graft)).toEqual([undefined, ['cellsAccepted']]);
    // Nothing is counted before somebody has: a figure set beforehand would be kept as one.
    expect(guidances.closedStarter.steps.moved?.amount?.usual).toBeUndefined();
  });

  it('says in which room of a colony that lives in two: a donor who goes in is on her own side', () => {
    const { known, bays, events } = stage('holding');
    const [, other] = deriveBox(familyDesign('donorHolding')).compartments;
    const seen = told('queenSeen', day(-1), { box: BOX, colony: 'c', seen: true, bay: other?.bays[0] ?? '' });
    const story = [...events, seen, begin('holding', bays)];
    const queenIn = (events: readonly LogEvent[]) => fold(known, events).colonies.get('c')?.queenIn;
    expect(other?.bays).toContain(queenIn(story));
    const { tick, facts } = tickOf(known, story, 'donorIn', 1);
    expect(bays).toContain(queenIn([...story, tick, ...facts]));
  });

  it('says of a change of frames that she is above once she was put there', () => {
    const { known, bays, events } = stage('formatChange');
    const [below, above] = deriveBox(familyDesign('changer')).compartments;
    const story = [...events, begin('formatChange', bays)];
    const queenIn = (events: readonly LogEvent[]) => fold(known, events).colonies.get('c')?.queenIn;
    expect(above?.bays).not.toContain(queenIn(story));
    expect(below?.block.z[0]).toBeLessThan(above?.block.z[0] ?? 0);
    const { tick, facts } = tickOf(known, story, 'queenUp', 1);
    expect(above?.bays).toContain(queenIn([...story, tick, ...facts]));
  });

  describe.each(['carrying', 'shownFrame', 'lifting'] as const)(
    'of those who were away, led by %s',
    (name) => {
      const { known, bays, events } = stage(name);
      const home = name === 'carrying' ? 'arrived' : 'home';
      const before = playbooks[name].steps.slice(
        0,
        playbooks[name].steps.findIndex(({ id }) => id === home),
      );
      const queen = told('queenRecorded', day(-1), { box: BOX, colony: 'c', queen: 'q', name: 'Sable' });
      const story = [...events, queen, begin(name, bays)];
      for (const { id } of before) {
        const { tick, facts } = tickOf(known, story, id, 1);
        story.push(tick, ...facts);
      }
      const came = (choice: string, amount = 0) => {
        const { tick, facts } = tickOf(known, story, home, 1, { choice, amount });
        const state = fold(known, [...story, tick, ...facts]);
        expect(state.toSettle).toEqual([]);
        const colony = state.colonies.get('c');
        return { facts, colony, queens: [...state.queens.values()].map(({ gone }) => gone?.to) };
      };

      it('keeps that all are well, that the queen is dead, or all her bees', () => {
        expect(viewOf(known, story, day(1)).room.colony?.outing).toBeDefined();
        const well = came('well');
        expect(well.colony?.outing).toBeUndefined();
        expect(well.colony?.ended).toBeUndefined();
        expect(well.queens).toEqual([undefined]);
        const queenless = came('queen');
        expect(queenless.colony).toMatchObject({ status: 'stocked' });
        expect(queenless.colony?.ended).toBeUndefined();
        expect(queenless.queens).toEqual(['died']);
        expect(came('bees').colony?.ended).toEqual({ on: day(1), how: 'lost' });
      });

      it('notes combs that broke, and none where none did', () => {
        const notes = (count: number) => came('well', count).facts.filter(({ kind }) => kind === 'noted');
        expect(notes(2)).toMatchObject([{ note: '2 combs broke on the way.' }]);
        expect(notes(0)).toEqual([]);
      });
    },
  );

  it('says what speaks against a step as things stand', () => {
    expect(bars('bank', 'noQueen', []).against).toContain('queen');
    expect(bars('closedStarter', 'closed', []).against).toContain('No bees');
    // Eggs were seen the day before it was begun; five days on, that says nothing of where she is.
    expect(bars('allInOne', 'queen', []).against).toBeUndefined();
    expect(bars('allInOne', 'queen', [], { now: at(4) }).against).toContain('last 4 days');
    const more = guidances.flyingStarter.against;
    const { known, bays, events } = stage('flyingStarter');
    const { state, view, room } = viewOf(known, [...events, begin('flyingStarter', bays)], day(0));
    const asked = (cells: number) => more?.({ state, view, room, constants: defaultConstants, cells });
    expect([asked(45), asked(46)].map((each) => each?.slice(0, 16))).toEqual([undefined, 'A flying starter']);
  });
});
