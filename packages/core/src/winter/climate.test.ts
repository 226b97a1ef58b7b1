import { describe, expect, it } from 'vitest';
import { readClimate } from './climate.ts';
import { lastDayOver } from './climateDays.ts';
import { estimatedDay, estimatedMean } from './estimatedClimate.ts';
import { meanOn, winterMonths, yearMean } from './ownClimate.ts';

const monthly = (value: (month: number) => string = (month) => String(month), head = ['date', 'mean']) => [
  head,
  ...Array.from({ length: 12 }, (_, index) => [
    `2025-${String(index + 1).padStart(2, '0')}`,
    value(index + 1),
  ]),
];
const daily = (): string[][] => {
  const rows: string[][] = [['Date', 'Tmin (°C)', 'Tmax (°C)']];
  for (let day = 0; day < 365; day++)
    rows.push([new Date(Date.UTC(2025, 0, 1 + day)).toISOString().slice(0, 10), '0', '6']);
  return rows;
};
const sentence = (rows: string[][], unit?: 'C' | 'F') => {
  const read = readClimate(rows, unit);
  return read.ok ? read.remarks.join(' ') : read.problems[0]?.sentence;
};
const months = (rows: string[][], unit?: 'C' | 'F') => {
  const read = readClimate(rows, unit);
  return read.ok ? winterMonths(read.climate, 48).map(({ outside_C }) => outside_C) : undefined;
};

describe('a climate of one’s own', () => {
  it('is read from monthly means and from days with minimum and maximum', () => {
    expect(months(monthly())).toEqual([10, 11, 12, 1, 2, 3]);
    expect(months(daily())).toEqual([3, 3, 3, 3, 3, 3]);
    expect(sentence(daily())).toBe('');
  });

  it('takes decimal commas, signs and Fahrenheit where it is said', () => {
    expect(months(monthly((month) => (month < 4 ? '−2,5' : '7')))?.[3]).toBe(-2.5);
    expect(
      months(
        monthly(() => '50'),
        'F',
      )?.[0],
    ).toBeCloseTo(10, 9);
    expect(sentence(monthly((month) => (month === 7 ? '71' : '33')))).toContain('look like °F');
  });

  it('is of the whole year, and gives the winter of either half of the earth', () => {
    const found = readClimate(monthly(), 'C', -41);
    const own = found.ok ? found.climate : undefined;
    const south = winterMonths(own, -41);
    expect(south.map(({ name }) => name.slice(0, 3)).join(' ')).toBe('Apr May Jun Jul Aug Sep');
    expect(south.map(({ outside_C }) => outside_C)).toEqual([4, 5, 6, 7, 8, 9]);
    expect(winterMonths(own, 48)[0]).toMatchObject({ name: 'October', outside_C: 10, days: 31 });
    const summer = readClimate(
      monthly().filter(([date = '']) => !/-0[4-9]/.test(date)),
      'C',
      -41,
    );
    expect(summer.ok ? '' : summer.problems[0]?.sentence).toContain('April to September');
  });

  it('says what it left out, and works with the rest', () => {
    const rows = daily();
    rows[40] = ['2025-02-09', 'cold', '6'];
    rows[50] = ['2025-02-18', '0', '6'];
    rows.push(['2025-03-05', '9', '9'], ['99/99/9999', '1', '2']);
    const said = sentence(rows);
    expect(said).toContain('2 rows could not be read');
    expect(said).toContain('date that came before; the first counts');
    expect(months(rows)?.[4]).toBeCloseTo(3, 6);
    expect(sentence(daily().filter(([date = '']) => !/^2025-01-[12]/.test(date)))).toContain(
      '2025-01 has only',
    );
    expect(
      sentence(
        monthly((month) => (month === 5 ? '400' : '5')),
        'C',
      ),
    ).toContain('that no place has');
  });

  it('is refused with a sentence where nothing can be made of it', () => {
    expect(sentence([])).toContain('no rows');
    expect(sentence(monthly(String, ['when', 'mean']))).toContain('no column for the date');
    expect(sentence(monthly(String, ['date', 'wind']))).toContain('no column for the mean');
    expect(sentence(monthly(() => 'x'))).toContain('No row could be read');
    expect(sentence(monthly().slice(0, 4))).toContain('nothing for October, November, December');
    expect(
      sentence([['date', 'mean'], ...Array.from({ length: 50_000 }, () => ['2025-01-01', '1'])]),
    ).toContain('50,000 rows');
  });
});

describe('a climate of a yard', () => {
  const months = Array.from({ length: 12 }, (_, month) => ({ min_C: month - 3, max_C: month + 5 }));
  const own = { months };

  it('tells the mean of a day between the middles of two months, round the year', () => {
    expect(meanOn(own, '2026-03-15', 48)).toBe(3);
    expect(meanOn(own, '2026-03-30', 48)).toBeCloseTo(3 + 15 / 30.4, 9);
    expect(meanOn(own, '2026-03-01', 48)).toBeCloseTo(3 - 14 / 30.4, 9);
    // From December, 12, down to January, 1.
    expect(meanOn(own, '2026-12-30', 48)).toBeCloseTo(12 - 11 * (15 / 30.4), 9);
    expect(yearMean(own, 48)).toBe(6.5);
  });

  it('is estimated where a month is not known, and that winter with it', () => {
    const partly = { months: months.map((each, month) => (month === 6 ? null : each)) };
    expect(meanOn(partly, '2026-07-15', 48)).toBe(estimatedDay('2026-07-15', 48));
    expect(meanOn(partly, '2026-06-20', 48)).toBe(estimatedDay('2026-06-20', 48));
    expect(meanOn(partly, '2026-06-10', 48)).toBeCloseTo(6 - 5 / 30.4, 9);
    expect(yearMean(partly, 48)).toBe(estimatedMean(48));
    expect(winterMonths(partly, 48)[0]?.outside_C).toBe(10);
    expect(winterMonths(partly, -41)).toEqual(winterMonths(undefined, -41));
    expect(meanOn(undefined, '2026-07-15', -41)).toBe(estimatedDay('2026-07-15', -41));
  });

  it('says by its own maxima until when days are warm enough', () => {
    // October 14 °C, November 8 °C in the means of their maxima: 11 °C lies half way, about the end of October.
    const cooling = {
      months: months.map((each, month) =>
        month === 9
          ? { min_C: 0, max_C: 14 }
          : month === 10
            ? { min_C: 0, max_C: 8 }
            : { ...each, max_C: each.max_C + 30 },
      ),
    };
    expect(lastDayOver(winterMonths(cooling, 48), '2026-10-05', 11)).toBe('2026-10-31');
    expect(lastDayOver(winterMonths(cooling, 48), '2026-10-05', 7.9)).toBeUndefined();
  });

  it('keeps minima and maxima as they were read, and makes both of a mean alone', () => {
    const both = readClimate(daily(), 'C', 48);
    expect(both.ok && both.climate.months[6]).toEqual({ min_C: 0, max_C: 6 });
    const mean = readClimate(monthly(), 'C', 48);
    expect(mean.ok && mean.climate.months[6]).toEqual({ min_C: 3, max_C: 11 });
    const winterOnly = readClimate(
      monthly().filter(([date = '']) => !/-0[4-9]/.test(date)),
      'C',
      48,
    );
    expect(winterOnly.ok && winterOnly.climate.months[6]).toBeNull();
    expect(winterOnly.ok && winterOnly.remarks.join()).toContain('Nothing is known of 6 months');
  });
});
