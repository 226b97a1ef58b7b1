import type { SeasonAnswer, SeasonQuestion } from '@yellow-cell/contract';
import { daysBetween, plusDays, seasonProblems, seededRandom } from '@yellow-cell/core';
import { describe, expect, it } from 'vitest';
import { season } from './season.ts';

const example: SeasonQuestion = {
  from: '2026-04-20',
  to: '2026-08-20',
  lots: [{ name: 'A', queens: 20, by: '2026-06-25', value: 30 }],
  compartments: [{ count: 30, from: '2026-05-01', to: '2026-09-10' }],
  weekdays: [1, 2, 3, 4, 5],
  closed: ['2026-05-25'],
  cells: { least: 5, most: 45 },
  rate: 0.7,
  take_d: 38,
  bank: { days: 21, places: 60 },
  cost: { round: 20, cell: 0.5, bankDay: 0.1 },
};

/** What is wrong with a plan by the rules of the question, worked out day by day. */
function amiss(question: SeasonQuestion, { rounds, deliveries, lots }: SeasonAnswer): string[] {
  const { closed = [], weekdays, cells, rate, take_d, bank } = question;
  const wrong: string[] = [];
  const takeOf = (graft: string) => plusDays(graft, take_d);
  for (const round of rounds) {
    const weekday = new Date(`${round.graft}T00:00:00Z`).getUTCDay() || 7;
    if (round.graft < question.from || round.graft > question.to) wrong.push(`${round.graft} is outside`);
    if (weekdays && !weekdays.includes(weekday)) wrong.push(`${round.graft} is no working day`);
    for (const day of [round.graft, plusDays(round.graft, 10), takeOf(round.graft)])
      if (closed.includes(day)) wrong.push(`${day} is closed`);
    if (!Number.isInteger(round.cells) || round.cells < cells.least || round.cells > cells.most)
      wrong.push(`${round.cells} cells`);
    const used = deliveries
      .filter(({ graft }) => graft === round.graft)
      .reduce((sum, { queens }) => sum + queens, 0);
    if (used > rate * round.cells + 1e-6) wrong.push(`${used} queens of ${round.cells} cells`);
  }
  if (new Set(rounds.map(({ graft }) => graft)).size < rounds.length) wrong.push('two rounds a day');
  for (const { lot, graft } of deliveries) {
    const waits = daysBetween(takeOf(graft), question.lots.find(({ name }) => name === lot)?.by ?? '');
    if (waits < 0 || waits > (bank?.days ?? 0)) wrong.push(`${lot} waits ${waits} days`);
  }
  for (const { name, queens } of lots)
    if (queens > (question.lots.find((lot) => lot.name === name)?.queens ?? 0) + 1e-6)
      wrong.push(`${name} gets ${queens}`);
  for (let day = question.from; day <= plusDays(question.to, 160); day = plusDays(day, 1)) {
    const held = rounds
      .filter(({ graft }) => plusDays(graft, 9) <= day && day <= takeOf(graft))
      .reduce((sum, each) => sum + each.cells, 0);
    const room = question.compartments
      .filter(({ from, to }) => from <= day && day <= to)
      .reduce((sum, { count }) => sum + count, 0);
    if (held > room) wrong.push(`${held} of ${room} compartments on ${day}`);
    const waiting = deliveries
      .filter(
        ({ lot, graft }) =>
          takeOf(graft) <= day && (question.lots.find(({ name }) => name === lot)?.by ?? '') > day,
      )
      .reduce((sum, { queens }) => sum + queens, 0);
    if (waiting > (bank?.places ?? 0) + 1e-6) wrong.push(`${waiting} wait on ${day}`);
  }
  return wrong;
}

/** The best there is, by trying every number of cells on every day and every way to hand out whole queens. */
function bestOf(
  { lots, cells, cost, take_d, bank, closed = [] }: SeasonQuestion,
  grafts: readonly string[],
  room: number,
): number {
  let best = 0;
  const hand = (
    stock: readonly { take: string; left: number }[],
    wanted: readonly number[],
    at: number,
  ): number => {
    const own = stock[at];
    if (!own) return 0;
    let most = hand(stock, wanted, at + 1);
    if (own.left === 0) return most;
    lots.forEach(({ by, value }, lot) => {
      const waits = daysBetween(own.take, by);
      if (waits < 0 || waits > (bank?.days ?? 0) || (wanted[lot] ?? 0) === 0) return;
      const rest = stock.map((each, index) => (index === at ? { ...each, left: each.left - 1 } : each));
      const gain =
        value -
        cost.bankDay * waits +
        hand(
          rest,
          wanted.map((each, index) => each - (index === lot ? 1 : 0)),
          at,
        );
      most = Math.max(most, gain);
    });
    return most;
  };
  const choose = (day: number, chosen: readonly number[]): void => {
    const graft = grafts[day];
    if (graft === undefined) {
      if (chosen.reduce((sum, each) => sum + each, 0) > room) return;
      const spent = chosen.reduce((sum, each) => sum + (each > 0 ? cost.round + cost.cell * each : 0), 0);
      const stock = grafts.map((each, index) => ({ take: plusDays(each, take_d), left: chosen[index] ?? 0 }));
      best = Math.max(
        best,
        hand(
          stock,
          lots.map(({ queens }) => queens),
          0,
        ) - spent,
      );
      return;
    }
    choose(day + 1, [...chosen, 0]);
    if (closed.includes(graft)) return;
    for (let count = cells.least; count <= cells.most; count++) choose(day + 1, [...chosen, count]);
  };
  choose(0, []);
  return best;
}

