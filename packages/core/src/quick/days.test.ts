import { describe, expect, it } from 'vitest';
import { dayAhead, dayAtToken, dayPast, isDay } from './days.ts';
import { tokensOf } from './tokens.ts';

const ON = '2026-05-31';
/** What is read from the first token on, and how many tokens it takes. */
const read = (text: string, order?: 'dayFirst' | 'monthFirst', on = ON) => {
  const found = dayAtToken(tokensOf(text), 0, on, order);
  if (!found) return null;
  const { next, named } = found;
  if (named.is === 'day') return [named.day, next];
  if (named.is === 'yearless') return [`${named.date}.${named.month}.`, next];
  return [named.days.map(({ date, month }) => `${date}.${month}.`).join(' or '), next];
};

describe('a day in a line', () => {
  it.each([
    ['today', ON, 1],
    ['now', ON, 1],
    ['yesterday', '2026-05-30', 1],
    ["y'day eggs", '2026-05-30', 1],
    ['yday', '2026-05-30', 1],
    ['-1d', '2026-05-30', 1],
    ['−10d', '2026-05-21', 1],
    ['2d ago', '2026-05-29', 3],
    ['1 day ago', '2026-05-30', 3],
    ['14 days ago', '2026-05-17', 3],
    ['mon', '2026-05-25', 1],
    ['tues', '2026-05-26', 1],
    ['wednesday', '2026-05-27', 1],
    ['thurs', '2026-05-28', 1],
    ['fri', '2026-05-29', 1],
    ['sat', '2026-05-30', 1],
    ['last mon', '2026-05-25', 2],
    ['last sunday', '2026-05-24', 2],
    ['sun', '31.5. or 24.5.', 1],
    ['28 may', '28.5.', 2],
    ['28th may', '28.5.', 3],
    ['1st of may', '1.5.', 4],
    ['may 28', '28.5.', 2],
    ['may 2nd', '2.5.', 3],
    ['sept 3', '3.9.', 2],
    ['3 sep', '3.9.', 2],
    ['28 may 2025', '2025-05-28', 3],
    ['may 28 2025', '2025-05-28', 3],
    ['may 28, 2025', '2025-05-28', 3],
    ['28 may 30', '28.5.', 2],
    ['2026-05-20', '2026-05-20', 1],
    ['28/5', '28.5.', 1],
    ['5/28', '28.5.', 1],
    ['31/12', '31.12.', 1],
    ['12/31', '31.12.', 1],
    ['5/6', '5.6. or 6.5.', 1],
    ['5/5', '5.5.', 1],
    ['12/12', '12.12.', 1],
    ['28/5/26', '2026-05-28', 1],
    ['28/5/2025', '2025-05-28', 1],
  ])('%s is %s, in %d tokens', (text, day, tokens) => {
    expect(read(text)).toEqual([day, tokens]);
  });
  it.each([
    'may',
    '28',
    '32/1',
    '0/5',
    '13/13',
    '31/13',
    '5/6/26',
    'last',
    'last may',
    'eggs',
    '2 days',
    '100 may x',
    'ago',
  ])('%s is none', (text) => {
    const found = read(text);
    if (text === '100 may x')
      expect(dayPast({ is: 'yearless', month: 5, date: 100 }, ON)).toHaveProperty('question');
    else expect(found).toBeNull();
  });
  it('is meant as the breeder has said', () => {
    expect(read('5/6', 'dayFirst')).toEqual(['5.6.', 1]);
    expect(read('5/6', 'monthFirst')).toEqual(['6.5.', 1]);
    expect(read('28/5', 'monthFirst')).toEqual(['28.5.', 1]);
    expect(read('5/6/26', 'monthFirst')).toEqual(['2026-05-06', 1]);
  });
});

describe('a day without a year', () => {
  const past = (date: number, month: number, on = ON) => dayPast({ is: 'yearless', month, date }, on);
  const ahead = (date: number, month: number, on = ON) => dayAhead({ is: 'yearless', month, date }, on);
  it('is the last of its name, as far back as notes are written up', () => {
    expect(past(31, 5)).toBe('2026-05-31');
    expect(past(28, 5)).toBe('2026-05-28');
    expect(past(31, 1)).toBe('2026-01-31');
    expect(past(30, 1)).toEqual({ question: expect.stringContaining('30 January is still to come') });
    expect(past(28, 12, '2026-01-03')).toBe('2025-12-28');
    expect(past(1, 6)).toHaveProperty('question');
    expect(past(31, 6)).toEqual({ question: '31 June is no day.' });
    expect(past(29, 2, '2028-03-10')).toBe('2028-02-29');
  });
  it('that is to come is the next of its name, within what a strip can stay', () => {
    expect(ahead(1, 6)).toBe('2026-06-01');
    expect(ahead(31, 5)).toHaveProperty('question');
    expect(ahead(17, 12)).toBe('2026-12-17');
    expect(ahead(18, 12)).toEqual({ question: '18 December is past: on which day to come?' });
    expect(ahead(3, 1, '2026-11-01')).toBe('2027-01-03');
    expect(ahead(31, 6)).toEqual({ question: '31 June is no day.' });
    expect(dayAhead({ is: 'day', day: '2027-05-30' }, ON)).toBe('2027-05-30');
    expect(dayAhead({ is: 'day', day: ON }, ON)).toHaveProperty('question');
  });
  it('with a year is that day, if there is one', () => {
    expect(dayPast({ is: 'day', day: '2020-01-01' }, ON)).toBe('2020-01-01');
    expect(dayPast({ is: 'day', day: '2026-02-30' }, ON)).toEqual({ question: '2026-02-30 is no day.' });
    expect([isDay('2026-02-28'), isDay('2026-02-29'), isDay('2026-13-01')]).toEqual([true, false, false]);
  });
});
