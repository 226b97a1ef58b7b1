import type { LogEvent, PlaybookName, Run } from '@yellow-cell/contract';
import { deriveBox } from '../box/model.ts';
import { plusDays } from '../calendar/days.ts';
import { defaultConstants } from '../constants/registry.ts';
import { familyDesign } from '../families/build.ts';
import { knownOf, placed } from '../winter/hived.test.kit.ts';
import { type BoxView, boxViews } from '../yard/boxView.ts';
import { fold } from '../yard/fold.ts';
import type { Known } from '../yard/state.ts';
import { told, YARD } from '../yard/story.test.kit.ts';
import type { Scene } from './guidance/guidance.ts';
import { guidances } from './guidance/guidances.ts';
import { playbooks } from './playbooks.ts';

/** Each playbook in a box that it is for. */
export const names = Object.keys(playbooks) as PlaybookName[];
export const START = '2026-05-01';
export const BOX = 'box-1';
export const day = (count: number) => plusDays(START, count);
export const at = (count: number, hour = 9) => `${day(count)}T${String(hour).padStart(2, '0')}:00:00.000Z`;

/** A box of the family that a playbook is for, with bees and a laying queen in its first room where it wants bees. */
export function stage(name: PlaybookName) {
  const [family = 'nucleus'] = playbooks[name].families;
  const content = familyDesign(family);
  const known = knownOf(content, family);
  const bays = [...(deriveBox(content).compartments[0]?.bays ?? [])];
  const events: LogEvent[] = [
    ...placed({ box: BOX, label: 'D1', east_m: 1 }),
    told('roundPlanned', day(-2), { round: 'r', number: 4, donor: 'Sable', graftOn: day(1), grafts: 30 }),
  ];
  if (!playbooks[name].ofEmpty)
    events.push(
      told('stocked', day(-20), {
        box: BOX,
        colony: 'c',
        bays,
        frames: { sealedBrood: 2, stores: 2, drawn: 1 },
        shakes: 4,
        openBrood: true,
        queen: 'laying',
      }),
      told('strengthSeen', day(-1), { box: BOX, colony: 'c', seams: 6 }),
      told('eggsSeen', day(-1), { box: BOX, colony: 'c' }),
    );
  return { known, bays, events };
}

export const begin = (name: PlaybookName, bays: string[], cells = 30) =>
  told(
    'playbookBegun',
    day(0),
    { box: BOX, run: 'run', playbook: name, bays, cells, round: 'r' },
    { hour: 8 },
  );

export function viewOf(known: Known, events: readonly LogEvent[], on: string) {
  const state = fold(known, events);
  const view = boxViews(state, known, YARD, defaultConstants, { on, today: on })[0] as BoxView;
  const run = view.box.runs?.at(-1) as Run;
  const room = view.compartments.find(({ bays }) => bays.some((bay) => run.bays.includes(bay)));
  return { state, view, run, room: room ?? (view.compartments[0] as never) };
}

/** What a tick of a step tells, some days after the beginning. */
export function tickOf(
  known: Known,
  events: readonly LogEvent[],
  step: string,
  after: number,
  more: Partial<Scene> = {},
) {
  const { state, view, run, room } = viewOf(known, events, day(after));
  const guide = guidances[run.playbook].steps[step];
  let count = 0;
  const scene: Scene = {
    state,
    view,
    room,
    run,
    constants: defaultConstants,
    now: at(after),
    backBy: at(after, 17),
    ...(guide?.amount ? { amount: guide.amount.usual ?? 20 } : {}),
    fresh: () => `fresh-${after}-${++count}`,
    ...more,
  };
  const facts = (guide?.facts?.(scene) ?? []).map(({ kind, payload, note }) => ({
    ...told(kind, day(after), payload as never),
    ...(note === undefined ? {} : { note }),
  }));
  const tick = told('stepTicked', day(after), {
    box: BOX,
    run: 'run',
    step,
    facts: facts.map(({ id }) => id),
  });
  return { guide, scene, facts, tick };
}