describe('the plan of a season', () => {
  it('is the one of the example', async () => {
    const answer = await season(example);
    expect(answer.rounds).toEqual([{ graft: '2026-05-18', cells: 29 }]);
    expect(answer.lots).toEqual([{ name: 'A', queens: expect.closeTo(20, 6), short: expect.closeTo(0, 6) }]);
    expect(answer.objective).toBeCloseTo(20 * 30 - 20 - 29 * 0.5, 6);
    expect(answer.bound).toBeGreaterThanOrEqual(answer.objective);
    expect(answer.bound).toBeLessThan(answer.objective * 1.01);
  });

  it('grafts earlier and keeps queens in the bank where the day of the take is closed, and without a bank not at all', async () => {
    const later = { ...example, closed: ['2026-06-25'] };
    const [round] = (await season(later)).rounds;
    expect(round?.graft).toBe('2026-05-15');
    const { bank: _, ...without } = later;
    expect(await season(without)).toMatchObject({
      rounds: [],
      objective: 0,
      lots: [{ queens: 0, short: 20 }],
    });
  });

  it('plans nothing where nothing is gained, or there is nowhere to raise them', async () => {
    for (const more of [
      { cost: { round: 600, cell: 0.5, bankDay: 0.1 } },
      { compartments: [] },
      { to: '2026-04-21' },
    ] as const)
      expect(await season({ ...example, ...more } as SeasonQuestion)).toMatchObject({
        rounds: [],
        deliveries: [],
        objective: 0,
      });
  });

  it('is as good as trying everything, and keeps every rule', async () => {
    const random = seededRandom(11);
    const whole = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
    for (let tried = 0; tried < 25; tried++) {
      const grafts = ['2026-05-04', '2026-05-06', '2026-05-08'];
      const room = whole(2, 8);
      const question: SeasonQuestion = {
        from: '2026-05-04',
        to: '2026-05-08',
        lots: ['A', 'B'].map((name, at) => ({
          name,
          queens: whole(1, 4),
          by: plusDays('2026-06-11', 2 * at + whole(0, 4)),
          value: whole(3, 12),
        })),
        compartments: [{ count: room, from: '2026-05-01', to: '2026-07-01' }],
        weekdays: [1, 3, 5],
        closed: random() < 0.3 ? ['2026-05-06'] : [],
        cells: { least: whole(1, 2), most: 4 },
        rate: 1,
        take_d: 38,
        bank: { days: 7, places: 50 },
        cost: { round: whole(0, 9), cell: 0.5, bankDay: 0.25 },
      };
      const answer = await season(question);
      const best = bestOf(question, grafts, room);
      expect(answer.objective, JSON.stringify(question)).toBeGreaterThanOrEqual(best * 0.99 - 1e-6);
      expect(answer.bound).toBeGreaterThanOrEqual(best - 1e-6);
      expect(amiss(question, answer)).toEqual([]);
    }
  });

  it('of many lots keeps every rule and lies within its bound', async () => {
    const lots = Array.from({ length: 8 }, (_, at) => ({
      name: `L${at}`,
      queens: 12 + ((at * 7) % 30),
      by: plusDays('2026-06-05', at * 10),
      value: 20 + ((at * 5) % 15),
    }));
    const question: SeasonQuestion = {
      ...example,
      from: '2026-04-01',
      to: '2026-08-01',
      lots,
      compartments: [
        { count: 60, from: '2026-04-10', to: '2026-10-30' },
        { count: 30, from: '2026-05-20', to: '2026-08-10' },
      ],
      bank: { days: 14, places: 25 },
    };
    const answer = await season(question);
    expect(amiss(question, answer)).toEqual([]);
    expect(answer.objective).toBeGreaterThan(0);
    // It is looked for so long and no longer: a busy machine comes less near.
    expect(answer.bound).toBeLessThan(answer.objective * 1.05);
  }, 120_000);

  it('refuses what is in no order, each in its place', () => {
    const bad = {
      ...example,
      to: '2026-04-01',
      lots: [...example.lots, ...example.lots],
      compartments: [{ count: 1, from: '2026-05-02', to: '2026-05-01' }],
      cells: { least: 6, most: 5 },
    };
    expect(seasonProblems(bad).map(({ path }) => path)).toEqual([
      'to',
      'lots.1.name',
      'compartments.0.to',
      'cells.least',
    ]);
    expect(seasonProblems(example)).toEqual([]);
  });
});
