import { guidances } from '../../playbooks/guidance/guidances.ts';
import { playbooks } from '../../playbooks/playbooks.ts';
import { progressOf } from '../../playbooks/progress.ts';
import { at, BOX, begin, day, names, stage, viewOf } from '../../playbooks/stage.test.kit.ts';
import { towardsDay } from '../../playbooks/towardsDay.ts';
import { boxViews } from '../../yard/boxView.ts';
import { told, YARD } from '../../yard/story.test.kit.ts';
import type { Constants } from '../registry.ts';
import type { Reckonings } from './reckoning.test.kit.ts';

const COUNTED = { shake: 3, frame: 2 };

/** Every step of a playbook, when it is due once all before it were ticked, with what it says and is judged by. */
const played = (name: (typeof names)[number], cells: number) => (constants: Constants) => {
  const { known, bays, events } = stage(name);
  const inTheBank = told('queenGiven', day(-19), {
    box: BOX,
    colony: 'c',
    queen: 'q',
    what: 'mated',
    caged: true,
  });
  const story = [...events, ...(name === 'bank' ? [inTheBank] : []), begin(name, bays, cells)];
  return playbooks[name].steps.map(({ id }) => {
    const { state, view, run, room } = viewOf(known, story, day(3));
    story.push(told('stepTicked', day(1), { box: BOX, run: 'run', step: id }));
    const guide = guidances[name].steps[id];
    const choice = guide?.choice?.options[0]?.key ?? '';
    const fresh = () => id;
    const scene = {
      state,
      view,
      room,
      run,
      constants,
      now: at(3),
      backBy: at(3, 17),
      amount: 20,
      choice,
      fresh,
    };
    const marks = guide?.tally?.marks(scene) ?? [];
    return [
      progressOf(run, constants),
      guidances[name].against?.({ ...scene, cells }),
      boxViews(state, known, YARD, constants, { on: day(3), today: day(3) }).flatMap(({ compartments }) =>
        compartments.map(({ expectations }) => expectations),
      ),
      guide?.against?.(scene),
      guide?.tally?.lacks(scene, COUNTED),
      guide?.tally?.said(scene, COUNTED),
      marks.map(({ mark }) => guide?.tally?.refuses?.(scene, { [mark]: 2 }, mark)),
    ];
  });
};

export const steps: Reckonings = Object.fromEntries(
  names.flatMap((name) => [
    ...[1, 200].map((cells) => [`${name} with ${cells} cells`, played(name, cells)]),
    [`${name} towards a day`, (constants: Constants) => towardsDay(name, day(150), day(0), constants)],
  ]),
);
