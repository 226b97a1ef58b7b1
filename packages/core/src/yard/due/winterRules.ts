import type { Colony, Payload } from '@yellow-cell/contract';
import { type Day, daysBetween, later, plusDays } from '../../calendar/days.ts';
import { showDay } from '../../calendar/showDay.ts';
import type { Constants } from '../../constants/registry.ts';
import { SYRUPS } from '../../feed/feeds.ts';
import { capital, countOf } from '../../say/words.ts';
import type { Rule } from './expectation.ts';

type Plan = NonNullable<Colony['winter']>;

/** A plan is of one winter: a year later it says nothing. */
const PLAN_LASTS_D = 180;
/** What is planned for the winter that a day belongs to. */
export const plannedOn = ({ winter }: Pick<Colony, 'winter'>, on: Day): Plan | undefined =>
  winter && daysBetween(winter.on, on) <= PLAN_LASTS_D ? winter : undefined;

/** Less than this is not worth another jar, in kg of sugar. */
const LEAST_FEED_KG = 0.1;

type Work = Pick<Payload<'winterPlanned'>, 'act' | 'room' | 'where' | 'pushedTo'>;
const WORK: Readonly<Record<Plan['act'], string>> = {
  leave: '',
  feed: '',
  reduce: 'reduce',
  move: 'move to',
  pair: 'winter as a pair with',
  combine: 'combine into',
};

/** What is to be done in a word or two, and of whom: `combine into B7`; empty where nothing but feed is asked for. */
export const winterAct = ({ act, where }: Work): string =>
  where === undefined ? WORK[act].replace(/ (to|with|into)$/, '') : `${WORK[act]} ${where}`.trim();

/** The same with the frames that stay, as a sentence names it: `reduce: 6 frames stay, a follower beside them`; where they were not looked through, by what they are known. */
export function winterWork(work: Work): string {
  const { room } = work;
  const frames = room
    ? `${countOf(room.keeps.length, 'frame stays', 'frames stay')}${room.follower ? ', a follower beside them' : ''}`
    : work.act === 'reduce'
      ? 'the frames that its bees cover stay, and one of stores, as they are found'
      : '';
  const own = [winterAct(work), frames].filter(Boolean).join(': ');
  return [own, work.pushedTo ? `pushed together with ${work.pushedTo}` : ''].filter(Boolean).join('; ');
}

const prepareWinter: Rule = {
  kind: 'prepareWinter',
  title: 'Prepare for winter',
  why: 'What was planned of frames, boards, rooms and company before winter is done while it is still mild enough to open.',
  source: 'Reducing: when and who',
  figures: ['planWithin_d'],
  raise: ({ colony: { winter }, constants }) => {
    if (!winter || winter.preparedOn || winterWork(winter) === '') return undefined;
    return {
      ...windowOf(winter, constants),
      reason: `${capital(winterWork(winter))}. Planned ${showDay(winter.on)}.`,
    };
  },
};

const feedWinter: Rule = {
  kind: 'feedWinter',
  title: 'Feed for winter',
  why: 'What is short of the stores that winter takes is fed while days are warm enough for the bees to ripen it.',
  source: 'Reducing: when and who',
  figures: ['planWithin_d'],
  raise: ({ colony: { winter }, constants }) => {
    const left_kg = winter ? winter.sugar_kg - winter.fed_kg : 0;
    if (!winter || left_kg < LEAST_FEED_KG) return undefined;
    const litres = left_kg / SYRUPS.syrup21.sugar_kgPerLitre;
    return {
      ...windowOf(winter, constants),
      reason: `${left_kg.toFixed(1)} kg of sugar still to be fed of ${winter.sugar_kg.toFixed(1)} kg: ${litres.toFixed(1)} l of syrup 2:1, or fondant once it is too cold for that.`,
    };
  },
};

const windowOf = ({ on, by }: Plan, { planWithin_d }: Constants) => ({
  from: on,
  expected: on,
  to: later(on, by ?? plusDays(on, planWithin_d)),
});

export const winterRules: readonly Rule[] = [prepareWinter, feedWinter];
