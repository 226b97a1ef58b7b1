import type { BoxState, Entry, Moment, Run } from '@yellow-cell/contract';
import { bayIdsOf } from '../../box/stack.ts';
import type { Day } from '../../calendar/days.ts';
import { showDay } from '../../calendar/showDay.ts';
import { playbooks, stepOf } from '../../playbooks/playbooks.ts';
import { drawnDesign } from '../compartments.ts';
import { meets } from '../roomsOf.ts';
import { present, standingBox, type Tellers, type Telling } from './telling.ts';

type PlaybookKind = 'playbookBegun' | 'stepTicked' | 'stepSkipped' | 'stepMarked' | 'playbookEnded';

const momentOf = ({ id, occurredAt, zone }: Entry, on: Day): Moment => ({
  at: new Date(occurredAt).toISOString(),
  zone,
  on,
  entry: id,
});

export const playbookTellers: Tellers<PlaybookKind> = {
  playbookBegun(telling, event, on) {
    const { run: id, playbook, bays, cells, round, by, box: boxId } = event.payload;
    const box = standingBox(telling.boxes, boxId, on);
    if (typeof box === 'string') return box;
    const drawn = drawnDesign(telling.known.designs, box);
    if (!drawn || !bays.every((bay) => bayIdsOf(drawn).includes(bay)))
      return `Box ${box.label} has no such room.`;
    if (by !== undefined && by < on) return `${showDay(by)} lies before it is begun.`;
    const same = box.runs?.find(
      (run) => run.id === id || (run.playbook === playbook && !run.ended && meets(run.bays, bays)),
    );
    if (same) return `“${playbooks[playbook].title}” was begun there already.`;
    const run: Run = {
      id,
      playbook,
      bays,
      begun: momentOf(event, on),
      steps: {},
      ...present({ cells, round, by }),
    };
    telling.boxes.set(box.id, { ...box, runs: [...(box.runs ?? []), run] });
    return undefined;
  },

  stepTicked: (telling, event, on) =>
    ofStep(telling, event, on, (run, step) => ({
      ...run,
      steps: { ...run.steps, [step]: { ...momentOf(event, on), ...present({ facts: event.payload.facts }) } },
    })),

  stepSkipped: (telling, event, on) =>
    ofStep(telling, event, on, (run, step) => ({
      ...run,
      steps: { ...run.steps, [step]: { ...momentOf(event, on), skipped: event.payload.reason } },
    })),

  stepMarked: (telling, event, on) =>
    ofStep(telling, event, on, (run, step) => ({
      ...run,
      // Told by the server and by the device that sent it, it is one: fast counts would stand there twice for a moment.
      marks: [
        ...(run.marks ?? []).filter(({ entry }) => entry !== event.id),
        { step, mark: event.payload.mark, entry: event.id },
      ],
    })),

  playbookEnded: (telling, event, on) =>
    ofRun(telling, event, on, (run) => ({
      ...run,
      ended: {
        ...momentOf(event, on),
        done: event.payload.done,
        ...present({ reason: event.payload.reason }),
      },
    })),
};

interface OfRun {
  payload: { box: string; run: string };
}

/** A change of one run that goes on. */
function ofRun(
  telling: Telling,
  { payload }: OfRun,
  on: Day,
  change: (run: Run) => Run | string,
): string | undefined {
  const box = standingBox(telling.boxes, payload.box, on);
  if (typeof box === 'string') return box;
  const run = box.runs?.find(({ id }) => id === payload.run);
  if (!run) return `Nothing of the kind was begun in box ${box.label}.`;
  if (run.ended) return `“${playbooks[run.playbook].title}” in box ${box.label} has ended already.`;
  const next = change(run);
  if (typeof next === 'string') return next;
  telling.boxes.set(box.id, withRun(box, next));
  return undefined;
}

const withRun = (box: BoxState, run: Run): BoxState => ({
  ...box,
  runs: (box.runs ?? []).map((each) => (each.id === run.id ? run : each)),
});

const ofStep = (
  telling: Telling,
  event: { payload: { box: string; run: string; step: string } },
  on: Day,
  change: (run: Run, step: string) => Run,
): string | undefined =>
  ofRun(telling, event, on, (run) => {
    const { step: id } = event.payload;
    const step = stepOf(run.playbook, id);
    if (!step) return `“${playbooks[run.playbook].title}” has no such step.`;
    if (run.steps[id] && !step.every) return `“${step.title}” was told already.`;
    return change(run, id);
  });
