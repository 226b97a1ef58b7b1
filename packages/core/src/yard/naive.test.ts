import type { LogEvent, Status } from '@yellow-cell/contract';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Day, plusDays } from '../calendar/days.ts';
import { compartmentsOf } from './compartments.ts';
import { fold } from './fold.ts';
import { bays, DESIGN, known, told, YARD } from './story.test.kit.ts';

/**
 * Random stories of one three-way box, possible and impossible steps alike, told to the fold and to a naive
 * model that keeps a notebook line for each compartment and knows nothing of the table of transitions.
 */
const START = '2026-05-01';
const steps = [
  'stock',
  'cell',
  'opened',
  'eggs',
  'pattern',
  'failLost',
  'failRobbed',
  'takeKeep',
  'takeAll',
  'combine',
] as const;
type Step = (typeof steps)[number];
interface Move {
  step: Step;
  at: number;
  into: number;
}

interface Line {
  status: Status;
  since: Day | null;
  colony: string | null;
  attempt: string | null;
  takes: number;
  /** True from eggs or brood of the attempt until it is over. */
  laid: boolean;
  over: boolean;
}

function naive(moves: readonly Move[]): { lines: Line[]; refused: number[]; events: LogEvent[] } {
  const lines: Line[] = bays.map(() => ({
    status: 'empty',
    since: null,
    colony: null,
    attempt: null,
    takes: 0,
    laid: false,
    over: true,
  }));
  const refused: number[] = [];
  const events: LogEvent[] = [
    told('boxBuilt', plusDays(START, -9), { box: 'box-1', label: 'B1', design: DESIGN, version: 1 }),
    told('boxPlaced', plusDays(START, -8), {
      box: 'box-1',
      yard: YARD,
      stand: '1',
      east_m: 0,
      north_m: 0,
      bearing_deg: 180,
    }),
  ];
  moves.forEach(({ step, at, into }, index) => {
    const on = plusDays(START, index);
    const line = lines[at] as Line;
    const target = lines[into] as Line;
    const event = eventOf(step, on, line, target, index, at);
    events.push(event);
    if (!write(step, on, line, target, event)) refused.push(index);
  });
  return { lines, refused, events };
}

function eventOf(step: Step, on: Day, line: Line, target: Line, index: number, at: number): LogEvent {
  const colony = line.colony ?? `colony-none-${index}`;
  const of = { box: 'box-1', colony, ...(line.attempt && !line.over ? { attempt: line.attempt } : {}) };
  switch (step) {
    case 'stock':
      return told('stocked', on, {
        box: 'box-1',
        colony: line.colony ?? `colony-${index}`,
        bays: bays.slice(at, at + 1),
        frames: { sealedBrood: 1, stores: 1, drawn: 1 },
        shakes: 1,
        openBrood: false,
      });
    case 'cell':
      return told('cellGiven', on, { box: 'box-1', colony, attempt: `attempt-${index}` });
    case 'opened':
      return told('cellOpened', on, { box: 'box-1', colony, attempt: line.attempt ?? 'none' });
    case 'eggs':
      return told('eggsSeen', on, of);
    case 'pattern':
      return told('patternScored', on, { ...of, pattern_pct: 90 });
    case 'failLost':
      return told('failed', on, { ...of, reason: 'virginLost' });
    case 'failRobbed':
      return told('failed', on, { ...of, reason: 'robbed' });
    case 'takeKeep':
      return told('queenTaken', on, { ...of, to: 'sold', beesRemain: true });
    case 'takeAll':
      return told('queenTaken', on, { ...of, to: 'colony', beesRemain: false });
    case 'combine':
      return told('combined', on, { box: 'box-1', colony, intoBox: 'box-1', into: target.colony ?? 'none' });
  }
}

