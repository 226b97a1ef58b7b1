import { describe, expect, it } from 'vitest';
import { readClimate, winterMonths } from './climate.ts';

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
  return read.ok ? read.climate.remarks.join(' ') : read.problems[0]?.sentence;
};
const months = (rows: string[][], unit?: 'C' | 'F') => {
  const read = readClimate(rows, unit);
  return read.ok ? read.climate.months.map(({ outside_C }) => outside_C) : undefined;
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

  it('south of the equator is of April to September, and is not taken for a northern yard', () => {
    const read = (latitude_deg: number) => {
      const found = readClimate(monthly(), 'C', latitude_deg);
      return found.ok ? found.climate : undefined;
    };
    const [south, north] = [read(-41), read(48)];
    expect(south?.months.map(({ name }) => name.slice(0, 3)).join(' ')).toBe('Apr May Jun Jul Aug Sep');
    expect(south?.months.map(({ outside_C }) => outside_C)).toEqual([4, 5, 6, 7, 8, 9]);
    expect(winterMonths(south, -41)).toBe(south?.months);
    expect(winterMonths(south, 48)[0]?.name).toBe('October');
    expect(winterMonths(north, -41).map(({ name }) => name)[3]).toBe('July');
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
