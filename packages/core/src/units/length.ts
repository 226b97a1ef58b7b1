import type { Length, Units } from '@yellow-cell/contract';

/** Lengths are millimetres inside the program; this is the door where a person's spelling comes in and goes out. */
export const MM_PER_INCH = 25.4;
const INCH_STEP = 16;

export type ParsedLength = { ok: true; length: Length } | { ok: false; sentence: string };

const MM_PER_UNIT: Readonly<Record<string, number>> = {
  mm: 1,
  millimetre: 1,
  millimetres: 1,
  millimeter: 1,
  millimeters: 1,
  cm: 10,
  centimetre: 10,
  centimetres: 10,
  centimeter: 10,
  centimeters: 10,
  m: 1000,
  metre: 1000,
  metres: 1000,
  meter: 1000,
  meters: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
  ft: 12 * MM_PER_INCH,
  foot: 12 * MM_PER_INCH,
  feet: 12 * MM_PER_INCH,
  "'": 12 * MM_PER_INCH,
};

const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
};

const PART = /^(-?)(?:(\d+)(?:[ -](\d+)\/(\d+))|(\d+)\/(\d+)|(\d+(?:\.\d+)?|\.\d+))(?:\s*([a-z]+|"|'))?\s*/;

/**
 * Reads a length in any usual spelling: `190`, `190,5`, `19 cm`, `7 1/2"`, `7.5in`, `7½ in`, `1' 3 1/4"`.
 * A bare number is in `units`. What was typed is kept beside the millimetres.
 */
export function parseLength(typed: string, units: Units): ParsedLength {
  const shown = typed.trim();
  if (shown === '') return no('Type a length, like 190, 19 cm or 7 1/2".');
  if (/\d,\d{3}(?!\d)/.test(shown) || /\d[.,]\d+[.,]\d/.test(shown)) {
    return no(
      `“${shown}” can be read in two ways; write it without a separator for thousands, like 1250 or 1.25.`,
    );
  }
  let rest = plainSpelling(shown);
  let total = 0;
  let smallest = Number.POSITIVE_INFINITY;
  while (rest !== '') {
    const match = PART.exec(rest);
    if (!match) return no(`“${shown}” is not a length; write it like 190, 19 cm or 7 1/2".`);
    const [all, minus, whole, top, bottom, topOnly, bottomOnly, decimal, unit] = match;
    if (minus) return no('A length cannot be below 0.');
    const denominator = Number(bottom ?? bottomOnly ?? 1);
    if (denominator === 0) return no(`“${shown}” divides by 0.`);
    const value =
      decimal !== undefined ? Number(decimal) : Number(whole ?? 0) + Number(top ?? topOnly) / denominator;
    const perUnit = unit === undefined ? bareUnit(smallest, units) : MM_PER_UNIT[unit];
    if (perUnit === undefined) return no(`“${unit}” is not a unit of length here; use mm, cm, m, in or ft.`);
    if (perUnit >= smallest)
      return no(`“${shown}” is not a length; write the larger unit first, like 1 ft 3 in.`);
    total += value * perUnit;
    smallest = perUnit;
    rest = rest.slice(all.length);
  }
  if (!Number.isFinite(total)) return no(`“${shown}” is too large to be a length.`);
  return { ok: true, length: { mm: total, typed: shown } };
}

/** A number without a unit after feet is inches; alone it is in the unit chosen. */
function bareUnit(smallestSoFar: number, units: Units): number {
  if (smallestSoFar === 12 * MM_PER_INCH || units === 'inch') return MM_PER_INCH;
  return 1;
}

function plainSpelling(shown: string): string {
  return shown
    .toLowerCase()
    .replace(/[½¼¾⅛⅜⅝⅞⅓⅔]/g, (sign) => ` ${VULGAR[sign]}`)
    .replace(/[″”“]|''/g, '"')
    .replace(/[′’‘]/g, "'")
    .replace(/[−–]/g, '-')
    .replace(/[⁄∕]/g, '/')
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/\s*\/\s*/g, '/')
    .replace(/\s+/g, ' ')
    .replace(/(mm|cm|in|ft)\./g, '$1')
    .trim();
}

const no = (sentence: string): ParsedLength => ({ ok: false, sentence });

/** A length as a workshop drawing shows it: mm to a tenth, or inches to the nearest sixteenth, and below half an inch to a thousandth. */
export function showLength(mm: number, units: Units): string {
  return units === 'mm' ? `${showMillimetres(mm)} mm` : `${showInches(mm)} in`;
}

/** The same without its unit, for dimension lines that state the unit once. */
export function showLengthBare(mm: number, units: Units): string {
  return units === 'mm' ? showMillimetres(mm) : showInches(mm);
}

function showMillimetres(mm: number): string {
  const rounded = Math.round(mm * 10) / 10;
  return signed(rounded, String(Math.abs(rounded)));
}

/** Inches below this are gaps and walls, which a sixteenth is too coarse for: 4.2 mm let bees pass where 4.0 do not. */
const SMALL_IN = 0.5;
/** A thirty-second is taken for a small length where it is as good as met, in inches. */
const MET_IN = 0.002;

function showSmallInches(mm: number): string {
  const inches = Math.abs(mm) / MM_PER_INCH;
  const steps = Math.round(inches * 2 * INCH_STEP);
  if (steps > 0 && Math.abs(steps / (2 * INCH_STEP) - inches) <= MET_IN)
    return signed(mm, fraction(steps, 2 * INCH_STEP));
  return signed(mm, String(Number(inches.toFixed(3))));
}

function showInches(mm: number): string {
  if (mm !== 0 && Math.abs(mm) < SMALL_IN * MM_PER_INCH) return showSmallInches(mm);
  const steps = Math.round((mm / MM_PER_INCH) * INCH_STEP);
  const whole = Math.floor(Math.abs(steps) / INCH_STEP);
  const over = Math.abs(steps) % INCH_STEP;
  if (over === 0) return signed(steps, String(whole));
  const part = fraction(over, INCH_STEP);
  return signed(steps, whole === 0 ? part : `${whole} ${part}`);
}
function fraction(over: number, of: number): string {
  let [top, bottom] = [over, of];
  while (top % 2 === 0) [top, bottom] = [top / 2, bottom / 2];
  return bottom === 1 ? String(top) : `${top}/${bottom}`;
}

const signed = (value: number, size: string): string => (value < 0 ? `−${size}` : size);
