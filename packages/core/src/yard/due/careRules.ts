import type { Colony } from '@yellow-cell/contract';
import { dayOf, later, plusDays } from '../../calendar/days.ts';
import { showDay, showTime } from '../../calendar/showDay.ts';
import type { Constants } from '../../constants/registry.ts';
import { storesPerKg } from '../../feed/feeds.ts';
import { capital, countOf } from '../../say/words.ts';
import type { StandingCompartment } from '../compartments.ts';
import { isLetOut } from '../roomWords.ts';
import { feedWords, troubleWords } from '../statusWords.ts';
import type { Case, Rule } from './expectation.ts';
import { groundedDays } from './weather.ts';

const rules6 = 'Rules that raise work';

const openEntrance: Rule = {
  kind: 'openEntrance',
  pressing: true,
  title: 'Open the shut entrance',
  why: 'One to three days keep the bees at home; longer, and they want feed, water and air.',
  source: rules6,
  figures: ['openFrom_d', 'openTo_d'],
  raise: ({ colony, constants }) => {
    if (!colony.shutOn) return undefined;
    const from = plusDays(colony.shutOn, constants.openFrom_d);
    return {
      from,
      expected: from,
      to: plusDays(colony.shutOn, constants.openTo_d),
      reason: `No bee gets out since ${showDay(colony.shutOn)}. One to three days keep them at home; longer, and they want feed, water and air.${colony.fed ? '' : ' Nothing is recorded as fed.'}`,
    };
  },
};

const refillFeed: Rule = {
  kind: 'refillFeed',
  title: 'See whether they want feed',
  why: 'A small colony lives from what it is given, by how many bees it is.',
  source: 'Giving cells',
  figures: ['feedUse_kgDay', 'feedLate_d'],
  raise: ({ colony, compartment, constants }) => {
    if (!colony.fed) return undefined;
    const { on, feed, amount_kg } = colony.fed;
    const use_kg = feedUse(colony, compartment, constants);
    const lasts = Math.max(1, Math.round((amount_kg * storesPerKg(feed)) / use_kg));
    return {
      from: plusDays(on, lasts),
      expected: plusDays(on, lasts),
      to: plusDays(on, lasts + constants.feedLate_d),
      reason: `${amount_kg} kg of ${feedWords[feed]} given ${showDay(on)}; ${
        colony.strength
          ? `${countOf(colony.strength.seams, 'seam')} of bees ${colony.strength.seams === 1 ? 'takes' : 'take'}`
          : 'a small colony takes'
      } about ${Number(use_kg.toFixed(2))} kg a day.`,
      lapses: true,
    };
  },
};

/** Fewer bees than a seam's half eat as little. */
const LEAST_SEAMS = 0.5;
/** Stores that a colony uses in a day, in kg: by its bees where they were counted on combs, else as a kilogram of them. */
export function feedUse(
  { strength }: Pick<Colony, 'strength'>,
  { seam_kg }: Pick<StandingCompartment, 'seam_kg'>,
  { feedUse_kgDay }: Constants,
): number {
  return feedUse_kgDay * (strength && seam_kg > 0 ? Math.max(LEAST_SEAMS, strength.seams) * seam_kg : 1);
}

const stripsOut: Rule = {
  kind: 'stripsOut',
  title: 'Take the strips out',
  why: 'Left past the weeks of their label, strips breed resistance.',
  source: 'Keeping track',
  figures: [],
  raise: ({ colony: { strips = [], ended } }) =>
    strips.map(({ id, on, product, outBy }) => ({
      key: id,
      from: plusDays(outBy, -2),
      expected: outBy,
      to: outBy,
      reason: `${product} put in ${showDay(on)}; left past the weeks of their label, strips breed resistance.${ended ? ' The bees are gone; the strips still hang there.' : ''}`,
    })),
};

