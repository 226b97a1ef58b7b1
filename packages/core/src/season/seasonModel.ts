import type { Problem, SeasonAnswer, SeasonQuestion } from '@yellow-cell/contract';
import { type Day, daysBetween } from '../calendar/days.ts';
import type { Going, GraftDay } from './graftDays.ts';
import { limitRows } from './seasonLimits.ts';

/** More days than this are no season. */
const MOST_DAYS = 400;
/** Less than this is nothing that a solver found, but its rounding. */
const NOTHING = 1e-6;

/**
 * The season as a mixed-integer programme in the LP format: `y` whether a round is grafted on a day, `c` its cells, `d`
 * what of it goes to a lot. Queens go to a lot only where its round is grafted, which ties the relaxation to whole rounds.
 */
export function seasonProgramme(question: SeasonQuestion, days: readonly GraftDay[]): string {
  const { lots, cells, cost, stay } = question;
  const gain = days.flatMap(({ goesTo }, day) => [
    `- ${cost.round} y${day} - ${cost.cell} c${day}`,
    ...(stay ? [`- ${stay.cost} e${day}`] : []),
    ...goesTo.flatMap(({ lot, waits_d, byBank, inRoom }) => {
      const value = lots[lot]?.value ?? 0;
      return [
        ...(byBank ? [signed(value - cost.bankDay * waits_d, `d${day}_${lot}`)] : []),
        ...(inRoom ? [signed(value, `w${day}_${lot}`)] : []),
      ];
    }),
  ]);
  const rows = [
    ...days.flatMap(({ graft, rate, goesTo }, day) => [
      `c${day} - ${cells.least} y${day} >= 0`,
      `c${day} - ${cells.most} y${day} <= 0`,
      `${goesTo.flatMap((to) => namesOf(day, to)).join(' + ')} - ${rate} c${day} <= 0`,
      ...goesTo.map(
        (to) =>
          `${namesOf(day, to).join(' + ')} - ${Math.min(lots[to.lot]?.queens ?? 0, rate * cells.most)} y${day} <= 0`,
      ),
      ...(stay
        ? [`c${day} - e${day} <= ${knownOn(graft, stay)}`, `c${day} + e${day} >= ${knownOn(graft, stay)}`]
        : []),
    ]),
    ...lots.flatMap(({ queens }, lot) => {
      const all = days.flatMap(({ goesTo }, day) =>
        goesTo.flatMap((to) => (to.lot === lot ? namesOf(day, to) : [])),
      );
      return all.length > 0 ? [`${all.join(' + ')} <= ${queens}`] : [];
    }),
    ...limitRows(question, days),
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
/** Cells that people know of on a day. */
const knownOn = (graft: Day, { rounds }: NonNullable<SeasonQuestion['stay']>): number =>
  rounds.reduce((sum, round) => (round.graft === graft ? sum + round.cells : sum), 0);
/** What it costs that known rounds lie on days on which none can be any more: no plan avoids it, and the programme does not know it. */
export function changeOutside(question: SeasonQuestion, days: readonly GraftDay[]): number {
  const inside = new Set(days.map(({ graft }) => graft));
  const lost = question.stay?.rounds.filter(({ graft }) => !inside.has(graft)) ?? [];
  return lost.reduce((sum, { cells }) => sum + cells * (question.stay?.cost ?? 0), 0);
}
/** What it costs to have these rounds instead of those that are known. */
function changeCost(rounds: SeasonAnswer['rounds'], { stay }: SeasonQuestion): number {
  if (!stay) return 0;
  const grafts = new Set([...rounds, ...stay.rounds].map(({ graft }) => graft));
  const cellsOn = (day: Day, of: SeasonAnswer['rounds']): number =>
    of.reduce((sum, { graft, cells }) => (graft === day ? sum + cells : sum), 0);
  return [...grafts].reduce(
    (sum, day) => sum + stay.cost * Math.abs(cellsOn(day, rounds) - cellsOn(day, stay.rounds)),
    0,
  );
}
/** Of queens of a day for a lot: by the bank or at once, and out of their rooms. */
const namesOf = (day: number, { lot, byBank, inRoom }: Going): string[] => [
  ...(byBank ? [`d${day}_${lot}`] : []),
  ...(inRoom ? [`w${day}_${lot}`] : []),
];
const signed = (factor: number, name: string): string =>
  `${factor < 0 ? '-' : '+'} ${Math.abs(factor)} ${name}`;

/** A plan read out of what a solver found for each name. Cells are whole, and no queens come of cells that are not. */
export function seasonPlan(
  question: SeasonQuestion,
  days: readonly GraftDay[],
  amountOf: (name: string) => number,
): Omit<SeasonAnswer, 'bound'> {
  const { lots, cost, incubator } = question;
  const rounds = days.flatMap(({ graft, rate, goesTo }, at) => {
    const cells = Math.round(amountOf(`c${at}`));
    if (cells === 0) return [];
    const wanted = goesTo.map(({ lot, waits_d, byBank, inRoom }) => {
      const banked = byBank ? Math.max(0, amountOf(`d${at}_${lot}`)) : 0;
      const stays = inRoom ? Math.max(0, amountOf(`w${at}_${lot}`)) : 0;
      return { lot, queens: banked + stays, bankDays: banked * waits_d };
    });
    const all = wanted.reduce((sum, { queens }) => sum + queens, 0);
    const share = all > rate * cells ? (rate * cells) / all : 1;
    const moved = incubator ? Math.min(cells, Math.round(amountOf(`i${at}`))) : undefined;
    const goes = wanted.map(({ lot, queens, bankDays }) => ({
      lot,
      queens: queens * share,
      bankDays: bankDays * share,
    }));
    return [{ graft, cells, moved, goes }];
  });
  const deliveries = rounds.flatMap(({ graft, goes }) =>
    goes.filter(({ queens }) => queens > NOTHING).map((each) => ({ graft, ...each })),
  );
  const gained = deliveries.reduce(
    (sum, { lot, queens, bankDays }) => sum + queens * (lots[lot]?.value ?? 0) - cost.bankDay * bankDays,
    0,
  );
  const spent = rounds.reduce((sum, { cells }) => sum + cost.round + cost.cell * cells, 0);
  const planned = rounds.map(({ graft, cells, moved }) => ({
    graft,
    cells,
    ...(moved === undefined ? {} : { incubator: moved }),
  }));
  return {
    rounds: planned,
    deliveries: deliveries.map(({ lot, graft, queens }) => ({ lot: lots[lot]?.name ?? '', graft, queens })),
    lots: lots.map(({ name, queens }, lot) => {
      const given = deliveries.reduce((sum, each) => (each.lot === lot ? sum + each.queens : sum), 0);
      return { name, queens: given, short: Math.max(0, queens - given) };
    }),
    objective: gained - spent - changeCost(planned, question),
  };
}

/** Days in their order, names told apart, and fewest cells no more than most. */
export function seasonProblems(
  question: Pick<
    SeasonQuestion,
    | 'from'
    | 'to'
    | 'lots'
    | 'compartments'
    | 'cells'
    | 'spells'
    | 'helpers'
    | 'work'
    | 'incubator'
    | 'finishers'
  >,
): Problem[] {
  const { from, to, lots, compartments, cells } = question;
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
    ...limitProblems(question),
  ];
}

/** Spells in their order, absences that end after they begin, and what stands beside what it bears on. */
function limitProblems({
  spells = [],
  helpers,
  work,
  incubator,
  finishers,
}: Pick<SeasonQuestion, 'spells' | 'helpers' | 'work' | 'incubator' | 'finishers'>): Problem[] {
  return [
    ...spells.flatMap(({ from }, index) =>
      index > 0 && from <= (spells[index - 1]?.from ?? '')
        ? [
            {
              path: `spells.${index}.from`,
              value: from,
              sentence: 'A spell begins after the one before it.',
            },
          ]
        : [],
    ),
    ...(helpers ?? []).flatMap(({ away }, helper) =>
      away.flatMap((each, index) =>
        each.to < each.from
          ? [
              {
                path: `helpers.${helper}.away.${index}.to`,
                value: each.to,
                sentence: 'Nobody is back before they left.',
              },
            ]
          : [],
      ),
    ),
    ...(helpers && !work
      ? [{ path: 'work', sentence: 'Say what work a graft, a cell and a queen are, where helpers are told.' }]
      : []),
    ...(incubator && !finishers
      ? [
          {
            path: 'incubator',
            sentence: 'An incubator takes cells over from finishers: say how many those hold.',
          },
        ]
      : []),
  ];
}
