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
  const { closed = [], weekdays, cells, rate, take_d, bank, roomWait_d = 0 } = question;
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
    if (waits < 0 || waits > Math.max(bank?.days ?? 0, roomWait_d)) wrong.push(`${lot} waits ${waits} days`);
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
    if (roomWait_d === 0 && waiting > (bank?.places ?? 0) + 1e-6) wrong.push(`${waiting} wait on ${day}`);
    wrong.push(...tooMuchOn(day, question, rounds));
  }
  return wrong;
}

/** What colonies, an incubator and people cannot do on a day, or in the week that begins on it. */
function tooMuchOn(day: string, question: SeasonQuestion, rounds: SeasonAnswer['rounds']): string[] {
  const { donors, starters, finishers, incubator, helpers, work, rate, take_d, closed = [] } = question;
  const since = (graft: string) => daysBetween(graft, day);
  const grafts = (days: number) =>
    rounds.filter(({ graft }) => since(graft) >= 0 && since(graft) < days).length;
  const cellsIn = (from: number, to: number, of: (round: SeasonAnswer['rounds'][number]) => number) =>
    rounds.reduce(
      (sum, each) => (since(each.graft) >= from && since(each.graft) < to ? sum + of(each) : sum),
      0,
    );
  const away = (round: SeasonAnswer['rounds'][number]) => round.incubator ?? 0;
  const wrong: string[] = [];
  if (donors && grafts(donors.days) > donors.count) wrong.push(`donors on ${day}`);
  if (starters && grafts(starters.days) > starters.count) wrong.push(`starters on ${day}`);
  if (finishers) {
    const standing = cellsIn(0, finishers.days, ({ cells }) => cells) - cellsIn(6, finishers.days, away);
    if (standing > finishers.cells) wrong.push(`${standing} cells in finishers on ${day}`);
  }
  if (incubator && cellsIn(6, 12, away) > incubator.places) wrong.push(`the incubator on ${day}`);
  if (helpers && work && new Date(`${day}T00:00:00Z`).getUTCDay() === 1) {
    const inWeek = (on: string) => daysBetween(day, on) >= 0 && daysBetween(day, on) < 7;
    const hours = rounds.reduce(
      (sum, { graft, cells }) =>
        sum +
        (inWeek(graft) ? work.round_h : 0) +
        (inWeek(plusDays(graft, 10)) ? work.cell_h * cells : 0) +
        (inWeek(plusDays(graft, take_d)) ? work.queen_h * rate * cells : 0),
      0,
    );
    const there = [0, 1, 2, 3, 4, 5, 6]
      .map((each) => plusDays(day, each))
      .filter((on) => !closed.includes(on));
    const can = helpers.reduce(
      (sum, { hours: each, away: gone }) =>
        sum + (each / 7) * there.filter((on) => !gone.some(({ from, to }) => from <= on && on <= to)).length,
      0,
    );
    if (hours > can + 1e-6) wrong.push(`${hours} h of ${can} in the week of ${day}`);
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

  it('keeps what colonies, an incubator and people can do, and each of these limits what can be had', async () => {
    const full: SeasonQuestion = {
      ...example,
      closed: [],
      weekdays: [1, 2, 3, 4, 5, 6, 7],
      lots: [
        { name: 'A', queens: 60, by: '2026-06-20', value: 30 },
        { name: 'B', queens: 60, by: '2026-06-27', value: 31 },
      ],
      compartments: [{ count: 500, from: '2026-04-20', to: '2026-09-10' }],
      cells: { least: 5, most: 30 },
      bank: { days: 5, places: 500 },
      cost: { round: 5, cell: 0.5, bankDay: 0.1 },
    };
    const limits: Partial<SeasonQuestion> = {
      donors: { count: 1, days: 3 },
      starters: { count: 1, days: 4 },
      finishers: { cells: 48, days: 10 },
      incubator: { places: 8 },
      helpers: [
        { name: 'Wren', hours: 12, away: [{ from: '2026-05-19', to: '2026-05-22' }] },
        { name: 'Finch', hours: 5, away: [] },
      ],
      work: { round_h: 3, cell_h: 0.2, queen_h: 0.25 },
    };
    const found = async (more: Partial<SeasonQuestion>) => {
      const answer = await season({ ...full, ...more });
      expect(amiss({ ...full, ...more }, answer)).toEqual([]);
      return answer;
    };
    const free = (await found({})).objective;
    for (const limit of [
      { donors: limits.donors },
      { starters: limits.starters },
      { finishers: limits.finishers },
      { helpers: limits.helpers, work: limits.work },
    ] as Partial<SeasonQuestion>[])
      expect((await found(limit)).objective, Object.keys(limit)[0]).toBeLessThan(free * 0.98);
    // An incubator frees a finisher, as far as it has places.
    const stood: Partial<SeasonQuestion> = {
      finishers: { cells: 48, days: 10 },
      bank: { days: 30, places: 500 },
      lots: full.lots.map((lot) => ({ ...lot, queens: 300 })),
    };
    const alone = await found(stood);
    const some = await found({ ...stood, incubator: { places: 8 } });
    const many = await found({ ...stood, incubator: { places: 400 } });
    expect(some.objective).toBeGreaterThan(alone.objective * 1.01);
    expect(many.objective).toBeGreaterThan(some.objective * 1.01);
    expect(some.rounds.some(({ incubator }) => (incubator ?? 0) > 0)).toBe(true);
    expect(alone.rounds.every((round) => round.incubator === undefined)).toBe(true);
    // All together, and hours without the one who goes away.
    const all = await found(limits);
    expect(all.objective).toBeGreaterThan(0);
    const here = await found({
      ...limits,
      helpers: limits.helpers?.map((each) => ({ ...each, away: [] })),
    });
    expect(here.objective).toBeGreaterThanOrEqual(all.objective);
  }, 120_000);

  it('leaves rounds that stand what they take up: their day, donor, starter, finisher and hours', async () => {
    const of = async (graft: string, more: Partial<SeasonQuestion> = {}, cells = 30) =>
      (await season({ ...example, closed: [], standing: [{ graft, cells }], ...more })).rounds;
    const alone = [{ graft: '2026-05-18', cells: 29 }];
    expect(await of('2026-05-17')).toEqual(alone);
    expect(await of('2026-05-18')).toEqual([{ graft: '2026-05-15', cells: 29 }]);
    // Grafted from on the 15th, the donor has no comb before the 19th, and none for the 12th to the 18th.
    const donors = { donors: { count: 1, days: 4 } };
    expect(await of('2026-05-15', donors)).toEqual([{ graft: '2026-05-11', cells: 29 }]);
    expect(await of('2026-05-14', donors)).toEqual(alone);
    expect(await of('2026-05-15', { starters: { count: 1, days: 4 } })).toEqual([
      { graft: '2026-05-11', cells: 29 },
    ]);
    const finishers = { finishers: { cells: 48, days: 10 }, cells: { least: 29, most: 45 } };
    expect(await of('2026-05-09', finishers)).toEqual([{ graft: '2026-04-29', cells: 29 }]);
    expect(await of('2026-05-09', finishers, 19)).toEqual(alone);
    expect(await of('2026-05-08', finishers)).toEqual(alone);
    // The week of the graft has eight hours, five are left.
    const work = { work: { round_h: 3, cell_h: 0, queen_h: 0 } };
    const hours = (each: number) => ({ ...work, helpers: [{ name: 'Wren', hours: each, away: [] }] });
    expect(await of('2026-05-19', hours(6))).toEqual(alone);
    expect(await of('2026-05-19', hours(5.9))).toEqual([{ graft: '2026-05-15', cells: 29 }]);
  });

  it('lets queens wait in their rooms, which they hold until then', async () => {
    // Nothing is taken on the day on which the lot is due, and there is no bank.
    const { bank: _, ...without } = { ...example, closed: ['2026-06-25'] };
    const waits = await season({ ...without, roomWait_d: 5 });
    expect(waits.rounds).toEqual([{ graft: '2026-05-15', cells: 29 }]);
    // Waiting costs nothing but the room: the same worth as on the day.
    expect(waits.objective).toBeCloseTo(20 * 30 - 20 - 29 * 0.5, 6);
    expect((await season({ ...without, roomWait_d: 2 })).rounds).toEqual([]);
    // Rooms that go before the lot is due hold nobody for it: those that stay hold 12.
    const going = {
      ...without,
      roomWait_d: 5,
      compartments: [
        { count: 30, from: '2026-05-01', to: '2026-06-23' },
        { count: 12, from: '2026-06-24', to: '2026-09-10' },
      ],
    };
    expect((await season(going)).lots[0]?.queens).toBeCloseTo(12, 6);
  });

  it('fares by the time of the year: fewer queens of the same cells, and later', async () => {
    const late = { ...example, closed: [], spells: [{ from: '2026-04-01', rate: 0.35, take_d: 41 }] };
    const answer = await season(late);
    // All thirty rooms are worth it.
    expect(answer.rounds).toEqual([{ graft: '2026-05-15', cells: 30 }]);
    expect(answer.lots[0]?.queens).toBeCloseTo(0.35 * 30, 6);
    // Before a spell begins it is as usual: with a bank one grafts before it.
    const soon = { ...late, spells: [{ from: '2026-05-15', rate: 0.35, take_d: 41 }] };
    expect((await season(soon)).rounds).toEqual([{ graft: '2026-05-14', cells: 29 }]);
    const never = { ...late, spells: [{ from: '2026-04-01', rate: 0, take_d: 41 }] };
    expect(await season(never)).toMatchObject({ rounds: [], objective: 0 });
  });

  it('stays near the rounds that people know, as far as a change costs', async () => {
    const of = (cost: number, graft = '2026-05-15', cells = 29) =>
      season({ ...example, closed: [], stay: { rounds: [{ graft, cells }], cost } });
    // Three days in the bank are worth six queen-days of a tenth each; a moved round is 58 cells of change.
    expect((await of(0)).rounds).toEqual([{ graft: '2026-05-18', cells: 29 }]);
    const near = await of(1);
    expect(near.rounds).toEqual([{ graft: '2026-05-15', cells: 29 }]);
    expect(near.objective).toBeCloseTo(20 * 30 - 20 - 29 * 0.5 - 20 * 3 * 0.1, 6);
    // A round that can be no more is paid for in every plan; the bound knows it.
    const lost = await of(1, '2026-07-01', 10);
    expect(lost.rounds).toEqual([{ graft: '2026-05-18', cells: 29 }]);
    expect(lost.objective).toBeCloseTo(20 * 30 - 20 - 29 * 0.5 - 29 - 10, 6);
    expect(lost.bound).toBeGreaterThanOrEqual(lost.objective);
    expect(lost.bound).toBeLessThan(lost.objective * 1.01);
    // Nothing pays: what is known is given up at its price, and no less.
    const nothing = await season({
      ...example,
      to: '2026-04-21',
      stay: { rounds: [{ graft: '2026-05-15', cells: 4 }], cost: 2 },
    });
    expect(nothing).toMatchObject({ rounds: [], objective: -8, bound: -8 });
  });

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
    const limits = {
      ...example,
      spells: ['2026-05-01', '2026-05-01'].map((from) => ({ from, rate: 0.5, take_d: 40 })),
      helpers: [{ name: 'Wren', hours: 5, away: [{ from: '2026-05-02', to: '2026-05-01' }] }],
      incubator: { places: 5 },
    };
    expect(seasonProblems(limits).map(({ path }) => path)).toEqual([
      'spells.1.from',
      'helpers.0.away.0.to',
      'work',
      'incubator',
    ]);
    expect(seasonProblems(example)).toEqual([]);
  });
});