const feedShut: Rule = {
  kind: 'feedShut',
  pressing: true,
  title: 'Feed the shut box',
  why: 'Bees that cannot forage live on what they are given.',
  source: rules6,
  figures: [],
  raise: ({ colony: { shutOn, fed } }) => {
    if (!shutOn || (fed && fed.on >= plusDays(shutOn, -1))) return undefined;
    return {
      from: shutOn,
      expected: shutOn,
      to: plusDays(shutOn, 1),
      reason: `No bee gets out since ${showDay(shutOn)}, and nothing is recorded as fed.`,
    };
  },
};

const feedWeak: Rule = {
  kind: 'feedWeak',
  title: 'Feed the small colony',
  why: 'Small colonies run short after a few days without flying weather in a row.',
  source: 'Forage and weather',
  figures: ['grounded_d', 'smallSeams'],
  raise: ({ colony: { strength, fed, status }, weather, constants }) => {
    const grounded = groundedDays(weather, constants);
    const small = strength ? strength.seams < constants.smallSeams : status !== 'queenright';
    if (!grounded || grounded.days < constants.grounded_d || !small) return undefined;
    if (fed && fed.on >= grounded.since) return undefined;
    const from = plusDays(grounded.since, constants.grounded_d - 1);
    return {
      from,
      expected: from,
      // As long as it lasts, by what is recorded: it ends with a day that they could fly on, or with the records.
      to: later(plusDays(from, 2), plusDays(grounded.since, grounded.days)),
      lapses: true,
      reason: `${grounded.days} days without flying weather in a row since ${showDay(grounded.since)}; small colonies run short.`,
    };
  },
};

const coverOn: Rule = {
  kind: 'coverOn',
  pressing: true,
  title: 'Put the cover back',
  why: 'A compartment left open loses its warmth, and its bees or queen to the next one.',
  source: rules6,
  figures: [],
  raise: ({ colony: { coverOffOn } }) =>
    coverOffOn === undefined
      ? undefined
      : {
          from: coverOffOn,
          expected: coverOffOn,
          to: coverOffOn,
          reason: `Its cover is off since ${showDay(coverOffOn)}.`,
        },
};

const outingBack: Rule = {
  kind: 'outingBack',
  pressing: true,
  title: 'Bring the bees home',
  why: 'An outing lasts hours: by early evening foragers rejoin, and heat and light end.',
  source: 'Display frame on a nucleus',
  figures: [],
  raise: ({ colony: { outing } }) => {
    if (!outing) return undefined;
    const { on, place, backBy, zone } = outing;
    const day = dayOf(backBy, zone);
    return {
      from: on,
      expected: day,
      to: day,
      by: backBy,
      reason: `Out at “${place}” since ${showDay(on)}; home by ${showTime(backBy, zone)}${day === on ? '' : ` on ${showDay(day, on)}`}. Frames back in order, shade on the way.`,
    };
  },
};

const queenBack: Rule = {
  kind: 'queenBack',
  title: 'Give the queen back',
  why: 'A queen put aside is wanted by her bees again.',
  source: 'A queen put aside',
  figures: [],
  raise: ({ colony: { ended }, compartment: { away } }) =>
    away.flatMap(({ id, name, gone }) =>
      gone?.backBy === undefined
        ? []
        : {
            key: id,
            from: plusDays(gone.backBy, -1),
            expected: gone.backBy,
            to: gone.backBy,
            reason: `${name === undefined ? 'Their queen' : `“${name}”`} was put aside ${showDay(gone.on)}, to go back by ${showDay(gone.backBy)}.${ended ? ' Her bees are not here any more: give her to others, or say what became of her.' : ''}`,
          },
    ),
};

