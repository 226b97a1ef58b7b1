import type { LineMeasures, Measures } from '@yellow-cell/contract';
import { shortMonths } from '../calendar/months.ts';
import { showLength } from '../units/length.ts';
import { LITRES_PER_PINT } from '../units/volume.ts';
import { KG_PER } from '../units/weight.ts';

/** As the program itself writes: what a breeder has not said otherwise. */
export const METRIC: Measures = {
  length: 'mm',
  weight: 'kg',
  volume: 'l',
  temperature: 'C',
  weekStart: 'monday',
  dates: 'unsaid',
};

const POUND_KG = KG_PER.lb ?? 1;
const QUART_L = { usQuart: 2 * LITRES_PER_PINT.us, imperialQuart: 2 * LITRES_PER_PINT.imperial } as const;
const OUNCES = 16;

/** At most so many figures behind the point, without noughts at the end. */
export const figures = (value: number, decimals: number): string =>
  String(Number(value.toFixed(decimals))).replace('-', '−');

/** `12.5 kg`, or in pounds, and in ounces where it is less than one. */
export function showWeight(kg: number, { weight }: Pick<Measures, 'weight'>): string {
  if (weight === 'kg') return `${figures(kg, Math.abs(kg) >= 10 ? 1 : 3)} kg`;
  const pounds = kg / POUND_KG;
  if (pounds !== 0 && Math.abs(pounds) < 0.995) return `${figures(pounds * OUNCES, 1)} oz`;
  return `${figures(pounds, Math.abs(pounds) >= 10 ? 1 : 2)} lb`;
}

export function showVolume(litres: number, { volume }: Pick<Measures, 'volume'>): string {
  const decimals = Math.abs(litres) >= 10 ? 1 : 2;
  return volume === 'l'
    ? `${figures(litres, decimals)} l`
    : `${figures(litres / QUART_L[volume], decimals)} qt`;
}

const FAHRENHEIT_PER_K = 9 / 5;
/** A temperature as a number of the reader's degrees. */
export const degreesOf = (celsius: number, { temperature }: Pick<Measures, 'temperature'>): number =>
  temperature === 'C' ? celsius : celsius * FAHRENHEIT_PER_K + 32;
export function showTemperature(
  celsius: number,
  measures: Pick<Measures, 'temperature'>,
  decimals = 0,
): string {
  return `${figures(degreesOf(celsius, measures), decimals)} °${measures.temperature}`;
}
/** Degrees as a person types them, so that tenths of either kind come back as they were typed. */
export const celsiusIn = (degrees: number, { temperature }: Pick<Measures, 'temperature'>): number =>
  temperature === 'C' ? degrees : Number(((degrees - 32) / FAHRENHEIT_PER_K).toFixed(2));

/** A difference of temperatures. */
export const showKelvin = (
  kelvin: number,
  { temperature }: Pick<Measures, 'temperature'>,
  decimals = 1,
): string =>
  temperature === 'C'
    ? `${figures(kelvin, decimals)} K`
    : `${figures(kelvin * FAHRENHEIT_PER_K, decimals)} °F`;

function showDate(date: string, month: string, year: string | undefined, form: Measures['dates']): string {
  if (form === 'monthDay') return `${month} ${date}${year ? `, ${year}` : ''}`;
  const number = String(shortMonths.indexOf(month) + 1).padStart(2, '0');
  return `${year ? `${year}-` : ''}${number}-${date.padStart(2, '0')}`;
}

const NUMBER = String.raw`([−-]?\d+(?:\.\d+)?)`;
/** What stands before or after another figure of the same measure: “35 to 40 kg”. */
const RANGE = `(?:${NUMBER}( to | and | or | – |–))?`;
const quantity = (unit: string): RegExp =>
  new RegExp(String.raw`(?<![\p{L}\d.])${RANGE}${NUMBER} ${unit}(?![\p{L}\d/²³])`, 'gu');
const PATTERNS = {
  mm: quantity('mm'),
  kg: quantity('kg'),
  celsius: quantity('°C'),
  kelvin: quantity('K'),
  litres: quantity('(?:l|L|litres|litre)'),
  date: new RegExp(String.raw`\b(\d{1,2}) (${shortMonths.join('|')})\b(?: (\d{4}))?`, 'g'),
};

/**
 * A sentence of the program, which gives lengths in mm, weights in kg, volumes in litres, temperatures in °C and days as
 * 28 May, in the measures that a breeder reads. Everything that is said to a person passes here, so that no sentence
 * need know of measures.
 */
export function inMeasures(sentence: string, measures: Measures): string {
  const { length, weight, volume, temperature, dates } = measures;
  let said = sentence;
  const put = (pattern: RegExp, show: (value: number, decimals: number) => string): void => {
    const shown = (figure: string) =>
      show(Number(figure.replace('−', '-')), figure.split('.')[1]?.length ?? 0);
    said = said.replaceAll(pattern, (_, from: string | undefined, between: string | undefined, to: string) =>
      from === undefined ? shown(to) : rangeOf(shown(from), between ?? '', shown(to)),
    );
  };
  if (length === 'inch') put(PATTERNS.mm, (mm) => showLength(mm, 'inch'));
  if (weight === 'lb') put(PATTERNS.kg, (kg) => showWeight(kg, measures));
  if (volume !== 'l') put(PATTERNS.litres, (litres) => showVolume(litres, measures));
  if (temperature === 'F') {
    // A tenth that is said is one that matters.
    put(PATTERNS.celsius, (celsius, decimals) => showTemperature(celsius, measures, decimals));
    put(PATTERNS.kelvin, (kelvin) => showKelvin(kelvin, measures));
  }
  if (dates === 'monthDay' || dates === 'iso')
    said = said.replaceAll(PATTERNS.date, (_, date: string, month: string, year?: string) =>
      showDate(date, month, year, dates),
    );
  return said;
}
/** “35 to 40 kg” states its unit once. */
function rangeOf(from: string, between: string, to: string): string {
  const unit = to.slice(to.lastIndexOf(' '));
  return `${from.endsWith(unit) ? from.slice(0, -unit.length) : from}${between}${to}`;
}

/** What the quick line takes from them; what is not said is asked. */
export const lineMeasures = ({ volume, dates }: Measures): LineMeasures => ({
  ...(volume === 'l' ? {} : { pints: volume === 'usQuart' ? 'us' : 'imperial' }),
  ...(dates === 'dayMonth' || dates === 'iso' ? { dates: 'dayFirst' } : {}),
  ...(dates === 'monthDay' ? { dates: 'monthFirst' } : {}),
});

/** Settings as they were stored before there was more to say than lengths. */
export function measuresRaised<S extends object>(stored: S): Omit<S, 'units'> & { measures: Measures } {
  const { units, measures, ...rest } = stored as S & { units?: 'mm' | 'inch'; measures?: Measures };
  return { ...rest, measures: measures ?? { ...METRIC, length: units ?? 'mm' } } as Omit<S, 'units'> & {
    measures: Measures;
  };
}
