import { plusDays } from '../../calendar/days.ts';
import { showDay, showTime } from '../../calendar/showDay.ts';
import { countOf } from '../../say/words.ts';
import { meets, roleSetFor } from '../roomsOf.ts';
import type { Case, Rule } from './expectation.ts';
import { isCooling, lastNightOf, recentMaximum } from './weather.ts';
import { plannedOn } from './winterRules.ts';

/** Room and strength, and the boxes with a role of their own. */
const rules6 = 'Rules that raise work';
const HOUR_MS = 3_600_000;
const seams = (count: number): string => `${countOf(count, 'seam')} of bees`;

const crowded: Rule = {
  kind: 'crowded',
  title: 'Crowded: equalise, add room, or take brood',
  why: 'Bees without room swarm, or hang out at the entrance.',
  source: rules6,
  figures: ['crowdedShare'],
  raise: ({ colony: { strength, gaveOn }, compartment: { frames }, constants }) => {
    if (!strength || strength.seams < frames * constants.crowdedShare) return undefined;
    if (gaveOn && gaveOn >= strength.on) return undefined;
    return {
      from: strength.on,
      expected: plusDays(strength.on, 1),
      to: plusDays(strength.on, 5),
      reason: `${seams(strength.seams)} on ${countOf(frames, 'frame')} ${showDay(strength.on)}. It can give sealed brood, never the frame the queen is on.`,
    };
  },
};

const WITH_A_FUTURE = ['cellGiven', 'virgin', 'caged', 'laying', 'proven', 'queenright'];
const weak: Rule = {
  kind: 'weak',
  title: 'Weak: give sealed brood, or combine',
  why: 'Below a seam or two a colony cannot keep its brood warm, and dwindles.',
  source: rules6,
  figures: ['weakSeams'],
  raise: ({ colony: { strength, broodGivenOn, status }, constants }) => {
    if (!strength || strength.seams >= constants.weakSeams || !WITH_A_FUTURE.includes(status))
      return undefined;
    if (broodGivenOn && broodGivenOn >= strength.on) return undefined;
    return {
      from: strength.on,
      expected: plusDays(strength.on, 1),
      to: plusDays(strength.on, 4),
      reason: `${seams(strength.seams)} only ${showDay(strength.on)}.`,
    };
  },
};

/** When the room began to serve as it does: since it was said, else since it was stocked. */
const sinceRole = ({ box, compartment: { bays }, colony }: Case) =>
  roleSetFor(box, bays)?.since ?? colony.stockedOn;

const reloadBank: Rule = {
  kind: 'reloadBank',
  title: 'Give the bank a frame of sealed brood',
  why: 'Nurses age: some about to emerge every week keep the bank young.',
  source: 'Bank',
  figures: ['bankBrood_d'],
  raise: (given) => {
    const since = given.colony.broodGivenOn ?? sinceRole(given);
    const on = plusDays(since, given.constants.bankBrood_d);
    return {
      from: plusDays(on, -1),
      expected: on,
      to: plusDays(on, 1),
      reason: `Last brood ${showDay(since)}. About to emerge, and some open brood; search it for a queen and for cells.`,
    };
  },
};

const careFinisher: Rule = {
  kind: 'careFinisher',
  title: 'Care for the finisher',
  why: 'Cells are fed by young bees: young brood goes up and old brood down, and a wild cell ends those that were given.',
  source: 'Finishing',
  figures: ['finisherCare_d'],
  raise: (given) => {
    const { box, compartment, colony, constants } = given;
    const led = box.runs?.some(
      (run) => run.playbook === 'finisher' && !run.ended && meets(run.bays, compartment.bays),
    );
    // Its playbook leads it, by its own clocks.
    if (led) return undefined;
    const begun = sinceRole(given);
    const since = colony.searched && colony.searched.on > begun ? colony.searched.on : begun;
    const on = plusDays(since, constants.finisherCare_d);
    return {
      from: plusDays(on, -1),
      expected: on,
      to: plusDays(on, 1),
      reason: `${since === begun ? 'It serves so since' : 'Searched last'} ${showDay(since)}. Young brood up beside the cells, old brood down, and every frame searched for wild cells.`,
    };
  },
};

const donorComb: Rule = {
  kind: 'donorComb',
  title: 'Change the donor’s comb',
  why: 'A confined donor must always have room: a drawn comb for every frame of larvae taken.',
  source: 'Donor in a holding box',
  figures: ['donorComb_d'],
  raise: (given) => {
    const { gaveOn } = given.colony;
    const begun = sinceRole(given);
    const since = gaveOn !== undefined && gaveOn > begun ? gaveOn : begun;
    const on = plusDays(since, given.constants.donorComb_d);
    return {
      from: on,
      expected: on,
      to: plusDays(on, 1),
      reason: `She lays in what she has since ${showDay(since)}. Take the frame of youngest larvae, give an empty drawn comb; know where she is first.`,
    };
  },
};