const closeHoles: Rule = {
  kind: 'closeHoles',
  title: 'Close the holes of the part that was joined',
  why: 'One colony defends one entrance; those of the part that gave way let robbers in.',
  source: 'Rules that raise work',
  figures: ['openTo_d'],
  ofRoom: true,
  raise: ({ colony, box, compartment: { openHoles }, constants }) => {
    if (openHoles.length === 0) return undefined;
    // Boards of an empty box are pulled before bees come, others under them.
    const since = [colony.combinedOn, box.pulledOn].reduce(
      (latest: string, day = latest) => later(latest, day),
      colony.stockedOn,
    );
    return {
      from: since,
      expected: since,
      to: plusDays(since, constants.openTo_d),
      reason: `A board was pulled, and ${countOf(openHoles.length, 'entrance', 'entrances')} of the part that it closed off ${openHoles.length === 1 ? 'is' : 'are'} still open.`,
    };
  },
};

const framesBack: Rule = {
  kind: 'framesBack',
  ofRoom: true,
  title: 'Put the frames back',
  why: 'A frame out is out until it is back in its place, the same way round.',
  source: 'Going back',
  figures: ['framesOut_d'],
  raise: ({ compartment: { framesOut }, constants }) => {
    // Those out to reduce the cavity are stored, and larvae taken for a graft go to other bees.
    const wanted = framesOut.flatMap(({ out }) =>
      out && out.purpose !== 'reduce' && out.purpose !== 'graft' ? [out] : [],
    );
    const [first] = wanted.sort((a, b) => (a.on < b.on ? -1 : 1));
    if (!first) return undefined;
    const by = first.backBy ?? plusDays(first.on, constants.framesOut_d);
    return {
      from: first.on,
      expected: by,
      to: by,
      reason: `${countOf(wanted.length, 'frame is', 'frames are')} out since ${showDay(first.on)}${first.where ? `, at “${first.where}”` : ''}.`,
    };
  },
};

const stillThere = ({ colony, constants }: Case, since: string, seen: string | undefined) =>
  seen !== undefined && seen >= since
    ? undefined
    : {
        from: plusDays(since, constants.evidenceFrom_d),
        expected: plusDays(since, constants.evidenceFrom_d),
        to: plusDays(since, constants.evidenceTo_d),
        reason: `She was looked for and not seen ${showDay(since)}. Not seen is not absent: eggs or worker brood will tell.${colony.evidenceOn ? ` Last proof ${showDay(colony.evidenceOn)}.` : ''}`,
      };

const seeEvidence: Rule = {
  kind: 'seeEvidence',
  title: 'Look for eggs or young brood',
  why: 'A queen that was not seen may well be there; her eggs speak for her.',
  source: 'Whose daughter',
  figures: ['evidenceFrom_d', 'evidenceTo_d'],
  raise: (given) => {
    const { notSeenOn, evidenceOn, status } = given.colony;
    if (!notSeenOn || status === 'stocked' || status === 'failed') return undefined;
    return stillThere(given, notSeenOn, evidenceOn);
  },
};

const checkIntroduction: Rule = {
  kind: 'checkIntroduction',
  title: 'See whether she is out of the cage',
  why: 'A caged queen is let out by the bees in one to four days.',
  source: 'Giving cells',
  figures: ['releasedFrom_d', 'releasedTo_d'],
  raise: ({ colony: { status, since }, compartment, constants }) => {
    if (status !== 'caged') return undefined;
    const free = isLetOut(compartment);
    return {
      ...(free ? { title: 'See whether she lays' } : {}),
      from: plusDays(since, constants.releasedFrom_d),
      expected: plusDays(since, constants.releasedFrom_d + 1),
      to: plusDays(since, constants.releasedTo_d),
      reason: `A mated queen was given ${showDay(since)}. ${free ? 'She is free among the bees, and eggs say that she is accepted.' : 'Out of the cage, and eggs soon after: she is accepted.'}`,
    };
  },
};

