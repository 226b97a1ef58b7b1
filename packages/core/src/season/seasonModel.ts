import type { Problem, SeasonAnswer, SeasonQuestion } from '@yellow-cell/contract';
import { type Day, daysBetween, plusDays } from '../calendar/days.ts';

/** Days from the graft: compartments are stocked, cells are ripe (handbook 5). */
const STOCKED_D = 9;
const RIPE_D = 10;
const WEEK = 7;
/** More days than this are no season. */
const MOST_DAYS = 400;
/** Less than this is nothing that a solver found, but its rounding. */
const NOTHING = 1e-6;

/** A day on which a round may be grafted, with the lots that its queens can go to and how long they wait for each. */
export interface GraftDay {
  graft: Day;
  take: Day;
  goesTo: readonly { lot: number; waits_d: number }[];
}

/** Only days whose queens some lot can use are looked at: all others would but cost. */
export function graftDays({
  from,
  to,
  lots,
  weekdays,
  closed = [],
  take_d,
  bank,
}: SeasonQuestion): GraftDay[] {
  const shut = new Set(closed);
  const most = bank?.days ?? 0;
  return Array.from({ length: Math.max(0, daysBetween(from, to) + 1) }, (_, day) =>
    plusDays(from, day),
  ).flatMap((graft): GraftDay[] => {
    const take = plusDays(graft, take_d);
    const closedThen = [graft, plusDays(graft, RIPE_D), take].some((day) => shut.has(day));
    if (closedThen || (weekdays && !weekdays.includes(weekdayOf(graft)))) return [];
    const goesTo = lots.flatMap(({ by }, lot) => {
      const waits_d = daysBetween(take, by);
      return waits_d >= 0 && waits_d <= most ? [{ lot, waits_d }] : [];
    });
    return goesTo.length > 0 ? [{ graft, take, goesTo }] : [];
  });
}
const weekdayOf = (day: Day): number => new Date(`${day}T00:00:00Z`).getUTCDay() || WEEK;

/**
 * The season as a mixed-integer programme in the LP format: `y` whether a round is grafted on a day, `c` its cells, `d`
 * what of it goes to a lot. Queens go to a lot only where its round is grafted, which ties the relaxation to whole rounds.
 */
export function seasonProgramme(question: SeasonQuestion, days: readonly GraftDay[]): string {
  const { lots, cells, rate, cost } = question;
  const gain = days.flatMap(({ goesTo }, day) => [
    `- ${cost.round} y${day} - ${cost.cell} c${day}`,
    ...goesTo.map(({ lot, waits_d }) =>
      signed((lots[lot]?.value ?? 0) - cost.bankDay * waits_d, `d${day}_${lot}`),
    ),
  ]);
  const rows = [
    ...days.flatMap(({ goesTo }, day) => [
      `c${day} - ${cells.least} y${day} >= 0`,
      `c${day} - ${cells.most} y${day} <= 0`,
      `${goesTo.map(({ lot }) => `d${day}_${lot}`).join(' + ')} - ${rate} c${day} <= 0`,
      ...goesTo.map(
        ({ lot }) => `d${day}_${lot} - ${Math.min(lots[lot]?.queens ?? 0, rate * cells.most)} y${day} <= 0`,
      ),
    ]),
    ...lots.flatMap(({ queens }, lot) => {
      const all = days.flatMap(({ goesTo }, day) =>
        goesTo.some((to) => to.lot === lot) ? [`d${day}_${lot}`] : [],
      );
      return all.length > 0 ? [`${all.join(' + ')} <= ${queens}`] : [];
    }),
    ...roomRows(question, days),
    ...bankRows(question, days),
  ];
  return [
    'Maximize',
    ` gain: ${gain.join(' ')}`,
    'Subject To',
    ...rows.map((row, index) => ` r${index}: ${row}`),
    'Bounds',
    ...days.map((_, day) => ` 0 <= c${day} <= ${cells.most}`),
    'Generals',
    ` ${days.map((_, day) => `c${day}`).join(' ')}`,
    'Binaries',
    ` ${days.map((_, day) => `y${day}`).join(' ')}`,
    'End',
  ].join('\n');
}
const signed = (factor: number, name: string): string =>
  `${factor < 0 ? '-' : '+'} ${Math.abs(factor)} ${name}`;

