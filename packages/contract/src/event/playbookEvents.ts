import { z } from 'zod';
import { CalendarDate, Id, name, PartId, text } from '../primitives.ts';
import { PlaybookName } from '../status.ts';
import { count } from './where.ts';

const ofRun = { box: Id, run: Id };
const ofStep = { ...ofRun, step: name(40) };

/** Work that is led step by step, from its beginning to its end. */
export const playbookEvents = {
  playbookBegun: z.strictObject({
    ...ofRun,
    playbook: PlaybookName,
    bays: z.array(PartId).min(1).max(100),
    /** Of a starter or a finisher: how many cells it is for, and the round that they are of. */
    cells: count('Cells', 1_000).min(1, 'At least one cell is started.').optional(),
    round: Id.optional(),
    /** The day on which its last step is wanted: it is reckoned back from there. */
    by: CalendarDate.optional(),
  }),
  /** A step that is done; `facts` are the entries that were made with it, taken back with it. */
  stepTicked: z.strictObject({ ...ofStep, facts: z.array(Id).max(60).optional() }),
  stepSkipped: z.strictObject({ ...ofStep, reason: text(300).min(1, 'A step is skipped with a reason.') }),
  /** Something counted aloud within a step: a frame put in, a side of a frame that was searched. */
  stepMarked: z.strictObject({ ...ofStep, mark: name(40) }),
  /** `done` where it was worked to its end; else given up, with the reason. */
  playbookEnded: z.strictObject({ ...ofRun, done: z.boolean(), reason: text(300).optional() }),
} as const;