const workStarter: Rule = {
  kind: 'workStarter',
  title: 'Starter: grafts in, then to the finisher',
  why: 'Bees closed in for less than two hours are not ready for grafts; for more than four they suffer.',
  source: 'Closed starter',
  figures: ['starterGraftFrom_h', 'starterGraftTo_h', 'starter_d'],
  raise: ({ box, compartment: { bays }, colony, constants }) => {
    const led = box.runs?.some(
      (run) => run.playbook === 'closedStarter' && !run.ended && meets(run.bays, bays),
    );
    // Its playbook leads it, by its own clocks.
    if (led) return undefined;
    const { starterGraftFrom_h, starterGraftTo_h, starter_d } = constants;
    const set = roleSetFor(box, bays);
    const since = set?.since ?? colony.stockedOn;
    const on = plusDays(since, Math.round(starter_d));
    const then = 'syrup last, to the finisher about';
    const after = 'A second batch a day on, then remake it or tip it out.';
    if (!set)
      return {
        from: since,
        expected: since,
        to: on,
        reason: `Stocked ${showDay(since)}: grafts in ${starterGraftFrom_h} to ${starterGraftTo_h} hours after it is closed, ${then} ${showDay(on)}. ${after}`,
      };
    const at = (hours: number) => new Date(Date.parse(set.at) + hours * HOUR_MS).toISOString();
    const clock = (hours: number) => showTime(at(hours), set.zone);
    return {
      from: since,
      expected: since,
      to: on,
      by: at(starter_d * 24),
      reason: `Closed ${showDay(since)} at ${clock(0)}: grafts in between ${clock(starterGraftFrom_h)} and ${clock(starterGraftTo_h)}, ${then} ${clock(starter_d * 24)} on ${showDay(on)}. ${after}`,
    };
  },
};

const reduce: Rule = {
  kind: 'reduce',
  title: 'Reduce the cavity',
  why: 'A small colony in a large cavity spends stores and bees on warming empty comb.',
  source: 'Reducing: when and who',
  figures: ['reduceBelow_C', 'reduceSpare', 'cooling_K'],
  raise: ({ colony, compartment: { frames }, weather, constants }) => {
    const { strength, since } = colony;
    const recent = recentMaximum(weather);
    if (!strength || !recent || recent.mean_C >= constants.reduceBelow_C) return undefined;
    if (isCooling(weather, constants) === false) return undefined;
    // What is planned of its winter is named by its own rule.
    if (plannedOn(colony, recent.on)) return undefined;
    if (frames - strength.seams < constants.reduceSpare || since > recent.on) return undefined;
    return {
      from: recent.on,
      expected: plusDays(recent.on, 3),
      to: plusDays(recent.on, 14),
      reason: `Days reach ${recent.mean_C.toFixed(0)} °C in the mean, and ${seams(strength.seams)} ${strength.seams === 1 ? 'sits' : 'sit'} on ${countOf(frames, 'frame')}. Look from above, do not dig.`,
      lapses: true,
    };
  },
};

const expand: Rule = {
  kind: 'expand',
  title: 'Give room again',
  why: 'In spring the followers move out a frame at a time as seams fill.',
  source: 'Reducing: after',
  figures: ['expandAbove_C', 'cooling_K'],
  raise: (given) => {
    const { colony, compartment, weather, constants } = given;
    const recent = recentMaximum(weather);
    if (compartment.role !== 'wintering' || !colony.strength || !recent) return undefined;
    // An autumn is as warm on its way down.
    if (isCooling(weather, constants)) return undefined;
    if (recent.mean_C < constants.expandAbove_C || colony.strength.seams < compartment.frames - 1)
      return undefined;
    return {
      from: recent.on,
      expected: plusDays(recent.on, 3),
      to: plusDays(recent.on, 10),
      reason: `Days reach ${recent.mean_C.toFixed(0)} °C in the mean, and ${seams(colony.strength.seams)} ${colony.strength.seams === 1 ? 'fills' : 'fill'} ${countOf(compartment.frames, 'frame')}.`,
      lapses: true,
    };
  },
};

/** Small boxes have no warmth to spare for a cold night (handbook 11, forage and weather). */
const frost: Rule = {
  kind: 'frost',
  pressing: true,
  title: 'Frost: help the small box through the night',
  why: 'Boxes of under two frames of bees die of a frost.',
  source: 'Forage and weather',
  figures: ['frost_C', 'frostSeams'],
  raise: ({ colony: { strength }, weather, constants }) => {
    const night = lastNightOf(weather, constants.frost_C);
    if (!strength || strength.seams >= constants.frostSeams || !night) return undefined;
    return {
      from: plusDays(night.on, -1),
      expected: plusDays(night.on, -1),
      to: night.on,
      lapses: true,
      reason: `${Number(night.min_C.toFixed(1))} °C in the night to ${showDay(night.on)}, and ${seams(strength.seams)} only. Tray in, entrance small, insulated, pushed against others; or shut on vent and carried in for the night.`,
    };
  },
};

export const nestRules: readonly Rule[] = [
  frost,
  crowded,
  weak,
  reloadBank,
  careFinisher,
  donorComb,
  workStarter,
  reduce,
  expand,
];