/** What a breeder would write on the tag; false where no breeder could. */
function write(step: Step, on: Day, line: Line, target: Line, event: LogEvent): boolean {
  const set = (status: Status) => {
    if (status !== line.status) line.since = on;
    line.status = status;
  };
  const leave = () => {
    line.status = 'empty';
    line.since = on;
    line.colony = null;
    line.attempt = null;
    line.over = true;
    line.laid = false;
  };
  if (step === 'stock') {
    // Frames added to bees with a queen or a cell change nothing of whose they are.
    if (!['empty', 'stocked', 'failed'].includes(line.status)) return true;
    line.colony = (event.payload as { colony: string }).colony;
    line.attempt = null;
    line.over = true;
    line.laid = false;
    line.status = 'stocked';
    line.since = on;
    return true;
  }
  if (!line.colony) return false;
  const hasCell = line.status === 'cellGiven';
  const hasVirgin = line.status === 'virgin';
  const lays = line.status === 'laying' || line.status === 'proven';
  const lay = () => {
    if (!line.over && !line.laid) {
      line.laid = true;
      line.takes += 1;
    }
  };
  switch (step) {
    case 'cell':
      if (line.status !== 'stocked' && line.status !== 'failed') return false;
      line.attempt = (event.payload as { attempt: string }).attempt;
      line.over = false;
      line.laid = false;
      set('cellGiven');
      return true;
    case 'opened':
      if (line.attempt === null || !(hasCell || hasVirgin || lays)) return false;
      if (hasCell) set('virgin');
      return true;
    case 'eggs':
      if (line.status === 'stocked') set('queenright');
      else if (hasCell || hasVirgin) set('laying');
      else if (!lays && line.status !== 'queenright') return false;
      lay();
      return true;
    case 'pattern':
      if (line.status === 'queenright') return true;
      if (!(hasCell || hasVirgin || lays)) return false;
      set('proven');
      lay();
      return true;
    case 'failLost':
    case 'failRobbed':
      if (line.status === 'failed') return false;
      line.over = true;
      if (step === 'failRobbed') leave();
      else set('failed');
      return true;
    case 'takeKeep':
    case 'takeAll':
      if (!(hasVirgin || lays || line.status === 'queenright')) return false;
      line.over = true;
      if (step === 'takeAll') leave();
      else set('stocked');
      return true;
    default:
      if (!target.colony || target === line) return false;
      // Bees without a queen take over the queen, cell or virgin of those that join them.
      if (['stocked', 'failed'].includes(target.status) && !['stocked', 'failed'].includes(line.status)) {
        const { status, since, attempt, laid, over } = line;
        Object.assign(target, { status, since, attempt, laid, over });
      }
      leave();
      return true;
  }
}

const moves = fc.array(
  fc.record({
    step: fc.constantFrom(...steps),
    at: fc.integer({ min: 0, max: 2 }),
    into: fc.integer({ min: 0, max: 2 }),
  }),
  { maxLength: 40 },
);

describe('any story of a box', () => {
  it('gives the statuses, the refusals and the takes that a notebook would', () => {
    fc.assert(
      fc.property(moves, (list) => {
        const { lines, refused, events } = naive(list);
        const state = fold(known, events);
        const box = state.boxes.get('box-1');
        if (!box) throw new Error('the box is gone');
        const told_ = compartmentsOf(state, known.designs, box);
        expect(told_.map(({ status }) => status)).toEqual(lines.map(({ status }) => status));
        expect(told_.map(({ colony }) => colony?.id ?? null)).toEqual(lines.map(({ colony }) => colony));
        const settled = state.toSettle.map(({ event }) => events.findIndex(({ id }) => id === event.id) - 2);
        expect(settled).toEqual(refused);
        const takes = [...state.attempts.values()].filter(({ layingOn }) => layingOn).length;
        expect(takes).toBe(lines.reduce((sum, line) => sum + line.takes, 0));
      }),
      { numRuns: 300 },
    );
  });

  it('holds its invariants: one living colony in a bay, an attempt decided once, nothing before its cause', () => {
    fc.assert(
      fc.property(moves, (list) => {
        const state = fold(known, naive(list).events);
        const living = [...state.colonies.values()].filter(({ ended }) => !ended);
        const held = living.flatMap((colony) => colony.bays);
        expect(new Set(held).size).toBe(held.length);
        for (const attempt of state.attempts.values()) {
          expect(attempt.failed && attempt.taken).toBeFalsy();
          for (const later of [attempt.openedOn, attempt.layingOn, attempt.failed?.on, attempt.taken?.on]) {
            if (later) expect(later >= attempt.givenOn).toBe(true);
          }
        }
      }),
    );
  });

  it('is told alike up to any day by the whole log and by the part of it that had happened', () => {
    fc.assert(
      fc.property(moves, fc.integer({ min: -10, max: 40 }), (list, days) => {
        const { events } = naive(list);
        const on = plusDays(START, days);
        const part = events.filter(
          (_, index) => (index < 2 ? plusDays(START, index - 9) : plusDays(START, index - 2)) <= on,
        );
        expect(fold(known, events, on)).toEqual(fold(known, part));
      }),
      { numRuns: 60 },
    );
  });
});