const settleSuspicion: Rule = {
  kind: 'settleSuspicion',
  title: 'Confirm or drop the suspicion',
  why: 'What is suspected is to be known, by worker brood or a second look.',
  source: 'Suspicions',
  figures: ['suspicion_d'],
  raise: ({ colony: { suspicions = [] }, constants }) =>
    suspicions.map(({ id, what, on }) => {
      const by = plusDays(on, constants.suspicion_d);
      return {
        key: id,
        from: by,
        expected: by,
        to: plusDays(by, 3),
        reason: `“${what}”, thought ${showDay(on)}.`,
      };
    }),
};

/** What helps, by trouble; treatment is always by label and local rules. */
const AGAINST = {
  robbing: 'Reduce the entrance to a bee’s width, stop feeding in the open, shut leaks.',
  wasps: 'Reduce the entrance; shut on vent for a day or two where they are weak, with feed.',
  beetles: 'Bees must cover all comb: fewer frames, no gaps to hide in.',
  chalk: 'Drier and stronger: fewer frames, vents by the model.',
  deformedWings: 'A sign of mites: count them, and ask the inspector or vet.',
  mites: 'Treat by label and local rules only.',
  dysentery: 'Dry feed, a look at the stores, no comb from here to others.',
} as const;

const seeTrouble: Rule = {
  kind: 'seeTrouble',
  pressing: true,
  title: 'See to the trouble',
  why: 'Robbing, wasps and pests end small colonies in days.',
  source: 'Trouble',
  figures: [],
  raise: ({ colony: { troubles = [] } }) =>
    troubles.map(({ trouble, on }) => ({
      key: trouble,
      from: on,
      expected: plusDays(on, 1),
      to: plusDays(on, 2),
      reason: `${capital(troubleWords[trouble])} seen ${showDay(on)}. ${AGAINST[trouble]}`,
    })),
};

const treat: Rule = {
  kind: 'treat',
  title: 'Not treated for a season',
  why: 'A colony untreated for a season is marked, for its own sake and its neighbours’.',
  source: 'Treatment',
  figures: ['untreated_d'],
  raise: ({ colony: { treatedOn, stockedOn }, constants }) => {
    const from = plusDays(treatedOn ?? stockedOn, constants.untreated_d);
    return {
      from,
      expected: from,
      to: plusDays(from, 30),
      reason: `No strips or other treatment is recorded since ${showDay(treatedOn ?? stockedOn)}. What is used is by label and local rules.`,
      quiet: true,
    };
  },
};

/** Mites to a hundred bees, or that drop in a day, and what they are held against. */
function load({ method, mites, bees = 1, days = 1 }: MiteCount, { mites_pct, mitesDrop_day }: Constants) {
  return method === 'drop'
    ? { value: mites / days, limit: mitesDrop_day, unit: 'a day drop' }
    : { value: (100 * mites) / bees, limit: mites_pct, unit: 'to a hundred bees' };
}
type MiteCount = NonNullable<Colony['mites']>[number];

const mitesHigh: Rule = {
  kind: 'mitesHigh',
  title: 'Many mites: see what can be done',
  why: 'Above a few to a hundred bees a small colony goes down with its mites; what is used is by label and local rules.',
  source: 'Treatment',
  figures: ['mites_pct', 'mitesDrop_day'],
  raise: ({ colony: { mites = [], treatedOn }, constants }) => {
    const last = mites.at(-1);
    if (!last || (treatedOn !== undefined && treatedOn >= last.on)) return undefined;
    const { value, limit, unit } = load(last, constants);
    return value < limit
      ? undefined
      : {
          from: last.on,
          expected: plusDays(last.on, 2),
          to: plusDays(last.on, 7),
          reason: `${Number(value.toFixed(1))} mites ${unit}, counted ${showDay(last.on)}; your limit is ${limit}.`,
        };
  },
};

export const careRules: readonly Rule[] = [
  openEntrance,
  feedShut,
  refillFeed,
  feedWeak,
  stripsOut,
  coverOn,
  closeHoles,
  outingBack,
  queenBack,
  framesBack,
  seeEvidence,
  checkIntroduction,
  settleSuspicion,
  seeTrouble,
  mitesHigh,
  treat,
];