/** On no day are more compartments taken than there are; days with the same rounds in them are one row, the tightest. */
function roomRows({ compartments }: SeasonQuestion, days: readonly GraftDay[]): string[] {
  const [first, last] = [days[0], days.at(-1)];
  if (!first || !last) return [];
  const tightest = new Map<string, number>();
  for (let day = plusDays(first.graft, STOCKED_D); day <= last.take; day = plusDays(day, 1)) {
    const held = days.flatMap(({ graft, take }, at) =>
      plusDays(graft, STOCKED_D) <= day && day <= take ? [`c${at}`] : [],
    );
    if (held.length === 0) continue;
    const room = compartments.reduce(
      (sum, each) => (each.from <= day && day <= each.to ? sum + each.count : sum),
      0,
    );
    const key = held.join(' + ');
    tightest.set(key, Math.min(room, tightest.get(key) ?? room));
  }
  return [...tightest].map(([held, room]) => `${held} <= ${room}`);
}

/** Queens that are taken and not yet due wait in the bank. */
function bankRows({ bank, lots }: SeasonQuestion, days: readonly GraftDay[]): string[] {
  if (!bank || bank.days === 0) return [];
  const tightest = new Set<string>();
  const [first, last] = [days[0], days.at(-1)];
  if (!first || !last) return [];
  for (let day = first.take; day <= plusDays(last.take, bank.days); day = plusDays(day, 1)) {
    const waiting = days.flatMap(({ take, goesTo }, at) =>
      take > day ? [] : goesTo.flatMap(({ lot }) => ((lots[lot]?.by ?? '') > day ? [`d${at}_${lot}`] : [])),
    );
    if (waiting.length > 0) tightest.add(waiting.join(' + '));
  }
  return [...tightest].map((waiting) => `${waiting} <= ${bank.places}`);
}

/** A plan read out of what a solver found for each name. Cells are whole, and no queens come of cells that are not. */
export function seasonPlan(
  question: SeasonQuestion,
  days: readonly GraftDay[],
  amountOf: (name: string) => number,
): Omit<SeasonAnswer, 'bound'> {
  const { lots, rate, cost } = question;
  const rounds = days.flatMap(({ graft, goesTo }, at) => {
    const cells = Math.round(amountOf(`c${at}`));
    if (cells === 0) return [];
    const wanted = goesTo.map(({ lot, waits_d }) => ({
      lot,
      waits_d,
      queens: Math.max(0, amountOf(`d${at}_${lot}`)),
    }));
    const all = wanted.reduce((sum, { queens }) => sum + queens, 0);
    const share = all > rate * cells ? (rate * cells) / all : 1;
    return [{ graft, cells, goes: wanted.map((each) => ({ ...each, queens: each.queens * share })) }];
  });
  const deliveries = rounds.flatMap(({ graft, goes }) =>
    goes
      .filter(({ queens }) => queens > NOTHING)
      .map(({ lot, queens, waits_d }) => ({ lot, graft, queens, waits_d })),
  );
  const gained = deliveries.reduce(
    (sum, { lot, queens, waits_d }) => sum + queens * ((lots[lot]?.value ?? 0) - cost.bankDay * waits_d),
    0,
  );
  const spent = rounds.reduce((sum, { cells }) => sum + cost.round + cost.cell * cells, 0);
  return {
    rounds: rounds.map(({ graft, cells }) => ({ graft, cells })),
    deliveries: deliveries.map(({ lot, graft, queens }) => ({ lot: lots[lot]?.name ?? '', graft, queens })),
    lots: lots.map(({ name, queens }, lot) => {
      const given = deliveries.reduce((sum, each) => (each.lot === lot ? sum + each.queens : sum), 0);
      return { name, queens: given, short: Math.max(0, queens - given) };
    }),
    objective: gained - spent,
  };
}

/** Days in their order, names told apart, and fewest cells no more than most. */
export function seasonProblems({
  from,
  to,
  lots,
  compartments,
  cells,
}: Pick<SeasonQuestion, 'from' | 'to' | 'lots' | 'compartments' | 'cells'>): Problem[] {
  const names = lots.map(({ name }) => name);
  return [
    ...(to < from ? [{ path: 'to', value: to, sentence: 'The season cannot end before it begins.' }] : []),
    ...(daysBetween(from, to) >= MOST_DAYS
      ? [{ path: 'to', value: to, sentence: `A season of more than ${MOST_DAYS} days is none.` }]
      : []),
    ...lots.flatMap(({ name }, index) =>
      names.indexOf(name) < index
        ? [{ path: `lots.${index}.name`, value: name, sentence: `The lot ${name} is named twice.` }]
        : [],
    ),
    ...compartments.flatMap((each, index) =>
      each.to < each.from
        ? [
            {
              path: `compartments.${index}.to`,
              value: each.to,
              sentence: 'Compartments cannot go before they come.',
            },
          ]
        : [],
    ),
    ...(cells.least > cells.most
      ? [
          {
            path: 'cells.least',
            value: cells.least,
            sentence: 'The fewest cells of a round are more than the most.',
          },
        ]
      : []),
  ];
}
